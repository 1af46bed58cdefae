import type { CrystallizationPlan } from '../solubility/planCrystallization'
import { flaskForML, needsReflux, roundFlaskForML, SOLID_ML_PER_G } from '../solubility/glassware'
import type { Procedure } from './procedure'
import { significant } from '../words'

/** What a Craig tube and the common centrifuge tubes hold while being stirred, mL. */
const CRAIG_ML = 2
const CENTRIFUGE_TUBES_ML = [5, 15] as const
const STIRRABLE = 0.6

export interface Glassware {
  /** null when nothing common holds the volume. */
  readonly vessel: string | null
  /** What the vessel holds to the brim, mL; null for none, and for a dish. */
  readonly vesselML: number | null
  readonly collector: string
  /** A sentence when it does not fit. */
  readonly trouble: string | null
}

/**
 * Vessel and collector for a batch, or what does not fit. A flask holds solvent and solid, and what is added for a
 * hot filtration; over 10 g or 100 mL it is a round one under a reflux condenser.
 *
 * @param excessML solvent added for a while beyond the plan's
 * @example glasswareFor('small funnel', 1.8, { hotML: 11 }) // { vessel: '25 mL Erlenmeyer flask', vesselML: 25, collector: 'Büchner funnel, 4 cm', trouble: null }
 */
export function glasswareFor(
  collect: Procedure['collect'],
  crudeG: number,
  { hotML }: Pick<CrystallizationPlan, 'hotML'>,
  excessML = 0,
): Glassware {
  const ml = `${hotML < 100 ? significant(hotML, 3) : hotML.toFixed(0)} mL`
  switch (collect) {
    case 'Craig tube':
      return {
        vessel: hotML <= CRAIG_ML ? `${CRAIG_ML} mL Craig tube` : null,
        vesselML: hotML <= CRAIG_ML ? CRAIG_ML : null,
        collector: 'centrifuge tube that takes it, and a wire',
        trouble:
          hotML <= CRAIG_ML
            ? null
            : `${ml} does not fit a Craig tube of ${CRAIG_ML} mL: take a centrifuge tube and pipette, or less crude.`,
      }
    case 'centrifuge tube': {
      const size = CENTRIFUGE_TUBES_ML.find((one) => hotML <= STIRRABLE * one)
      return {
        vessel: size === undefined ? null : `${size} mL centrifuge tube`,
        vesselML: size ?? null,
        collector: 'pipette',
        trouble:
          size === undefined
            ? `${ml} does not fit a centrifuge tube that can still be stirred. Take a flask and funnel, or divide the crude.`
            : null,
      }
    }
    case 'watch glass':
      return {
        vessel: hotML <= 25 ? 'watch glass, 10 cm' : null,
        vesselML: null,
        collector: 'beaker of boiling water',
        trouble: hotML <= 25 ? null : `${ml} is more than a watch glass holds. Evaporate it in portions.`,
      }
    case 'small funnel':
    case 'large funnel': {
      const isRound = needsReflux(crudeG, hotML)
      const size = (isRound ? roundFlaskForML : flaskForML)(hotML + excessML + SOLID_ML_PER_G * crudeG)
      const shape = isRound ? 'round-bottomed flask' : 'Erlenmeyer flask'
      return {
        vessel: size === null ? null : `${size} mL ${shape}`,
        vesselML: size,
        collector: funnelFor(crudeG),
        trouble:
          size === null
            ? `${ml} fits no common flask with room to swirl. Divide the crude into batches, or choose a solvent that needs less.`
            : null,
      }
    }
  }
}

function funnelFor(crudeG: number): string {
  if (crudeG < 0.5) return 'Hirsch funnel'
  if (crudeG < 3) return 'Büchner funnel, 4 cm'
  return crudeG < 15 ? 'Büchner funnel, 7 cm' : 'Büchner funnel, 11 cm'
}
