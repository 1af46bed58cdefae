import { useMemo, useRef, useState } from 'react'
import { useParams } from 'react-router'
import { attempt } from '@ivory-crystal/core/problems'
import { type MadeExercise, madeFromCode, type MeltExercise, meltOfMade } from '@ivory-crystal/core/practice'
import { clock } from '../../clock/clock'
import { useNotebook } from '../../ledger/notebook'
import { useHouseRules } from '../../parts/useHouseRules'
import { Head } from './Head'
import { Answer } from './Answer'
import { AtTheLens } from './players/AtTheLens'
import type { Done } from './exerciseSetup'
import { recordPractice } from './record'

/** An exercise somebody made, by its code. */
export function GivenExercise() {
  const { code = '' } = useParams()
  const compounds = useNotebook((state) => state.shelf?.compounds ?? NONE)
  const made = useMemo(() => madeFromCode(code, compounds), [code, compounds])
  const melt = useMemo(
    () => (made.ok ? attempt(() => meltOfMade(made.value, compounds)) : made),
    [made, compounds],
  )
  return (
    <>
      <Head title="An exercise you were given" leave={{ to: '../..', words: 'leave' }} />
      {made.ok && melt.ok ? (
        <Given key={code} code={code} made={made.value} melt={melt.value} />
      ) : (
        <p className="look" role="alert">
          {!made.ok ? made.problem.sentence : melt.ok ? '' : melt.problem.sentence}
        </p>
      )}
    </>
  )
}
const NONE: readonly [] = []

function Given({ code, made, melt }: { code: string; made: MadeExercise; melt: MeltExercise }) {
  const rules = useHouseRules()
  const shelf = useNotebook((state) => state.shelf?.compounds ?? NONE)
  const [turn, setTurn] = useState(0)
  const [done, setDone] = useState<Done | null>(null)
  const begunMs = useRef(clock.elapsed())
  const again = () => {
    begunMs.current = clock.elapsed()
    setDone(null)
    setTurn((count) => count + 1)
  }
  const put = { name: 'see it melt', seed: made.seed, level: 1, rules, shelf } as const
  if (done)
    return (
      <Answer
        name="see it melt"
        score={done.score}
        more={done.more}
        isLens
        isMade
        onAgain={again}
        onSame={again}
      />
    )
  return (
    <>
      <p className="mb-2">
        {made.instrument}, {made.rateCPerMin} °C/min
        {made.minutes > 0 ? `; it ends after ${made.minutes} of your minutes` : ''}.
      </p>
      <AtTheLens
        key={turn}
        put={put}
        exercise={melt}
        jobs={NONE}
        minutesMost={made.minutes}
        onDone={(came) => {
          recordPractice('see it melt', put, came, (clock.elapsed() - begunMs.current) / 1000, {
            code,
            practical: null,
          })
          setDone(came)
        }}
      />
    </>
  )
}
