export type Confidence = 'high' | 'medium' | 'low'
/** A class of solubility: i under 0.1, sl to 1, s to 10, vs over 10 g per 100 mL; two where it is told both ways. */
export const SOLUBILITY_CLASS_NAMES = ['i', 'i to sl', 'sl', 'sl to s', 's', 's to vs', 'vs'] as const
export type SolubilityClass = (typeof SOLUBILITY_CLASS_NAMES)[number]
/** What is told by class: at room temperature, and hot. */
export const CLASS_COLUMNS = [
  'water',
  'ethanol',
  'ether',
  'toluene',
  'hexane',
  'waterHot',
  'ethanolHot',
] as const
export type ClassColumn = (typeof CLASS_COLUMNS)[number]
export type SolubilityClasses = Readonly<Partial<Record<ClassColumn, SolubilityClass>>>

export interface Compound {
  readonly id: string
  readonly name: string
  readonly smiles: string
  readonly formula: string
  readonly molarMassGPerMol: number
  readonly cas: string | null
  readonly meltLowC: number
  readonly meltHighC: number
  /** How far the sources of that range lie apart, °C, where it merges several that differ. */
  readonly meltSpreadC?: number | undefined
  readonly meltConfidence: Confidence
  readonly behaviour: string
  readonly fusionEnthalpyKJPerMol: number | null
  readonly fusionConfidence: Confidence | null
  readonly colour: string
  readonly hazards: readonly string[]
  /** Codes that only one source gave: to be looked up in the safety data sheet. */
  readonly hazardsToCheck?: readonly string[] | undefined
  readonly signalWord?: 'Danger' | 'Warning' | undefined
  /** Temperature at which the solid has a vapour pressure of 1 mmHg (133 Pa), °C. */
  readonly vapour1mmHgC?: number | undefined
  /** Whether it visibly sublimes in an oven or an open tube. */
  readonly sublimes?: 'yes' | 'maybe' | 'no' | undefined
  /** Where it melts under hot water, °C. */
  readonly meltsUnderWaterC?: number | undefined
  /** Molecules of water for one of the compound in what comes from cold water. */
  readonly hydrateWaters?: number | undefined
  /** An oven at this temperature takes that water out and harms nothing, °C. */
  readonly anhydrousAtC?: number | undefined
  /** How well it dissolves, by class: for test tubes and for doubt, not for amounts. */
  readonly solubilityClasses?: SolubilityClasses | undefined
  readonly synonyms: readonly string[]
  readonly source: string
}
export interface Solvent {
  readonly id: string
  readonly name: string
  /** null where it boils over a range. */
  readonly boilingPointC: number | null
  /** Where a mixture begins to boil and where the last of it does, °C. */
  readonly boilingFromC?: number | undefined
  readonly boilingToC?: number | undefined
  /** Where its vapour lights without a flame, °C. */
  readonly autoignitionC?: number | undefined
  readonly freezingPointC: number | null
  readonly densityGPerML20: number
  readonly flashPointC: number | null
  readonly group: string
  readonly waterMiscible: 'full' | 'partial' | 'no'
  readonly hazards: readonly string[]
  readonly source: string
}
export interface SolubilityRow {
  readonly compound: string
  readonly solvent: string
  readonly temperatureC: number
  readonly gPer100ML: number
  /** null for the bench's own measurement. */
  readonly confidence: Confidence | null
  readonly source: string
}
