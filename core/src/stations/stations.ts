/** The stations of a prep, in the order of the work. */
export const STATIONS = [
  'plan',
  'dissolve',
  'crystallize',
  'collect',
  'weigh',
  'melt',
  'judge',
  'page',
] as const
export type Station = (typeof STATIONS)[number]
