import { ANEW_EFFORT } from '@ivory-crystal/core/planning'
import {
  type BenchSession,
  planBenchSession,
  recipeOrderMin,
  replan,
  type SessionTask,
  simulateLab,
} from '@ivory-crystal/core/scheduling'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { PROJECT } from '../server/src/paths'
import type { Row } from './table'

const { cases } = JSON.parse(readFileSync(join(PROJECT, 'core/vectors/bench-session.json'), 'utf8')) as {
  cases: [BenchSession, BenchSession]
}
const [alone, withPartner] = cases

/** The same prep once more, under another name. */
const again = (prep: string, tasks: readonly SessionTask[]): SessionTask[] =>
  tasks.map((task) => ({
    ...task,
    id: `${prep} ${task.id}`,
    prep,
    after: task.after.map((one) => ({ ...one, task: `${prep} ${one.task}` })),
  }))
const UNKNOWN: readonly SessionTask[] = [
  { id: 'pack', durationMin: 6, after: [], needs: { hands: 1 } },
  { id: 'scout', durationMin: 14, after: [{ task: 'pack' }], needs: { hands: 1, block: 1 } },
  { id: 'pack again', durationMin: 6, after: [{ task: 'scout' }], needs: { hands: 1 } },
  {
    id: 'careful',
    durationMin: 22,
    after: [{ task: 'pack again' }, { task: 'scout', waitMin: 10 }],
    needs: { hands: 1, block: 1 },
  },
]
const oneAndUnknown = [...again('a', alone.tasks), ...again('u', UNKNOWN)]
const two = [...again('a', alone.tasks), ...again('b', alone.tasks)]
const three = [...two, ...again('c', alone.tasks)]

const PERIODS: readonly (readonly [what: string, session: BenchSession])[] = [
  ['one prep', alone],
  ['one prep, two pairs of hands', withPartner],
  ['a prep and an unknown', { ...alone, tasks: oneAndUnknown }],
  ['a prep and an unknown, two pairs of hands', { ...withPartner, tasks: oneAndUnknown }],
  [
    'a prep, the block taken for an hour',
    { ...alone, busy: [{ resource: 'block', fromMin: 0, toMin: 60, amount: 1 }] },
  ],
  [
    'a prep, a flame next door for half an hour',
    {
      ...alone,
      tasks: alone.tasks.map((task) =>
        /dissolve|heat/.test(task.id) ? { ...task, tags: ['vapour'] } : task,
      ),
      capacity: { ...alone.capacity, flame: 1 },
      never: [['flame', 'vapour']],
      busy: [{ resource: 'flame', fromMin: 0, toMin: 30, amount: 1, tags: ['flame'] }],
    },
  ],
  ['two preps', { ...alone, tasks: two }],
  [
    'two preps and an unknown, two pairs of hands',
    { ...withPartner, tasks: [...two, ...again('u', UNKNOWN)] },
  ],
  ['three preps', { ...alone, tasks: three }],
  ['three preps, two pairs of hands', { ...withPartner, tasks: three }],
]

/** Periods shaped like real ones, planned; and a class’s day. */
export function measureSession(): Row[] {
  const rows = PERIODS.map(([what, session]): Row => {
    const begun = performance.now()
    const plan = planBenchSession(session)
    const ms = performance.now() - begun
    const recipe = recipeOrderMin(session)
    return {
      what: `${what}, ${session.tasks.length} tasks: ${plan.makespanMin} min, ${plan.proven ? 'proven' : `none under ${plan.lowerBoundMin}`}, recipe ${recipe}`,
      ours: `${ms.toFixed(0)} ms`,
      bare: '',
      ratio: `${((100 * (recipe - plan.makespanMin)) / recipe).toFixed(0)} % saved`,
      aim: 'at most 2 s',
    }
  })
  const saved = PERIODS.map(([, session]) => {
    const recipe = recipeOrderMin(session)
    return (100 * (recipe - planBenchSession(session).makespanMin)) / recipe
  })
  const meanSaved = saved.reduce((sum, percent) => sum + percent, 0) / saved.length
  const eighteen: BenchSession = { ...alone, tasks: oneAndUnknown }
  const { starts } = planBenchSession(eighteen)
  const [first] = Object.entries(starts).sort(([, p], [, q]) => p - q)
  const again = performance.now()
  const late = { nowMin: (first?.[1] ?? 0) + 9, started: first ? { [first[0]]: first[1] } : {}, done: {} }
  // As much work as a plan made anew on Today is given.
  const anew = replan({ ...eighteen, ...late }, ANEW_EFFORT)
  const replanMs = performance.now() - again
  const begun = performance.now()
  simulateLab({
    tasks: alone.tasks,
    shared: { block: 40, balance: 20 },
    benches: 200,
    hands: 1,
    arrival: { kind: 'scattered', overMin: 15 },
    pace: { kind: 'log-normal', spread: 0.2 },
    seed: 1,
    runs: 200,
  })
  return [
    ...rows,
    {
      what: `saved against an order that sits idle through every wait, mean of ${saved.length} periods; against students: npm run period-bench`,
      ours: `${meanSaved.toFixed(0)} %`,
      bare: '',
      ratio: '',
      aim: '',
    },
    {
      what: `the rest of 18 tasks planned anew, nine minutes late: ${anew.makespanMin} min, none under ${anew.lowerBoundMin}`,
      ours: `${replanMs.toFixed(0)} ms`,
      bare: '',
      ratio: '',
      aim: 'at most 200 ms',
    },
    {
      what: 'a class of 200 benches, 200 days',
      ours: `${((performance.now() - begun) / 1000).toFixed(1)} s`,
      bare: '',
      ratio: '',
      aim: 'with a progress bar',
    },
  ]
}
