import type { Conventions } from './conventions'

/** House rules a new notebook starts with; a lab replaces them with its own. */
export const DEFAULT_HOUSE_RULES: Conventions = {
  name: 'Slow through the range',
  startBelowC: 15,
  meltRate: { min: 1, target: 1, max: 2 },
  approachRateMaxCPerMin: 20,
  stopAboveC: 8,
  tubeIn: 'at start temperature',
  dialUse: 'stepped',
  fillMm: [2, 3],
  onsetRule: 'distinct drop',
  sharpWidthC: 2,
  broadWidthC: 4,
  literatureWithinC: 1.5,
  repeatWithinC: 1,
  readingErrorC: 0.3,
  drying: { atLeastMin: 10, constantMassToleranceG: null },
  boilingStones: 'in the solvent only',
  crudeRange: 'beside the product',
}

/**
 * Schools of practice, each as a whole set of house rules. They differ in where the slow part starts, how fast
 * it is, how much is packed, when the tube goes in and what is called the onset; what each costs for one
 * sample on one instrument is worked out by `compareSchools`.
 */
export const SCHOOLS: readonly Conventions[] = [
  DEFAULT_HOUSE_RULES,
  {
    ...DEFAULT_HOUSE_RULES,
    name: 'Close start',
    startBelowC: 5,
    meltRate: { min: 0.5, target: 1, max: 1 },
    stopAboveC: 5,
    fillMm: [1, 2],
    onsetRule: 'first wetness',
    drying: { atLeastMin: 5, constantMassToleranceG: 0.001 },
  },
  {
    ...DEFAULT_HOUSE_RULES,
    name: 'Long run-up',
    startBelowC: 25,
    meltRate: { min: 1, target: 2, max: 2 },
    stopAboveC: 15,
    tubeIn: 'cold',
    fillMm: [2, 3],
    boilingStones: 'in both flasks',
    crudeRange: 'before dissolving',
  },
  {
    ...DEFAULT_HOUSE_RULES,
    name: 'One dial setting',
    startBelowC: 20,
    meltRate: { min: 1, target: 2, max: 2 },
    stopAboveC: 10,
    tubeIn: 'cold',
    dialUse: 'one setting, nudged',
    fillMm: [3, 4],
  },
  {
    ...DEFAULT_HOUSE_RULES,
    name: 'Quick look',
    startBelowC: 15,
    meltRate: { min: 2, target: 5, max: 5 },
    stopAboveC: 10,
    tubeIn: 'cold',
    fillMm: [2, 3],
    sharpWidthC: 3,
    broadWidthC: 6,
    literatureWithinC: 3,
    repeatWithinC: 2,
    readingErrorC: 0.5,
  },
]
