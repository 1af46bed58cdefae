import type { Conventions } from '../../conventions/conventions'
import type { TubeLook } from '../../melting/look'
import type { BlockReading } from '../../instruments/reading'

/** What happened in one tube, at the readings at which it did, °C as the instrument showed them. */
export interface TubeTruth {
  /** Drew away from the wall, dry. */
  readonly shrankC: number | null
  /** A sheen, no drop yet. */
  readonly sweatedC: number | null
  readonly firstC: number | null
  readonly allC: number | null
}

const NOTHING_YET: TubeTruth = { shrankC: null, sweatedC: null, firstC: null, allC: null }

const ORDER: readonly TubeLook[] = [
  'not in',
  'powder',
  'shrunk',
  'sweating',
  'drops',
  'slush',
  'last crystals',
  'clear',
]

const reached = (look: TubeLook, least: TubeLook) => ORDER.indexOf(look) >= ORDER.indexOf(least)

/**
 * What each tube has come to with one reading more: the very reading the lens is drawn from.
 *
 * @param so far, tube by tube; empty at first
 * @param onset the house’s word for the first liquid
 */
export function truthAfter(
  so: readonly TubeTruth[],
  { tubes, probe }: Pick<BlockReading, 'tubes' | 'probe'>,
  onset: Conventions['onsetRule'],
): readonly TubeTruth[] {
  const first = onset === 'distinct drop' ? 'drops' : 'sweating'
  return tubes.map(({ look }, i) => {
    const was = so[i] ?? NOTHING_YET
    const at = (known: number | null, least: TubeLook) => known ?? (reached(look, least) ? probe.value : null)
    return {
      shrankC: was.shrankC ?? (look === 'shrunk' ? probe.value : null),
      sweatedC: was.sweatedC ?? (look === 'sweating' ? probe.value : null),
      firstC: at(was.firstC, first),
      allC: at(was.allC, 'clear'),
    }
  })
}
