import { planBenchSession } from '../scheduling/planBenchSession'
import type { BenchSession, SessionTask } from '../scheduling/session/compiled'
import { randomSource } from '../math/random'
import type { Level } from './meltExercise'
import type { Score } from './exercises'

/** A period to be put in order. */
export interface OrderExercise {
  readonly seed: number
  readonly level: Level
  readonly session: BenchSession
  readonly words: Readonly<Record<string, string>>
  /** What wants hands, in the order of the recipe: this is what is put in order. */
  readonly handed: readonly string[]
}
/** Where every task stands, min. */
export interface Ordered {
  readonly starts: Readonly<Record<string, number>>
  readonly endMin: number
  /** Tasks that could not be begun where they stood, and had to wait for what comes after them in the list. */
  readonly movedBack: readonly string[]
  /** Tasks begun later than they may be after what they follow. */
  readonly tooLate: readonly string[]
}

interface Piece {
  readonly id: string
  readonly words: string
  readonly min: readonly [least: number, most: number]
  readonly needs: Readonly<Record<string, number>>
  readonly after?: readonly string[]
  readonly waitMaxMin?: number
}
const HANDS = { hands: 1 }
const recrystallization = (prep: string, name: string): readonly Piece[] => [
  {
    id: `${prep}heat`,
    words: `Set the solvent for ${name} on the plate`,
    min: [2, 3],
    needs: { hands: 1, 'hot plate': 1 },
  },
  {
    id: `${prep}boil`,
    words: `Solvent for ${name} comes to the boil`,
    min: [6, 9],
    needs: { 'hot plate': 1 },
    after: [`${prep}heat`],
    waitMaxMin: 0,
  },
  { id: `${prep}weigh`, words: `Weigh the crude ${name}`, min: [4, 6], needs: { hands: 1, balance: 1 } },
  {
    id: `${prep}dissolve`,
    words: `Dissolve ${name} in hot portions`,
    min: [8, 13],
    needs: { hands: 1, 'hot plate': 1 },
    after: [`${prep}boil`, `${prep}weigh`],
    waitMaxMin: 10,
  },
  {
    id: `${prep}cool`,
    words: `${name} cools to the room`,
    min: [18, 28],
    needs: {},
    after: [`${prep}dissolve`],
    waitMaxMin: 0,
  },
  {
    id: `${prep}ice`,
    words: `Put ${name} into ice`,
    min: [1, 2],
    needs: { hands: 1 },
    after: [`${prep}cool`],
  },
  {
    id: `${prep}chill`,
    words: `${name} stands in ice`,
    min: [10, 14],
    needs: { ice: 1 },
    after: [`${prep}ice`],
    waitMaxMin: 0,
  },
  { id: `${prep}suction`, words: `Set up the suction for ${name}`, min: [4, 6], needs: HANDS },
  {
    id: `${prep}collect`,
    words: `Collect and rinse ${name}`,
    min: [7, 10],
    needs: HANDS,
    after: [`${prep}chill`, `${prep}suction`],
    waitMaxMin: 15,
  },
  {
    id: `${prep}air`,
    words: `Air is drawn through ${name}`,
    min: [10, 15],
    needs: {},
    after: [`${prep}collect`],
    waitMaxMin: 0,
  },
  {
    id: `${prep}mass`,
    words: `Weigh the crystals of ${name}`,
    min: [3, 5],
    needs: { hands: 1, balance: 1 },
    after: [`${prep}air`],
  },
]
const melt = (id: string, what: string, after: readonly string[]): readonly Piece[] => [
  { id: `${id}pack`, words: `Pack a tube of ${what}`, min: [3, 5], needs: HANDS, after },
  {
    id: `${id}preheat`,
    words: `The block heats for ${what}`,
    min: [5, 8],
    needs: { block: 1 },
    after: [`${id}pack`],
  },
  {
    id: `${id}melt`,
    words: `Watch ${what} melt`,
    min: [9, 14],
    needs: { hands: 1, block: 1 },
    after: [`${id}preheat`],
  },
]
const PAGE: Piece = { id: 'page', words: 'Write the page as far as it goes', min: [10, 14], needs: HANDS }
const CRUDE = (after: readonly string[]) => melt('crude ', 'the crude benzil', after)

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

/**
 * The period in a learner’s order: each task with hands begins as soon as it can after the one before it in the list,
 * and what goes by itself begins as soon as it can.
 *
 * @param order the ids of `handed`, each once
 */
export function inOrder({ session }: OrderExercise, order: readonly string[]): Ordered {
  const starts: Record<string, number> = {}
  const ends = new Map<string, number>()
  const movedBack: string[] = []
  const byId = new Map(session.tasks.map((task) => [task.id, task]))
  const isReady = (task: SessionTask) => task.after.every(({ task: before }) => ends.has(before))
  const place = (task: SessionTask, fromMin: number) => {
    const at = freeFrom(
      task,
      Math.max(fromMin, ...task.after.map(({ task: before }) => ends.get(before) ?? 0)),
      starts,
      session,
    )
    starts[task.id] = at
    ends.set(task.id, at + task.durationMin)
    return at
  }
  const byItself = () => {
    for (let placed = true; placed;) {
      placed = false
      for (const task of session.tasks)
        if (!ends.has(task.id) && !task.needs['hands'] && isReady(task)) {
          place(task, 0)
          placed = true
        }
    }
  }
  let handsFromMin = 0
  const queue = [...order]
  while (queue.length > 0) {
    byItself()
    const i = queue.findIndex((id) => {
      const task = byId.get(id)
      return task !== undefined && isReady(task)
    })
    if (i < 0) break
    movedBack.push(...queue.slice(0, i).filter((id) => !movedBack.includes(id)))
    const task = byId.get(queue[i] as string) as SessionTask
    queue.splice(i, 1)
    handsFromMin = place(task, handsFromMin)
  }
  byItself()
  const tooLate = session.tasks
    .filter((task) =>
      task.after.some(
        ({ task: before, waitMaxMin }) =>
          waitMaxMin !== undefined && (starts[task.id] ?? 0) - (ends.get(before) ?? 0) > waitMaxMin,
      ),
    )
    .map(({ id }) => id)
  return { starts, endMin: Math.max(0, ...ends.values()), movedBack, tooLate }
}

function freeFrom(
  task: SessionTask,
  fromMin: number,
  starts: Readonly<Record<string, number>>,
  { tasks, capacity }: BenchSession,
): number {
  const placed = tasks.filter(({ id }) => starts[id] !== undefined)
  for (let at = fromMin; ; at++) {
    const fits = Object.entries(task.needs).every(([what, amount]) => {
      for (let minute = at; minute < at + task.durationMin; minute++) {
        const taken = placed.reduce((sum, other) => {
          const start = starts[other.id] as number
          const holds = minute >= start && minute < start + other.durationMin
          return sum + (holds ? (other.needs[what] ?? 0) : 0)
        }, 0)
        if (taken + amount > (capacity[what] ?? 0)) return false
      }
      return true
    })
    if (fits) return at
  }
}

/** The best order there is, and the least end known. */
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
        ? `“${exercise.words[late] ?? late}” had to wait too long after what it follows: what is hot goes cold, and what is cold goes warm.`
        : isClose
          ? `Out after ${mine.endMin} minutes, where ${best.plan.makespanMin} is ${best.plan.proven ? 'the least there is' : 'the least found'}.`
          : `${over} minutes later than need be. ${whereItWaits(exercise, mine, best)}`,
    compared: [
      {
        what: 'over after',
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
    ? `“${words[late.id] ?? late.id}” can begin ${late.byMin} minutes sooner, and all that waits for it with it.`
    : 'What goes by itself longest is started first; the short work fits into its waits.'
}
