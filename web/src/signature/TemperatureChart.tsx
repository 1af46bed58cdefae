import { useMemo } from 'react'
import * as reactApexCharts from 'react-apexcharts'
import type { ApexOptions } from 'apexcharts'
import type { ComponentType } from 'react'

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

type Point = readonly [minutes: number, temperatureC: number]

/** Block temperature against instrument time: as planned, dashed, and as read. */
export function TemperatureChart({
  planned,
  read,
  watchFromC,
  stopC,
}: {
  planned: readonly Point[]
  read: readonly Point[]
  watchFromC: number
  stopC: number
}) {
  const dark = document.documentElement.dataset['bsTheme'] === 'dark'
  const lastMin = Math.max(planned[planned.length - 1]?.[0] ?? 0, read[read.length - 1]?.[0] ?? 0, 10)
  const minutes = Math.ceil(lastMin / 5) * 5
  const mostC = 20 + Math.ceil((stopC - 15) / 20) * 20
  const options = useMemo<ApexOptions>(() => {
    const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()
    const quiet = css('--ink-2')
    return {
      chart: {
        animations: { enabled: false },
        toolbar: { show: false },
        zoom: { enabled: false },
        fontFamily: 'inherit',
        background: 'transparent',
      },
      theme: { mode: dark ? 'dark' : 'light' },
      colors: [quiet, css('--ember')],
      stroke: { width: [1.5, 2.5], dashArray: [5, 0], curve: 'straight' },
      legend: { show: false },
      tooltip: { enabled: false },
      grid: { borderColor: css('--hair') },
      annotations: {
        position: 'back',
        yaxis: [
          {
            y: watchFromC,
            y2: stopC,
            fillColor: css('--ember'),
            opacity: 0.1,
            borderColor: 'transparent',
            label: {
              text: `watch from ${watchFromC.toFixed(0)} to ${stopC.toFixed(0)}`,
              position: 'left',
              textAnchor: 'start',
              offsetX: 6,
              offsetY: 15,
              borderWidth: 0,
              style: { background: 'transparent', color: css('--ember'), fontSize: '12.5px' },
            },
          },
        ],
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: minutes,
        tickAmount: minutes / 5,
        title: { text: 'minutes', style: { color: quiet, fontWeight: 400, fontSize: '12.5px' } },
        labels: {
          style: { colors: quiet, fontSize: '12.5px' },
          formatter: (value) => Number(value).toFixed(0),
        },
      },
      yaxis: {
        min: 20,
        max: mostC,
        tickAmount: (mostC - 20) / 20,
        labels: { style: { colors: quiet, fontSize: '12.5px' }, formatter: (value) => value.toFixed(0) },
      },
    }
  }, [dark, watchFromC, stopC, minutes, mostC])
  const series = useMemo(() => [line('planned', planned), line('read', read)], [planned, read])
  return <Chart type="line" height={250} options={options} series={series} />
}

function line(name: string, points: readonly Point[]) {
  return { name, data: points.map(([x, y]) => ({ x, y })) }
}
