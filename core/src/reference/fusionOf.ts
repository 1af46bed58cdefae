import { type Fusion, waldenFusionEnthalpy } from '../melting/liquidus'
import type { Compound } from './shelf'

/**
 * Fusion values of a shelf compound; the enthalpy by Walden's rule where none is known.
 *
 * @returns the values and whether the enthalpy is an estimate
 */
export function fusionOf(compound: Compound): Fusion & { readonly estimated: boolean } {
  return {
    meltingPointC: compound.meltHighC,
    enthalpyKJPerMol: compound.fusionEnthalpyKJPerMol ?? waldenFusionEnthalpy(compound.meltHighC),
    molarMassGPerMol: compound.molarMassGPerMol,
    estimated: compound.fusionEnthalpyKJPerMol === null,
  }
}
