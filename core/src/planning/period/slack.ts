import type { BenchSession, Happened, SessionTask } from '../../scheduling/session/compiled'
import type { PeriodTask } from './task'

type Session = BenchSession & Happened

/**
 * Hands’ work may take so much longer than it is planned with. Beside a melt that is heating, or could be: until five
 * tasks have shown how fast these hands are; then, with something more while they are few. Beside one that is only
 * planned little is kept free: it can still be put off.
 */
const LONGER = { unknown: 0.75, known: 0.25, planned: 0.1 } as const
/** This part of what hot solvent, cold crystals or a plate may wait is kept back: more while the pace is not known. */
const KEPT_BACK = { unknown: 1 / 2, known: 1 / 3 } as const

/**
 * Room for hands that are slower than planned: nothing is begun before a melt is due that could last into it, and what
 * spoils is planned to be seen to well before it would.
 *
 * @param tasks as they are planned; whether their minutes go by this period’s pace tells how much they may still vary
 */
export function withSlack(session: Session, tasks: readonly PeriodTask[]): Session {
  const timed = tasks.find(({ pace }) => pace?.isToday)?.pace?.times
  const nowLonger = timed === undefined ? LONGER.unknown : LONGER.known + 1 / timed
  const isBegun = (id: string) => session.started[id] !== undefined || session.done[id] !== undefined
  // Once a run could be begun, it could be the next thing: then as if it were heating.
  const byId = new Map(session.tasks.map((task) => [task.id, task]))
  const isNear = (id: string): boolean => {
    const task = byId.get(id)
    if (isBegun(id) || !task) return true
    const isOwn = task.after.some(({ waitMaxMin }) => waitMaxMin === 0)
    return task.after.every((one) => (isOwn ? isNear(one.task) : isBegun(one.task)))
  }
  const longerBeside = ({ after }: SessionTask) =>
    after.every(({ task }) => isNear(task)) ? nowLonger : LONGER.planned
  const isOpen = ({ id }: SessionTask) => !isBegun(id)
  const hands = session.tasks.filter((task) => isOpen(task) && (task.needs['hands'] ?? 0) > 0)
  const before = forerunnersOf(session.tasks)
  const gaps = hands
    .filter(({ after }) => after.some(({ waitMaxMin }) => waitMaxMin === 0))
    .flatMap((melt) =>
      hands
        .filter((task) => task !== melt && !before(melt.id).has(task.id) && !before(task.id).has(melt.id))
        .map((task) => ({
          before: task.id,
          after: melt.id,
          minutes: Math.ceil(longerBeside(melt) * task.durationMin),
        })),
    )
  return {
    ...session,
    gaps: [...(session.gaps ?? []), ...gaps],
    tasks: session.tasks.map((task) =>
      hands.includes(task)
        ? { ...task, after: task.after.map((one) => sooner(one, timed === undefined ? 'unknown' : 'known')) }
        : task,
    ),
  }
}

function sooner(
  one: SessionTask['after'][number],
  pace: keyof typeof KEPT_BACK,
): SessionTask['after'][number] {
  const { waitMaxMin, waitMin = 0 } = one
  return waitMaxMin === undefined
    ? one
    : { ...one, waitMaxMin: Math.max(waitMin, waitMaxMin - Math.floor(KEPT_BACK[pace] * waitMaxMin)) }
}

/** All that must be over before a task, near and far. */
function forerunnersOf(tasks: readonly SessionTask[]): (id: string) => ReadonlySet<string> {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const known = new Map<string, Set<string>>()
  const find = (id: string): Set<string> => {
    const found = known.get(id)
    if (found) return found
    const all = new Set<string>()
    known.set(id, all)
    for (const { task } of byId.get(id)?.after ?? []) {
      all.add(task)
      for (const one of find(task)) all.add(one)
    }
    return all
  }
  return find
}
