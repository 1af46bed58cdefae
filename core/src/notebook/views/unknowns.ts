import type { UnknownId } from '../../ids'
import type { Entry } from '../entry'
import type { Compound } from '../../substances/shelf'
import type { View } from '../fold'
import { everyLineOf, firstLine, latestLine, linesOf, memoize, subjectsWith } from '../read'
import { type CompleteRow, isComplete, type MixtureFacts, mixturesOf, rowsOfSample } from './mixtures'
import { isUnderWay, meltIdsWith, meltOf } from './melt'
import { isStale } from './stale'
import { platesOf } from './plates'
import { judgedRange, type RangeRow } from './ranges'
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
export const unknownsOf = memoize((view: View): readonly UnknownFacts[] =>
  subjectsWith(view, 'unknown opened')
    .flatMap((id) => unknownOf(view, id) ?? [])
    .sort((p, q) => (p.opened.id < q.opened.id ? -1 : 1)),
)

/** One case, or null when no such case was opened. */
export const unknownOf = memoize((view: View, id: UnknownId): UnknownFacts | null => {
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
    // The first stands: a later one could be of the student's own making.
    sealed: firstLine(view, id, 'answer sealed'),
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
    mixtures: areMixturesDone(unknown),
    plate: platesOf(view, unknown.id).length > 0,
    sign: unknown.signed !== null,
  }
  // Signed is done, whatever was left out on the way: that it cannot be told is a verdict too.
  const stale = unknown.signed !== null && isStale(view, unknown.signed)
  const now =
    unknown.signed && !stale
      ? undefined
      : CASE_STATIONS.find((station) => station !== 'plate' && !isDone[station])
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
    reason:
      station === 'sign' && stale ? 'An entry the verdict is based on was struck out. Sign again.' : null,
  }))
}

/** Impurity does not raise a melting range: a compound that is all liquid so far below it is not it, °C. */
const ABOVE_ITS_OWN_C = 2
/** Nor does it lower one so far, as long as it still melts like a compound, °C. */
const FAR_BELOW_ITS_OWN_C = 15

/** Candidates an authentic sample of which is at hand and that no mixture has told anything of yet. */
function leftToMix({ careful, candidates, mixtures }: UnknownFacts): readonly CandidateFacts[] {
  const decidedFor = new Set(
    mixtures.filter(({ verdict }) => isTold(verdict)).map(({ reference }) => reference.compound?.id),
  )
  const clearC = careful ? judgedRange(careful).clearC : null
  const canBe = ({ meltHighC }: Compound) =>
    clearC === null || (clearC <= meltHighC + ABOVE_ITS_OWN_C && clearC >= meltHighC - FAR_BELOW_ITS_OWN_C)
  return candidates.filter(
    ({ compound, ruledOut, authentic }) =>
      authentic !== null && ruledOut === null && !decidedFor.has(compound.id) && canBe(compound),
  )
}

const isTold = (verdict: MixtureFacts['verdict']) => verdict.ok && verdict.value.verdict !== 'repeat'

/** Whether the mixtures have told what they can: one was the same, or none is left that an authentic sample is at hand for. */
export function areMixturesDone(unknown: UnknownFacts): boolean {
  const verdicts = unknown.mixtures.flatMap(({ verdict }) => (verdict.ok ? verdict.value.verdict : []))
  if (verdicts.includes('same')) return true
  return verdicts.includes('different') && leftToMix(unknown).length === 0
}

/** What is next of the mixtures: none made, one made and not melted, one that melts, or one that was unclear. */
function mixtureText(view: View, unknown: UnknownFacts): string {
  const last = unknown.mixtures.at(-1)
  if (!last) return 'Choose an authentic sample to grind it with.'
  const [next] = leftToMix(unknown)
  if (last.row && isTold(last.verdict) && next)
    return `It is not ${last.reference.compound?.name ?? last.reference.label}. You have other candidates: grind it with the next one, or sign what you can say.`
  if (last.row) return 'The mixture was unclear. Grind it again, or sign what you can say.'
  const melting = meltIdsWith(view, last.sample.id).some((id) => {
    const melt = meltOf(view, id)
    return melt !== null && isUnderWay(melt)
  })
  return melting ? 'Its mixture is being melted.' : 'Melt the mixture beside both its parts.'
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
          ? 'Do a careful run, planned from the scouting run.'
          : 'Do a scouting run: heat fast for a rough value.',
      }
    case 'candidates':
      return { station: 'candidates', text: 'List the compounds it could be.' }
    case 'mixtures':
      return { station: 'mixtures', text: mixtureText(view, unknown) }
    default:
      return {
        station: at.station,
        text: at.reason ?? 'Sign which compound it is, or that it cannot be decided.',
      }
  }
}
