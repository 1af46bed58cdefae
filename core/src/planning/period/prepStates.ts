import type { EpochMs } from '../../ids'
import type { Entry } from '../../notebook/entry'
import type { View } from '../../notebook/fold'
import { linesOf } from '../../notebook/read'
import type { PrepFacts } from '../../notebook/views/prep'
import type { Step } from '../../procedures/procedure'
import { type BenchThing, type StepTakes, takesOf } from '../../procedures/takes'
import type { PeriodContext } from './context'
import { doneBetween, MINUTE_MS, OPEN, type TaskState } from './task'

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

/** The steps of a plan, put together where the hands go from one to the next. */
export function piecesOf(steps: readonly Step[], hotML: number): readonly Piece[] {
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
export function handsLeftAt(view: View, prep: PrepFacts, piece: Piece): readonly (EpochMs | undefined)[] {
  return piece.steps.map((step, i) => {
    const tick = prep.ticked.get(step.id)?.at
    const goesOn = (piece.takes[i]?.aloneMin ?? 0) > 0
    const clock = goesOn ? clockOf(view, prep, step)?.at : undefined
    return clock === undefined ? tick : Math.min(clock, tick ?? clock)
  })
}

/** Minutes of what the hands have not left yet; all of them once everything is. */
export function leftOf(piece: Piece, left: readonly (EpochMs | undefined)[]): number {
  const minutes = piece.takes.reduce(
    (min, { handsMin }, i) => min + (left[i] === undefined ? handsMin : 0),
    0,
  )
  return minutes === 0 ? piece.handsMin : minutes
}

/** A piece that was ticked in part this long ago was left, min. */
const LEFT_AFTER_MIN = 20

/** Done once the hands have left each step; it goes on while it was begun, or ticked in part not long ago. */
export function stateOfHands(
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
export function lastDone(view: View, prep: PrepFacts, before: readonly Piece[]): TaskState {
  const hands = before.findLast(({ handsMin, first }) => handsMin > 0 && isInOrder(first))
  const left = hands ? handsLeftAt(view, prep, hands) : [undefined]
  if (left.includes(undefined)) return OPEN
  const toMs = Math.max(...left.flatMap((at) => at ?? []))
  return doneBetween(toMs, toMs)
}

const isInOrder = ({ waitsFor = 'all before' }: StepTakes) => waitsFor === 'all before'

/** It runs from its clock, or from when the hands left it; it is over with its clock, its tick, or once work goes on. */
export function stateOfAlone(
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
