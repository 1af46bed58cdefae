import { useLines } from '../../parts/useTyped'
import { ok, type Result, refuse } from '@ivory-crystal/core/problems'
import { InlineField, FieldError } from '../../parts/InlineField'
import { lazy, Suspense } from 'react'
import Button from 'react-bootstrap/Button'
import type { Instrument } from '@ivory-crystal/core/instruments'
import {
  type DialLearned,
  dialOf,
  type Entry,
  heatingsInRuns,
  heatingsOf,
} from '@ivory-crystal/core/notebook'
import { simulatedHeating } from '@ivory-crystal/core/simulator'
import { day, fixed } from '../../format/format'
import { Field } from '../../parts/Field'
import { Figure } from '../../parts/Figure'
import { Why } from '../../parts/Why'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { compute } from '../../workers/compute'
import { useComputed } from '../../workers/useComputed'
import { readPairs } from './table'
import { FileButton } from '../../parts/FileButton'

const DialCharts = lazy(async () => ({ default: (await import('../../drawings/DialCharts')).DialCharts }))

/** Heatings logged, what the dial does worked out from them, and the two charts that go beside the instrument. */
export function Dial({ instrument }: { instrument: Instrument }) {
  const view = useNotebook((state) => state.view)
  const heatings = heatingsOf(view, instrument.id)
  const standing = dialOf(view, instrument.id)
  const { control } = instrument.character
  const fit = useComputed<DialLearned>(
    `${instrument.id} ${heatings.map(({ id }) => id).join(' ')}`,
    async () => (await compute()).learnDial([...heatings]),
  )
  const inRuns = heatingsInRuns(view, instrument.id)
  const isCurrent = standing !== null && standing.stale === null
  return (
    <div className="columns two mt-2">
      <div>
        <h2>Logged heatings</h2>
        <p className="quiet mt-1">
          A {control} sets power, not temperature. Heat from cold at one setting, and log what the thermometer
          reads. Do this for two settings at least, better three.
        </p>
        <HeatingList heatings={heatings} />
        {inRuns.length > 0 && (
          <p className="mt-2 mb-0">
            Recorded runs hold {inRuns.length === 1 ? 'a heating' : `${inRuns.length} heatings`} with the{' '}
            {control} left alone (setting {[...new Set(inRuns.map(({ dial }) => dial))].join(', ')}).{' '}
            <Button
              size="sm"
              variant="link"
              onClick={() => {
                for (const body of inRuns) write({ kind: 'heating logged', subject: instrument.id, body })
              }}
            >
              Log {inRuns.length === 1 ? 'it' : 'them'}
            </Button>
          </p>
        )}
        <LogHeating
          instrument={instrument}
          ambientC={heatings[0]?.body.ambientC ?? instrument.character.ambientC}
        />
      </div>
      <div>
        <h2>
          What the {control} does <Why of="fitBlockModel" />
        </h2>
        {!fit && (
          <p aria-busy="true">
            Working it out … <progress aria-label="Fitting the dial" />
          </p>
        )}
        {fit && !fit.ok && <p className="look mt-1">{fit.problem.sentence}</p>}
        {fit?.ok && (
          <>
            <Fit learned={fit.value} control={control} />
            {!isCurrent && (
              <Button
                className="mt-2"
                onClick={() => {
                  write({ kind: 'dial learned', subject: instrument.id, body: fit.value })
                }}
              >
                Plan with this
              </Button>
            )}
            {isCurrent && <p className="mt-2 mb-0">Plans use this, learned {day(standing.entry.at)}.</p>}
            {standing?.stale && <p className="look">{standing.stale}</p>}
          </>
        )}
      </div>
      {fit?.ok && (
        <div style={{ gridColumn: '1 / -1' }}>
          <Suspense fallback={<div style={{ height: 560 }} />}>
            <DialCharts
              learned={fit.value}
              heatings={heatings.map(({ body }) => body)}
              dialMax={instrument.character.dial?.max ?? 10}
              control={control}
            />
          </Suspense>
        </div>
      )}
    </div>
  )
}

function HeatingList({ heatings }: { heatings: readonly Entry<'heating logged'>[] }) {
  if (heatings.length === 0) return <p>None yet.</p>
  return (
    <table className="lines">
      <thead>
        <tr>
          <th className="num">setting</th>
          <th className="num">readings</th>
          <th className="num">to</th>
          <th>from</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {heatings.map((entry) => {
          const { dial, samples, from } = entry.body
          const last = samples[samples.length - 1]
          return (
            <tr key={entry.id}>
              <td className="num">{dial}</td>
              <td className="num">{samples.length}</td>
              <td className="num">{last ? `${fixed(last[1], 1)} °C in ${fixed(last[0], 0)} min` : ''}</td>
              <td>{from === 'simulated run' ? <span className="simulated">simulated</span> : from}</td>
              <td>
                <Button
                  size="sm"
                  variant="link"
                  aria-label={`Strike out the heating at ${dial}`}
                  onClick={() => {
                    strike(entry, 'not a good heating')
                  }}
                >
                  strike out
                </Button>
              </td>
            </tr>
          )
        })}
      </tbody>
    </table>
  )
}

/** A heating typed, from a file, or of the simulated stand-in. */
function LogHeating({ instrument, ambientC }: { instrument: Instrument; ambientC: number }) {
  const form = useLines<{ dial: string; ambient: string; text: string; fromFile: boolean }>({
    start: { dial: '', ambient: String(ambientC), text: '', fromFile: false },
    make({ dial, ambient, text, fromFile }) {
      const set = settings({ dial, ambient })
      if (!set.ok) return set
      const read = readPairs(text)
      if (!read.ok) return refuse(read.sentence, 'text')
      if (read.pairs.length < 5)
        return refuse(`${read.pairs.length} readings are too few. Log at least five.`, 'text')
      const from = fromFile ? 'file' : 'typed'
      return ok([
        {
          kind: 'heating logged',
          subject: instrument.id,
          body: { ...set.value, samples: read.pairs, from },
        },
      ])
    },
    stays: ['ambient'],
  })
  const simulate = () => {
    const set = settings(form.typed)
    if (!set.ok) return form.say(set.problem.sentence)
    const logged = simulatedHeating(instrument.character, set.value.dial, Math.round(set.value.dial * 977))
    if (!logged.ok) return form.say(logged.problem.sentence)
    const body = { ...set.value, samples: logged.value, from: 'simulated run' as const }
    write({ kind: 'heating logged', subject: instrument.id, body })
    form.set({ dial: '', text: '', fromFile: false })
  }
  return (
    <form className="mt-3" aria-label="Log a heating" onSubmit={form.onSubmit}>
      <h3>Log a heating</h3>
      <div className="row-of align-items-end mt-1">
        <InlineField label="setting" {...form.of('dial')} />
        <InlineField label="room, °C" {...form.of('ambient')} />
        {instrument.simulated && (
          <Button size="sm" variant="outline-primary" onClick={simulate}>
            Log simulated heating
          </Button>
        )}
      </div>
      <div className="mt-2">
        <Field
          label="readings: minutes and °C"
          rows={4}
          {...form.of('text')}
          onChange={(text) => {
            form.set({ text, fromFile: false })
          }}
        />
      </div>
      <div className="row-of align-items-center mt-2">
        <Button type="submit" size="sm">
          Log these readings
        </Button>
        <FileButton
          size="sm"
          variant="link"
          accept=".csv,.txt,text/csv,text/plain"
          name="file of minutes and temperature"
          onFile={(file) => {
            void file.text().then((read) => {
              form.set({ text: read, fromFile: true })
            })
          }}
        >
          Take them from a file
        </FileButton>
      </div>
      <FieldError sentence={form.message} />
    </form>
  )
}

function settings({
  dial,
  ambient,
}: {
  dial: string
  ambient: string
}): Result<{ dial: number; ambientC: number }, 'dial' | 'ambient'> {
  if (!(Number(dial) > 0)) return refuse('A heating is logged at a setting above 0.', 'dial')
  if (!Number.isFinite(Number(ambient)) || ambient.trim() === '')
    return refuse('Enter the room temperature, °C.', 'ambient')
  return ok({ dial: Number(dial), ambientC: Number(ambient) })
}

function Fit({ learned, control }: { learned: DialLearned; control: string }) {
  const { model, residualC, standardErrors, span } = learned
  return (
    <>
      <dl className="figures mt-1">
        <Figure
          name="Left alone it ends at"
          why={`room + gain · setting^exponent; gain ± ${fixed(2 * standardErrors.gain, 2)}, exponent ± ${fixed(2 * standardErrors.exponent, 3)}`}
        >
          {fixed(model.gain, 2)} ± {fixed(2 * standardErrors.gain, 2)} · d
          <sup>{fixed(model.exponent, 3)}</sup>
        </Figure>
        <Figure name="Time constant" why="how slowly it follows">
          {fixed(model.timeConstantMin, 2)} ± {fixed(2 * standardErrors.timeConstantMin, 2)} min
        </Figure>
        <Figure name="Readings lie within" why="standard deviation about the fit">
          {fixed(residualC, 2)} °C
        </Figure>
      </dl>
      <p className="quiet mt-1 mb-0">
        Logged from setting {span.leastDial} to {span.mostDial} and {fixed(span.leastC, 0)} to{' '}
        {fixed(span.mostC, 0)} °C. Outside of that the {control} is a guess, drawn dashed.
      </p>
    </>
  )
}
