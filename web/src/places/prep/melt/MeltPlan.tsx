import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  CORE_VERSION,
  DEFAULT_HOUSE_RULES,
  planMelt,
  readReading,
  type Grain,
  type MeltId,
  type PlannedTube,
  type PrepFacts,
  type RampPlan,
  type SampleId,
} from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { api } from '../../../state/api'
import { newSubject, useNotebook, write } from '../../../state/notebook'

interface Tube {
  readonly sample: SampleId | ''
  readonly fillMm: string
  readonly grain: Grain
}

/** Which sample in which slot, how it is packed, and the ramp that follows from it. */
export function MeltPlan({ prep, again }: { prep: PrepFacts; again: boolean }) {
  const shelf = useNotebook((state) => state.shelf)
  const instrument = shelf?.instruments[0]
  const conventions = shelf?.houseRules[0] ?? DEFAULT_HOUSE_RULES
  const blockC = useBlockTemperature(instrument?.id ?? '')
  const [tubes, setTubes] = useState<readonly Tube[]>(() => startingTubes(prep))
  if (!instrument) return <p>No instrument is on the shelf of this ledger.</p>
  const read = readTubes(tubes, prep)
  const planned = read.ok
    ? planMelt(prep, read.tubes, instrument.character, blockC ?? instrument.character.ambientC, conventions)
    : null
  const sentence = !read.ok ? read.sentence : planned && !planned.ok ? planned.problem.sentence : null
  const set = (i: number, change: Partial<Tube>) => {
    setTubes(tubes.map((tube, j) => (i === j ? { ...tube, ...change } : tube)))
  }
  return (
    <form
      className="columns two"
      aria-label="Plan the melt"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        if (!read.ok || !planned?.ok) return
        const { compound } = prep.opened.body
        write({
          kind: 'melt planned',
          subject: newSubject<MeltId>(),
          body: {
            prep: prep.id,
            instrument: instrument.id,
            tubes: read.tubes,
            literature: { lowC: compound.meltLowC, highC: compound.meltHighC, source: compound.source },
            ...planned.value,
            conventions,
            coreVersion: CORE_VERSION,
            restsOn: [prep.opened.id],
          },
        })
      }}
    >
      <div>
        <h2>{again ? 'Melt again' : 'Pack the tubes'}</h2>
        <p className="quiet mt-1">
          Dry, finely crushed, {conventions.fillMm[0]} to {conventions.fillMm[1]} mm, tapped down tight. Label
          each tube before you pack the next.
        </p>
        <table className="lines">
          <thead>
            <tr>
              <th>slot</th>
              <th>sample</th>
              <th>fill, mm</th>
              <th>grain</th>
            </tr>
          </thead>
          <tbody>
            {tubes.map((tube, i) => (
              <tr key={i}>
                <td className="pt-3">{i + 1}</td>
                <td>
                  <Form.Select
                    aria-label={`sample in slot ${i + 1}`}
                    value={tube.sample}
                    onChange={(event) => {
                      set(i, { sample: event.target.value as SampleId | '' })
                    }}
                  >
                    <option value="">empty</option>
                    {prep.samples.map((sample) => (
                      <option key={sample.id} value={sample.id}>
                        {sample.label}
                      </option>
                    ))}
                  </Form.Select>
                </td>
                <td>
                  <Form.Control
                    style={{ width: 74 }}
                    inputMode="decimal"
                    aria-label={`fill height in slot ${i + 1}, mm`}
                    value={tube.fillMm}
                    disabled={tube.sample === ''}
                    onChange={(event) => {
                      set(i, { fillMm: event.target.value })
                    }}
                  />
                </td>
                <td>
                  <Form.Select
                    aria-label={`grain in slot ${i + 1}`}
                    value={tube.grain}
                    disabled={tube.sample === ''}
                    onChange={(event) => {
                      set(i, { grain: event.target.value as Grain })
                    }}
                  >
                    <option value="fine">fine powder</option>
                    <option value="coarse">coarse</option>
                  </Form.Select>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="caution">
          Capillaries are sharp: glass waste when done, never cleaned out. A heated block looks the same hot
          or cold.
        </p>
      </div>
      <div>
        <h2>The ramp</h2>
        <p className="mt-1 mb-2">
          {instrument.name} <span className="simulated">simulated</span>
        </p>
        {planned?.ok && <RampTable plan={planned.value.plan} blockC={blockC} />}
        {sentence && (
          <p className="look" role="alert">
            {sentence}
          </p>
        )}
        <Button type="submit" disabled={!planned?.ok} className="mt-2">
          Plan this melt
        </Button>
      </div>
    </form>
  )
}

export function RampTable({ plan, blockC }: { plan: RampPlan; blockC: number | null }) {
  return (
    <>
      <table className="lines">
        <tbody>
          {plan.segments.map((segment) => (
            <tr key={segment.kind}>
              <td>{WORDS[segment.kind]}</td>
              <td className="num">
                {fixed(segment.fromC, 1)} to {fixed(segment.toC, 1)} °C
              </td>
              <td className="num">
                {segment.kind === 'cool' ? '' : `${fixed(segment.rateCPerMin, 1)} °C/min`}
              </td>
              <td className="num">{fixed(segment.minutes, 0)} min</td>
            </tr>
          ))}
          <tr>
            <td>Eye at the lens</td>
            <td className="num">from {fixed(plan.watchFromC, 1)} °C</td>
            <td className="num">after {fixed(plan.watchFromMin, 0)} min</td>
            <td className="num">
              <b>{fixed(plan.totalMin, 0)} min in all</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p className="quiet mt-2 mb-1">
        {blockC === null
          ? 'The block could not be asked for its temperature; the room’s is assumed.'
          : `The block is at ${fixed(blockC, 1)} °C now.`}
      </p>
      {plan.warnings.map((warning) => (
        <p key={warning} className="look">
          {warning}
        </p>
      ))}
    </>
  )
}

const WORDS = { cool: 'Cool', preheat: 'Preheat', ramp: 'Ramp' } as const

function useBlockTemperature(id: string): number | null {
  const [blockC, setBlockC] = useState<number | null>(null)
  useEffect(() => {
    // Asks the server once; the plan is made for the block as it is now.
    let wanted = true
    api.instruments().then(
      ({ instruments }) => {
        if (wanted) setBlockC(instruments.find((one) => one.instrument.id === id)?.blockC ?? null)
      },
      () => undefined,
    )
    return () => {
      wanted = false
    }
  }, [id])
  return blockC
}

function startingTubes(prep: PrepFacts): readonly Tube[] {
  const of = (role: string): SampleId | '' => prep.samples.find((sample) => sample.role === role)?.id ?? ''
  const empty: Tube = { sample: '', fillMm: '2', grain: 'fine' }
  return [{ ...empty, sample: of('crude') }, { ...empty, sample: of('product') }, empty]
}

function readTubes(
  tubes: readonly Tube[],
  prep: PrepFacts,
): { ok: true; tubes: PlannedTube[] } | { ok: false; sentence: string } {
  const read: PlannedTube[] = []
  for (const [i, tube] of tubes.entries()) {
    if (tube.sample === '') continue
    const fill = readReading(tube.fillMm, `The fill height in slot ${i + 1}`)
    if (!fill.ok) return { ok: false, sentence: fill.problem.sentence }
    if (fill.value.value <= 0 || fill.value.value > 50)
      return {
        ok: false,
        sentence: `A fill height of ${fill.value.text} mm in slot ${i + 1} cannot be; most labs pack 2 to 3.`,
      }
    const label = prep.samples.find((sample) => sample.id === tube.sample)?.label ?? 'sample'
    read.push({ slot: i + 1, sample: tube.sample, label, fillMm: fill.value.value, grain: tube.grain })
  }
  return read.length > 0
    ? { ok: true, tubes: read }
    : { ok: false, sentence: 'Put a sample into at least one slot.' }
}
