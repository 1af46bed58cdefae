import { useMemo } from 'react'
import { type Calibration, correctBy } from '@ivory-crystal/core/thermometer'
import { evenAxis } from './plot/axis'
import { type ChartLine, LineChart, type XY } from './plot/LineChart'

const POINTS = 60

/** What to add against what is read, with the band of its error; beyond the standards it is carried on flat. */
export function CalibrationChart({ calibration }: { calibration: Calibration }) {
  const reads = calibration.points.map(([readC]) => readC)
  const across = evenAxis(Math.min(...reads) - 10, Math.max(...reads) + 10, 10)
  const { from, to } = across
  const lines = useMemo((): readonly ChartLine[] => {
    const corrections = Array.from({ length: POINTS + 1 }, (_, i) => {
      const readC = from + ((to - from) * i) / POINTS
      const { correctionC, errorC } = correctBy(calibration, readC)
      return { readC, correctionC, bandC: errorC ?? 0 }
    })
    const points = (of: (one: (typeof corrections)[number]) => number) =>
      corrections.map((one): XY => [one.readC, Number(of(one).toFixed(3))])
    const edge = { tone: '--ink-2', width: 1, dash: 4 } as const
    return [
      { name: 'correction', tone: '--teal', width: 2.2, points: points((one) => one.correctionC) },
      { name: 'less its error', ...edge, points: points((one) => one.correctionC - one.bandC) },
      { name: 'with its error', ...edge, points: points((one) => one.correctionC + one.bandC) },
      {
        name: 'standards',
        tone: '--ink',
        width: 0,
        dots: 5,
        points: calibration.points.map(([readC, trueC]) => [readC, Number((trueC - readC).toFixed(3))]),
      },
    ]
  }, [calibration, from, to])
  return (
    <LineChart
      height={270}
      lines={lines}
      x={{ ...across, title: 'read, °C', decimals: 0 }}
      y={{ title: 'to be added, °C', decimals: 1 }}
    />
  )
}
