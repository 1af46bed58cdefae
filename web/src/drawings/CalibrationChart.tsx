import { useMemo } from 'react'
import type { ApexOptions } from 'apexcharts'
import { type Calibration, correctBy } from '@ivory-crystal/core/thermometer'
import { evenAxis } from './axis'
import { Chart, isDark, plainAxis, plainChart, themeColour } from './Chart'

const POINTS = 60

/** What to add against what is read, with the band of its error; beyond the standards it is carried on flat. */
export function CalibrationChart({ calibration }: { calibration: Calibration }) {
  const dark = isDark()
  const { points } = calibration
  const reads = points.map(([readC]) => readC)
  const { from: fromC, to: toC, parts } = evenAxis(Math.min(...reads) - 10, Math.max(...reads) + 10, 10)
  const { curve, low, high } = useMemo(() => {
    const at = Array.from({ length: POINTS + 1 }, (_, i) => fromC + ((toC - fromC) * i) / POINTS)
    const told = at.map((readC) => {
      const { correctionC, errorC } = correctBy(calibration, readC)
      return { readC, correctionC, bandC: errorC ?? 0 }
    })
    const series = (of: (one: (typeof told)[number]) => number) =>
      told.map((one) => ({ x: one.readC, y: Number(of(one).toFixed(3)) }))
    return {
      curve: series((one) => one.correctionC),
      low: series((one) => one.correctionC - one.bandC),
      high: series((one) => one.correctionC + one.bandC),
    }
  }, [calibration, fromC, toC])
  const options = useMemo<ApexOptions>(() => {
    const css = themeColour
    return {
      ...plainChart(),
      colors: [css('--teal'), css('--ink-2'), css('--ink-2'), css('--ink')],
      stroke: { width: [2.2, 1, 1, 0], dashArray: [0, 4, 4, 0], curve: 'straight' },
      markers: { size: [0, 0, 0, 5], strokeWidth: 0 },
      xaxis: {
        type: 'numeric',
        min: fromC,
        max: toC,
        tickAmount: parts,
        title: plainAxis('read, °C').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        title: plainAxis('to be added, °C').title,
        labels: { ...plainAxis('').labels, formatter: (value) => value.toFixed(1) },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, fromC, toC, parts])
  const series = useMemo(
    () => [
      { name: 'correction', data: curve },
      { name: 'less its error', data: low },
      { name: 'with its error', data: high },
      { name: 'standards', data: points.map(([x, trueC]) => ({ x, y: Number((trueC - x).toFixed(3)) })) },
    ],
    [curve, low, high, points],
  )
  return <Chart type="line" height={270} options={options} series={series} />
}
