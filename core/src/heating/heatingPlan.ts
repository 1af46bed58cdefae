import type { RampInput, RampPlan } from './planRamp'
import type { DialPlan, DialPlanInput } from './planDial'

/** How a melt is to be heated. */
export type Heating =
  | { readonly by: 'ramp'; readonly input: RampInput; readonly plan: RampPlan }
  | { readonly by: 'dial'; readonly input: DialPlanInput; readonly plan: DialPlan }
  /** No programme and no learned dial: heated by hand and watched. */
  | { readonly by: 'hand'; readonly blockC: number; readonly warnings: readonly string[] }
/** What a watcher needs of a plan, however it is heated. */
export interface MeltWindow {
  readonly startC: number
  readonly watchFromC: number
  readonly stopC: number
  readonly rateCPerMin: number
  /** null when nobody can say. */
  readonly watchFromMin: number | null
  readonly totalMin: number | null
}
