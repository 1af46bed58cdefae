import { ImpossibleInput, requireNumber } from '../problems'
import { significant } from '../words'

/**
 * Drops per millilitre of one pipette, counted once: different pipettes and solvents give different drops.
 *
 * @param drops counted
 * @param volumeML they came to
 * @throws ImpossibleInput unless both are above zero and the answer is one a pipette can give (5 to 200)
 * @example dropsPerML(27, 1.0) // 27
 */
export function dropsPerML(drops: number, volumeML: number): number {
  requireNumber(drops, 'The number of drops')
  requireNumber(volumeML, 'The volume')
  if (!(drops > 0 && volumeML > 0))
    throw new ImpossibleInput('bad-drops', 'Count some drops into some volume.')
  const perML = drops / volumeML
  if (perML < 5 || perML > 200)
    throw new ImpossibleInput(
      'bad-drops',
      `${significant(perML, 3)} drops per mL do not fit a pipette (most give 20 to 60). Was the volume in mL?`,
    )
  return perML
}
