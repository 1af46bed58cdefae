import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { EntryId, LedgerId, MeltId, NotebookId } from '@ivory-crystal/core/ids'
import { SIMULATED_INSTRUMENTS } from '@ivory-crystal/core/instruments'
import { nextRandom } from '@ivory-crystal/core/math'
import { type Answer, KINDS, nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { golden } from '../../../core/golden/contract'
import type { LedgerStore } from '../ledger/storeTypes'
import { handClock } from '../testing/bench'
import { openBench, type SimulatedBench } from './bench'
import { runs } from '../../../core/golden/depth'

const LEDGER = golden.entries[0]?.ledger as LedgerId
const NOTEBOOK = golden.entries[0]?.notebook as NotebookId
const MELT = '0a5a1c7e-0000-4000-8000-0000000000aa' as MeltId
const BLOCK = 'programmable-block'

/** A ledger in memory that takes its time, and that a killed server can no longer write to. */
function slowLedger(seed: number) {
  const lines: RawEntry[] = [...golden.entries]
  const planned = lines.find(
    ({ kind, subject }) =>
      kind === 'melt planned' && lines.some((one) => one.subject === subject && one.kind === 'run started'),
  ) as RawEntry
  lines.push({ ...planned, subject: MELT, id: nextId(null, golden.nowMs, new Uint8Array(8)) })
  let state = seed
  const random = () => {
    const next = nextRandom(state)
    state = next.state
    return next.value
  }
  const pause = async () => {
    for (let turns = Math.floor(random() * 6); turns > 0; turns--) await new Promise(setImmediate)
  }
  let latest: string | null = lines.reduce((last, { id }) => (id > last ? id : last), '')
  const open = (): { store: LedgerStore; kill: () => void } => {
    let isAlive = true
    const store = {
      ledger: LEDGER,
      setAside: [],
      newId: (bytes = new Uint8Array(8)) => {
        latest = nextId(latest, golden.nowMs, bytes)
        return latest as EntryId
      },
      append: async (_: NotebookId, groups: readonly (readonly unknown[])[]): Promise<Answer[]> => {
        await pause()
        if (!isAlive || random() < 0.05) throw new Error('The disk does not answer.')
        const added = groups.flat() as RawEntry[]
        lines.push(...added)
        await pause()
        return added.map(({ id }, i) => ({ id, outcome: 'stored', seq: lines.length + i, recordedAt: 0 }))
      },
      all: async () => {
        await pause()
        return [...lines]
      },
      ofKind: async (kind: string) => {
        await pause()
        return lines.filter((line) => line.kind === kind)
      },
      ofSubject: async (_: NotebookId, subject: string) => {
        await pause()
        return lines.filter((line) => line.subject === subject)
      },
    } as unknown as LedgerStore
    return {
      store,
      kill() {
        isAlive = false
      },
    }
  }
  return { lines, open }
}

const OPERATIONS = [
  'start',
  'start',
  'preheat',
  'ramp',
  'tubes in',
  'tick',
  'tick',
  'tick',
  'long',
  'states',
  'kill',
  'end',
] as const

describe('a simulated instrument asked by many at once', () => {
  test('runs once at a time, and writes each second once and none twice, whatever comes when', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom(...OPERATIONS), { minLength: 8, maxLength: 40 }),
        fc.integer({ min: 1, max: 1e6 }),
        async (operations, seed) => {
          const { lines, open } = slowLedger(seed)
          const clock = handClock(golden.nowMs)
          const begin = async (): Promise<{ bench: SimulatedBench; kill: () => void }> => {
            const { store, kill } = open()
            const bench = await openBench(
              () => Promise.resolve(SIMULATED_INSTRUMENTS),
              store,
              clock,
              false,
              () => Promise.resolve(() => null),
              () => undefined,
            )
            return { bench, kill }
          }
          let now = await begin()
          const asked: Promise<unknown>[] = []
          /** What comes of it does not matter here, only what is written. */
          const ask = (question: Promise<unknown>) => asked.push(question.catch(() => undefined))
          const runNow = async () =>
            (await now.bench.states()).find(({ instrument }) => instrument.id === BLOCK)?.run?.id ?? ''
          const command = async (what: object) => {
            const run = await runNow()
            await now.bench.command(BLOCK, run, what as never)
          }
          for (const operation of operations) {
            switch (operation) {
              case 'start':
                ask(now.bench.start(BLOCK, NOTEBOOK, MELT))
                break
              case 'preheat':
                ask(command({ kind: 'preheat', toC: 60 }))
                break
              case 'ramp':
                ask(command({ kind: 'ramp', toC: 90, rateCPerMin: 2 }))
                break
              case 'tubes in':
                ask(command({ kind: 'tubes in' }))
                break
              case 'tick':
                clock.move(1000)
                break
              case 'long':
                clock.move(17_000)
                break
              case 'states':
                ask(now.bench.states())
                break
              case 'end':
                ask(runNow().then((run) => now.bench.end(BLOCK, run)))
                break
              case 'kill':
                now.kill()
                // Its clock still ticks, and reaches nothing.
                await Promise.all(asked)
                now = await begin()
            }
            await new Promise(setImmediate)
          }
          await Promise.all(asked)
          for (let tries = 0; tries < 30; tries++) {
            const run = await runNow()
            if (run === '') break
            await now.bench.end(BLOCK, run).catch(() => undefined)
          }
          const ofMelt = lines.filter(({ subject }) => subject === (MELT as never))
          const started = ofMelt
            .filter(({ kind }) => kind === 'run started')
            .map(({ body }) => (body as { run: string }).run)
          expect(new Set(started).size).toBe(started.length)
          // A run begins only when the one before it has ended.
          let going: string | null = null
          for (const { kind, body } of ofMelt) {
            const { run } = body as { run: string }
            if (kind === 'run started') {
              expect(going).toBeNull()
              going = run
            }
            if (kind === 'run ended') going = null
          }
          for (const run of started) {
            const samples = ofMelt
              .filter(({ kind, body }) => kind === 'trace' && (body as { run: string }).run === run)
              .flatMap(({ body }) => {
                const { firstSample, probeC } = body as { firstSample: number; probeC: number[] }
                return probeC.map((_, i) => firstSample + i)
              })
            expect(samples).toEqual(samples.map((_, i) => (samples[0] ?? 1) + i))
            if (samples.length > 0) expect(samples[0]).toBe(1)
          }
        },
      ),
      { numRuns: runs(15), seed: 11 },
    )
  })
})

test('what a ledger says of a run cannot stop a start: the instrument stands cold, and says why', async () => {
  const { lines, open } = slowLedger(3)
  const at = (kind: 'run command' | 'trace' | 'run ended', body: object): void => {
    const base = lines[lines.length - 1] as RawEntry
    lines.push({
      ...base,
      kind,
      v: KINDS[kind].version,
      body,
      subject: MELT,
    })
  }
  const started = lines.find(
    ({ kind, body }) => kind === 'run started' && (body as { instrument: string }).instrument === BLOCK,
  ) as RawEntry
  const run = (started.body as { run: string }).run
  for (const [kind, body] of [
    ['run command', { run, atS: 5, command: { kind: 'preheat', toC: 900 } }],
    ['trace', { run, firstSample: 200_000, decimals: 1, probeC: [50], light: null }],
    ['run ended', { run, atS: 10_000_000 }],
  ] as const) {
    const before = lines.length
    lines.push({ ...started, id: 'ffffffff-0000-7000-8000-000000000000' as never, subject: MELT })
    at(kind, body)
    const sentences: string[] = []
    const bench = await openBench(
      () => Promise.resolve(SIMULATED_INSTRUMENTS),
      open().store,
      handClock(golden.nowMs),
      false,
      () => Promise.resolve(() => null),
      (sentence) => sentences.push(sentence),
    )
    const state = (await bench.states()).find(({ instrument }) => instrument.id === BLOCK)
    expect({ kind, run: state?.run, sentenceCount: sentences.length }).toEqual({
      kind,
      run: null,
      sentenceCount: 1,
    })
    expect(state?.trouble).toMatch(/could not be continued/)
    await bench.close()
    lines.splice(before)
  }
})

test('a run that came with a notebook from elsewhere takes no instrument', async () => {
  const { lines, open } = slowLedger(4)
  const started = lines.find(
    ({ kind, body }) => kind === 'run started' && (body as { instrument: string }).instrument === BLOCK,
  ) as RawEntry
  lines.push({
    ...started,
    subject: MELT,
    ledger: '0a5a1c7e-0000-4000-8000-00000000dead' as LedgerId,
  })
  const bench = await openBench(
    () => Promise.resolve(SIMULATED_INSTRUMENTS),
    open().store,
    handClock(golden.nowMs),
    false,
    () => Promise.resolve(() => null),
    () => undefined,
  )
  expect((await bench.states()).find(({ instrument }) => instrument.id === BLOCK)).toMatchObject({
    run: null,
    trouble: null,
  })
})

test('a run left on long after its end ends itself', async () => {
  const { lines, open } = slowLedger(5)
  const clock = handClock(golden.nowMs)
  const bench = await openBench(
    () => Promise.resolve(SIMULATED_INSTRUMENTS),
    {
      ...open().store,
      append: async (_, groups) => {
        const added = groups.flat() as RawEntry[]
        lines.push(...added)
        return Promise.resolve(
          added.map(({ id }) => ({ id, outcome: 'stored' as const, seq: 1, recordedAt: 0 })),
        )
      },
    },
    clock,
    false,
    () => Promise.resolve(() => null),
    () => undefined,
  )
  const run = await bench.start(BLOCK, NOTEBOOK, MELT)
  await bench.command(BLOCK, run.id, { kind: 'preheat', toC: 120 })
  for (let minutes = 0; minutes < 120; minutes += 5) {
    clock.move(5 * 60_000)
    await bench.states()
    for (let turns = 0; turns < 20; turns++) await new Promise(setImmediate)
  }
  expect((await bench.states()).find(({ instrument }) => instrument.id === BLOCK)?.run).toBeNull()
  const ended = lines.filter(({ kind, subject }) => kind === 'run ended' && subject === (MELT as never))
  expect(ended).toHaveLength(1)
  expect((ended[0]?.body as { atS: number }).atS).toBeLessThan(2 * 3600)
})
