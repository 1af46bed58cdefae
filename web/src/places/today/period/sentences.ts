import {
  type PeriodPlan,
  HARM,
  type IfLate,
  type PeriodTask,
  type PeriodTerms,
  setsEnd,
} from '@ivory-crystal/core/planning'
import type { BrokenWait } from '@ivory-crystal/core/scheduling'
import { uncapital, minutesInWords } from '@ivory-crystal/core/words'
import { capital, clock } from '../../../format/format'

const MINUTE_MS = 60_000
/** Less room than this is none to speak of, min. */
const ROOM_LEAST_MIN = 3

/** Which of what is still to be done begins a wait that sets the end, and how much room the rest has. */
export function hangsOn(tasks: readonly PeriodTask[], plan: PeriodPlan): string {
  const byId = new Map(tasks.map((task) => [task.id, task]))
  const critical = new Set(plan.criticalPath)
  const keys = setsEnd(tasks, plan)
  const open = plan.criticalPath
    .flatMap((id) => byId.get(id) ?? [])
    .filter(({ state }) => state.is !== 'done')
  if (open.length === 0) return 'No work is waiting.'
  const next = open
    .filter(({ id, isAlone, state }) => keys.has(id) && !isAlone && state.is === 'open')
    .slice(0, 3)
    .map(({ words }, i) => `“${i === 0 ? words : uncapital(words)}”`)
  const running = open.find(({ isAlone, state }) => isAlone && state.is === 'running')
  const roomy = tasks
    .filter(
      ({ id, isAlone, of, state }) => !isAlone && of !== null && state.is === 'open' && !critical.has(id),
    )
    .map((task) => ({ task, room: plan.room[task.id] ?? 0 }))
    .filter(({ room, task }) => room >= ROOM_LEAST_MIN && plan.starts[task.id] !== undefined)
    .sort((p, q) => q.room - p.room)[0]
  return [
    ...(running ? [`All other work waits for this: ${uncapital(running.words)}.`] : []),
    next.length > 0
      ? `${next.join(', then ')}: ${next.length === 1 ? 'it starts' : 'each starts'} a wait that sets when you finish. Each minute you start later, you finish a minute later.`
      : 'Your hands set when you finish: no wait does.',
    roomy
      ? `“${roomy.task.words}” can wait longest: up to ${minutesInWords(roomy.room)}.`
      : 'No task can start more than a minute or two later.',
  ].join(' ')
}

/** What to do when it gets late, or already is: one sentence for each row of work. */
export function whenLate(
  tasks: readonly PeriodTask[],
  late: IfLate,
  plan: PeriodPlan,
  { beginsAtMs, endsAtMs }: PeriodTerms,
): readonly string[] {
  const at = (min: number) => clock(beginsAtMs + min * MINUTE_MS)
  const title = (of: string) => tasks.find((task) => task.of === of)?.title ?? ''
  if (plan.makespanMin > plan.deadlineMin) {
    const leave = late.leave.map(({ of, gets, stop }) =>
      gets === 'not begun'
        ? `Leave ${title(of)} for another day.`
        : gets === 'over time'
          ? `${title(of)} cannot reach a safe stop in time. Tell the person in charge now.`
          : `Stop ${title(of)} at its safe place: ${uncapital(stop ?? '')}`,
    )
    return [
      `Not everything is finished by ${clock(endsAtMs)}: it would be ${at(plan.makespanMin)}.`,
      ...leave,
      ...(leave.length === 0 ? ['Nothing can be left. Tell the person in charge.'] : []),
    ]
  }
  const last = late.lastStarts.map(({ task, atMin, stop }) => {
    const words = tasks.find(({ id }) => id === task)?.words ?? ''
    return `${words} by ${at(atMin)}.${stop ? ` After that, stop here: ${uncapital(stop)}` : ' There is no safe stop before it.'}`
  })
  return last.length === 0 ? ['All remaining work fits, and there is no deadline to watch.'] : last
}

/** Who else has what, and when it is yours. */
export function shared(
  terms: PeriodTerms,
  names: ReadonlyMap<string, string>,
  nowMs: number,
): readonly string[] {
  const ahead = terms.busy.filter(({ toAtMs }) => toAtMs > nowMs)
  return ahead.map(({ what, who, fromAtMs, toAtMs }) => {
    const when = fromAtMs > nowMs ? `from ${clock(fromAtMs)} to ${clock(toAtMs)}` : `until ${clock(toAtMs)}`
    if (what === 'flame')
      return `A flame is lit at ${who} ${when}: keep flammable solvents away until it is out.`
    const name = names.get(what) ?? what
    return `${capital(name)}: ${who} ${when}${fromAtMs > nowMs ? '' : ', then you'}.`
  })
}

/** A wait that no order keeps any more: by how long, and what that does. */
export function brokenWait(tasks: readonly PeriodTask[], { task, after, byMin }: BrokenWait): string {
  const [late, before] = [task, after].map((id) => tasks.find((one) => one.id === id))
  const how = `“${late?.words ?? ''}” is planned ${minutesInWords(byMin)} too late after “${uncapital(before?.words ?? '')}”.`
  return `${how} ${WHAT_IT_DOES[harmOf(late, after)] ?? ''}`.trim()
}

const harmOf = (task: PeriodTask | undefined, after: string) =>
  task?.after.find((one) => one.task === after)?.harm ?? 0
/** By how much it spoils, as the tasks have it. */
const WHAT_IT_DOES: Readonly<Record<number, string>> = {
  [HARM.ofItself]: 'It only begins later; nothing is lost.',
  [HARM.cold]: 'The crystals can stay in the ice, loosely covered, as long as there is ice.',
  [HARM.hot]:
    'Hot solvent boils away. Keep it loosely covered, never let it boil dry, and heat more before you begin.',
  [HARM.plate]: 'Take the plate out in time anyway: if the front passes the edge, the plate is useless.',
  [HARM.melt]: 'You could miss the melt if you do not watch the tubes. Then pack new ones and heat again.',
}
