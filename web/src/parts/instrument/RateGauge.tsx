import type { Conventions } from '@ivory-crystal/core/conventions'
import { isTooFast } from '@ivory-crystal/core/heating'
import { fixed } from '../../format/format'

const WIDTH = 190
/** What is surer than the digit shown is not told, °C/min. */
const SHOWN_FROM = 0.05

/** Live rate against what house rules allow while it melts. */
export function RateGauge({
  rate,
  within,
  wanted,
  ramping,
}: {
  rate: number | null
  /** How far off it could be, °C/min. */
  within: number | null
  wanted: Conventions['meltRate']
  ramping: boolean
}) {
  const most = Math.max(5, 2.2 * wanted.max)
  const x = (value: number) => 4 + (Math.min(most, Math.max(0, value)) / most) * (WIDTH - 8)
  const tooFast = ramping && rate !== null && isTooFast(rate, wanted)
  return (
    <div>
      <span
        style={{ fontSize: 32, fontWeight: 700, lineHeight: 1 }}
        className={tooFast ? 'trouble' : undefined}
      >
        {rate === null ? '–' : fixed(rate, 1)}
      </span>{' '}
      <span className="quiet">
        {rate !== null && within !== null && within >= SHOWN_FROM && `± ${fixed(within, 1)} `}°C/min
        {tooFast ? ': too fast' : ''}
      </span>
      <svg
        width="100%"
        viewBox={`0 0 ${WIDTH} 30`}
        style={{ maxWidth: WIDTH }}
        className="d-block"
        aria-hidden
      >
        <rect
          x={x(wanted.min)}
          y="3"
          width={Math.max(3, x(wanted.max) - x(wanted.min))}
          height="10"
          fill="var(--teal-wash)"
        />
        <path d={`M4 13.5H${WIDTH - 4}`} stroke="var(--ink)" />
        {rate !== null && (
          <rect x={x(rate) - 2} y="1" width="4" height="13" fill={tooFast ? 'var(--ember)' : 'var(--teal)'} />
        )}
        {[wanted.min, wanted.max, most].map((value) => (
          <text
            key={value}
            x={x(value)}
            y="27"
            fontSize="12"
            textAnchor={value === most ? 'end' : 'middle'}
            fill="var(--ink-2)"
          >
            {value}
          </text>
        ))}
      </svg>
    </div>
  )
}
