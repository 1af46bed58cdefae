import { axisUpTo } from './plot/axis'
import { useWidth } from './useWidth'

const HEIGHT = 150
const LEFT = 40
const BOTTOM = 36
const TOP = 14
const PARTS_MOST = 4
const STEP_MIN = 30

/** How many benches wait for one thing, minute by minute through a day. */
export function QueueStrip({
  waitingByMinute,
  upToMin,
  what,
}: {
  waitingByMinute: readonly number[]
  /** The end of the axis, so that several can be compared, min. */
  upToMin: number
  what: string
}) {
  const [ref, width] = useWidth(760, 700)
  const most = Math.max(0, ...waitingByMinute)
  if (most < 0.05)
    return (
      <p className="quiet mt-1 mb-0">Almost nobody waits: at any minute fewer than one bench in twenty.</p>
    )
  const axis = axisUpTo(most, PARTS_MOST)
  const totalMin = Math.ceil(Math.max(60, upToMin) / STEP_MIN) * STEP_MIN
  const step = totalMin > 300 || width < 480 ? 60 : STEP_MIN
  const right = width - 14
  const x = (min: number) => LEFT + ((right - LEFT) * min) / totalMin
  const y = (benches: number) => HEIGHT - BOTTOM - ((HEIGHT - BOTTOM - TOP) * benches) / axis.to
  const line = waitingByMinute
    .map((benches, min) => `L${x(min).toFixed(1)} ${y(benches).toFixed(1)}`)
    .join('')
  const last = x(waitingByMinute.length)
  const worst = waitingByMinute.indexOf(most)
  return (
    <div ref={ref} className="mt-1">
      <svg
        viewBox={`0 0 ${width} ${HEIGHT}`}
        width="100%"
        height={HEIGHT}
        className="d-block"
        role="img"
        aria-label={`Benches waiting for a ${what}: ${most.toFixed(1)} at most, ${worst} minutes after the first came`}
      >
        {axis.ticks.map(({ value, text }) => (
          <g key={value}>
            <path d={`M${LEFT} ${y(value)}H${right}`} stroke="var(--hair)" />
            <text x={LEFT - 6} y={y(value) + 4} fontSize="12" textAnchor="end" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        <path
          d={`M${LEFT} ${y(0)}${line}L${last} ${y(0)}Z`}
          fill="var(--ember-wash)"
          stroke="var(--ember)"
          strokeWidth="1.4"
        />
        {Array.from({ length: Math.floor(totalMin / step) + 1 }, (_, i) => i * step).map((min) => (
          <text
            key={min}
            x={x(min)}
            y={HEIGHT - BOTTOM + 15}
            fontSize="12"
            textAnchor="middle"
            fill="var(--ink-2)"
          >
            {min}
          </text>
        ))}
        <text x={right} y={HEIGHT - 4} fontSize="12" textAnchor="end" fill="var(--ink-2)">
          min after the first came; benches waiting, mean of the days
        </text>
      </svg>
    </div>
  )
}
