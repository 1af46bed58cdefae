import { useMemo } from 'react'
import { dialForRate, modelledC } from '@ivory-crystal/core/heating'
import { type DialLearned, isOutsideLogged } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { fixed } from '../format/format'
import { evenAxis } from './plot/axis'
import { type ChartLine, LineChart } from './plot/LineChart'

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
  const lines = useMemo(() => {
    const dials = [...new Set(heatings.map(({ dial }) => dial))].sort((p, q) => p - q)
    return dials.flatMap((dial): readonly ChartLine[] => {
      const at = (minute: number) =>
        modelledC(learned.model, learned.model.ambientC, [{ atMin: 0, dial }], minute)
      return [
        {
          name: `setting ${dial}, fit`,
          tone: '--ember',
          width: 2,
          points: Array.from({ length: MINUTES + 1 }, (_, minute) => [minute, Number(at(minute).toFixed(1))]),
          label: { at: [MINUTES, at(MINUTES)], text: `setting ${dial}`, belowPx: 2 },
        },
        {
          name: `setting ${dial}, logged`,
          tone: '--ink-2',
          width: 0,
          dots: 2.5,
          points: heatings.filter((one) => one.dial === dial).flatMap(({ samples }) => some(samples)),
        },
      ]
    })
  }, [learned, heatings])
  return (
    <LineChart
      height={270}
      lines={lines}
      x={{ title: 'minutes', from: 0, to: MINUTES, parts: 5, decimals: 0 }}
      y={{ title: '°C', from: 0, decimals: 0 }}
    />
  )
}

/** Twenty of the readings of a heating: more would be one line. */
function some(samples: Logged['samples']): Logged['samples'] {
  const every = Math.max(1, Math.ceil(samples.length / 20))
  return samples.filter((_, i) => i % every === 0)
}

function RateChart({ learned, dialMax }: { learned: DialLearned; dialMax: number }) {
  const { settings, mostC } = useMemo(() => settingLines(learned, dialMax), [learned, dialMax])
  const lines = useMemo(
    () =>
      settings.map(({ rate, isGuess, points }): ChartLine => ({
        name: `${rate} °C/min${isGuess ? ', not logged' : ''}`,
        tone: '--teal',
        width: 1.8,
        dash: isGuess ? 5 : 0,
        points: points.map(([c, dial]) => [c, Number(dial.toFixed(3))]),
      })),
    [settings],
  )
  return (
    <LineChart
      height={270}
      lines={lines}
      x={{ ...evenAxis(20, mostC, 10), title: 'block, °C', decimals: 0 }}
      y={{ title: 'setting', from: 0, to: dialMax, parts: Math.min(10, dialMax), decimals: 0 }}
    />
  )
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
): { settings: readonly SettingLine[]; mostC: number } {
  const mostC = evenAxis(20, Math.max(learned.span.mostC, 120), 10).to
  const temperatures = Array.from({ length: (mostC - 20) / 5 + 1 }, (_, i) => 20 + i * 5)
  const settings = RATES.flatMap((rate) => {
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
    ].filter(({ points: drawn }) => drawn.length > 1)
  })
  return { settings, mostC }
}
