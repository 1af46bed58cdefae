import type { Compound, Fusion, SampleId, SimulatedSample } from '../contract'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { waldenFusionEnthalpy } from '../melting/liquidus'
import { fusionOf } from '../reference/fusionOf'
import type { PlanFixed } from '../notebook/plan-fixed/kind'
import type { SampleRole } from '../notebook/sample-named/kind'
import { liquorOf } from '../solubility/cycles'
import { nextRandom } from './random'
import type { View } from '../notebook/fold'
import { prepOf } from '../notebook/selectors/prep'
import { sampleNamedAs } from '../notebook/selectors/samples'

/** Liquor that clings to the crystals leaves this mass fraction of impurity behind, at least. */
const CLINGING = 0.003
/** The crude's impurity is drawn within this share of what was estimated. */
const CRUDE_SPREAD = 0.2

/**
 * What a simulated tube holds, since no real solid is in it: the crude near the fraction estimated in the
 * plan, the product as pure as the plan predicts less a little clinging liquor, anything else pure.
 *
 * @param plan the fixed plan of the prep, or null
 * @param compound what the prep purifies
 * @param seed decides how far the crude is from the estimate
 */
export function simulatedContents(
  plan: PlanFixed | null,
  compound: Compound,
  role: SampleRole,
  seed: number,
): SimulatedSample {
  const a = fusionOf(compound)
  if (!plan || !PURIFIED.includes(role)) return { a, b: null, moleFractionA: 1 }
  const b = plan.impurity ? fusionOf(plan.impurity) : someImpurity(a)
  const drawn = 1 + CRUDE_SPREAD * (2 * nextRandom(seed).value - 1)
  const impurityByMass = impurityOf(role, plan, drawn)
  if (impurityByMass <= 0) return { a, b: null, moleFractionA: 1 }
  return {
    a,
    b,
    moleFractionA: moleFractionFromMassFraction(1 - impurityByMass, a.molarMassGPerMol, b.molarMassGPerMol),
  }
}

/**
 * What a simulated tube of a named sample holds: by its prep, by the compound it was named as, or for a mixture
 * its two parts ground together in equal masses.
 *
 * @returns null when nobody said what the sample is
 */
export function simulatedTube(view: View, id: SampleId, seed: number): SimulatedSample | null {
  const sample = sampleNamedAs(view, id)
  if (!sample) return null
  const [first, second] = sample.of
  if (first && second) {
    const [p, q] = [simulatedTube(view, first, seed), simulatedTube(view, second, seed)]
    return p && q ? ground(p, q) : null
  }
  if (!sample.compound) return null
  const plan = sample.prep ? (prepOf(view, sample.prep)?.plan?.body ?? null) : null
  return simulatedContents(plan, sample.compound, sample.role, seed)
}

/** Equal masses. Two of one compound thin their impurity; two compounds make a mixture of the two. */
function ground(p: SimulatedSample, q: SimulatedSample): SimulatedSample {
  const isSame = Math.abs(p.a.meltingPointC - q.a.meltingPointC) < 1e-9
  if (isSame) {
    const impure = [p, q].find(({ b }) => b !== null)
    return impure
      ? { ...impure, moleFractionA: 1 - (2 - p.moleFractionA - q.moleFractionA) / 2 }
      : { a: p.a, b: null, moleFractionA: 1 }
  }
  return {
    a: p.a,
    b: q.a,
    moleFractionA: moleFractionFromMassFraction(0.5, p.a.molarMassGPerMol, q.a.molarMassGPerMol),
  }
}

const PURIFIED: readonly SampleRole[] = ['crude', 'product', 'second crop', 'residue']

function impurityOf(role: SampleRole, { input, result }: PlanFixed, drawn: number): number {
  const liquor = liquorOf(input, result)
  switch (role) {
    case 'crude':
      return Math.min(0.9, (1 - input.assay) * drawn)
    case 'residue':
      return Math.min(0.95, 1 - liquor.assay)
    case 'second crop':
      return Math.min(0.9, (1 - input.assay) / 2)
    default:
      return Math.min(1 - input.assay, 1 - result.crystalMassFraction + CLINGING)
  }
}

/** An impurity nothing is known of: of the same size, melting a little higher. */
function someImpurity(a: Fusion): Fusion {
  const meltingPointC = a.meltingPointC + 20
  return {
    meltingPointC,
    enthalpyKJPerMol: waldenFusionEnthalpy(meltingPointC),
    molarMassGPerMol: a.molarMassGPerMol,
  }
}
