import type { Conventions } from '../src/conventions/conventions'
import { SCHOOLS } from '../src/conventions/schools'
import type { Judgement } from '../src/judging/judgement'
import { type Fusion, waldenFusionEnthalpy } from '../src/melting/liquidus'
import type { MeltingRange } from '../src/melting/meltingRange'
import { fusionOf } from '../src/substances/fusionOf'
import type { Compound } from '../src/substances/shelf'
import { SIMULATED_INSTRUMENTS } from '../src/instruments/shipped'
import { airMinutesFor } from '../src/weighing/airDrying'
import { normalOf, one, randomOf } from './random'
import { madeNotebook, type MadeTube } from './madeNotebook'
import { holding } from './madeTubes'
import { referenceCompound } from './reference'

/**
 * Situations whose truth is known: a compound, an impurity, wetness, rate, fill, thermometer, instrument and school
 * drawn by a seed, melted in the simulated tube, marked by an eye, written line by line into a notebook, and judged as
 * the notebook is judged. Whoever follows its first advice does so honestly, with a sample that is what it is.
 */
export interface MadeCase {
  readonly seed: number
  readonly compound: string
  readonly other: string
  /** Whether the plan names it. */
  readonly isOtherKnown: boolean
  /** Of what melts, as a mole fraction. */
  readonly impurity: number
  /** Of the crude beside it; null where none was melted. */
  readonly crudeImpurity: number | null
  /** Solvent left, as a mole fraction of what melts. */
  readonly wet: number
  readonly school: string
  readonly isByEye: boolean
  /** null: as the plan has it. */
  readonly rateCPerMin: number | null
  readonly fillMm: number
  readonly grain: 'fine' | 'coarse'
  readonly lateC: number
  /** What the thermometer reads too high, °C, and whether anybody knows. */
  readonly offC: number
  readonly isChecked: boolean
}
/** How a case went. */
export interface MadeOutcome {
  readonly made: MadeCase
  readonly first: Judgement
  readonly last: Judgement
  readonly reading: MeltingRange | null
  readonly word: 'right' | 'defensible' | 'wrong'
  readonly advice: 'nearer' | 'sideways' | 'away'
  /** Runs until the verdict was one that is signed, itself counted; null where five did not do. */
  readonly runs: number | null
  /** What was advised first after each run. */
  readonly steps: readonly string[]
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
/** From how much impurity on a sample is not pure, and from how much it is impure, as a mole fraction. */
const TRUE_FROM = { slight: 0.005, impure: 0.02 } as const
/** Solvent left in crystals, as a mole fraction, and its melting point, °C. */
const SOLVENT = { least: 0.03, most: 0.12, meltingPointC: -60, molarMassGPerMol: 46, boilsC: 78 } as const
const RUNS_MOST = 5

function schoolNamed(name: string): Conventions {
  return SCHOOLS.find((school) => school.name === name) ?? (SCHOOLS[0] as Conventions)
}

export function madeCase(seed: number): MadeCase {
  const random = randomOf(seed)
  const sort = random()
  const impurity =
    sort < 0.4 ? 0.003 * random() : sort < 0.6 ? 0.005 + 0.015 * random() : 0.03 + 0.12 * random()
  const compound = one(random, COMPOUNDS)
  const others = COMPOUNDS.filter((name) => name !== compound)
  const school = random() < 0.5 ? (SCHOOLS[0] as Conventions) : one(random, SCHOOLS)
  return {
    seed,
    compound,
    other: one(random, others),
    isOtherKnown: random() < 0.4,
    impurity,
    crudeImpurity: random() < 0.4 ? Math.min(0.25, 2 * impurity + 0.05 + 0.1 * random()) : null,
    wet: random() < 0.15 ? SOLVENT.least + (SOLVENT.most - SOLVENT.least) * random() : 0,
    school: school.name,
    isByEye: random() < 0.3,
    rateCPerMin: random() < 0.75 ? null : one(random, [2, 2, 5, 8]),
    fillMm: one(random, [2, 2, 2, 3, 3, 6]),
    grain: random() < 0.12 ? 'coarse' : 'fine',
    lateC: random() < 0.06 ? 6 + 6 * random() : 0,
    offC: 0.7 * normalOf(random)(),
    isChecked: random() < 0.5,
  }
}

/** How good a verdict is, beside what is true. */
function wordOf(verdict: Judgement['verdict'], { impurity, wet }: MadeCase): MadeOutcome['word'] {
  if (verdict === 'not this compound') return 'wrong'
  if (verdict === 'cannot tell') return 'defensible'
  const good = impurity < TRUE_FROM.slight ? 0 : impurity < TRUE_FROM.impure ? 1 : 2
  const rank = ['consistent with pure', 'nearly pure', 'impure'].indexOf(verdict)
  // A damp tube called impure is wrong, however true in part.
  if (wet > 0 && good === 0 && rank === 2) return 'wrong'
  const apart = Math.abs(rank - good)
  return apart === 0 ? 'right' : apart === 1 ? 'defensible' : 'wrong'
}

function pureOf(compound: Compound): Fusion {
  return { ...fusionOf(compound), meltingPointC: (compound.meltLowC + compound.meltHighC) / 2 }
}

/** Plays one case: judged, and the first advice followed until there is a verdict. */
export function playCase(made: MadeCase): MadeOutcome {
  const random = randomOf(made.seed + 7_000_000)
  const compound = referenceCompound(made.compound)
  const [pure, other] = [pureOf(compound), pureOf(referenceCompound(made.other))]
  const solvent: Fusion = {
    meltingPointC: SOLVENT.meltingPointC,
    enthalpyKJPerMol: waldenFusionEnthalpy(SOLVENT.meltingPointC),
    molarMassGPerMol: SOLVENT.molarMassGPerMol,
  }
  const conventions = schoolNamed(made.school)
  const instrument = SIMULATED_INSTRUMENTS.find(({ id }) => (id as string) === 'programmable-block')
  if (!instrument) throw new Error('no programmable block')
  const bench = madeNotebook({
    compound,
    impurity: made.isOtherKnown ? referenceCompound(made.other) : null,
    conventions,
    instrument,
    offC: made.offC,
    random,
    normal: normalOf(random),
  })
  if (made.isChecked) bench.checkThermometer()
  let { wet } = made
  bench.dry(wet > 0 ? 5 : airMinutesFor(SOLVENT.boilsC))
  let how = { rateCPerMin: made.rateCPerMin, isByEye: made.isByEye, lateC: made.lateC }
  let packed: Pick<MadeTube, 'fillMm' | 'grain'> = { fillMm: made.fillMm, grain: made.grain }
  const product = (): MadeTube => ({
    ...packed,
    sample: bench.product,
    label: 'product',
    holds: wet > made.impurity ? holding(pure, solvent, wet) : holding(pure, other, made.impurity),
  })
  const careful = { fillMm: conventions.fillMm[0], grain: 'fine' as const }
  const authentic = (): MadeTube => ({
    ...careful,
    sample: bench.authentic(),
    label: 'authentic',
    holds: holding(pure, other, 0.001),
  })
  const mixture = (): MadeTube => ({
    ...careful,
    sample: bench.grind(),
    label: 'mixture',
    holds: holding(pure, other, made.impurity / 2 + 0.0005),
  })
  const crude: readonly MadeTube[] =
    made.crudeImpurity === null
      ? []
      : [{ ...packed, sample: bench.crude, label: 'crude', holds: holding(pure, other, made.crudeImpurity) }]
  const startedMin = bench.minutes()
  bench.melt([...crude, product()], how)
  const first = bench.judged()
  let judged = first
  let seed = 1
  const steps = [first.judgement.actions[0]?.code ?? '']
  while (judged.judgement.verdict === 'cannot tell' && seed < RUNS_MOST) {
    seed += 1
    switch (judged.judgement.actions[0]?.code) {
      case 'repeat slower':
        how = { ...how, rateCPerMin: null, lateC: 0 }
        packed = careful
        bench.melt([product()], how)
        break
      case 'repeat with less, finer':
        packed = careful
        bench.melt([product()], how)
        break
      case 'new tube, put in late':
        how = { ...how, lateC: 0 }
        bench.melt([product()], how)
        break
      case 'dry and repeat':
        bench.dry(airMinutesFor(SOLVENT.boilsC))
        wet = 0
        bench.melt([product()], how)
        break
      case 'check the thermometer':
        bench.checkThermometer()
        bench.melt([product()], how)
        break
      case 'mixed melt':
      case 'grind again and repeat the mixture':
        how = { ...how, rateCPerMin: null, lateC: 0 }
        packed = careful
        bench.melt([product(), authentic(), mixture()], how)
        break
      case 'melt beside authentic':
        how = { ...how, rateCPerMin: null, lateC: 0 }
        packed = careful
        bench.melt([product(), authentic()], how)
        break
      default:
        bench.melt([product()], how)
    }
    judged = bench.judged()
    steps.push(judged.judgement.actions[0]?.code ?? '')
  }
  const isTold = judged.judgement.verdict !== 'cannot tell'
  return {
    made,
    first: first.judgement,
    last: judged.judgement,
    reading: first.evidence?.reading ?? null,
    word: wordOf(first.judgement.verdict, made),
    advice: adviceOf(first.judgement, judged.judgement, made),
    runs: isTold ? seed : null,
    steps,
    minutes: bench.minutes() - startedMin,
  }
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
  return wordOf(last.verdict, { ...made, wet: 0 }) === 'wrong' ? 'away' : 'nearer'
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
  readonly medianRuns: number
  readonly percentile95Runs: number
  readonly medianMin: number
  readonly worst: readonly MadeOutcome[]
}

/** So many seeded cases, counted. */
export function madeTable(cases: number, fromSeed = 1, worst = 10): MadeTable {
  const played = Array.from({ length: cases }, (_, i) => playCase(madeCase(fromSeed + i)))
  const count = (is: (outcome: MadeOutcome) => boolean) => played.filter(is).length
  const sorted = (of: (outcome: MadeOutcome) => number) => played.map(of).sort((p, q) => p - q)
  const minutes = sorted((outcome) => outcome.minutes)
  const runs = sorted((outcome) => outcome.runs ?? Infinity)
  return {
    cases,
    right: count(({ word }) => word === 'right'),
    defensible: count(({ word }) => word === 'defensible'),
    wrong: count(({ word }) => word === 'wrong'),
    nearer: count(({ advice }) => advice === 'nearer'),
    sideways: count(({ advice }) => advice === 'sideways'),
    away: count(({ advice }) => advice === 'away'),
    runs: {
      '1': count((outcome) => outcome.runs === 1),
      '2': count((outcome) => outcome.runs === 2),
      '3': count((outcome) => outcome.runs === 3),
      '4 or 5': count((outcome) => outcome.runs !== null && outcome.runs > 3),
      never: count((outcome) => outcome.runs === null),
    },
    medianRuns: runs[Math.floor(cases / 2)] ?? 0,
    percentile95Runs: runs[Math.floor(0.95 * cases)] ?? 0,
    medianMin: minutes[Math.floor(minutes.length / 2)] ?? 0,
    worst: played
      .filter((outcome) => outcome.word === 'wrong' || outcome.advice === 'away' || outcome.runs === null)
      .slice(0, worst),
  }
}
