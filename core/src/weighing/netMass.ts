import type { Quantity } from '../units'
import { ImpossibleInput, requireNumber } from '../problems'

export type Weighing =
  | { readonly method: 'tared'; readonly netG: number; readonly readabilityG: number }
  | {
      readonly method: 'difference'
      readonly emptyG: number
      readonly loadedG: number
      readonly readabilityG: number
    }

function requireMass(massG: number, what: string): void {
  requireNumber(massG, what)
  if (massG < 0)
    throw new ImpossibleInput(
      'negative-mass',
      `${what} is ${massG} g. A mass below zero means that the balance was not tared.`,
    )
}

/**
 * Net mass of what was weighed, tared or by difference, with its standard uncertainty.
 *
 * u = d/√6: two readings, each rounded to the readability d, each uniform with variance d²/12
 * (JCGM 100:2008 §F.2.2). Taring is a reading too.
 *
 * @param weighing masses and readability in g
 * @returns g
 * @throws ImpossibleInput on a negative mass, a loaded mass below the empty one, a readability not above 0
 * @example netMass({ method: 'tared', netG: 1.804, readabilityG: 0.001 }) // { value: 1.804, standardUncertainty: 0.000408 }
 */
export function netMass(weighing: Weighing): Quantity {
  const { readabilityG } = weighing
  if (!(readabilityG > 0 && Number.isFinite(readabilityG)))
    throw new ImpossibleInput('bad-readability', `A balance cannot read to ${readabilityG} g.`)
  const standardUncertainty = readabilityG / Math.sqrt(6)
  if (weighing.method === 'tared') {
    requireMass(weighing.netG, 'The net mass')
    return { value: weighing.netG, standardUncertainty }
  }
  const { emptyG, loadedG } = weighing
  requireMass(emptyG, 'The empty vessel')
  requireMass(loadedG, 'The loaded vessel')
  if (loadedG < emptyG)
    throw new ImpossibleInput(
      'loaded-lighter-than-empty',
      `${loadedG} g loaded is less than ${emptyG} g empty. Were the two swapped?`,
    )
  return { value: loadedG - emptyG, standardUncertainty }
}
