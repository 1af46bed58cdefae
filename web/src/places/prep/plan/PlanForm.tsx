import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useForm, useWatch } from 'react-hook-form'
import {
  type Compound,
  type Conventions,
  CORE_VERSION,
  DEFAULT_HOUSE_RULES,
  massOf,
  type PrepFacts,
  sampleOf,
  type Shelf,
  type Solvent,
  workingTemperatures,
} from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { NumberField } from '../../../parts/NumberField'
import { SolventColumn } from '../../../signature/SolventColumn'
import { useNotebook, write } from '../../../state/notebook'
import {
  outcomeOf,
  OWN_POINTS,
  shelfPoints,
  solventsFor,
  typedPoints,
  type Draft,
  type DraftField,
  type Outcome,
} from './draft'
import { PlanFigures } from './PlanFigures'
import { PointsField } from './PointsField'
import { WhyAndCare } from './WhyAndCare'

interface Props {
  readonly prep: PrepFacts
  readonly crudeText: string
  readonly onFixed: () => void
  readonly onCancel: (() => void) | null
}

/** The shelf is there once the notebook is open. */
export function PlanForm(props: Props) {
  const shelf = useNotebook((state) => state.shelf)
  return shelf ? <PlanFields {...props} shelf={shelf} /> : <p aria-busy="true">Reading the shelf …</p>
}

function PlanFields({ prep, crudeText, onFixed, onCancel, shelf }: Props & { shelf: Shelf }) {
  const { compound } = prep.opened.body
  const solvents = solventsFor(shelf, compound)
  const { register, control, setValue } = useForm<Draft>({
    defaultValues: startingDraft(prep, shelf, solvents[0]?.solvent),
  })
  const [touched, setTouched] = useState(prep.plan !== null)
  const draft = useWatch({ control }) as Draft
  const mass = massOf(sampleOf(prep, 'crude'))
  const outcome = outcomeOf(draft, mass.ok ? mass.value.value : 0)
  const solvent = shelf.solvents.find((one) => one.id === draft.solvent)
  const impurity = shelf.compounds.find((one) => one.name === draft.impurity) ?? null
  const error = (field: DraftField) =>
    !outcome.ok && outcome.field === field && (touched || field !== 'product')
      ? { type: 'value', message: outcome.sentence }
      : undefined

  function pickSolvent(id: string) {
    const picked = shelf.solvents.find((one) => one.id === id)
    setValue('solvent', id)
    if (!picked) return
    const { hotC, coldC } = workingTemperatures(picked, compound)
    setValue('hotC', String(hotC))
    setValue('coldC', String(coldC))
    setValue('product', typedPoints(shelfPoints(shelf, compound.id, id)))
    setValue('impurityPoints', impurity ? typedPoints(shelfPoints(shelf, impurity.id, id)) : [])
  }
  function pickImpurity(name: string) {
    setValue('impurity', name)
    const picked = shelf.compounds.find((one) => one.name === name)
    setValue('impurityPoints', picked ? typedPoints(shelfPoints(shelf, picked.id, draft.solvent)) : [])
  }

  return (
    <form
      className="columns plan"
      aria-label="Plan"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        setTouched(true)
        if (!outcome.ok || !solvent) return
        fixPlan(
          prep,
          { compound, impurity, solvent, conventions: shelf.houseRules[0] ?? DEFAULT_HOUSE_RULES },
          outcome,
          sourceOf(shelf, draft, compound),
        )
        onFixed()
      }}
    >
      <div>
        {outcome.ok ? (
          <SolventColumn
            addedML={null}
            dissolveML={outcome.value.plan.minimumHotML}
            toML={outcome.value.plan.hotML}
            staysDissolvedML={outcome.value.plan.impurityStaysDissolvedML}
            impurity={impurity?.name ?? null}
          />
        ) : (
          <p className="quiet">The column fills when there are solubility points to plan with.</p>
        )}
      </div>
      <div className="stack">
        <h2>
          {crudeText} g of crude {compound.name}
        </h2>
        <div className="row-of align-items-start">
          <NumberField
            label={`${compound.name} in it, %`}
            field={register('assayPercent')}
            error={error('assayPercent')}
            help="by mass, estimated"
          />
          <div>
            <Form.Label htmlFor="impurity">impurity, if known</Form.Label>
            <Form.Control
              id="impurity"
              list="shelf-compounds"
              value={draft.impurity}
              autoComplete="off"
              aria-describedby="impurity-help"
              onChange={(event) => {
                pickImpurity(event.target.value)
              }}
            />
            <datalist id="shelf-compounds">
              {shelf.compounds.map((one) => (
                <option key={one.id} value={one.name} />
              ))}
            </datalist>
            <div
              className={draft.impurity !== '' && !impurity ? 'invalid-feedback' : 'form-text'}
              id="impurity-help"
            >
              {draft.impurity !== '' && !impurity
                ? 'not on the shelf; leave it empty if it has no name there'
                : 'a name from the shelf'}
            </div>
          </div>
          <div>
            <Form.Label htmlFor="solvent">solvent</Form.Label>
            <Form.Select
              id="solvent"
              value={draft.solvent}
              onChange={(event) => {
                pickSolvent(event.target.value)
              }}
            >
              {solvents.map(({ solvent: one, known }) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                  {known ? ' (points on the shelf)' : ''}
                </option>
              ))}
            </Form.Select>
          </div>
        </div>
        <div className="row-of align-items-start">
          <PointsField
            legend={`${compound.name} in ${solvent?.name ?? 'it'}`}
            points={draft.product}
            source={sourceOf(shelf, draft, compound)}
            error={
              error('product')?.message ?? (!outcome.ok && outcome.field === null ? outcome.sentence : null)
            }
            onChange={(points) => {
              setTouched(true)
              setValue('product', [...points])
            }}
          />
          {impurity && (
            <PointsField
              legend={`${impurity.name} in ${solvent?.name ?? 'it'}`}
              points={draft.impurityPoints}
              source={sourceOf(shelf, { ...draft, product: draft.impurityPoints }, impurity)}
              error={error('impurityPoints')?.message ?? null}
              onChange={(points) => {
                setValue('impurityPoints', [...points])
              }}
            />
          )}
        </div>
        <div className="row-of align-items-start">
          <NumberField label="hot, °C" field={register('hotC')} error={error('hotC')} />
          <NumberField label="cold, °C" field={register('coldC')} error={error('coldC')} />
          <NumberField label="cold rinse, mL" field={register('washML')} error={error('washML')} />
          <NumberField
            label="volume to use, mL"
            field={register('volumeML')}
            error={error('volumeML')}
            help={outcome.ok ? `proposed: ${fixed(outcome.value.proposedML, 1)}` : 'proposed when it can be'}
          />
        </div>
        {outcome.ok && solvent && (
          <WhyAndCare
            compound={compound}
            impurity={impurity}
            solvent={solvent}
            input={outcome.value.input}
            result={outcome.value.plan}
          />
        )}
      </div>
      <div>
        {outcome.ok && solvent ? (
          <>
            <h2 className="mb-3">
              Dissolve near {fixed(outcome.value.plan.minimumHotML, 1)}, then{' '}
              {fixed(outcome.value.plan.hotML, 1)} mL
            </h2>
            <PlanFigures
              input={outcome.value.input}
              plan={outcome.value.plan}
              source={sourceOf(shelf, draft, compound)}
              product={compound.name}
              impurity={impurity?.name ?? null}
              solvent={solvent}
            />
          </>
        ) : (
          <>
            <h2>Not enough to plan with yet</h2>
            <p className="quiet mt-2">{outcome.ok ? '' : outcome.sentence}</p>
          </>
        )}
        <div className="row-of mt-3">
          <Button type="submit">Fix this plan</Button>
          {onCancel && (
            <Button variant="outline-primary" onClick={onCancel}>
              Keep the old one
            </Button>
          )}
        </div>
      </div>
    </form>
  )
}

function startingDraft(prep: PrepFacts, shelf: Shelf, solvent: Solvent | undefined): Draft {
  const { compound } = prep.opened.body
  const before = prep.plan?.body
  if (before)
    return {
      assayPercent: String(Math.round(1000 * before.input.assay) / 10),
      impurity: before.impurity?.name ?? '',
      solvent: before.solvent.id,
      hotC: String(before.input.hotC),
      coldC: String(before.input.coldC),
      washML: String(before.input.washML),
      volumeML: before.result.hotML.toFixed(1),
      product: before.input.product.map(([c, s]) => ({ temperature: String(c), solubility: String(s) })),
      impurityPoints: (before.input.impurity ?? []).map(([c, s]) => ({
        temperature: String(c),
        solubility: String(s),
      })),
    }
  const temperatures = solvent ? workingTemperatures(solvent, compound) : { hotC: '', coldC: 2 }
  return {
    assayPercent: '90',
    impurity: '',
    solvent: solvent?.id ?? '',
    hotC: String(temperatures.hotC),
    coldC: String(temperatures.coldC),
    washML: '1.0',
    volumeML: '',
    product: solvent ? typedPoints(shelfPoints(shelf, compound.id, solvent.id)) : [],
    impurityPoints: [],
  }
}

/** In words, where the points in use are from: the shelf's sources if untouched, else this bench. */
function sourceOf(shelf: Shelf, draft: Draft, compound: Compound): string {
  const rows = shelfPoints(shelf, compound.id, draft.solvent)
  const same =
    rows.length === draft.product.length &&
    rows.every(
      (row, i) =>
        Number(draft.product[i]?.temperature) === row.temperatureC &&
        Number(draft.product[i]?.solubility) === row.gPer100ML,
    )
  if (!same || rows.length === 0) return OWN_POINTS
  return [
    ...new Set(
      rows.map((row) =>
        row.confidence
          ? `general reference values, confidence ${row.confidence}; check your handbook`
          : row.source,
      ),
    ),
  ].join('; ')
}

function fixPlan(
  prep: PrepFacts,
  chosen: { compound: Compound; impurity: Compound | null; solvent: Solvent; conventions: Conventions },
  outcome: Extract<Outcome, { ok: true }>,
  solubilitySource: string,
): void {
  const weighing = sampleOf(prep, 'crude')?.weighing
  write({
    kind: 'plan fixed',
    subject: prep.id,
    body: {
      procedure: 'small flask and suction funnel',
      ...chosen,
      solubilitySource,
      input: outcome.value.input,
      result: outcome.value.plan,
      coreVersion: CORE_VERSION,
      restsOn: weighing ? [weighing.id] : [],
    },
  })
}
