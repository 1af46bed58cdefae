import { OIL_BATH } from '../procedures/shared'
import { type InstrumentSort, SORT_ABOUT } from '../instruments/sorts'

/** At an instrument that is being heated, by what it is. */
export function meltCautions(sort: InstrumentSort): readonly string[] {
  return [
    'Eye protection. It looks the same hot or cold. Never force a tube or a thermometer.',
    ...(SORT_ABOUT[sort].isOil ? [OIL_BATH] : []),
    'Leave it cool for the next person.',
  ]
}
