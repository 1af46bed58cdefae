import * as reactApexCharts from 'react-apexcharts'
import type { ApexOptions } from 'apexcharts'
import { type ComponentType, useMemo } from 'react'

interface ChartProps {
  options: ApexOptions
  series: ApexOptions['series']
  type: 'line'
  height: number
}
// The package is CommonJS: its default export arrives wrapped once or twice, depending on the bundler.
const wrapped = reactApexCharts.default as unknown as
  { default?: ComponentType<ChartProps> } | ComponentType<ChartProps>
const Chart = (
  'default' in wrapped && wrapped.default ? wrapped.default : wrapped
) as ComponentType<ChartProps>

/** A colour of the theme, by its name in CSS. */
type Tone = '--ink' | '--ink-2' | '--teal' | '--ice' | '--ember'
export type XY = readonly [x: number, y: number | null]

/** One line of a chart; a point without a value breaks it. */
export interface ChartLine {
  readonly name: string
  readonly points: readonly XY[]
  readonly tone: Tone
  /** px; 0 for points without a line. */
  readonly width: number
  readonly dash?: number
  /** Size of the dots at its points, px. */
  readonly dots?: number
  /** Words at a point of it, instead of a legend. */
  readonly label?: {
    readonly at: readonly [x: number, y: number]
    readonly text: string
    readonly belowPx: number
    readonly isStrong?: boolean
  }
}
interface ChartAxis {
  readonly title?: string
  readonly from?: number
  readonly to?: number
  readonly parts?: number
  /** Decimals of its numbers; without them to the two digits that tell. */
  readonly decimals?: number
  readonly isLogarithmic?: boolean
}

/**
 * Lines in a frame, all of them data: no toolbar, no movement, labels on the lines instead of a legend. It is drawn anew
 * when what it says has changed, or the theme.
 */
export function LineChart({
  lines,
  x,
  y,
  height,
  band,
  isStill = false,
}: {
  lines: readonly ChartLine[]
  x: ChartAxis
  y: ChartAxis
  height: number
  /** Heights that are marked. */
  band?: readonly [from: number, to: number]
  /** What grows beside it does not draw it anew. */
  isStill?: boolean
}) {
  const looks = lines.map(({ points: _, ...look }) => look)
  const sentence = JSON.stringify([looks, x, y, band, isStill, isDark()])
  // eslint-disable-next-line react-hooks/exhaustive-deps -- all that it is made of stands in what it says
  const options = useMemo(() => optionsOf(looks, x, y, band, isStill), [sentence])
  const series = useMemo(
    () =>
      lines.map(({ name, points }) => ({ name, data: points.map(([at, value]) => ({ x: at, y: value })) })),
    [lines],
  )
  return <Chart type="line" height={height} options={options} series={series} />
}

const isDark = () => document.documentElement.dataset['bsTheme'] === 'dark'
const colour = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

type Look = Omit<ChartLine, 'points'>

function optionsOf(
  looks: readonly Look[],
  x: ChartAxis,
  y: ChartAxis,
  band: readonly [number, number] | undefined,
  isStill: boolean,
): ApexOptions {
  return {
    chart: {
      animations: { enabled: false },
      toolbar: { show: false },
      zoom: { enabled: false },
      fontFamily: 'inherit',
      background: 'transparent',
      redrawOnParentResize: !isStill,
    },
    theme: { mode: isDark() ? 'dark' : 'light' },
    legend: { show: false },
    tooltip: { enabled: false },
    grid: { borderColor: colour('--hair') },
    colors: looks.map(({ tone }) => colour(tone)),
    stroke: {
      width: looks.map(({ width }) => width),
      dashArray: looks.map(({ dash = 0 }) => dash),
      curve: 'straight',
    },
    markers: { size: looks.map(({ dots = 0 }) => dots), strokeWidth: 0, hover: { sizeOffset: 0 } },
    annotations: {
      ...(band && {
        yaxis: [
          { y: band[0], y2: band[1], fillColor: colour('--ember'), opacity: 0.1, borderColor: 'transparent' },
        ],
      }),
      points: looks.flatMap(({ label, tone }) => (label ? [labelOf(label, tone)] : [])),
    },
    xaxis: { type: 'numeric', ...axisOf(x) },
    yaxis: { ...axisOf(y), logarithmic: y.isLogarithmic === true },
  }
}

function labelOf({ at: [x, y], text, belowPx, isStrong }: NonNullable<Look['label']>, tone: Tone) {
  return {
    x,
    y,
    marker: { size: 0 },
    label: {
      text,
      textAnchor: 'end',
      offsetX: isStrong ? -8 : 0,
      offsetY: belowPx,
      borderWidth: 0,
      style: {
        background: 'transparent',
        color: colour(isStrong ? tone : '--ink'),
        fontSize: isStrong ? '13px' : '12.5px',
        ...(isStrong && { fontWeight: 700 }),
      },
    },
  }
}

function axisOf({ title, from, to, parts, decimals }: ChartAxis) {
  const quiet = colour('--ink-2')
  const text = (value: number) =>
    decimals !== undefined
      ? value.toFixed(decimals)
      : value >= 10 || value === 0
        ? value.toFixed(0)
        : String(Number(value.toPrecision(2)))
  return {
    ...(from !== undefined && { min: from }),
    ...(to !== undefined && { max: to }),
    ...(parts !== undefined && { tickAmount: parts }),
    ...(title !== undefined && {
      title: { text: title, style: { color: quiet, fontWeight: 400, fontSize: '12.5px' } },
    }),
    labels: {
      style: { colors: quiet, fontSize: '12.5px' },
      formatter: (value: string | number) => text(Number(value)),
    },
  }
}
