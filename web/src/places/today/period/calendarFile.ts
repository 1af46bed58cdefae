import type { DateTime, EventAttributes } from 'ics'
import type { PeriodPlan, PeriodTask, PeriodTerms } from '@ivory-crystal/core/planning'
import { persistently } from '../../../device/place'
import { timesOf } from './scoreFacts'

/** Something goes on by itself until then: the rest one begins when the hands are free, and needs no bell. */
function endsAWait({ after }: PeriodTask, tasks: readonly PeriodTask[]): boolean {
  return after.some(({ task }) => tasks.find(({ id }) => id === task)?.isAlone === true)
}

/** A moment as a calendar file has it: in UTC, so that it is right in every zone and over a change of the clocks. */
function utc(atMs: number): DateTime {
  const date = new Date(atMs)
  return [
    date.getUTCFullYear(),
    date.getUTCMonth() + 1,
    date.getUTCDate(),
    date.getUTCHours(),
    date.getUTCMinutes(),
  ]
}

/**
 * What of a period belongs in a calendar: every start that sets when it is over; an alarm where a wait ends with it, and at
 * the end; the safe stops.
 */
export function calendarEvents(
  tasks: readonly PeriodTask[],
  plan: PeriodPlan,
  terms: PeriodTerms,
  title: string,
): readonly EventAttributes[] {
  const aside = new Set(plan.aside)
  const critical = new Set(plan.criticalPath)
  const event = (name: string, uid: string, atMs: number, toMs: number, alarm: boolean): EventAttributes => ({
    uid: `${uid.replaceAll(/[^a-z0-9-]+/gi, '-')}-${terms.beginsAtMs}@ivory-crystal`,
    title: name,
    start: utc(atMs),
    startInputType: 'utc',
    startOutputType: 'utc',
    end: utc(Math.max(toMs, atMs + 60_000)),
    endInputType: 'utc',
    endOutputType: 'utc',
    calName: title,
    productId: 'ivory-crystal',
    ...(alarm ? { alarms: [{ action: 'display', description: escaped(name), trigger: utc(atMs) }] } : {}),
  })
  const open = tasks.filter(({ id, state }) => !aside.has(id) && state.is !== 'done')
  const starts = open.flatMap((task) => {
    const times = timesOf(task, plan, terms)
    const isWanted = !task.isAlone && task.state.is === 'open' && critical.has(task.id)
    return times && isWanted
      ? [event(task.words, task.id, times.fromMs, times.toMs, endsAWait(task, tasks))]
      : []
  })
  const stops = open.flatMap((task) => {
    const times = timesOf(task, plan, terms)
    return times && task.stopLabel
      ? [
          event(
            `Safe stop: ${task.title}, ${task.stopLabel}`,
            `stop ${task.id}`,
            times.toMs,
            times.toMs,
            false,
          ),
        ]
      : []
  })
  return [...starts, ...stops, event('The lab closes', 'end', terms.endsAtMs, terms.endsAtMs, true)]
}

/** Text of an alarm as RFC 5545 has it; titles are escaped where the file is made. */
const escaped = (text: string) => text.replaceAll(/[\\;,]/g, (sign) => `\\${sign}`)

/** The file, or the reason there is none. */
export async function calendarFile(events: readonly EventAttributes[]): Promise<string> {
  const { createEvents } = await persistently(() => import('ics'))
  const { value, error } = createEvents([...events])
  if (error || !value) throw new Error(error?.message ?? 'No calendar could be made of this period.')
  return value
}
