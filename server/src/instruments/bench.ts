import {
  atRest,
  dueS,
  hasCome,
  isOver,
  mustSlowDown,
  type PassUntil,
  requireWithin,
  type Run,
  runState,
  type SealedIn,
  type Stand,
  stateOf,
  take,
  TRACE_MOST,
  tried,
  tryAdvance,
} from './run'
import { takeLine } from './connected'
import { recorderFor } from './recorder'
import { beginRun, describeRun, heldTubes, restore } from './startRun'
import { queue } from '../queue'
import type { MeltId, NotebookId } from '@ivory-crystal/core/ids'
import type { Instrument } from '@ivory-crystal/core/instruments'
import { commandOfLine, lineOfCommand } from '@ivory-crystal/core/line'
import type { Bodies } from '@ivory-crystal/core/notebook'
import { advance, createBlock } from '@ivory-crystal/core/simulator'
import type { InstrumentState, RunState } from '@ivory-crystal/core/wire'
import type { Clock } from '../clock'
import { HttpProblem } from '../http/problem'
import type { LedgerStore } from '../ledger/storeTypes'
import type { Passing, PassingFeed } from '../ledger/stream'

const TICK_MS = 1000
const FLUSH_EVERY_MS = 5000

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
  say: (sentence: string) => void,
): Promise<SimulatedBench> {
  const listeners = new Set<(passing: Passing) => void>()
  const stands = new Map<string, Stand>()
  const inTurn = queue()
  const { write, flush, setPace } = recorderFor(store, clock)
  const standing = () =>
    inTurn(async () => {
      for (const instrument of await listed()) {
        const stand = stands.get(instrument.id)
        // One whose values were changed on the shelf goes on with the new ones once it rests.
        if (!stand) stands.set(instrument.id, await restored(instrument))
        else if (!stand.run) stand.instrument = instrument
      }
      return stands
    })
  /** Each by itself: one whose run cannot be played on stands cold, and says why. */
  async function restored(instrument: Instrument): Promise<Stand> {
    const stand = await restore(instrument, store, clock, byHand, sealedIn)
    if (stand.trouble) say(`${instrument.name}: ${stand.trouble}`)
    return stand
  }
  // What was melting goes on once the port answers: whoever asks after an instrument waits for its turn.
  void standing().catch((error: unknown) => {
    say(`The instruments could not be read: ${(error as Error).message}`)
  })
  const stop = byHand
    ? () => undefined
    : clock.every(TICK_MS, () => {
        for (const stand of stands.values()) if (stand.run && !stand.ticking) void tick(stand)
      })

  async function tick(stand: Stand): Promise<void> {
    stand.ticking = true
    try {
      await stand.inTurn(async () => {
        if (stand.run) await catchUp(stand, stand.run)
      })
      stand.trouble = null
    } catch (error) {
      const trouble = `Its readings could not be written down: ${(error as Error).message}`
      if (trouble !== stand.trouble) say(`${stand.instrument.name}: ${trouble}`)
      stand.trouble = trouble
      if (stand.run) publish(stand, stand.run)
    } finally {
      stand.ticking = false
    }
  }

  async function catchUp(stand: Stand, run: Run): Promise<void> {
    if (run.simulated) {
      const due = dueS(run, clock.now())
      if (due > run.sample) await advanceTo(stand, run, due)
    }
    if (Math.abs(clock.now() - run.flushedAt) >= FLUSH_EVERY_MS || run.unwritten.length >= TRACE_MOST)
      await flush(run)
    if (run.simulated && isOver(run)) await endRun(stand, run)
  }

  async function endRun(stand: Stand, run: Run): Promise<void> {
    await flush(run)
    await write(run, 'run ended', { run: run.id, atS: run.sample })
    if (run.simulated) stand.rest = { state: atRest(run.simulated), atMs: clock.now() }
    stand.run = null
    for (const listener of listeners) listener({ event: 'rest', data: { instrument: stand.instrument.id } })
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

  function publish(stand: Stand, run: Run): void {
    const data = { instrument: stand.instrument.id, ...runState(run, stand.trouble) }
    for (const receive of listeners) receive({ event: 'reading', data })
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
        'The run has ended',
        'That run has ended, or another has begun on this instrument.',
      )
    return stand.run
  }

  async function command(stand: Stand, run: Run, what: Bodies['run command']['command']): Promise<void> {
    if (!byHand) await catchUp(stand, run)
    runOf(stand, run.id)
    if (what.kind === 'pace') {
      if (!run.simulated)
        throw new HttpProblem(400, 'The instrument refused', 'Only simulated time can run faster.')
      await setPace(run, what.pace)
    } else {
      const obeyed = run.simulated ? tryAdvance(run.simulated, what) : null
      if (!run.simulated) requireWithin(stand.instrument, what)
      await flush(run)
      await write(run, 'run command', { run: run.id, atS: run.sample, command: what })
      run.simulated = obeyed
      if (what.kind === 'dial') run.turns += 1
      if (!obeyed) publishLine(stand, `command ${lineOfCommand(what)}`)
    }
    publish(stand, run)
  }

  function publishLine(stand: Stand, line: string): void {
    for (const hear of listeners) hear({ event: 'line', data: { instrument: stand.instrument.id, line } })
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
      return stand.inTurn(async () => {
        if (stand.run)
          throw new HttpProblem(
            409,
            'Instrument in use',
            'A run is going on in this instrument. End it first: its tubes are in the block.',
          )
        const started = await describeRun(stand, store, clock, notebook, melt, sealedIn)
        const tubes = await heldTubes(started.body, started.planned, store, notebook, sealedIn)
        await write({ notebook, melt }, 'run started', started.body)
        stand.trouble = null
        stand.run = beginRun(started.body, started.planned, melt, notebook, clock.now(), tubes)
        publish(stand, stand.run)
        return runState(stand.run, null)
      })
    },
    async command(id, runId, what) {
      const stand = await standOf(id)
      return stand.inTurn(async () => {
        const run = runOf(stand, runId)
        await command(stand, run, what)
        return runState(run, stand.trouble)
      })
    },
    async end(id, runId) {
      const stand = await standOf(id)
      return stand.inTurn(async () => {
        const run = runOf(stand, runId)
        if (!byHand) await catchUp(stand, run)
        // Catching up may have ended it.
        if (stand.run) await endRun(stand, run)
        return stateOf(stand, clock)
      })
    },
    async line(id, line) {
      const stand = await standOf(id)
      return stand.inTurn(async () => {
        if (line.trim().startsWith('reading')) {
          if (stand.instrument.simulated)
            throw new HttpProblem(
              400,
              'The entry was refused',
              'This instrument is simulated and sends its own readings.',
            )
          const run = takeLine(stand, line)
          if (run) publish(stand, run)
          if (run && run.unwritten.length >= TRACE_MOST) await flush(run)
          return 'ok'
        }
        const what = tried(() => commandOfLine(line))
        if (!stand.run)
          throw new HttpProblem(
            409,
            'No run',
            'No run is going on in this instrument. Start a run in the notebook first.',
          )
        await command(stand, stand.run, what)
        return `ok ${lineOfCommand(what)}`
      })
    },
    async pass(id, seconds, until) {
      const stand = await standOf(id)
      return stand.inTurn(async () => {
        const run = stand.run
        if (!run?.simulated) throw new HttpProblem(409, 'No run', 'No run is going on in this instrument.')
        await advanceTo(stand, run, run.sample + seconds, until)
        await flush(run)
        return runState(run, stand.trouble)
      })
    },
    clear() {
      for (const stand of stands.values()) {
        stand.run = null
        stand.heardC = null
        stand.rest = { state: createBlock(stand.instrument.character, 1), atMs: clock.now() }
      }
    },
    listen(hear) {
      listeners.add(hear)
      return () => listeners.delete(hear)
    },
    async close() {
      stop()
      await inTurn(() => Promise.resolve())
      for (const stand of stands.values())
        await stand.inTurn(async () => {
          if (stand.run) await flush(stand.run)
        })
    },
  }
}
