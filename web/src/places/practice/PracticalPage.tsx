import css from './Practice.module.css'
import { useMemo, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useParams } from 'react-router'
import { attempt } from '@ivory-crystal/core/problems'
import {
  madeFromCode,
  meltOfMade,
  type Practical,
  type PracticalResults,
  practicalTube,
  resultsTable,
  triedTubes,
} from '@ivory-crystal/core/practice'
import { clock } from '../../clock/clock'
import { download } from '../../device/download'
import { useNotebook } from '../../ledger/notebook'
import { Confirm } from '../../parts/Confirm'
import { useHouseRules } from '../../parts/useHouseRules'
import { practising } from '../../workers/practising'
import { Head } from './Head'
import { AtTheLens } from './players/AtTheLens'
import { isBegun, noteBegun, usePracticals } from './practicals'
import { recordPractice } from './record'
import { ResultsTable } from './ResultsTable'

/** A practical: one try a tube, no answer before it is handed in. */
export function PracticalPage() {
  const { practical: id = '' } = useParams()
  const practical = usePracticals().find((one) => one.id === id)
  return (
    <>
      <Head
        title={practical?.title ?? 'A practical'}
        note="one try a tube, no answer before it is handed in"
        leave={{ to: '../..', words: 'leave' }}
      />
      {practical ? (
        <Tubes practical={practical} />
      ) : (
        <p>There is no such practical in this browser. Open its file in Practice.</p>
      )}
    </>
  )
}
const NOT_MARKED = { isGood: false, share: 0, sentence: 'Not done.', compared: [] } as const

function Tubes({ practical }: { practical: Practical }) {
  const rules = useHouseRules()
  const shelf = useNotebook((state) => state.shelf?.compounds ?? NONE)
  const view = useNotebook((state) => state.view)
  const tried = triedTubes(view, practical)
  const [at, setAt] = useState<number | null>(null)
  const begunMs = useRef(0)
  const of = practical.tubes.length
  const made = useMemo(
    () =>
      practical.tubes.map((code) => {
        const one = madeFromCode(code, shelf)
        return one.ok ? attempt(() => ({ code, made: one.value, melt: meltOfMade(one.value, shelf) })) : one
      }),
    [practical, shelf],
  )
  const write = (tube: number, came: Parameters<typeof recordPractice>[2]) => {
    const one = made[tube]
    recordPractice(
      'see it melt',
      { seed: one?.ok ? one.value.made.seed : 0, level: 1 },
      came,
      (clock.elapsed() - begunMs.current) / 1000,
      { code: practical.tubes[tube] ?? '', practical: { id: practical.id, tube, of } },
    )
  }
  const now = at === null ? undefined : made[at]
  if (at !== null && now?.ok)
    return (
      <>
        <p>
          Tube {at + 1} of {of}. {now.value.made.instrument}, {now.value.made.rateCPerMin} °C/min
          {now.value.made.minutes > 0 ? `; it ends after ${now.value.made.minutes} of your minutes` : ''}. You
          have one try.
        </p>
        <AtTheLens
          key={at}
          put={{ name: 'see it melt', seed: now.value.made.seed, level: 1, rules, shelf }}
          exercise={now.value.melt}
          jobs={NONE}
          minutesMost={now.value.made.minutes}
          onDone={(came) => {
            write(at, came)
            setAt(null)
          }}
        />
      </>
    )
  const isHandedIn = tried.size >= of
  return (
    <>
      {isHandedIn ? (
        <HandedIn practical={practical} />
      ) : (
        <>
          <ol className={css.list}>
            {made.map((one, i) => (
              <li key={i}>
                <span className={css.name}>Tube {i + 1}</span>
                <span className={css.state}>
                  {tried.has(i) ? (
                    'done, sealed'
                  ) : isBegun(practical, i) ? (
                    'begun and left: not marked'
                  ) : one.ok ? (
                    <Button
                      size="sm"
                      variant="outline-primary"
                      onClick={() => {
                        begunMs.current = clock.elapsed()
                        noteBegun(practical, i)
                        setAt(i)
                      }}
                    >
                      Begin its one try
                    </Button>
                  ) : (
                    'cannot be opened'
                  )}
                </span>
                {!one.ok && <span className={css.why}>{one.problem.sentence}</span>}
              </li>
            ))}
          </ol>
          <div className="mt-3">
            <Confirm
              offer="Hand in anyway"
              question={`Hand it in? ${of - tried.size} of ${of} tubes count as not marked.`}
              onYes={() => {
                begunMs.current = clock.elapsed()
                for (let i = 0; i < of; i++)
                  if (!tried.has(i))
                    write(i, { score: NOT_MARKED, tubes: [{ firstErrorC: null, allErrorC: null }] })
              }}
            />
          </div>
        </>
      )}
    </>
  )
}
const NONE: readonly [] = []

/** The result, and the file to hand over. */
function HandedIn({ practical }: { practical: Practical }) {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf?.compounds ?? NONE)
  const { onsetRule } = useHouseRules()
  const [learner, setLearner] = useState('')
  const [results, setResults] = useState<PracticalResults | null>(null)
  const [sentence, setSaid] = useState<string | null>(null)
  const gather = async (): Promise<PracticalResults> => {
    const remote = await practising()
    const tried = triedTubes(view, practical)
    const tubes: PracticalResults['tubes'][number][] = []
    for (const [i, code] of practical.tubes.entries()) {
      const made = madeFromCode(code, shelf)
      const one = tried.get(i)
      const melt = made.ok ? attempt(() => meltOfMade(made.value, shelf)) : null
      if (!melt?.ok || !one) {
        tubes.push(null)
        continue
      }
      await remote.begin({ what: 'tubes', exercise: melt.value }, onsetRule)
      const [was] = (await remote.toTheEnd()).truth
      tubes.push(was?.firstC == null || was.allC === null ? null : practicalTube(one, was.firstC, was.allC))
    }
    return {
      practical: practical.id,
      title: practical.title,
      learner: learner.trim(),
      handedInAtMs: clock.now(),
      tubes,
    }
  }
  return (
    <>
      <p>All tubes are done. The answers are open, and nothing can be repeated.</p>
      <Form
        className="row-of"
        onSubmit={(event) => {
          event.preventDefault()
          if (learner.trim() === '')
            return setSaid('Enter who hands it in: a bench, or your number in the lab.')
          setSaid(null)
          void gather().then(setResults, (error: unknown) => {
            setSaid((error as Error).message)
          })
        }}
      >
        <div>
          <Form.Label htmlFor="learner">bench or number</Form.Label>
          <Form.Control
            id="learner"
            value={learner}
            maxLength={60}
            autoComplete="off"
            onChange={(event) => {
              setLearner(event.target.value)
            }}
          />
        </div>
        <Button type="submit">Make the sheet</Button>
      </Form>
      {sentence && (
        <p className="look" role="alert">
          {sentence}
        </p>
      )}
      {results && (
        <div className="mt-3">
          <ResultsTable table={resultsTable([results])} />
          <div className="row-of mt-2">
            <Button
              onClick={() => {
                void import('@ivory-crystal/core/practice/files').then(({ practiceFileText }) => {
                  download(
                    `results-${results.learner.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`,
                    practiceFileText({ kind: 'results', results }),
                    'application/json',
                  )
                })
              }}
            >
              Save the results
            </Button>
          </div>
        </div>
      )}
    </>
  )
}
