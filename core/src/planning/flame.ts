import type { EpochMs, PrepId } from '../ids'
import type { Instrument } from '../instruments/instrument'
import type { View } from '../notebook/fold'
import { isUnderWay, meltsOf } from '../notebook/views/melt'
import { type PrepFacts, prepsOf } from '../notebook/views/prep'
import { solventsOf } from '../procedures/batch'
import { isFlammable } from '../substances/hazards'
import { periodAt } from './period/periodFacts'

/** A flame that burns near the bench, or is about to. */
export interface FlameNear {
  /** Who has it, or the instrument of this bench that it heats. */
  readonly who: string
  readonly isOwn: boolean
  readonly fromMs: EpochMs
  /** null while nobody knows. */
  readonly toMs: EpochMs | null
}
/** Flammable solvent on the heat or in the open. */
export interface VapourNear {
  readonly prep: PrepId
  readonly title: string
  readonly solvents: readonly string[]
}

/** What is poured or on the heat now may not be brought to an end sooner than this, ms. */
const SOON_MS = 15 * 60_000
/** A flask begun so long ago and never gone on with stands cold, ms. */
const COLD_AFTER_MS = 6 * 3_600_000

/** Flames that were declared for now or the next quarter of an hour, and those of this bench’s own instruments. */
export function flamesNear(
  view: View,
  instruments: readonly Instrument[],
  nowMs: EpochMs,
): readonly FlameNear[] {
  const declared = (periodAt(view, nowMs)?.opened.body.busy ?? [])
    .filter(({ what, fromAtMs, toAtMs }) => what === 'flame' && fromAtMs <= nowMs + SOON_MS && toAtMs > nowMs)
    .map(({ who, fromAtMs, toAtMs }) => ({ who, isOwn: false, fromMs: fromAtMs, toMs: toAtMs }))
  const own = meltsOf(view, undefined)
    .filter(isUnderWay)
    .flatMap(({ run, planned }): FlameNear[] => {
      const burns =
        instruments.find(({ id }) => id === planned.body.instrument)?.character.control === 'flame'
      return run && burns
        ? [{ who: planned.body.instrumentName, isOwn: true, fromMs: run.started.at, toMs: null }]
        : []
    })
  return [...declared, ...own]
}

/** The solvents of a prep’s plan that burn, by name. */
export function burningSolventsOf({ plan }: Pick<PrepFacts, 'plan'>): readonly string[] {
  return plan
    ? solventsOf(plan.body)
        .filter(({ hazards }) => isFlammable(hazards))
        .map(({ name }) => name)
    : []
}

/** Whether a prep’s solvent is on the heat or in the open: begun to dissolve, and not yet collected. */
export function isInTheOpen({ steps, ticked, portions }: PrepFacts, nowMs: EpochMs): boolean {
  const of = (station: string) => steps.filter((step) => step.station === station)
  const isOver = (station: string) => of(station).length > 0 && of(station).every(({ id }) => ticked.has(id))
  const lines = [
    ...portions.filter(({ body }) => body.use !== 'rinse'),
    ...steps
      .filter(({ station }) => station === 'dissolve' || station === 'collect')
      .flatMap(({ id }) => ticked.get(id) ?? []),
  ]
  const lastMs = Math.max(-Infinity, ...lines.map(({ at }) => at))
  if (nowMs - lastMs > COLD_AFTER_MS) return false
  return !isOver('dissolve') || (of('collect').some(({ id }) => ticked.has(id)) && !isOver('collect'))
}

/** Preps whose flammable solvent is on the heat or in the open now. */
export function vapoursNear(view: View, nowMs: EpochMs): readonly VapourNear[] {
  return prepsOf(view).flatMap((prep) => {
    const solvents = burningSolventsOf(prep)
    return solvents.length > 0 && isInTheOpen(prep, nowMs)
      ? [{ prep: prep.id, title: prep.opened.body.title, solvents }]
      : []
  })
}
