import { type Card, createEmptyCard, fsrs, Rating } from 'ts-fsrs'
import type { Entry } from '../notebook/entry'
import type { View } from '../notebook/fold'
import { PRACTICE } from '../notebook/kinds/practice-done/kind'
import { linesOf } from '../notebook/read'
import { idMs } from '../notebook/clock'
import type { EpochMs } from '../ids'
import { ABOUT, type ExerciseName, EXERCISES, FIRST_PATH, GOOD_IN_A_ROW } from './exercises'
import { type Eye, eyeOf, isEyeWithin } from './eye'
import type { Level } from './exercise'
import { LENS_EXERCISES } from './lens/exercises'

type Line = Entry<'practice done'>

/** How one exercise stands. */
export interface Progress {
  readonly name: ExerciseName
  readonly tries: number
  /** The level it is put at next. */
  readonly level: Level
  /** Good ones in a row at that level. */
  readonly inARow: number
  /** Enough in a row, all of one day: one more on another. */
  readonly waitsForAnotherDay: boolean
  /** The highest level mastered; 0 for none. */
  readonly mastered: 0 | Level
  /** Mean share of the last few; null where it was never tried. */
  readonly lately: number | null
  /** What was said of the last one; null where it was never tried. */
  readonly lastSentence: string | null
  /** When it should be done again; null where it was never tried. */
  readonly dueMs: EpochMs | null
}
/** What to do next, and why. */
export interface NextUp {
  readonly name: ExerciseName
  readonly why: string
}

/** The last so many results say how an exercise stands now. */
const LATELY = 3
/** Spacing is worked out from at most the last so many. */
const SPACED_BY = 30

/** Practice lines that stand, in order; what another build wrote of exercises unknown here is left alone. */
export function practiceLines(view: View): readonly Line[] {
  return linesOf(view, PRACTICE, 'practice done')
}

/** Practicals of which a tube is still to be done: what is known of the others is sealed. */
function openPracticals(lines: readonly Line[]): ReadonlySet<string> {
  const tubes = new Map<string, Set<number>>()
  const open = new Set<string>()
  for (const { body } of lines) {
    if (body.practical === null) continue
    const { id, tube, of } = body.practical
    const done = (tubes.get(id) ?? new Set<number>()).add(tube)
    tubes.set(id, done)
    if (done.size < of) open.add(id)
    else open.delete(id)
  }
  return open
}

/** A learner’s eye over every tube watched, but for those of a practical that is still open. */
export function yourEye(view: View): Eye {
  const lines = practiceLines(view)
  const open = openPracticals(lines)
  return eyeOf(
    lines
      .filter(({ body: { practical } }) => practical === null || !open.has(practical.id))
      .flatMap(({ body }) => body.tubes),
  )
}

/** How every exercise stands, in the order they are listed. What somebody made to measure counts for the eye only. */
export function progressOf(view: View): readonly Progress[] {
  const byName = new Map<string, Line[]>()
  for (const line of practiceLines(view)) {
    if (line.body.code !== null || line.body.practical !== null) continue
    const of = byName.get(line.body.exercise)
    if (of) of.push(line)
    else byName.set(line.body.exercise, [line])
  }
  return EXERCISES.map((name) => progressIn(name, byName.get(name) ?? []))
}

function progressIn(name: ExerciseName, lines: readonly Line[]): Progress {
  let level: Level = 1
  let inARow = 0
  let days = new Set<string>()
  let mastered: Progress['mastered'] = 0
  for (const { id, body } of lines) {
    // One put easier or harder than it stands says nothing of the level it stands at.
    if (body.level !== level) continue
    inARow = body.isGood ? inARow + 1 : 0
    days = body.isGood ? days.add(dayOf(idMs(id))) : new Set()
    if (inARow < GOOD_IN_A_ROW || days.size < DAYS_LEAST) continue
    mastered = level
    if (level === 3) continue
    level = (level + 1) as Level
    inARow = 0
    days = new Set()
  }
  const last = lines.slice(-LATELY)
  return {
    name,
    tries: lines.length,
    level,
    inARow,
    waitsForAnotherDay: inARow >= GOOD_IN_A_ROW && days.size < DAYS_LEAST,
    mastered,
    lastSentence: last.at(-1)?.body.sentence ?? null,
    lately: last.length === 0 ? null : last.reduce((sum, { body }) => sum + body.share, 0) / last.length,
    dueMs: dueOf(lines.slice(-SPACED_BY)),
  }
}

/** What is good today and on no other day is not learned yet. */
const DAYS_LEAST = 2
/** The day by the clock of whoever practises. */
const dayOf = (ms: EpochMs) => new Date(ms).toDateString()

const DAY_MS = 24 * 3_600_000
/** Whatever went well comes back within a term, days. */
const BACK_WITHIN_DAYS = 21

const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false })

/** Spaced over days by how well it went (the FSRS scheduler, in days). */
function dueOf(lines: readonly Line[]): EpochMs | null {
  let card: Card | null = null
  for (const { id, body } of lines) {
    const at = new Date(idMs(id))
    card = scheduler.next(card ?? createEmptyCard(at), at, ratingOf(body)).card
  }
  const last = lines.at(-1)
  return card && last ? Math.min(card.due.getTime(), idMs(last.id) + BACK_WITHIN_DAYS * DAY_MS) : null
}

function ratingOf({ isGood, share }: Line['body']) {
  if (isGood) return share > 0.95 ? Rating.Easy : Rating.Good
  return share >= 0.5 ? Rating.Hard : Rating.Again
}

/** The beginner’s path: how far it is gone. */
export function pathOf(progress: readonly Progress[]): {
  readonly done: number
  readonly next: ExerciseName | null
} {
  const isTried = (name: ExerciseName) => progress.some((one) => one.name === name && one.tries > 0)
  const next = FIRST_PATH.find((name) => !isTried(name)) ?? null
  return { done: FIRST_PATH.filter(isTried).length, next }
}

/** How a learner sees, as far as it decides what comes next. */
export interface Seeing {
  /** Both ends lie within what the house allows, over enough tubes. */
  readonly isWithin: boolean
  /** What was practised last was at the lens. */
  readonly wasAtLens: boolean
}
export function seeingOf(view: View, withinC: number): Seeing {
  const last = practiceLines(view).at(-1)?.body.exercise
  return { isWithin: isEyeWithin(yourEye(view), withinC), wasAtLens: isLens(last) }
}
const isLens = (name: string | undefined) => LENS_EXERCISES.some((one) => one === name)

/**
 * What to do next: the beginner’s path to its end, then what is due, the weakest first, then what was never tried,
 * then what comes due soonest. Until the eye is within the house’s reading error every second one is at the lens.
 */
export function nextUp(progress: readonly Progress[], nowMs: EpochMs, seeing: Seeing): NextUp {
  const path = pathOf(progress)
  if (path.next !== null)
    return {
      name: path.next,
      why: `${placeOnPath(path.next) ?? ''} before the first real prep`,
    }
  if (seeing.isWithin || seeing.wasAtLens) return nextOf(progress, nowMs)
  const { name } = nextOf(
    progress.filter((one) => isLens(one.name)),
    nowMs,
  )
  return {
    name,
    why: 'every second exercise is at the lens until your eye is within the reading error of the house rules',
  }
}

function nextOf(progress: readonly Progress[], nowMs: EpochMs): NextUp {
  const due = progress
    .filter(({ dueMs }) => dueMs !== null && dueMs <= nowMs)
    .sort((p, q) => (p.lately ?? 0) - (q.lately ?? 0))[0]
  if (due)
    return {
      name: due.name,
      why: `due again, and the weakest of those due${due.lastSentence === null ? '' : `; the last time: ${unstopped(due.lastSentence)}`}`,
    }
  const fresh = progress.find(({ tries }) => tries === 0)
  if (fresh) return { name: fresh.name, why: 'not tried yet' }
  const soonest = progress.reduce((p, q) => ((q.dueMs ?? Infinity) < (p.dueMs ?? Infinity) ? q : p))
  return { name: soonest.name, why: 'nothing is due yet; this one is due next' }
}
const unstopped = (sentence: string) => `“${sentence.replace(/\.$/, '')}”`

function ordinal(count: number): string {
  return ['first', 'second', 'third', 'fourth', 'fifth'][count - 1] ?? `number ${count}`
}

/** Where in the beginner’s path an exercise stands, in words; null where it is not on it. */
export function placeOnPath(name: ExerciseName): string | null {
  const at = FIRST_PATH.findIndex((one) => one === name)
  return at < 0 ? null : `${ordinal(at + 1)} of five`
}

/** The rule an exercise is mastered by, in one sentence. */
export function ruleOf(name: ExerciseName): string {
  return `Mastered with three in a row, one of them on another day: ${ABOUT[name].rule}.`
}
