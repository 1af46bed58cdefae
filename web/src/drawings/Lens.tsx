import css from './Lens.module.css'
import type { TubeReading } from '@ivory-crystal/core'
import { TubeDrawing } from './TubeDrawing'

/** The simulated tubes as the eye at the lens would see them now. It shows; it does not name or foretell. */
export function Lens({ tubes, slots }: { tubes: readonly TubeReading[]; slots: readonly number[] }) {
  return (
    <div className={css.lens}>
      <span />
      {[1, 2, 3].map((slot) => {
        const index = slots.indexOf(slot)
        const tube = index >= 0 ? tubes[index] : undefined
        return (
          <div key={slot} className="ps-3">
            {tube ? (
              <TubeDrawing tube={tube} name={`Simulated tube ${slot}`} />
            ) : (
              <span className={css.sr}>no tube in slot {slot}</span>
            )}
          </div>
        )
      })}
    </div>
  )
}
