import type { Conventions } from '../../conventions/conventions'
import type { Ranked } from '../../identity/rankCandidates'
import type { SampleId, UnknownId } from '../../ids'
import { CORE_VERSION } from '../../version'
import type { Line } from '../entry'
import type { View } from '../fold'
import type { UnknownSigned } from '../kinds/unknown-signed/kind'
import { plateOpinionOf } from '../views/plates'
import { judgedRange } from '../views/ranges'
import type { CaseForRanking } from '../views/ranking'
import type { UnknownFacts } from '../views/unknowns'
import type { NewId } from './newId'

/** A case is opened on an unknown in its vial. */
export function openCase(
  newId: NewId,
  code: string,
  appearance: string,
): { readonly id: UnknownId; readonly lines: readonly Line[] } {
  const id = newId<UnknownId>()
  const sample = newId<SampleId>()
  return {
    id,
    lines: [
      {
        kind: 'sample named',
        subject: sample,
        body: { prep: null, role: 'unknown', label: code, compound: null, of: [] },
      },
      { kind: 'unknown opened', subject: id, body: { code, appearance, sample } },
    ],
  }
}

/**
 * A case is signed: the answer, how likely each candidate was, every mixed melt, and everything that rests on.
 *
 * @param chosen id of a candidate that stands, or the words of another answer
 * @param rules in force, for a case that was never melted carefully
 */
export function signCase(
  view: View,
  unknown: UnknownFacts,
  evidence: CaseForRanking,
  signed: {
    readonly chosen: string
    readonly ranked: readonly Ranked[]
    readonly signedBy: string
    readonly rules: Conventions
  },
): Line<'unknown signed'> {
  const plate = plateOpinionOf(view, unknown.id)
  return {
    kind: 'unknown signed',
    subject: unknown.id,
    body: {
      signedBy: signed.signedBy,
      answer: answerOf(unknown, signed.chosen),
      ranked: signed.ranked,
      unknown: evidence.input.unknown,
      mixtures: mixturesOf(unknown),
      options: evidence.options,
      conventions: unknown.careful?.conventions ?? signed.rules,
      coreVersion: CORE_VERSION,
      restsOn: [...new Set([...evidence.restsOn, ...(plate ? [plate.plate.developed.id] : [])])],
    },
  }
}

function answerOf({ candidates }: UnknownFacts, chosen: string): UnknownSigned['answer'] {
  if (chosen === 'not on the list' || chosen === 'cannot tell') return { is: chosen }
  const candidate = candidates.find(({ compound, ruledOut }) => !ruledOut && compound.id === chosen)
  return candidate
    ? { is: 'compound', compound: candidate.compound.id, name: candidate.compound.name }
    : { is: 'cannot tell' }
}

function mixturesOf({ mixtures }: UnknownFacts): UnknownSigned['mixtures'] {
  return mixtures.flatMap(({ row, reference, verdict }) =>
    row && reference.compound
      ? [
          {
            reference: reference.compound.id,
            name: reference.compound.name,
            range: judgedRange(row),
            verdict: verdict.ok ? verdict.value.verdict : null,
          },
        ]
      : [],
  )
}
