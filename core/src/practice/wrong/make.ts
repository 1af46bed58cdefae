import { randomSource, shuffled } from '../../math/random'
import type { Level } from '../exercise'
import { type Mistake, type Scene, SCENES, MISTAKES, fineAt } from './mistakes/mistakes'

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
