import type { Heating, MeltWindow } from '../../../heating/heatingPlan'
import type { Grain } from '../../../heating/observedRange'
import type { EntryId, InstrumentId, PrepId, SampleId } from '../../../ids'
import type { Conventions } from '../../../conventions/conventions'
import type { Calibration } from '../../../thermometer/correctReading'
import { defineKind } from '../defineKind'

export interface PlannedTube {
  /** 1 to the instrument's slots. */
  readonly slot: number
  readonly sample: SampleId
  readonly label: string
  readonly fillMm: number
  readonly grain: Grain
  /** The tube of the rack it is, when it came from there. */
  readonly tube?: EntryId | undefined
}
/** A melt is planned: which samples in which slots, and how they are heated, with what it rested on. */
export interface MeltPlanned {
  /** The prep whose page it is planned from; its tubes may be of others. */
  readonly prep: PrepId | null
  readonly instrument: InstrumentId
  readonly instrumentName: string
  /** A scouting run looks quickly for a rough value. */
  readonly purpose: 'careful' | 'scouting'
  readonly tubes: readonly PlannedTube[]
  readonly literature: { readonly lowC: number; readonly highC: number; readonly source: string }
  readonly window: MeltWindow
  readonly heating: Heating
  /** What readings of this run are corrected by; null leaves them raw. */
  readonly calibration: (Calibration & { readonly entry: EntryId; readonly at: number }) | null
  readonly conventions: Conventions
  readonly coreVersion: string
  readonly restsOn: readonly EntryId[]
}
export type PlannedHeating = Pick<MeltPlanned, 'literature' | 'window' | 'heating'>
export const meltPlanned = defineKind<MeltPlanned>()({
  kind: 'melt planned',
  version: 2,
  about: 'melt',
  sentence: ({ tubes, window, purpose }) =>
    `Planned a ${purpose === 'scouting' ? 'scouting run' : 'melt'} of ${tubes.map((tube) => tube.label).join(' and ')}: ${window.startC.toFixed(1)} to ${window.stopC.toFixed(1)} °C at ${window.rateCPerMin} °C/min.`,
})
