import css from './StationString.module.css'
import classNames from 'classnames'
import { Link } from 'react-router'
import type { StationState } from '@ivory-crystal/core/notebook'
import { capital } from '../format/format'

/** The stations of a prep or a case in the order of the work; state told by shape and word, not by colour alone. */
export function StationString<S extends string>({
  stations,
  here,
  base,
  ahead,
}: {
  stations: readonly { readonly station: S; readonly state: StationState }[]
  here: S
  base: string
  /** What each will ask for and about how long it takes, where the work has yet to begin. */
  ahead?: ((station: S) => string) | undefined
}) {
  return (
    <nav aria-label="Stations">
      <ol
        className={css.string}
        style={{ gridTemplateColumns: `repeat(${stations.length}, minmax(0, 1fr))` }}
      >
        {stations.map(({ station, state }) => (
          <li key={station}>
            <Link to={`${base}/${station}`} aria-current={station === here ? 'step' : undefined}>
              <Bead state={state} here={station === here} />
              {capital(station)}
              <span className={state === 'needs a look' ? classNames(css.said, css.lookSaid) : css.said}>
                {state === 'not yet' ? <>&nbsp;</> : state}
              </span>
              {ahead && <span className={css.ahead}>{ahead(station)}</span>}
            </Link>
          </li>
        ))}
      </ol>
    </nav>
  )
}

function Bead({ state, here }: { state: StationState; here: boolean }) {
  const ring = here
    ? 'var(--teal)'
    : state === 'needs a look'
      ? 'var(--ember)'
      : state === 'not yet'
        ? 'var(--ink-3)'
        : 'var(--ink)'
  return (
    <svg width="17" height="17" viewBox="0 0 17 17" fill="none" aria-hidden>
      {state === 'done' && (
        <>
          <circle cx="8.5" cy="8.5" r="8" fill={ring} />
          <path d="m4.8 8.7 2.6 2.6 4.8-5.2" stroke="var(--ground)" strokeWidth="1.6" />
        </>
      )}
      {state === 'now' && <circle cx="8.5" cy="8.5" r="6" stroke={ring} strokeWidth="4" />}
      {state === 'not yet' && <circle cx="8.5" cy="8.5" r="7.5" stroke={ring} strokeWidth={here ? 2.4 : 1} />}
      {state === 'needs a look' && (
        <>
          <path
            d="M8.5 1 16 15.5H1z"
            fill="var(--ground)"
            stroke={ring}
            strokeWidth="1.6"
            strokeLinejoin="round"
          />
          <path d="M8.5 6v5M8.5 12.6v1.4" stroke={ring} strokeWidth="1.6" />
        </>
      )}
    </svg>
  )
}
