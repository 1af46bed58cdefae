import css from './Practice.module.css'
import classNames from 'classnames'
import {
  type ComponentType,
  lazy,
  type LazyExoticComponent,
  Suspense,
  useMemo,
  useRef,
  useState,
} from 'react'
import { Link, useParams, useSearchParams } from 'react-router'
import {
  ABOUT,
  type Eye,
  type ExerciseName,
  exerciseAt,
  forTubes,
  type Level,
  placeOnPath,
  type PlayedAt,
} from '@ivory-crystal/core/practice'
import { clock } from '../../clock/clock'
import { useNotebook } from '../../ledger/notebook'
import { Title } from '../../parts/Title'
import { useHouseRules } from '../../parts/useHouseRules'
import { Head } from './Head'
import { Answer } from './Answer'
import { recordPractice } from './record'
import { type Done, freshSeed, type PlayerProps } from './exerciseSetup'
import { usePractice } from './usePractice'
import { YourEye } from './YourEye'

/** So many compounds an exercise draws from, at least. */
const TUBES_LEAST = 3

type Player = LazyExoticComponent<ComponentType<PlayerProps>>
const player = (load: () => Promise<ComponentType<PlayerProps>>): Player =>
  lazy(async () => ({ default: await load() }))
/** Who puts what on the screen: one player for each folder of exercises. */
const PLAYERS: Readonly<Record<PlayedAt, Player>> = {
  lens: player(async () => (await import('./players/LensPlayer')).LensPlayer),
  dial: player(async () => (await import('./players/DialPlayer')).DialPlayer),
  flame: player(async () => (await import('./players/FlamePlayer')).FlamePlayer),
  dissolve: player(async () => (await import('./players/DissolvePlayer')).DissolvePlayer),
  balance: player(async () => (await import('./players/BalancePlayer')).BalancePlayer),
  verdict: player(async () => (await import('./players/VerdictPlayer')).VerdictPlayer),
  mixture: player(async () => (await import('./players/MixturePlayer')).MixturePlayer),
  order: player(async () => (await import('./players/OrderPlayer')).OrderPlayer),
  wrong: player(async () => (await import('./players/WrongPlayer')).WrongPlayer),
  solvent: player(async () => (await import('./players/SolventPlayer')).SolventPlayer),
}

/** One exercise: it begins at once, answers, and is put again. */
export function Exercise() {
  const { exercise = '' } = useParams()
  const name = exerciseAt(exercise)
  if (!name)
    return (
      <>
        <Title title="Practice" />
        <p className="mt-3">
          There is no exercise with that name. <Link to="..">All exercises</Link>
        </p>
      </>
    )
  return <Put key={name} name={name} />
}

function Put({ name }: { name: ExerciseName }) {
  const [search] = useSearchParams()
  const rules = useHouseRules()
  const shelf = useNotebook((state) => state.shelf)
  const { progress, eye } = usePractice()
  const asked = askedFor(search)
  const stands = progress.find((one) => one.name === name)
  const [turn, setTurn] = useState({
    seed: asked.seed ?? freshSeed(),
    count: 0,
    level: asked.level ?? stands?.level ?? 1,
  })
  const [done, setDone] = useState<Done | null>(null)
  const [before, setBefore] = useState<string | null>(null)
  const begunMs = useRef(clock.elapsed())
  const put = useMemo(
    () => ({ name, seed: turn.seed, level: turn.level, rules, shelf: shelf?.compounds ?? [] }),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- a shelf or rules changed meanwhile put no other tube under the eye
    [name, turn],
  )
  const { title, why, minutes, played } = ABOUT[name]
  const Playing = PLAYERS[played]
  const isLens = played === 'lens'
  const again = (seed: number) => {
    setBefore(done?.score.sentence ?? null)
    setDone(null)
    begunMs.current = clock.elapsed()
    setTurn(({ count }) => ({ seed, count: count + 1, level: asked.level ?? stands?.level ?? 1 }))
  }
  return (
    <>
      <Head title={title} note={placeOnPath(name)} leave={{ to: '..', words: 'leave' }} />
      {forTubes(put.shelf).length < TUBES_LEAST ? (
        <p className="look">
          This shelf has too few of the compounds that the exercises use. Import the compounds that came with
          the app.
        </p>
      ) : done === null ? (
        <>
          <p className={classNames('mb-2', isLens && css.intro)}>
            {why}{' '}
            <span className="quiet">
              Level {turn.level}, {minutes[0]} to {minutes[1]} minutes.
            </span>
          </p>
          <Suspense fallback={<p aria-busy="true">Opening …</p>}>
            <Playing
              key={turn.count}
              put={put}
              below={isLens ? <Before sentence={before} eye={eye} /> : null}
              onDone={(came) => {
                recordPractice(name, turn, came, (clock.elapsed() - begunMs.current) / 1000)
                setDone(came)
              }}
            />
          </Suspense>
        </>
      ) : (
        <Answer
          name={name}
          score={done.score}
          more={done.more}
          isLens={isLens}
          onAgain={() => {
            again(freshSeed())
          }}
          onSame={() => {
            again(turn.seed)
          }}
        />
      )}
    </>
  )
}

/** How it went last time, and one’s eye so far. */
function Before({ sentence, eye }: { sentence: string | null; eye: Eye }) {
  return (
    <div className="mt-4">
      {sentence !== null && (
        <>
          <h2>Last time</h2>
          <p>{sentence}</p>
        </>
      )}
      {eye.tubes > 0 && <YourEye eye={eye} />}
    </div>
  )
}

/** A seed and a level the address asks for; what is no such thing is left to chance. */
function askedFor(search: URLSearchParams): { readonly seed: number | null; readonly level: Level | null } {
  const seed = Number(search.get('seed') ?? NaN)
  const level = Number(search.get('level') ?? NaN)
  return {
    seed: Number.isInteger(seed) && seed >= 0 && seed < 2 ** 31 ? seed : null,
    level: level === 1 || level === 2 || level === 3 ? level : null,
  }
}
