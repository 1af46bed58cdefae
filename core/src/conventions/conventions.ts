export interface Conventions {
  readonly name: string
  readonly startBelowC: number
  readonly meltRate: {
    readonly min: number
    readonly target: number
    readonly max: number
  }
  readonly approachRateMaxCPerMin: number
  readonly stopAboveC: number
  readonly tubeIn: 'cold' | 'at start temperature'
  readonly dialUse: 'one setting, nudged' | 'stepped'
  readonly fillMm: readonly [number, number]
  readonly onsetRule: 'first wetness' | 'distinct drop'
  readonly sharpWidthC: number
  readonly broadWidthC: number
  readonly literatureWithinC: number
  readonly repeatWithinC: number
  readonly readingErrorC: number
  readonly drying: { readonly atLeastMin: number; readonly constantMassToleranceG: number | null }
  readonly boilingStones: 'in both flasks' | 'in the solvent only'
  readonly crudeRange: 'before dissolving' | 'beside the product'
  /** How often what is handed out is not on the list, 0 to 1; the ranking’s own figure where the lab gives none. */
  readonly unlistedPrior?: number | undefined
  /** Ids of compounds and solvents that no plan may use here. */
  readonly closed?: readonly string[] | undefined
  /** Whom to call when someone is hurt or something burns, in the lab’s own words. */
  readonly emergencyCalls?: string | undefined
}
