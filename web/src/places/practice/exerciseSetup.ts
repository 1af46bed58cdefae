import type { ReactNode } from 'react'
import type { Conventions } from '@ivory-crystal/core/conventions'
import type { Compound } from '@ivory-crystal/core/substances'
import type { ExerciseName, Level, MarkedTube, Score } from '@ivory-crystal/core/practice'

/** An exercise as it is put to a learner. */
export interface ExerciseSetup {
  readonly name: ExerciseName
  readonly seed: number
  readonly level: Level
  readonly rules: Conventions
  readonly shelf: readonly Compound[]
}
/** The result. */
export interface Done {
  readonly score: Score
  /** At the lens, tube by tube. */
  readonly tubes?: readonly MarkedTube[]
  /** What teaches beside the sentence. */
  readonly more?: ReactNode
}
export interface PlayerProps {
  readonly put: ExerciseSetup
  readonly onDone: (done: Done) => void
  /** Under what is pressed: how it went before. */
  readonly below?: ReactNode
}

/** A seed nobody has seen. */
export function freshSeed(): number {
  return (crypto.getRandomValues(new Uint32Array(1))[0] ?? 1) % 1_000_000
}
