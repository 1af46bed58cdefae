import type { MeltFacts } from '../notebook/views/melt'
import { dialTurnsOf, isSettled, nextTurn } from './dialTurns'
import { type Announcement, announcementOf, meltRateOf, type Moment } from './watching'

/** What whoever watches does now, in one line. */
export type Move =
  | Announcement
  | { readonly say: 'cool first' | 'preheat' | 'heats to' | 'comes to'; readonly toC: number }
  | { readonly say: 'tubes in' | 'read first' }
  | { readonly say: 'slow down'; readonly rateCPerMin: number; readonly toC: number }
  /** `inMin` is 0 when it is due, null while nobody can say. */
  | { readonly say: 'turn'; readonly dial: number; readonly atC: number; readonly inMin: number | null }
  | { readonly say: 'heat by hand'; readonly toC: number }
  /** What is heated runs on: turned down only at the start it would be past it. */
  | { readonly say: 'turn down'; readonly rateCPerMin: number; readonly toC: number }
  | { readonly say: 'all told' }

/** A turn of the dial is announced this long before it is due, min. */
const ANNOUNCED_MIN = 1
/** Tubes may go in this far from the start temperature, °C. */
const TUBES_WITHIN_C = 2
/** A block heated fast runs on for about so long after its dial is turned down, min. */
const RUNS_ON_MIN = 1

/**
 * The one thing to do now: what is due before what is to come.
 *
 * @returns null while there is nothing to do but wait, and nothing is known of how long
 */
export function moveOf(melt: MeltFacts, moment: Moment): Move | null {
  const { window, heating } = melt.planned.body
  const { nowC, atS, phase, rateCPerMin } = moment
  const byHand = melt.run?.started.body.feed === 'by hand'
  const announcement = announcementOf(melt, moment)
  if (announcement?.say === 'not heard') return announcement
  const given = new Set(melt.run?.commands.map(({ body }) => body.command.kind))
  const isIn = given.has('tubes in')
  if (isIn && hasEveryRange(melt)) return { say: 'all told' }
  // Too fast where it melts: what mends it comes before the turn the plan had in mind.
  if (announcement?.say === 'too fast') return announcement
  const turn = nextTurn(melt, nowC ?? window.startC, atS, rateCPerMin)
  if (turn && turn.dueInMin === 0) return { say: 'turn', dial: turn.dial, atC: turn.atC, inMin: 0 }
  if (!isIn && nowC !== null && nowC > hottestForTubesC(melt, moment) && !given.has('ramp'))
    return { say: 'cool first', toC: window.startC }
  // Read by eye, and nothing read yet: whether it is hot nobody here knows.
  if (!isIn && nowC === null && (byHand || phase !== null)) return { say: 'read first' }
  if (!isIn && tubesMayGoIn(melt, moment)) return { say: 'tubes in' }
  if (heating.by === 'ramp' && !byHand) {
    const onItsWay = nowC !== null && nowC > window.startC ? 'comes to' : 'heats to'
    if (!isIn) return { say: given.has('preheat') ? onItsWay : 'preheat', toC: window.startC }
    if (!given.has('ramp'))
      return phase === 'preheating'
        ? { say: onItsWay, toC: window.startC }
        : { say: 'slow down', rateCPerMin: window.rateCPerMin, toC: window.stopC }
  }
  if (turn && turn.dueInMin !== null && turn.dueInMin <= ANNOUNCED_MIN)
    return { say: 'turn', dial: turn.dial, atC: turn.atC, inMin: turn.dueInMin }
  if (announcement?.say === 'opens' && heating.by === 'hand' && nowC !== null) {
    if (rateCPerMin !== null && runsPast(melt, { nowC, atS, rateCPerMin }))
      return { say: 'turn down', rateCPerMin, toC: window.startC }
    if (nowC < window.startC) return { say: 'heat by hand', toC: window.startC }
  }
  if (announcement) return announcement
  if (heating.by === 'hand' && nowC === null) return { say: 'heat by hand', toC: window.startC }
  return null
}

/** Whether it is heated so fast that, turned down now, it would still run past the start; once the rate tells of it. */
function runsPast(
  melt: MeltFacts,
  { nowC, atS, rateCPerMin }: { nowC: number; atS: number; rateCPerMin: number },
): boolean {
  return (
    isSettled(melt, atS) &&
    rateCPerMin > meltRateOf(melt).max &&
    nowC + rateCPerMin * RUNS_ON_MIN >= melt.planned.body.window.startC
  )
}

/**
 * Whether the tubes may go in now: by house rules cold or at the start temperature, and never into a block that is
 * above it.
 */
export function tubesMayGoIn(
  melt: MeltFacts,
  moment: Pick<Moment, 'nowC' | 'phase' | 'rateCPerMin'>,
): boolean {
  const { window, heating, conventions } = melt.planned.body
  const { nowC, phase } = moment
  if (nowC !== null && nowC > hottestForTubesC(melt, moment)) return false
  if (conventions.tubeIn === 'cold') return true
  if (melt.run?.started.body.feed === 'by hand' || heating.by === 'hand')
    return nowC === null || nowC >= window.startC - TUBES_WITHIN_C
  if (heating.by === 'dial') return nowC !== null && nowC >= window.startC - TUBES_WITHIN_C
  // A block that is already at the start has no preheating to wait for.
  if (heating.plan.segments[0]?.kind === 'ramp') return true
  return (
    phase === 'holding' && melt.run?.commands.some(({ body }) => body.command.kind === 'preheat') === true
  )
}

/**
 * Hotter than this no tube goes in, °C: the start temperature where a programme holds it or a block has to cool to it;
 * where it heats on, the window, before which nothing could be seen.
 */
function hottestForTubesC(melt: MeltFacts, { rateCPerMin }: Pick<Moment, 'rateCPerMin'>): number {
  const { window } = melt.planned.body
  const atStart = window.startC + TUBES_WITHIN_C
  return hasToCool(melt, rateCPerMin) ? atStart : Math.max(atStart, window.watchFromC)
}

function hasToCool(melt: MeltFacts, rateCPerMin: number | null): boolean {
  const { heating, window } = melt.planned.body
  switch (heating.by) {
    case 'ramp':
      return melt.run?.started.body.feed !== 'by hand' || heating.plan.segments[0]?.kind === 'cool'
    case 'dial': {
      const [first, second] = dialTurnsOf(melt)
      return first?.dial === 0 && second !== undefined && second.made === null
    }
    case 'hand':
      return heating.blockC > window.startC && (rateCPerMin ?? 0) <= 0
  }
}

/** Whether every tube that is in has its range, or was given up. */
function hasEveryRange(melt: MeltFacts): boolean {
  const { tubes } = melt.planned.body
  return tubes.every(
    ({ slot }) =>
      melt.givenUp.some(({ body }) => body.slot === slot) ||
      melt.detected.has(slot) ||
      melt.marks.some(({ entry: { body } }) => body.slot === slot && body.moment === 'all liquid'),
  )
}
