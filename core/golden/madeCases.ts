import {
  DEFAULT_HOUSE_RULES,
  eutectic,
  type Fusion,
  fusionOf,
  judgeRange,
  type Judgement,
  type MeltingRange,
  type RangeEvidence,
  waldenFusionEnthalpy,
} from '../src/index'
import { nextNormal, nextRandom } from '../src/math/random'
import { createTube, look, putIn, warm } from '../src/simulator/tube'
import { referenceCompound } from './reference'

/**
 * Situations whose truth is known: a compound, an impurity, wetness, rate, fill and thermometer drawn by a seed, melted
 * in the simulated tube, read with the errors of an eye, and judged as the judge knows it. Whoever follows its first
 * advice does so honestly, with a sample that is what it is.
 */
export interface MadeCase {
  readonly seed: number
  readonly compound: string
  /** Of what melts, as a mole fraction. */
  readonly impurity: number
  readonly isWet: boolean
  readonly rateCPerMin: number
  readonly fillMm: number
  readonly grain: 'fine' | 'coarse'
  /** What the thermometer reads too high, °C, and whether anybody knows. */
  readonly offC: number
  readonly isChecked: boolean
}
/** How a case went. */
export interface MadeOutcome {
  readonly made: MadeCase
  readonly first: Judgement
  readonly reading: MeltingRange
  readonly word: 'right' | 'defensible' | 'wrong'
  readonly advice: 'nearer' | 'sideways' | 'away'
  /** Runs until the verdict was one, itself counted; null where three did not do. */
  readonly runs: number | null
  readonly minutes: number
}

const COMPOUNDS = [
  'benzil',
  'benzoic-acid',
  'acetanilide',
  'salicylic-acid',
  'naphthalene',
  'adipic-acid',
  'vanillin',
  'trans-cinnamic-acid',
  'benzophenone',
  '1-4-dichlorobenzene',
  'urea',
  'anthracene',
] as const
const RULES = DEFAULT_HOUSE_RULES
/** From how much impurity on a sample is not pure, and from how much it is impure, as a mole fraction. */
const TRUE_FROM = { slight: 0.005, impure: 0.02 } as const
/** Solvent left in crystals lowers as an impurity of this much would, °C melting point of its own. */
const SOLVENT = { least: 0.03, most: 0.12, meltingPointC: -60, molarMassGPerMol: 46 } as const
const RUNS_MOST = 5

type Random = () => number
function randomOf(seed: number): Random {
  let state = seed
  return () => {
    const drawn = nextRandom(state)
    state = drawn.state
    return drawn.value
  }
}
/** About normal, of mean 0 and standard deviation 1. */
function normal(random: Random): number {
  return nextNormal(Math.floor(2 ** 31 * random())).value
}
function one<T>(random: Random, of: readonly T[]): T {
  return of[Math.floor(random() * of.length)] as T
}

export function madeCase(seed: number): MadeCase {
  const random = randomOf(seed)
  const sort = random()
  return {
    seed,
    compound: one(random, COMPOUNDS),
    impurity: sort < 0.4 ? 0.003 * random() : sort < 0.6 ? 0.005 + 0.015 * random() : 0.03 + 0.12 * random(),
    isWet: random() < 0.15,
    rateCPerMin: one(random, [1, 1, 1, 1, 2, 2, 5]),
    fillMm: one(random, [2, 2, 2, 3, 3, 6]),
    grain: random() < 0.12 ? 'coarse' : 'fine',
    offC: normal(random) * 0.7,
    isChecked: random() < 0.5,
  }
}

interface Bench extends Omit<MadeCase, 'seed' | 'compound'> {
  readonly pure: Fusion
  readonly other: Fusion
}

/** One tube melted and read: both ends as an eye marks them on this thermometer. */
function melted(bench: Bench, random: Random): { readonly range: MeltingRange; readonly minutes: number } {
  const { pure, other, impurity, isWet, rateCPerMin, fillMm, grain, offC } = bench
  const solvent: Fusion = {
    meltingPointC: SOLVENT.meltingPointC,
    enthalpyKJPerMol: waldenFusionEnthalpy(SOLVENT.meltingPointC),
    molarMassGPerMol: SOLVENT.molarMassGPerMol,
  }
  const wet = isWet ? SOLVENT.least + (SOLVENT.most - SOLVENT.least) * random() : 0
  const sample = {
    a: pure,
    b: wet > impurity ? solvent : impurity > 0 ? other : null,
    moleFractionA: 1 - Math.max(wet, impurity),
  }
  const lowestC = sample.b ? Math.max(-40, eutectic(pure, sample.b).temperatureC) : pure.meltingPointC
  const fromC = Math.max(
    25,
    Math.min(pure.meltingPointC - 15, Math.max(lowestC - 5, pure.meltingPointC - 60)),
  )
  let tube = putIn(
    createTube(sample, { fillMm, grain }, { sampleLagMin: 0.3, seed: Math.floor(1e6 * random()) }),
    25,
  )
  for (let s = 0; s < 40; s++) tube = warm(tube, fromC, 6)
  let onsetC: number | null = null
  let clearC: number | null = null
  let blockC = fromC
  // A tenth of a degree at a time, as it is read.
  const stepS = 6 / rateCPerMin
  for (let step = 0; clearC === null && blockC < pure.meltingPointC + 25; step++) {
    blockC = fromC + step / 10
    tube = warm(tube, blockC, stepS)
    const seen = look(tube)
    if (onsetC === null && seen.liquidFraction >= 0.2) onsetC = blockC
    if (seen.look === 'clear') clearC = blockC
  }
  const read = (atC: number | null) => Math.round(10 * ((atC ?? blockC) + offC + 0.3 * normal(random))) / 10
  const [onset, clear] = [read(onsetC), read(clearC)]
  return {
    range: { onsetC: Math.min(onset, clear), clearC: Math.max(onset, clear) },
    minutes: 10 + (blockC - fromC) / rateCPerMin,
  }
}

/** How good a verdict is, beside what is true. */
function wordOf(verdict: Judgement['verdict'], { impurity, isWet }: MadeCase): MadeOutcome['word'] {
  if (verdict === 'not this compound') return 'wrong'
  if (verdict === 'cannot tell') return 'defensible'
  const good = impurity < TRUE_FROM.slight ? 0 : impurity < TRUE_FROM.impure ? 1 : 2
  const said = ['consistent with pure', 'nearly pure', 'impure'].indexOf(verdict)
  // A damp tube called impure is wrong, however much of it is so.
  if (isWet && good === 0 && said === 2) return 'wrong'
  const apart = Math.abs(said - good)
  return apart === 0 ? 'right' : apart === 1 ? 'defensible' : 'wrong'
}

/** Plays one case: judged, and the first advice followed until there is a verdict. */
export function playCase(made: MadeCase): MadeOutcome {
  const random = randomOf(made.seed + 7_000_000)
  const compound = referenceCompound(made.compound)
  const own = fusionOf(compound)
  const pure = { ...own, meltingPointC: (compound.meltLowC + compound.meltHighC) / 2 }
  const other: Fusion = {
    meltingPointC: pure.meltingPointC + 25,
    enthalpyKJPerMol: waldenFusionEnthalpy(pure.meltingPointC + 25),
    molarMassGPerMol: own.molarMassGPerMol,
  }
  let bench: Bench = { ...made, pure, other }
  const tube = melted(bench, random)
  let minutes = tube.minutes
  let evidence: RangeEvidence = {
    reading: corrected(tube.range, made),
    resolutionC: 0.1,
    rateCPerMin: made.rateCPerMin,
    rateMeasured: true,
    fillMm: made.fillMm,
    grain: made.grain,
    watchedFromBelowOnsetC: 15,
    thermometer: made.isChecked
      ? { state: 'checked at another rate', errorC: 0.3, extrapolated: false }
      : { state: 'never checked', errorC: null, extrapolated: false },
    dried: made.isWet
      ? { how: 'minutes of air', minutes: 5, solventBoilsC: 78 }
      : { how: 'constant mass', minutes: null, solventBoilsC: 78 },
    signs: [],
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
    behaviour: 'melts',
    fusion: own,
    crude: null,
    authentic: null,
    mixed: null,
    plate: null,
    repeats: [],
    setAside: 0,
    impurity: null,
  }
  const first = judgeRange(evidence, RULES)
  let judged = first
  let runs: number | null = 1
  let told = 1
  while (judged.verdict === 'cannot tell' && told < RUNS_MOST) {
    const step = judged.actions[0]?.code
    told += 1
    if (step === 'repeat slower')
      bench = { ...bench, rateCPerMin: Math.min(RULES.meltRate.target, bench.rateCPerMin) }
    if (step === 'repeat slower' || step === 'repeat with less, finer')
      bench = { ...bench, fillMm: 2, grain: 'fine' }
    if (step === 'dry and repeat') bench = { ...bench, isWet: false }
    const known = step === 'check the thermometer' || evidence.thermometer.state !== 'never checked'
    if (step === 'mixed melt')
      evidence = { ...evidence, mixed: { verdict: 'same', because: 'it is the same compound' } }
    else {
      const again = melted(bench, random)
      minutes += again.minutes
      const range = corrected(again.range, { ...made, isChecked: known })
      evidence = {
        ...evidence,
        ...(step === 'repeat as it was'
          ? { repeats: [...evidence.repeats, { ...range, rateCPerMin: bench.rateCPerMin }] }
          : { reading: range, repeats: [] }),
        rateCPerMin: step === 'repeat as it was' ? evidence.rateCPerMin : bench.rateCPerMin,
        fillMm: bench.fillMm,
        grain: bench.grain,
        dried: bench.isWet ? evidence.dried : { how: 'constant mass', minutes: null, solventBoilsC: 78 },
        thermometer: known
          ? { state: 'checked at another rate', errorC: 0.3, extrapolated: false }
          : evidence.thermometer,
        authentic:
          step === 'melt beside authentic'
            ? melted({ ...bench, impurity: 0, isWet: false, offC: known ? 0 : bench.offC }, random).range
            : null,
      }
    }
    judged = judgeRange(evidence, RULES)
    runs = judged.verdict === 'cannot tell' ? null : told
  }
  return {
    made,
    first,
    reading: corrected(tube.range, made),
    word: wordOf(first.verdict, made),
    advice: adviceOf(first, judged, made),
    runs: judged.verdict === 'cannot tell' ? null : runs,
    minutes,
  }
}

/** What is read, less what the thermometer is known to be off. */
function corrected(
  range: MeltingRange,
  { isChecked, offC }: Pick<MadeCase, 'isChecked' | 'offC'>,
): MeltingRange {
  const off = isChecked ? offC : 0
  return { onsetC: range.onsetC - off, clearC: range.clearC - off }
}

/** Where the first advice leads: to the truth, nowhere, or away from it. */
function adviceOf(first: Judgement, last: Judgement, made: MadeCase): MadeOutcome['advice'] {
  const step = first.actions[0]?.code
  const isPure = made.impurity < TRUE_FROM.slight
  if (step === 'find out what it is' || step === 'hot filter') return 'away'
  if (step === 'sign') return made.impurity < TRUE_FROM.impure ? 'nearer' : 'away'
  if (step === 'recrystallize' || step === 'recrystallize from another solvent')
    return isPure ? 'away' : 'nearer'
  if (last.verdict === 'cannot tell') return 'sideways'
  return wordOf(last.verdict, { ...made, isWet: false }) === 'wrong' ? 'away' : 'nearer'
}

export interface MadeTable {
  readonly cases: number
  readonly right: number
  readonly defensible: number
  readonly wrong: number
  readonly nearer: number
  readonly sideways: number
  readonly away: number
  readonly runs: Readonly<Record<'1' | '2' | '3' | '4 or 5' | 'never', number>>
  readonly medianMin: number
  readonly worst: readonly MadeOutcome[]
}

/** So many seeded cases, counted. */
export function madeTable(cases: number, fromSeed = 1): MadeTable {
  const played = Array.from({ length: cases }, (_, i) => playCase(madeCase(fromSeed + i)))
  const count = (is: (outcome: MadeOutcome) => boolean) => played.filter(is).length
  const minutes = played.map((outcome) => outcome.minutes).sort((p, q) => p - q)
  return {
    cases,
    right: count(({ word }) => word === 'right'),
    defensible: count(({ word }) => word === 'defensible'),
    wrong: count(({ word }) => word === 'wrong'),
    nearer: count(({ advice }) => advice === 'nearer'),
    sideways: count(({ advice }) => advice === 'sideways'),
    away: count(({ advice }) => advice === 'away'),
    runs: {
      '1': count(({ runs }) => runs === 1),
      '2': count(({ runs }) => runs === 2),
      '3': count(({ runs }) => runs === 3),
      '4 or 5': count(({ runs }) => runs !== null && runs > 3),
      never: count(({ runs }) => runs === null),
    },
    medianMin: minutes[Math.floor(minutes.length / 2)] ?? 0,
    worst: played
      .filter(({ word, advice, runs }) => word === 'wrong' || advice === 'away' || runs === null)
      .slice(0, 10),
  }
}
