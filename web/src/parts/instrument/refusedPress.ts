import type { Moment } from '@ivory-crystal/core/notebook'
import type { PadMark } from '../../drawings/MarkPad'

/** Why a press on the pad marks nothing, at the bench and in practice; null where it does. */
export function refusedPress(
  slot: number,
  moment: Moment,
  {
    slots,
    marks,
    isHeard,
  }: {
    /** Where a tube is. */
    readonly slots: readonly number[]
    /** Those that stand. */
    readonly marks: readonly PadMark[]
    readonly isHeard: boolean
  },
): string | null {
  if (!slots.includes(slot)) return `There is no tube in slot ${slot}.`
  if (!isHeard) return 'The instrument has not answered yet in this run.'
  const standing = marks.find(({ entry: { body } }) => body.slot === slot && body.moment === moment)
  return standing && moment !== 'early sign'
    ? `“${moment}” of tube ${slot} is marked at ${standing.temperature?.text ?? '…'} °C. Strike that one out first.`
    : null
}

/** What is said where there is none. */
export const NO_MARK_TO_STRIKE = 'There is no mark to strike out.'
