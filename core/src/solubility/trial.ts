import type { SolubilityPoint } from './solubilityAt'
import { ImpossibleInput, requireNumber } from '../problems'

export const COLD_SEEN = ['does not dissolve', 'some dissolves', 'all dissolves'] as const
export const HOT_SEEN = ['does not dissolve', 'some dissolves', 'all dissolves'] as const
export const COOLED_SEEN = ['many crystals', 'few crystals', 'an oil', 'nothing'] as const

/** What stands over the tubes. */
export const TRIAL_CAUTION =
  'Put a boiling stick in each tube and point its mouth away from everyone. Heat it in a bath, never in a flame, and an ether only in warm water.'

/** One test tube: a little solid, a little solvent, and what was seen; null where nothing is ticked yet. */
export interface Trial {
  readonly sampleMg: number
  readonly solventML: number
  readonly cold: (typeof COLD_SEEN)[number] | null
  readonly hot: (typeof HOT_SEEN)[number] | null
  readonly cooled: (typeof COOLED_SEEN)[number] | null
}
type TrialFit = 'good' | 'possible' | 'unsuitable' | 'not finished'
export interface TrialVerdict {
  readonly fit: TrialFit
  /** 0 to 1, for putting tubes in order. */
  readonly score: number
  readonly sentence: string
}

/**
 * What a test tube says of its solvent: hardly soluble cold, wholly soluble hot, many crystals back.
 *
 * @example judgeTrial({ sampleMg: 50, solventML: 0.5, cold: 'does not dissolve', hot: 'all dissolves', cooled: 'many crystals' }).fit // 'good'
 */
export function judgeTrial(trial: Trial): TrialVerdict {
  const { cold, hot, cooled } = trial
  if (cold === 'all dissolves')
    return {
      fit: 'unsuitable',
      score: 0.1,
      sentence:
        'It dissolves when cold, so no crystals would form. It could be the better solvent of a pair.',
    }
  if (cold !== null && hot === 'does not dissolve')
    return {
      fit: 'unsuitable',
      score: 0.05,
      sentence:
        'It does not dissolve when hot either. It could be the poorer solvent of a pair, or the rinse.',
    }
  if (cold === null || hot === null)
    return { fit: 'not finished', score: 0, sentence: 'Tick what you see cold, then hot.' }
  if (hot === 'some dissolves')
    return {
      fit: 'possible',
      score: 0.4,
      sentence:
        'Only some dissolved when hot. Add more solvent and look again; otherwise what is left is grit.',
    }
  switch (cooled) {
    case null:
      return { fit: 'not finished', score: 0.5, sentence: 'It dissolved when hot. Now cool it and look.' }
    case 'many crystals':
      return {
        fit: 'good',
        score: cold === 'does not dissolve' ? 1 : 0.8,
        sentence:
          cold === 'does not dissolve'
            ? 'Insoluble cold, soluble hot, and crystals form again: a suitable solvent.'
            : 'Crystals form again, but some stays dissolved when cold: expect to lose that.',
      }
    case 'few crystals':
      return {
        fit: 'possible',
        score: 0.55,
        sentence:
          'Few crystals form: much stays dissolved when cold. Use less solvent, or cool longer in ice.',
      }
    case 'an oil':
      return {
        fit: 'unsuitable',
        score: 0.2,
        sentence: 'It came out as an oil. A solvent that boils lower, or more solvent, could help.',
      }
    case 'nothing':
      return {
        fit: 'possible',
        score: 0.3,
        sentence: 'No crystals yet. Scratch, seed or chill it before you give it up.',
      }
  }
}

/**
 * The hot solubility a trial shows, as a point to plan a first volume with. What dissolved at least this well
 * may dissolve better: so the first volume is the most that is needed.
 *
 * @param hotC temperature the tube was heated to, °C
 * @returns [°C, g per 100 mL], or null when not all dissolved hot
 * @throws ImpossibleInput on amounts not above zero
 * @example trialPoint({ sampleMg: 50, solventML: 0.5, hot: 'all dissolves', cold: 'does not dissolve', cooled: null }, 78) // [78, 10]
 */
export function trialPoint(trial: Trial, hotC: number): SolubilityPoint | null {
  requireNumber(trial.sampleMg, 'The sample')
  if (!(trial.sampleMg > 0 && trial.solventML > 0))
    throw new ImpossibleInput('bad-volume', 'A trial needs some sample and some solvent.')
  if (trial.hot !== 'all dissolves') return null
  return [hotC, trial.sampleMg / 10 / trial.solventML]
}
