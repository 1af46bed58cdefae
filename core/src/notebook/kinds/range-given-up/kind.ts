import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

export const GIVE_UP_REASONS = [
  'not melted at the stop temperature',
  'decomposed before it melted',
  'the onset was missed',
  'the clear point was missed',
  'the tube broke or came out',
  'it melted as it went in',
] as const
export type GiveUpReason = (typeof GIVE_UP_REASONS)[number]

/** Why a tube has no range: both numbers or a reason, never one number. */
export interface RangeGivenUp {
  readonly run: RunId
  readonly slot: number
  readonly reason: GiveUpReason
}
export const rangeGivenUp = defineKind<RangeGivenUp>()({
  kind: 'range given up',
  version: 1,
  about: 'melt',
  sentence: ({ slot, reason }) => `Tube ${slot} has no range: ${reason}.`,
})
