/** A station of a prep, as every list of them knows it. */
interface StationAbout {
  /** What comes there, so that nobody who begins has to wonder; times as a rule, for a batch of a gram or two. */
  readonly ahead: string
  /** Whether the steps of a procedure stand there. */
  readonly hasSteps: boolean
  /** What is likeliest to be photographed there; null where it goes by what has been weighed. */
  readonly photograph: 'crude' | 'set-up' | 'crystals' | 'tubes' | null
}

const ABOUT = {
  plan: { ahead: 'crude weighed, solvent chosen; about 5 min', hasSteps: false, photograph: 'crude' },
  dissolve: {
    ahead: 'hot solvent, portion by portion; about 15 min',
    hasSteps: true,
    photograph: 'set-up',
  },
  crystallize: { ahead: 'cooling, then ice; about 30 min', hasSteps: true, photograph: 'crystals' },
  collect: { ahead: 'suction, rinse, air; about 20 min', hasSteps: true, photograph: 'crystals' },
  weigh: { ahead: 'the dry mass; about 5 min, once it is dry', hasSteps: true, photograph: null },
  melt: { ahead: 'tubes packed, both ends marked; about 40 min', hasSteps: false, photograph: 'tubes' },
  judge: { ahead: 'findings read, signed; about 5 min', hasSteps: false, photograph: null },
  page: { ahead: 'printed or sent; about 2 min', hasSteps: false, photograph: null },
} as const satisfies Readonly<Record<string, StationAbout>>

export type Station = keyof typeof ABOUT

/** The stations of a prep. */
export const STATION_ABOUT: Readonly<Record<Station, StationAbout>> = ABOUT
/** Their names, in the order of the work. */
export const STATIONS = Object.keys(ABOUT) as readonly Station[]
/** Those where the steps of a procedure stand. */
export const STEP_STATIONS = STATIONS.filter((station) => ABOUT[station].hasSteps)

/** The station after this one; the last is followed by none. */
export function stationAfter(station: Station): Station | null {
  return STATIONS[STATIONS.indexOf(station) + 1] ?? null
}
