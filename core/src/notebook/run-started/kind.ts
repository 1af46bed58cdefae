import type { BlockCharacter, InstrumentId, Packing, RunId, SimulatedSample } from '../../contract'
import { defineKind } from '../defineKind'

/** The server starts a simulated run: everything its replay needs besides the commands. */
export interface RunStarted {
  readonly run: RunId
  readonly instrument: InstrumentId
  readonly simulated: true
  readonly seed: number
  readonly character: BlockCharacter
  readonly blockC: number
  readonly tubes: readonly {
    readonly slot: number
    readonly sample: SimulatedSample
    readonly packing: Packing
  }[]
}
export const runStarted = defineKind<RunStarted>()({
  kind: 'run started',
  version: 1,
  about: 'melt',
  sentence: (body) =>
    `The simulated ${body.character.name} began a run with its block at ${body.blockC.toFixed(1)} °C.`,
})
