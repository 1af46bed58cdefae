import type { JudgeInput, Judgement } from '../../../judging/judgement'
import type { EntryId, SampleId } from '../../../ids'
import type { Conventions } from '../../../conventions/conventions'
import { defineKind } from '../defineKind'

/** A verdict as signed, with its result and everything it rests on. */
export interface VerdictSigned {
  readonly sample: SampleId
  readonly signedBy: string
  readonly judgement: Judgement
  readonly input: JudgeInput
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const verdictSigned = defineKind<VerdictSigned>()({
  kind: 'verdict signed',
  version: 2,
  about: 'prep',
  upcasts: { 1: (body) => body },
  sentence: (body) => `Signed by ${body.signedBy}: ${body.judgement.verdict}.`,
})
