import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import type { InstrumentId, MeltId, NotebookId } from '@ivory-crystal/core/ids'
import { type BlockReading, SIMULATED_INSTRUMENTS, type Instrument } from '@ivory-crystal/core/instruments'
import { type Bodies, fold, KINDS, meltOf, meltsOf, prepsOf, readingsOf } from '@ivory-crystal/core/notebook'
import type { InstrumentState, RunState } from '@ivory-crystal/core/wire'
import type { RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let notebook: NotebookId
/** A melt of its own for each test, on one server for all. */
let MELT: MeltId
let tests = 0
const OWN: Instrument = {
  ...(SIMULATED_INSTRUMENTS.find(({ id }) => id === 'dial-block') as Instrument),
  id: 'own-block' as InstrumentId,
  name: 'Own block',
  simulated: false,
}

const at = () => `http://127.0.0.1:${server.port}`
const view = async () => fold([...(await server.store.all(notebook))])
const post = (path: string, body: object) => request(at()).post(path).send(body)
const detailOf = (response: { text: string }) => (JSON.parse(response.text) as { detail: string }).detail
const instrumentPath = (id: string) => `/api/instruments/${id}`

async function open(): Promise<void> {
  server = await serve(folder.path, { demo: true })
  notebook = (await server.store.notebooks())[0]?.id as NotebookId
}

/** Plans the demo's finished melt again, on another instrument. */
async function planOn(id: string): Promise<void> {
  const before = await view()
  const benzil = prepsOf(before).find((prep) => prep.opened.body.title.startsWith('Benzil'))
  const [melt] = meltsOf(before, benzil?.id)
  const body = { ...melt?.planned.body, instrument: id } as Bodies['melt planned']
  const home = { ledger: server.store.ledger, notebook }
  const entry = {
    ...line(home),
    id: server.store.newId(),
    v: KINDS['melt planned'].version,
    kind: 'melt planned',
    subject: MELT,
    body,
  }
  const [answer] = (await server.store.append(notebook, [[entry]])) ?? []
  expect(answer?.outcome).toBe('stored')
}
const start = async (id: string) =>
  (await post(`${instrumentPath(id)}/runs`, { notebook, melt: MELT })).body as RunState
const command = (id: string, run: RunState, what: object) =>
  post(`${instrumentPath(id)}/runs/${run.id}/commands`, { command: what })
const pass = async (id: string, seconds: number) =>
  ((await post(`${instrumentPath(id)}/advance`, { seconds })).body as { reading: BlockReading }).reading
const lines = (id: string, text: string) =>
  request(at())
    .post(`${instrumentPath(id)}/line`)
    .set('Content-Type', 'text/plain')
    .send(text)
async function readings() {
  const now = await view()
  return readingsOf(now, MELT, meltOf(now, MELT)?.run?.id as RunState['id'])
}
const states = async () =>
  ((await request(at()).get('/api/instruments')).body as { instruments: InstrumentState[] }).instruments

beforeAll(async () => {
  folder = await tempFolder()
  await open()
})
beforeEach(() => {
  tests += 1
  MELT = `0a5a1c7e-0000-4000-8000-0000000001${tests + 50}` as MeltId
})
afterEach(async () => {
  for (const { instrument, run } of await states())
    if (run) await post(`${instrumentPath(instrument.id)}/runs/${run.id}/end`, {})
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

describe('each sort of simulated instrument', () => {
  test('a dial block heats by its dial, refuses a programme, and goes on after a restart', async () => {
    await planOn('dial-block')
    const run = await start('dial-block')
    const ramp = await command('dial-block', run, { kind: 'preheat', toC: 70 })
    expect(detailOf(ramp)).toContain('has no program: its dial sets the heat')
    const between = await command('dial-block', run, { kind: 'dial', setting: 4.1 })
    expect(detailOf(between)).toContain('in steps of 0.25; 4.1 lies outside or between')
    await command('dial-block', run, { kind: 'dial', setting: 6 })
    const reading = await pass('dial-block', 300)
    expect(reading).toMatchObject({ phase: 'heating', dial: 6 })
    // Five minutes at setting 6 by its own character: 22 + 169·(1 − e^(−5/8.5)), read 1.4 % low.
    expect(Math.abs(reading.probe.value - 97)).toBeLessThan(6)
    await server.close()
    await open()
    const [back] = (await states()).filter(({ run: on }) => on)
    expect(back?.run).toMatchObject({ id: run.id, reading: { sample: 300, dial: 6 } })
    expect((await readings()).probeC.size).toBe(300)
  })
  test('a thermometer read by eye is not recorded', async () => {
    await planOn('oil-bath-tube')
    const run = await start('oil-bath-tube')
    await command('oil-bath-tube', run, { kind: 'dial', setting: 4 })
    const reading = await pass('oil-bath-tube', 120)
    expect(reading.probe.value).toBeGreaterThan(30)
    expect((await readings()).probeC.size).toBe(0)
    expect(meltOf(await view(), MELT)?.run?.started.body).toMatchObject({
      feed: 'simulated',
      recorded: false,
    })
  })
  test('a detecting block writes its light beside its temperature', async () => {
    await planOn('detecting-block')
    const run = await start('detecting-block')
    await command('detecting-block', run, { kind: 'tubes in' })
    await pass('detecting-block', 65)
    const { light, probeC } = await readings()
    expect(light.size).toBe(65)
    expect(probeC.size).toBe(65)
    expect(light.get(30)?.every((value) => value >= 0 && value < 0.2)).toBe(true)
  })
  test('a tube nobody has named what it is cannot be simulated', async () => {
    const home = { ledger: server.store.ledger, notebook }
    const unknown = '0a5a1c7e-0000-4000-8000-0000000000ac'
    const before = await view()
    const [melt] = meltsOf(before)
    const body = {
      ...melt?.planned.body,
      instrument: 'dial-block',
      tubes: [{ slot: 1, sample: unknown, label: 'K-14', fillMm: 2, grain: 'fine' }],
    }
    const write = (kind: 'sample named' | 'melt planned', subject: string, of: object) => ({
      ...line(home),
      id: server.store.newId(),
      v: KINDS[kind].version,
      kind,
      subject: subject as MeltId,
      body: of,
    })
    await server.store.append(notebook, [
      [
        write('sample named', unknown, {
          prep: null,
          role: 'unknown',
          label: 'K-14',
          compound: null,
          of: [],
        }),
      ],
      [write('melt planned', MELT, body)],
    ])
    const refused = await post(`${instrumentPath('dial-block')}/runs`, { notebook, melt: MELT })
    expect([refused.status, detailOf(refused)]).toEqual([409, expect.stringContaining('named “K-14”')])
  })
})

describe('the line', () => {
  test('a simulated instrument takes commands as lines, and reads for itself', async () => {
    await planOn('dial-block')
    const early = await lines('dial-block', 'dial 4')
    expect([early.status, detailOf(early)]).toEqual([409, expect.stringContaining('No run is going on')])
    await start('dial-block')
    expect((await lines('dial-block', 'dial 4\ntubes-in\n')).text).toBe('ok dial 4\nok tubes-in\n')
    const odd = await lines('dial-block', 'sing')
    expect(detailOf(odd)).toContain('“sing” is not a command. The commands are: preheat')
    const answer = await lines('dial-block', 'reading 1 95.4')
    expect(detailOf(answer)).toContain('sends its own readings')
    expect((await post(`${instrumentPath('dial-block')}/line`, {})).status).toBe(415)
    expect((await lines('dial-block', ' ')).status).toBe(400)
  })
  test('what it says is heard as lines', async () => {
    await planOn('dial-block')
    const stop = new AbortController()
    const response = await fetch(`${at()}${instrumentPath('dial-block')}/line/stream`, {
      signal: stop.signal,
    })
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
    const run = await start('dial-block')
    await command('dial-block', run, { kind: 'dial', setting: 5 })
    await pass('dial-block', 3)
    await post(`${instrumentPath('dial-block')}/runs/${run.id}/end`, {})
    let output = ''
    while (!output.includes('rest')) output += (await reader?.read())?.value ?? ''
    stop.abort()
    expect(output).toMatch(/data: reading 3 \d\d\.\d dial=5 phase=heating/)
    expect(output).toContain('data: rest')
  })
})

describe('an instrument of the lab’s own', () => {
  const put = (rows: object[]) => post('/api/shelf/instrument', { rows, dryRun: false })
  test('goes on the shelf and stands on the bench; a simulated one is not replaced', async () => {
    expect((await put([OWN])).body).toMatchObject({ refused: [] })
    expect((await states())[0]).toMatchObject({ instrument: { id: 'own-block' }, blockC: null, run: null })
    const taken = (await put([{ ...OWN, id: 'dial-block' }])).body as { refused: { sentence: string }[] }
    expect(taken.refused[0]?.sentence).toContain('is a simulated instrument of the app')
    const claims = (await put([{ ...OWN, simulated: true }])).body as { refused: { sentence: string }[] }
    expect(claims.refused[0]?.sentence).toContain('ship with the app')
  })
  test('a bridge’s readings are recorded by the instrument’s own clock, gaps and all', async () => {
    await put([OWN])
    await planOn('own-block')
    expect((await lines('own-block', 'reading 100 21.5')).text).toBe('ok\n')
    expect((await states())[0]?.blockC).toBe(21.5)
    const run = await start('own-block')
    expect(meltOf(await view(), MELT)?.run?.started.body).toMatchObject({ feed: 'connected', blockC: 21.5 })
    await lines(
      'own-block',
      ['reading 200 22.0', 'reading 201 22.4', 'reading 201 22.5', 'reading 205 24.0'].join('\n'),
    )
    const back = await lines('own-block', 'reading 203 23.0')
    expect([back.status, detailOf(back)]).toEqual([400, expect.stringContaining('go backwards')])
    const unit = await lines('own-block', 'reading 206 9000')
    expect(detailOf(unit)).toContain('Is it in another unit?')
    const hurried = await command('own-block', run, { kind: 'pace', pace: 20 })
    expect(detailOf(hurried)).toContain('Only simulated time can run faster')
    await post(`${instrumentPath('own-block')}/runs/${run.id}/end`, {})
    expect([...(await readings()).probeC.entries()]).toEqual([
      [0, 22],
      [1, 22.4],
      [5, 24],
    ])
  })
  test('a command is written and handed on to its bridge as a line', async () => {
    await put([OWN])
    await planOn('own-block')
    const stop = new AbortController()
    const response = await fetch(`${at()}${instrumentPath('own-block')}/line/stream`, { signal: stop.signal })
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
    const run = await start('own-block')
    await command('own-block', run, { kind: 'dial', setting: 3.5 })
    let output = ''
    while (!output.includes('command')) output += (await reader?.read())?.value ?? ''
    stop.abort()
    expect(output).toContain('data: command dial 3.5')
    expect(meltOf(await view(), MELT)?.run?.commands.map(({ body }) => body.command)).toEqual([
      { kind: 'dial', setting: 3.5 },
    ])
  })
  test('house rules of the lab’s own go on the shelf by name, and the first set stays first', async () => {
    const [first] = ((await request(at()).get('/api/shelf')).body as { houseRules: { name: string }[] })
      .houseRules
    const own = { ...first, name: 'Saltmarsh' }
    expect((await post('/api/shelf/house%20rules', { rows: [own], dryRun: false })).body).toMatchObject({
      added: 1,
    })
    const backwards = { ...own, meltRate: { min: 3, target: 1, max: 1 } }
    const refused = (await post('/api/shelf/house%20rules', { rows: [backwards], dryRun: true })).body as {
      refused: { sentence: string }[]
    }
    expect(refused.refused[0]?.sentence).toContain('is not in order')
    const { houseRules } = (await request(at()).get('/api/shelf')).body as { houseRules: { name: string }[] }
    expect(houseRules[0]?.name).toBe('Slow through the range')
    expect(houseRules.map(({ name }) => name)).toContain('Saltmarsh')
  })
})
