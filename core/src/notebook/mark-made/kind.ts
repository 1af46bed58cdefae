import type { Reading, RunId } from '../../contract'
import { defineKind } from '../defineKind'

export const MOMENTS = ['early sign', 'first liquid', 'all liquid'] as const
export type Moment = (typeof MOMENTS)[number]

/** A key was pressed. The last reading seen goes with it; when that was old, the trace tells the temperature later. */
export interface MarkMade {
  readonly run: RunId
  readonly slot: number
  readonly moment: Moment
  /** Instrument time of the press, s. */
  readonly pressedAtS: number
  readonly lastSample: number
  readonly lastProbe: Reading
}
export const markMade = defineKind<MarkMade>()({
  kind: 'mark made',
  version: 1,
  about: 'melt',
  sentence: (body) => `Tube ${body.slot}: ${body.moment} at ${body.lastProbe.text} °C.`,
})
