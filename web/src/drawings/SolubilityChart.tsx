import { useMemo } from 'react'
import type { ApexOptions } from 'apexcharts'
import { attempt } from '@ivory-crystal/core/problems'
import { solubilityAt, type SolubilityPoint } from '@ivory-crystal/core/solubility'
import { evenAxis } from './axis'
import { Chart, isDark, plainAxis, plainChart, themeColour } from './Chart'

export interface SolubilityCurve {
  readonly name: string
  readonly points: readonly SolubilityPoint[]
  readonly fusionKJPerMol?: number | undefined
  readonly tone: '--ink' | '--teal' | '--ice'
}
interface XY {
  readonly x: number
  readonly y: number
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
  const dark = isDark()
  const across = evenAxis(fromC, toC, 8)
  const drawn = useMemo(
    () => curves.filter(({ points }) => points.length > 0).map((curve) => linesOf(curve, fromC, toC)),
    [curves, fromC, toC],
  )
  const options = useMemo<ApexOptions>(() => {
    const tones = drawn.flatMap(({ curve }) => Array<string>(3).fill(themeColour(curve.tone)))
    const values = drawn.flatMap(({ between, beyond, dots }) =>
      [...between, ...beyond, ...dots].map(({ y }) => y),
    )
    const highest = Math.max(...drawn.map(({ dots }) => dots[dots.length - 1]?.y ?? 0))
    const axis = axisTo(Math.max(0.01, ...values))
    return {
      ...plainChart(),
      colors: tones,
      stroke: {
        width: drawn.flatMap(() => [2.2, 1.6, 0]),
        dashArray: drawn.flatMap(() => [0, 5, 0]),
        curve: 'straight',
      },
      markers: { size: drawn.flatMap(() => [0, 0, 5]), strokeWidth: 0, hover: { sizeOffset: 0 } },
      annotations: {
        points: drawn.flatMap(({ curve, dots }) => {
          const last = dots[dots.length - 1]
          return last
            ? [
                {
                  x: last.x,
                  y: last.y,
                  marker: { size: 0 },
                  label: {
                    text: curve.name,
                    textAnchor: 'end',
                    offsetX: -8,
                    // Steeper curves come up from below: only the highest is named above its end.
                    offsetY: last.y >= highest ? -4 : 32,
                    borderWidth: 0,
                    style: {
                      background: 'transparent',
                      color: themeColour(curve.tone),
                      fontSize: '13px',
                      fontWeight: 700,
                    },
                  },
                },
              ]
            : []
        }),
      },
      xaxis: {
        type: 'numeric',
        min: across.from,
        max: across.to,
        tickAmount: across.parts,
        title: plainAxis('temperature, °C').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        logarithmic,
        ...(logarithmic ? {} : { min: 0, max: axis.max, tickAmount: axis.ticks }),
        title: plainAxis('g per 100 mL').title,
        labels: {
          ...plainAxis('').labels,
          formatter: (value) =>
            value >= 10 || value === 0 ? value.toFixed(0) : String(Number(value.toPrecision(2))),
        },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, drawn, across.from, across.to, across.parts, logarithmic])
  const series = useMemo(
    () =>
      drawn.flatMap(({ curve, between, beyond, dots }) => [
        { name: curve.name, data: between },
        { name: `${curve.name}, beyond the points`, data: beyond },
        { name: `${curve.name}, points`, data: dots },
      ]),
    [drawn],
  )
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
          ({ curve }) =>
            `Solubility of ${curve.name}: ${curve.points.map(([c, s]) => `${s} at ${c} °C`).join(', ')}`,
        )
        .join('. ')}
    >
      <Chart type="line" height={height} options={options} series={series} />
    </figure>
  )
}

/** A dashed line is broken by points without a value where the solid one runs. */
function linesOf(curve: SolubilityCurve, fromC: number, toC: number) {
  const temperatures = curve.points.map(([c]) => c)
  const [low, high] = [Math.min(...temperatures), Math.max(...temperatures)]
  const at = (c: number): XY[] => {
    const s = attempt(() => solubilityAt(curve.points, c, curve.fusionKJPerMol))
    return s.ok ? [{ x: c, y: s.value.gPer100ML }] : []
  }
  const along = (from: number, to: number) =>
    Array.from({ length: LINE_POINTS + 1 }, (_, i) => from + ((to - from) * i) / LINE_POINTS).flatMap(at)
  const gap = [{ x: low, y: null as unknown as number }]
  return {
    curve,
    between: curve.points.length > 1 ? along(low, high) : [],
    beyond: [...(fromC < low ? along(fromC, low) : []), ...gap, ...(toC > high ? along(high, toC) : [])],
    dots: [...curve.points].sort((p, q) => p[0] - q[0]).map(([x, y]) => ({ x, y })),
  }
}

/** An axis from 0 in steps that read well. */
function axisTo(most: number): { readonly max: number; readonly ticks: number } {
  const base = 10 ** Math.floor(Math.log10(most / 4))
  const step = ([1, 2, 2.5, 5, 10].find((one) => one * base * 5 >= most) ?? 10) * base
  const ticks = Math.ceil(most / step - 1e-9)
  return { max: ticks * step, ticks }
}
