import type { Reading } from '../../../units'
import type { Grain } from '../../../heating/observedRange'
import { defineKind } from '../defineKind'

/** A known temperature read on this thermometer: ice water, or a melting standard beside its literature range. */
export interface StandardRead {
  readonly standard: string
  readonly literature: { readonly lowC: number; readonly highC: number; readonly source: string }
  /** One reading for ice water; onset and clear point of a melting standard. */
  readonly read: readonly Reading[]
  /** How it was heated and packed; null for ice water. */
  readonly heating: { readonly rateCPerMin: number; readonly fillMm: number; readonly grain: Grain } | null
}
export const standardRead = defineKind<StandardRead>()({
  kind: 'standard read',
  version: 1,
  about: 'instrument',
  sentence: ({ standard, read, literature }) =>
    `${standard} read ${read.map(({ text }) => text).join(' to ')} °C against ${literature.lowC === literature.highC ? literature.lowC : `${literature.lowC} to ${literature.highC}`} °C.`,
})
