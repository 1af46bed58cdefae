import type { Planned } from '@ivory-crystal/core'
import { fixed } from '../../../format/format'

/** What the volumes come to, in one line. */
export function planHeading({ plan, pair }: Pick<Planned, 'plan' | 'pair'>): string {
  const ml = (value: number) => fixed(value, value < 1 ? 2 : 1)
  if (pair) return `Dissolve in ${ml(pair.goodML)}, cloud with ${ml(pair.poorML)} mL`
  return `Dissolve near ${ml(plan.minimumHotML)}, then ${ml(plan.hotML)} mL`
}
