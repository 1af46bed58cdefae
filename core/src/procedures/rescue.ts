import type { Station } from '../stations/stations'
import type { Procedure } from './procedure'

interface Remedy {
  readonly id: string
  readonly text: string
  readonly caution?: string
}
export interface Rescue {
  readonly id: string
  readonly title: string
  readonly at: readonly Station[]
  /** Ways of collecting it can happen in; any when not said. */
  readonly collect?: readonly Procedure['collect'][]
  readonly why: string
  /** In the order to try them. */
  readonly remedies: readonly Remedy[]
}
