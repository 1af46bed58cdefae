import css from './PlanForm.module.css'
import classNames from 'classnames'
import {
  type Batch,
  candidatesOf,
  type Compound,
  crudeAssayOf,
  type Draft,
  type DraftField,
  fixPlan,
  houseRulesOf,
  latestRange,
  massOf,
  outcomeOf,
  type Planned,
  type PrepFacts,
  rangesOf,
  rankSolvents,
  renderSteps,
  renderWaste,
  ruleFields,
  rulesOf,
  sampleOf,
  type Shelf,
  shelfPoints,
  solventsFor,
  typedPoints,
  withSolvent,
} from '@ivory-crystal/core'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type FieldErrors, useForm, useWatch } from 'react-hook-form'
import { useSearchParams } from 'react-router'
import { fixed } from '../../../format/format'
import { CompoundField, compoundNamed } from '../../../parts/CompoundField'
import { NumberField } from '../../../parts/NumberField'
import { Tabs } from '../../../parts/Tabs'
import { SolventColumn } from '../../../drawings/SolventColumn'
import { useNotebook, write } from '../../../ledger/notebook'
import { Again } from './Again'
import { HowMuch } from './HowMuch'
import { PlanFigures } from './PlanFigures'
import { ProcedureChoice } from './ProcedureChoice'
import { Solubility, sourceOf } from './Solubility'
import { TubeTrial } from './TubeTrial'
import { WhichSolvent } from './WhichSolvent'
import { WhyAndCare } from './WhyAndCare'

interface Props {
  readonly prep: PrepFacts
  readonly crudeText: string
  readonly onFixed: () => void
  readonly onCancel: (() => void) | null
}

const TABS = ['How much', 'Which solvent', 'Solubility', 'Procedure', 'Again?', 'Test tubes'] as const
type Tab = (typeof TABS)[number]

/** The shelf is there once the notebook is open. */
export function PlanForm(props: Props) {
  const shelf = useNotebook((state) => state.shelf)
  return shelf ? <PlanFields {...props} shelf={shelf} /> : <p aria-busy="true">Reading the shelf …</p>
}

function PlanFields({ prep, crudeText, onFixed, onCancel, shelf }: Props & { shelf: Shelf }) {
  const { compound } = prep.opened.body
  const view = useNotebook((state) => state.view)
  const solvents = useMemo(() => solventsFor(shelf, compound), [shelf, compound])
  const [params, setParams] = useSearchParams()
  const { register, control, setValue } = useForm<Draft>({
    defaultValues: withWhatIsKnown(startingDraft(prep, shelf, crudeText), params, shelf, compound),
  })
  const [touched, setTouched] = useState(prep.plan !== null)
  const draft = useWatch({ control }) as Draft
  const mass = massOf(sampleOf(prep, 'crude'))
  const crudeG = mass.ok ? mass.value.value : 0
  const outcome = useMemo(
    () => outcomeOf(draft, { crudeG, compound, shelf }),
    [draft, crudeG, compound, shelf],
  )
  const planned = outcome.ok ? outcome.value : null
  const solvent = shelf.solvents.find((one) => one.id === draft.solvent)
  const second = shelf.solvents.find((one) => one.id === draft.second) ?? null
  const impurity = compoundNamed(shelf, draft.impurity)
  const rules = rulesOf(draft, houseRulesOf(view, shelf.houseRules))
  const conventions = typeof rules === 'string' ? null : rules
  const tab = TABS.find((one) => one === params.get('show')) ?? 'How much'
  const crudeOnsetC = latestRange(rangesOf(view, prep.id), 'crude')?.onset.value
  const batch =
    planned && solvent && conventions
      ? batchOf(draft, planned, { crudeText, compound, impurity, solvent, conventions })
      : null
  const steps = batch && planned ? renderSteps(planned.procedure, batch) : []

  const set = (change: Partial<Draft>) => {
    for (const [field, value] of Object.entries(change)) setValue(field as DraftField, value as never)
  }
  const show = (wanted: Tab) => {
    setParams(wanted === 'How much' ? {} : { show: wanted }, { replace: true })
  }
  const errorAt = (field: DraftField): string | null => {
    if (outcome.ok || (outcome.field ?? 'product') !== field) return null
    return touched || field !== 'product' || outcome.field === null ? outcome.sentence : null
  }
  const errors = fieldErrors(errorAt)

  return (
    <form
      className="columns plan"
      aria-label="Plan"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        setTouched(true)
        if (!batch || !planned) return
        write(fixPlan(prep, batch, planned, sourceOf(shelf, draft, compound)))
        onFixed()
      }}
    >
      <div>
        {planned ? (
          <SolventColumn
            addedML={null}
            dissolveML={planned.pair?.goodML ?? planned.plan.minimumHotML}
            toML={planned.plan.hotML}
            staysDissolvedML={planned.plan.impurityStaysDissolvedML}
            impurity={impurity?.name ?? null}
            second={planned.pair?.solvent.name ?? null}
          />
        ) : (
          <p className="quiet">The column fills when there are solubility points to plan with.</p>
        )}
      </div>
      <div>
        <h2>
          {crudeText} g of crude {compound.name}
        </h2>
        <div className={classNames(css.planInputs, 'mt-2')}>
          <div>
            <NumberField
              label={`${compound.name} in it, %`}
              className=""
              field={register('assayPercent')}
              error={errors.assayPercent}
              help="by mass, estimated"
            />
            <AssayProposal
              prep={prep}
              impurity={impurity}
              onTake={(percent) => {
                setValue('assayPercent', percent)
              }}
            />
          </div>
          <CompoundField
            label="impurity, if known"
            value={draft.impurity}
            invalid={draft.impurity !== '' && !impurity}
            help={
              draft.impurity !== '' && !impurity
                ? 'not on the shelf; leave it empty if it has no name there'
                : 'a name from the shelf'
            }
            onChange={(typed) => {
              const picked = compoundNamed(shelf, typed)
              set({
                impurity: typed,
                impurityPoints: picked ? typedPoints(shelfPoints(shelf, picked.id, draft.solvent)) : [],
              })
            }}
          />
          <div>
            <Form.Label htmlFor="solvent">solvent</Form.Label>
            <Form.Select
              id="solvent"
              value={draft.solvent}
              onChange={(event) => {
                set(withSolvent(shelf, compound, impurity, event.target.value))
              }}
            >
              {[true, false].map((known) => (
                <optgroup key={String(known)} label={known ? 'points on the shelf' : 'nothing known'}>
                  {solvents
                    .filter((one) => one.known === known)
                    .map(({ solvent: one }) => (
                      <option key={one.id} value={one.id}>
                        {one.name}
                      </option>
                    ))}
                </optgroup>
              ))}
            </Form.Select>
            <SecondSolvent
              shelf={shelf}
              chosen={draft.second}
              error={errorAt('second') ?? errorAt('secondPoints')}
              onChoose={(id) => {
                set({ second: id, secondPoints: id ? typedPoints(shelfPoints(shelf, compound.id, id)) : [] })
              }}
            />
          </div>
        </div>
        <Tabs tabs={TABS} here={tab} name="Parts of the plan" onTab={show} />
        {tab === 'How much' && (
          <>
            <HowMuch
              planned={planned}
              compound={compound}
              impurity={impurity}
              solvent={solvent}
              amount={draft.amount}
              crudeOnsetC={crudeOnsetC}
              register={register}
              errors={errors}
              onVolume={(ml) => {
                setValue('volumeML', fixed(ml, ml < 1 ? 2 : 1))
              }}
              onAmount={(amount) => {
                setValue('amount', amount)
              }}
            />
            {planned && solvent && (
              <WhyAndCare
                compound={compound}
                impurity={impurity}
                solvent={solvent}
                input={planned.input}
                result={planned.plan}
              />
            )}
          </>
        )}
        {tab === 'Which solvent' && (
          <WhichSolvent
            shelf={shelf}
            compound={compound}
            impurity={impurity}
            crudeG={crudeG}
            assay={Math.min(1, Math.max(0.01, Number(draft.assayPercent) / 100 || 0.9))}
            crudeOnsetC={crudeOnsetC}
            chosen={draft.solvent}
            onChoose={(id) => {
              set(withSolvent(shelf, compound, impurity, id))
            }}
          />
        )}
        {tab === 'Solubility' && (
          <Solubility
            draft={draft}
            shelf={shelf}
            compound={compound}
            impurity={impurity}
            solvent={solvent}
            second={second}
            errorAt={errorAt}
            onPoints={(field, points) => {
              setTouched(true)
              setValue(field, [...points])
            }}
          />
        )}
        {tab === 'Procedure' &&
          (planned ? (
            <ProcedureChoice
              planned={planned}
              draft={draft}
              steps={steps}
              waste={batch ? renderWaste(planned.procedure, batch) : []}
              ruleTrouble={typeof rules === 'string' ? rules : null}
              onRules={set}
              onProcedure={(id) => {
                setValue('procedure', id)
              }}
              onInserts={(inserts) => {
                setValue('inserts', [...inserts])
              }}
            />
          ) : (
            <NotYet />
          ))}
        {tab === 'Again?' && (planned ? <Again planned={planned} product={compound.name} /> : <NotYet />)}
        {tab === 'Test tubes' && (
          <TubeTrial
            prep={prep}
            shelf={shelf}
            hotC={Number(draft.hotC) || 70}
            onUse={(id, [c, s]) => {
              set({
                ...withSolvent(shelf, compound, impurity, id),
                product: [{ temperature: String(c), solubility: s.toPrecision(3) }],
              })
              show('How much')
            }}
          />
        )}
      </div>
      <div>
        {planned && solvent ? (
          <>
            <h2 className="mb-3">{planHeading(planned)}</h2>
            {planned.remarks.map((remark) => (
              <p key={remark} className="look">
                {remark}
              </p>
            ))}
            <PlanFigures
              input={planned.input}
              plan={planned.plan}
              source={sourceOf(shelf, draft, compound)}
              product={compound.name}
              impurity={impurity?.name ?? null}
              solvent={solvent}
              pair={planned.pair}
              collect={planned.procedure.collect}
            />
            <p className="quiet mt-2 mb-0">
              {planned.procedure.name}.{' '}
              {planned.choices.find(({ procedure }) => procedure === planned.procedure)?.because}{' '}
              <Button
                variant="link"
                size="sm"
                className="py-0"
                onClick={() => {
                  show('Procedure')
                }}
              >
                steps
              </Button>
            </p>
          </>
        ) : (
          <>
            <h2>Not enough to plan with yet</h2>
            <p className="quiet mt-2">
              {outcome.ok ? '' : outcome.sentence} Without any solubility, try a few solvents in test tubes.
            </p>
            {tab !== 'Solubility' && tab !== 'Test tubes' && (
              <div className="row-of">
                <Button
                  variant="outline-primary"
                  size="sm"
                  onClick={() => {
                    show('Solubility')
                  }}
                >
                  Type solubility points
                </Button>
                <Button
                  variant="outline-primary"
                  size="sm"
                  onClick={() => {
                    show('Test tubes')
                  }}
                >
                  Try in test tubes
                </Button>
              </div>
            )}
          </>
        )}
        <div className="row-of mt-3">
          <Button type="submit" disabled={!batch}>
            Fix this plan
          </Button>
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

function NotYet() {
  return <p className="quiet">This follows once there are solubility points to plan with.</p>
}

function AssayProposal({
  prep,
  impurity,
  onTake,
}: {
  prep: PrepFacts
  impurity: Compound | null
  onTake: (percent: string) => void
}) {
  const view = useNotebook((state) => state.view)
  const proposed = crudeAssayOf(view, prep, impurity)
  if (!proposed.ok) return null
  const { assay, low, high, sentence, doubt } = proposed.value
  const percent = (fraction: number) => fixed(100 * fraction, 0)
  return (
    <div className="form-text assay" title={sentence}>
      its melting range says {percent(assay)} ({percent(low)} to {percent(high)}){' '}
      <Button
        variant="link"
        size="sm"
        className="py-0"
        onClick={() => {
          onTake(percent(assay))
        }}
      >
        take it
      </Button>
      {doubt && <span className="trouble d-block">{doubt}</span>}
    </div>
  )
}

function SecondSolvent({
  shelf,
  chosen,
  error,
  onChoose,
}: {
  shelf: Shelf
  chosen: string
  error: string | null
  onChoose: (id: string) => void
}) {
  const [open, setOpen] = useState(chosen !== '')
  if (!open)
    return (
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setOpen(true)
        }}
      >
        With a second solvent
      </Button>
    )
  return (
    <div className="mt-2">
      <Form.Label htmlFor="second">second solvent, the poorer one</Form.Label>
      <Form.Select
        id="second"
        value={chosen}
        isInvalid={error !== null}
        onChange={(event) => {
          onChoose(event.target.value)
        }}
      >
        <option value="">none</option>
        {shelf.solvents.map((one) => (
          <option key={one.id} value={one.id}>
            {one.name}
          </option>
        ))}
      </Form.Select>
      {error && (
        <div className="invalid-feedback" role="alert">
          {error}
        </div>
      )}
    </div>
  )
}

/** What the volumes come to, in one line. */
export function planHeading({ plan, pair }: Pick<Planned, 'plan' | 'pair'>): string {
  const ml = (value: number) => fixed(value, value < 1 ? 2 : 1)
  if (pair) return `Dissolve in ${ml(pair.goodML)}, cloud with ${ml(pair.poorML)} mL`
  return `Dissolve near ${ml(plan.minimumHotML)}, then ${ml(plan.hotML)} mL`
}

function fieldErrors(errorAt: (field: DraftField) => string | null): FieldErrors<Draft> {
  const fields = ['assayPercent', 'hotC', 'coldC', 'washML', 'volumeML'] as const
  return Object.fromEntries(
    fields.flatMap((field) => {
      const message = errorAt(field)
      return message ? [[field, { type: 'value', message }]] : []
    }),
  )
}

/** The plan as it was, or the solvent that promises most for a crude nothing more is known of. */
/** What an address says is known of the crude: a judged product that is to be recrystallized again. */
function withWhatIsKnown(draft: Draft, params: URLSearchParams, shelf: Shelf, compound: Compound): Draft {
  const assay = params.get('assay')
  const impurity = compoundNamed(shelf, params.get('impurity') ?? '')
  return {
    ...draft,
    ...(assay && /^\d+(\.\d+)?$/.test(assay) ? { assayPercent: assay } : {}),
    ...(impurity && impurity.id !== compound.id
      ? {
          impurity: impurity.name,
          impurityPoints: typedPoints(shelfPoints(shelf, impurity.id, draft.solvent)),
        }
      : {}),
  }
}

function startingDraft(prep: PrepFacts, shelf: Shelf, crudeText: string): Draft {
  const { compound } = prep.opened.body
  const before = prep.plan?.body
  const typed = (points: readonly (readonly [number, number])[] = []) =>
    points.map(([c, s]) => ({ temperature: String(c), solubility: String(s) }))
  if (before)
    return {
      assayPercent: String(Math.round(1000 * before.input.assay) / 10),
      impurity: before.impurity?.name ?? '',
      solvent: before.solvent.id,
      hotC: String(before.input.hotC),
      coldC: String(before.input.coldC),
      washML: String(before.input.washML),
      volumeML: before.pair ? '' : before.result.hotML.toFixed(before.result.hotML < 1 ? 2 : 1),
      product: before.pair
        ? typedPoints(shelfPoints(shelf, compound.id, before.solvent.id))
        : typed(before.input.product),
      impurityPoints: typed(before.input.impurity),
      second: before.pair?.solvent.id ?? '',
      secondPoints: typed(before.pair?.points),
      amount: before.amount,
      inserts: before.inserts,
      procedure: before.procedure.id,
      ...ruleFields(before.conventions),
    }
  const [best] = rankSolvents(
    { compound, impurity: null, crudeG: Number(crudeText) || 1, assay: 0.9 },
    candidatesOf(shelf, compound, null),
  )
  return {
    ...ruleFields(houseRulesOf(useNotebook.getState().view, shelf.houseRules)),
    assayPercent: '90',
    impurity: '',
    hotC: '',
    coldC: '2',
    washML: '1.0',
    second: '',
    secondPoints: [],
    amount: 'least hot solvent',
    inserts: [],
    procedure: '',
    volumeML: '',
    product: [],
    impurityPoints: [],
    solvent: '',
    ...(best ? withSolvent(shelf, compound, null, best.solvent.id) : {}),
  }
}

function batchOf(
  draft: Draft,
  { input, plan, pair }: Planned,
  chosen: Pick<Batch, 'crudeText' | 'compound' | 'impurity' | 'solvent' | 'conventions'>,
): Batch {
  return { ...chosen, pair, amount: draft.amount, inserts: draft.inserts, input, result: plan }
}
