import { minutesInWords } from '@ivory-crystal/core/words'
import type { PrepId } from '@ivory-crystal/core/ids'
import {
  aboveBoundOf,
  isStale,
  judgementOf,
  lossesOf,
  hydrateOf,
  odditiesOf,
  ownWordsOf,
  photographsOf,
  type PrepFacts,
  putAsideOf,
  recoveryOf,
  sampleOf,
  solventSoFarML,
} from '@ivory-crystal/core/notebook'
import { atTheBench, whyThisSolvent } from '@ivory-crystal/core/planning'
import { cautionsFor, crudeInText, disposalFor, LOCAL_RULES } from '@ivory-crystal/core/procedures'
import { capital, clock, day, fixed, millilitres, netMassText } from '../../format/format'
import { ladderRows } from '../../parts/ladderRows'
import { Gallery } from '../../parts/Photographs'
import { HazardMarks } from '../../parts/TakeCare'
import { PrepLadder } from '../../parts/PrepLadder'
import { useNotebook } from '../../ledger/notebook'
import { Budget } from '../../drawings/Budget'
import { Findings, headline, isMeasured, notChecked } from './Findings'
import type { StationProps } from './station'
import { RangesInNumbers } from './RangesInNumbers'
import { workingsOf } from './workings'

/** Which prep, in whose notebook, from when, by whom, and how long the hands were at it. */
export function LogSection({ prep }: StationProps) {
  const view = useNotebook((state) => state.view)
  const title = useNotebook(({ notebooks, notebook }) => notebooks.find((row) => row.id === notebook)?.title)
  const took = atTheBench(view, prep.id)
  return (
    <p className="mb-0">
      <b>{prep.opened.body.title}</b>, {title}, {day(prep.opened.at)}, {prep.opened.author}
      {took &&
        `; ${minutesInWords(took.handsMin)} of hands-on work in ${took.periods === 1 ? 'one lab period' : `${took.periods} lab periods`}`}
    </p>
  )
}

/** What was photographed, where anything was. */
export function Pictures({ of }: { of: PrepId }) {
  const lines = useNotebook((state) => photographsOf(state.view, of))
  if (lines.length === 0) return null
  return (
    <section>
      <hr className="rule" />
      <h2>Photographs</h2>
      <Gallery lines={lines} />
    </section>
  )
}

/** Data, reasons, hazards, ranges and verdict: the same on screen and on every paper. */
export function PageBody({
  prep,
  isBrief = false,
}: StationProps & { /** To be one page. */ isBrief?: boolean }) {
  const view = useNotebook((state) => state.view)
  const losses = lossesOf(view, prep)
  const words = ownWordsOf(view, prep.id)
  const plan = prep.plan?.body
  return (
    <>
      <div className="columns two">
        <Data prep={prep} />
        <section>
          {plan && (
            <>
              <h2>Why {plan.solvent.name}</h2>
              <p className="mb-2 mt-1">{whyThisSolvent(plan).join(' ')}</p>
            </>
          )}
          <h2>Hazards and disposal</h2>
          {/* The page stays one sheet of paper: the pictograms are on the plan’s sheet and the labels. */}
          <div className="no-print">
            <HazardMarks
              compound={prep.opened.body.compound}
              solvents={[plan?.solvent, plan?.pair?.solvent].filter((one) => one !== undefined)}
            />
          </div>
          {cautionsFor(
            prep.opened.body.compound,
            plan?.solvent ?? null,
            plan?.pair?.solvent ?? null,
            plan?.input.hotC ?? null,
          ).map((line) => (
            <p key={line} className="mb-1 mt-1">
              {line}
            </p>
          ))}
          {(plan?.waste ?? disposalFor(null)).map((line) => (
            <p key={line} className="mb-1">
              {line}
            </p>
          ))}
          <p className="quiet">{LOCAL_RULES}</p>
        </section>
      </div>
      <hr className="rule" />
      <section>
        <h2>Melting ranges</h2>
        <PrepLadder prep={prep} isBrief={isBrief} />
        {ladderRows(view, prep.id).length === 0 && <p className="quiet mt-1">No range was read yet.</p>}
      </section>
      <hr className="rule" />
      <VerdictPart prep={prep} isBrief={isBrief}>
        <section>
          <h2>Why less than 100 %</h2>
          {losses.map((line) => (
            <p key={line} className="mb-1 mt-1">
              {line}
            </p>
          ))}
          {losses.length === 0 && (
            <p className="quiet mt-1">This follows when crude and product are weighed.</p>
          )}
          {words !== '' && <p className="mt-2 mb-1">“{words}”</p>}
        </section>
      </VerdictPart>
    </>
  )
}

function Data({ prep }: { prep: PrepFacts }) {
  const recovery = recoveryOf(prep)
  const view = useNotebook((state) => state.view)
  const odd = recovery.ok ? odditiesOf(view, prep.id) : []
  const above = aboveBoundOf(view, prep)
  const { hotML, rinseML } = solventSoFarML(prep)
  const plan = prep.plan?.body
  const putAside = putAsideOf(prep)
  const masses = (['crude', 'product', 'second crop', 'residue', 'grit'] as const)
    .map((role) => ({ role, weighing: sampleOf(prep, role)?.weighing }))
    .filter(({ role, weighing }) => role === 'crude' || role === 'product' || weighing)
  return (
    <section>
      <h2>Data</h2>
      <table className="lines">
        <tbody>
          {masses.map(({ role, weighing }) => (
            <tr key={role}>
              <td>
                Mass of {role}
                {role === 'crude' && putAside && (
                  <span className="quiet d-block">
                    {fixed(1000 * putAside.keptBackG, 0)} mg of it kept back:{' '}
                    {weighing
                      ? `${crudeInText({ ...putAside, crudeText: netMassText(weighing.body) })} g went in`
                      : 'the rest goes in'}
                  </span>
                )}
                {weighing?.body.method === 'difference' && (
                  <span className="quiet d-block">
                    {weighing.body.loaded.text} g loaded − {weighing.body.empty.text} g empty
                  </span>
                )}
              </td>
              <td className="num" data-testid={`${role}-mass`}>
                {weighing ? `${netMassText(weighing.body)} g` : 'not weighed'}
              </td>
            </tr>
          ))}
          {workingsOf(view, prep).map(({ key, label, result, from }) => (
            <tr key={key}>
              <td>
                {label}{' '}
                {from !== null && (
                  <span className="quiet" data-testid={`${key}-from`}>
                    {from}
                  </span>
                )}
                {key === 'planned' && above !== null && <span className="d-block">{above}</span>}
              </td>
              <td className={key === 'recovery' ? 'num fw-bold' : 'num'} data-testid={key}>
                {result}
              </td>
            </tr>
          ))}
          {plan && (
            <>
              <tr>
                <td>Procedure</td>
                <td className="num">{plan.procedure.name}</td>
              </tr>
              <tr>
                <td>
                  {capital(plan.solvent.name)}, hot / rinse
                  <span className="quiet d-block">
                    planned {millilitres(plan.result.minimumHotML)} to dissolve,{' '}
                    {millilitres(plan.result.hotML)} in all; solubilities {plan.solubilitySource}
                  </span>
                </td>
                <td className="num">
                  {millilitres(hotML)} mL / {rinseML > 0 ? `${millilitres(rinseML)} mL` : 'none'}
                </td>
              </tr>
            </>
          )}
        </tbody>
      </table>
      {hydrateOf(prep) && <p className="look">{hydrateOf(prep)?.sentence}</p>}
      {odd.map(({ code, sentence }) => (
        <p key={code} className="look">
          {sentence}
        </p>
      ))}
    </section>
  )
}

/** What was judged: its budget over the whole sheet, its findings beside what else is said. */
function VerdictPart({
  prep,
  isBrief,
  children,
}: {
  prep: PrepFacts
  isBrief: boolean
  children: React.ReactNode
}) {
  const view = useNotebook((state) => state.view)
  const judged = judgementOf(view, prep.id)
  const signed = prep.verdict
  const judgement = signed?.body.judgement ?? (judged.ok ? judged.value.judgement : null)
  const rules = signed?.body.conventions ?? (judged.ok ? judged.value.conventions : null)
  if (!judgement)
    return (
      <div className="columns two">
        <section>
          <h2>Verdict</h2>
          <p className="quiet mt-1">{judged.ok ? '' : judged.problem.sentence}</p>
          <RangesInNumbers prep={prep} />
        </section>
        {children}
      </div>
    )
  return (
    <>
      <section>
        <h2 data-testid="verdict">{headline(judgement, prep.opened.body.compound.name)}</h2>
        <p className="quiet mt-1 mb-0">
          {signed
            ? `Signed by ${signed.body.signedBy}, ${day(signed.at)} ${clock(signed.at)}.`
            : 'Not signed yet.'}{' '}
          {notChecked(judgement)}
          {signed && isStale(view, signed) && (
            <span className="trouble"> An entry it is based on has been struck out.</span>
          )}
        </p>
        {!isBrief && isMeasured(judgement) && rules && <Budget judgement={judgement} rules={rules} />}
      </section>
      <div className="columns two">
        <div>
          <Findings judgement={judgement} />
          {/* Here a sheet of paper has its room, beside what else is said. */}
          <RangesInNumbers prep={prep} />
        </div>
        {children}
      </div>
    </>
  )
}
