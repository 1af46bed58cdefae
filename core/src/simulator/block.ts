import type { BlockCharacter, BlockCommand, BlockReading } from '../contract'
import { ImpossibleInput } from '../problems'
import { nextNormal } from './random'
import { look, putIn, warm, type TubeState } from './tube'

/** Fixed inner step, s; one reading is given each second. */
const STEP_S = 0.25
const STEPS_A_READING = 4
/** The two masses: heat passes from heater into block with this time constant; the heater holds this share of the block's heat. */
const HEATER_TO_BLOCK_S = 14
const HEATER_MASS = 0.15
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
  readonly phase: BlockReading['phase']
  readonly tubes: readonly TubeState[]
}

/**
 * A simulated programmable block at rest.
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
    throw new ImpossibleInput('bad-duration', 'The simulation advances by whole seconds.')
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
      requireReachable(command.toC, character)
      return {
        ...state,
        phase: 'preheating',
        program: { setC: state.blockC, endC: command.toC, slopeCPerS: character.heatCPerMin / 60 },
      }
    case 'tubes in':
      return { ...state, tubes: state.tubes.map((tube) => putIn(tube, character.ambientC)) }
    case 'ramp':
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
    case 'stop':
      return { ...state, phase: 'cooling', program: null }
    default:
      throw new ImpossibleInput('unknown-command', 'This block does not know that command.')
  }
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
  const lossPerS = (1 + HEATER_MASS) / (60 * character.coolTimeConstantMin)
  const program = advanceProgram(state.program)
  const power = program ? heaterPower(state, program, lossPerS) : 0
  const intoBlock = (heaterC - blockC) / HEATER_TO_BLOCK_S
  const nextHeaterC = heaterC + (STEP_S * (power - intoBlock)) / HEATER_MASS
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
  const lead = HEATER_TO_BLOCK_S * (program.slopeCPerS + lossesCPerS)
  const wantedHeaterC = program.setC + lead + 0.8 * (program.setC - state.blockC)
  const power =
    (1 + HEATER_MASS) * program.slopeCPerS +
    lossesCPerS +
    HEATER_GAIN_PER_S * HEATER_MASS * (wantedHeaterC - state.heaterC)
  return Math.min(HEATER_MOST, Math.max(0, power))
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
  const shownC = state.probeC + character.probeOffsetC + character.probeNoiseC * noise.value
  const text = shownC.toFixed(character.decimals)
  return {
    state: { ...state, random: noise.state },
    reading: {
      sample: state.sample,
      atS: state.sample,
      probe: { text, value: Number(text) },
      phase: state.phase,
      tubes: state.tubes.map(look),
    },
  }
}
