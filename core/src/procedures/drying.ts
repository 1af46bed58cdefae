import type { Compound, Solvent } from '../reference/shelf'
import { behaviourOf } from '../reference/behaviour'
import { isVolatile } from '../reference/reactions'
import { driesInAir } from './airDrying'

/** How far an oven stays under where the solid melts, °C: 20 to 30. */
const OVEN_BELOW_MELTING_C = 25
const OVEN_C = { least: 45, most: 110 } as const

export interface Drying {
  readonly how: 'air' | 'oven' | 'desiccator'
  /** Oven temperature, °C; null outside one. */
  readonly ovenC: number | null
  /** What must not be done to this solid, or null. */
  readonly never: string | null
}

/**
 * How a solid is dried, by what it is wet with and how it behaves: in air from a low boiler; else in an oven 20 to
 * 30 °C under where it melts; in a desiccator where no oven will do. What sublimes, or is light and melts low, goes in no oven and no vacuum;
 * a hydrate is dried in air alone.
 *
 * @param solvents all that it crystallized from
 * @example dryingFor([water], adipicAcid) // { how: 'oven', ovenC: 110, never: null }
 */
export function dryingFor(solvents: readonly Solvent[], compound: Compound): Drying {
  const fromWater = solvents.some(({ group }) => group === 'water')
  const behaviour = behaviourOf(compound, fromWater)
  if (behaviour === 'hydrate')
    return {
      how: 'air',
      ovenC: null,
      never: `No oven, no desiccant: ${compound.name} comes as a hydrate here, and they would take its water.`,
    }
  const never = isVolatile(compound)
    ? `No oven and no vacuum: ${compound.name} ${behaviour === 'sublimes' ? 'sublimes' : 'is light and would go off'}.`
    : null
  if (driesInAir(solvents)) return { how: 'air', ovenC: null, never }
  const ovenC = Math.floor(Math.min(OVEN_C.most, compound.meltLowC - OVEN_BELOW_MELTING_C) / 5) * 5
  const inOven = never === null && behaviour !== 'decomposes' && ovenC >= OVEN_C.least
  return inOven ? { how: 'oven', ovenC, never } : { how: 'desiccator', ovenC: null, never }
}
