import type { Planned } from '@ivory-crystal/core/planning'
import { millilitres } from '../../../format/format'

/** What the volumes come to, in one line. */
export function planHeading({ plan, pair }: Pick<Planned, 'plan' | 'pair'>): string {
  if (pair) return `Dissolve in ${millilitres(pair.goodML)}, cloud with ${millilitres(pair.poorML)} mL`
  return `Dissolve near ${millilitres(plan.minimumHotML)}, then ${millilitres(plan.hotML)} mL`
}
