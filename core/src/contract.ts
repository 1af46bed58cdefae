/**
 * The contract: units, identities, ledger entries, house rules, and the signature of everything the core
 * computes. Kinds of entry are declared in `notebook/kinds.ts`; everything else in the project leans on
 * this file, so it changes with care.
 */
import type { Bodies, Kind } from './notebook/kinds'

// ── units ───────────────────────────────────────────────────────────────────────────────────────
declare const unit: unique symbol
/** A number that remembers its unit for the type checker. Plain numbers pass; two different units do not mix. */
type Unit<U extends string> = number & { readonly [unit]?: U }
export type Celsius = Unit<'°C'>
export type CelsiusPerMin = Unit<'°C/min'>
export type Gram = Unit<'g'>
export type Millilitre = Unit<'mL'>
export type Millimetre = Unit<'mm'>
export type Minute = Unit<'min'>
export type Second = Unit<'s'>
export type KJPerMol = Unit<'kJ/mol'>
export type GPerMol = Unit<'g/mol'>
export type GPer100ML = Unit<'g/100 mL'>
/** A fraction from 0 to 1. */
export type Fraction = Unit<'1'>
/** Per hundred. */
export type Percent = Unit<'%'>

// ── identities ──────────────────────────────────────────────────────────────────────────────────
declare const identity: unique symbol
type Id<T extends string> = string & { readonly [identity]: T }
/** UUIDv7; the order of entry ids is the order of truth (notebook/clock.ts). */
export type EntryId = Id<'entry'>
export type LedgerId = Id<'ledger'>
export type NotebookId = Id<'notebook'>
export type PrepId = Id<'prep'>
export type MeltId = Id<'melt'>
export type SampleId = Id<'sample'>
export type UnknownId = Id<'unknown'>
export type PlateId = Id<'plate'>
export type RunId = Id<'run'>
/** Instruments carry the bench's own short name for them, e.g. `programmable-block`. */
export type InstrumentId = Id<'instrument'>
export type SubjectId = PrepId | MeltId | SampleId | UnknownId | PlateId | InstrumentId
/** Milliseconds since 1970 UTC, on the writer's clock. */
export type EpochMs = number

// ── problems ────────────────────────────────────────────────────────────────────────────────────
export const PROBLEM_CODES = [
  'not-a-number',
  'not-a-reading',
  'decimal-comma',
  'too-fine-for-balance',
  'negative-mass',
  'nothing-weighed',
  'loaded-lighter-than-empty',
  'bad-readability',
  'bad-molar-mass',
  'bad-duration',
  'no-solubility-points',
  'bad-solubility',
  'enthalpy-needed',
  'bad-volume',
  'bad-excess',
  'cold-not-below-hot',
  'no-crystals',
  'not-miscible',
  'bad-drops',
  'unbalanced',
  'hot-solubility-zero',
  'fraction-out-of-range',
  'below-absolute-zero',
  'bad-enthalpy',
  'not-below-melting-point',
  'range-inverted',
  'bad-count',
  'bad-rate',
  'bad-fill',
  'too-few-samples',
  'one-rate-only',
  'one-dial-only',
  'bad-model',
  'bad-dial',
  'too-many-tubes',
  'no-transition',
  'unknown-command',
  'candidate-twice',
  'no-candidates',
  'bad-options',
  'bad-distance',
  'spot-above-front',
  'not-signed',
] as const
export type ProblemCode = (typeof PROBLEM_CODES)[number]

/** A value the core could compute, or the reason it could not, as a sentence for the person at the bench. */
export interface Problem {
  readonly code: ProblemCode
  readonly sentence: string
}
export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problem: Problem }

// ── readings ────────────────────────────────────────────────────────────────────────────────────
/** What was typed or sent, digit for digit, and its number: 1.80 is not 1.8. */
export interface Reading {
  readonly text: string
  readonly value: number
}
export interface Quantity {
  readonly value: number
  readonly standardUncertainty: number
}
export type Weighing =
  | { readonly method: 'tared'; readonly netG: Gram; readonly readabilityG: Gram }
  | {
      readonly method: 'difference'
      readonly emptyG: Gram
      readonly loadedG: Gram
      readonly readabilityG: Gram
    }

// ── house rules ─────────────────────────────────────────────────────────────────────────────────
export interface Conventions {
  readonly name: string
  readonly startBelowC: Celsius
  readonly meltRate: {
    readonly min: CelsiusPerMin
    readonly target: CelsiusPerMin
    readonly max: CelsiusPerMin
  }
  readonly approachRateMaxCPerMin: CelsiusPerMin
  readonly stopAboveC: Celsius
  readonly tubeIn: 'cold' | 'at start temperature'
  readonly dialUse: 'one setting, nudged' | 'stepped'
  readonly fillMm: readonly [Millimetre, Millimetre]
  readonly onsetRule: 'first wetness' | 'distinct drop'
  readonly sharpWidthC: Celsius
  readonly broadWidthC: Celsius
  readonly literatureWithinC: Celsius
  readonly repeatWithinC: Celsius
  readonly readingErrorC: Celsius
  readonly drying: { readonly atLeastMin: Minute; readonly constantMassToleranceG: Gram | null }
  readonly boilingStones: 'in both flasks' | 'in the solvent only'
  readonly crudeRange: 'before dissolving' | 'beside the product'
}

// ── the ledger ──────────────────────────────────────────────────────────────────────────────────
export interface Envelope {
  readonly id: EntryId
  /** Version of this kind's body. */
  readonly v: number
  /** The ledger it was written on. */
  readonly ledger: LedgerId
  readonly notebook: NotebookId
  readonly subject: SubjectId
  /** When the writer says it happened. */
  readonly at: EpochMs
  /** Bench code of whoever wrote it. */
  readonly author: string
  readonly device: string
}
export interface Entry<K extends Kind = Kind> extends Envelope {
  readonly kind: K
  readonly body: Bodies[K]
}
/** A line as it comes off the wire or the disk: perhaps of a kind or version this build does not know. */
export interface RawEntry extends Envelope {
  readonly kind: string
  readonly body: unknown
}
/** The union that narrows on `kind`. */
export type KnownEntry = { [K in Kind]: Entry<K> }[Kind]

/** What the server answers for each entry of a batch. */
export type Answer =
  | {
      readonly id: EntryId
      readonly outcome: 'stored'
      readonly seq: number
      readonly recordedAt: EpochMs
    }
  | { readonly id: EntryId; readonly outcome: 'duplicate'; readonly seq: number }
  | { readonly id: EntryId; readonly outcome: 'conflict' | 'refused'; readonly sentence: string }

/** An entry as the server keeps it. */
export interface StoredEntry {
  readonly seq: number
  readonly recordedAt: EpochMs
  readonly entry: RawEntry
}

// ── reference values ────────────────────────────────────────────────────────────────────────────
export type Confidence = 'high' | 'medium' | 'low'
export interface Compound {
  readonly id: string
  readonly name: string
  readonly smiles: string
  readonly formula: string
  readonly molarMassGPerMol: GPerMol
  readonly cas: string | null
  readonly meltLowC: Celsius
  readonly meltHighC: Celsius
  readonly meltConfidence: Confidence
  readonly behaviour: string
  readonly fusionEnthalpyKJPerMol: KJPerMol | null
  readonly fusionConfidence: Confidence | null
  readonly colour: string
  readonly hazards: readonly string[]
  readonly synonyms: readonly string[]
  readonly source: string
}
export interface Solvent {
  readonly id: string
  readonly name: string
  readonly boilingPointC: Celsius | null
  readonly freezingPointC: Celsius | null
  readonly densityGPerML20: number
  readonly flashPointC: Celsius | null
  readonly group: string
  readonly waterMiscible: 'full' | 'partial' | 'no'
  readonly hazards: readonly string[]
  readonly source: string
}
export interface SolubilityRow {
  readonly compound: string
  readonly solvent: string
  readonly temperatureC: Celsius
  readonly gPer100ML: GPer100ML
  /** null for the bench's own measurement. */
  readonly confidence: Confidence | null
  readonly source: string
}

// ── solubility and the plan ─────────────────────────────────────────────────────────────────────
export type SolubilityPoint = readonly [temperatureC: Celsius, gPer100ML: GPer100ML]
export interface SolubilityAt {
  readonly gPer100ML: GPer100ML
  readonly basis: 'between points' | 'beyond points' | 'single point'
}
export interface CrystallizationInput {
  readonly crudeG: Gram
  /** Mass fraction of product in the crude. */
  readonly assay: Fraction
  readonly product: readonly SolubilityPoint[]
  readonly impurity?: readonly SolubilityPoint[] | undefined
  readonly productFusionKJPerMol?: KJPerMol | undefined
  readonly hotC: Celsius
  readonly coldC: Celsius
  /** Solvent beyond the least hot volume, as a fraction of it. */
  readonly excess: number
  readonly washML: Millilitre
}
export interface CrystallizationPlan {
  readonly minimumHotML: Millilitre
  readonly hotML: Millilitre
  readonly gritG: Gram
  readonly productInLiquorG: Gram
  readonly productCrystalsG: Gram
  readonly impurityInCrystalsG: Gram
  readonly crystalMassG: Gram
  readonly crystalMassFraction: Fraction
  readonly recoveryPercentOfCrude: Percent
  readonly recoveryPercentOfProduct: Percent
  readonly washLossUpToG: Gram
  /** Least volume in which the impurity stays dissolved cold; null when nothing is known of it or none is there. */
  readonly impurityStaysDissolvedML: Millilitre | null
  /** True when the impurity was taken to stay dissolved because nothing is known of it. */
  readonly impurityAssumedDissolved: boolean
  readonly hotBasis: SolubilityAt['basis']
  readonly coldBasis: SolubilityAt['basis']
}

/** What is to be purified, for ranking solvents. */
export interface SoluteToPurify {
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly crudeG: Gram
  readonly assay: Fraction
  /** Where the crude began to melt, when it has been melted. */
  readonly crudeOnsetC?: Celsius | undefined
}
/** A solvent with what is known of product and impurity in it; no points, nothing known. */
export interface SolventCandidate {
  readonly solvent: Solvent
  readonly product: readonly SolubilityPoint[]
  readonly impurity: readonly SolubilityPoint[]
}
/** What a lab asks of a solvent: for each score, the value that is worth nothing and the one that is worth all. */
export interface SolventWishes {
  readonly recoveryPercent: readonly [worthless: Percent, full: Percent]
  readonly purity: readonly [worthless: Fraction, full: Fraction]
  /** mL per g of crude: unworkable below the first, easy between the second and third, unworkable above the last. */
  readonly mlPerG: readonly [number, number, number, number]
  readonly oiling: Readonly<Record<OilingLevel, Fraction>>
  readonly boilingForDryingC: readonly [full: Celsius, worthless: Celsius]
  /** How far the solvent freezes below the ice bath. */
  readonly freezingMarginC: readonly [worthless: Celsius, full: Celsius]
  readonly iceC: Celsius
}
export const SOLVENT_PARTS = ['recovery', 'purity', 'volume', 'oiling', 'freezing', 'drying'] as const
export type SolventPart = (typeof SOLVENT_PARTS)[number]
export interface ScoredPart {
  readonly part: SolventPart
  /** null when what it needs is not known; it then has no say. */
  readonly score: Fraction | null
  readonly sentence: string
}
export interface RankedSolvent {
  readonly solvent: Solvent
  /** Geometric mean of the scores that are known; null without solubility data. */
  readonly score: Fraction | null
  readonly parts: readonly ScoredPart[]
  readonly sentence: string
  readonly input: CrystallizationInput | null
  readonly plan: CrystallizationPlan | null
}
export type OilingLevel = 'low' | 'some' | 'high'
export interface OilingRisk {
  readonly level: OilingLevel
  readonly because: string
}
/** A better and a poorer solvent that mix: dissolved hot in the first, the second added to cloudiness. */
export interface SolventPairInput {
  readonly crudeG: Gram
  readonly assay: Fraction
  readonly good: readonly SolubilityPoint[]
  readonly poor: readonly SolubilityPoint[]
  readonly productFusionKJPerMol?: KJPerMol | undefined
  readonly hotC: Celsius
  readonly coldC: Celsius
  /** Good solvent beyond the least hot volume, as a fraction of it. */
  readonly excess: number
  readonly washML: Millilitre
}
export interface SolventPairPlan {
  readonly goodML: Millilitre
  readonly poorML: Millilitre
  readonly goodVolumeFraction: Fraction
  /** The one-solvent plan of the mixture, its points mixed log-linearly. */
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
}
/** The product fraction a crude's melting range speaks for. */
export interface AssayFromRange {
  /** By mass. */
  readonly assay: Fraction
  readonly low: Fraction
  readonly high: Fraction
  readonly sentence: string
  /** What does not fit, or null. */
  readonly doubt: string | null
}
export interface CycleStep {
  readonly input: CrystallizationInput
  readonly plan: CrystallizationPlan
  /** Product still in hand after this cycle, of the product in the first crude. */
  readonly productLeftPercent: Percent
}

// ── melting ─────────────────────────────────────────────────────────────────────────────────────
export interface Fusion {
  readonly meltingPointC: Celsius
  readonly enthalpyKJPerMol: KJPerMol
  readonly molarMassGPerMol: GPerMol
}
export interface MeltingRange {
  readonly onsetC: Celsius
  readonly clearC: Celsius
}
export interface Eutectic {
  readonly temperatureC: Celsius
  readonly moleFractionA: Fraction
}
export interface CompositionAtClear {
  readonly moleFractionA: Fraction
  /** Which component is in excess of the eutectic composition. */
  readonly excess: 'a' | 'b' | 'neither'
}
export interface PhaseDiagram {
  readonly branchA: readonly (readonly [moleFractionA: Fraction, temperatureC: Celsius])[]
  readonly branchB: readonly (readonly [moleFractionA: Fraction, temperatureC: Celsius])[]
  readonly eutectic: Eutectic
}

// ── heating ─────────────────────────────────────────────────────────────────────────────────────
export interface BlockModel {
  readonly ambientC: Celsius
  readonly gain: number
  readonly exponent: number
  readonly timeConstantMin: Minute
}
export interface DialTrace {
  readonly dial: number
  readonly samples: readonly (readonly [minutes: Minute, temperatureC: Celsius])[]
}
export interface DialPlanInput {
  readonly model: BlockModel
  readonly dialStep: number
  readonly dialMax: number
  readonly startC: Celsius
  readonly expectedLowC: Celsius
  readonly expectedHighC: Celsius
  readonly leadC: Celsius
  readonly tailC: Celsius
  readonly minRate: CelsiusPerMin
  readonly maxRate: CelsiusPerMin
  readonly maxApproachRate: CelsiusPerMin
  readonly dialUse?: Conventions['dialUse']
}
export interface DialPlan {
  readonly steps: readonly {
    readonly atMin: Minute
    readonly atC: Celsius
    readonly dial: number
  }[]
  readonly watchFromMin: Minute
  readonly totalMin: Minute
  readonly warnings: readonly string[]
}
export interface RampApparatus {
  readonly ambientC: Celsius
  readonly blockC: Celsius
  readonly heatCPerMin: CelsiusPerMin
  readonly coolTimeConstantMin: Minute
  readonly rates: readonly CelsiusPerMin[]
  readonly maxC: Celsius
}
export interface RampInput {
  readonly apparatus: RampApparatus
  readonly conventions: Conventions
  readonly expectedLowC: Celsius
  readonly expectedHighC: Celsius
  /** From the phase map: where an impure sample begins to melt. */
  readonly firstLiquidFromC?: Celsius | undefined
}
export interface RampSegment {
  readonly kind: 'cool' | 'preheat' | 'ramp'
  readonly fromC: Celsius
  readonly toC: Celsius
  readonly rateCPerMin: CelsiusPerMin
  readonly minutes: Minute
}
export interface RampPlan {
  readonly segments: readonly RampSegment[]
  readonly startC: Celsius
  readonly stopC: Celsius
  readonly rateCPerMin: CelsiusPerMin
  readonly watchFromC: Celsius
  readonly watchFromMin: Minute
  readonly totalMin: Minute
  readonly warnings: readonly string[]
}
export interface ObservedRangeTerms {
  readonly rateCPerMin: CelsiusPerMin
  readonly sampleLagMin: Minute
  readonly probeLagMin: Minute
  readonly meltMin: Minute
}
export type Grain = 'fine' | 'coarse'
export interface SchoolCost {
  readonly school: string
  readonly minutes: Minute
  readonly predicted: MeltingRange
  readonly wideningC: Celsius
  readonly onsetBelowStart: boolean
  readonly meltsOnBeingPutIn: boolean
}

/** A thermometer's calibration; the rate and packing it was made at are part of it. */
export interface Calibration {
  readonly method: 'between the points' | 'straight line'
  readonly points: readonly (readonly [readC: Celsius, trueC: Celsius])[]
  /** What is left of its own points when each is left out; null when too few to say. */
  readonly errorC: Celsius | null
  /** Heating and packing of its melting standards; null when it has none. */
  readonly heating: {
    readonly rateCPerMin: CelsiusPerMin
    readonly fillMm: Millimetre
    readonly grain: Grain
  } | null
}
/** How a melt is to be heated. */
export type Heating =
  | { readonly by: 'ramp'; readonly input: RampInput; readonly plan: RampPlan }
  | { readonly by: 'dial'; readonly input: DialPlanInput; readonly plan: DialPlan }
  /** No programme and no learned dial: heated by hand and watched. */
  | { readonly by: 'hand'; readonly blockC: Celsius; readonly warnings: readonly string[] }
/** What a watcher needs of a plan, however it is heated. */
export interface MeltWindow {
  readonly startC: Celsius
  readonly watchFromC: Celsius
  readonly stopC: Celsius
  readonly rateCPerMin: CelsiusPerMin
  /** null when nobody can say. */
  readonly watchFromMin: Minute | null
  readonly totalMin: Minute | null
}

// ── which tube when, the lab period ─────────────────────────────────────────────────────────────
export interface TubeRunInput {
  readonly apparatus: {
    readonly slots: number
    readonly ambientC: Celsius
    readonly blockC: Celsius
    readonly fastCPerMin: CelsiusPerMin
    readonly slowCPerMin: CelsiusPerMin
    readonly coolTimeConstantMin: Minute
    readonly loadMin: Minute
  }
  readonly tubes: readonly {
    readonly id: string
    readonly expectedLowC: Celsius
    readonly expectedHighC: Celsius
    readonly leadC: Celsius
    readonly tailC: Celsius
  }[]
  readonly keepTogether: readonly (readonly string[])[]
}
export interface TubeRunPlan {
  readonly runs: readonly (readonly string[])[]
  readonly totalMin: Minute
  readonly timeline: readonly {
    readonly run: number
    readonly phase: 'load' | 'heat' | 'cool' | 'slow' | 'fast'
    readonly fromMin: Minute
    readonly toMin: Minute
    readonly fromC: Celsius
    readonly toC: Celsius
  }[]
  readonly proven: boolean
  readonly lowerBoundMin: Minute
}
export interface BenchTask {
  readonly id: string
  readonly durationMin: Minute
  readonly after: readonly { readonly task: string; readonly waitMin?: Minute }[]
  readonly needs: Readonly<Record<string, number>>
  readonly tags?: readonly string[]
}
export interface BenchSessionInput {
  readonly tasks: readonly BenchTask[]
  readonly capacity: Readonly<Record<string, number>>
  readonly never?: readonly (readonly [string, string])[]
}
export interface BenchSession {
  readonly starts: Readonly<Record<string, Minute>>
  readonly makespanMin: Minute
  readonly lowerBoundMin: Minute
  readonly proven: boolean
  readonly criticalPath: readonly string[]
}

// ── which compound ──────────────────────────────────────────────────────────────────────────────
export interface Candidate {
  readonly id: string
  readonly meltLowC: Celsius
  readonly meltHighC: Celsius
  readonly fusion: Fusion
}
export interface MixtureRun extends MeltingRange {
  readonly reference: Candidate
  readonly referenceClearC?: Celsius
  readonly massFractionUnknown?: Fraction
}
export interface RankOptions {
  readonly sigmaC: Celsius
  readonly depressionMeanC: Celsius
  readonly mixtureSigmaC: Celsius
  readonly undepressedSigmaC: Celsius
  readonly noDepressionChance: Fraction
  readonly mishapChance: Fraction
  readonly mishapSpanC: Celsius
  readonly unlistedPrior: Fraction
  readonly unlistedSpanC: Celsius
  readonly visibleLiquidFraction: Fraction
}
export interface IdentityInput {
  readonly unknown: MeltingRange
  readonly candidates: readonly Candidate[]
  readonly mixtures: readonly MixtureRun[]
  readonly options?: Partial<RankOptions>
}

// ── judging ─────────────────────────────────────────────────────────────────────────────────────
export type Verdict = 'consistent with pure' | 'nearly pure' | 'impure' | 'not this compound' | 'cannot tell'
export const FINDING_CODES = [
  'sharp',
  'a-little-wide',
  'broad',
  'low-and-broad',
  'sharp-but-low',
  'agrees-with-literature',
  'high',
  'top-passes-literature',
  'rate-explains',
  'fill-explains',
  'calibration-missing',
  'damp-possible',
  'decomposes',
  'residual-solid',
  'better-than-crude',
  'agrees-with-authentic',
  'differs-from-authentic',
  'impurity-at-most',
  'impurity-estimate',
  'possible-eutectic',
  'thermometer-explains',
  'mixed-same',
  'mixed-different',
  'mixed-unclear',
  'plate-agrees',
  'plate-differs',
  'plate-more-spots',
  'plate-poor',
  'repeats-scatter',
] as const
export type FindingCode = (typeof FINDING_CODES)[number]
export interface Finding {
  readonly code: FindingCode
  readonly numbers: Readonly<Record<string, number>>
  /** The number itself, as it is set in front of the sentence. */
  readonly headline: string
  readonly sentence: string
}
export const ACTION_CODES = [
  'sign',
  'mixed-melt',
  'recrystallize',
  'dry-and-repeat',
  'repeat-slower',
  'repeat-with-less',
  'calibrate',
  'melt-beside-authentic',
  'hot-filter',
  'new-tube-fast-start',
  'repeat-mixed-melt',
  'find-what-it-is',
  'plate',
  'repeat',
] as const
export type ActionCode = (typeof ACTION_CODES)[number]
export interface Action {
  readonly code: ActionCode
  readonly minutes?: Minute
  readonly sentence: string
}
export interface JudgeInput {
  readonly corrected: MeltingRange
  readonly literature: { readonly lowC: Celsius; readonly highC: Celsius }
  readonly fusion?: Fusion | undefined
  readonly rateCPerMin: CelsiusPerMin
  readonly fillMm: Millimetre
  readonly grain: Grain
  readonly calibration: 'none' | 'in place' | 'at another rate'
  readonly dried: boolean
  readonly decomposed?: boolean | undefined
  readonly residualSolid?: boolean | undefined
  readonly crude?: MeltingRange | undefined
  readonly authenticSameRun?: MeltingRange | undefined
  readonly impurity?: { readonly name: string; readonly fusion: Fusion } | undefined
  /** How far a corrected reading may still be off by the calibration itself; null when that is not known. */
  readonly thermometerErrorC?: Celsius | null | undefined
  /** What a mixed melt with an authentic sample of the compound said. */
  readonly mixed?: { readonly verdict: 'same' | 'different' | 'repeat'; readonly because: string } | undefined
  /** What a thin-layer plate beside an authentic sample said. */
  readonly plate?:
    | {
        readonly spots: number
        readonly agrees: boolean | null
        readonly isPoor: boolean
        readonly sentence: string
      }
    | undefined
  /** Several determinations: how far apart their ends are. */
  readonly repeats?: { readonly count: number; readonly spreadC: Celsius } | undefined
}
export interface Judgement {
  readonly verdict: Verdict
  readonly findings: readonly Finding[]
  readonly actions: readonly Action[]
}

// ── simulated instruments ───────────────────────────────────────────────────────────────────────
/** A heated instrument's own character; every number is of the simulated stand-in. */
export interface BlockCharacter {
  readonly name: string
  readonly ambientC: Celsius
  readonly maxC: Celsius
  readonly heatCPerMin: CelsiusPerMin
  readonly coolTimeConstantMin: Minute
  readonly rates: readonly CelsiusPerMin[]
  readonly slots: number
  /** How far behind the block a fine powder in its tube follows. */
  readonly sampleLagMin: Minute
  readonly probeLagMin: Minute
  readonly probeNoiseC: Celsius
  /** Constant error of the probe. */
  readonly probeOffsetC: Celsius
  /** Error of the probe that grows with temperature, °C per °C. */
  readonly probeSlope: number
  /** Decimals the display gives. */
  readonly decimals: number
  /** What sets its heat: a programme of start, ramp and stop; a dial of power; a flame that is moved. */
  readonly control: 'program' | 'dial' | 'flame'
  /** What the dial does (a flame counts as a coarse one); null with a programme. */
  readonly dial: {
    readonly max: number
    readonly step: number
    readonly gain: number
    readonly exponent: number
  } | null
  /** Heat the heater holds, as a share of the block's, and how slowly it passes over, s. */
  readonly heaterMass: number
  readonly heaterToBlockS: Second
  /** How its temperature is known: a probe that is recorded, or a glass thermometer read by eye. */
  readonly readBy: 'probe' | 'eye'
  /** Whether it reads the light that comes through each tube. */
  readonly readsLight: boolean
}
export interface SimulatedSample {
  readonly a: Fusion
  readonly b: Fusion | null
  readonly moleFractionA: Fraction
  readonly decomposesAtC?: Celsius
}
export interface Packing {
  readonly fillMm: Millimetre
  readonly grain: Grain
}
export type BlockCommand =
  | { readonly kind: 'preheat'; readonly toC: Celsius }
  | { readonly kind: 'tubes in' }
  | { readonly kind: 'ramp'; readonly toC: Celsius; readonly rateCPerMin: CelsiusPerMin }
  | { readonly kind: 'dial'; readonly setting: number }
  | { readonly kind: 'stop' }
export type TubeLook =
  'not in' | 'powder' | 'shrunk' | 'sweating' | 'drops' | 'slush' | 'last crystals' | 'clear' | 'bubbling'
export interface TubeReading {
  readonly look: TubeLook
  /** Of the whole sample, molar. */
  readonly liquidFraction: Fraction
}
export interface BlockReading {
  /** 0 for the reading at the start of the run, one a second after it. */
  readonly sample: number
  readonly atS: Second
  readonly probe: Reading
  readonly phase: 'idle' | 'preheating' | 'holding' | 'ramping' | 'heating' | 'cooling'
  readonly tubes: readonly TubeReading[]
  /** Light through each tube, 0 to 1, where the instrument reads it. */
  readonly light?: readonly Fraction[]
  /** Where the dial stands, on an instrument that has one. */
  readonly dial?: number
}

// ── the public computations ─────────────────────────────────────────────────────────────────────
/**
 * Every signature of the core's science. What is implemented so far is checked against this in
 * `index.ts`; the rest is the promise that later parts keep.
 */
export interface Science {
  netMass(weighing: Weighing): Quantity
  percentRecovery(purified: Quantity, crude: Quantity): Quantity
  percentYield(actualG: Gram, theoreticalG: Gram): Percent
  theoreticalYieldG(input: {
    limitingG: Gram
    limitingMolarMass: GPerMol
    productMolarMass: GPerMol
    productPerLimiting: number
  }): Gram
  massClosure(input: { crudeG: Gram; accountedG: readonly Gram[] }): { percent: Percent; missingG: Gram }
  isConstantMass(
    weighings: readonly { massG: Gram; at: EpochMs; readabilityG?: Gram }[],
    rule: { toleranceG: Gram; dryingMin: Minute },
  ): boolean
  solubilityAt(
    points: readonly SolubilityPoint[],
    temperatureC: Celsius,
    fusionEnthalpyKJPerMol?: KJPerMol,
  ): SolubilityAt
  planCrystallization(input: CrystallizationInput): CrystallizationPlan
  solventTradeoff(
    input: CrystallizationInput,
    span: { fromML: Millilitre; toML: Millilitre; steps: number },
  ): readonly CrystallizationPlan[]
  leastSolventForPurity(
    input: CrystallizationInput,
    purity: Fraction,
  ): { ml: Millilitre } | { none: true; best: Fraction }
  oilingRisk(input: {
    saturationC: Celsius
    crudeOnsetC?: Celsius | undefined
    eutecticC?: Celsius | undefined
    meltingPointC: Celsius
    boilingPointC: Celsius | null
  }): OilingRisk
  crystallizationCycles(input: CrystallizationInput, n: number): readonly CycleStep[]
  cyclesToReach(
    input: CrystallizationInput,
    purity: Fraction,
  ): { cycles: number } | { none: true; best: Fraction }
  secondCrop(input: CrystallizationInput, evaporateToML: Millilitre): CrystallizationPlan
  saturationC(
    points: readonly SolubilityPoint[],
    gPer100ML: GPer100ML,
    fusionEnthalpyKJPerMol?: KJPerMol,
  ): Celsius
  crystallizedFraction(input: CrystallizationInput, temperatureC: Celsius): Fraction
  rankSolvents(
    solute: SoluteToPurify,
    candidates: readonly SolventCandidate[],
    wishes?: SolventWishes,
  ): readonly RankedSolvent[]
  planSolventPair(input: SolventPairInput): SolventPairPlan
  assayFromRange(
    product: Fusion,
    impurity: Fusion,
    crude: MeltingRange,
    reading: {
      rateCPerMin: CelsiusPerMin
      fillMm: Millimetre
      grain: Grain
      calibration: JudgeInput['calibration']
      readingErrorC: Celsius
    },
  ): AssayFromRange | null
  massFractionFromMoleFraction(moleFractionA: Fraction, molarMassA: GPerMol, molarMassB: GPerMol): Fraction
  idealSolubility(fusion: Fusion, temperatureC: Celsius): Fraction
  liquidusC(fusion: Fusion, moleFraction: Fraction): Celsius
  eutectic(a: Fusion, b: Fusion): Eutectic
  liquidFraction(a: Fusion, b: Fusion, moleFractionA: Fraction, temperatureC: Celsius): Fraction
  meltingRange(
    a: Fusion,
    b: Fusion,
    moleFractionA: Fraction,
    options?: { visibleLiquidFraction?: Fraction },
  ): MeltingRange
  moleFractionFromMassFraction(massFractionA: Fraction, molarMassA: GPerMol, molarMassB: GPerMol): Fraction
  impurityFromClearPoint(fusion: Fusion, clearC: Celsius): Fraction
  compositionsFromClearPoint(a: Fusion, b: Fusion, clearC: Celsius): readonly CompositionAtClear[]
  compositionFromRange(
    main: Fusion,
    other: Fusion,
    slow: MeltingRange,
    readingErrorC: Celsius,
  ): {
    moleFractionA: Fraction
    low: Fraction
    high: Fraction
    predictedOnsetC: Celsius
    doubt: string | null
  } | null
  waldenFusionEnthalpy(meltingPointC: Celsius): KJPerMol
  phaseDiagram(a: Fusion, b: Fusion, count: number): PhaseDiagram
  plateauC(model: BlockModel, dial: number): Celsius
  rateCPerMin(model: BlockModel, dial: number, temperatureC: Celsius): CelsiusPerMin
  minutesToReach(model: BlockModel, dial: number, fromC: Celsius, toC: Celsius): Minute | null
  dialForRate(model: BlockModel, temperatureC: Celsius, rateCPerMin: CelsiusPerMin): number
  coolDownMin(model: BlockModel, fromC: Celsius, toC: Celsius, options?: { speedUp?: number }): Minute | null
  rateOf(samples: readonly (readonly [Minute, Celsius])[], overMin?: Minute): CelsiusPerMin | null
  fitBlockModel(
    traces: readonly DialTrace[],
    ambientC: Celsius,
  ): { model: BlockModel; residualC: Celsius; standardErrors: Readonly<Record<string, number>> }
  planDial(input: DialPlanInput): DialPlan
  planRamp(input: RampInput): RampPlan
  observedRange(range: MeltingRange, terms: ObservedRangeTerms): MeltingRange
  meltMin(packing: Packing): Minute
  zeroRateRange(
    runs: readonly { rateCPerMin: CelsiusPerMin; onsetC: Celsius; clearC: Celsius }[],
  ): MeltingRange
  compareSchools(
    sample: { low: Celsius; high: Celsius; firstLiquidFromC?: Celsius | undefined; packing: Packing },
    apparatus: RampApparatus & { lags?: { sampleLagMin: Minute; probeLagMin: Minute } },
    schools: readonly Conventions[],
  ): readonly SchoolCost[]
  correctReading(
    points: readonly (readonly [readC: Celsius, trueC: Celsius])[],
    readingC: Celsius,
  ): { temperatureC: Celsius; correctionC: Celsius; extrapolated: boolean }
  calibrationLine(points: readonly (readonly [Celsius, Celsius])[]): {
    slope: number
    interceptC: Celsius
    residualSdC: Celsius
    leaveOneOutC: Celsius
  }
  emergentStemCorrectionC(input: {
    readingC: Celsius
    exposedC: Celsius
    stemC: Celsius
    coefficient?: number
  }): Celsius
  atTheEvent(readC: Celsius, secondsLate: Second, rateCPerMin: CelsiusPerMin): Celsius
  planTubeRuns(input: TubeRunInput): TubeRunPlan
  planBenchSession(input: BenchSessionInput): BenchSession
  replan(
    input: BenchSessionInput & {
      started: Readonly<Record<string, Minute>>
      done: Readonly<Record<string, Minute>>
      nowMin: Minute
    },
  ): BenchSession
  rankCandidates(input: IdentityInput): readonly { id: string | null; probability: Fraction }[]
  nextMixture(input: IdentityInput & { references: readonly Candidate[] }): readonly {
    reference: string
    bits: number
    outcomes: readonly { id: string | null; onsetC: Celsius; clearC: Celsius }[]
  }[]
  mixedVerdict(
    input: { unknown: MeltingRange; reference: MeltingRange; mixture: MeltingRange },
    conventions: Pick<Conventions, 'repeatWithinC'>,
  ): { verdict: 'same' | 'different' | 'repeat'; because: string }
  judgeRange(input: JudgeInput, conventions: Conventions): Judgement
  detectMelt(
    trace: readonly { temperatureC: Celsius; transmission: number }[],
    options?: { onsetAt?: Fraction; clearAt?: Fraction },
  ): MeltingRange
  retentionFactor(
    spotCentreMm: Millimetre,
    frontMm: Millimetre,
  ): { rf: Fraction; standardUncertainty: number }
}
