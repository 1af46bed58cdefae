import { useLines } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type PrepFacts, type TrialFacts, trialsOf } from '@ivory-crystal/core/notebook'
import { LOCAL_RULES } from '@ivory-crystal/core/procedures'
import { COLD_SEEN, COOLED_SEEN, HOT_SEEN, trialPoint, TRIAL_CAUTION } from '@ivory-crystal/core/solubility'
import { readReading } from '@ivory-crystal/core/weighing'
import type { Shelf } from '@ivory-crystal/core/wire'
import { capital, fixed } from '../../../format/format'
import { TakeCare } from '../../../parts/TakeCare'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { strike, useNotebook, write } from '../../../ledger/notebook'

/** Solvents tried in test tubes: tick what is seen, and the grid says which to use and how much at first. */
export function TubeTrial({
  prep,
  shelf,
  hotC,
  onUse,
}: {
  prep: PrepFacts
  shelf: Shelf
  hotC: number
  onUse: (solvent: string, point: readonly [number, number]) => void
}) {
  const view = useNotebook((state) => state.view)
  const trials = trialsOf(view, prep.id)
  return (
    <>
      <p className="quiet">
        Put a spatula tip of crude into a few drops of each solvent. Look when cold, when hot, and after
        cooling. The latest trial of each solvent counts; earlier ones stay in the log. {LOCAL_RULES}
      </p>
      <p className="caution">{TRIAL_CAUTION}</p>
      <TakeCare compound={prep.opened.body.compound} />
      {trials.length > 0 && (
        <table className="lines stacks">
          <thead>
            <tr>
              <th>solvent</th>
              <th>cold</th>
              <th>hot</th>
              <th>after cooling</th>
              <th>what it says</th>
            </tr>
          </thead>
          <tbody>
            {trials.map((trial) => (
              <TrialRow key={trial.entry.id} trial={trial} prep={prep} hotC={hotC} onUse={onUse} />
            ))}
          </tbody>
        </table>
      )}
      <NewTrial prep={prep} shelf={shelf} tried={trials.map(({ entry }) => entry.body.solvent)} />
    </>
  )
}

function TrialRow({
  trial: { entry, verdict },
  prep,
  hotC,
  onUse,
}: {
  trial: TrialFacts
  prep: PrepFacts
  hotC: number
  onUse: (solvent: string, point: readonly [number, number]) => void
}) {
  const { body } = entry
  const tick = (change: Partial<typeof body>) => {
    write({ kind: 'trial seen', subject: prep.id, body: { ...body, ...change } })
  }
  const point = trialPoint(body, hotC)
  return (
    <tr>
      <td className="whole">
        {capital(body.solventName)}
        <span className="quiet d-block">
          {body.sampleMg} mg in {body.solventML} mL
        </span>
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(entry, 'trial entered by mistake')
          }}
        >
          strike out
        </Button>
      </td>
      <Seen
        column="cold"
        name={`${body.solventName}, cold`}
        words={COLD_SEEN}
        seen={body.cold}
        onSee={(cold) => {
          tick({ cold })
        }}
      />
      <Seen
        column="hot"
        name={`${body.solventName}, hot`}
        words={HOT_SEEN}
        seen={body.hot}
        onSee={(hot) => {
          tick({ hot })
        }}
      />
      <Seen
        column="after cooling"
        name={`${body.solventName}, after cooling`}
        words={COOLED_SEEN}
        seen={body.cooled}
        disabled={body.hot !== 'all dissolves'}
        onSee={(cooled) => {
          tick({ cooled })
        }}
      />
      <td className="whole">
        <b>{capital(verdict.fit)}.</b> {verdict.sentence}
        {point && verdict.fit !== 'unsuitable' && (
          <Button
            variant="link"
            size="sm"
            className="d-block"
            onClick={() => {
              onUse(body.solvent, point)
            }}
          >
            Plan with it: {fixed(point[1], 1)} g per 100 mL hot, at least
          </Button>
        )}
      </td>
    </tr>
  )
}

function Seen<T extends string>({
  column,
  name,
  words,
  seen,
  disabled = false,
  onSee,
}: {
  column: string
  name: string
  words: readonly T[]
  seen: T | null
  disabled?: boolean
  onSee: (word: T) => void
}) {
  return (
    <td data-name={column}>
      <div role="group" aria-label={name} className="seen">
        {words.map((word) => (
          <button
            key={word}
            type="button"
            aria-pressed={seen === word}
            disabled={disabled}
            onClick={() => {
              onSee(word)
            }}
          >
            {word}
          </button>
        ))}
      </div>
    </td>
  )
}

function NewTrial({ prep, shelf, tried }: { prep: PrepFacts; shelf: Shelf; tried: readonly string[] }) {
  const offered = shelf.solvents.filter(({ id }) => !tried.includes(id))
  const form = useLines({
    start: { solvent: '', mg: '40', ml: '0.5' },
    make({ solvent, mg, ml }) {
      const picked = offered.find(({ id }) => id === solvent) ?? offered[0]
      if (!picked) return refuse('Every solvent of the shelf has been tried.')
      const sample = readReading(mg, 'The sample')
      if (!sample.ok) return refuse(sample.problem.sentence, 'mg')
      const volume = readReading(ml, 'The solvent')
      if (!volume.ok) return refuse(volume.problem.sentence, 'ml')
      if (sample.value.value <= 0 || volume.value.value <= 0)
        return refuse('A trial needs some sample and some solvent.')
      return ok([
        {
          kind: 'trial seen',
          subject: prep.id,
          body: {
            solvent: picked.id,
            solventName: picked.name,
            sampleMg: sample.value.value,
            solventML: volume.value.value,
            cold: null,
            hot: null,
            cooled: null,
          },
        },
      ])
    },
    stays: ['mg', 'ml'],
  })
  const picked = offered.find(({ id }) => id === form.typed.solvent) ?? offered[0]
  return (
    <div className="row-of mt-2" role="group" aria-label="A new trial">
      <div>
        <Form.Label htmlFor="trial-solvent">try</Form.Label>
        <Form.Select
          id="trial-solvent"
          value={picked?.id ?? ''}
          onChange={(event) => {
            form.set({ solvent: event.target.value })
          }}
        >
          {offered.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </Form.Select>
      </div>
      <InlineField label="crude, mg" width={96} {...form.of('mg')} />
      <InlineField label="solvent, mL" width={96} {...form.of('ml')} />
      <Button variant="outline-primary" onClick={form.submit}>
        Add a tube
      </Button>
      <Refusal sentence={form.message} />
    </div>
  )
}
