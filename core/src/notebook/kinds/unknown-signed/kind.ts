import type { RankOptions } from '../../../identity/likelihood'
import type { MeltingRange } from '../../../melting/meltingRange'
import type { EntryId } from '../../../ids'
import type { Conventions } from '../../../conventions/conventions'
import { defineKind } from '../defineKind'

/** What the unknown is, as signed, with the evidence and everything it rests on. */
export interface UnknownSigned {
  readonly signedBy: string
  readonly answer:
    | { readonly is: 'compound'; readonly compound: string; readonly name: string }
    | { readonly is: 'not on the list' }
    | { readonly is: 'cannot tell' }
  /** In the order of the candidates, null for one nobody listed. */
  readonly ranked: readonly { readonly id: string | null; readonly probability: number }[]
  readonly unknown: MeltingRange
  readonly mixtures: readonly {
    readonly reference: string
    readonly name: string
    readonly range: MeltingRange
    readonly verdict: 'same' | 'different' | 'repeat' | null
  }[]
  readonly options: RankOptions
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const unknownSigned = defineKind<UnknownSigned>()({
  kind: 'unknown signed',
  version: 1,
  about: 'unknown',
  sentence: ({ signedBy, answer }) =>
    `Signed by ${signedBy}: ${answer.is === 'compound' ? answer.name : answer.is}.`,
})
