import { visibleUnder } from '../../melting/meltingRange'
import type { UnknownFacts } from './unknowns'
import { problem, type Result } from '../../problems'
import type { EntryId } from '../../ids'
import type { Compound } from '../../substances/shelf'
import { type Candidate, type IdentityInput, RANK_OPTIONS, type RankOptions } from '../../identity/likelihood'
import { fusionOf } from '../../substances/fusionOf'
import type { View } from '../fold'
import { type CompleteRow, type MixtureFacts, slowRange } from './mixtures'
import { judgedRange } from './ranges'
import { plateOpinionOf } from './plates'

/** A compound as the ranking takes it; its melting point is the top of the literature range. */
export function candidateFrom(compound: Compound): Candidate {
  const { meltingPointC, enthalpyKJPerMol, molarMassGPerMol } = fusionOf(compound)
  return {
    id: compound.id,
    meltLowC: compound.meltLowC,
    meltHighC: compound.meltHighC,
    fusion: { meltingPointC, enthalpyKJPerMol, molarMassGPerMol },
  }
}

/** What the case's candidates are ranked from. */
export interface CaseForRanking {
  readonly input: IdentityInput & { readonly references: readonly Candidate[] }
  readonly options: RankOptions
  /** Candidates whose fusion enthalpy is Walden's estimate. */
  readonly estimated: readonly string[]
  /** References of mixtures that are not candidates: allowed, and said. */
  readonly otherReferences: readonly string[]
  readonly isRough: boolean
  readonly restsOn: readonly EntryId[]
}

/** How surely a clear point is read, by whether its thermometer was checked up to there, °C. */
const CHECKED_SIGMA_C = 0.7
const UNCHECKED_SIGMA_C = 1.2
function sigmaOf({ corrected }: Pick<CompleteRow, 'corrected'>): number {
  return corrected && !corrected.extrapolated ? CHECKED_SIGMA_C : UNCHECKED_SIGMA_C
}

/** A scouting run reads this much less surely, °C. */
const SCOUTING_SIGMA_C = 3

/**
 * The evidence of a case in numbers: the unknown's range and its mixtures with the share of the heating taken
 * off, the candidates that were not struck out. From a scouting run alone the result is rough.
 */
export function caseForRanking(unknown: UnknownFacts): Result<CaseForRanking> {
  const alone = unknown.careful ?? unknown.scouting
  if (!alone) return problem('too-few-samples', 'The unknown has no melting range yet. Both ends are needed.')
  const standing = unknown.candidates.filter(({ ruledOut }) => !ruledOut)
  if (unknown.candidates.length === 0) return problem('no-candidates', 'No candidates are listed yet.')
  const isRough = unknown.careful === null
  const melted = unknown.mixtures.flatMap((mixture) =>
    mixture.row && mixture.reference.compound
      ? [{ ...mixture, row: mixture.row, compound: mixture.reference.compound }]
      : [],
  )
  const options: RankOptions = {
    ...RANK_OPTIONS,
    ...visibleUnder(alone.conventions),
    sigmaC: isRough ? SCOUTING_SIGMA_C : sigmaOf(alone),
    ...(alone.conventions.unlistedPrior === undefined
      ? {}
      : { unlistedPrior: alone.conventions.unlistedPrior }),
  }
  const onList = new Set(standing.map(({ compound }) => compound.id))
  return {
    ok: true,
    value: {
      input: {
        unknown: slowRange(alone),
        candidates: standing.map(({ compound }) => candidateFrom(compound)),
        mixtures: melted.map(({ row, compound, referenceBeside, massFractionOfSample }) => ({
          reference: candidateFrom(compound),
          ...slowRange(row),
          ...(referenceBeside ? { referenceClearC: slowRange(referenceBeside).clearC } : {}),
          massFractionUnknown: massFractionOfSample,
          readClear: row.clear.text,
        })),
        options,
        // One that has been ground with it already may be again: a mishap is told from a fact by a repeat.
        references: standing.flatMap(({ compound, authentic }) =>
          authentic ? [candidateFrom(compound)] : [],
        ),
      },
      options,
      estimated: standing
        .filter(({ compound }) => compound.fusionEnthalpyKJPerMol === null)
        .map(({ compound }) => compound.name),
      otherReferences: melted
        .filter(({ compound }) => !onList.has(compound.id))
        .map(({ compound }) => compound.name),
      isRough,
      restsOn: [
        unknown.opened.id,
        ...(unknown.listed ? [unknown.listed.id] : []),
        ...unknown.candidates.flatMap(({ ruledOut }) => (ruledOut ? [ruledOut.id] : [])),
        ...alone.restsOn,
        ...melted.flatMap(({ restsOn }) => restsOn),
      ],
    },
  }
}

/** Compounds whose literature range meets a window of temperature, nearest the middle first. */
export function compoundsWithin(
  compounds: readonly Compound[],
  window: { readonly lowC: number; readonly highC: number },
): readonly Compound[] {
  const middle = (window.lowC + window.highC) / 2
  const away = ({ meltHighC }: Compound) => Math.abs(meltHighC - middle)
  return compounds
    .filter(({ meltLowC, meltHighC }) => meltHighC >= window.lowC && meltLowC <= window.highC)
    .sort((p, q) => away(p) - away(q))
}

/** An unknown's literature top lies within so much above its clear point: impurity lowers, it does not raise. */
const ABOVE_C = 8
const BELOW_C = 3

/** The window in which to look for candidates of a range, °C. */
export function windowFor(range: { readonly clearC: number }): { lowC: number; highC: number } {
  return { lowC: Math.round(range.clearC - BELOW_C), highC: Math.round(range.clearC + ABOVE_C) }
}

/** Where the mixed melt and the probabilities do not say the same, in a sentence; null where they do. */
export function disagreementOf(
  mixture: MixtureFacts,
  ranked: readonly { readonly id: string | null; readonly probability: number }[],
): string | null {
  const { compound } = mixture.reference
  const here = ranked.find(({ id }) => id === compound?.id)?.probability
  if (!mixture.verdict.ok || here === undefined || !compound) return null
  const { verdict } = mixture.verdict.value
  if (verdict === 'same' && here < 0.5)
    return `The mixture with ${compound.name} was unchanged, yet its probability is ${percent(here)}. Another mixture, or the range of the unknown itself, does not fit. One of the tubes could be mislabelled.`
  if (verdict === 'different' && here > 0.3)
    return `The mixture with ${compound.name} came out lower and broader, yet its probability is still ${percent(here)}. Nothing else on the list fits better. Either that mixture went wrong, or the compound is not on the list. Repeat that mixture to find out.`
  return null
}

/** As good as one candidate is left standing. */
const STANDS_ALONE = 0.8

/**
 * Whether a plate should speak: with one candidate left, a mixture that is as the unknown at one end only is what
 * crystals of two compounds in one lattice would do, and no further mixture tells that.
 *
 * @returns a sentence; null where the melts are enough, or both were spotted in one place already
 */
export function plateProposal(
  view: View,
  unknown: UnknownFacts,
  ranked: readonly { readonly id: string | null; readonly probability: number }[],
): string | null {
  const best = ranked.find(({ id, probability }) => id !== null && probability >= STANDS_ALONE)
  const mixture = unknown.mixtures.findLast(({ reference }) => reference.compound?.id === best?.id)
  const alone = mixture?.aloneBeside
  if (!mixture?.row || !alone || plateOpinionOf(view, unknown.id)) return null
  const within = mixture.row.conventions.repeatWithinC
  const [mixed, by] = [judgedRange(mixture.row), judgedRange(alone)]
  const lower = [by.onsetC - mixed.onsetC, by.clearC - mixed.clearC].filter((c) => c > within + 0.05)
  return lower.length === 1
    ? `With ${mixture.reference.compound?.name ?? 'it'} the mixture is as the unknown at one end and ${(lower[0] ?? 0).toFixed(1)} °C lower at the other. Two compounds that share one crystal lattice do that, and so does an unevenly ground tube. A thin-layer plate (TLC) with both in one spot decides.`
    : null
}

function percent(probability: number): string {
  return `${(100 * probability).toFixed(probability < 0.1 ? 1 : 0)} %`
}

/** An answer stands on less than an even chance below this. */
const EVEN = 0.5

/**
 * What a careful supervisor would ask before this answer is signed.
 *
 * @param answer id of a candidate, or the words of another answer
 */
export function doubtsBeforeSigning(
  view: View,
  unknown: UnknownFacts,
  answer: string,
  ranked: readonly { readonly id: string | null; readonly probability: number }[],
): readonly string[] {
  if (answer === 'cannot tell') return []
  const isUnlisted = answer === 'not on the list'
  const probability = ranked.find(({ id }) => id === (isUnlisted ? null : answer))?.probability
  const proposal = isUnlisted ? null : plateProposal(view, unknown, ranked)
  return [
    ...(isUnlisted ? [] : doubtsOfCandidate(view, unknown, answer)),
    ...(proposal ? [proposal] : []),
    ...(probability !== undefined && probability < EVEN
      ? [`With everything measured, its probability is only ${percent(probability)}.`]
      : []),
  ]
}

function doubtsOfCandidate(view: View, unknown: UnknownFacts, candidate: string): readonly string[] {
  const verdicts = unknown.mixtures
    .filter(({ reference }) => reference.compound?.id === candidate)
    .flatMap(({ verdict }) => (verdict.ok ? [verdict.value.verdict] : []))
  const plate = plateOpinionOf(view, unknown.id)
  return [
    ...(verdicts.length === 0
      ? [
          'No mixed melt with this one has been made. Two equal ranges do not prove identity; only a mixed melt does.',
        ]
      : verdicts.includes('same')
        ? []
        : ['In its mixed melt the range changed. Repeat it before you sign this.']),
    ...(plate?.opinion.agrees === false ? [`The plate disagrees: ${plate.opinion.sentence}`] : []),
  ]
}
