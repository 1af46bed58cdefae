import type {
  Conventions,
  EntryId,
  Grain,
  InstrumentId,
  PrepId,
  RampInput,
  RampPlan,
  SampleId,
} from '../../contract'
import { defineKind } from '../defineKind'

export interface PlannedTube {
  /** 1, 2 or 3. */
  readonly slot: number
  readonly sample: SampleId
  readonly label: string
  readonly fillMm: number
  readonly grain: Grain
}
/** A melt is planned: which samples in which slots, and the ramp, with what it rested on. */
export interface MeltPlanned {
  readonly prep: PrepId | null
  readonly instrument: InstrumentId
  readonly tubes: readonly PlannedTube[]
  readonly literature: { readonly lowC: number; readonly highC: number; readonly source: string }
  readonly input: RampInput
  readonly plan: RampPlan
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export const meltPlanned = defineKind<MeltPlanned>()({
  kind: 'melt planned',
  version: 1,
  about: 'melt',
  sentence: (body) =>
    `Planned a melt of ${body.tubes.map((tube) => tube.label).join(' and ')}: ${body.plan.startC.toFixed(1)} to ${body.plan.stopC.toFixed(1)} °C at ${body.plan.rateCPerMin} °C/min.`,
})
