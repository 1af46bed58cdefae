import type { NoRangeReason } from '../../../judging/noRange'
import type { RunId } from '../../../ids'
import { defineKind } from '../defineKind'

/** Why a tube has no range: both numbers or a reason, never one number. */
export interface RangeGivenUp {
  readonly run: RunId
  readonly slot: number
  readonly reason: NoRangeReason
}
export const rangeGivenUp = defineKind<RangeGivenUp>()({
  kind: 'range given up',
  version: 1,
  about: 'melt',
  sentence: ({ slot, reason }) => `Tube ${slot} has no range: ${reason}.`,
})
