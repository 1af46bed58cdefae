import type { CurvePoint } from '@ivory-crystal/core/planning'
import { fixed } from '../format/format'
import { axisBetween, evenAxis } from './plot/axis'
import { pathOf } from './plot/path'
import { useWidth } from './useWidth'

const HEIGHT = 230
const PAD = { left: 40, right: 14, top: 10, bottom: 38 } as const
const PARTS_MOST = 9

/** A heating as planned, dashed, and as it was read, as a drawing that paper can take whole. */
export function HeatingCurve({
  planned,
  read,
  watchFromC,
  stopC,
}: {
  planned: readonly CurvePoint[]
  read: readonly CurvePoint[]
  watchFromC: number
  stopC: number
}) {
  const [frame, width] = useWidth(480)
  const last = (points: readonly CurvePoint[]) => points.at(-1)?.[0] ?? 0
  const minutes = evenAxis(0, Math.max(last(planned), last(read), 10), PARTS_MOST)
  const highest = Math.max(stopC, ...read.map(([, c]) => c))
  const lowest = Math.min(20, ...read.map(([, c]) => c))
  const degrees = evenAxis(lowest, highest + 5, PARTS_MOST)
  const x = (min: number) => PAD.left + (min / minutes.to) * (width - PAD.left - PAD.right)
  const y = (c: number) =>
    HEIGHT - PAD.bottom - ((c - degrees.from) / (degrees.to - degrees.from)) * (HEIGHT - PAD.top - PAD.bottom)
  const line = (points: readonly CurvePoint[]) =>
    pathOf(
      points,
      ([min]) => x(min),
      ([, c]) => y(c),
    )
  return (
    <figure className="m-0" ref={frame}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Heating: ${read.length} readings over ${fixed(last(read), 0)} minutes; watched from ${fixed(watchFromC, 0)} to ${fixed(stopC, 0)} °C.`}
      >
        <rect
          x={PAD.left}
          y={y(stopC)}
          width={width - PAD.left - PAD.right}
          height={y(watchFromC) - y(stopC)}
          fill="var(--ember-wash)"
        />
        {axisBetween(degrees.from, degrees.to, PARTS_MOST).ticks.map(({ value, text }) => (
          <g key={text}>
            <path
              d={`M${PAD.left} ${y(value)}H${width - PAD.right}`}
              stroke="var(--hair)"
              strokeWidth="0.6"
            />
            <text x={PAD.left - 6} y={y(value) + 4} textAnchor="end" fontSize="12" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        {axisBetween(0, minutes.to, PARTS_MOST).ticks.map(({ value, text }) => (
          <text key={text} x={x(value)} y={HEIGHT - 22} textAnchor="middle" fontSize="12" fill="var(--ink-2)">
            {text}
          </text>
        ))}
        {planned.length > 1 && (
          <path d={line(planned)} fill="none" stroke="var(--ink-2)" strokeDasharray="5 4" />
        )}
        {read.length > 1 && <path d={line(read)} fill="none" stroke="var(--ember)" strokeWidth="2" />}
        <path
          d={`M${PAD.left} ${PAD.top}V${HEIGHT - PAD.bottom}H${width - PAD.right}`}
          fill="none"
          stroke="var(--ink)"
        />
        <text x={width - PAD.right} y={HEIGHT - 6} textAnchor="end" fontSize="12" fill="var(--ink-2)">
          °C against minutes; planned dashed, as read in full; watch from {fixed(watchFromC, 0)} to{' '}
          {fixed(stopC, 0)}
        </text>
      </svg>
    </figure>
  )
}
