import type { Eye } from '@ivory-crystal/core/practice'
import { fixed } from '../format/format'
import { useWidth } from './useWidth'

const ROW = 44
const LEFT = 78
const RIGHT = 14
const TOP = 8
/** So many of the latest are drawn: more lie on each other. */
export const DRAWN_MOST = 300
/** So many of them lie within the scale. */
const DRAWN_SHARE = 0.9
const SPANS_C = [2, 3, 5, 10, 20, 40]

/** Signed errors of both ends over all tubes: older ones pale, within the band as close as the house asks. */
export function EyeDrawing({ eye, withinC, label }: { eye: Eye; withinC: number; label: string }) {
  const [ref, width] = useWidth(470, 520)
  const rows = [
    { what: 'first liquid', end: eye.first },
    { what: 'all liquid', end: eye.all },
  ]
  const far = rows.flatMap(({ end }) => end.errorsC.slice(-DRAWN_MOST).map(Math.abs)).sort((p, q) => p - q)
  // One mark far out must not press all the others together: it stands hollow at the edge.
  const furthest = far[Math.ceil(DRAWN_SHARE * far.length) - 1] ?? 0
  const spanC = SPANS_C.find((span) => span >= furthest) ?? SPANS_C.at(-1) ?? furthest
  const half = (width - LEFT - RIGHT) / 2
  const middle = LEFT + half
  const x = (c: number) => middle + (Math.max(-spanC, Math.min(spanC, c)) / spanC) * half
  const height = TOP + 2 * ROW + 36
  const ticks = [-spanC, -spanC / 2, 0, spanC / 2, spanC]
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`${label}: ${inWords(eye)}`}
        className="d-block"
      >
        <rect
          x={x(-withinC)}
          y={TOP}
          width={x(withinC) - x(-withinC)}
          height={2 * ROW}
          fill="var(--teal-wash)"
        />
        <path d={`M${middle} ${TOP}v${2 * ROW}`} stroke="var(--ink-3)" />
        {rows.map(({ what, end }, i) => {
          const y = TOP + ROW * (i + 0.5)
          const drawn = end.errorsC.slice(-DRAWN_MOST)
          return (
            <g key={what}>
              <text x={LEFT - 8} y={y + 4} fontSize="12.5" textAnchor="end" fill="var(--ink)">
                {what}
              </text>
              <path d={`M${LEFT} ${y}H${width - RIGHT}`} stroke="var(--hair)" />
              {drawn.map((errorC, at) => (
                <circle
                  key={at}
                  cx={x(errorC)}
                  cy={y + 5 * Math.sin(2.4 * at)}
                  r="3.6"
                  {...(Math.abs(errorC) > spanC
                    ? { fill: 'none', stroke: 'var(--ink)', strokeWidth: 1.4 }
                    : { fill: 'var(--ink)', opacity: 0.22 + (0.68 * (at + 1)) / drawn.length })}
                />
              ))}
              {end.meanC !== null && drawn.length > 1 && (
                <path d={`M${x(end.meanC)} ${y - 13}v26`} stroke="var(--teal)" strokeWidth="2" />
              )}
            </g>
          )
        })}
        {ticks.map((c) => (
          <text
            key={c}
            x={x(c)}
            y={TOP + 2 * ROW + 15}
            fontSize="12"
            textAnchor={c === -spanC ? 'start' : c === spanC ? 'end' : 'middle'}
            fill="var(--ink-2)"
          >
            {c === 0 ? 'exact' : `${c > 0 ? '+' : '−'}${fixed(Math.abs(c), Number.isInteger(c) ? 0 : 1)} °C`}
          </text>
        ))}
        <text x={LEFT} y={TOP + 2 * ROW + 32} fontSize="12" fill="var(--ink-2)">
          too early
        </text>
        <text x={width - RIGHT} y={TOP + 2 * ROW + 32} fontSize="12" textAnchor="end" fill="var(--ink-2)">
          too late
        </text>
      </svg>
    </div>
  )
}

function inWords({ tubes, first, all }: Eye): string {
  const sentenceOf = ({ meanC, spreadC }: Eye['first']) =>
    meanC === null
      ? 'not marked'
      : `${fixed(Math.abs(meanC), 1)} °C ${meanC < 0 ? 'early' : 'late'} on average${spreadC === null ? '' : `, spread ${fixed(spreadC, 1)} °C`}`
  return `${tubes} ${tubes === 1 ? 'tube' : 'tubes'}; first liquid ${sentenceOf(first)}; all liquid ${sentenceOf(all)}`
}
