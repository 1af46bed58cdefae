import css from './Hurry.module.css'
import { useKey } from '../useKey'

/** How many times faster simulated time passes: the watcher’s choice, at the bench and in practice. */
export function Hurry({
  of,
  value,
  disabled = false,
  onChange,
}: {
  of: readonly number[]
  value: number
  disabled?: boolean
  onChange: (value: number) => void
}) {
  useKey('h', () => {
    if (!disabled) onChange(of[(of.indexOf(value) + 1) % of.length] ?? value)
  })
  return (
    <div className={css.hurry}>
      <div className="quiet" id="hurry">
        simulated time runs <kbd className="key">H</kbd>
      </div>
      <div className="seen across" role="group" aria-labelledby="hurry">
        {of.map((times) => (
          <button
            key={times}
            type="button"
            disabled={disabled}
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
