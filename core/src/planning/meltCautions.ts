import { OIL_BATH } from '../procedures/shared'
import type { InstrumentSort } from '../instruments/instrument'

/** At an instrument that is being heated, by what it is. */
export function meltCautions(sort: InstrumentSort): readonly string[] {
  return [
    'Eye protection. It looks the same hot or cold. Never force a tube or a thermometer.',
    ...(sort === 'oil-bath tube' ? [OIL_BATH] : []),
    'Leave it cool for the next person.',
  ]
}
