import type { Conventions } from '../../conventions/conventions'
import type { EpochMs, MeltId } from '../../ids'
import type { Shelf } from '../../wire'
import type { Instrument } from '../../instruments/instrument'
import type { View } from '../../notebook/fold'
import { meltsOf } from '../../notebook/views/melt'
import type { PeriodFacts } from './periodFacts'
import { paceOf } from './pace'
import type { OwnPace, TaskState } from './task'

/** What tasks are worked out from. */
export interface PeriodContext {
  readonly view: View
  readonly shelf: Shelf
  readonly rules: Conventions
  readonly period: PeriodFacts | null
  readonly nowMs: EpochMs
  /** As if nothing had been done yet: a procedure that others are to do. */
  readonly isFresh?: boolean
  /** Melts that a row has already, with the task that ends each: tubes of two preps share one run. */
  readonly melts: Map<MeltId, string>
}

/** The bench’s own pace, where the period goes by it. */
export function ownPace({ view, period }: PeriodContext, work: string, planMin: number): OwnPace | null {
  return period?.opened.body.isOwnPace === false ? null : paceOf(view, work, planMin)
}

/** What was said by hand of a task that leaves no other trace. */
export function statesByHand({ period, nowMs }: PeriodContext, task: string, planMin: number): TaskState {
  const fromMs = period?.begun.get(task)
  const toMs = period?.done.get(task)
  if (toMs !== undefined)
    return { is: 'done', fromMs: Math.min(fromMs ?? toMs - planMin * 60_000, toMs), toMs }
  if (fromMs === undefined) return { is: 'open' }
  return { is: 'running', fromMs, untilMs: Math.max(nowMs, fromMs + planMin * 60_000) }
}

/**
 * The instrument a melt will be done on that is not planned yet: the one used last for a melt of that sort, else one
 * with a programme, else any.
 */
export function likelyInstrument(
  { view, shelf }: Pick<PeriodContext, 'view' | 'shelf'>,
  isOfPrep: boolean,
): Instrument | null {
  const { instruments } = shelf
  const last = meltsOf(view).findLast(({ planned }) => (planned.body.prep !== null) === isOfPrep)?.planned
    .body.instrument
  return (
    instruments.find(({ id }) => id === last) ??
    instruments.find(({ character }) => character.control === 'program') ??
    instruments[0] ??
    null
  )
}
