import type { Instrument } from '@ivory-crystal/core/instruments'
import { type PeriodPlan, type PeriodTask, type PeriodTerms, setsEnd } from '@ivory-crystal/core/planning'
import { clock } from '../../../format/format'
import type { ScoreBar, ScoreFacts, Tone } from '../../../drawings/scoreLayout'

const MINUTE_MS = 60_000
const TICK_MIN = { close: 30, wide: 60 } as const
/** A longer period has a hairline every hour. */
const CLOSE_TO_MIN = 300
const ALONE = 'unattended'
const FLAME = 'flame'
const BENCH: readonly (readonly [thing: string, name: string, tone: Tone])[] = [
  // What burns and boils low stands in a bath, and never on a bare plate.
  ['hot plate', 'bath or plate', 'ember'],
  ['ice', 'ice', 'ice'],
  ['balance', 'balance', 'ink'],
  ['centrifuge', 'centrifuge', 'ink'],
]

/** The times of a task on the score; null where it has none. */
export function timesOf(
  task: PeriodTask,
  plan: PeriodPlan | null,
  { beginsAtMs }: Pick<PeriodTerms, 'beginsAtMs'>,
): { readonly fromMs: number; readonly toMs: number } | null {
  const { state } = task
  if (state.is === 'done') return { fromMs: state.fromMs, toMs: state.toMs }
  if (state.is === 'running') return { fromMs: state.fromMs, toMs: state.untilMs }
  const startMin = plan?.starts[task.id]
  if (startMin === undefined) return null
  const fromMs = beginsAtMs + startMin * MINUTE_MS
  return { fromMs, toMs: fromMs + task.durationMin * MINUTE_MS }
}

/** What a period looks like on its lanes. */
export function scoreFacts(
  tasks: readonly PeriodTask[],
  plan: PeriodPlan | null,
  terms: PeriodTerms,
  instruments: readonly Pick<Instrument, 'id' | 'name'>[],
  nowMs: number,
): ScoreFacts {
  const aside = new Set(plan?.aside)
  const keys = plan ? setsEnd(tasks, plan) : new Set<string>()
  const letters = lettersOf(tasks.filter(({ id }) => !aside.has(id)))
  const bars = tasks.flatMap((task): ScoreBar[] => {
    const times = aside.has(task.id) ? null : timesOf(task, plan, terms)
    if (!times || times.toMs <= terms.beginsAtMs || times.toMs <= times.fromMs) return []
    const things = Object.keys(task.needs).filter((name) => name !== 'hands')
    const lanes = [
      ...(task.isAlone ? [] : ['hands']),
      ...(task.isAlone && things.length === 0 ? [ALONE] : things),
    ]
    return lanes.map((lane) => ({
      id: task.id,
      lane,
      label: lane === 'hands' || task.isAlone ? task.label : task.title,
      whose: (task.of === null ? undefined : letters.get(task.of)) ?? null,
      words: `${task.words}: ${clock(times.fromMs)} to ${clock(times.toMs)}${task.state.is === 'done' ? ', as it was' : ''}`,
      fromMs: Math.max(times.fromMs, terms.beginsAtMs),
      toMs: times.toMs,
      is: task.state.is === 'done' ? 'was' : task.state.is === 'running' ? 'goes on' : 'planned',
      critical: keys.has(task.id) && (lane === 'hands' || task.isAlone) && task.state.is !== 'done',
      rising: /\/heat /.test(task.id),
      movable: task.state.is === 'open' && !task.isAlone,
    }))
  })
  const taken = terms.busy.flatMap(({ what, who, fromAtMs, toAtMs }) =>
    toAtMs <= terms.beginsAtMs
      ? []
      : [{ lane: what, who, fromMs: Math.max(fromAtMs, terms.beginsAtMs), toMs: toAtMs }],
  )
  const used = new Set([...bars.map(({ lane }) => lane), ...taken.map(({ lane }) => lane)])
  const outMs = plan ? terms.beginsAtMs + plan.makespanMin * MINUTE_MS : null
  const toMs = Math.max(terms.endsAtMs, outMs ?? 0, nowMs, ...bars.map((bar) => bar.toMs)) + 4 * MINUTE_MS
  return {
    lanes: [
      { id: 'hands', name: 'hands', tone: 'ink' as const },
      ...BENCH.filter(([thing]) => used.has(thing)).map(([id, name, tone]) => ({ id, name, tone })),
      ...instruments
        .filter(({ id }) => used.has(id))
        .map(({ id, name }) => ({ id, name: name.toLowerCase(), tone: 'ember' as const })),
      ...(used.has(FLAME) ? [{ id: FLAME, name: 'flame near', tone: 'ember' as const }] : []),
      ...(used.has(ALONE) ? [{ id: ALONE, name: ALONE, tone: 'tan' as const }] : []),
    ],
    bars,
    taken,
    stops: tasks.flatMap((task) => {
      const times = aside.has(task.id) || task.state.is === 'done' ? null : timesOf(task, plan, terms)
      return times && task.stopLabel
        ? [{ atMs: times.toMs, words: `stop: ${task.title}, ${task.stopLabel}` }]
        : []
    }),
    fromMs: terms.beginsAtMs,
    toMs,
    ticks: ticksOf(terms.beginsAtMs, toMs),
    nowMs: nowMs < terms.beginsAtMs || nowMs > toMs ? null : nowMs,
    nowText: clock(nowMs),
    outMs,
    outText: outMs === null ? '' : `finished ${clock(outMs)}`,
    endMs: terms.endsAtMs,
  }
}

/** A letter for each prep and unknown of the period, in their order; none where there is but one. */
export function lettersOf(
  tasks: readonly PeriodTask[],
): ReadonlyMap<string, { readonly letter: string; readonly tint: number; readonly title: string }> {
  const titles = new Map(tasks.flatMap(({ of, title }) => (of === null ? [] : [[of, title] as const])))
  if (titles.size < 2) return new Map()
  return new Map(
    [...titles].map(([of, title], tint) => [
      of,
      { letter: String.fromCharCode(65 + (tint % 26)), tint, title },
    ]),
  )
}

/** On the half hour, or the hour, by the clock on the wall. */
function ticksOf(fromMs: number, toMs: number): ScoreFacts['ticks'] {
  const stepMin = (toMs - fromMs) / MINUTE_MS > CLOSE_TO_MIN ? TICK_MIN.wide : TICK_MIN.close
  const ticks: { atMs: number; text: string }[] = []
  for (
    let atMs = Math.ceil(fromMs / MINUTE_MS) * MINUTE_MS;
    atMs <= toMs - 3 * MINUTE_MS;
    atMs += MINUTE_MS
  ) {
    const text = clock(atMs)
    if (Number(text.slice(3)) % stepMin === 0) ticks.push({ atMs, text })
  }
  return ticks
}
