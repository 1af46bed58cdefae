import type { Compound, Solvent } from '../substances/shelf'
import { behaviourOf } from '../substances/behaviour'
import { isLight, isVolatile } from '../substances/reactions'
import { driesInAir } from '../weighing/airDrying'

/** How far an oven stays under where the solid melts, °C: 20 to 30. */
const OVEN_BELOW_MELTING_C = 25
/** How far it stays under where the solid has 1 mmHg of vapour, °C: there it has some hundredths of it. */
const OVEN_BELOW_1_MMHG_C = 45
const OVEN_C = { least: 40, most: 110 } as const

export interface Drying {
  /** In the hood means: spread there until it no longer smells of solvent, and into a desiccator then. */
  readonly how: 'air' | 'oven' | 'desiccator' | 'hood, then desiccator'
  /** Oven temperature, °C; null outside one. */
  readonly ovenC: number | null
  /** What must not be done to this solid, or null. */
  readonly never: string | null
}

/**
 * How a solid is dried, by what it is wet with and how it behaves: in air from a low boiler; from any other organic
 * solvent spread in the hood until it no longer smells, then in a desiccator, since nothing wet with solvent goes into
 * an oven; from water in an oven, 25 °C under where it melts, 45 °C under where it has 1 mmHg of vapour, and 110 °C at
 * most. Where that is under 40 °C, or the solid is light and its vapour not known: in a desiccator. What goes off goes
 * in no oven and no vacuum; a hydrate is dried in air alone, or freed of its water in an oven where one is known to do it.
 *
 * @param solvents all that it crystallized from
 * @example dryingFor([water], adipicAcid) // { how: 'oven', ovenC: 110, never: null }
 */
export function dryingFor(solvents: readonly Solvent[], compound: Compound): Drying {
  const fromWater = solvents.some(({ group }) => group === 'water')
  const behaviour = behaviourOf(compound, fromWater)
  if (weighedAs(solvents, compound) === 'anhydrous')
    return {
      how: 'oven',
      ovenC: compound.anhydrousAtC ?? null,
      never: `No hotter: at ${compound.anhydrousAtC} °C ${compound.name} loses the water it comes with and nothing else.`,
    }
  if (behaviour === 'hydrate')
    return {
      how: 'air',
      ovenC: null,
      never: `Use no oven and no desiccant: ${compound.name} is a hydrate here, and they would remove its water.`,
    }
  const never = isVolatile(compound)
    ? `Use no oven and no vacuum: ${compound.name} ${behaviour === 'sublimes' ? 'sublimes' : 'would sublime or decompose'}.`
    : null
  if (driesInAir(solvents)) return { how: 'air', ovenC: null, never }
  if (!solvents.every(({ group }) => group === 'water'))
    return { how: 'hood, then desiccator', ovenC: null, never }
  const ovenC = ovenFor(compound)
  return never === null && behaviour !== 'decomposes' && ovenC !== null
    ? { how: 'oven', ovenC, never }
    : { how: 'desiccator', ovenC: null, never }
}

/**
 * Which form of a compound that comes as a hydrate is weighed: freed of its water where an oven is known to do that and
 * the crystals are wet with water alone, else the hydrate; null for a compound that is no hydrate here.
 */
export function weighedAs(solvents: readonly Solvent[], compound: Compound): 'anhydrous' | 'hydrate' | null {
  const fromWater = solvents.some(({ group }) => group === 'water')
  if (behaviourOf(compound, fromWater) !== 'hydrate') return null
  return compound.anhydrousAtC !== undefined && solvents.every(({ group }) => group === 'water')
    ? 'anhydrous'
    : 'hydrate'
}

/** The warmest oven a solid stands, °C; null where none is warm enough to help, or its vapour is not known. */
function ovenFor(compound: Compound): number | null {
  const { meltLowC, vapour1mmHgC, sublimes } = compound
  if (vapour1mmHgC === undefined && (isLight(compound) || sublimes === 'yes')) return null
  const most = Math.min(
    OVEN_C.most,
    meltLowC - OVEN_BELOW_MELTING_C,
    vapour1mmHgC === undefined ? Infinity : vapour1mmHgC - OVEN_BELOW_1_MMHG_C,
  )
  const ovenC = Math.floor(most / 5) * 5
  return ovenC >= OVEN_C.least ? ovenC : null
}
