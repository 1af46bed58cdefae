import { createHash } from 'node:crypto'
import type { MeltId, NotebookId, RunId } from '@ivory-crystal/core/ids'
import type { BlockCommand, BlockReading, Instrument } from '@ivory-crystal/core/instruments'
import type { TubeLook } from '@ivory-crystal/core/melting'
import type { MeltPlanned, View } from '@ivory-crystal/core/notebook'
import { needsEyes } from '@ivory-crystal/core/planning'
import { advance, type BlockState, createBlock, type SealedContents } from '@ivory-crystal/core/simulator'
import type { InstrumentState, RunState } from '@ivory-crystal/core/wire'
import type { queue } from '../queue'
import type { Clock } from '../clock'
import { HttpProblem } from '../http/problem'

export const TRACE_MOST = 60
/** Time that nobody attended, as while a laptop slept, passes for the instruments up to this much, s. */
const UNATTENDED_MOST_S = 4 * 3600
/** After this long a resting block is at the temperature of the room, s. */
const REST_MOST_S = 3 * 3600

export interface Run {
  readonly id: RunId
  readonly melt: MeltId
  readonly notebook: NotebookId
  readonly planned: MeltPlanned
  readonly decimals: number
  /** False for a thermometer read by eye: its readings pass, and none is written down. */
  readonly recorded: boolean
  /** The simulation as it stands; null for an instrument that is connected. */
  simulated: BlockState | null
  sample: number
  last: BlockReading | null
  /** What its probe read lately, second by second, the latest last, °C. */
  lately: readonly number[]
  /** How often the dial was turned: the next turn of the plan is the one after. */
  turns: number
  /** Where instrument time and wall time last met, and how fast it has passed since. */
  anchor: { atS: number; atMs: number; pace: number }
  /** The connected instrument's own clock when the run began; null until it is heard. */
  clockAtStartS: number | null
  unwritten: BlockReading[]
  flushedAt: number
  /** What the wall clock said last, ms: it could be set back. */
  heardClockMs: number
  /** Since when the block has been at the end of its plan, its own seconds; null before. */
  doneSinceS: number | null
}

export interface Stand {
  instrument: Instrument
  /** What is asked of one instrument happens one after the other. */
  readonly inTurn: ReturnType<typeof queue>
  /** True while a tick of the clock is being worked off. */
  ticking: boolean
  /** What went wrong with it, until it goes right again; null while nothing is. */
  trouble: string | null
  run: Run | null
  /** The block at rest, as of this wall time. */
  rest: { state: BlockState; atMs: number }
  /** What a connected instrument last said, °C. */
  heardC: number | null
}

/** What simulated tubes of a notebook's unknowns hold. */
export type SealedIn = (notebook: NotebookId, view: View) => Promise<SealedContents>

/** What ends a stretch of passing time early, for tests: whichever of these comes first. */
export interface PassUntil {
  readonly phase?: BlockReading['phase']
  readonly probeC?: number
  /** Of the tube at this place among the planned. */
  readonly tube?: number
  readonly liquid?: number
  readonly look?: TubeLook
  /** Anything but this look. */
  readonly not?: TubeLook
}

export function hasCome({ phase, probe, tubes }: BlockReading, until: PassUntil): boolean {
  const seen = until.tube === undefined ? undefined : tubes[until.tube]
  return (
    phase === until.phase ||
    (until.probeC !== undefined && probe.value >= until.probeC) ||
    (seen !== undefined &&
      ((until.liquid !== undefined && seen.liquidFraction >= until.liquid) ||
        (until.look !== undefined && seen.look === until.look) ||
        (until.not !== undefined && seen.look !== until.not)))
  )
}

export function runState(run: Run, trouble: string | null): RunState {
  const { id, melt, notebook, anchor, last } = run
  return { id, melt, notebook, pace: anchor.pace, reading: last, trouble }
}

export function stateOf(stand: Stand, clock: Clock): InstrumentState {
  const { instrument, run } = stand
  if (run) {
    const blockC = run.last?.probe.value ?? run.simulated?.probeC ?? stand.heardC
    return { instrument, blockC, run: runState(run, stand.trouble), trouble: stand.trouble }
  }
  const { trouble } = stand
  if (!instrument.simulated) return { instrument, blockC: stand.heardC, run: null, trouble }
  const { rest } = stand
  const now = clock.now()
  stand.rest = { state: restedFor(rest.state, now - rest.atMs), atMs: now }
  return { instrument, blockC: stand.rest.state.blockC, run: null, trouble }
}

/** Instrument time that should have been reached by now. */
export function dueS(run: Run, now: number): number {
  // A clock set back: time goes on from where the run stands.
  if (now < run.heardClockMs) run.anchor = { atS: run.sample, atMs: now, pace: run.anchor.pace }
  run.heardClockMs = now
  const { atS, atMs, pace } = run.anchor
  const due = atS + Math.floor(((now - atMs) / 1000) * pace)
  const most = run.sample + UNATTENDED_MOST_S
  if (due <= most) return due
  run.anchor = { atS: most, atMs: now, pace }
  return most
}

/** Hurried time goes back to real time this far before something is due, °C. */
const SLOW_DOWN_BEFORE_C = 0.5

/**
 * Hurried time goes back to real time when hands or eyes are needed: preheated, a turn of the dial due, at the end, and
 * when there is or may soon be something to be seen.
 */
export function mustSlowDown(run: Run, reading: BlockReading): boolean {
  return (
    reading.phase === 'holding' ||
    isTurnDue(run, reading.probe.value) ||
    isForHands(run, reading) ||
    needsEyes(run.planned, reading) ||
    // A thermometer read by eye is read once a minute, however fast its time passes.
    (!run.recorded && run.sample - run.anchor.atS >= READ_EVERY_S)
  )
}

/** A thermometer read by eye wants to be read so often, s. */
const READ_EVERY_S = 60
/** A block heated fast runs on for about so long after it is turned down, min. */
const RUNS_ON_MIN = 1
/** Tubes go in this near the start, °C. */
const TUBES_WITHIN_C = 3
/** The rate is told from so many seconds. */
const LATELY_S = 20

/**
 * Whether a dial or a flame wants hands before anything melts: to be turned down so that it does not run past the start,
 * and the tubes to go in where it has come near, from below or cooling from above.
 */
function isForHands(
  { planned: { heating, window, conventions }, lately, last }: Run,
  { tubes }: BlockReading,
): boolean {
  if (heating.by === 'ramp' || !last) return false
  const before = lately[0]
  const nowC = last.probe.value
  const rateCPerMin =
    before === undefined || lately.length < 2 ? 0 : (60 * (nowC - before)) / (lately.length - 1)
  const { startC } = window
  const runsPast =
    heating.by === 'hand' &&
    rateCPerMin > conventions.meltRate.max &&
    nowC + rateCPerMin * RUNS_ON_MIN >= startC - TUBES_WITHIN_C
  const wantsTubes = tubes.every(({ look }) => look === 'not in') && Math.abs(nowC - startC) <= TUBES_WITHIN_C
  return runsPast || wantsTubes
}

function isTurnDue({ planned: { heating }, turns }: Run, probeC: number): boolean {
  if (heating.by !== 'dial') return false
  const [before, next] = [heating.plan.steps[turns - 1], heating.plan.steps[turns]]
  if (!next) return false
  return before && before.atC > next.atC
    ? probeC <= next.atC + SLOW_DOWN_BEFORE_C
    : probeC >= next.atC - SLOW_DOWN_BEFORE_C
}

/** A run that has been at the end of its plan for this long ends itself, s. */
const DONE_MOST_S = 30 * 60
/** No run of one set of tubes goes on for longer, s. */
export const RUN_MOST_S = 12 * 3600

/** Whether a simulated run has gone on for long enough after its end for nobody to be waiting for it. */
export function isOver(run: Run): boolean {
  const { sample, last, planned } = run
  const isDone = last !== null && last.probe.value >= planned.window.stopC - 1
  if (!isDone) run.doneSinceS = null
  else run.doneSinceS ??= sample
  return sample > RUN_MOST_S || (run.doneSinceS !== null && sample - run.doneSinceS > DONE_MOST_S)
}

/** How many readings from the first follow one another second by second, up to what one line holds. */
export function unbroken(readings: readonly BlockReading[]): number {
  const first = readings[0]?.sample ?? 0
  const gap = readings.findIndex(({ sample }, i) => sample !== first + i)
  return Math.min(TRACE_MOST, gap === -1 ? readings.length : gap)
}

export function tried<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    throw new HttpProblem(400, 'The entry was refused', (error as Error).message)
  }
}

export function atRest(state: BlockState): BlockState {
  return advance({ ...state, tubes: [] }, [{ kind: 'stop' }], 0).state
}

function restedFor(state: BlockState, ms: number): BlockState {
  const seconds = Math.max(0, Math.floor(ms / 1000))
  if (seconds > REST_MOST_S) return createBlock(state.character, state.random)
  return advance(state, [], seconds).state
}

/** @throws HttpProblem when a connected instrument cannot be asked for that */
export function requireWithin({ character }: Instrument, what: BlockCommand): void {
  const toC = what.kind === 'ramp' || what.kind === 'preheat' ? what.toC : null
  if (toC !== null && toC > character.maxC)
    throw new HttpProblem(
      400,
      'The instrument refused',
      `This instrument goes up to ${character.maxC} °C; ${toC} °C lies outside.`,
    )
  if (what.kind === 'dial' && character.dial && what.setting > character.dial.max)
    throw new HttpProblem(
      400,
      'The instrument refused',
      `The dial goes to ${character.dial.max}; ${what.setting} lies outside.`,
    )
}

export function tryAdvance(state: BlockState, command: BlockCommand): BlockState {
  try {
    return advance(state, [command], 0).state
  } catch (error) {
    throw new HttpProblem(400, 'The instrument refused', (error as Error).message)
  }
}

/** The random part of a trace's id, made from run and chunk. */
export function chunkBytes(run: RunId, firstSample: number): Uint8Array {
  return createHash('sha256').update(`${run} ${firstSample}`).digest().subarray(0, 8)
}

/** Takes a reading in, to be written down where the thermometer is not read by eye. */
export function take(run: Run, reading: BlockReading | null): void {
  run.last = reading
  if (reading) run.lately = [...run.lately, reading.probe.value].slice(-LATELY_S)
  if (reading && run.recorded) run.unwritten.push(reading)
}
