import type { SimulatedSample } from '../instruments/reading'
import type { SampleId } from '../ids'
import type { Fusion } from '../melting/liquidus'
import type { Compound } from '../substances/shelf'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { assumedImpurity } from '../heating/compositionFromRange'
import { fusionOf } from '../substances/fusionOf'
import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import type { SampleRole } from '../notebook/kinds/sample-named/kind'
import { liquorOf } from '../solubility/cycles'
import { nextRandom } from '../math/random'
import type { View } from '../notebook/fold'
import { latestLine } from '../notebook/read'
import { prepOf } from '../notebook/views/prep'
import { sampleNamedAs } from '../notebook/views/samples'

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
function simulatedContents(
  plan: PlanFixed | null,
  compound: Compound,
  role: SampleRole,
  seed: number,
): SimulatedSample {
  const a = fusionOf(compound)
  if (!plan || !PURIFIED.includes(role)) return { a, b: null, moleFractionA: 1 }
  const b = plan.impurity ? fusionOf(plan.impurity) : assumedImpurity(a)
  const drawn = 1 + CRUDE_SPREAD * (2 * nextRandom(seed).value - 1)
  const impurityByMass = impurityOf(role, plan, drawn)
  if (impurityByMass <= 0) return { a, b: null, moleFractionA: 1 }
  return {
    a,
    b,
    moleFractionA: moleFractionFromMassFraction(1 - impurityByMass, a.molarMassGPerMol, b.molarMassGPerMol),
  }
}

/** What the server alone knows of an unknown: its contents, or null where nobody sealed an answer. */
export type SealedContents = (sample: SampleId) => SimulatedSample | null

/**
 * What a simulated tube of a named sample holds: by its prep, by the compound it was named as, for a mixture its
 * two parts as they were ground together, for an unknown what was sealed.
 *
 * @returns null when nobody said what the sample is
 */
export function simulatedTube(
  view: View,
  id: SampleId,
  seed: number,
  sealed: SealedContents,
): SimulatedSample | null {
  const sample = sampleNamedAs(view, id)
  if (!sample) return null
  const [first, second] = sample.of
  if (first && second) {
    const [p, q] = [simulatedTube(view, first, seed, sealed), simulatedTube(view, second, seed, sealed)]
    const share = latestLine(view, id, 'mixture ground')?.body.massFractionFirst ?? 0.5
    return p && q ? ground(p, q, share) : null
  }
  if (!sample.compound) return sealed(id)
  const plan = sample.prep ? (prepOf(view, sample.prep)?.plan?.body ?? null) : null
  return simulatedContents(plan, sample.compound, sample.role, seed)
}

/** Whether anything in this tube is an unknown whose contents only the server may know. */
export function holdsUnknown(view: View, id: SampleId): boolean {
  const sample = sampleNamedAs(view, id)
  if (!sample) return false
  return sample.of.length > 0 ? sample.of.some((part) => holdsUnknown(view, part)) : sample.compound === null
}

/** A compound as an instructor hands it out: as pure as said, the rest something that melts near it. */
export function sealedContents(compound: Compound, purity: number): SimulatedSample {
  const a = fusionOf(compound)
  return purity >= 1 ? { a, b: null, moleFractionA: 1 } : { a, b: assumedImpurity(a), moleFractionA: purity }
}

/** Two of one compound thin their impurity; two compounds make a mixture of the two. */
function ground(p: SimulatedSample, q: SimulatedSample, massFractionP: number): SimulatedSample {
  const x = moleFractionFromMassFraction(massFractionP, p.a.molarMassGPerMol, q.a.molarMassGPerMol)
  if (!isSame(p.a, q.a)) return { a: p.a, b: q.a, moleFractionA: x }
  const impure = [p, q].find(({ b }) => b !== null)
  return impure
    ? { ...impure, moleFractionA: x * p.moleFractionA + (1 - x) * q.moleFractionA }
    : { a: p.a, b: null, moleFractionA: 1 }
}

function isSame(p: Fusion, q: Fusion): boolean {
  return (
    Math.abs(p.meltingPointC - q.meltingPointC) < 1e-9 &&
    Math.abs(p.enthalpyKJPerMol - q.enthalpyKJPerMol) < 1e-9 &&
    Math.abs(p.molarMassGPerMol - q.molarMassGPerMol) < 1e-6
  )
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
