import { randomSource, shuffled } from '../math/random'
import type { Level } from './meltExercise'
import { fineAt, type Mistake, MISTAKES, type Scene, SCENES } from './mistakes/mistakes'
import type { Score } from './exercises'

/** A line of what is seen; a mistake, or nothing wrong. */
export interface SeenLine {
  readonly id: string
  readonly text: string
  readonly mistake: Mistake | null
  /** Of a line: three reasons and three remedies to choose from, one of each its own; for any line, wrong or not. */
  readonly reasons: readonly string[]
  readonly remedies: readonly string[]
}
export interface WrongExercise {
  readonly seed: number
  readonly level: Level
  readonly scene: Scene
  readonly lines: readonly SeenLine[]
}
const LINES = 6
const WRONG: Readonly<Record<Level, readonly [least: number, most: number]>> = {
  1: [2, 2],
  2: [2, 3],
  3: [1, 4],
}
const CHOICES = 3

/** A look over a bench: some of what is seen is wrong. */
export function wrongExercise(seed: number, level: Level): WrongExercise {
  const { uniform } = randomSource(seed)
  const mixed = <T>(list: readonly T[]) => shuffled(list, uniform)
  const scene = SCENES[Math.floor(uniform() * SCENES.length)] ?? 'at the hot plate'
  const here = mixed(MISTAKES.filter((one) => one.scene === scene))
  const [least, most] = WRONG[level]
  const count = Math.min(here.length, least + Math.floor((most - least + 1) * uniform()))
  const wrong = here.slice(0, count)
  const fine = mixed(fineAt(scene)).slice(0, LINES - count)
  const choose = (own: string | null, of: (one: Mistake) => string) => {
    const others = mixed(MISTAKES.filter((one) => one.scene === scene && of(one) !== own).map(of)).slice(
      0,
      own === null ? CHOICES : CHOICES - 1,
    )
    return mixed(own === null ? others : [own, ...others])
  }
  const lines = mixed([
    ...wrong.map((mistake) => ({ id: mistake.id, text: mistake.seen, mistake })),
    ...fine.map((text) => ({ id: text, text, mistake: null })),
  ])
  return {
    seed,
    level,
    scene,
    lines: lines.map((line) => ({
      ...line,
      reasons: choose(line.mistake?.because ?? null, ({ because }) => because),
      remedies: choose(line.mistake?.instead ?? null, ({ instead }) => instead),
    })),
  }
}

/** What the learner holds against a line. */
export interface Accused {
  readonly because: string | null
  readonly instead: string | null
}

/** What was found, why, and what instead, against what was planted. */
export function scoreWrong({ lines }: WrongExercise, accused: ReadonlyMap<string, Accused>): Score {
  const planted = lines.filter(({ mistake }) => mistake !== null)
  const found = planted.filter(({ id }) => accused.has(id))
  const falsely = lines.filter(({ id, mistake }) => mistake === null && accused.has(id))
  const missed = planted.filter(({ id }) => !accused.has(id))
  const whyRight = found.filter(({ id, mistake }) => accused.get(id)?.because === mistake?.because)
  const doRight = found.filter(({ id, mistake }) => accused.get(id)?.instead === mistake?.instead)
  const isGood =
    missed.length === 0 &&
    falsely.length === 0 &&
    whyRight.length === planted.length &&
    doRight.length === planted.length
  const points = found.length + whyRight.length + doRight.length - falsely.length
  const slip = found.find((line) => !whyRight.includes(line) || !doRight.includes(line))
  return {
    isGood,
    share: planted.length === 0 ? (falsely.length === 0 ? 1 : 0) : Math.max(0, points / (3 * planted.length)),
    sentence: missed[0]
      ? `Not seen: “${missed[0].text}” ${missed[0].mistake?.because ?? ''} ${missed[0].mistake?.instead ?? ''}`
      : falsely[0]
        ? `Nothing is wrong with “${falsely[0].text}”`
        : slip?.mistake
          ? `“${slip.text}” ${slip.mistake.because} ${slip.mistake.instead}`
          : 'All found, and each for the right reason.',
    compared: [
      {
        what: 'mistakes found',
        you: `${found.length}`,
        was: `${planted.length}`,
        isRight: missed.length === 0,
      },
      { what: 'right lines accused', you: `${falsely.length}`, was: '0', isRight: falsely.length === 0 },
      {
        what: 'why, right',
        you: `${whyRight.length}`,
        was: `${planted.length}`,
        isRight: whyRight.length === planted.length,
      },
      {
        what: 'what instead, right',
        you: `${doRight.length}`,
        was: `${planted.length}`,
        isRight: doRight.length === planted.length,
      },
    ],
  }
}
