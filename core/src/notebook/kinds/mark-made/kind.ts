import type { RunId } from '../../../ids'
import type { Reading } from '../../../units'
import { defineKind } from '../defineKind'

export const MOMENTS = ['early sign', 'first liquid', 'all liquid'] as const
export type Moment = (typeof MOMENTS)[number]

/**
 * A key was pressed. The last reading seen goes with it; when that was old, the trace tells the temperature
 * later. A thermometer read by eye gives none: its reading is typed afterwards. A mark the instrument kept
 * itself is copied in with its temperature and no time.
 */
export interface MarkMade {
  readonly run: RunId
  readonly slot: number
  readonly moment: Moment
  /** Instrument time of the press, s. */
  readonly pressedAtS: number
  readonly lastSample: number
  readonly lastProbe: Reading | null
  readonly from: 'key' | 'instrument'
}
export const markMade = defineKind<MarkMade>()({
  kind: 'mark made',
  version: 2,
  about: 'melt',
  sentence: ({ slot, moment, lastProbe, from }) =>
    `Tube ${slot}: ${moment}${lastProbe ? ` at ${lastProbe.text} °C` : ''}${from === 'instrument' ? ', copied from the instrument' : ''}.`,
})
