import type { RangeEvidence } from '../src/judging/evidence'

export const range = (onsetC: number, clearC: number) => ({ onsetC, clearC })

/** An ordinary careful reading of benzil, for tests to change one thing of. */
export const BASE: RangeEvidence = {
  reading: range(94.2, 95.4),
  resolutionC: 0.1,
  rateCPerMin: 1,
  rateMeasured: true,
  fillMm: 2,
  grain: 'fine',
  watchedFromBelowOnsetC: 15,
  thermometer: { state: 'never checked', errorC: null, extrapolated: false },
  dried: null,
  signs: [],
  literature: { lowC: 94, highC: 96 },
  behaviour: 'melts',
  fusion: { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 },
  crude: null,
  authentic: null,
  mixed: null,
  plate: null,
  repeats: [],
  setAside: 0,
  impurity: null,
}
export const IN_PLACE: RangeEvidence['thermometer'] = {
  state: 'checked in place at this rate',
  errorC: 0.2,
  extrapolated: false,
}
export const WET: RangeEvidence['dried'] = { how: 'not', minutes: null, solventBoilsC: 78 }
export const BENZOIN = {
  name: 'benzoin',
  fusion: { meltingPointC: 137.5, enthalpyKJPerMol: 23.2, molarMassGPerMol: 212.24 },
}
