import { checkLines, useTyped } from './useTyped'
import { FieldError } from './InlineField'
import { useHouseRules } from './useHouseRules'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate, useParams } from 'react-router'
import { BY_EYE_WITHIN } from '@ivory-crystal/core/identity'
import { massFractionOf } from '@ivory-crystal/core/melting'
import {
  EQUAL_BY_EYE,
  type Grinding,
  type NamedSample,
  nextSet,
  packMixedRun,
  rackOf,
} from '@ivory-crystal/core/notebook'
import { type Result, attempt, ok, refuse } from '@ivory-crystal/core/problems'
import { LOCAL_RULES } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import { readReading } from '@ivory-crystal/core/weighing'
import { fixed } from '../format/format'
import { newSubject, useNotebook, write } from '../ledger/notebook'
import { Field } from './Field'

interface Typed {
  by: Grinding['by']
  first: string
  second: string
  beside: boolean
}
type Packed = ReturnType<typeof packMixedRun>

/** Grinds a sample with one authentic sample or more, and packs the tubes of one run side by side. */
export function MixedMeltForm({
  sample,
  references,
}: {
  sample: Pick<NamedSample, 'id' | 'label'>
  references: readonly { readonly compound: Compound; readonly authentic: NamedSample | null }[]
}) {
  const { notebook } = useParams()
  const go = useNavigate()
  const view = useNotebook((state) => state.view)
  const rules = useHouseRules()
  const [first] = references
  const form = useTyped<Typed, Packed>({
    start: { by: 'eye', first: '', second: '', beside: true },
    make(typed) {
      const grinding = typed.by === 'eye' ? ok(EQUAL_BY_EYE) : weighed(typed)
      if (!grinding.ok) return grinding
      return ok(
        packMixedRun(newSubject, {
          sample,
          references,
          grinding: grinding.value,
          authenticBeside: typed.beside,
          fillMm: rules.fillMm[0],
          set: nextSet(rackOf(view).map(({ entry }) => entry.body.set)),
        }),
      )
    },
    check: ({ lines }) => checkLines(lines),
    keep({ lines, tubes: packed }) {
      const ids = write(...lines).slice(-packed)
      void go(`/n/${notebook ?? ''}/melts/new?tubes=${ids.join(',')}`)
    },
  })
  const { by, beside } = form.typed
  const tubes = 1 + references.length * (beside ? 2 : 1)
  if (!first) return null
  return (
    <form aria-label="Mixed melt" noValidate onSubmit={form.onSubmit}>
      <p className="mb-2">
        Grind {sample.label} with authentic{' '}
        {references.map(({ compound }) => compound.name).join(', and with ')} until no grain of either can be
        seen. Clean the tools in between. Label each tube before you pack the next.
      </p>
      <p className="caution mb-2">
        Treat an unknown as hazardous: protect your eyes, raise no dust, touch nothing. {LOCAL_RULES}
      </p>
      <fieldset className="row-of align-items-end">
        <legend className="visually-hidden">how you measure the parts</legend>
        {(['eye', 'mass'] as const).map((one) => (
          <Form.Check
            key={one}
            type="radio"
            name="grinding"
            id={`grinding-${one}`}
            label={one === 'eye' ? 'equal parts by eye' : 'weighed'}
            checked={by === one}
            onChange={() => {
              form.set({ by: one })
            }}
          />
        ))}
        {by === 'mass' && (
          <>
            <Field label={`${sample.label}, g`} width={110} {...form.of('first')} />
            <Field label={`authentic ${first.compound.name}, g`} width={210} {...form.of('second')} />
          </>
        )}
      </fieldset>
      <p className="form-text">
        {by === 'eye'
          ? `By eye the parts are equal within about ${fixed(100 * BY_EYE_WITHIN, 0)} % of the total, which makes the expected clear point less certain.`
          : 'The expected range is calculated for these masses.'}
      </p>
      <Form.Check
        id="beside"
        className="mt-1"
        label="authentic sample beside it"
        checked={beside}
        onChange={(event) => {
          form.set({ beside: event.target.checked })
        }}
      />
      <FieldError sentence={form.message} />
      <Button type="submit" className="mt-2">
        Pack {tubes} tubes and plan the run
      </Button>
    </form>
  )
}

/** Both masses read, or the sentence about what is wrong with them. */
function weighed(typed: Typed): Result<Grinding, keyof Typed> {
  const first = readReading(typed.first, 'The mass of the first part')
  if (!first.ok) return refuse(first.problem.sentence, 'first')
  const second = readReading(typed.second, 'The mass of the second part')
  if (!second.ok) return refuse(second.problem.sentence, 'second')
  const [p, q] = [first.value, second.value]
  const share = attempt(() => massFractionOf(p.value, q.value))
  if (!share.ok) return refuse(share.problem.sentence)
  return ok({ massFractionFirst: share.value, by: 'mass', massesG: [p, q] })
}
