import type { BlockCharacter } from '../contract'
import type { BalanceCharacter } from './balance'

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

/** The simulated balance of the demo bench, likewise. */
export const TEACHING_BALANCE: BalanceCharacter = {
  name: 'teaching balance',
  readabilityG: 0.001,
  maxG: 220,
  settleS: 0.7,
  driftGPerMin: 0.0002,
  noiseG: 0.0003,
}
