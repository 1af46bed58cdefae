import { useMemo } from 'react'
import type { ApexOptions } from 'apexcharts'
import { fixed } from '../format/format'
import { evenAxis } from './axis'
import { Chart, isDark, plainAxis, plainChart, themeColour } from './Chart'

const PARTS_MOST = 9

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
  const time = evenAxis(0, lastMin, PARTS_MOST)
  const height = evenAxis(20, stopC + 5, PARTS_MOST)
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
          },
        ],
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: time.to,
        tickAmount: time.parts,
        title: plainAxis('minutes').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        min: height.from,
        max: height.to,
        tickAmount: height.parts,
        labels: { ...plainAxis('').labels, formatter: (value) => value.toFixed(0) },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, watchFromC, stopC, time.to, time.parts, height.from, height.to, height.parts])
  const series = useMemo(() => [line('planned', planned), line('read', read)], [planned, read])
  return (
    <figure className="m-0">
      <Chart type="line" height={250} options={options} series={series} />
      <figcaption className="quiet">
        <svg width="18" height="12" aria-hidden>
          <rect width="18" height="12" fill="var(--ember)" opacity="0.18" />
        </svg>{' '}
        watch from {fixed(watchFromC, 0)} to {fixed(stopC, 0)} °C
      </figcaption>
    </figure>
  )
}

function line(name: string, points: readonly Point[]) {
  return { name, data: points.map(([x, y]) => ({ x, y })) }
}
