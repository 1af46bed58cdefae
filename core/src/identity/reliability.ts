import { type RandomSource, randomSource } from '../math/random'
import { celsius, GAS_CONSTANT, kelvin } from '../melting/kelvin'
import type { Fusion } from '../melting/liquidus'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { ImpossibleInput } from '../problems'
import { type Candidate, type MixtureRun, type RankOptions, RANK_OPTIONS } from './likelihood'
import { nextMixture } from './nextMixture'
import { rankCandidates } from './rankCandidates'

/** How unknowns drawn from a list would fare. */
export interface Reliability {
  readonly benches: number
  /** Named rightly, “not on the list” among them. */
  readonly right: number
  readonly wrong: number
  /** Left open when no mixture would tell more. */
  readonly undecided: number
  readonly unlisted: { readonly benches: number; readonly recognised: number }
  /** Mixtures melted, on average. */
  readonly runs: number
  /** Pairs that were still the likeliest two after a first mixture, or were taken for each other: the most often first. */
  readonly hardPairs: readonly { readonly a: string; readonly b: string; readonly times: number }[]
}

/** How the next mixture is chosen: by what it would tell, or the nearest melting one first. */
type Strategy = 'most informative' | 'nearest first'

export interface ReliabilityInput {
  readonly candidates: readonly Candidate[]
  readonly benches: number
  readonly seed: number
  readonly strategy?: Strategy
  readonly options?: Partial<RankOptions>
}

/*
 * The simulated bench knows nothing of how the ranking reasons: a regular solution of its own strength for every pair,
 * a few pairs that mix as crystals do, literature that is a little off, impure unknowns, a thermometer that is off
 * alike in one run, marks with their error, and mishaps. Typical values, shown as such.
 */
const UNLISTED_SHARE = 0.1
/** Interaction of a pair in the melt, kJ/mol: with these the clear point misses the ideal one by about 6.6 °C (sd). */
const INTERACTION_MEAN_KJ = 0.3
const INTERACTION_SD_KJ = 1.9
const NO_DEPRESSION_CHANCE = 0.012
const MISHAP_CHANCE = 0.01
const MISHAP_BELOW_C = 35
const MISHAP_SPAN_C = 45
const LITERATURE_SD_C = 0.5
const THERMOMETER_SD_C = 0.5
const MARK_SD_C = 0.3
const IMPURITY_MOST = 0.03
/** An unlisted compound melts within so much of a listed one, °C. */
const UNLISTED_NEAR_C = 6
/** Sure enough to sign. */
const SURE = 0.98

/**
 * Runs a list through simulated benches: how often the ranking would name an unknown rightly, wrongly or not at all,
 * with how many mixtures, and which pairs are hard. Yields after each bench, so that a worker can tell how far it is.
 *
 * @param input the list; benches, seed; which strategy chooses the next mixture
 * @throws ImpossibleInput on fewer than two candidates
 */
export function* reliabilityOf(input: ReliabilityInput): Generator<number, Reliability> {
  const { candidates, benches } = input
  if (candidates.length < 2)
    throw new ImpossibleInput('too-few-samples', 'A list of two compounds at least is needed.')
  const pairs = new Map<string, number>()
  const tally = { right: 0, wrong: 0, undecided: 0, runs: 0, unlisted: 0, recognised: 0 }
  for (let bench = 0; bench < benches; bench++) {
    // Each bench has dice of its own: both strategies meet the same unknowns.
    const dice = randomSource((input.seed + Math.imul(bench + 1, 0x9e3779b1)) | 0)
    const { truth, answer, runs, lingering } = oneBench(input, dice)
    const isRight = answer === truth
    tally.runs += runs
    if (answer === undefined) tally.undecided++
    else if (isRight) tally.right++
    else tally.wrong++
    if (truth === null) {
      tally.unlisted++
      if (isRight) tally.recognised++
    }
    for (const pair of lingering) pairs.set(pair, (pairs.get(pair) ?? 0) + 1)
    yield bench + 1
  }
  return {
    benches,
    right: tally.right,
    wrong: tally.wrong,
    undecided: tally.undecided,
    unlisted: { benches: tally.unlisted, recognised: tally.recognised },
    runs: benches > 0 ? tally.runs / benches : 0,
    hardPairs: [...pairs]
      .sort((p, q) => q[1] - p[1])
      .map(([key, times]) => {
        const [a = '', b = ''] = key.split('\n')
        return { a, b, times }
      }),
  }
}

interface Bench {
  readonly truth: string | null
  /** null: not on the list; undefined: left open. */
  readonly answer: string | null | undefined
  readonly runs: number
  /** The likeliest two, each time a further mixture was needed. */
  readonly lingering: readonly string[]
}

function oneBench(
  { candidates, options, strategy = 'most informative' }: ReliabilityInput,
  dice: RandomSource,
): Bench {
  const listed = candidates.map((one) => ({
    ...one,
    trueC: one.meltHighC - 0.5 + LITERATURE_SD_C * dice.normal(),
  }))
  const isUnlisted = dice.uniform() < UNLISTED_SHARE
  const drawn = listed[Math.floor(dice.uniform() * listed.length)] as (typeof listed)[number]
  const truth = isUnlisted ? strangerNear(drawn, dice) : drawn
  const offC = THERMOMETER_SD_C * dice.normal()
  const read = (trueC: number) => trueC + offC + MARK_SD_C * dice.normal()
  const impurity = IMPURITY_MOST * dice.uniform() ** 2
  const impureC = regularLiquidusC(fusionAt(truth, truth.trueC), 1 - impurity, 0)
  const unknown = rangeOf(read(impureC), impurity, dice)
  const mixtures: MixtureRun[] = []
  const lingering: string[] = []
  // A pair mixes as it mixes, however often it is ground.
  const interactions = new Map<string, { readonly interactionKJ: number; readonly hasNone: boolean }>()
  const interaction = (id: string) => {
    const known = interactions.get(id) ?? {
      interactionKJ: INTERACTION_MEAN_KJ + INTERACTION_SD_KJ * dice.normal(),
      hasNone: dice.uniform() < NO_DEPRESSION_CHANCE,
    }
    interactions.set(id, known)
    return known
  }
  const known = { unknown, candidates, options: { ...RANK_OPTIONS, ...options } }
  const byCloseness = [...listed].sort(
    (p, q) => Math.abs(p.meltHighC - unknown.clearC) - Math.abs(q.meltHighC - unknown.clearC),
  )
  const most = candidates.length + 3
  for (;;) {
    const ranked = rankCandidates({ ...known, mixtures })
    const [best, second] = [...ranked].sort((p, q) => q.probability - p.probability)
    const mixedWithBest = mixtures.some(({ reference }) => reference.id === best?.id)
    const isSure = (best?.probability ?? 0) >= SURE && (best?.id === null || mixedWithBest)
    const done = strategy === 'nearest first' ? nearestDone(mixtures, unknown) : isSure ? best?.id : undefined
    const wanted =
      done !== undefined
        ? undefined
        : strategy === 'nearest first'
          ? byCloseness[mixtures.length]?.id
          : nextMixture({ ...known, mixtures, references: candidates })[0]?.reference
    const reference = listed.find(({ id }) => id === wanted)
    if (done !== undefined || !reference || mixtures.length >= most) {
      const last = strategy === 'nearest first' ? null : isSure ? best?.id : undefined
      const answer = done === undefined ? last : done
      return { truth: isUnlisted ? null : drawn.id, answer, runs: mixtures.length, lingering }
    }
    if (mixtures.length > 0 && best?.id && second?.id) lingering.push([best.id, second.id].sort().join('\n'))
    mixtures.push(melted(truth, isUnlisted, reference, impurity, read, interaction, dice))
  }
}

/** Tested in order of closeness, the first mixture that is not lower is taken for the same. */
function nearestDone(
  mixtures: readonly MixtureRun[],
  unknown: { readonly clearC: number },
): string | undefined {
  const last = mixtures[mixtures.length - 1]
  return last && last.clearC > unknown.clearC - 2 ? last.reference.id : undefined
}

interface Compound extends Candidate {
  readonly trueC: number
}

/** A compound nobody listed: it melts near a listed one and mixes as its own enthalpy and molar mass have it. */
function strangerNear({ trueC }: Compound, { uniform }: RandomSource): Compound {
  const meltingPointC = trueC + UNLISTED_NEAR_C * (2 * uniform() - 1)
  return {
    id: 'a compound nobody listed',
    meltLowC: meltingPointC - 1,
    meltHighC: meltingPointC,
    trueC: meltingPointC,
    fusion: {
      meltingPointC,
      enthalpyKJPerMol: 15 + 20 * uniform(),
      molarMassGPerMol: 110 + 150 * uniform(),
    },
  }
}

/** One mixture melted beside its reference, in equal masses as the eye takes them. */
function melted(
  truth: Compound,
  isUnlisted: boolean,
  reference: Compound,
  impurity: number,
  read: (trueC: number) => number,
  interaction: (id: string) => { readonly interactionKJ: number; readonly hasNone: boolean },
  { uniform, normal }: RandomSource,
): MixtureRun {
  const referenceClearC = read(reference.trueC)
  const isSame = !isUnlisted && truth.id === reference.id
  const { interactionKJ, hasNone } = interaction(reference.id)
  const undepressed = isSame || hasNone
  const share = Math.min(0.9, Math.max(0.1, 0.5 + 0.07 * normal()))
  const clearC = undepressed
    ? regularLiquidusC(fusionAt(truth, (truth.trueC + reference.trueC) / 2), 1 - impurity / 2, 0)
    : pairClearC(truth, reference, share, interactionKJ)
  // Tubes swapped, a wrong jar, a tube that fell apart: anything may be read.
  const isMishap = uniform() < MISHAP_CHANCE
  const readC = read(isMishap ? truth.trueC - MISHAP_BELOW_C + MISHAP_SPAN_C * uniform() : clearC)
  return {
    reference,
    onsetC: readC - (undepressed ? 1 : 6 + 8 * uniform()),
    clearC: readC,
    referenceClearC,
    massFractionUnknown: 0.5,
  }
}

function rangeOf(clearC: number, impurity: number, { uniform }: RandomSource) {
  return { onsetC: clearC - 0.6 - 80 * impurity * (0.5 + uniform()), clearC }
}

function fusionAt({ fusion }: Compound, meltingPointC: number): Fusion {
  return { ...fusion, meltingPointC }
}

function pairClearC(a: Compound, b: Compound, massFractionA: number, interactionKJ: number): number {
  const x = moleFractionFromMassFraction(massFractionA, a.fusion.molarMassGPerMol, b.fusion.molarMassGPerMol)
  return Math.max(
    regularLiquidusC(fusionAt(a, a.trueC), x, interactionKJ),
    regularLiquidusC(fusionAt(b, b.trueC), 1 - x, interactionKJ),
  )
}

/** Where the last crystal goes, with ln γ = w(1 − x)²/RT: the ideal relation and one term more, in closed form. */
function regularLiquidusC(
  { meltingPointC, enthalpyKJPerMol }: Fusion,
  x: number,
  interactionKJ: number,
): number {
  const meltingK = kelvin(meltingPointC)
  const [enthalpy, interaction] = [1000 * enthalpyKJPerMol, 1000 * interactionKJ]
  // ΔH(1 − T/Tm) + RT ln x + w(1 − x)² = 0 solved for T.
  return celsius((enthalpy + interaction * (1 - x) ** 2) / (enthalpy / meltingK - GAS_CONSTANT * Math.log(x)))
}
