import { createHash } from 'node:crypto'
import {
  advance,
  createBlock,
  createTube,
  prepOf,
  fold,
  simulatedContents,
  type BlockCommand,
  type BlockReading,
  type BlockState,
  type Bodies,
  type Entry,
  type Instrument,
  type InstrumentState,
  type KnownEntry,
  type MeltId,
  type NotebookId,
  type RawEntry,
  type RunId,
  type RunState,
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
  readonly watchFromC: number
  state: BlockState
  last: BlockReading | null
  /** Where instrument time and wall time last met, and how fast it has passed since. */
  anchor: { atS: number; atMs: number; pace: number }
  unwritten: BlockReading[]
  flushedAt: number
}

interface Stand {
  readonly instrument: Instrument
  run: Run | null
  /** The block at rest, as of this wall time. */
  rest: { state: BlockState; atMs: number }
}

export interface SimulatedBench extends PassingFeed {
  states(): InstrumentState[]
  start(instrument: string, notebook: NotebookId, melt: MeltId): Promise<RunState>
  command(instrument: string, run: string, command: Bodies['run command']['command']): Promise<RunState>
  end(instrument: string, run: string): Promise<InstrumentState>
  /** Lets seconds pass where no clock drives the bench. */
  pass(instrument: string, seconds: number): Promise<RunState>
  close(): Promise<void>
}

/**
 * The simulated instruments and the recorder that writes down what they read. A run is its seed and its
 * commands, all in the ledger, so after a crash it is resumed by replay.
 *
 * @param byHand when true no clock drives the instruments: `pass` does
 */
export async function openBench(
  instruments: readonly Instrument[],
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
): Promise<SimulatedBench> {
  const hearers = new Set<(passing: Passing) => void>()
  const stands = new Map<string, Stand>()
  for (const instrument of instruments)
    stands.set(instrument.id, await restore(instrument, store, clock, byHand))
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
    const due = dueS(run, clock.now())
    if (due > run.state.sample) await advanceTo(stand, run, due)
    if (clock.now() - run.flushedAt >= FLUSH_EVERY_MS || run.unwritten.length >= TRACE_MOST) await flush(run)
  }

  async function advanceTo(stand: Stand, run: Run, sample: number): Promise<void> {
    while (run.state.sample < sample) {
      const { state, readings } = advance(run.state, [], 1)
      run.state = state
      run.last = readings[0] ?? null
      if (run.last) run.unwritten.push(run.last)
      if (run.anchor.pace > 1 && run.last && mustSlowDown(run, run.last)) {
        await setPace(run, 1)
        break
      }
    }
    publish(stand, run)
  }

  async function setPace(run: Run, pace: number): Promise<void> {
    run.anchor = { atS: run.state.sample, atMs: clock.now(), pace }
    await flush(run)
    await write(run, 'run command', { run: run.id, atS: run.state.sample, command: { kind: 'pace', pace } })
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
      v: 1,
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
      const chunk = run.unwritten.slice(0, TRACE_MOST)
      const firstSample = chunk[0]?.sample ?? 0
      const decimals = run.state.character.decimals
      const probeC = chunk.map((reading) => reading.probe.value)
      await write(
        run,
        'trace',
        { run: run.id, firstSample, decimals, probeC },
        chunkBytes(run.id, firstSample),
      )
      run.unwritten = run.unwritten.slice(chunk.length)
    }
  }

  const standOf = (id: string): Stand => {
    const stand = stands.get(id)
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

  return {
    states: () => [...stands.values()].map((stand) => stateOf(stand, clock)),
    async start(id, notebook, melt) {
      const stand = standOf(id)
      if (stand.run)
        throw new HttpProblem(
          409,
          'Instrument in use',
          'A run is going on this instrument. End it first; its tubes are in the block.',
        )
      const started = await describeRun(stand, store, clock, notebook, melt)
      await write({ notebook, melt }, 'run started', started.body)
      stand.run = beginRun(started.body, melt, notebook, started.watchFromC, clock.now())
      publish(stand, stand.run)
      return runState(stand.run)
    },
    async command(id, runId, command) {
      const stand = standOf(id)
      const run = runOf(stand, runId)
      if (!byHand) await catchUp(stand, run)
      if (command.kind === 'pace') await setPace(run, command.pace)
      else {
        const obeyed = tryAdvance(run.state, command)
        await flush(run)
        await write(run, 'run command', { run: run.id, atS: run.state.sample, command })
        run.state = obeyed
      }
      publish(stand, run)
      return runState(run)
    },
    async end(id, runId) {
      const stand = standOf(id)
      const run = runOf(stand, runId)
      if (!byHand) await catchUp(stand, run)
      await flush(run)
      await write(run, 'run ended', { run: run.id, atS: run.state.sample })
      stand.rest = { state: atRest(run.state), atMs: clock.now() }
      stand.run = null
      for (const hear of hearers) hear({ event: 'rest', data: { instrument: id } })
      return stateOf(stand, clock)
    },
    async pass(id, seconds) {
      const stand = standOf(id)
      const run = stand.run
      if (!run) throw new HttpProblem(409, 'No run', 'Nothing runs on this instrument.')
      await advanceTo(stand, run, run.state.sample + seconds)
      await flush(run)
      return runState(run)
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

function runState(run: Run): RunState {
  return { id: run.id, melt: run.melt, notebook: run.notebook, pace: run.anchor.pace, reading: run.last }
}

function stateOf(stand: Stand, clock: Clock): InstrumentState {
  if (stand.run)
    return {
      instrument: stand.instrument,
      blockC: stand.run.last?.probe.value ?? stand.run.state.probeC,
      run: runState(stand.run),
    }
  const { rest } = stand
  const now = clock.now()
  stand.rest = { state: restedFor(rest.state, now - rest.atMs), atMs: now }
  return { instrument: stand.instrument, blockC: stand.rest.state.blockC, run: null }
}

/** Instrument time that should have been reached by now. */
function dueS(run: Run, now: number): number {
  const { atS, atMs, pace } = run.anchor
  const due = atS + Math.floor(((now - atMs) / 1000) * pace)
  const most = run.state.sample + UNATTENDED_MOST_S
  if (due <= most) return due
  run.anchor = { atS: most, atMs: now, pace }
  return most
}

/** Hurried time goes back to real time when hands or eyes are needed: preheated, near the window, or at the end. */
function mustSlowDown(run: Run, reading: BlockReading): boolean {
  if (reading.phase === 'holding') return true
  return reading.phase === 'ramping' && reading.probe.value >= run.watchFromC - 0.5
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
) {
  const lines = await store.ofSubject(notebook, melt)
  const planned = lastOf(lines, 'melt planned')
  if (!planned)
    throw new HttpProblem(
      409,
      'Not planned',
      'This melt’s plan has not reached the server yet. Wait until all is stored, then start.',
    )
  const view = fold((await store.after(notebook, 0)).map((line) => line.entry))
  const prep = planned.body.prep ? prepOf(view, planned.body.prep) : null
  const { instrument } = stand
  const seed = createHash('sha256').update(melt).digest().readInt32BE(0)
  const tubes = planned.body.tubes.map((tube) => {
    const role = prep?.samples.find((sample) => sample.id === tube.sample)?.role ?? 'authentic'
    const compound = prep?.opened.body.compound
    if (!compound)
      throw new HttpProblem(
        409,
        'Nothing to simulate',
        'The simulated block needs a prep to know what its tubes would hold.',
      )
    return {
      slot: tube.slot,
      sample: simulatedContents(prep.plan?.body ?? null, compound, role, seed),
      packing: { fillMm: tube.fillMm, grain: tube.grain },
    }
  })
  const body: Bodies['run started'] = {
    run: melt as string as RunId,
    instrument: instrument.id,
    simulated: true,
    seed,
    character: instrument.character,
    blockC: stateOf(stand, clock).blockC,
    tubes,
  }
  const runs = lines.filter((line) => line.kind === 'run started').length
  return { body: { ...body, run: runId(melt, runs) }, watchFromC: planned.body.plan.watchFromC }
}

/** Each run of a melt has an id of its own, made from the melt's and its number. */
function runId(melt: MeltId, number: number): RunId {
  const hex = createHash('sha256').update(`${melt} ${number}`).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}` as RunId
}

function beginRun(
  body: Bodies['run started'],
  melt: MeltId,
  notebook: NotebookId,
  watchFromC: number,
  atMs: number,
): Run {
  const tubes = body.tubes.map(({ sample, packing, slot }) =>
    createTube(sample, packing, { sampleLagMin: body.character.sampleLagMin, seed: body.seed + slot }),
  )
  return {
    id: body.run,
    melt,
    notebook,
    watchFromC,
    state: createBlock(body.character, body.seed, { blockC: body.blockC, tubes }),
    last: null,
    anchor: { atS: 0, atMs, pace: 1 },
    unwritten: [],
    flushedAt: atMs,
  }
}

/** The instrument as the ledger left it: resting, or in a run that is resumed by replaying its commands. */
async function restore(
  instrument: Instrument,
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
): Promise<Stand> {
  const started = (await store.ofKind('run started')) as Entry<'run started'>[]
  const latest = started.filter((entry) => entry.body.instrument === instrument.id).at(-1)
  const cold: Stand = {
    instrument,
    run: null,
    rest: { state: createBlock(instrument.character, 1), atMs: clock.now() },
  }
  if (!latest) return cold
  const melt = latest.subject as string as MeltId
  const lines = await store.ofSubject(latest.notebook, melt)
  const watchFromC = lastOf(lines, 'melt planned')?.body.plan.watchFromC ?? Infinity
  const run = beginRun(latest.body, melt, latest.notebook, watchFromC, latest.at)
  const ofRun = <K extends 'run command' | 'run ended' | 'trace'>(kind: K) =>
    (lines as KnownEntry[]).filter(
      (line): line is Entry<K> & KnownEntry =>
        line.kind === kind && (line.body as { run: RunId }).run === run.id,
    )
  const kept: BlockReading[] = []
  const playTo = (sample: number) => {
    const played = advance(run.state, [], Math.max(0, sample - run.state.sample))
    run.state = played.state
    kept.push(...played.readings)
  }
  for (const { body, at } of ofRun('run command')) {
    playTo(body.atS)
    if (body.command.kind === 'pace') run.anchor = { atS: body.atS, atMs: at, pace: body.command.pace }
    else run.state = advance(run.state, [body.command], 0).state
  }
  const ended = ofRun('run ended')[0]
  if (ended) {
    playTo(ended.body.atS)
    return { ...cold, rest: { state: atRest(run.state), atMs: ended.at } }
  }
  const written = ofRun('trace').reduce(
    (last, { body }) => Math.max(last, body.firstSample + body.probeC.length - 1),
    0,
  )
  const due = byHand ? written : dueS(run, clock.now())
  resume(run, Math.max(written, due), playTo, kept, clock)
  run.unwritten = kept.filter((reading) => reading.sample > written)
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
    while (run.state.sample < due) {
      playTo(run.state.sample + 1)
      const reading = kept.at(-1)
      if (reading && mustSlowDown(run, reading)) break
    }
    run.anchor = { atS: run.state.sample, atMs: clock.now(), pace: 1 }
  } else playTo(due)
}

function lastOf<K extends 'melt planned'>(lines: readonly RawEntry[], kind: K): Entry<K> | null {
  return (lines.filter((line) => line.kind === kind).at(-1) as Entry<K> | undefined) ?? null
}

/** The random part of a trace's id, made from run and chunk. */
function chunkBytes(run: RunId, firstSample: number): Uint8Array {
  return createHash('sha256').update(`${run} ${firstSample}`).digest().subarray(0, 8)
}
