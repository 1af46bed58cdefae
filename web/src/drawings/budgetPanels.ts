import {
  type BudgetRow,
  furthestEnd,
  type HouseWords,
  type Measured,
  type Cause,
} from '@ivory-crystal/core/judging'
import { tenths } from '@ivory-crystal/core/math'
import { fixed } from '../format/format'

/** A stretch of degrees with its own axis; a degree is as long in both panels. */
export interface Panel {
  readonly end: 'width' | 'onset' | 'clear'
  readonly title: string
  readonly fromC: number
  readonly toC: number
  readonly readC: number
  readonly marks: readonly { readonly atC: number; readonly label: string }[]
  /** What the house counts as the same place, °C. */
  readonly band: readonly [number, number] | null
}

/** Whether it may own anything of what is drawn. */
export function ownsOf({ endC }: BudgetRow, panels: readonly Panel[]): boolean {
  return panels.some(({ end }) => tenths(endC[end].leastC) !== 0 || tenths(endC[end].mostC) !== 0)
}

export function panelsOf(
  { distanceC, widthC, against }: Measured,
  rows: readonly BudgetRow[],
  {
    sharpWidthC,
    broadWidthC,
    literatureWithinC,
  }: Pick<HouseWords, 'sharpWidthC' | 'broadWidthC' | 'literatureWithinC'>,
): readonly Panel[] {
  const width: Panel = {
    end: 'width',
    title: `the width, ${fixed(widthC, 1)} °C`,
    fromC: 0,
    toC: 1.1 * Math.max(widthC, broadWidthC),
    readC: widthC,
    marks: [
      { atC: sharpWidthC, label: 'sharp' },
      { atC: broadWidthC, label: 'broad' },
    ],
    band: null,
  }
  if (!distanceC || !against) return [width]
  const end = furthestEnd(distanceC)
  const readC = distanceC[end]
  // As far as the owners that are known reach, and never only to the reading’s edge.
  const reach = rows
    .filter(({ owner, isOpenEnded }) => owner !== 'sample' && !isOpenEnded)
    .flatMap(({ endC }) => [endC[end].leastC, endC[end].mostC])
  const within = against.what === 'literature' ? literatureWithinC : 0
  const name = end === 'onset' ? 'onset' : 'clear point'
  const what = against.what === 'literature' ? 'literature' : 'the authentic sample'
  return [
    width,
    {
      end,
      title:
        tenths(readC) === 0
          ? `the ${name}, in place`
          : `the ${name}, ${fixed(Math.abs(readC), 1)} °C ${readC < 0 ? 'below' : 'above'} ${what}`,
      fromC: Math.min(readC, -within, ...reach) - 0.6,
      toC: Math.max(readC, within, ...reach) + 0.6,
      readC,
      marks: [{ atC: 0, label: against.what === 'literature' ? 'literature' : 'authentic' }],
      band: within > 0 ? [-within, within] : null,
    },
  ]
}

/** Where a value stands in a panel, % of its width; what lies beyond stands at its edge. */
export const at = ({ fromC, toC }: Panel, valueC: number) =>
  100 * Math.min(1, Math.max(0, (valueC - fromC) / (toC - fromC)))

/** The stretches that are certainly somebody’s, one after the other, and what at the far end is certainly the sample’s. */
export function cut({ end, readC }: Panel, rows: readonly BudgetRow[]) {
  const whole = Math.abs(readC)
  const certain = ({ endC }: BudgetRow) => Math.max(0, readC < 0 ? -endC[end].mostC : endC[end].leastC)
  const sample = rows.find(({ owner }) => owner === 'sample')
  const own = Math.min(whole, sample ? certain(sample) : 0)
  let upTo = 0
  const parts: { readonly owner: Cause; readonly from: number; readonly to: number }[] = []
  for (const row of rows) {
    const share = row === sample ? 0 : Math.min(certain(row), whole - own - upTo)
    if (share <= 0.04) continue
    parts.push({ owner: row.owner, from: upTo, to: upTo + share })
    upTo += share
  }
  return { parts, upTo, own }
}
