import type { Bodies, Entry } from '@ivory-crystal/core/notebook'
import { KINDS } from '@ivory-crystal/core/notebook'
import type { Clock } from '../clock'
import type { LedgerStore } from '../ledger/storeTypes'
import { chunkBytes, type Run, unbroken } from './run'

const WRITTEN_BY = { author: 'recorder', device: 'server' } as const

/** Writes down what instruments read and what they are told. */
export interface Recorder {
  /** @throws Error when the ledger did not store it */
  write<K extends 'trace' | 'run started' | 'run command' | 'run ended'>(
    run: Pick<Run, 'notebook' | 'melt'>,
    kind: K,
    body: Bodies[K],
    random?: Uint8Array,
  ): Promise<void>
  /** Stores the readings that are not yet written. */
  flush(run: Run): Promise<void>
  setPace(run: Run, pace: number): Promise<void>
}

export function recorderFor(store: LedgerStore, clock: Clock): Recorder {
  const write: Recorder['write'] = async (run, kind, body, random) => {
    const entry: Entry<typeof kind> = {
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
      // Read again: while it was being written, more may have come.
      run.unwritten = run.unwritten.slice(chunk.length)
    }
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

  return { write, flush, setPace }
}
