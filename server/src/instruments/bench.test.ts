import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import type { MeltId, NotebookId } from '@ivory-crystal/core/ids'
import type { BlockReading } from '@ivory-crystal/core/instruments'
import {
  type Entry,
  fold,
  type MeltPlanned,
  meltsOf,
  prepsOf,
  type RawEntry,
  readingsOf,
} from '@ivory-crystal/core/notebook'
import type { RunState } from '@ivory-crystal/core/wire'
import type { RunningServer } from '../server'
import { handClock, type HandClock, line, serve, tempFolder } from '../testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let clock: HandClock
let notebook: NotebookId
const MELT = '0a5a1c7e-0000-4000-8000-0000000000aa' as MeltId
const BLOCK = '/api/instruments/programmable-block'

const at = () => `http://127.0.0.1:${server.port}`
const view = async () => fold([...(await server.store.all(notebook))])
const post = (path: string, body: object) => request(at()).post(path).send(body)

async function open(byHand: boolean): Promise<void> {
  server = await serve(folder.path, { demo: true, byHand, clock })
  notebook = (await server.store.notebooks())[0]?.id as NotebookId
}

/** Plans the demo's finished melt again, as a new melt. */
async function plan(change: (body: MeltPlanned) => MeltPlanned = (body) => body): Promise<void> {
  const before = await view()
  const benzil = prepsOf(before).find((prep) => prep.opened.body.title.startsWith('Benzil'))
  const [melt] = meltsOf(before, benzil?.id)
  const planned = melt?.planned as Entry<'melt planned'>
  const body = change(planned.body)
  const entry = { ...(planned as unknown as RawEntry), body, subject: MELT, id: server.store.newId() }
  await server.store.append(notebook, [
    [{ ...line({ ledger: server.store.ledger, notebook }), ...entry, ledger: server.store.ledger, notebook }],
  ])
}

async function start(): Promise<RunState> {
  const response = await post(`${BLOCK}/runs`, { notebook, melt: MELT })
  return response.body as RunState
}
const detailOf = (response: { text: string }) => (JSON.parse(response.text) as { detail: string }).detail
const command = (run: RunState, what: object) => post(`${BLOCK}/runs/${run.id}/commands`, { command: what })

async function recorded(): Promise<ReadonlyMap<number, number>> {
  const now = await view()
  const melt = meltsOf(now).find((one) => one.id === MELT)
  return readingsOf(now, MELT, melt?.run?.id as RunState['id']).probeC
}

beforeEach(async () => {
  folder = await tempFolder()
  clock = handClock()
})
afterEach(async () => {
  await server.close()
  await folder.remove()
})

describe('a run driven by hand', () => {
  test('goes up as fast as its plan has it, not as fast as the block could', async () => {
    await open(true)
    await plan((body) => {
      if (body.heating.by !== 'ramp')
        throw new Error('The demo’s benzil is melted on a block with a programme.')
      const segments = body.heating.plan.segments.map((one) =>
        one.kind === 'preheat' ? { ...one, rateCPerMin: 6 } : one,
      )
      return { ...body, heating: { ...body.heating, plan: { ...body.heating.plan, segments } } }
    })
    const run = await start()
    await command(run, { kind: 'preheat', toC: 70 })
    await post(`${BLOCK}/advance`, { seconds: 240 })
    const probeC = await recorded()
    const [early, late] = [probeC.get(120) ?? NaN, probeC.get(240) ?? NaN]
    expect((late - early) / 2).toBeGreaterThan(5.5)
    expect((late - early) / 2).toBeLessThan(6.5)
  })

  test('refuses what is not planned, not known, or in use', async () => {
    await open(true)
    const early = await post(`${BLOCK}/runs`, { notebook, melt: MELT })
    expect([early.status, detailOf(early)]).toEqual([
      409,
      expect.stringContaining('has not reached the server yet'),
    ])
    await plan()
    const run = await start()
    const second = await post(`${BLOCK}/runs`, { notebook, melt: MELT })
    expect([second.status, detailOf(second)]).toEqual([409, expect.stringContaining('A run is going on')])
    const odd = await command(run, { kind: 'ramp', toC: 100, rateCPerMin: 3 })
    expect([odd.status, detailOf(odd)]).toEqual([400, expect.stringContaining('ramps at 0.5, 1, 2, 5, 10')])
    const unknown = await command(run, { kind: 'dance' })
    expect(unknown.status).toBe(400)
    expect((await post('/api/instruments/oven/runs', { notebook, melt: MELT })).status).toBe(404)
  })

  test('is resumed by replay after a restart: the same readings as an unbroken run', async () => {
    await open(true)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 70 })
    await post(`${BLOCK}/advance`, { seconds: 250 })
    await command(run, { kind: 'tubes in' })
    await post(`${BLOCK}/advance`, { seconds: 100 })
    await server.close()
    await open(true)
    const back = (await request(at()).get('/api/instruments')).body as {
      instruments: { run: RunState | null }[]
    }
    expect(back.instruments[0]?.run).toMatchObject({ id: run.id, reading: { sample: 350 } })
    const looks = (await post(`${BLOCK}/advance`, { seconds: 1 })).body as { reading: BlockReading }
    expect(looks.reading.tubes.map((tube) => tube.look)).toEqual(['powder', 'powder'])
    await command(run, { kind: 'ramp', toC: 104, rateCPerMin: 1 })
    await post(`${BLOCK}/advance`, { seconds: 149 })
    const broken = await recorded()
    await post(`${BLOCK}/runs/${run.id}/end`, {})

    await server.close()
    await folder.remove()
    folder = await tempFolder()
    await open(true)
    await plan()
    const whole = await start()
    await command(whole, { kind: 'preheat', toC: 70 })
    await post(`${BLOCK}/advance`, { seconds: 250 })
    await command(whole, { kind: 'tubes in' })
    await post(`${BLOCK}/advance`, { seconds: 101 })
    await command(whole, { kind: 'ramp', toC: 104, rateCPerMin: 1 })
    await post(`${BLOCK}/advance`, { seconds: 149 })
    expect([...broken.keys()].length).toBe(500)
    expect([...broken.entries()]).toEqual([...(await recorded()).entries()])
  })

  test('the advance endpoint does not exist without the test flag', async () => {
    await open(false)
    expect((await post(`${BLOCK}/advance`, { seconds: 1 })).status).toBe(404)
  })
})

describe('a run on the clock', () => {
  const settle = () => new Promise((resolve) => setTimeout(resolve, 150))
  async function pass(seconds: number): Promise<void> {
    for (let i = 0; i < seconds; i += 5) {
      clock.move(5000)
      await settle()
    }
  }

  test('reads once a second, writes every five, and plays the gap of a crash', async () => {
    await open(false)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 70 })
    await pass(30)
    expect((await recorded()).size).toBeGreaterThanOrEqual(25)
    await server.close()
    clock.move(60_000)
    await open(false)
    await pass(10)
    const stored = await recorded()
    const samples = [...stored.keys()].sort((p, q) => p - q)
    expect(samples.length).toBeGreaterThanOrEqual(95)
    expect(samples).toEqual(samples.map((_, i) => i + 1))
  })

  test('hurried time goes back to real time when the block is at its start temperature', async () => {
    await open(false)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 70 })
    await command(run, { kind: 'pace', pace: 20 })
    await pass(30)
    const { instruments } = (await request(at()).get('/api/instruments')).body as {
      instruments: { run: RunState }[]
    }
    expect(instruments[0]?.run).toMatchObject({ pace: 1, reading: { phase: 'holding' } })
  })

  test('with the clock set back by a year simulated time goes on, and its readings are written', async () => {
    await open(false)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 70 })
    await pass(10)
    clock.set(clock.now() - 365 * 24 * 3600_000)
    await pass(40)
    expect((await recorded()).size).toBeGreaterThanOrEqual(40)
  })

  test('a run nobody attended for two days goes on by four hours and no more', async () => {
    await open(false)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 79 })
    await pass(10)
    await server.close()
    clock.move(48 * 3600_000)
    await open(false)
    const { instruments } = (await request(at()).get('/api/instruments')).body as {
      instruments: { run: RunState }[]
    }
    const sample = instruments[0]?.run.reading?.sample ?? 0
    expect(sample).toBeGreaterThanOrEqual(4 * 3600)
    expect(sample).toBeLessThanOrEqual(4 * 3600 + 20)
    expect(instruments[0]?.run.reading?.phase).toBe('holding')
  })

  test('a block that was left hot is cooler when it is asked later, and free', async () => {
    await open(false)
    await plan()
    const run = await start()
    await command(run, { kind: 'preheat', toC: 100 })
    await pass(240)
    const hot = (await post(`${BLOCK}/runs/${run.id}/end`, {})).body as { run: null; blockC: number }
    expect(hot).toMatchObject({ run: null })
    clock.move(9 * 60_000)
    const { instruments } = (await request(at()).get('/api/instruments')).body as {
      instruments: { blockC: number }[]
    }
    expect((instruments[0]?.blockC ?? 0) - 22).toBeCloseTo((hot.blockC - 22) / Math.E, -0.5)
  })
})
