import type { MeltingRange, PhaseDiagram } from '@ivory-crystal/core/melting'

/** One of our samples on the map: where its composition is thought to be, and from where to where it melted. */
export interface MapPoint {
  readonly key: string
  readonly label: string
  readonly moleFractionA: number
  /** Interval of the composition, as mole fractions of a; null where it is known. */
  readonly between: readonly [low: number, high: number] | null
  readonly range: MeltingRange
  readonly tone: 'crude' | 'product' | 'other'
}

export const HEIGHT = 330
export const PAD = { top: 14, right: 34, bottom: 46, left: 44 } as const
const TONE = { crude: 'var(--tan)', product: 'var(--ink)', other: 'var(--ink-2)' } as const
/** Names in the fields of the map need so much height, px. */
const ROOM = 20
/** So much of a field's width is free at the height of its name. */
const FITS = 0.62

interface Scale {
  readonly x: (moleFractionA: number) => number
  readonly y: (temperatureC: number) => number
}

export function Fields({
  diagram,
  names: [a, b],
  x,
  y,
  span,
  points,
  isLeft,
}: Scale & {
  diagram: PhaseDiagram
  names: readonly [string, string]
  span: { readonly from: number; readonly to: number }
  points: readonly MapPoint[]
  /** The samples lie on the left: the eutectic is named at the right, and what lies under it at the left. */
  isLeft: boolean
}) {
  const { branchA, branchB, eutectic } = diagram
  const middle = (branch: PhaseDiagram['branchA']) => branch[Math.floor(branch.length * 0.38)] ?? [0.5, 0]
  const field = (branch: PhaseDiagram['branchA'], name: string) => {
    const [at, c] = middle(branch)
    const low = y(eutectic.temperatureC)
    const high = y(c)
    const wide = Math.abs(x(eutectic.moleFractionA) - x(branch[0]?.[0] ?? 0))
    // The field narrows to a point, so a long name has no room in it.
    const named = `${name} + liquid`
    const text = named.length * 6.6 < wide * FITS ? named : 'solid + liquid'
    const half = text.length * 3.3
    const isTaken = points.some(({ moleFractionA }) => Math.abs(x(moleFractionA) - x(at)) < half + 12)
    if (low - high < ROOM || wide * FITS < 2 * half || isTaken) return null
    return (
      <text className="label" x={x(at)} y={(low + high) / 2 + 5} textAnchor="middle">
        {text}
      </text>
    )
  }
  return (
    <g fontSize="12.5" fill="var(--ink-2)">
      <text className="label" x={x(eutectic.moleFractionA)} y={y(span.to) + 22} textAnchor="middle">
        all liquid
      </text>
      {field(branchA, a)}
      {field(branchB, b)}
      {y(span.from) - y(eutectic.temperatureC) > ROOM && (
        <text
          className="label"
          x={isLeft ? x(1) + 6 : x(0) - 6}
          y={y(eutectic.temperatureC) + 15}
          textAnchor={isLeft ? 'start' : 'end'}
        >
          all solid
        </text>
      )}
    </g>
  )
}

export function Axes({
  x,
  y,
  span,
  name,
  width,
}: Scale & { span: { readonly from: number; readonly to: number }; name: string; width: number }) {
  const step = [2, 5, 10, 20, 50].find((one) => (span.to - span.from) / one <= 8) ?? 100
  const first = Math.ceil(span.from / step) * step
  const ticks = Array.from({ length: Math.floor((span.to - first) / step) + 1 }, (_, i) => first + i * step)
  return (
    <g fontSize="12.5" fill="var(--ink-2)">
      <path d={`M${x(1)} ${y(span.to)}V${y(span.from)}H${x(0)}`} fill="none" stroke="var(--ink)" />
      {ticks.map((c) => (
        <text key={c} x={x(1) - 8} y={y(c) + 4} textAnchor="end">
          {c}
        </text>
      ))}
      <text x={x(1) - 8} y={y(span.to) - 3} textAnchor="end" fontSize="11.5">
        °C
      </text>
      {[0, 20, 40, 60, 80, 100].map((percent) => (
        <text key={percent} x={x(1 - percent / 100)} y={y(span.from) + 18} textAnchor="middle">
          {percent}
        </text>
      ))}
      <text x={width - PAD.right} y={y(span.from) + 37} textAnchor="end">
        {name}, mol %
      </text>
    </g>
  )
}

export function Sample({
  point: { moleFractionA, between, range, tone },
  x,
  y,
}: Scale & { point: MapPoint }) {
  const at = x(moleFractionA)
  return (
    <g>
      {between && (
        <path
          d={`M${x(between[1])} ${y(range.clearC)}H${x(between[0])}m0 -4v8M${x(between[1])} ${y(range.clearC) - 4}v8`}
          stroke={TONE[tone]}
          strokeWidth="1.5"
        />
      )}
      <rect
        x={at - 4}
        y={y(range.clearC)}
        width={8}
        height={Math.max(3, y(range.onsetC) - y(range.clearC))}
        fill={TONE[tone]}
        stroke="var(--ground)"
        strokeWidth="0.8"
      />
    </g>
  )
}

const LINE = 18
/** Room between the furthest sample and what is said of them, px. */
const BESIDE = 40

/** What each sample is, in a column beside them, each with a line to its bar. */
export function Labels({
  points,
  x,
  y,
  isLeft,
  inner,
}: Scale & { points: readonly MapPoint[]; isLeft: boolean; inner: { readonly h: number } }) {
  const named = points.filter(({ label }) => label !== '')
  if (named.length === 0) return null
  const xs = named.map(({ moleFractionA }) => x(moleFractionA))
  const column = isLeft ? Math.max(...xs) + BESIDE : Math.min(...xs) - BESIDE
  const middle = ({ range }: MapPoint) => y((range.onsetC + range.clearC) / 2)
  const lines = [...named]
    .sort((p, q) => middle(p) - middle(q))
    .reduce<{ point: MapPoint; at: number }[]>((placed, point) => {
      const above = placed.at(-1)?.at ?? PAD.top
      return [...placed, { point, at: Math.max(middle(point), above + LINE) }]
    }, [])
  const over = Math.max(0, (lines.at(-1)?.at ?? 0) - (PAD.top + inner.h - 6))
  return (
    <g fontSize="12.5" fontWeight="700" fill="var(--ink)">
      {lines.map(({ point, at }) => (
        <g key={point.key}>
          <path
            d={`M${x(point.moleFractionA) + (isLeft ? 5 : -5)} ${middle(point)}L${column + (isLeft ? -4 : 4)} ${at - over}`}
            stroke="var(--ink-2)"
            strokeWidth="0.8"
          />
          <text x={column} y={at - over + 4} textAnchor={isLeft ? 'start' : 'end'} className="label">
            {point.label}
          </text>
        </g>
      ))}
    </g>
  )
}

/** From the first of our samples to the last: what purifying did. */
export function Way({ points, x, y }: Scale & { points: readonly MapPoint[] }) {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last || first === last) return null
  const [x1, x2] = [x(first.moleFractionA), x(last.moleFractionA)]
  if (Math.abs(x1 - x2) < 10) return null
  const top = Math.min(y(first.range.clearC), y(last.range.clearC)) - 26
  const end = y(last.range.clearC) - 6
  return (
    <path
      d={`M${x1} ${y(first.range.clearC) - 4}Q${(x1 + x2) / 2} ${top} ${x2} ${end}m-1 -7l1 7 6 -4`}
      fill="none"
      stroke="var(--ink-2)"
      strokeWidth="1.2"
    />
  )
}
