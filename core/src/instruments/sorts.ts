/** What a sort of heated instrument asks for, wherever it makes a difference. */
interface SortAbout {
  /** What is put in it. */
  readonly holds: 'tubes' | 'cover slip'
  /** Whether it is a bath of hot oil, with what is looked at and heeded there. */
  readonly isOil: boolean
}

const ABOUT = {
  'dial block': { holds: 'tubes', isOil: false },
  'programmable block': { holds: 'tubes', isOil: false },
  'detecting block': { holds: 'tubes', isOil: false },
  'hot stage': { holds: 'cover slip', isOil: false },
  'oil-bath tube': { holds: 'tubes', isOil: true },
} as const satisfies Readonly<Record<string, SortAbout>>

export type InstrumentSort = keyof typeof ABOUT
export const SORT_ABOUT: Readonly<Record<InstrumentSort, SortAbout>> = ABOUT
export const INSTRUMENT_SORTS = Object.keys(ABOUT) as readonly InstrumentSort[]
