import type { EpochMs } from '../ids'
import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import type { SampleRole } from '../notebook/kinds/sample-named/kind'
import { nextRandom } from '../math/random'

export type PanLoad = 'nothing' | 'empty vessel' | 'vessel with sample' | 'boat with sample'

/** Share of the predicted crystals that stays on glass and paper. */
const TRANSFER_LOSS: readonly [number, number] = [0.04, 0.12]
/** Solvent the crystals hold when drying begins, as a share of their mass, and how fast it goes, min. */
const DAMP_SHARE = 0.14
const DRYING_MIN = 9

/**
 * What a simulated pan carries, since nothing real is on it: vessels of a mass of their own, the product near
 * what the plan predicts less transfers and still damp at first, the residue near what the liquor holds.
 *
 * @param seed of the sample: the same sample and vessel weigh the same each time
 * @param driedMs time the sample has been drying
 * @param crudeG mass to give the crude, when none has been weighed
 * @returns g
 */
export function simulatedPan(
  load: PanLoad,
  role: SampleRole,
  plan: PlanFixed | null,
  { seed, driedMs, crudeG }: { readonly seed: number; readonly driedMs: EpochMs; readonly crudeG: number },
): number {
  const first = nextRandom(seed)
  const second = nextRandom(first.state)
  const vesselG = load === 'boat with sample' ? 0.4 + first.value * 0.3 : 18 + first.value * 20
  switch (load) {
    case 'nothing':
      return 0
    case 'empty vessel':
      return vesselG
    default: {
      const sampleG = sampleMassG(role, plan, second.value, crudeG)
      const damp = role === 'crude' ? 0 : DAMP_SHARE * Math.exp(-driedMs / 60_000 / DRYING_MIN)
      return vesselG + sampleG * (1 + damp)
    }
  }
}

function sampleMassG(role: SampleRole, plan: PlanFixed | null, drawn: number, crudeG: number): number {
  if (role === 'crude' || !plan) return crudeG * (0.97 + 0.06 * drawn)
  const { result, input } = plan
  const lost = TRANSFER_LOSS[0] + drawn * (TRANSFER_LOSS[1] - TRANSFER_LOSS[0])
  const impurityG = input.crudeG * (1 - input.assay) - result.gritG - result.impurityInCrystalsG
  switch (role) {
    case 'residue':
      return (result.productInLiquorG + impurityG) * (0.9 + 0.15 * drawn)
    case 'second crop':
      return result.productInLiquorG * (0.4 + 0.3 * drawn)
    case 'grit':
      return Math.max(0.001, result.gritG)
    default:
      return result.crystalMassG * (1 - lost)
  }
}
