import type { BlockCharacter } from '../contract'

/** The simulated programmable block of the demo bench. Its numbers are its own; no instrument is copied. */
export const PROGRAMMABLE_BLOCK: BlockCharacter = {
  name: 'programmable block',
  ambientC: 22,
  maxC: 300,
  heatCPerMin: 20,
  coolTimeConstantMin: 9,
  rates: [0.5, 1, 2, 5, 10],
  slots: 3,
  sampleLagMin: 0.3,
  probeLagMin: 0.1,
  probeNoiseC: 0.03,
  probeOffsetC: -0.1,
  decimals: 1,
}
