import { problem, type Result } from '../../problems'
import type { EntryId, UnknownId } from '../../ids'
import type { Entry } from '../entry'
import type { Compound } from '../../reference/shelf'
import { type Candidate, type IdentityInput, RANK_OPTIONS, type RankOptions } from '../../identity/likelihood'
import { fusionOf } from '../../reference/fusionOf'
import type { View } from '../fold'
import { everyLineOf, latestLine, linesOf, remember, subjectsWith } from '../read'
import {
  type CompleteRow,
  isComplete,
  type MixtureFacts,
  mixturesOf,
  rowsOfSample,
  slowRange,
} from './mixtures'
import { isStale } from './judgement'
import { plateOpinionOf, platesOf } from './plates'
import type { RangeRow } from './ranges'
import { authenticByCompound, type NamedSample, sampleNamedAs } from './samples'
import type { StationState } from './stations'

/** A candidate on the list of a case. */
export interface CandidateFacts {
  readonly compound: Compound
  /** The line that struck it out by hand, or null. */
  readonly ruledOut: Entry<'candidate ruled out'> | null
  /** An authentic sample of it at hand, or null. */
  readonly authentic: NamedSample | null
}

export interface UnknownFacts {
  readonly id: UnknownId
  readonly opened: Entry<'unknown opened'>
  readonly sample: NamedSample
  readonly listed: Entry<'candidates listed'> | null
  readonly candidates: readonly CandidateFacts[]
  readonly sealed: Entry<'answer sealed'> | null
  readonly answer: Entry<'answer opened'> | null
  readonly signed: Entry<'unknown signed'> | null
  /** Every tube of it alone, scouting runs too. */
  readonly rows: readonly RangeRow[]
  readonly scouting: CompleteRow | null
  readonly careful: CompleteRow | null
  readonly mixtures: readonly MixtureFacts[]
}

/** Every case of the notebook, in the order they were opened. */
export const unknownsOf = remember((view: View): readonly UnknownFacts[] =>
  subjectsWith(view, 'unknown opened')
    .flatMap((id) => unknownOf(view, id as UnknownId) ?? [])
    .sort((p, q) => (p.opened.id < q.opened.id ? -1 : 1)),
)

/** One case, or null when no such case was opened. */
export const unknownOf = remember((view: View, id: UnknownId): UnknownFacts | null => {
  const opened = latestLine(view, id, 'unknown opened')
  const sample = opened ? sampleNamedAs(view, opened.body.sample) : null
  if (!opened || !sample) return null
  const rows = rowsOfSample(view, sample.id)
  const latest = (purpose: RangeRow['purpose']) =>
    [...rows].reverse().find((row): row is CompleteRow => isComplete(row) && row.purpose === purpose) ?? null
  const listed = latestLine(view, id, 'candidates listed')
  return {
    id,
    opened,
    sample,
    listed,
    candidates: listed ? candidatesOf(view, id, listed.body.candidates) : [],
    sealed: latestLine(view, id, 'answer sealed'),
    answer: latestLine(view, id, 'answer opened'),
    signed: latestLine(view, id, 'unknown signed'),
    rows,
    scouting: latest('scouting'),
    careful: latest('careful'),
    mixtures: mixturesOf(view, sample.id),
  }
})

function candidatesOf(view: View, id: UnknownId, compounds: readonly Compound[]): readonly CandidateFacts[] {
  const out = linesOf(view, id, 'candidate ruled out')
  const authentic = authenticByCompound(view)
  return compounds.map((compound) => ({
    compound,
    ruledOut: out.find(({ body }) => body.candidate === compound.id) ?? null,
    authentic: authentic.get(compound.id) ?? null,
  }))
}

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

/** A scouting run reads this much less surely, °C. */
const SCOUTING_SIGMA_C = 3

/**
 * The evidence of a case in numbers: the unknown's range and its mixtures with the share of the heating taken
 * off, the candidates that were not struck out. From a scouting run alone the result is rough.
 */
export function caseForRanking(unknown: UnknownFacts): Result<CaseForRanking> {
  const alone = unknown.careful ?? unknown.scouting
  if (!alone) return problem('too-few-samples', 'The unknown has no melting range yet: both ends are needed.')
  const standing = unknown.candidates.filter(({ ruledOut }) => !ruledOut)
  if (unknown.candidates.length === 0) return problem('no-candidates', 'No candidates are listed yet.')
  const isRough = unknown.careful === null
  const melted = unknown.mixtures.flatMap((mixture) =>
    mixture.row && mixture.reference.compound
      ? [{ ...mixture, row: mixture.row, compound: mixture.reference.compound }]
      : [],
  )
  const options: RankOptions = { ...RANK_OPTIONS, ...(isRough ? { sigmaC: SCOUTING_SIGMA_C } : {}) }
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
    return `The mixture with ${compound.name} was unchanged, yet its probability is ${percent(here)}: another mixture, or the unknown’s own range, speaks against it. One of the tubes may not be what its label says.`
  if (verdict === 'different' && here > 0.3)
    return `The mixture with ${compound.name} came out lower and broader, yet its probability is still ${percent(here)}: nothing else on the list fits better. Either that mixture went wrong, or what it is stands on no list. Repeat that mixture to tell.`
  return null
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
  return [
    ...(isUnlisted ? [] : doubtsOfCandidate(view, unknown, answer)),
    ...(probability !== undefined && probability < EVEN
      ? [`With everything measured it stands at only ${percent(probability)}.`]
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
          'No mixed melt with this one has been made. Two like ranges are not identity: only a mixture speaks for it.',
        ]
      : verdicts.includes('same')
        ? []
        : ['Its mixed melt did not come out unchanged. Repeat it before you sign this.']),
    ...(plate?.opinion.agrees === false ? [`The plate disagrees: ${plate.opinion.sentence}`] : []),
  ]
}

/** Whether the sealed answer was opened only after a verdict had been signed. */
export function openedAfterSigning(view: View, { id, answer }: UnknownFacts): boolean {
  const first = everyLineOf(view, id).find(({ kind }) => kind === 'unknown signed')
  return answer !== null && first !== undefined && first.id < answer.id
}

export const CASE_STATIONS = ['melt', 'candidates', 'mixtures', 'plate', 'sign'] as const
export type CaseStation = (typeof CASE_STATIONS)[number]

/** How far each station of a case is. A plate is a second opinion: it is done or not, and never waited for. */
export function caseStationsOf(
  view: View,
  unknown: UnknownFacts,
): readonly {
  readonly station: CaseStation
  readonly state: StationState
  readonly reason: string | null
}[] {
  const isDone: Readonly<Record<CaseStation, boolean>> = {
    melt: unknown.careful !== null,
    candidates: unknown.listed !== null,
    mixtures: unknown.mixtures.some(({ verdict }) => verdict.ok && verdict.value.verdict !== 'repeat'),
    plate: platesOf(view, unknown.id).length > 0,
    sign: unknown.signed !== null,
  }
  const now = CASE_STATIONS.find((station) => station !== 'plate' && !isDone[station])
  const stale = unknown.signed !== null && isStale(view, unknown.signed)
  return CASE_STATIONS.map((station) => ({
    station,
    state:
      station === 'sign' && stale
        ? 'needs a look'
        : isDone[station]
          ? 'done'
          : station === now
            ? 'now'
            : 'not yet',
    reason: station === 'sign' && stale ? 'A line the verdict rests on was struck: sign again.' : null,
  }))
}

/** The next thing to do in a case, in one line; null when it is signed. */
export function nextInCase(view: View, unknown: UnknownFacts): { station: CaseStation; text: string } | null {
  const at = caseStationsOf(view, unknown).find(({ state }) => state === 'now' || state === 'needs a look')
  if (!at) return null
  switch (at.station) {
    case 'melt':
      return {
        station: 'melt',
        text: unknown.scouting
          ? 'Melt it carefully, from what the scouting run found.'
          : 'Scout it: a fast run for a rough value.',
      }
    case 'candidates':
      return { station: 'candidates', text: 'List what it may be.' }
    case 'mixtures':
      return { station: 'mixtures', text: 'Choose an authentic sample to grind it with.' }
    default:
      return { station: at.station, text: at.reason ?? 'Sign what it is, or that it cannot be told.' }
  }
}
