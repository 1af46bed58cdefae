import { useHouseRules } from '../../parts/useHouseRules'
import Button from 'react-bootstrap/Button'
import { Link, useNavigate, useParams } from 'react-router'
import {
  isComplete,
  judgementOfUnknown,
  isUnderWay,
  judgedRange,
  meltsOf,
  packTubes,
  type UnknownFacts,
} from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import { useNotebook, write } from '../../ledger/notebook'
import { Budget } from '../../drawings/Budget'
import { isMeasured } from '../prep/Findings'
import { RepeatsTable } from '../melt/RepeatsTable'
import { SealAnswer } from './SealAnswer'
import { Term } from '../../parts/Term'

/** A fast run for a rough value, then a careful one from what it found. */
export function CaseMelt({ unknown }: { unknown: UnknownFacts }) {
  const { notebook } = useParams()
  const home = `/n/${notebook ?? ''}`
  const go = useNavigate()
  const view = useNotebook((state) => state.view)
  const rules = useHouseRules()
  const open = meltsOf(view).filter(
    (melt) => melt.planned.body.tubes.some(({ sample }) => sample === unknown.sample.id) && isUnderWay(melt),
  )
  const { scouting, careful } = unknown
  const pack = (purpose: 'scouting' | 'careful') => {
    const [tube] = write(...packTubes([unknown.sample], rules.fillMm[0], null))
    void go(`${home}/melts/new?tubes=${tube ?? ''}&purpose=${purpose}`)
  }
  return (
    <div className="columns two mt-2">
      <section>
        {open.map(({ id, planned, run }) => (
          <p key={id} className="look">
            <Link to={`${home}/melts/${id}`}>
              {run ? 'A melt of it is running' : 'A melt of it is planned'}
            </Link>{' '}
            on the {planned.body.instrumentName.toLowerCase()}.
          </p>
        ))}
        <h2>{careful ? 'Its range is known' : scouting ? 'Now the careful run' : 'First a scouting run'}</h2>
        <p className="mt-2">
          {careful
            ? 'Melt it again if the marks were doubtful. Two runs that agree count for more than one.'
            : scouting
              ? `It melts near ${fixed(judgedRange(scouting).clearC, 0)} °C. Put a new tube in below that, and heat it slowly. Do not reuse a tube: a solid that has melted once can melt differently.`
              : 'Its melting range is not known. Heat one tube fast, up to 10 °C/min, and mark both ends. The value is rough, but the app plans the careful run from it.'}
        </p>
        <p className="row-of">
          <Button
            variant={scouting || careful ? 'outline-primary' : 'primary'}
            onClick={() => {
              pack('scouting')
            }}
          >
            Scouting run: pack a tube
          </Button>
          {(scouting ?? careful) && (
            <Button
              variant={careful ? 'outline-primary' : 'primary'}
              onClick={() => {
                pack('careful')
              }}
            >
              Careful run: pack tube
            </Button>
          )}
          {careful && (
            <Link className="btn btn-primary" to={`${home}/unknowns/${unknown.id}/candidates`}>
              Go on to candidates
            </Link>
          )}
        </p>
        <RepeatsTable rows={unknown.rows} />
        <Alone unknown={unknown} />
      </section>
      <aside>
        {unknown.rows.length === 0 && <SealAnswer unknown={unknown} isOpenAtOnce />}
        <h3 className={unknown.rows.length === 0 ? 'mt-4' : ''}>Every tube of it</h3>
        {unknown.rows.length === 0 && (
          <p className="mt-1 quiet">
            No tube has been melted yet. A case goes like this: a <Term of="scoutingRun" />, a careful run,
            the list of candidates, then the most informative mixture, melted beside both its parts.
          </p>
        )}
        <table className="lines mt-1">
          <tbody>
            {unknown.rows
              .filter(({ hasRun }) => hasRun)
              .map((row) => (
                <tr key={`${row.melt} ${row.slot}`}>
                  <td>
                    <Link to={`${home}/melts/${row.melt}`}>{row.purpose}</Link>
                    <span className="quiet d-block">
                      {row.instrumentName.toLowerCase()}, {fixed(row.rateCPerMin, 1)} °C/min
                    </span>
                  </td>
                  <td className="num">
                    {isComplete(row)
                      ? `${row.onset.text} to ${row.clear.text} °C`
                      : (row.trouble ?? 'running')}
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </aside>
    </div>
  )
}

/** What its range shows alone: whether it is as sharp as a pure compound, and whose its width is. */
function Alone({ unknown }: { unknown: UnknownFacts }) {
  const view = useNotebook((state) => state.view)
  const judged = judgementOfUnknown(view, unknown)
  if (!judged || !unknown.careful) return null
  if (!judged.ok) return <p className="trouble mt-2">{judged.problem.sentence}</p>
  const judgement = judged.value
  const isSharp = judgement.findings.some(({ code }) => code === 'sharp')
  const isScattered = judgement.findings.some(({ code }) => code === 'repeats-scatter')
  const [first] = judgement.actions
  return (
    <section className="mt-3" aria-label="What its range shows alone">
      <h3>
        {isScattered
          ? 'Its tubes do not agree'
          : isSharp
            ? 'As sharp as a pure compound'
            : 'Broader than a pure compound'}
      </h3>
      <p className="quiet mt-1 mb-0">
        {isSharp && !isScattered
          ? 'A eutectic mixture is just as sharp. Only mixed melts show which compound it is.'
          : `Next: ${(first?.sentence ?? '').replace(/^./, (letter) => letter.toLowerCase())}`}
      </p>
      {isMeasured(judgement) && <Budget judgement={judgement} rules={unknown.careful.conventions} />}
    </section>
  )
}
