import { type MeltingRange, VISIBLE_LIQUID_FRACTION } from '../melting/meltingRange'
import { type Fusion, liquidusC, requireFusion, waldenFusionEnthalpy } from '../melting/liquidus'
import { requireRange } from '../heating/observedRange'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { ImpossibleInput, requireFraction } from '../problems'
import { logDepressed, normalDensity } from '../math/normal'

export interface Candidate {
  readonly id: string
  readonly meltLowC: number
  readonly meltHighC: number
  readonly fusion: Fusion
}
export interface MixtureRun extends MeltingRange {
  readonly reference: Candidate
  readonly referenceClearC?: number
  readonly massFractionUnknown?: number
  /** The clear point as the thermometer gave it, digit for digit; absent where it is held against nothing else. */
  readonly readClear?: string
}
export interface RankOptions {
  readonly sigmaC: number
  readonly depressionMeanC: number
  readonly mixtureSigmaC: number
  readonly undepressedSigmaC: number
  readonly noDepressionChance: number
  readonly mishapChance: number
  readonly mishapSpanC: number
  readonly unlistedPrior: number
  readonly unlistedSpanC: number
  readonly visibleLiquidFraction: number
}
export interface IdentityInput {
  readonly unknown: MeltingRange
  readonly candidates: readonly Candidate[]
  readonly mixtures: readonly MixtureRun[]
  readonly options?: Partial<RankOptions>
}

/** What the ranking takes for granted; each is shown where its result is. */
export const RANK_OPTIONS: RankOptions = {
  sigmaC: 1,
  depressionMeanC: 0.3,
  mixtureSigmaC: 6.5,
  undepressedSigmaC: 1,
  noDepressionChance: 0.015,
  mishapChance: 0.01,
  mishapSpanC: 60,
  unlistedPrior: 0.1,
  unlistedSpanC: 20,
  visibleLiquidFraction: VISIBLE_LIQUID_FRACTION['distinct drop'],
}

/** Equal masses, unless the mixture says otherwise. */
const HALF = 0.5

/** What a mixed melt tells of: which reference, in what proportion, and what else is known of it. */
export type Mixing = Pick<MixtureRun, 'reference' | 'referenceClearC' | 'massFractionUnknown'>

export function optionsOf({ options }: Pick<IdentityInput, 'options'>): RankOptions {
  return { ...RANK_OPTIONS, ...options }
}

/** @throws ImpossibleInput on an inverted range, a candidate twice or one whose ends are swapped, or chances that are none */
export function requireIdentity(input: IdentityInput): void {
  requireRange(input.unknown)
  requireOptions(optionsOf(input))
  const seen = new Set<string>()
  for (const { id, meltLowC, meltHighC, fusion } of input.candidates) {
    if (seen.has(id)) throw new ImpossibleInput('candidate-twice', `“${id}” is on the list twice.`)
    seen.add(id)
    if (!(meltLowC <= meltHighC))
      throw new ImpossibleInput('range-inverted', `The literature range of “${id}” runs backwards.`)
    requireFusion(fusion)
  }
  for (const mixture of input.mixtures) {
    requireRange(mixture)
    requireFusion(mixture.reference.fusion)
    requireFraction(mixture.massFractionUnknown ?? HALF, 'The share of the unknown in the mixture')
  }
}

function requireOptions(options: RankOptions): void {
  for (const key of [
    'sigmaC',
    'depressionMeanC',
    'mixtureSigmaC',
    'undepressedSigmaC',
    'mishapSpanC',
  ] as const)
    if (!(options[key] > 0)) throw new ImpossibleInput('bad-options', `“${key}” must be above zero.`)
  for (const key of ['noDepressionChance', 'mishapChance', 'unlistedPrior'] as const)
    requireFraction(options[key], `“${key}”`)
  if (options.noDepressionChance + options.mishapChance > 1)
    throw new ImpossibleInput('bad-options', 'The chances of no depression and of a mishap exceed 1.')
}

/**
 * Logarithm of the density of the unknown's own range, if it is this candidate; null: not on the list, which is drawn
 * around the unknown. An impurity lowers a clear point about as the width says: by the share of it that the onset's
 * mark stands for.
 */
export function logAlone(unknown: MeltingRange, candidate: Candidate | null, options: RankOptions): number {
  if (!candidate) return -Math.log(options.unlistedSpanC)
  return logDepressed(
    undepressedClearC(unknown, options) - candidate.meltHighC,
    options.depressionMeanC,
    options.sigmaC,
  )
}

/** Where the unknown would be all liquid without what its width shows, °C. */
function undepressedClearC(
  { onsetC, clearC }: MeltingRange,
  { visibleLiquidFraction }: Pick<RankOptions, 'visibleLiquidFraction'>,
): number {
  return clearC + visibleLiquidFraction * (clearC - onsetC)
}

/** What a compound nobody listed might mix like: those on the list, each melting where the unknown does. */
export function unlistedPartners(
  { unknown, candidates }: Pick<IdentityInput, 'unknown' | 'candidates'>,
  reference: Pick<Candidate, 'id' | 'fusion'>,
): readonly Fusion[] {
  const others = candidates.filter(({ id }) => id !== reference.id)
  return others.length === 0
    ? [unlistedFusion(unknown, reference.fusion)]
    : others.map(({ fusion }) => ({ ...fusion, meltingPointC: unknown.clearC }))
}

/**
 * Where the mixture's last crystal would melt if the unknown is this candidate.
 *
 * @returns °C; the midpoint of the two clear points when candidate and reference are the same
 */
function mixtureClearC(
  known: Pick<IdentityInput, 'unknown' | 'candidates'>,
  candidate: Candidate | null,
  mixing: Mixing,
): number {
  if (candidate?.id === mixing.reference.id) return undepressedC(known.unknown, mixing)
  const partners = candidate ? [candidate.fusion] : unlistedPartners(known, mixing.reference)
  return partners.reduce((sum, partner) => sum + clearWithC(partner, mixing), 0) / partners.length
}

function clearWithC(partner: Fusion, mixing: Mixing): number {
  const { reference } = mixing
  const x = moleFractionFromMassFraction(
    mixing.massFractionUnknown ?? HALF,
    partner.molarMassGPerMol,
    reference.fusion.molarMassGPerMol,
  )
  // Whichever solid is in excess melts last: the higher of the two liquidus lines.
  return Math.max(
    x > 0 ? liquidusC(partner, x) : -Infinity,
    x < 1 ? liquidusC(reference.fusion, 1 - x) : -Infinity,
  )
}

/** Mixing in the pure compound itself halves the unknown’s impurity: half way between the two clear points. */
function undepressedC(unknown: MeltingRange, { reference, referenceClearC }: Mixing): number {
  return (unknown.clearC + (referenceClearC ?? reference.meltHighC)) / 2
}

/** Nothing listed to go by: a compound that melts where the unknown does, with Walden's enthalpy and the reference's molar mass. */
export function unlistedFusion(
  unknown: Pick<MeltingRange, 'clearC'>,
  reference: Pick<Fusion, 'molarMassGPerMol'>,
): Fusion {
  return {
    meltingPointC: unknown.clearC,
    enthalpyKJPerMol: waldenFusionEnthalpy(unknown.clearC),
    molarMassGPerMol: reference.molarMassGPerMol,
  }
}

/** Density of a mixture's clear point, if the unknown is this candidate; from what `mixtureClearC` expects. */
export function mixtureDensity(
  clearC: number,
  expected: { readonly isSame: boolean; readonly clearC: number; readonly undepressedC: number },
  options: RankOptions,
): number {
  const { noDepressionChance, mishapChance, mishapSpanC } = options
  const undepressed = normalDensity(clearC, expected.undepressedC, options.undepressedSigmaC * Math.SQRT2)
  const mishap = mishapChance / mishapSpanC
  if (expected.isSame) return (1 - mishapChance) * undepressed + mishap
  const depressed = normalDensity(clearC, expected.clearC, options.mixtureSigmaC)
  return (1 - noDepressionChance - mishapChance) * depressed + noDepressionChance * undepressed + mishap
}

/** What a candidate expects of one mixture. */
export function expectationOf(
  known: Pick<IdentityInput, 'unknown' | 'candidates'>,
  candidate: Candidate | null,
  mixing: Mixing,
) {
  return {
    isSame: candidate?.id === mixing.reference.id,
    clearC: mixtureClearC(known, candidate, mixing),
    undepressedC: undepressedC(known.unknown, mixing),
  }
}
