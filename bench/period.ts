/**
 * Lives made periods at several paces, by the plan and without one, and prints how they end:
 * `npm run period-bench [sessions] [days of each] [paces, as 0.7,1,1.4,1.8] [from session]`.
 */
import { fork } from 'node:child_process'
import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { type LivedDay, liveDay } from '../core/golden/periods/bench'
import { madePeriod } from '../core/golden/periods/madePeriods'
import { idleByRecipe, planned, rowByRow, SIMPLE_STUDENTS } from '../core/golden/periods/students'

const [sessions = 40, days = 1] = process.argv.slice(2, 4).map(Number)
const paces = (process.argv[4] ?? '0.7,1,1.4,1.8').split(',').map(Number)
const from = Number(process.argv[5] ?? 1)
/** As Today plans many tasks, with its second look. */
const EFFORT = 0.5

interface Lived {
  readonly session: number
  readonly who: string
  readonly day: LivedDay
}
const PLAN = 'the plan'

function liveAll(pace: number): readonly Lived[] {
  const all: Lived[] = []
  for (let session = from; session < from + sessions; session++) {
    const made = madePeriod(session)
    for (let day = 1; day <= days; day++) {
      const terms = { pace, seed: 1000 * session + day }
      const students = {
        'idle, by the recipe': idleByRecipe,
        'row by row': rowByRow,
        ...SIMPLE_STUDENTS,
        [PLAN]: planned(made, EFFORT),
      }
      for (const [who, student] of Object.entries(students))
        all.push({ session, who, day: liveDay(made, student, terms) })
    }
  }
  return all
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length

function print(pace: number, all: readonly Lived[]): void {
  const of = (who: string, session?: number) =>
    all.filter((one) => one.who === who && (session === undefined || one.session === session))
  const endOf = (who: string, session?: number) => mean(of(who, session).map(({ day }) => day.endMin))
  const names = [...new Set(all.map(({ who }) => who))]
  const simple = Object.keys(SIMPLE_STUDENTS)
  const every = [...new Set(all.map(({ session }) => session))]
  console.log(`\npace ${pace}: ${every.length} sessions, ${days} days of each`)
  console.log(
    `${''.padEnd(24)}${['end, min', 'late at lens, min', 'over-waited', 'changes per 3 tasks'].map((name) => name.padStart(21)).join('')}`,
  )
  for (const who of names) {
    const days = of(who).map(({ day }) => day)
    const row = [
      endOf(who).toFixed(1),
      days.reduce((sum, { lateAtLensMin }) => sum + lateAtLensMin, 0).toString(),
      days.reduce((sum, { overWaited }) => sum + overWaited, 0).toString(),
      mean(days.map(({ changesOfPrep, handTasks }) => (3 * changesOfPrep) / handTasks)).toFixed(2),
    ]
    console.log(`${who.padEnd(24)}${row.map((cell) => cell.padStart(21)).join('')}`)
  }
  // Whoever is best in each session, over its days: nobody changes the rule from day to day.
  const best = mean(every.map((session) => Math.min(...simple.map((who) => endOf(who, session)))))
  const plan = endOf(PLAN)
  const later = every.filter(
    (session) => endOf(PLAN, session) > Math.min(...simple.map((who) => endOf(who, session))) + 0.5,
  )
  console.log(
    `best simple student of each session ${best.toFixed(1)}; the plan is ${Math.abs(best - plan).toFixed(1)} min ${plan <= best ? 'sooner' : 'later'} (${((100 * (best - plan)) / best).toFixed(1)} %), later in ${later.length} sessions: ${later.join(', ')}`,
  )
  const overWaited = of(PLAN).filter(({ day }) => day.overWaited > 0 || day.lateAtLensMin > 0)
  if (overWaited.length > 0)
    console.log(
      `not kept by the plan: ${overWaited.map(({ session, day }) => `${session} (${day.overWaited})`).join(', ')}`,
    )
}

/** Each pace in a process of its own. */
async function inProcesses(): Promise<void> {
  const left = [...paces]
  const lived = new Map<number, readonly Lived[]>()
  const next = async (): Promise<void> => {
    const pace = left.shift()
    if (pace === undefined) return
    const child = fork(
      fileURLToPath(import.meta.url),
      [String(sessions), String(days), String(pace), String(from)],
      { env: { ...process.env, ONE_PACE: 'yes' } },
    )
    const lives = new Promise<readonly Lived[]>((resolve, reject) => {
      child.once('message', (all) => resolve(all as readonly Lived[]))
      child.once('exit', (code) => code !== 0 && reject(new Error(`pace ${pace} ended with ${code}`)))
    })
    lived.set(pace, await lives)
    return next()
  }
  await Promise.all(Array.from({ length: availableParallelism() }, next))
  for (const pace of paces) print(pace, lived.get(pace) ?? [])
}

if (process.env['ONE_PACE']) process.send?.(liveAll(paces[0] ?? 1))
else await inProcesses()
