import { attempt, type Result } from '../problems'
import type { BlockCharacter } from '../instruments/characters'
import { advance, createBlock } from './block'

const SECONDS = 1200
const EVERY_S = 30

/**
 * A heating of a simulated instrument from cold with its dial left at one setting: what its thermometer reads
 * every half minute for twenty minutes.
 *
 * @returns [min, °C]; a problem for a setting the dial does not have
 */
export function simulatedHeating(
  character: BlockCharacter,
  dial: number,
  seed: number,
): Result<readonly (readonly [minutes: number, temperatureC: number])[]> {
  return attempt(() => {
    const started = advance(createBlock(character, seed), [{ kind: 'dial', setting: dial }], 0).state
    return advance(started, [], SECONDS)
      .readings.filter(({ sample }) => sample % EVERY_S === 0)
      .map(({ sample, probe }) => [sample / 60, probe.value] as const)
  })
}
