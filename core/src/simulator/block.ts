import { look, putIn, type TubeState, warm } from './tube'
import type { BlockCommand, BlockReading } from '../instruments/reading'
import type { BlockCharacter } from '../instruments/characters'
import { ImpossibleInput } from '../problems'
import { nextNormal } from '../math/random'

/** Fixed inner step, s; one reading is given each second. */
const STEP_S = 0.25
const STEPS_A_READING = 4
/** How hard the controller pulls the heater towards where it should be, per s. */
const HEATER_GAIN_PER_S = 0.5
/** Most the heater can give, as °C/s of the block. */
const HEATER_MOST = 1.5

export interface BlockState {
  readonly character: BlockCharacter
  readonly random: number
  readonly sample: number
  readonly heaterC: number
  readonly blockC: number
  readonly probeC: number
  /** Where the programme wants the block now, °C, and how fast that moves, °C/s; null when the heater is off. */
  readonly program: { readonly setC: number; readonly endC: number; readonly slopeCPerS: number } | null
  /** Where the dial stands; 0 is off. */
  readonly dial: number
  readonly phase: BlockReading['phase']
  readonly tubes: readonly TubeState[]
}

/**
 * A simulated instrument at rest: heater and block are two masses, so that a change is felt late.
 *
 * @param character lags min, rates °C/min, temperatures °C
 * @param seed of its noise
 * @param options temperature it starts at (the room by default) and the tubes it will be given
 */
export function createBlock(
  character: BlockCharacter,
  seed: number,
  options: { blockC?: number; tubes?: readonly TubeState[] } = {},
): BlockState {
  const blockC = options.blockC ?? character.ambientC
  return {
    character,
    random: seed | 0,
    sample: 0,
    heaterC: blockC,
    blockC,
    probeC: blockC,
    program: null,
    dial: 0,
    phase: 'idle',
    tubes: options.tubes ?? [],
  }
}

/**
 * Gives the commands, then lets whole seconds pass. Pure: same state, commands and seconds, same readings,
 * however the seconds are cut up.
 *
 * @param commands carried out in order, now
 * @param seconds whole seconds to pass
 * @returns the state after, and one reading for each second
 * @throws ImpossibleInput on a command outside the instrument's limits, or seconds not whole
 */
export function advance(
  state: BlockState,
  commands: readonly BlockCommand[],
  seconds: number,
): { readonly state: BlockState; readonly readings: readonly BlockReading[] } {
  if (!Number.isInteger(seconds) || seconds < 0)
    throw new ImpossibleInput('bad-duration', 'The simulation advances in whole seconds.')
  let current = commands.reduce(obey, state)
  const readings: BlockReading[] = []
  for (let second = 0; second < seconds; second++) {
    for (let i = 0; i < STEPS_A_READING; i++) current = step(current)
    const read = readingOf({ ...current, sample: current.sample + 1 })
    current = read.state
    readings.push(read.reading)
  }
  return { state: current, readings }
}

function obey(state: BlockState, command: BlockCommand): BlockState {
  const { character } = state
  switch (command.kind) {
    case 'preheat':
      requireProgramme(character)
      requireReachable(command.toC, character)
      return {
        ...state,
        phase: 'preheating',
        program: { setC: state.blockC, endC: command.toC, slopeCPerS: character.heatCPerMin / 60 },
      }
    case 'tubes in':
      return { ...state, tubes: state.tubes.map((tube) => putIn(tube, character.ambientC)) }
    case 'ramp':
      requireProgramme(character)
      requireReachable(command.toC, character)
      if (!character.rates.includes(command.rateCPerMin))
        throw new ImpossibleInput(
          'bad-rate',
          `This block ramps at ${character.rates.join(', ')} °C/min only.`,
        )
      return {
        ...state,
        phase: 'ramping',
        program: { setC: state.blockC, endC: command.toC, slopeCPerS: command.rateCPerMin / 60 },
      }
    case 'dial':
      requireSetting(command.setting, character)
      return { ...state, phase: command.setting > 0 ? 'heating' : 'cooling', dial: command.setting }
    case 'stop':
      return { ...state, phase: 'cooling', program: null, dial: 0 }
    default:
      throw new ImpossibleInput('unknown-command', 'This block does not know that command.')
  }
}

function requireProgramme({ control, name }: BlockCharacter): void {
  if (control !== 'program')
    throw new ImpossibleInput('unknown-command', `The ${name} has no program: its ${control} sets the heat.`)
}

function requireSetting(setting: number, { dial, name }: BlockCharacter): void {
  if (!dial) throw new ImpossibleInput('unknown-command', `The ${name} has no dial.`)
  const steps = setting / dial.step
  if (!(setting >= 0 && setting <= dial.max) || Math.abs(steps - Math.round(steps)) > 1e-6)
    throw new ImpossibleInput(
      'bad-dial',
      `It can be set from 0 to ${dial.max} in steps of ${dial.step}; ${setting} lies outside or between.`,
    )
}

function requireReachable(toC: number, character: BlockCharacter): void {
  if (!(toC > character.ambientC && toC <= character.maxC))
    throw new ImpossibleInput(
      'bad-rate',
      `This block goes from the room's ${character.ambientC} °C to ${character.maxC} °C; ${toC} °C lies outside.`,
    )
}

function step(state: BlockState): BlockState {
  const { character, heaterC, blockC } = state
  const { heaterMass, heaterToBlockS } = character
  const lossPerS = (1 + heaterMass) / (60 * character.coolTimeConstantMin)
  const program = advanceProgram(state.program)
  const power = program ? heaterPower(state, program, lossPerS) : dialPower(state, lossPerS)
  const intoBlock = (heaterC - blockC) / heaterToBlockS
  const nextHeaterC = heaterC + (STEP_S * (power - intoBlock)) / heaterMass
  const nextBlockC = blockC + STEP_S * (intoBlock - (blockC - character.ambientC) * lossPerS)
  const probeLagS = 60 * character.probeLagMin
  return {
    ...state,
    program,
    phase: phaseAfter(state.phase, program, nextBlockC),
    heaterC: nextHeaterC,
    blockC: nextBlockC,
    probeC:
      state.probeC + (nextBlockC - state.probeC) * (probeLagS > 0 ? 1 - Math.exp(-STEP_S / probeLagS) : 1),
    tubes: state.tubes.map((tube) => warm(tube, nextBlockC, STEP_S)),
  }
}

function advanceProgram(program: BlockState['program']): BlockState['program'] {
  if (!program) return null
  const setC = Math.min(program.endC, program.setC + program.slopeCPerS * STEP_S)
  return { ...program, setC, slopeCPerS: setC >= program.endC ? 0 : program.slopeCPerS }
}

/** Feed-forward for the wanted slope and the losses, plus what brings heater and block back to where they should be. */
function heaterPower(
  state: BlockState,
  program: NonNullable<BlockState['program']>,
  lossPerS: number,
): number {
  const lossesCPerS = (program.setC - state.character.ambientC) * lossPerS
  const { heaterMass, heaterToBlockS } = state.character
  const lead = heaterToBlockS * (program.slopeCPerS + lossesCPerS)
  const wantedHeaterC = program.setC + lead + 0.8 * (program.setC - state.blockC)
  const power =
    (1 + heaterMass) * program.slopeCPerS +
    lossesCPerS +
    HEATER_GAIN_PER_S * heaterMass * (wantedHeaterC - state.heaterC)
  return Math.min(HEATER_MOST, Math.max(0, power))
}

/** A dial gives a power; left alone it holds the block gain·d^exponent above the room. */
function dialPower({ character: { dial: has }, dial }: BlockState, lossPerS: number): number {
  return has && dial > 0 ? has.gain * dial ** has.exponent * lossPerS : 0
}

function phaseAfter(
  phase: BlockReading['phase'],
  program: BlockState['program'],
  blockC: number,
): BlockReading['phase'] {
  if (phase === 'preheating' && program && program.slopeCPerS === 0 && Math.abs(blockC - program.endC) < 0.3)
    return 'holding'
  if (phase === 'ramping' && program && program.slopeCPerS === 0 && blockC >= program.endC - 0.3)
    return 'holding'
  return phase
}

function readingOf(state: BlockState): { state: BlockState; reading: BlockReading } {
  const { character } = state
  const noise = nextNormal(state.random)
  const shownC =
    state.probeC * (1 + character.probeSlope) + character.probeOffsetC + character.probeNoiseC * noise.value
  const text = shownC.toFixed(character.decimals)
  const lit = character.readsLight ? lightThrough(state, noise.state) : { random: noise.state }
  return {
    state: { ...state, random: lit.random },
    reading: {
      sample: state.sample,
      atS: state.sample,
      probe: { text, value: Number(text) },
      phase: state.phase,
      tubes: state.tubes.map(look),
      ...('light' in lit ? { light: lit.light } : {}),
      ...(character.dial ? { dial: state.dial } : {}),
    },
  }
}

/** Powder scatters nearly all light, the melt lets it through; between them by what has melted. */
const LIGHT = { powder: 0.06, melt: 0.9, noise: 0.006 } as const

function lightThrough(state: BlockState, random: number): { random: number; light: number[] } {
  const light: number[] = []
  let at = random
  for (const tube of state.tubes) {
    const noise = nextNormal(at)
    at = noise.state
    const { look: seen, liquidFraction } = look(tube)
    const through = seen === 'not in' ? 0 : LIGHT.powder + (LIGHT.melt - LIGHT.powder) * liquidFraction ** 2
    light.push(Math.round(1e4 * Math.min(1, Math.max(0, through + LIGHT.noise * noise.value))) / 1e4)
  }
  return { random: at, light }
}
