import { planBenchSession } from '../../scheduling/planBenchSession'
import type { Score } from '../exercise'
import { inOrder, type Ordered } from './inOrder'
import type { OrderExercise } from './make'

/** The shortest order, and the least end known. */
export function bestOrder({ session, handed }: OrderExercise) {
  const plan = planBenchSession(session)
  return {
    plan,
    order: [...handed].sort((p, q) => (plan.starts[p] ?? 0) - (plan.starts[q] ?? 0)),
  }
}

/** The learner’s order against the best. */
export function scoreOrder(
  exercise: OrderExercise,
  order: readonly string[],
  best: ReturnType<typeof bestOrder>,
): Score {
  const mine = inOrder(exercise, order)
  const over = mine.endMin - best.plan.makespanMin
  const isClose = mine.endMin <= 1.05 * best.plan.makespanMin
  const [late] = mine.tooLate
  return {
    isGood: isClose && late === undefined,
    share:
      Math.min(1, best.plan.makespanMin / Math.max(1, mine.endMin)) ** 2 * (late === undefined ? 1 : 0.7),
    sentence:
      late !== undefined
        ? `“${exercise.words[late] ?? late}” had to wait too long after the task before it: hot things cool down, and cold things warm up.`
        : isClose
          ? `Finished after ${mine.endMin} minutes, where ${best.plan.makespanMin} is ${best.plan.proven ? 'the shortest possible' : 'the shortest found'}.`
          : `${over} minutes later than necessary. ${whereItWaits(exercise, mine, best)}`,
    compared: [
      {
        what: 'finished after',
        you: `${mine.endMin} min`,
        was: `${best.plan.makespanMin} min`,
        isRight: isClose,
      },
      {
        what: 'waited longer than it may',
        you: `${mine.tooLate.length}`,
        was: '0',
        isRight: late === undefined,
      },
    ],
  }
}

/** The first task with hands that the best order begins much sooner. */
function whereItWaits(
  { words, handed }: OrderExercise,
  mine: Ordered,
  { plan }: ReturnType<typeof bestOrder>,
): string {
  const late = [...handed]
    .map((id) => ({ id, byMin: (mine.starts[id] ?? 0) - (plan.starts[id] ?? 0) }))
    .filter(({ byMin }) => byMin >= 3)
    .sort((p, q) => (plan.starts[p.id] ?? 0) - (plan.starts[q.id] ?? 0))[0]
  return late
    ? `“${words[late.id] ?? late.id}” can begin ${late.byMin} minutes earlier, and so can everything that waits for it.`
    : 'Start the longest unattended work first, and do short work while it runs.'
}
