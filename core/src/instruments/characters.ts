/** A heated instrument's own character; every number is of the simulated stand-in. */
export interface BlockCharacter {
  readonly name: string
  readonly ambientC: number
  readonly maxC: number
  readonly heatCPerMin: number
  readonly coolTimeConstantMin: number
  readonly rates: readonly number[]
  readonly slots: number
  /** How far behind the block a fine powder in its tube follows. */
  readonly sampleLagMin: number
  readonly probeLagMin: number
  readonly probeNoiseC: number
  /** Constant error of the probe. */
  readonly probeOffsetC: number
  /** Error of the probe that grows with temperature, °C per °C. */
  readonly probeSlope: number
  /** Decimals the display gives. */
  readonly decimals: number
  /** What sets its heat: a programme of start, ramp and stop; a dial of power; a flame that is moved. */
  readonly control: 'program' | 'dial' | 'flame'
  /** What the dial does (a flame counts as a coarse one); null with a programme. */
  readonly dial: {
    readonly max: number
    readonly step: number
    readonly gain: number
    readonly exponent: number
  } | null
  /** Heat the heater holds, as a share of the block's, and how slowly it passes over, s. */
  readonly heaterMass: number
  readonly heaterToBlockS: number
  /** How its temperature is known: a probe that is recorded, or a glass thermometer read by eye. */
  readonly readBy: 'probe' | 'eye'
  /** Whether it reads the light that comes through each tube. */
  readonly readsLight: boolean
}

/** What every programmed metal block of the bench shares. */
const PROGRAMMED = {
  control: 'program',
  dial: null,
  heaterMass: 0.15,
  heaterToBlockS: 14,
  readBy: 'probe',
  readsLight: false,
  probeSlope: 0,
} as const

/** The simulated programmable block of the demo bench. Its numbers are its own; no instrument is copied. */
export const PROGRAMMABLE_BLOCK: BlockCharacter = {
  ...PROGRAMMED,
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

/** The simulated block with a dial: its probe reads low, and lower the hotter. */
export const DIAL_BLOCK: BlockCharacter = {
  name: 'dial block',
  ambientC: 22,
  maxC: 280,
  heatCPerMin: 25,
  coolTimeConstantMin: 8.5,
  rates: [1, 2, 5, 10],
  slots: 3,
  sampleLagMin: 0.35,
  probeLagMin: 0.15,
  probeNoiseC: 0.04,
  probeOffsetC: 0.4,
  probeSlope: -0.014,
  decimals: 1,
  control: 'dial',
  dial: { max: 10, step: 0.25, gain: 19, exponent: 1.22 },
  heaterMass: 0.2,
  heaterToBlockS: 45,
  readBy: 'probe',
  readsLight: false,
}

/** The simulated block that reads the light through its tubes and finds the melt itself. */
export const DETECTING_BLOCK: BlockCharacter = {
  ...PROGRAMMED,
  name: 'detecting block',
  ambientC: 22,
  maxC: 350,
  heatCPerMin: 25,
  coolTimeConstantMin: 7,
  rates: [0.2, 0.5, 1, 2, 5],
  slots: 3,
  sampleLagMin: 0.25,
  probeLagMin: 0.1,
  probeNoiseC: 0.02,
  probeOffsetC: 0.15,
  decimals: 1,
  readsLight: true,
}

/** The simulated hot stage: a thin plate, quick and light, one preparation under a cover slip. */
export const HOT_STAGE: BlockCharacter = {
  ...PROGRAMMED,
  name: 'hot stage',
  ambientC: 22,
  maxC: 320,
  heatCPerMin: 30,
  coolTimeConstantMin: 4,
  rates: [0.5, 1, 2, 3, 5],
  slots: 1,
  sampleLagMin: 0.15,
  probeLagMin: 0.1,
  probeNoiseC: 0.03,
  probeOffsetC: -0.3,
  decimals: 1,
}

/** The simulated oil-filled side-arm tube over a small flame, with a glass thermometer read by eye. */
export const OIL_BATH_TUBE: BlockCharacter = {
  name: 'oil-bath tube',
  ambientC: 22,
  maxC: 200,
  heatCPerMin: 15,
  coolTimeConstantMin: 12,
  rates: [1, 2, 5, 10],
  slots: 2,
  sampleLagMin: 0.3,
  probeLagMin: 0.45,
  probeNoiseC: 0.05,
  probeOffsetC: 0.3,
  probeSlope: -0.006,
  decimals: 1,
  control: 'flame',
  dial: { max: 6, step: 0.5, gain: 24, exponent: 1.2 },
  heaterMass: 0.1,
  heaterToBlockS: 30,
  readBy: 'eye',
  readsLight: false,
}
