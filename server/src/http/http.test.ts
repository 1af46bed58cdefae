import { createServer } from 'node:net'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import { fold, type NotebookId, type RawEntry, type Shelf, summaryOf } from '@ivory-crystal/core'
import { ledgerContract } from '../../../core/golden/contract'
import type { NotebookFile } from '../exchange/notebookFile'
import { PortTaken, type RunningServer } from '../server'
import { line, serve, tempFolder } from '../testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let at: string
let notebook: NotebookId

beforeAll(async () => {
  folder = await tempFolder()
  server = await serve(folder.path, { demo: true })
  at = `http://127.0.0.1:${server.port}`
  notebook = (await server.store.notebooks())[0]?.id as NotebookId
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

const home = () => ({ ledger: server.store.ledger, notebook })
const post = (body: object | string) =>
  request(at).post(`/api/notebooks/${notebook}/entries`).set('Content-Type', 'application/json').send(body)

describe('who may talk to it', () => {
  test.each([
    ['Host', 'rebound.example:80', 'answers under 127.0.0.1 and localhost only'],
    ['Origin', 'http://elsewhere.example', 'another site may not talk'],
    ['Origin', 'null', 'another site may not talk'],
  ])('a foreign %s %s is refused', async (header, value, sentence) => {
    const response = await request(at).get('/api/about').set(header, value)
    expect(response.status).toBe(403)
    expect(response.headers['content-type']).toContain('application/problem+json')
    expect(JSON.parse(response.text)).toMatchObject({
      status: 403,
      detail: expect.stringContaining(sentence),
    })
  })
  test('its own pages are let in', async () => {
    const response = await request(at)
      .get('/api/about')
      .set('Origin', `http://localhost:${server.port}`)
      .set('Host', `localhost:${server.port}`)
    expect(response.body).toMatchObject({ ledger: server.store.ledger, demo: true })
  })
})

describe('bad input', () => {
  test.each([
    ['{', 400, 'The body is not JSON.'],
    ['{"groups":[],"more":1}', 400, '“groups” must contain at least 1 items'],
    ['{"groups":[[{}]],"more":1}', 400, '“more” is not allowed'],
    ['{"groups":"x"}', 400, '“groups” must be an array'],
  ])('%s is answered with a problem document', async (body, status, sentence) => {
    const response = await post(body)
    expect(response.status).toBe(status)
    expect(JSON.parse(response.text)).toMatchObject({ status, detail: expect.stringContaining(sentence) })
  })
  test('a number typed as text is not converted, an unknown key not dropped', async () => {
    const lines = [line(home(), { at: '5' as unknown as number }), { ...line(home()), colour: 'blue' }]
    const response = await post({ groups: lines.map((one) => [one]) })
    const { answers } = response.body as { answers: { outcome: string; sentence: string }[] }
    expect(answers.map((answer) => [answer.outcome, answer.sentence])).toEqual([
      ['refused', '“at” must be a number.'],
      ['refused', '“colour” is not allowed.'],
    ])
  })
  test('too much at once is refused with its size', async () => {
    const response = await post({
      groups: [[line(home(), { body: { station: 'plan', text: 'x'.repeat(1_100_000) } })]],
    })
    expect(response.status).toBe(413)
    expect(JSON.parse(response.text)).toMatchObject({ detail: expect.stringContaining('1 MB at most') })
    const many = await post({ groups: Array.from({ length: 251 }, () => [line(home()), line(home())]) })
    expect(many.status).toBe(413)
  })
  test.each([
    ['/api/nothing', 404],
    ['/api/notebooks/no-uuid/entries', 404],
    ['/api/notebooks/0a5a1c7e-0000-4000-8000-00000000ffff/entries', 404],
  ])('%s is %d', async (path, status) => {
    const response = await request(at).get(path)
    expect(response.status).toBe(status)
    expect(response.headers['content-type']).toContain('application/problem+json')
  })
  test('“after” must be a whole number', async () => {
    const response = await request(at).get(`/api/notebooks/${notebook}/entries?after=-1`)
    expect(JSON.parse(response.text)).toMatchObject({
      status: 400,
      detail: expect.stringContaining('a whole number'),
    })
  })
  test('a port that is taken is said in a sentence', async () => {
    const other = await tempFolder()
    const taken = createServer()
    await new Promise<void>((resolve) => taken.listen(0, '127.0.0.1', resolve))
    const { port } = taken.address() as { port: number }
    await expect(serve(other.path, { port })).rejects.toThrow(PortTaken)
    await expect(serve(other.path, { port })).rejects.toThrow(`Port ${port} of 127.0.0.1 is taken`)
    taken.close()
    await other.remove()
  })
})

describe('the stream', () => {
  async function listen(
    headers: Record<string, string>,
    until: (text: string) => boolean,
  ): Promise<{ text: string; encoding: string | null }> {
    const stop = new AbortController()
    const response = await fetch(`${at}/api/notebooks/${notebook}/stream`, { headers, signal: stop.signal })
    const reader = response.body?.pipeThrough(new TextDecoderStream()).getReader()
    let text = ''
    while (reader && !until(text)) {
      const { value, done } = await reader.read()
      if (done) break
      text += value
    }
    stop.abort()
    return { text, encoding: response.headers.get('content-encoding') }
  }
  test('goes on after the last event heard, uncompressed, and then live', async () => {
    const before = (await server.store.all(notebook)).length
    const next = line(home())
    const heard = listen({ 'Last-Event-ID': String(before - 2), 'Accept-Encoding': 'gzip' }, (text) =>
      text.includes(next.id),
    )
    await new Promise((resolve) => setTimeout(resolve, 200))
    await server.store.append(notebook, [[next]])
    const { text, encoding } = await heard
    expect(encoding).toBeNull()
    expect([...text.matchAll(/^id: (\d+)$/gm)].map((match) => Number(match[1]))).toEqual([
      before - 1,
      before,
      before + 1,
    ])
  })
})

describe('a whole notebook', () => {
  test('goes out and into another ledger, telling the same, and a second time changes nothing', async () => {
    const exported = await request(at).get(`/api/notebooks/${notebook}/export`)
    const file = exported.body as NotebookFile
    expect(exported.headers['content-disposition']).toContain(
      'saltmarsh-teaching-laboratory-bench-7.ivory-crystal.json',
    )
    const other = await tempFolder()
    const second = await serve(other.path)
    const there = `http://127.0.0.1:${second.port}`
    const report = await request(there).post('/api/import').send(file)
    expect(report.body).toMatchObject({ stored: file.entries.length, duplicate: 0, refused: 0, conflict: 0 })
    const again = await request(there).post('/api/import').send(file)
    expect(again.body).toMatchObject({ stored: 0, duplicate: file.entries.length })
    const back = (await request(there).get(`/api/notebooks/${notebook}/export`)).body as NotebookFile
    expect(back.entries).toEqual(file.entries)
    const now = file.exportedAt
    expect(summaryOf(fold(back.entries), now)).toEqual(summaryOf(fold(file.entries), now))
    await second.close()
    await other.remove()
  })
  test('with a bad line says which one, and takes the rest', async () => {
    const other = await tempFolder()
    const second = await serve(other.path)
    const entries: RawEntry[] = [line(home()), line(home(), { body: {} }), line(home())]
    const file = {
      format: 'ivory-crystal notebook',
      version: 1,
      coreVersion: '0',
      exportedAt: 1,
      notebook: { id: notebook, title: 'x' },
      entries,
    }
    const report = await request(`http://127.0.0.1:${second.port}`).post('/api/import').send(file)
    expect(report.body).toMatchObject({
      stored: 2,
      refused: 1,
      report: [{ line: 2, sentence: expect.stringContaining('“station” is required') }],
    })
    const wrong = await request(`http://127.0.0.1:${second.port}`).post('/api/import').send({ entries })
    expect(wrong.status).toBe(400)
    await second.close()
    await other.remove()
  })
})

ledgerContract(
  'HTTP',
  async () => ({
    ledger: server.store.ledger,
    notebook: (await server.store.createNotebook({ title: 'empty' })).id,
  }),
  async (lines) => {
    const there = lines[0]?.notebook ?? ''
    for (let i = 0; i < lines.length; i += 100) {
      const groups = lines.slice(i, i + 100).map((one) => [one])
      const response = await request(at).post(`/api/notebooks/${there}/entries`).send({ groups })
      expect(response.status).toBe(200)
    }
    const response = await request(at).get(`/api/notebooks/${there}/entries?after=0`)
    return (response.body as { entries: { entry: RawEntry }[] }).entries.map((one) => one.entry)
  },
)

describe('the shelf', () => {
  test('holds the reference values, and the demo’s own points apart from them', async () => {
    const shelf = (await request(at).get('/api/shelf')).body as Shelf
    expect([shelf.compounds.length, shelf.solvents.length, shelf.solubilities.length]).toEqual([
      132,
      20,
      159 + 14,
    ])
    const own = shelf.solubilities.filter((row) => row.confidence === null)
    expect(new Set(own.map((row) => row.source))).toEqual(new Set(['measured at bench 7 (sample data)']))
    expect(shelf.compounds.find((row) => row.id === 'benzil')?.molarMassGPerMol).toBeCloseTo(210.23, 1)
  })
})
