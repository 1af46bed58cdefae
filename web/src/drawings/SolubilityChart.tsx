import { useMemo } from 'react'
import { attempt } from '@ivory-crystal/core/problems'
import { solubilityAt, type SolubilityPoint } from '@ivory-crystal/core/solubility'
import { axisUpTo, evenAxis } from './plot/axis'
import { type ChartLine, LineChart, type XY } from './plot/LineChart'

export interface SolubilityCurve {
  readonly name: string
  readonly points: readonly SolubilityPoint[]
  readonly fusionKJPerMol?: number | undefined
  readonly tone: '--ink' | '--teal' | '--ice'
}
const LINE_POINTS = 48
/** What the chart package adds below the height it is given, px: the place is kept before there is a curve. */
const BELOW_PX = 15

/** Solubility against temperature: points as dots, between them a line, beyond them dashes. */
export function SolubilityChart({
  curves,
  fromC,
  toC,
  logarithmic,
  height = 260,
}: {
  curves: readonly SolubilityCurve[]
  fromC: number
  toC: number
  logarithmic: boolean
  height?: number
}) {
  const drawn = useMemo(() => curves.filter(({ points }) => points.length > 0), [curves])
  const lines = useMemo(() => linesOf(drawn, fromC, toC), [drawn, fromC, toC])
  const most = Math.max(0.01, ...lines.flatMap(({ points }) => points.map(([, s]) => s ?? 0)))
  const up = axisUpTo(most, 5)
  if (drawn.length === 0)
    return (
      <p className="quiet mb-0" style={{ minHeight: height + BELOW_PX }}>
        The curve is drawn from the points as they are typed.
      </p>
    )
  return (
    <figure
      className="m-0"
      style={{ minHeight: height + BELOW_PX }}
      aria-label={drawn
        .map(
          ({ name, points }) =>
            `Solubility of ${name}: ${points.map(([c, s]) => `${s} at ${c} °C`).join(', ')}`,
        )
        .join('. ')}
    >
      <LineChart
        height={height}
        lines={lines}
        x={{ ...evenAxis(fromC, toC, 8), title: 'temperature, °C', decimals: 0 }}
        y={{
          title: 'g per 100 mL',
          isLogarithmic: logarithmic,
          ...(logarithmic ? {} : { from: 0, to: up.to, parts: up.ticks.length - 1 }),
        }}
      />
    </figure>
  )
}

/** Each curve as three lines: between its points, beyond them, and the points. */
function linesOf(curves: readonly SolubilityCurve[], fromC: number, toC: number): readonly ChartLine[] {
  const last = ({ points }: SolubilityCurve) => [...points].sort((p, q) => p[0] - q[0]).at(-1) ?? [0, 0]
  const highest = Math.max(...curves.map((curve) => last(curve)[1]))
  return curves.flatMap((curve): readonly ChartLine[] => {
    const { name, tone, points } = curve
    const temperatures = points.map(([c]) => c)
    const [low, high] = [Math.min(...temperatures), Math.max(...temperatures)]
    const along = (from: number, to: number) =>
      Array.from({ length: LINE_POINTS + 1 }, (_, i) => from + ((to - from) * i) / LINE_POINTS).flatMap(
        (c): readonly XY[] => {
          const s = attempt(() => solubilityAt(points, c, curve.fusionKJPerMol))
          return s.ok ? [[c, s.value.gPer100ML]] : []
        },
      )
    const [x, y] = last(curve)
    return [
      { name, tone, width: 2.2, points: points.length > 1 ? along(low, high) : [] },
      {
        name: `${name}, beyond the points`,
        tone,
        width: 1.6,
        dash: 5,
        // Broken by a point without a value where the solid line runs.
        points: [
          ...(fromC < low ? along(fromC, low) : []),
          [low, null],
          ...(toC > high ? along(high, toC) : []),
        ],
      },
      {
        name: `${name}, points`,
        tone,
        width: 0,
        dots: 5,
        points: [...points].sort((p, q) => p[0] - q[0]),
        // Steeper curves come up from below: only the highest is named above its end.
        label: { at: [x, y], text: name, belowPx: y >= highest ? -4 : 32, isStrong: true },
      },
    ]
  })
}
