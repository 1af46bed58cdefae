import type { EpochMs } from '../../ids'
import { isFlammable } from '../../reference/hazards'
import type { Step } from '../../procedures/procedure'
import { type BenchThing, type StepTakes, takesOf } from '../../procedures/takes'
import type { Entry } from '../../notebook/entry'
import type { View } from '../../notebook/fold'
import { linesOf } from '../../notebook/read'
import type { PrepFacts } from '../../notebook/views/prep'
import { massOf, sampleOf } from '../../notebook/views/prep'
import { capital } from '../../words'
import { type PeriodContext, ownPace } from './context'
import { MINUTE_MS, OPEN, type rowOfWork, type TaskState } from './task'

type Row = ReturnType<typeof rowOfWork>

/** What a sort of work is called for one prep: what to do, and a word for a bar. */
type Said = (name: string, solvent: string) => { readonly words: string; readonly label: string }
const WORKS: Readonly<Record<string, Said>> = {
  'get ready': (name, solvent) => ({ words: `Put ${solvent} on to heat for the ${name}`, label: 'heat' }),
  'wet the crude': (name) => ({ words: `Wet the crude ${name} in its flask`, label: 'wet' }),
  dissolve: (name) => ({ words: `Dissolve the ${name}`, label: 'dissolve' }),
  'into the ice': (name) => ({ words: `Stand the ${name} in the cold`, label: 'to ice' }),
  'set up suction': (name) => ({
    words: `Set up suction for the ${name}: clamp first, then the hose`,
    label: 'suction',
  }),
  collect: (name) => ({ words: `Collect the ${name}`, label: 'collect' }),
  balance: (name) => ({ words: `Balance the centrifuge tube of the ${name}`, label: 'balance' }),
  spin: (name) => ({ words: `Put the ${name} into the centrifuge`, label: 'spin' }),
  'put away': (name) => ({ words: `Keep liquor and crystals of the ${name}`, label: 'keep' }),
  dry: (name) => ({ words: `Spread, dry and weigh the ${name}`, label: 'dry' }),
  evaporate: (name) => ({ words: `Set the ${name} on the steam`, label: 'steam' }),
  'off the steam': (name) => ({ words: `Take the ${name} off the steam`, label: 'off' }),
}
/** What goes on by itself, by the clock of its step. */
const ALONE: Readonly<Record<string, Said>> = {
  heat: (_, solvent) => ({ words: `${capital(solvent)} heats`, label: solvent }),
  cool: (name) => ({ words: `Crystals are coming: leave the ${name} alone`, label: `${name} cools` }),
  ice: (name) => ({ words: `The ${name} stands in the cold`, label: name }),
  air: (name) => ({ words: `Air dries the ${name}`, label: 'air' }),
  spin: (name) => ({ words: `The ${name} spins`, label: 'spins' }),
  boil: (name) => ({ words: `The ${name} evaporates`, label: 'evaporates' }),
  dry: (name) => ({ words: `The ${name} dries on`, label: 'dries' }),
}

/** How things are left at a safe stop, by the clock before it. */
const STOPS: Readonly<Record<string, string>> = { cool: 'cold crystals', dry: 'spread to dry' }

/** The work of one prep from its crude to its dry, weighed product, as its fixed plan has it. */
export function stepTasks(row: Row, context: PeriodContext, prep: PrepFacts, name: string): void {
  const { plan } = prep
  const place = `preps/${prep.id}`
  if (!plan) {
    openingTasks(row, context, prep, name)
    return
  }
  const { solvent, pair, result } = plan.body
  const solvents = pair ? [solvent, pair.solvent] : [solvent]
  const burns = solvents.some(({ hazards }) => isFlammable(hazards))
  const pieces = piecesOf(prep.steps, result.hotML)
  for (const [i, piece] of pieces.entries()) {
    const { steps, work, first, last } = piece
    const [station] = steps.map((step) => step.station)
    const said = (WORKS[work] ?? unknownWork(steps[0]))(name, solvent.name)
    const isHot = (things: readonly BenchThing[] = []) => things.includes('hot plate')
    let id: string | undefined
    let hands: TaskState = OPEN
    if (piece.handsMin > 0) {
      const left = handsLeftAt(context.view, prep, piece)
      const planMin = leftOf(piece, left)
      const pace = planMin === piece.handsMin ? ownPace(context, work, planMin) : null
      const task = `${prep.id}/${work}`
      hands = stateOfHands(context, prep, piece, left, task, pace?.minutes ?? planMin)
      id = row.add({
        name: work,
        ...said,
        planMin,
        pace,
        place: `${place}/${station ?? 'plan'}`,
        needs: needsOf({ hands: 1 }, piece.uses),
        tags: burns && isHot(piece.uses) ? ['flammable vapour'] : [],
        isGuess: piece.isGuess,
        waitsFor: first.waitsFor ?? 'all before',
        withinMin: first.withinMin,
        state: hands,
      })
    }
    if (last.aloneMin === 0) continue
    const clock = steps.at(-1)?.timer?.timer ?? 'heat'
    const lastStep = steps.at(-1)
    const lastHands =
      hands.is === 'open' && piece.handsMin === 0 ? lastDone(context.view, prep, pieces.slice(0, i)) : hands
    row.add({
      name: `${work} alone`,
      ...(ALONE[clock] ?? ALONE['heat'] ?? unknownWork(lastStep))(name, solvent.name),
      planMin: last.aloneMin,
      place: `${place}/${station ?? 'plan'}`,
      isAlone: true,
      follows: id,
      needs: needsOf({}, last.aloneUses),
      tags: burns && isHot(last.aloneUses) ? ['flammable vapour'] : [],
      watch: last.watch ?? null,
      stop: lastStep?.stop ?? null,
      stopLabel: STOPS[clock] ?? null,
      state: stateOfAlone(context, prep, piece, lastHands, pieces.slice(i + 1)),
    })
  }
  weighing(row, context, prep, name)
}

/** Before the plan is fixed nobody knows the steps: weigh, decide, and then the rest is planned. */
function openingTasks(row: Row, { nowMs }: PeriodContext, prep: PrepFacts, name: string): void {
  const crude = sampleOf(prep, 'crude')
  const weighedAt = crude?.weighing?.at
  row.add({
    name: 'weigh the crude',
    words: `Weigh the crude ${name}`,
    label: 'weigh',
    planMin: 3,
    place: `preps/${prep.id}/plan`,
    needs: { hands: 1, balance: 1 },
    state:
      weighedAt === undefined ? OPEN : doneBetween(weighedAt - 3 * MINUTE_MS, Math.min(weighedAt, nowMs)),
  })
  row.add({
    name: 'plan',
    words: `Choose the solvent for the ${name} and fix the plan`,
    label: 'plan',
    planMin: 5,
    place: `preps/${prep.id}/plan`,
    state: OPEN,
  })
}

function weighing(row: Row, context: PeriodContext, prep: PrepFacts, name: string): void {
  const product = sampleOf(prep, 'product')
  const at = product?.weighing && massOf(product).ok ? product.weighing.at : null
  const planMin = 2
  const begun = context.period?.begun.get(`${prep.id}/weigh`)
  row.add({
    name: 'weigh',
    words: `Weigh the dry ${name}`,
    label: 'weigh',
    planMin,
    place: `preps/${prep.id}/weigh`,
    needs: { hands: 1, balance: 1 },
    stop: 'Dry, weighed, in a labelled vial: it keeps until another day.',
    stopLabel: 'dry, weighed',
    state:
      at !== null
        ? doneBetween(begun ?? at - planMin * MINUTE_MS, at)
        : begun === undefined
          ? OPEN
          : { is: 'running', fromMs: begun, untilMs: begun + planMin * MINUTE_MS },
  })
}

/** Steps that follow each other as one piece of work, ended by what goes on by itself. */
interface Piece {
  readonly work: string
  readonly steps: readonly Step[]
  readonly takes: readonly StepTakes[]
  readonly first: StepTakes
  readonly last: StepTakes
  readonly handsMin: number
  readonly uses: readonly BenchThing[]
  readonly isGuess: boolean
}

function piecesOf(steps: readonly Step[], hotML: number): readonly Piece[] {
  const pieces: Piece[] = []
  for (const step of steps) {
    const takes = takesOf(step, hotML)
    const work = takes.work ?? step.id.replaceAll('-', ' ')
    const before = pieces.at(-1)
    const joins =
      before?.work === work &&
      before.last.aloneMin === 0 &&
      (before.first.waitsFor ?? 'all before') === (takes.waitsFor ?? 'all before')
    if (!joins) {
      pieces.push({
        work,
        steps: [step],
        takes: [takes],
        first: takes,
        last: takes,
        handsMin: takes.handsMin,
        uses: takes.uses ?? [],
        isGuess: takes.isGuess,
      })
      continue
    }
    pieces[pieces.length - 1] = {
      ...before,
      steps: [...before.steps, step],
      takes: [...before.takes, takes],
      last: takes,
      handsMin: before.handsMin + takes.handsMin,
      uses: [...new Set([...before.uses, ...(takes.uses ?? [])])],
      isGuess: before.isGuess || takes.isGuess,
    }
  }
  return pieces
}

function needsOf(needs: Readonly<Record<string, number>>, uses: readonly BenchThing[] = []) {
  return { ...needs, ...Object.fromEntries(uses.map((thing) => [thing, 1])) }
}

/** The clock of a step that goes on by itself, where it was started after the work before it; null otherwise. */
function clockOf(view: View, prep: PrepFacts, step: Step): Entry<'timer started'> | null {
  const { timer } = step
  if (!timer) return null
  const earlier = prep.steps.slice(0, prep.steps.indexOf(step))
  // A clock of that sort is the first step’s that is not over: spun twice, the second spin has not begun yet.
  if (earlier.some((one) => one.timer?.timer === timer.timer && !prep.ticked.has(one.id))) return null
  const sinceMs = Math.max(...earlier.flatMap(({ id }) => prep.ticked.get(id)?.at ?? []))
  return (
    linesOf(view, prep.id, 'timer started').findLast(
      ({ at, body }) => body.timer === timer.timer && at >= sinceMs - MINUTE_MS,
    ) ?? null
  )
}

/** When the hands left each step: at its tick, or sooner where its clock was started; undefined while they have not. */
function handsLeftAt(view: View, prep: PrepFacts, piece: Piece): readonly (EpochMs | undefined)[] {
  return piece.steps.map((step, i) => {
    const tick = prep.ticked.get(step.id)?.at
    const goesOn = (piece.takes[i]?.aloneMin ?? 0) > 0
    const clock = goesOn ? clockOf(view, prep, step)?.at : undefined
    return clock === undefined ? tick : Math.min(clock, tick ?? clock)
  })
}

/** Minutes of what the hands have not left yet; all of them once everything is. */
function leftOf(piece: Piece, left: readonly (EpochMs | undefined)[]): number {
  const minutes = piece.takes.reduce(
    (min, { handsMin }, i) => min + (left[i] === undefined ? handsMin : 0),
    0,
  )
  return minutes === 0 ? piece.handsMin : minutes
}

/** A piece that was ticked in part this long ago was left, min. */
const LEFT_AFTER_MIN = 20

function stateOfHands(
  { period, nowMs }: PeriodContext,
  prep: PrepFacts,
  piece: Piece,
  left: readonly (EpochMs | undefined)[],
  task: string,
  minutes: number,
): TaskState {
  const times = left.flatMap((at) => at ?? [])
  const begun = period?.begun.get(task)
  const last = Math.max(...times)
  if (times.length === left.length) return doneBetween(begun ?? beganAt(prep, piece, times), last)
  const isLeft = times.length === 0 || nowMs - last > LEFT_AFTER_MIN * MINUTE_MS
  if (begun === undefined && isLeft) return OPEN
  const fromMs = Math.min(begun ?? Infinity, times.length > 0 ? beganAt(prep, piece, times) : Infinity)
  return { is: 'running', fromMs, untilMs: Math.max(begun ?? -Infinity, last) + minutes * MINUTE_MS }
}

/** When a piece was begun that nobody noted: its minutes before its first tick, but not before the tick of other work. */
function beganAt(prep: PrepFacts, piece: Piece, ticks: readonly EpochMs[]): EpochMs {
  const first = Math.min(...ticks)
  const before = [...prep.ticked.values()].map(({ at }) => at).filter((at) => at < first)
  return Math.max(first - piece.first.handsMin * MINUTE_MS, ...before)
}

/** What a piece with no hands of its own follows: the end of the work before it. */
function lastDone(view: View, prep: PrepFacts, before: readonly Piece[]): TaskState {
  const hands = before.findLast(({ handsMin, first }) => handsMin > 0 && isInOrder(first))
  const left = hands ? handsLeftAt(view, prep, hands) : [undefined]
  if (left.includes(undefined)) return OPEN
  const toMs = Math.max(...left.flatMap((at) => at ?? []))
  return doneBetween(toMs, toMs)
}

const isInOrder = ({ waitsFor = 'all before' }: StepTakes) => waitsFor === 'all before'

/** It runs from its clock, or from when the hands left it; it is over with its clock, its tick, or once work goes on. */
function stateOfAlone(
  { view, nowMs }: PeriodContext,
  prep: PrepFacts,
  { steps, last }: Piece,
  hands: TaskState,
  later: readonly Piece[],
): TaskState {
  const step = steps.at(-1)
  const clock = step ? clockOf(view, prep, step) : null
  const fromMs = clock?.at ?? (hands.is === 'done' ? hands.toMs : undefined)
  if (!step || fromMs === undefined) return OPEN
  const untilMs = fromMs + (clock?.body.minutes ?? last.aloneMin) * MINUTE_MS
  const next = later
    .filter(({ first }) => isInOrder(first))
    .flatMap((piece) => handsLeftAt(view, prep, piece))
  // Where no clock belongs to it, the tick says that it was begun.
  const own = step.timer ? prep.ticked.get(step.id)?.at : undefined
  const ended = [...next, own].flatMap((at) => (at !== undefined && at >= fromMs ? at : []))
  const overMs = Math.min(untilMs, ...ended)
  return overMs <= nowMs ? doneBetween(fromMs, overMs) : { is: 'running', fromMs, untilMs }
}

function doneBetween(fromMs: EpochMs, toMs: EpochMs): TaskState {
  return { is: 'done', fromMs: Math.min(fromMs, toMs), toMs }
}

function unknownWork(step: Step | undefined): Said {
  const text = step?.text ?? ''
  const words = text.split(/[.:;](\s|$)/)[0] ?? text
  return () => ({ words, label: step?.station ?? '' })
}
