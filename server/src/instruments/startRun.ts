import { createHash } from 'node:crypto'
import type { MeltId, NotebookId, RunId } from '@ivory-crystal/core/ids'
import type { BlockReading, Instrument } from '@ivory-crystal/core/instruments'
import {
  type Bodies,
  type Entry,
  fold,
  type Kind,
  type MeltPlanned,
  type RawEntry,
  type Simulation,
  upcast,
} from '@ivory-crystal/core/notebook'
import {
  advance,
  type BlockState,
  createBlock,
  createTube,
  simulatedTube,
  type TubeState,
} from '@ivory-crystal/core/simulator'
import type { Clock } from '../clock'
import { HttpProblem } from '../http/problem'
import { queue } from '../queue'
import type { LedgerStore } from '../ledger/storeTypes'
import { heatedAsPlanned, simulatedTubes } from './simulated'
import { atRest, dueS, mustSlowDown, type Run, RUN_MOST_S, type SealedIn, type Stand, stateOf } from './run'

export async function describeRun(
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
      'The plan of this melt has not reached the server yet. Wait until all is saved, then start.',
    )
  const { instrument } = stand
  const seed = createHash('sha256').update(melt).digest().readInt32BE(0)
  const view = fold(await store.all(notebook))
  const sealed = await sealedIn(notebook, view)
  const runs = lines.filter((line) => line.kind === 'run started').length
  const body: Bodies['run started'] = {
    run: runId(melt, runs),
    instrument: instrument.id,
    feed: instrument.simulated ? 'simulated' : 'connected',
    simulation: instrument.simulated
      ? {
          seed,
          character: heatedAsPlanned(instrument.character, planned.body),
          tubes: simulatedTubes(view, planned.body, seed, sealed),
        }
      : null,
    blockC: stateOf(stand, clock).blockC,
    // What a bridge hears is on record whatever it reads; a simulated glass thermometer is read by eye.
    recorded: !instrument.simulated || instrument.character.readBy === 'probe',
  }
  return { body, planned: planned.body }
}

/** Each run of a melt has an id of its own, made from the melt's and its number. */
function runId(melt: MeltId, number: number): RunId {
  const hex = createHash('sha256').update(`${melt} ${number}`).digest('hex')
  return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-8${hex.slice(13, 16)}-a${hex.slice(17, 20)}-${hex.slice(20, 32)}` as RunId
}

export function beginRun(
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
    heardClockMs: atMs,
    doneSinceS: null,
    lately: [],
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
export async function heldTubes(
  { simulation }: Bodies['run started'],
  planned: MeltPlanned,
  store: LedgerStore,
  notebook: NotebookId,
  sealedIn: SealedIn,
): Promise<readonly TubeState[]> {
  if (!simulation) return []
  const { character, seed, tubes } = simulation
  const view = tubes.some(({ sample }) => sample === null) ? fold(await store.all(notebook)) : null
  const sealed = view ? await sealedIn(notebook, view) : null
  return tubes.map(({ slot, sample, packing }) => {
    const of = planned.tubes.find((tube) => tube.slot === slot)?.sample
    const held = sample ?? (view && sealed && of ? simulatedTube(view, of, seed, sealed) : null)
    if (!held) throw new Error(`What slot ${slot} holds is not saved on this computer.`)
    return createTube(held, packing, { sampleLagMin: character.sampleLagMin, seed: seed + slot })
  })
}

/**
 * The instrument as the ledger left it: resting, or in a run that is resumed by replaying its commands. One whose
 * run cannot be played on stands cold, and says why: what stands in a ledger must not stop a start.
 */
export async function restore(
  instrument: Instrument,
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
  sealedIn: SealedIn,
): Promise<Stand> {
  const cold: Stand = {
    instrument,
    inTurn: queue(),
    ticking: false,
    trouble: null,
    run: null,
    rest: { state: createBlock(instrument.character, 1), atMs: clock.now() },
    heardC: null,
  }
  try {
    return await resumed(cold, store, clock, byHand, sealedIn)
  } catch (error) {
    return {
      ...cold,
      trouble: `Its last run could not be continued and has ended: ${(error as Error).message}`,
    }
  }
}

async function resumed(
  cold: Stand,
  store: LedgerStore,
  clock: Clock,
  byHand: boolean,
  sealedIn: SealedIn,
): Promise<Stand> {
  const { instrument } = cold
  const latest = (await store.ofKind('run started'))
    // A run that came with a notebook from elsewhere was on another bench.
    .filter(({ ledger }) => ledger === store.ledger)
    .flatMap((raw) => asKnown(raw, 'run started'))
    .filter(({ body }) => body.instrument === instrument.id && body.feed !== 'by hand')
    .at(-1)
  if (!latest) return cold
  const melt = latest.subject
  const lines = await store.ofSubject(latest.notebook, melt)
  const planned = lastOf(lines, 'melt planned')?.body
  if (!planned) return cold
  // A run whose sealed answer is kept elsewhere cannot be played on: the instrument then stands cold.
  const tubes = await heldTubes(latest.body, planned, store, latest.notebook, sealedIn).catch(() => null)
  if (!tubes) return cold
  const run = beginRun(latest.body, planned, melt, latest.notebook, latest.at, tubes)
  const ofRun = <K extends 'run command' | 'run ended' | 'trace'>(kind: K) =>
    lines.flatMap((raw) => asKnown(raw, kind)).filter((line) => (line.body as { run: RunId }).run === run.id)
  const written = ofRun('trace').reduce(
    (last, { body }) => Math.max(last, body.firstSample + body.probeC.length - 1),
    0,
  )
  const ended = ofRun('run ended')[0]
  for (const atS of [written, ended?.body.atS ?? 0, ...ofRun('run command').map(({ body }) => body.atS)])
    if (atS > PLAYED_MOST_S) throw new Error(`an entry of it names its second ${atS}.`)
  const played = player(run, written)
  for (const { body, at } of ofRun('run command')) {
    played.to(body.atS)
    if (body.command.kind === 'pace') run.anchor = { atS: body.atS, atMs: at, pace: body.command.pace }
    else if (run.simulated) run.simulated = advance(run.simulated, [body.command], 0).state
    if (body.command.kind === 'dial') run.turns += 1
  }
  if (ended) {
    played.to(ended.body.atS)
    const rest = run.simulated ? { state: atRest(run.simulated), atMs: ended.at } : cold.rest
    return { ...cold, rest }
  }
  if (!run.simulated) {
    run.sample = written
    return { ...cold, run }
  }
  // Nothing is written of a thermometer read by eye, so by hand such a run stands at its last command.
  const reached = run.recorded ? written : run.sample
  const due = byHand ? reached : dueS(run, clock.now())
  playOn(run, Math.min(Math.max(reached, due), PLAYED_MOST_S), played, clock)
  run.unwritten = run.recorded ? played.unwritten : []
  run.last = played.last()
  run.flushedAt = 0
  return { ...cold, run }
}

/** No run is played on for longer than it could have gone on by itself, s. */
const PLAYED_MOST_S = 2 * RUN_MOST_S
/** Seconds played at once. */
const PLAYED_AT_ONCE_S = 3600

/** Plays a run on, and keeps what was read beyond what is written. */
interface Player {
  readonly unwritten: BlockReading[]
  last(): BlockReading | null
  to(sample: number): void
}

function player(run: Run, written: number): Player {
  const unwritten: BlockReading[] = []
  let last: BlockReading | null = null
  return {
    unwritten,
    last: () => last,
    to(sample) {
      while (run.simulated && run.sample < sample) {
        const seconds = Math.min(PLAYED_AT_ONCE_S, sample - run.sample)
        const { state, readings } = advance(run.simulated, [], seconds)
        run.simulated = state
        run.sample = state.sample
        for (const reading of readings) if (reading.sample > written) unwritten.push(reading)
        last = readings[readings.length - 1] ?? last
      }
    },
  }
}

/** Plays on to now. Where hurried time should have ended on the way, it does. */
function playOn(run: Run, due: number, played: Player, clock: Clock): void {
  if (run.anchor.pace > 1) {
    while (run.sample < due) {
      played.to(run.sample + 1)
      const reading = played.last()
      if (reading && mustSlowDown(run, reading)) break
    }
    run.anchor = { atS: run.sample, atMs: clock.now(), pace: 1 }
  } else played.to(due)
}

/** A line of this kind as this build reads it; old versions come up to date. */
function asKnown<K extends Kind>(raw: RawEntry, kind: K): Entry<K>[] {
  const known = raw.kind === kind ? upcast(raw) : null
  return known ? [known as Entry & Entry<K>] : []
}

function lastOf<K extends Kind>(lines: readonly RawEntry[], kind: K): Entry<K> | null {
  return lines.flatMap((raw) => asKnown(raw, kind)).at(-1) ?? null
}
