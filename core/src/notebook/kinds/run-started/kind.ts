import type { SimulatedSample } from '../../../instruments/reading'
import type { Packing } from '../../../heating/observedRange'
import type { InstrumentId, RunId } from '../../../ids'
import type { BlockCharacter } from '../../../instruments/characters'
import { defineKind } from '../defineKind'

/** Everything the replay of a simulated run needs besides the commands. */
export interface Simulation {
  readonly seed: number
  readonly character: BlockCharacter
  readonly tubes: readonly {
    readonly slot: number
    /** null: the contents of an unknown whose answer is sealed; the server alone knows them. */
    readonly sample: SimulatedSample | null
    readonly packing: Packing
  }[]
}
/** A run begins: on a simulated instrument, on one that is connected, or by hand with a thermometer read by eye. */
export interface RunStarted {
  readonly run: RunId
  readonly instrument: InstrumentId
  readonly feed: 'simulated' | 'connected' | 'by hand'
  readonly simulation: Simulation | null
  /** null when nobody has read it yet. */
  readonly blockC: number | null
  /** False for a thermometer read by eye: readings are typed, and the recorder writes none. */
  readonly recorded: boolean
}

const WORDS = {
  simulated: (name: string) => `The simulated ${name} began a run`,
  connected: () => 'The connected instrument began a run',
  'by hand': () => 'A run by hand began',
} as const

export const runStarted = defineKind<RunStarted>()({
  kind: 'run started',
  version: 2,
  about: 'melt',
  sentence: ({ feed, simulation, blockC }) =>
    `${WORDS[feed](simulation?.character.name ?? '')}${blockC === null ? '' : `, at ${blockC.toFixed(1)} °C`}.`,
})
