import css from './Practice.module.css'
import { useKey } from '../../app/useKey'

/** How many times faster simulated time passes: the learner’s choice, and it stays so whatever is about to happen. */
export function Hurry({
  of,
  value,
  onChange,
}: {
  of: readonly number[]
  value: number
  onChange: (value: number) => void
}) {
  useKey('h', () => {
    onChange(of[(of.indexOf(value) + 1) % of.length] ?? value)
  })
  return (
    <div className={css.hurry}>
      <div className="quiet" id="hurry">
        time runs <kbd className="key">H</kbd>
      </div>
      <div className="seen across" role="group" aria-labelledby="hurry">
        {of.map((times) => (
          <button
            key={times}
            type="button"
            aria-pressed={times === value}
            onClick={() => {
              onChange(times)
            }}
          >
            {times} ×
          </button>
        ))}
      </div>
    </div>
  )
}
