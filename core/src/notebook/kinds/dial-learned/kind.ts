import type { EntryId } from '../../../ids'
import type { BlockModel } from '../../../heating/dial'
import { defineKind } from '../defineKind'

/** What a dial does, fitted to logged heatings; with how well, and over which span it holds. */
export interface DialLearned {
  readonly model: BlockModel
  readonly residualC: number
  readonly standardErrors: {
    readonly gain: number
    readonly exponent: number
    readonly timeConstantMin: number
  }
  /** Settings and temperatures that were logged: outside of them the model is a guess. */
  readonly span: {
    readonly leastDial: number
    readonly mostDial: number
    readonly leastC: number
    readonly mostC: number
  }
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const dialLearned = defineKind<DialLearned>()({
  kind: 'dial learned',
  version: 1,
  about: 'instrument',
  sentence: ({ restsOn, residualC, span }) =>
    `Learned the dial from ${restsOn.length} heatings, settings ${span.leastDial} to ${span.mostDial}: readings lie within ${residualC.toFixed(2)} °C of the fit.`,
})
