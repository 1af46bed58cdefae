import type { EpochMs, PrepId, SubjectId } from '../../ids'
import type { Conventions } from '../../conventions/conventions'
import type { Shelf } from '../../wire'
import type { View } from '../../notebook/fold'
import { everyLineOf } from '../../notebook/read'
import { isStale } from '../../notebook/views/stale'
import { type PrepFacts, prepsOf, sampleOf } from '../../notebook/views/prep'
import { latestRange, rangesOf } from '../../notebook/views/ranges'
import { nextStep } from '../../notebook/views/stations'
import { nextInCase, unknownsOf } from '../../notebook/views/unknowns'
import type { SessionTask } from '../../scheduling/session/compiled'
import { caseTasks, pack, plateTasks } from './caseTasks'
import { type PeriodContext, statesByHand } from './context'
import { isPacked, meltTasks, meltUnderWay, PACK_MIN } from './meltTasks'
import { mixtureTasks, mixtureToMelt } from './mixtureTasks'
import { type PeriodFacts, periodAt } from './periodFacts'
import { oneByOne } from './oneByOne'
import { atTodaysPace } from './todaysPace'
import { stepTasks } from './prepTasks'
import { coolsMin, OPEN, type PeriodTask, rowOfWork } from './task'

/** Rinsing, wiping, wastes to their bottles, heat and water off, min. */
const CLEAR_UP_MIN = 10

/**
 * Every task that is open on this bench, running or done, worked out from the notebook: the steps of each prep’s fixed
 * plan, weighing and drying by the house’s rules, packing, melts by their heating plan, unknowns, plates, signing, the
 * page, and clearing up. Nothing is typed twice, and nothing here is kept: what was ticked, started, timed, weighed or
 * melted is done.
 *
 * @param view of the notebook
 * @param shelf instruments of the lab, and its own procedures
 * @param rules in force
 * @param nowMs ms since 1970 UTC; clocks that are over by then are over
 * @param period whose words by hand count; by default the one that is on
 */
export function tasksOf(
  view: View,
  shelf: Shelf,
  rules: Conventions,
  nowMs: EpochMs,
  period: PeriodFacts | null = periodAt(view, nowMs),
): readonly PeriodTask[] {
  const context: PeriodContext = { view, shelf, rules, period, nowMs, melts: new Map() }
  const sinceMs = period?.opened.body.beginsAtMs ?? nowMs
  // A prep that was finished in this period is still drawn.
  const isOpen = (prep: PrepFacts) =>
    nextStep(view, prep.id, nowMs) !== null ||
    mixtureToMelt(context, prep) !== null ||
    (prep.verdict !== null && prep.verdict.at >= sinceMs)
  const preps = prepsOf(view).filter(isOpen).reverse()
  const names = namesOf(preps)
  const rows: readonly Row[] = [
    ...preps.map((prep): Row => {
      const title = names.get(prep.id) ?? prep.opened.body.title
      const touchedMs = touchedAt(view, [prep.id, ...prep.samples.map(({ id }) => id)])
      return {
        of: prep.id,
        title,
        touchedMs,
        place: `preps/${prep.id}`,
        tasks: () => prepTasks(context, prep, title),
      }
    }),
    ...unknownsOf(view)
      .filter((unknown) => nextInCase(view, unknown) !== null)
      .map((unknown): Row => ({
        of: unknown.id,
        title: unknown.opened.body.code,
        touchedMs: touchedAt(view, [unknown.id, unknown.sample.id]),
        place: `unknowns/${unknown.id}`,
        tasks: () => caseTasks(context, unknown),
      })),
  ]
  const chosen = chosenOf(rows, period)
  const tasks = rows.flatMap((row) => (chosen.has(row.of) ? row.tasks() : leftOut(row)))
  const chosenRows = rows
    .filter(({ of }) => chosen.has(of))
    .map(({ of }) => tasks.filter((task) => task.of === of))
  if (tasks.length === 0) return []
  const serialized = oneByOne([...tasks, clearUp(context, chosenRows)], period)
  return period?.opened.body.isOwnPace ? atTodaysPace(serialized, period.begun) : serialized
}

/** A prep or an unknown that is open. */
interface Row {
  readonly of: SubjectId
  readonly title: string
  readonly touchedMs: EpochMs
  readonly place: string
  readonly tasks: () => readonly PeriodTask[]
}

/** More is not begun in one period unless it is asked for: what was worked on last comes first. */
const ROWS_MOST = 4

/** What this period is about: what was taken up by hand, and of the rest what was worked on last. */
function chosenOf(rows: readonly Row[], period: PeriodFacts | null): ReadonlySet<SubjectId> {
  const asked = rows.filter(({ of }) => period?.putOff.get(`${of}/${GO_ON}`)?.until === 'not put off')
  const first = period?.opened.body.first
  const latest = [...rows].sort(
    (p, q) => Number(q.of === first) - Number(p.of === first) || q.touchedMs - p.touchedMs,
  )
  return new Set([...latest.slice(0, ROWS_MOST), ...asked].map(({ of }) => of))
}
const GO_ON = 'go on'

/** A row that is not begun in this period stands for itself until it is taken up. */
function leftOut({ of, title, place }: Row): readonly PeriodTask[] {
  const row = rowOfWork(of, title)
  row.add({
    name: GO_ON,
    words: `Go on with ${title}`,
    label: title,
    planMin: 1,
    place,
    isOptional: true,
    state: OPEN,
  })
  return row.tasks
}

/** When anything was last written about these. */
function touchedAt(view: View, subjects: readonly SubjectId[]): EpochMs {
  return Math.max(0, ...subjects.map((id) => everyLineOf(view, id).at(-1)?.at ?? 0))
}

/**
 * What a bench does that works by the plan of one prep, from its crude to a clear bench, as if nothing had been done:
 * for a whole class. Plates are left out.
 *
 * @returns nothing for a prep without a fixed plan
 */
export function classTasks(
  view: View,
  shelf: Shelf,
  rules: Conventions,
  prep: PrepFacts,
): readonly SessionTask[] {
  if (!prep.plan) return []
  const context: PeriodContext = {
    view,
    shelf,
    rules,
    period: null,
    nowMs: 0,
    melts: new Map(),
    isFresh: true,
  }
  const fresh: PrepFacts = {
    ...prep,
    // No line of the notebook is about it.
    id: 'class' as PrepId,
    ticked: new Map(),
    samples: prep.samples.map((sample) => ({ ...sample, weighing: null, weighings: [] })),
    verdict: null,
  }
  const all = prepTasks(context, fresh, prep.opened.body.compound.name)
  const isKept = new Set(all.filter(({ isOptional }) => !isOptional).map(({ id }) => id))
  const remaining = all.filter(({ id }) => isKept.has(id))
  return [...remaining, clearUp(context, [remaining])].map(
    ({ id, durationMin, after, needs, tags = [], run }) => {
      const until = run?.does === 'begins' ? id.replace('/load ', '/watch ') : null
      return {
        id,
        durationMin,
        after: after.filter(({ task }) => isKept.has(task)),
        needs,
        tags,
        // The next bench begins the same run where this one began.
        ...(run && until !== null
          ? { keeps: { thing: run.instrument, until, coolsMin: coolsMin(run, run) } }
          : {}),
      }
    },
  )
}

/** Preps by the name of what they purify; by their title where two are of the same. */
function namesOf(preps: readonly PrepFacts[]): ReadonlyMap<PrepId, string> {
  const compound = ({ opened }: PrepFacts) => opened.body.compound.name
  return new Map(
    preps.map((prep) => [
      prep.id,
      preps.filter((other) => compound(other) === compound(prep)).length > 1
        ? prep.opened.body.title
        : compound(prep),
    ]),
  )
}

function prepTasks(context: PeriodContext, prep: PrepFacts, name: string): readonly PeriodTask[] {
  const row = rowOfWork(prep.id, name)
  const { view, rules } = context
  const crude = sampleOf(prep, 'crude')
  const product = sampleOf(prep, 'product')
  const rows = rangesOf(view, prep.id)
  const wantsCrude = crude !== null && latestRange(rows, 'crude') === null
  const place = `preps/${prep.id}/melt`
  const isCrudeFirst = wantsCrude && rules.crudeRange === 'before dissolving'
  const packCrude = () => {
    if (!wantsCrude) return
    pack(
      row,
      context,
      'pack crude',
      `Pack a tube of the crude ${name}`,
      place,
      isPacked(context, crude.id),
      PACK_MIN,
      {
        waitsFor: 'nothing',
      },
    )
  }
  if (isCrudeFirst && prep.plan) {
    packCrude()
    meltTasks(row, context, {
      name: 'the crude',
      what: `the crude ${name}`,
      label: 'watch crude',
      place,
      samples: [crude.id],
      purpose: 'careful',
      isOfPrep: true,
      melt: meltUnderWay(context, [crude.id]),
    })
  }
  stepTasks(row, context, prep, name)
  if (!prep.plan) return row.tasks
  if (latestRange(rows, 'product') === null) {
    const beside = wantsCrude && !isCrudeFirst
    if (beside) packCrude()
    pack(
      row,
      context,
      'pack product',
      `Pack a tube of the dry ${name}`,
      place,
      product !== null && isPacked(context, product.id),
    )
    meltTasks(row, context, {
      name: 'the product',
      what: beside ? `crude and product of ${name}` : `the ${name}`,
      label: `watch ${name}`,
      place,
      samples: [...(beside ? [crude.id] : []), ...(product ? [product.id] : [])],
      purpose: 'careful',
      isOfPrep: true,
      melt: meltUnderWay(context, product ? [product.id] : []),
    })
  }
  mixtureTasks(row, context, prep, name)
  plateTasks(row, context, prep.id, name, place)
  const { verdict } = prep
  row.add({
    name: 'judge',
    words: `Read the findings of the ${name}, sign, and see to its page`,
    label: 'judge',
    planMin: 6,
    place: `preps/${prep.id}/judge`,
    state:
      verdict && !isStale(view, verdict)
        ? { is: 'done', fromMs: verdict.at - 6 * 60_000, toMs: verdict.at }
        : OPEN,
  })
  return row.tasks
}

/** After everything that is not left for another day. */
function clearUp(context: PeriodContext, rows: readonly (readonly PeriodTask[])[]): PeriodTask {
  const row = rowOfWork(null, 'the bench')
  row.add({
    name: 'clear up',
    words: 'Clear up: wastes into their bottles, heat and water off, bench wiped',
    label: 'clear up',
    planMin: CLEAR_UP_MIN,
    place: '',
    isToldByHand: true,
    state: statesByHand(context, 'bench/clear up', CLEAR_UP_MIN),
  })
  const [task] = row.tasks as [PeriodTask]
  // What somebody’s eyes or hands are at; a thing that goes on by itself may go on, unless it is the last.
  const last = rows.flatMap((tasks) => {
    const waited = new Set(tasks.flatMap(({ after }) => after.map((one) => one.task)))
    return tasks.filter(({ id }) => !waited.has(id))
  })
  return { ...task, after: last.map(({ id }) => ({ task: id })) }
}
