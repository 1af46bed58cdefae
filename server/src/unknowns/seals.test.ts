import { readFile, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import fc from 'fast-check'
import { randomUUID } from 'node:crypto'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import { DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import { RANK_OPTIONS } from '@ivory-crystal/core/identity'
import type { MeltId, NotebookId, SampleId, SubjectId, UnknownId } from '@ivory-crystal/core/ids'
import type { BlockReading } from '@ivory-crystal/core/instruments'
import {
  fold,
  type Kind,
  KINDS,
  meltOf,
  meltsOf,
  type UnknownFacts,
  unknownOf,
  unknownsOf,
} from '@ivory-crystal/core/notebook'
import type { RunningServer } from '../server'
import type { ShelfRow } from '../shelf/items'
import { hashedRow, readShelfFile } from '../shelf/rows'
import { line, serve, tempFolder } from '../testing/bench'
import { commitmentOf } from './seals'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let notebook: NotebookId
const BLOCK = '/api/instruments/programmable-block'

const at = () => `http://127.0.0.1:${server.port}`
const view = async () => fold([...(await server.store.all(notebook))])
const post = (path: string, body: object) => request(at()).post(path).send(body)
const detailOf = (response: { text: string }) => (JSON.parse(response.text) as { detail: string }).detail

async function open(): Promise<void> {
  server = await serve(folder.path, { demo: true })
  notebook = (await server.store.notebooks())[0]?.id as NotebookId
}
async function caseOf(id: UnknownId): Promise<UnknownFacts> {
  const found = unknownOf(await view(), id)
  if (!found) throw new Error('no such case')
  return found
}
/** A case of its own with a sealed answer. */
async function sealedCase(compound = 'methyl-4-nitrobenzoate'): Promise<UnknownFacts> {
  const id = randomUUID() as UnknownId
  const sample = randomUUID() as SampleId
  await write('sample named', sample, { prep: null, role: 'unknown', label: 'K-14', compound: null, of: [] })
  await write('unknown opened', id, { code: 'K-14', appearance: 'white', sample })
  const sealed = await post('/api/seals', { notebook, unknown: id, compound, purity: 0.98 })
  expect(sealed.status).toBe(201)
  return caseOf(id)
}
async function write(kind: Kind, subject: SubjectId, body: object): Promise<void> {
  const home = { ledger: server.store.ledger, notebook }
  const entry = line(home, { id: server.store.newId(), subject, kind, v: KINDS[kind].version, body })
  const [answer] = (await server.store.append(notebook, [[entry]])) ?? []
  expect(answer).toMatchObject({ outcome: 'stored' })
}
const sign = (unknown: UnknownFacts, answer: object) =>
  write('unknown signed', unknown.id, {
    signedBy: 'bench 7',
    answer,
    ranked: [],
    unknown: { onsetC: 93, clearC: 95 },
    mixtures: [],
    options: RANK_OPTIONS,
    conventions: DEFAULT_HOUSE_RULES,
    coreVersion: 'test',
    restsOn: [],
  })

/** Plans the demo's finished melt again with one tube of an unknown. */
async function planMelt({ sample }: UnknownFacts): Promise<MeltId> {
  const [melt] = meltsOf(await view())
  const id = randomUUID() as MeltId
  await write('melt planned', id, {
    ...(melt as NonNullable<typeof melt>).planned.body,
    prep: null,
    tubes: [{ slot: 1, sample: sample.id, label: 'K-14', fillMm: 2, grain: 'fine' }],
  })
  return id
}

beforeAll(async () => {
  folder = await tempFolder()
  await open()
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

describe('a sealed answer', () => {
  test('is nowhere to be read, yet fills the simulated tube, and again after a restart', async () => {
    const unknown = await sealedCase()
    const melt = await planMelt(unknown)
    const run = (await post(`${BLOCK}/runs`, { notebook, melt })).body as { id: string }
    expect(meltOf(await view(), melt)?.run?.started.body.simulation?.tubes).toEqual([
      { slot: 1, sample: null, packing: { fillMm: 2, grain: 'fine' } },
    ])
    const lines = JSON.stringify(
      (await server.store.all(notebook)).filter((entry) =>
        [unknown.id, melt, unknown.sample.id].includes(entry.subject as never),
      ),
    )
    expect(lines).not.toContain('nitrobenzoate')
    expect((await request(at()).get('/api/shelf')).text).not.toContain('salt')
    const versions = await request(at()).get(
      `/api/shelf/${encodeURIComponent('sealed answer')}/versions?id=${unknown.sealed?.body.seal ?? ''}`,
    )
    expect(versions.status).toBe(404)

    const command = (what: object) => post(`${BLOCK}/runs/${run.id}/commands`, { command: what })
    await command({ kind: 'preheat', toC: 80 })
    await post(`${BLOCK}/advance`, { seconds: 300 })
    await command({ kind: 'tubes in' })
    await post(`${BLOCK}/advance`, { seconds: 60 })
    await command({ kind: 'ramp', toC: 100, rateCPerMin: 1 })
    await post(`${BLOCK}/advance`, { seconds: 300 })
    await server.close()
    await open()
    const until = { seconds: 3000, until: { tube: 0, look: 'clear' } }
    const melted = (await post(`${BLOCK}/advance`, until)).body as { reading: BlockReading }
    expect(melted.reading.tubes[0]?.look).toBe('clear')
    // Methyl 4-nitrobenzoate, 98 %: clear below 96 °C, and what heating at 1 °C/min adds.
    expect(melted.reading.probe.value).toBeGreaterThan(94.5)
    expect(melted.reading.probe.value).toBeLessThan(97)
    await post(`${BLOCK}/runs/${run.id}/end`, {})
  })

  test('is opened only while a signed verdict stands, and shows that it was not changed', async () => {
    const unknown = await sealedCase()
    const asked = { notebook, unknown: unknown.id }
    const early = await post('/api/seals/open', asked)
    expect([early.status, detailOf(early)]).toEqual([409, expect.stringContaining('stays sealed')])
    await sign(unknown, { is: 'cannot tell' })
    const { signed } = await caseOf(unknown.id)
    await write('struck', unknown.id, { target: signed?.id, reason: 'too early' })
    expect((await post('/api/seals/open', asked)).status).toBe(409)
    await sign(unknown, { is: 'not on the list' })
    const opened = (await post('/api/seals/open', asked)).body as { compound: string; salt: string }
    expect(opened.compound).toBe('methyl-4-nitrobenzoate')
    expect(commitmentOf(opened.salt, opened.compound)).toBe(unknown.sealed?.body.commitment)
    expect(commitmentOf(opened.salt, '1-naphthol')).not.toBe(unknown.sealed?.body.commitment)
  })

  test('answers only for the case it was made for', async () => {
    const unknown = await sealedCase()
    const thief = await sealedCase('glutaric-acid')
    await write('answer sealed', thief.id, unknown.sealed?.body as object)
    await sign(thief, { is: 'cannot tell' })
    // A line that names another case's seal comes after the first, and the first stands.
    const opened = await post('/api/seals/open', { notebook, unknown: thief.id })
    expect(opened.body).toMatchObject({ compound: 'glutaric-acid' })
  })

  test('the first seal of a case stands', async () => {
    const unknown = await sealedCase()
    const again = await post('/api/seals', {
      notebook,
      unknown: unknown.id,
      compound: 'glutaric-acid',
      purity: 1,
    })
    expect([again.status, detailOf(again)]).toEqual([409, expect.stringContaining('first one is valid')])
  })

  test('a seal whose line was lost with the server gets it on the next try, and gives nothing away', async () => {
    const unknown = await sealedCase()
    const seal = unknown.sealed?.body.seal as string
    const other = randomUUID() as UnknownId
    const shelf = join(folder.path, 'shelf.jsonl')
    await server.close()
    const rows = (await readFile(shelf, 'utf8')).split('\n')
    const row = JSON.parse(rows.find((one) => one.includes(seal)) ?? '') as {
      id: string
      body: object
    }
    const { last } = await readShelfFile(shelf)
    const plain = hashedRow(
      { ...row, id: randomUUID(), body: { ...row.body, unknown: other } } as ShelfRow,
      last,
    )
    await writeFile(shelf, `${rows.join('\n')}${JSON.stringify(plain)}\n`)
    await open()
    const again = await post('/api/seals', { notebook, unknown: other, compound: 'glutaric-acid', purity: 1 })
    expect([again.status, again.text.includes(plain.id)]).toEqual([409, false])
    const lines = await server.store.ofSubject(notebook, other)
    expect(lines).toMatchObject([{ kind: 'answer sealed', author: 'recorder', body: { seal: plain.id } }])
    await post('/api/seals', { notebook, unknown: other, compound: 'benzil', purity: 1 })
    expect(await server.store.ofSubject(notebook, other)).toHaveLength(1)
  })

  test('its opening is a line of the notebook, by whatever way, and once', async () => {
    const unknown = await sealedCase()
    await sign(unknown, { is: 'cannot tell' })
    const asked = { notebook, unknown: unknown.id }
    await post('/api/seals/open', asked)
    await post('/api/seals/open', asked)
    const opened = (await server.store.ofSubject(notebook, unknown.id)).filter(
      ({ kind }) => kind === 'answer opened',
    )
    expect(opened).toMatchObject([
      { author: 'recorder', body: { compound: 'methyl-4-nitrobenzoate', name: 'methyl 4-nitrobenzoate' } },
    ])
  })

  test('nothing made from it, however it is named, puts its contents into a line or an answer', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.constantFrom('the unknown', 'benzil', 'another'), {
          minLength: 1,
          maxLength: 4,
        }),
        fc.boolean(),
        async (parts, again) => {
          const unknown = await sealedCase()
          const id = randomUUID() as SampleId
          const other = randomUUID() as SampleId
          const benzil = (await server.store.all(notebook)).find(
            ({ kind, body }) =>
              kind === 'sample named' && (body as { compound?: { id: string } }).compound?.id === 'benzil',
          )?.subject
          const of = parts.map((part) => ({ 'the unknown': unknown.sample.id, benzil, another: other })[part])
          const name = (sample: SampleId, made: readonly unknown[]) =>
            write('sample named', sample, {
              prep: null,
              role: 'mixture',
              label: 'a mixture',
              compound: null,
              of: made,
            })
          await name(other, [unknown.sample.id, id])
          await name(id, of)
          // The unknown’s own sample named anew as a mixture, too.
          if (again) await name(unknown.sample.id, [benzil])
          const melt = await planMelt({ ...unknown, sample: { ...unknown.sample, id } })
          const answered = await post(`${BLOCK}/runs`, { notebook, melt })
          const lines = await server.store.ofSubject(notebook, melt)
          expect(answered.text + JSON.stringify(lines)).not.toMatch(
            /nitrobenzoate|(?<![\d.])94\.5(?!\d)|(?<!\d)181\.15?(?!\d)/,
          )
          const tubes = lines
            .filter(({ kind }) => kind === 'run started')
            .flatMap(
              ({ body }) => (body as { simulation: { tubes: { sample: unknown }[] } }).simulation.tubes,
            )
          const holdsIt = parts.some((part) => part === 'the unknown')
          if (holdsIt) for (const { sample } of tubes) expect(sample).toBeNull()
          if (answered.status === 201)
            await post(`${BLOCK}/runs/${(answered.body as { id: string }).id}/end`, {})
        },
      ),
      { numRuns: 12, seed: 7 },
    )
  })

  test('the demo’s own are kept for its notebook, and hold nothing without one', async () => {
    const k14 = unknownsOf(await view()).find(({ candidates, signed }) => candidates.length > 0 && !signed)
    await sign(k14 as UnknownFacts, { is: 'cannot tell' })
    const opened = (await post('/api/seals/open', { notebook, unknown: k14?.id })).body as { name: string }
    expect(opened.name).toBe('methyl 4-nitrobenzoate')
    const id = randomUUID() as UnknownId
    const sample = randomUUID() as SampleId
    await write('sample named', sample, { prep: null, role: 'unknown', label: 'K-3', compound: null, of: [] })
    await write('unknown opened', id, { code: 'K-3', appearance: '', sample })
    const melt = await planMelt(await caseOf(id))
    const refused = await post(`${BLOCK}/runs`, { notebook, melt })
    expect([refused.status, detailOf(refused)]).toEqual([409, expect.stringContaining('Seal its answer')])
  })

  test.each([
    [{ compound: 'moon-dust' }, 404, 'is not on the shelf'],
    [{ purity: 2 }, 400, 'purity'],
    [{ notebook: '0a5a1c7e-0000-4000-8000-00000000dead' }, 404, 'no such notebook'],
  ])('%j is refused', async (change, status, sentence) => {
    const { id } = await sealedCase()
    const refused = await post('/api/seals', {
      notebook,
      unknown: id,
      compound: 'glutaric-acid',
      purity: 1,
      ...change,
    })
    expect([refused.status, detailOf(refused)]).toEqual([status, expect.stringContaining(sentence)])
  })
})
