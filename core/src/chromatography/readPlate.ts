import { ImpossibleInput } from '../problems'
import { poorEvidence, retentionFactor, type RetentionFactor, spotsAgree } from './retentionFactor'

export const LANE_KINDS = ['sample', 'authentic', 'co-spot'] as const
export type LaneKind = (typeof LANE_KINDS)[number]

export interface Lane {
  readonly label: string
  readonly kind: LaneKind
  /** From the pencil line to the centre of each spot, mm. */
  readonly spotsMm: readonly number[]
}
export interface ReadLane extends Lane {
  readonly spots: readonly (RetentionFactor & { readonly poor: string | null })[]
}
/** What a plate says beside the melting range. */
export interface PlateOpinion {
  /** Most spots a lane of the sample showed. */
  readonly spots: number
  /** Sample and authentic sample at one height; null without both, or where the plate cannot say. */
  readonly agrees: boolean | null
  /** Retention factor of the sample's main spot, and of the authentic one beside it. */
  readonly rf: number | null
  readonly authenticRf: number | null
  readonly isPoor: boolean
  readonly sentence: string
}

/**
 * Retention factors of every spot, lane by lane.
 *
 * @param frontMm from the pencil line to the solvent front
 * @throws ImpossibleInput on an impossible distance, named by its lane
 */
export function readLanes(lanes: readonly Lane[], frontMm: number): readonly ReadLane[] {
  return lanes.map((lane) => ({
    ...lane,
    spots: lane.spotsMm.map((mm) => {
      try {
        const factor = retentionFactor(mm, frontMm)
        return { ...factor, poor: poorEvidence(factor) }
      } catch (error) {
        if (error instanceof ImpossibleInput)
          throw new ImpossibleInput(error.code, `${lane.label}: ${error.message}`)
        throw error
      }
    }),
  }))
}

/**
 * What a thin-layer plate says of a sample beside an authentic one: how many spots, and whether at one height.
 * A co-spot of both in one place is the sharper test: two spots there are two compounds.
 *
 * @param frontMm from the pencil line to the solvent front
 * @param trouble what spoils the plate as a whole (`plateTrouble`): then it is poor evidence, and says why
 * @returns null when no sample was spotted or nothing was seen in its lane
 * @throws ImpossibleInput on an impossible distance
 */
export function readPlate(
  lanes: readonly Lane[],
  frontMm: number,
  trouble: readonly string[] = [],
): PlateOpinion | null {
  const read = readLanes(lanes, frontMm)
  const of = (kind: LaneKind) => read.filter((lane) => lane.kind === kind && lane.spots.length > 0)
  const samples = of('sample')
  const spots = Math.max(0, ...samples.map((lane) => lane.spots.length))
  const main = samples[0]?.spots[0]
  if (!main) return null
  const authentic = of('authentic')[0]
  const beside = authentic ? nearest(authentic.spots, main) : null
  const coSpot = of('co-spot')[0]
  const isPoor = main.poor !== null || trouble.length > 0
  const sameHeight = beside ? spotsAgree(main, beside) : null
  const coSpotSplits =
    coSpot && authentic ? coSpot.spots.length > Math.max(authentic.spots.length, spots) : null
  // Lanes differ by a millimetre or two by themselves: where both were spotted together, that decides.
  const nearly = beside !== null && Math.abs(main.rf - beside.rf) * frontMm <= LANES_DIFFER_MM
  const isTogether = coSpotSplits === false && nearly
  const agrees = sameHeight === null ? null : isTogether || (sameHeight && coSpotSplits !== true)
  const opinion = {
    spots,
    agrees: isPoor && agrees === true ? null : agrees,
    rf: main.rf,
    authenticRf: beside?.rf ?? null,
    isPoor,
  }
  const sentence = plateSentence(
    { ...opinion, isPoor: main.poor !== null },
    coSpotSplits,
    isTogether && !sameHeight,
  )
  return { ...opinion, sentence: trouble.length > 0 ? trouble.join(' ') : sentence }
}

/** Lanes of one plate run this much apart by themselves, mm. */
const LANES_DIFFER_MM = 2

function nearest<T extends RetentionFactor>(spots: readonly T[], to: RetentionFactor): T | null {
  return spots.reduce<T | null>(
    (best, spot) => (best && Math.abs(best.rf - to.rf) <= Math.abs(spot.rf - to.rf) ? best : spot),
    null,
  )
}

function plateSentence(
  { spots, agrees, rf, authenticRf, isPoor }: Omit<PlateOpinion, 'sentence'>,
  coSpotSplits: boolean | null,
  /** Apart in their lanes by what lanes differ by, and in one place spotted together. */
  isTogether: boolean,
): string {
  const count = spots === 1 ? 'One spot' : `${spots} spots`
  const at = rf === null ? '' : ` at Rf ${rf.toFixed(2)}`
  const beside = authenticRf === null ? '' : `, the authentic sample at ${authenticRf.toFixed(2)}`
  if (coSpotSplits) return `${count}${at}${beside}; spotted together they separate: two compounds.`
  if (isPoor) return `${count}${at}${beside}: so near an end of the plate that most compounds would be there.`
  if (agrees === null) return `${count}${at}; there is no authentic sample beside it.`
  if (isTogether)
    return `${count}${at}${beside}; spotted together they stay in one place, although the two lanes differ. Other compounds may have the same Rf.`
  return agrees
    ? `${count}${at}${beside}: the same Rf within the reading error. Other compounds may have the same Rf.`
    : `${count}${at}${beside}: further apart than the reading error, so not the same compound.`
}
