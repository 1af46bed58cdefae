import { type ExerciseName, type Level, PRACTICE, type PracticeDone } from '@ivory-crystal/core/practice'
import { write } from '../../ledger/notebook'
import type { Done } from './exerciseSetup'

const LONGEST = 600
const DAY_S = 86_400

/** Writes what came of an exercise: a line of its own kind, of which nothing else is made. */
export function recordPractice(
  name: ExerciseName,
  { seed, level }: { readonly seed: number; readonly level: Level },
  { score, tubes = [] }: Done,
  tookS: number,
  made: Pick<PracticeDone, 'code' | 'practical'> = { code: null, practical: null },
): void {
  write({
    kind: 'practice done',
    subject: PRACTICE,
    body: {
      exercise: name,
      seed,
      level,
      isGood: score.isGood,
      share: Math.min(1, Math.max(0, score.share)),
      tookS: Math.min(DAY_S, Math.max(0, tookS)),
      sentence: score.sentence.slice(0, LONGEST),
      tubes,
      ...made,
    },
  })
}
