import { type Candidate, type MixtureRun } from '../identity/likelihood'
import { nextMixture } from '../identity/nextMixture'
import { rankCandidates, type Ranked } from '../identity/rankCandidates'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { meltingRange, type MeltingRange } from '../melting/meltingRange'
import { randomSource } from '../math/random'
import { fusionOf } from '../reference/fusionOf'
import type { Compound } from '../reference/shelf'
import type { Level } from './meltExercise'
import type { Score } from './exercises'

/** An unknown among six that melt where it does. */
export interface MixtureExercise {
  readonly seed: number
  readonly level: Level
  readonly candidates: readonly (Candidate & { readonly name: string })[]
  /** Which it is; told with the answer. */
  readonly answer: string
  readonly unknown: MeltingRange
}
const COUNT = 6
/** How far apart they melt at most, °C, by level. */
const SPAN_C: Readonly<Record<Level, number>> = { 1: 14, 2: 9, 3: 6 }
/** Reading and packing scatter a range’s ends by, °C. */
const SCATTER_C = 0.25
/** The thermometer of these runs has not been checked: it may be off by so much, one standard deviation, °C. */
const UNCHECKED_C = 1.5
const OPTIONS = { unlistedPrior: 0.001, sigmaC: 2.5 }
/** The planner stops once one is so likely. */
const SURE = 0.95
const RUNS_MOST = 6
/** A name is shown, not guessed, once the runs make it so likely: or as likely as the planner’s own way could. */
const SHOWN = 0.8
/** A right name that nothing showed was luck. */
const LUCK_SHARE = 0.3

/**
 * @param compounds to draw from
 * @returns null where fewer than six of them melt near each other
 */
export function mixtureExercise(
  compounds: readonly Compound[],
  seed: number,
  level: Level,
): MixtureExercise | null {
  const { uniform, normal } = randomSource(seed)
  const near = (one: Compound) =>
    [...compounds]
      .filter(({ meltHighC }) => Math.abs(meltHighC - one.meltHighC) <= SPAN_C[level])
      .sort((p, q) => Math.abs(p.meltHighC - one.meltHighC) - Math.abs(q.meltHighC - one.meltHighC))
  const possible = compounds.filter((one) => near(one).length >= COUNT)
  const answer = possible[Math.floor(uniform() * possible.length)]
  if (!answer) return null
  const chosen = near(answer)
    .slice(0, COUNT)
    .sort((p, q) => p.name.localeCompare(q.name, 'en'))
  const top = answer.meltHighC + UNCHECKED_C * normal()
  return {
    seed,
    level,
    candidates: chosen.map((one) => ({
      id: one.id,
      name: one.name,
      meltLowC: one.meltLowC,
      meltHighC: one.meltHighC,
      fusion: fusionOf(one),
    })),
    answer: answer.id,
    unknown: ordered(top - 0.8 + SCATTER_C * normal(), top + 0.2 + SCATTER_C * normal()),
  }
}

const tenth = (c: number) => Math.round(10 * c) / 10
function ordered(onsetC: number, clearC: number): MeltingRange {
  return { onsetC: tenth(Math.min(onsetC, clearC)), clearC: tenth(Math.max(onsetC, clearC)) }
}

/** Equal masses of the unknown and a candidate, ground and melted: the same pair the same range, °C. */
export function mixtureRun(
  { candidates, answer, unknown, seed }: MixtureExercise,
  reference: string,
): MixtureRun {
  const [is, other] = [answer, reference].map((id) => candidates.find((one) => one.id === id))
  if (!is || !other) throw new Error(`“${reference}” is not on the list.`)
  const { normal } = randomSource(seed ^ ((1 + candidates.indexOf(other)) * 7919))
  const scatter = () => SCATTER_C * normal()
  if (is.id === other.id)
    return {
      reference: other,
      ...ordered(unknown.onsetC + scatter(), unknown.clearC + scatter()),
    }
  const x = moleFractionFromMassFraction(0.5, is.fusion.molarMassGPerMol, other.fusion.molarMassGPerMol)
  const range = meltingRange(is.fusion, other.fusion, x)
  return { reference: other, ...ordered(range.onsetC + scatter(), range.clearC + scatter()) }
}

/** What the runs so far say of the candidates, likeliest first. */
export function rankedAfter(
  { candidates, unknown }: MixtureExercise,
  runs: readonly MixtureRun[],
): readonly Ranked[] {
  return [...rankCandidates({ unknown, candidates, mixtures: runs, options: OPTIONS })].sort(
    (p, q) => q.probability - p.probability,
  )
}

/** The planner’s own way: the mixtures it would have made until it was sure. */
export function plannersRuns(exercise: MixtureExercise): readonly MixtureRun[] {
  const runs: MixtureRun[] = []
  const { candidates, unknown } = exercise
  while (runs.length < RUNS_MOST && (rankedAfter(exercise, runs)[0]?.probability ?? 0) < SURE) {
    const [next] = nextMixture({
      unknown,
      candidates,
      mixtures: runs,
      references: candidates.filter(({ id }) => !runs.some(({ reference }) => reference.id === id)),
      options: OPTIONS,
    })
    if (!next) break
    runs.push(mixtureRun(exercise, next.reference))
  }
  return runs
}

/** The naming, and the runs it took, against the planner’s. */
export function scoreMixture(
  exercise: MixtureExercise,
  runs: readonly MixtureRun[],
  named: string,
  planner: readonly MixtureRun[],
): Score {
  const nameOf = (id: string) => exercise.candidates.find((one) => one.id === id)?.name ?? id
  const isRight = named === exercise.answer
  const isQuick = runs.length <= Math.max(1, planner.length)
  const sure = rankedAfter(exercise, runs).find(({ id }) => id === named)?.probability ?? 0
  const canBeSure = rankedAfter(exercise, planner)[0]?.probability ?? 0
  const isShown = sure >= Math.min(SHOWN, canBeSure)
  const [first] = planner
  const wayOfPlanner = first
    ? `The planner mixes with ${nameOf(first.reference.id)} first: ${apart(exercise, first.reference.id)}.`
    : 'The planner needs no mixture: the range alone tells them apart.'
  return {
    isGood: isRight && isQuick && isShown,
    share: !isRight
      ? 0
      : !isShown
        ? LUCK_SHARE
        : isQuick
          ? 1
          : Math.max(0.5, 1 - 0.15 * (runs.length - planner.length)),
    sentence: !isRight
      ? `It is ${nameOf(exercise.answer)}. ${
          runs.length === 0
            ? 'Without a mixture the range alone names nothing that melts alike.'
            : `After your runs ${nameOf(named)} stood at ${(100 * sure).toFixed(0)} %: one more would have told.`
        }`
      : !isShown
        ? `Right, but a guess: ${runs.length === 0 ? 'with no mixture it was' : 'your runs made it'} ${(100 * sure).toFixed(0)} % sure. ${wayOfPlanner}`
        : !isQuick
          ? `Right, in ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}. ${wayOfPlanner}`
          : `Right, in ${runs.length} ${runs.length === 1 ? 'run' : 'runs'}, and as sure as a mixture makes it.`,
    compared: [
      { what: 'the unknown', you: nameOf(named), was: nameOf(exercise.answer), isRight },
      {
        what: 'mixed melts',
        you: `${runs.length}`,
        was: `${planner.length}`,
        isRight: isQuick && isShown && isRight,
      },
    ],
  }
}

/** Why a mixture tells: over how many degrees its clear points would lie, candidate by candidate. */
function apart(exercise: MixtureExercise, reference: string): string {
  const clear = exercise.candidates.map(({ id }) => mixtureRun({ ...exercise, answer: id }, reference).clearC)
  return `with it the six would clear anywhere over ${(Math.max(...clear) - Math.min(...clear)).toFixed(0)} °C`
}
