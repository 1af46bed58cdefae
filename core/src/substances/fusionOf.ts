import { type Fusion, waldenFusionEnthalpy } from '../melting/liquidus'
import { meltingValueOf } from './meltingValue'
import type { Compound } from './shelf'

/**
 * Fusion values of a shelf compound; the enthalpy by Walden's rule where none is known.
 *
 * @returns the values and whether the enthalpy is an estimate
 */
export function fusionOf(compound: Compound): Fusion & { readonly estimated: boolean } {
  const { clearC } = meltingValueOf(compound)
  return {
    meltingPointC: clearC,
    enthalpyKJPerMol: compound.fusionEnthalpyKJPerMol ?? waldenFusionEnthalpy(clearC),
    molarMassGPerMol: compound.molarMassGPerMol,
    estimated: compound.fusionEnthalpyKJPerMol === null,
  }
}
