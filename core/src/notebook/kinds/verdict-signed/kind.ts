import type { RangeEvidence } from '../../../judging/evidence'
import type { Judgement } from '../../../judging/judgement'
import type { EntryId, SampleId } from '../../../ids'
import type { Conventions } from '../../../conventions/conventions'
import { defineKind } from '../defineKind'

/** A verdict as signed, with its result and everything it rests on. */
export interface VerdictSigned {
  readonly sample: SampleId
  readonly signedBy: string
  readonly judgement: Judgement
  /** What was judged; null where a tube had no range and only a reason. */
  readonly evidence: RangeEvidence | null
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const verdictSigned = defineKind<VerdictSigned>()({
  kind: 'verdict signed',
  version: 3,
  about: 'prep',
  sentence: (body) => `Signed by ${body.signedBy}: ${body.judgement.verdict}.`,
})
