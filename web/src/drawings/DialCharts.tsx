import { useMemo } from 'react'
import type { ApexOptions } from 'apexcharts'
import { dialForRate, modelledC } from '@ivory-crystal/core/heating'
import { type DialLearned, isOutsideLogged } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { fixed } from '../format/format'
import { evenAxis } from './axis'
import { Chart, isDark, plainAxis, plainChart, themeColour } from './Chart'

const MINUTES = 25
const RATES = [1, 2, 5, 10] as const

interface Logged {
  readonly dial: number
  readonly samples: readonly (readonly [minutes: number, temperatureC: number])[]
}

/** The two charts that hang beside an instrument, drawn for this one: heating by setting, and the setting for a wanted rate. */
export function DialCharts({
  learned,
  heatings,
  dialMax,
  control,
}: {
  learned: DialLearned
  heatings: readonly Logged[]
  dialMax: number
  control: string
}) {
  return (
    <div className="columns two">
      <figure className="m-0">
        <figcaption>
          <h3>Temperature against time, by setting</h3>
        </figcaption>
        <HeatingChart learned={learned} heatings={heatings} />
      </figure>
      <figure className="m-0">
        <figcaption>
          <h3>Setting of the {control} for a rate</h3>
        </figcaption>
        <RateChart learned={learned} dialMax={dialMax} />
        <p className="quiet mb-0">
          From the top: {[...RATES].reverse().join(', ')} °C/min. For 1 °C/min at 95 °C:{' '}
          {settingText(learned, 95, 1, dialMax)}; for 2 °C/min: {settingText(learned, 95, 2, dialMax)}.
        </p>
      </figure>
    </div>
  )
}

function settingText(learned: DialLearned, atC: number, rate: number, dialMax: number): string {
  const dial = attempt(() => dialForRate(learned.model, atC, rate))
  return dial.ok && dial.value <= dialMax ? fixed(dial.value, 2) : 'none'
}

function HeatingChart({ learned, heatings }: { learned: DialLearned; heatings: readonly Logged[] }) {
  const dials = useMemo(
    () => [...new Set(heatings.map(({ dial }) => dial))].sort((p, q) => p - q),
    [heatings],
  )
  const dark = isDark()
  const options = useMemo<ApexOptions>(() => {
    const css = themeColour
    return {
      ...plainChart(),
      colors: dials.flatMap(() => [css('--ember'), css('--ink-2')]),
      stroke: { width: dials.flatMap(() => [2, 0]), curve: 'straight' },
      markers: { size: dials.flatMap(() => [0, 2.5]), strokeWidth: 0 },
      annotations: {
        points: dials.map((dial) => ({
          x: MINUTES,
          y: modelledC(learned.model, learned.model.ambientC, [{ atMin: 0, dial }], MINUTES),
          marker: { size: 0 },
          label: {
            text: `setting ${dial}`,
            textAnchor: 'end',
            offsetY: 2,
            borderWidth: 0,
            style: { background: 'transparent', color: css('--ink'), fontSize: '12.5px' },
          },
        })),
      },
      xaxis: {
        type: 'numeric',
        min: 0,
        max: MINUTES,
        tickAmount: 5,
        title: plainAxis('minutes').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        min: 0,
        title: plainAxis('°C').title,
        labels: { ...plainAxis('').labels, formatter: (value) => value.toFixed(0) },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, learned, dials])
  const series = useMemo(
    () =>
      dials.flatMap((dial) => [
        {
          name: `setting ${dial}, fit`,
          data: Array.from({ length: MINUTES + 1 }, (_, minute) => ({
            x: minute,
            y: Number(
              modelledC(learned.model, learned.model.ambientC, [{ atMin: 0, dial }], minute).toFixed(1),
            ),
          })),
        },
        {
          name: `setting ${dial}, logged`,
          data: heatings
            .filter((one) => one.dial === dial)
            .flatMap(({ samples }) => {
              const every = Math.max(1, Math.ceil(samples.length / 20))
              return samples.filter((_, i) => i % every === 0).map(([x, y]) => ({ x, y }))
            }),
        },
      ]),
    [learned, heatings, dials],
  )
  return <Chart type="line" height={270} options={options} series={series} />
}

function RateChart({ learned, dialMax }: { learned: DialLearned; dialMax: number }) {
  const dark = isDark()
  const { lines, mostC } = useMemo(() => settingLines(learned, dialMax), [learned, dialMax])
  const axis = evenAxis(20, mostC, 10)
  const options = useMemo<ApexOptions>(() => {
    const css = themeColour
    return {
      ...plainChart(),
      colors: lines.map(() => css('--teal')),
      stroke: { width: 1.8, curve: 'straight', dashArray: lines.map(({ isGuess }) => (isGuess ? 5 : 0)) },
      xaxis: {
        type: 'numeric',
        min: axis.from,
        max: axis.to,
        tickAmount: axis.parts,
        title: plainAxis('block, °C').title,
        labels: { ...plainAxis('').labels, formatter: (value) => Number(value).toFixed(0) },
      },
      yaxis: {
        min: 0,
        max: dialMax,
        tickAmount: Math.min(10, dialMax),
        title: plainAxis('setting').title,
        labels: { ...plainAxis('').labels, formatter: (value) => value.toFixed(0) },
      },
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the theme's colours are read from the document
  }, [dark, lines, mostC, dialMax])
  const series = useMemo(
    () =>
      lines.map(({ rate, isGuess, points }) => ({
        name: `${rate} °C/min${isGuess ? ', not logged' : ''}`,
        data: points.map(([x, y]) => ({ x, y: Number(y.toFixed(3)) })),
      })),
    [lines],
  )
  return <Chart type="line" height={270} options={options} series={series} />
}

interface SettingLine {
  readonly rate: number
  /** Outside what was logged. */
  readonly isGuess: boolean
  readonly points: readonly (readonly [temperatureC: number, dial: number])[]
}

function settingLines(
  learned: DialLearned,
  dialMax: number,
): { lines: readonly SettingLine[]; mostC: number } {
  const mostC = evenAxis(20, Math.max(learned.span.mostC, 120), 10).to
  const temperatures = Array.from({ length: (mostC - 20) / 5 + 1 }, (_, i) => 20 + i * 5)
  const lines = RATES.flatMap((rate) => {
    const points = temperatures.flatMap((c) => {
      const dial = attempt(() => dialForRate(learned.model, Math.max(c, learned.model.ambientC), rate))
      return dial.ok && dial.value <= dialMax ? [[c, dial.value] as const] : []
    })
    const logged = points.filter(([c, dial]) => !isOutsideLogged(learned, dial, c))
    const below = points.filter(([c]) => c <= (logged[0]?.[0] ?? Infinity))
    const above = points.filter(([c]) => c >= (logged[logged.length - 1]?.[0] ?? Infinity))
    return [
      { rate, isGuess: false, points: logged },
      { rate, isGuess: true, points: below.length > 1 ? below : [] },
      { rate, isGuess: true, points: logged.length > 0 && above.length > 1 ? above : [] },
    ].filter(({ points: some }) => some.length > 1)
  })
  return { lines, mostC }
}
