import { OIL_BATH } from '../procedures/shared'
import { type InstrumentSort, SORT_ABOUT } from '../instruments/sorts'

/** At an instrument that is being heated, by what it is. */
export function meltCautions(sort: InstrumentSort): readonly string[] {
  return [
    'Wear eye protection. A hot block looks like a cold one. Never force a tube or a thermometer.',
    ...(SORT_ABOUT[sort].isOil ? [OIL_BATH] : []),
    'Leave the instrument cool for the next person.',
  ]
}
