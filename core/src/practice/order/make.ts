import { randomSource } from '../../math/random'
import type { BenchSession, SessionTask } from '../../scheduling/session/compiled'
import type { Level } from '../exercise'
import { type Piece, recrystallization, CRUDE, melt, PAGE } from './pieces'

/** A period to be put in order. */
export interface OrderExercise {
  readonly seed: number
  readonly level: Level
  readonly session: BenchSession
  readonly words: Readonly<Record<string, string>>
  /** What wants hands, in the order of the recipe: this is what is put in order. */
  readonly handed: readonly string[]
}

/** One prep and the melt of its crude; then its crystals too; then a second prep beside it. */
export function orderExercise(seed: number, level: Level): OrderExercise {
  const { uniform } = randomSource(seed)
  const pieces: readonly Piece[] = [
    ...recrystallization('', 'benzil'),
    ...CRUDE([]),
    ...(level >= 2 ? melt('product ', 'the benzil crystals', ['air']) : []),
    ...(level === 3 ? recrystallization('second ', 'adipic acid') : []),
    PAGE,
  ]
  const tasks = pieces.map(({ id, min: [least, most], needs, after = [], waitMaxMin }): SessionTask => ({
    id,
    durationMin: least + Math.round((most - least) * uniform()),
    needs,
    after: after.map((task) => ({ task, ...(waitMaxMin === undefined ? {} : { waitMaxMin }) })),
    prep: id.startsWith('second') ? 'adipic acid' : 'benzil',
  }))
  return {
    seed,
    level,
    session: {
      tasks: tasks.map(onlyLastWaits),
      capacity: { hands: 1, balance: 1, 'hot plate': 2, block: 1, ice: 2 },
    },
    words: Object.fromEntries(pieces.map(({ id, words }) => [id, words])),
    handed: pieces.filter(({ needs }) => (needs['hands'] ?? 0) > 0).map(({ id }) => id),
  }
}

/** A crude may lie weighed and a suction stand ready for as long as it likes: only what is hot or cold may not wait. */
function onlyLastWaits(task: SessionTask): SessionTask {
  return {
    ...task,
    after: task.after.map(({ task: before, ...wait }) =>
      before.endsWith('weigh') || before.endsWith('suction') ? { task: before } : { task: before, ...wait },
    ),
  }
}
