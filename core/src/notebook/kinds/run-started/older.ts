import { wholeCharacter } from '../../../instruments/shipped'
import type { Upcasts } from '../defineKind'
import type { RunStarted, Simulation } from './kind'

/** The first version knew one simulated programmable block. */
function fromV1(body: unknown): RunStarted {
  const { run, instrument, seed, character, blockC, tubes } = body as Omit<RunStarted, 'simulation'> &
    Simulation
  return {
    run,
    instrument,
    feed: 'simulated',
    simulation: { seed, character: wholeCharacter(character), tubes },
    blockC,
    recorded: true,
  }
}

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: fromV1 }
