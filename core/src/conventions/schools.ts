import type { Conventions } from '../contract'

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
