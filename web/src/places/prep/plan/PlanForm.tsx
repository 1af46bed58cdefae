import { PlanOutcome } from './PlanOutcome'
import { useLines } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { AskFirst } from './AskFirst'
import { dryRemarkOf } from './dryRemark'
import { asksOf, chosenBatch } from './chosenBatch'
import { PlanInputs } from './PlanInputs'
import { startingDraft, withWhatIsKnown } from './startingDraft'
import {
  fixPlan,
  houseRulesOf,
  latestRange,
  massOf,
  type PrepFacts,
  rangesOf,
  sampleOf,
} from '@ivory-crystal/core/notebook'
import { type Draft, type DraftField, outcomeOf, rulesOf, withSolvent } from '@ivory-crystal/core/planning'
import { renderSteps, renderWaste } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { significant } from '@ivory-crystal/core/words'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useSearchParams } from 'react-router'
import { fixed } from '../../../format/format'
import { compoundNamed } from '../../../parts/CompoundField'
import { Tabs } from '../../../parts/Tabs'
import { SolventColumn } from '../../../drawings/SolventColumn'
import { useNotebook } from '../../../ledger/notebook'
import { useLabRules } from '../../../parts/useHouseRules'
import { Again } from './Again'
import { HowMuch } from './HowMuch'
import { ProcedureChoice } from './ProcedureChoice'
import { Solubility, sourceOf } from './Solubility'
import { TubeTrial } from './TubeTrial'
import { WhichSolvent } from './WhichSolvent'
import { WhyAndCare } from './WhyAndCare'

type NumberOfDraft = 'assayPercent' | 'keptBackMg' | 'hotC' | 'coldC' | 'washML' | 'volumeML'

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
  const [params, setParams] = useSearchParams()
  const mass = massOf(sampleOf(prep, 'crude'))
  const crudeG = mass.ok ? mass.value.value : 0
  const houseRules = houseRulesOf(view, shelf.houseRules)
  const { closed } = useLabRules()
  const [start] = useState(() =>
    withWhatIsKnown(startingDraft(view, prep, shelf, crudeText, closed), params, shelf, compound),
  )
  const form = useLines<Draft>({
    start,
    make(typed) {
      const outcome = outcomeOf(typed, { crudeG, compound, shelf, closed })
      if (!outcome.ok) return outcome
      const batch = chosenBatch(typed, outcome.value, { crudeText, compound, shelf, houseRules })
      if (typeof batch === 'string') return refuse(batch)
      const asks = asksOf(batch)
      if (asks.length > 0 && batch.inCharge === null)
        return refuse('Enter who was asked. The plan records it.', 'inCharge')
      return ok([fixPlan(prep, batch, outcome.value, sourceOf(shelf, typed, compound))])
    },
    stays: 'everything',
    written: onFixed,
  })
  const { typed: draft, set } = form
  const [touched, setTouched] = useState(prep.plan !== null)
  const outcome = useOutcome(draft, crudeG, compound, shelf, closed)
  const planned = outcome.ok ? outcome.value : null
  const solvent = shelf.solvents.find((one) => one.id === draft.solvent)
  const second = shelf.solvents.find((one) => one.id === draft.second) ?? null
  const impurity = compoundNamed(shelf, draft.impurity)
  const rules = rulesOf(draft, houseRules)
  const tab = TABS.find((one) => one === params.get('show')) ?? 'How much'
  const crudeOnsetC = latestRange(rangesOf(view, prep.id), 'crude')?.onset.value
  const chosen = planned ? chosenBatch(draft, planned, { crudeText, compound, shelf, houseRules }) : ''
  const batch = typeof chosen === 'string' ? null : chosen
  const steps = batch && planned ? renderSteps(planned.procedure, batch) : []

  const show = (wanted: Tab) => {
    setParams(wanted === 'How much' ? {} : { show: wanted }, { replace: true })
  }
  const errorAt = (field: DraftField): string | null => {
    if (outcome.ok || (outcome.problem.field ?? 'product') !== field) return null
    return touched || field !== 'product' || outcome.problem.field === undefined
      ? outcome.problem.sentence
      : null
  }
  const numberAt = (field: NumberOfDraft) => ({ ...form.of(field), error: errorAt(field) })

  return (
    <form className="columns plan" aria-label="Plan" noValidate onSubmit={form.onSubmit}>
      <div>
        {planned ? (
          <SolventColumn
            addedML={null}
            isDoubtful={planned.isHotDoubtful}
            dissolveML={planned.pair?.goodML ?? planned.plan.minimumHotML}
            toML={planned.plan.hotML}
            staysDissolvedML={planned.plan.impurityStaysDissolvedML}
            impurity={impurity?.name ?? null}
            second={planned.pair?.solvent.name ?? null}
          />
        ) : (
          <p className="quiet">The column appears when there are solubility points.</p>
        )}
      </div>
      <div>
        <h2>
          {crudeText} g of crude {compound.name}
        </h2>
        <PlanInputs
          prep={prep}
          shelf={shelf}
          draft={draft}
          weighedG={crudeG}
          crudeText={crudeText}
          numberAt={numberAt}
          errorAt={errorAt}
          onChange={set}
        />
        <Tabs tabs={TABS} here={tab} name="Parts of the plan" onTab={show} />
        {tab === 'How much' && (
          <>
            <HowMuch
              planned={planned}
              compound={compound}
              impurity={impurity}
              solvent={solvent}
              amount={draft.amount}
              inserts={draft.inserts}
              crudeOnsetC={crudeOnsetC}
              numberAt={numberAt}
              onVolume={(ml) => {
                set({ volumeML: fixed(ml, ml < 1 ? 2 : 1) })
              }}
              onAmount={(amount) => {
                set({ amount })
              }}
            />
            {planned && solvent && (
              <WhyAndCare
                compound={compound}
                impurity={impurity}
                solvent={solvent}
                pair={planned.pair}
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
            crudeG={planned?.input.crudeG ?? crudeG}
            assay={Math.min(1, Math.max(0.01, Number(draft.assayPercent) / 100 || 0.9))}
            crudeOnsetC={crudeOnsetC}
            chosen={draft.solvent}
            closed={closed}
            onChoose={(id) => {
              set(withSolvent(shelf, compound, impurity, id, draft.second))
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
              set({ [field]: [...points] })
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
              dryRemark={
                typeof rules === 'string'
                  ? null
                  : dryRemarkOf(
                      rules.drying,
                      [solvent, second].filter((one) => one != null),
                      compound,
                    )
              }
              onRules={set}
              onProcedure={(procedure) => {
                set({ procedure })
              }}
              onInserts={(inserts) => {
                set({ inserts: [...inserts] })
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
                product: [{ temperature: String(c), solubility: significant(s, 3) }],
              })
              show('How much')
            }}
          />
        )}
      </div>
      <div>
        <PlanOutcome
          outcome={outcome}
          solvent={solvent}
          compound={compound}
          impurity={impurity}
          source={sourceOf(shelf, draft, compound)}
          onShow={tab === 'Solubility' || tab === 'Test tubes' ? null : show}
          inserts={draft.inserts}
          onSteps={() => {
            show('Procedure')
          }}
        />
        {batch && (
          <AskFirst
            about={asksOf(batch)}
            value={draft.inCharge}
            error={form.of('inCharge').error}
            onChange={(inCharge) => {
              set({ inCharge })
            }}
          />
        )}
        <div className="row-of mt-3">
          <Button type="submit" disabled={!batch}>
            Use this plan
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
  return <p className="quiet">This follows when there are solubility points.</p>
}

/** What the draft comes to, worked out again only when it, or what is known, changes. */
function useOutcome(
  draft: Draft,
  crudeG: number,
  compound: Compound,
  shelf: Shelf,
  closed: readonly string[],
) {
  return useMemo(
    () => outcomeOf(draft, { crudeG, compound, shelf, closed }),
    [draft, crudeG, compound, shelf, closed],
  )
}
