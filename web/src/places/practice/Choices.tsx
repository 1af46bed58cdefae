import css from './Practice.module.css'
import classNames from 'classnames'
import { useId } from 'react'

/** Longer than this they stand one to a line, letters. */
const LONG = 42

/** One of a few, each a line of its own. */
export function Choices<T extends string>({
  legend,
  of,
  value,
  onChange,
}: {
  legend: string
  of: readonly T[]
  value: T | null
  onChange: (value: T) => void
}) {
  const name = useId()
  return (
    <fieldset className={css.choices}>
      <legend>{legend}</legend>
      <div className={classNames(css.of, of.some((one) => one.length > LONG) && css.long)}>
        {of.map((one) => (
          <label key={one}>
            <input
              type="radio"
              className="form-check-input"
              name={name}
              checked={one === value}
              onChange={() => {
                onChange(one)
              }}
            />
            {one}
          </label>
        ))}
      </div>
    </fieldset>
  )
}
