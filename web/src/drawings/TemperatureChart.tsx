import { useMemo } from 'react'
import type { ApexOptions } from 'apexcharts'
import { Chart, isDark, plainAxis, plainChart, themeColour } from './Chart'

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
  const dark = isDark()
  const lastMin = Math.max(planned[planned.length - 1]?.[0] ?? 0, read[read.length - 1]?.[0] ?? 0, 10)
  const minutes = Math.ceil(lastMin / 5) * 5
  const mostC = 20 + Math.ceil((stopC - 15) / 20) * 20
  const options = useMemo<ApexOptions>(() => {
    const css = themeColour
    const quiet = css('--ink-2')
    return {
      ...plainChart(),
      // A mark makes the pad beside it grow; that must not draw the curve anew.
      chart: { ...plainChart().chart, redrawOnParentResize: false },
      colors: [quiet, css('--ember')],
      stroke: { width: [1.5, 2.5], dashArray: [5, 0], curve: 'straight' },
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
        title: plainAxis('minutes').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        min: 20,
        max: mostC,
        tickAmount: (mostC - 20) / 20,
        labels: { ...plainAxis('').labels, formatter: (value) => value.toFixed(0) },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, watchFromC, stopC, minutes, mostC])
  const series = useMemo(() => [line('planned', planned), line('read', read)], [planned, read])
  return <Chart type="line" height={250} options={options} series={series} />
}

function line(name: string, points: readonly Point[]) {
  return { name, data: points.map(([x, y]) => ({ x, y })) }
}
