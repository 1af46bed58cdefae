import { queue } from '../queue'
import { createHash } from 'node:crypto'
import {
  advance,
  type BlockCommand,
  type BlockReading,
  type BlockState,
  type Bodies,
  commandOfLine,
  createBlock,
  createTube,
  type Entry,
  fold,
  holdsUnknown,
  type Instrument,
  type InstrumentState,
  type Kind,
  KINDS,
  lineOfCommand,
  type MeltId,
  type MeltPlanned,
  type NotebookId,
  type RawEntry,
  readingOfLine,
  type RunId,
  type RunState,
  type SealedContents,
  simulatedTube,
  type Simulation,
  type TubeLook,
  type TubeState,
  upcast,
  type View,
} from '@ivory-crystal/core'
import type { Clock } from '../clock'
import { HttpProblem } from '../http/problem'
import type { LedgerStore } from '../ledger/store'
import type { Passing, PassingFeed } from '../ledger/stream'

const TICK_MS = 1000
const FLUSH_EVERY_MS = 5000
const TRACE_MOST = 60
/** Time that nobody attended, as while a laptop slept, passes for the instruments up to this much, s. */
const UNATTENDED_MOST_S = 4 * 3600
/** After this long a resting block is at the temperature of the room, s. */
const REST_MOST_S = 3 * 3600
const WRITTEN_BY = { author: 'recorder', device: 'server' } as const

interface Run {
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
  /** How often the dial was turned: the next turn of the plan is the one after. */
  turns: number
  /** Where instrument time and wall time last met, and how fast it has passed since. */
  anchor: { atS: number; atMs: number; pace: number }
  /** The connected instrument's own clock when the run began; null until it is heard. */
  clockAtStartS: number | null
  unwritten: BlockReading[]
  flushedAt: number
}

interface Stand {
  instrument: Instrument
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

export interface SimulatedBench extends PassingFeed {
  states(): Promise<InstrumentState[]>
  start(instrument: string, notebook: NotebookId, melt: MeltId): Promise<RunState>
  command(instrument: string, run: string, command: Bodies['run command']['command']): Promise<RunState>
  end(instrument: string, run: string): Promise<InstrumentState>
  /** A line from a bridge to a connected instrument, or a command to a simulated one; answers with a line. */
  line(instrument: string, line: string): Promise<string>
  /** Lets seconds pass where no clock drives the bench. */
  pass(instrument: string, seconds: number, until?: PassUntil): Promise<RunState>
  /** Forgets every run and lets every block stand cold; for tests. */
  clear(): void
  close(): Promise<void>
}

/**
 * The simulated instruments and the recorder that writes down what they read. A run is its seed and its
 * commands, all in the ledger, so after a crash it is resumed by replay.
 *
 * @param listed the instruments on the shelf, as it is now
 * @param byHand when true no clock drives the instruments: `pass` does
 * @param sealedIn what the unknowns of a notebook hold, which stands in no ledger
 */
export async function openBench(
  listed: () => Promise<readonly Instrument[]>,
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
  sealedIn: SealedIn,
): Promise<SimulatedBench> {
  const hearers = new Set<(passing: Passing) => void>()
  const stands = new Map<string, Stand>()
  const inTurn = queue()
  const standing = () =>
    inTurn(async () => {
      for (const instrument of await listed()) {
        const stand = stands.get(instrument.id)
        // One whose values were changed on the shelf goes on with the new ones once it rests.
        if (!stand) stands.set(instrument.id, await restore(instrument, store, clock, byHand, sealedIn))
        else if (!stand.run) stand.instrument = instrument
      }
      return stands
    })
  await standing()
  let ticking = Promise.resolve()
  const stop = byHand
    ? () => undefined
    : clock.every(TICK_MS, () => {
        ticking = ticking.then(() => tick()).catch(() => undefined)
      })

  async function tick(): Promise<void> {
    for (const stand of stands.values()) if (stand.run) await catchUp(stand, stand.run)
  }

  async function catchUp(stand: Stand, run: Run): Promise<void> {
    if (run.simulated) {
      const due = dueS(run, clock.now())
      if (due > run.sample) await advanceTo(stand, run, due)
    }
    if (clock.now() - run.flushedAt >= FLUSH_EVERY_MS || run.unwritten.length >= TRACE_MOST) await flush(run)
  }

  async function advanceTo(stand: Stand, run: Run, sample: number, until?: PassUntil): Promise<void> {
    while (run.simulated && run.sample < sample) {
      const { state, readings } = advance(run.simulated, [], 1)
      run.simulated = state
      run.sample = state.sample
      take(run, readings[0] ?? null)
      if (until && run.last && hasCome(run.last, until)) break
      if (run.anchor.pace > 1 && run.last && mustSlowDown(run, run.last)) {
        await setPace(run, 1)
        break
      }
    }
    publish(stand, run)
  }

  function take(run: Run, reading: BlockReading | null): void {
    run.last = reading
    if (reading && run.recorded) run.unwritten.push(reading)
  }

  async function setPace(run: Run, pace: number): Promise<void> {
    run.anchor = { atS: run.sample, atMs: clock.now(), pace }
    await flush(run)
    await write(run, 'run command', {
      run: run.id,
      atS: run.sample,
      command: { kind: 'pace', pace },
    })
  }

  function publish(stand: Stand, run: Run): void {
    const data = { instrument: stand.instrument.id, ...runState(run) }
    for (const hear of hearers) hear({ event: 'reading', data })
  }

  async function write<K extends 'trace' | 'run started' | 'run command' | 'run ended'>(
    run: Pick<Run, 'notebook' | 'melt'>,
    kind: K,
    body: Bodies[K],
    random?: Uint8Array,
  ): Promise<void> {
    const entry: Entry<K> = {
      id: store.newId(random),
      v: KINDS[kind].version,
      ledger: store.ledger,
      notebook: run.notebook,
      subject: run.melt,
      kind,
      body,
      at: clock.now(),
      ...WRITTEN_BY,
    }
    const [answer] = (await store.append(run.notebook, [[entry]])) ?? []
    if (answer?.outcome !== 'stored')
      throw new Error(`The recorder could not write “${kind}”: ${JSON.stringify(answer)}`)
  }

  async function flush(run: Run): Promise<void> {
    run.flushedAt = clock.now()
    while (run.unwritten.length > 0) {
      const chunk = run.unwritten.slice(0, unbroken(run.unwritten))
      const firstSample = chunk[0]?.sample ?? 0
      const probeC = chunk.map((reading) => reading.probe.value)
      const light = chunk[0]?.light ? chunk.map((reading) => reading.light ?? []) : null
      const body = { run: run.id, firstSample, decimals: run.decimals, probeC, light }
      await write(run, 'trace', body, chunkBytes(run.id, firstSample))
      run.unwritten = run.unwritten.slice(chunk.length)
    }
  }

  const standOf = async (id: string): Promise<Stand> => {
    const stand = stands.get(id) ?? (await standing()).get(id)
    if (!stand) throw new HttpProblem(404, 'No such instrument', 'There is no such instrument on this bench.')
    return stand
  }
  const runOf = (stand: Stand, id: string): Run => {
    if (stand.run?.id !== id)
      throw new HttpProblem(
        409,
        'Run is over',
        'That run has ended, or another has begun on this instrument.',
      )
    return stand.run
  }

  async function command(stand: Stand, run: Run, what: Bodies['run command']['command']): Promise<void> {
    if (!byHand) await catchUp(stand, run)
    if (what.kind === 'pace') {
      if (!run.simulated)
        throw new HttpProblem(400, 'The instrument refused', 'Only simulated time can be hurried.')
      await setPace(run, what.pace)
    } else {
      const obeyed = run.simulated ? tryAdvance(run.simulated, what) : null
      await flush(run)
      await write(run, 'run command', { run: run.id, atS: run.sample, command: what })
      run.simulated = obeyed
      if (what.kind === 'dial') run.turns += 1
      if (!obeyed) tell(stand, `command ${lineOfCommand(what)}`)
    }
    publish(stand, run)
  }

  function tell(stand: Stand, line: string): void {
    for (const hear of hearers) hear({ event: 'line', data: { instrument: stand.instrument.id, line } })
  }

  async function hearReading(stand: Stand, line: string): Promise<void> {
    const { atS, text, value, light } = tried(() => readingOfLine(line))
    stand.heardC = value
    const { run } = stand
    if (!run) return
    run.clockAtStartS ??= atS
    const sample = Math.floor(atS - run.clockAtStartS)
    if (sample < run.sample)
      throw new HttpProblem(400, 'The line was refused', 'The seconds of this instrument run backwards.')
    // The first reading of each second is kept; more pass by.
    if (sample === run.sample && run.last) return
    run.sample = sample
    take(run, {
      sample,
      atS: sample,
      probe: { text, value },
      phase: run.turns > 0 ? 'heating' : 'ramping',
      tubes: [],
      ...(light ? { light } : {}),
    })
    publish(stand, run)
    if (run.unwritten.length >= TRACE_MOST) await flush(run)
  }

  return {
    states: async () => {
      await standing()
      const order = (await listed()).map(({ id }) => id as string)
      const shelved = order.flatMap((id) => stands.get(id) ?? [])
      // One taken off the shelf in the middle of a run is shown until it ends.
      const running = [...stands.values()].filter((stand) => stand.run && !shelved.includes(stand))
      return [...shelved, ...running].map((stand) => stateOf(stand, clock))
    },
    async start(id, notebook, melt) {
      const stand = await standOf(id)
      if (stand.run)
        throw new HttpProblem(
          409,
          'Instrument in use',
          'A run is going on this instrument. End it first; its tubes are in the block.',
        )
      const started = await describeRun(stand, store, clock, notebook, melt, sealedIn)
      await write({ notebook, melt }, 'run started', started.body)
      const tubes = await heldTubes(started.body, started.planned, store, notebook, sealedIn)
      stand.run = beginRun(started.body, started.planned, melt, notebook, clock.now(), tubes)
      publish(stand, stand.run)
      return runState(stand.run)
    },
    async command(id, runId, what) {
      const stand = await standOf(id)
      const run = runOf(stand, runId)
      await command(stand, run, what)
      return runState(run)
    },
    async end(id, runId) {
      const stand = await standOf(id)
      const run = runOf(stand, runId)
      if (!byHand) await catchUp(stand, run)
      await flush(run)
      await write(run, 'run ended', { run: run.id, atS: run.sample })
      if (run.simulated) stand.rest = { state: atRest(run.simulated), atMs: clock.now() }
      stand.run = null
      for (const hear of hearers) hear({ event: 'rest', data: { instrument: id } })
      return stateOf(stand, clock)
    },
    async line(id, line) {
      const stand = await standOf(id)
      if (line.trim().startsWith('reading')) {
        if (stand.instrument.simulated)
          throw new HttpProblem(
            400,
            'The line was refused',
            'This instrument is simulated: it reads for itself.',
          )
        await hearReading(stand, line)
        return 'ok'
      }
      const what = tried(() => commandOfLine(line))
      if (!stand.run)
        throw new HttpProblem(
          409,
          'No run',
          'Nothing runs on this instrument: start a run in the notebook first.',
        )
      await command(stand, stand.run, what)
      return `ok ${lineOfCommand(what)}`
    },
    async pass(id, seconds, until) {
      const stand = await standOf(id)
      const run = stand.run
      if (!run?.simulated) throw new HttpProblem(409, 'No run', 'Nothing runs on this instrument.')
      await advanceTo(stand, run, run.sample + seconds, until)
      await flush(run)
      return runState(run)
    },
    clear() {
      for (const stand of stands.values()) {
        stand.run = null
        stand.heardC = null
        stand.rest = { state: createBlock(stand.instrument.character, 1), atMs: clock.now() }
      }
    },
    listen(hear) {
      hearers.add(hear)
      return () => hearers.delete(hear)
    },
    async close() {
      stop()
      await ticking
      for (const { run } of stands.values()) if (run) await flush(run)
    },
  }
}

function hasCome({ phase, probe, tubes }: BlockReading, until: PassUntil): boolean {
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

function runState(run: Run): RunState {
  return { id: run.id, melt: run.melt, notebook: run.notebook, pace: run.anchor.pace, reading: run.last }
}

function stateOf(stand: Stand, clock: Clock): InstrumentState {
  const { instrument, run } = stand
  if (run) {
    const blockC = run.last?.probe.value ?? run.simulated?.probeC ?? stand.heardC
    return { instrument, blockC, run: runState(run) }
  }
  if (!instrument.simulated) return { instrument, blockC: stand.heardC, run: null }
  const { rest } = stand
  const now = clock.now()
  stand.rest = { state: restedFor(rest.state, now - rest.atMs), atMs: now }
  return { instrument, blockC: stand.rest.state.blockC, run: null }
}

/** Instrument time that should have been reached by now. */
function dueS(run: Run, now: number): number {
  const { atS, atMs, pace } = run.anchor
  const due = atS + Math.floor(((now - atMs) / 1000) * pace)
  const most = run.sample + UNATTENDED_MOST_S
  if (due <= most) return due
  run.anchor = { atS: most, atMs: now, pace }
  return most
}

/** Hurried time goes back to real time this far before something is due, °C. */
const SLOW_DOWN_BEFORE_C = 0.5

/** Hurried time goes back to real time when hands or eyes are needed: preheated, a turn of the dial due, near the window, or at the end. */
function mustSlowDown(run: Run, { phase, probe }: BlockReading): boolean {
  if (phase === 'holding') return true
  if (isTurnDue(run, probe.value)) return true
  return (
    (phase === 'ramping' || phase === 'heating') &&
    probe.value >= run.planned.window.watchFromC - SLOW_DOWN_BEFORE_C
  )
}

function isTurnDue({ planned: { heating }, turns }: Run, probeC: number): boolean {
  if (heating.by !== 'dial') return false
  const [before, next] = [heating.plan.steps[turns - 1], heating.plan.steps[turns]]
  if (!next) return false
  return before && before.atC > next.atC
    ? probeC <= next.atC + SLOW_DOWN_BEFORE_C
    : probeC >= next.atC - SLOW_DOWN_BEFORE_C
}

/** How many readings from the first follow one another second by second, up to what one line holds. */
function unbroken(readings: readonly BlockReading[]): number {
  const first = readings[0]?.sample ?? 0
  const gap = readings.findIndex(({ sample }, i) => sample !== first + i)
  return Math.min(TRACE_MOST, gap === -1 ? readings.length : gap)
}

function tried<T>(read: () => T): T {
  try {
    return read()
  } catch (error) {
    throw new HttpProblem(400, 'The line was refused', (error as Error).message)
  }
}

function atRest(state: BlockState): BlockState {
  return advance({ ...state, tubes: [] }, [{ kind: 'stop' }], 0).state
}

function restedFor(state: BlockState, ms: number): BlockState {
  const seconds = Math.max(0, Math.floor(ms / 1000))
  if (seconds > REST_MOST_S) return createBlock(state.character, state.random)
  return advance(state, [], seconds).state
}

function tryAdvance(state: BlockState, command: BlockCommand): BlockState {
  try {
    return advance(state, [command], 0).state
  } catch (error) {
    throw new HttpProblem(400, 'The instrument refused', (error as Error).message)
  }
}

async function describeRun(
  stand: Stand,
  store: LedgerStore,
  clock: Clock,
  notebook: NotebookId,
  melt: MeltId,
  sealedIn: SealedIn,
) {
  const lines = await store.ofSubject(notebook, melt)
  const planned = lastOf(lines, 'melt planned')
  if (!planned)
    throw new HttpProblem(
      409,
      'Not planned',
      'This melt’s plan has not reached the server yet. Wait until all is stored, then start.',
    )
  const { instrument } = stand
  const seed = createHash('sha256').update(melt).digest().readInt32BE(0)
  const view = fold((await store.after(notebook, 0)).map((line) => line.entry))
  const sealed = await sealedIn(notebook, view)
  const runs = lines.filter((line) => line.kind === 'run started').length
  const body: Bodies['run started'] = {
    run: runId(melt, runs),
    instrument: instrument.id,
    feed: instrument.simulated ? 'simulated' : 'connected',
    simulation: instrument.simulated
      ? { seed, character: instrument.character, tubes: simulatedTubes(view, planned.body, seed, sealed) }
      : null,
    blockC: stateOf(stand, clock).blockC,
    // What a bridge hears is on record whatever it reads; a simulated glass thermometer is read by eye.
    recorded: !instrument.simulated || instrument.character.readBy === 'probe',
  }
  return { body, planned: planned.body }
}

/** What each tube holds; an unknown's contents stay out of the ledger, where anyone could read them. */
function simulatedTubes(
  view: View,
  planned: MeltPlanned,
  seed: number,
  sealed: SealedContents,
): Simulation['tubes'] {
  return planned.tubes.map(({ slot, sample, fillMm, grain, label }) => {
    const held = simulatedTube(view, sample, seed, sealed)
    if (!held)
      throw new HttpProblem(
        409,
        'Nothing to simulate',
        `Nobody has said what “${label}” is, so a simulated tube of it would hold nothing. Seal its answer under Unknowns.`,
      )
    return { slot, sample: holdsUnknown(view, sample) ? null : held, packing: { fillMm, grain } }
  })
}

/** Each run of a melt has an id of its own, made from the melt's and its number. */
function runId(melt: MeltId, number: number): RunId {
  const hex = createHash('sha256').update(`${melt} ${number}`).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}` as RunId
}

function beginRun(
  body: Bodies['run started'],
  planned: MeltPlanned,
  melt: MeltId,
  notebook: NotebookId,
  atMs: number,
  tubes: readonly TubeState[],
): Run {
  return {
    id: body.run,
    melt,
    notebook,
    planned,
    decimals: body.simulation?.character.decimals ?? 1,
    recorded: body.recorded,
    simulated: body.simulation ? beginSimulation(body.simulation, body.blockC, tubes) : null,
    sample: 0,
    last: null,
    turns: 0,
    anchor: { atS: 0, atMs, pace: 1 },
    clockAtStartS: null,
    unwritten: [],
    flushedAt: atMs,
  }
}

function beginSimulation(
  { character, seed }: Simulation,
  blockC: number | null,
  tubes: readonly TubeState[],
): BlockState {
  return createBlock(character, seed, { ...(blockC === null ? {} : { blockC }), tubes })
}

/** The tubes of a simulated run; what is sealed is looked up where it is kept. */
async function heldTubes(
  { simulation }: Bodies['run started'],
  planned: MeltPlanned,
  store: LedgerStore,
  notebook: NotebookId,
  sealedIn: SealedIn,
): Promise<readonly TubeState[]> {
  if (!simulation) return []
  const { character, seed, tubes } = simulation
  const view = tubes.some(({ sample }) => sample === null)
    ? fold((await store.after(notebook, 0)).map((line) => line.entry))
    : null
  const sealed = view ? await sealedIn(notebook, view) : null
  return tubes.map(({ slot, sample, packing }) => {
    const of = planned.tubes.find((tube) => tube.slot === slot)?.sample
    const held = sample ?? (view && sealed && of ? simulatedTube(view, of, seed, sealed) : null)
    if (!held) throw new Error(`What slot ${slot} holds is not kept on this computer.`)
    return createTube(held, packing, { sampleLagMin: character.sampleLagMin, seed: seed + slot })
  })
}

/** The instrument as the ledger left it: resting, or in a run that is resumed by replaying its commands. */
async function restore(
  instrument: Instrument,
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
  sealedIn: SealedIn,
): Promise<Stand> {
  const started = (await store.ofKind('run started')).flatMap((raw) => asKnown(raw, 'run started'))
  const latest = started
    .filter(({ body }) => body.instrument === instrument.id && body.feed !== 'by hand')
    .at(-1)
  const cold: Stand = {
    instrument,
    run: null,
    rest: { state: createBlock(instrument.character, 1), atMs: clock.now() },
    heardC: null,
  }
  if (!latest) return cold
  const melt = latest.subject as string as MeltId
  const lines = await store.ofSubject(latest.notebook, melt)
  const planned = lastOf(lines, 'melt planned')?.body
  if (!planned) return cold
  // A run whose sealed answer is kept elsewhere cannot be played on: the instrument then stands cold.
  const tubes = await heldTubes(latest.body, planned, store, latest.notebook, sealedIn).catch(() => null)
  if (!tubes) return cold
  const run = beginRun(latest.body, planned, melt, latest.notebook, latest.at, tubes)
  const ofRun = <K extends 'run command' | 'run ended' | 'trace'>(kind: K) =>
    lines.flatMap((raw) => asKnown(raw, kind)).filter((line) => (line.body as { run: RunId }).run === run.id)
  const kept: BlockReading[] = []
  const playTo = (sample: number) => {
    if (!run.simulated) return
    const played = advance(run.simulated, [], Math.max(0, sample - run.sample))
    run.simulated = played.state
    run.sample = played.state.sample
    kept.push(...played.readings)
  }
  for (const { body, at } of ofRun('run command')) {
    playTo(body.atS)
    if (body.command.kind === 'pace') run.anchor = { atS: body.atS, atMs: at, pace: body.command.pace }
    else if (run.simulated) run.simulated = advance(run.simulated, [body.command], 0).state
    if (body.command.kind === 'dial') run.turns += 1
  }
  const ended = ofRun('run ended')[0]
  if (ended) {
    playTo(ended.body.atS)
    const rest = run.simulated ? { state: atRest(run.simulated), atMs: ended.at } : cold.rest
    return { ...cold, rest }
  }
  const written = ofRun('trace').reduce(
    (last, { body }) => Math.max(last, body.firstSample + body.probeC.length - 1),
    0,
  )
  if (!run.simulated) {
    run.sample = written
    return { ...cold, run }
  }
  // Nothing is written of a thermometer read by eye, so by hand such a run stands at its last command.
  const reached = run.recorded ? written : run.sample
  const due = byHand ? reached : dueS(run, clock.now())
  resume(run, Math.max(reached, due), playTo, kept, clock)
  run.unwritten = run.recorded ? kept.filter((reading) => reading.sample > written) : []
  run.last = kept.at(-1) ?? null
  run.flushedAt = 0
  return { ...cold, run }
}

/** Plays on to now. Where hurried time should have ended on the way, it does. */
function resume(
  run: Run,
  due: number,
  playTo: (sample: number) => void,
  kept: BlockReading[],
  clock: Clock,
): void {
  if (run.anchor.pace > 1) {
    while (run.sample < due) {
      playTo(run.sample + 1)
      const reading = kept.at(-1)
      if (reading && mustSlowDown(run, reading)) break
    }
    run.anchor = { atS: run.sample, atMs: clock.now(), pace: 1 }
  } else playTo(due)
}

/** A line of this kind as this build reads it; old versions come up to date. */
function asKnown<K extends Kind>(raw: RawEntry, kind: K): Entry<K>[] {
  const known = raw.kind === kind ? upcast(raw) : null
  return known ? [known as Entry & Entry<K>] : []
}

function lastOf<K extends Kind>(lines: readonly RawEntry[], kind: K): Entry<K> | null {
  return lines.flatMap((raw) => asKnown(raw, kind)).at(-1) ?? null
}

/** The random part of a trace's id, made from run and chunk. */
function chunkBytes(run: RunId, firstSample: number): Uint8Array {
  return createHash('sha256').update(`${run} ${firstSample}`).digest().subarray(0, 8)
}
