import type { EpochMs, PrepId } from '../../ids'
import type { Conventions } from '../../conventions/conventions'
import type { Shelf } from '../../wire'
import type { View } from '../../notebook/fold'
import { isStale } from '../../notebook/views/stale'
import { type PrepFacts, prepsOf, sampleOf } from '../../notebook/views/prep'
import { latestRange, rangesOf } from '../../notebook/views/ranges'
import { nextStep } from '../../notebook/views/stations'
import { nextInCase, unknownsOf } from '../../notebook/views/unknowns'
import type { SessionTask } from '../../scheduling/session/compiled'
import { caseTasks, pack, plateTasks } from './caseTasks'
import { type PeriodContext, toldByHand } from './context'
import { isPacked, meltTasks, meltUnderWay, PACK_MIN } from './meltTasks'
import { type PeriodFacts, periodAt } from './noted'
import { stepTasks } from './prepTasks'
import { OPEN, type PeriodTask, rowOfWork } from './task'

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
    nextStep(view, prep.id, nowMs) !== null || (prep.verdict !== null && prep.verdict.at >= sinceMs)
  const preps = prepsOf(view).filter(isOpen).reverse()
  const names = namesOf(preps)
  const rows = [
    ...preps.map((prep) => prepTasks(context, prep, names.get(prep.id) ?? prep.opened.body.title)),
    ...unknownsOf(view)
      .filter((unknown) => nextInCase(view, unknown) !== null)
      .map((unknown) => caseTasks(context, unknown)),
  ]
  const tasks = rows.flat()
  return tasks.length === 0 ? [] : [...tasks, clearUp(context, rows)]
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
  const kept = all.filter(({ id }) => isKept.has(id))
  return [...kept, clearUp(context, [kept])].map(({ id, durationMin, after, needs }) => ({
    id,
    durationMin,
    after: after.filter(({ task }) => isKept.has(task)),
    needs,
  }))
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
    words: 'Clear up: wastes to their bottles, heat and water off, bench wiped',
    label: 'clear up',
    planMin: CLEAR_UP_MIN,
    place: '',
    isToldByHand: true,
    state: toldByHand(context, 'bench/clear up', CLEAR_UP_MIN),
  })
  const [task] = row.tasks as [PeriodTask]
  // What somebody’s eyes or hands are at; a thing that goes on by itself may go on, unless it is the last.
  const last = rows.flatMap((tasks) => {
    const waited = new Set(tasks.flatMap(({ after }) => after.map((one) => one.task)))
    return tasks.filter(({ id }) => !waited.has(id))
  })
  return { ...task, after: last.map(({ id }) => ({ task: id })) }
}
