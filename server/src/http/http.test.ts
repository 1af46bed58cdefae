import { randomUUID } from 'node:crypto'
import { connect, createServer } from 'node:net'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import type { NotebookId, SampleId } from '@ivory-crystal/core/ids'
import { expectedOf, fold, type RawEntry, summaryOf } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
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
    ['Host', 'rebound.example:80', 'answers only at 127.0.0.1 and localhost'],
    ['Origin', 'http://elsewhere.example', 'another site cannot use'],
    ['Origin', 'null', 'another site cannot use'],
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
    ['[]', 400, 'a JSON object with named values'],
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
  test('a kind that is no word is refused by itself, and what came with it is stored', async () => {
    const odd = { ...line(home()), kind: { toString: 1 } }
    const response = await post({ groups: [[odd], [line(home())]] })
    const { answers } = response.body as { answers: { outcome: string; sentence?: string }[] }
    expect(answers).toMatchObject([
      { outcome: 'refused', sentence: '“kind” must be a string.' },
      { outcome: 'stored' },
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
  const bare = (path: string, text: string): Promise<string> =>
    new Promise((resolve, reject) => {
      const socket = connect(server.port, '127.0.0.1', () => {
        socket.write(
          `${text.replace('PATH', path)} HTTP/1.1\r\nHost: 127.0.0.1:${server.port}\r\nConnection: close\r\n\r\n`,
        )
      })
      let received = ''
      socket.on('data', (bytes) => (received += bytes.toString()))
      socket.on('close', () => {
        resolve(received)
      })
      socket.on('error', reject)
    })
  test.each([
    ['GET PATH', '/api/notebooks/%E0%A4%A/entries', 400],
    ['GET PATH', '/assets/%c0', 400],
    ['GET PATH', '/assets/nothing.js', 404],
    ['DELETE PATH', '/api/notebooks', 405],
    ['PUT PATH', '/', 405],
    ['PROPFIND PATH', '/api/shelf', 405],
    ['POST PATH', '/', 404],
    ['POST PATH', '/api/notebooks', 400],
  ])('%s of %s is a problem document %d', async (text, path, status) => {
    const received = await bare(path, text)
    expect(received.split('\r\n')[0]).toContain(` ${status} `)
    expect(received).toContain('application/problem+json')
    expect(JSON.parse(received.slice(received.indexOf('\r\n\r\n') + 4))).toMatchObject({
      status,
      detail: expect.stringMatching(/^[A-Z“].*\.$/),
    })
  })
  test('a body packed in an unknown way is refused', async () => {
    const response = await request(at)
      .post(`/api/notebooks/${notebook}/entries`)
      .set('Content-Type', 'application/json')
      .set('Content-Encoding', 'snappy')
      .send('{}')
    expect([response.status, response.headers['content-type']]).toEqual([
      415,
      expect.stringContaining('problem+json'),
    ])
  })

  const mixture = (of: readonly string[], subject = randomUUID()) =>
    line(home(), {
      kind: 'sample named',
      v: 3,
      subject: subject as RawEntry['subject'],
      body: { prep: null, role: 'mixture', label: 'a mixture', compound: null, of },
    })
  const self = randomUUID()
  test.each<[string, () => unknown, RegExp]>([
    ['a NUL in a text', () => line(home(), { body: { station: 'plan', text: 'a\0b' } }), /NUL/],
    ['a NUL in its kind', () => line(home(), { kind: 'x\0' }), /NUL/],
    [
      'half a character',
      () => line(home(), { body: { station: 'plan', text: '\ud83d' } }),
      /half a character/,
    ],
    [
      'a list nested thousands deep',
      () => ({
        ...line(home()),
        kind: 'of a newer build',
        body: JSON.parse('['.repeat(3000) + ']'.repeat(3000)) as unknown,
      }),
      /nested/,
    ],
    ['a mixture of itself', () => mixture([self], self), /made from itself/],
    [
      'an id days ahead',
      () => line(home(), { id: 'ffff0000-0000-7000-8000-000000000001' as never }),
      /day ahead/,
    ],
    ['an id that is no UUID', () => line(home(), { id: '../../etc' as never }), /id/],
  ])('%s is refused at the door, and the server starts again', async (_, make, why) => {
    const response = await post({ groups: [[make()], [line(home())]] })
    const { answers } = response.body as { answers: { outcome: string; sentence?: string }[] }
    expect(answers.map(({ outcome }) => outcome)).toEqual(['refused', 'stored'])
    expect(answers[0]?.sentence).toMatch(why)
  })
  test('a number that is no number, and −0, sent again are no conflict', async () => {
    const one = line(home(), { kind: 'of a newer build', body: { x: 'HERE' } })
    const send = async (number: string) => {
      const text = JSON.stringify({ groups: [[one]] }).replace('"HERE"', number)
      return ((await post(text)).body as { answers: { outcome: string }[] }).answers.map(
        ({ outcome }) => outcome,
      )
    }
    expect(await send('1e400')).toEqual(['refused'])
    expect(await send('1e400')).toEqual(['refused'])
    expect(await send('-0')).toEqual(['stored'])
    expect(await send('-0')).toEqual(['duplicate'])
  })
  test('mixtures that make a ring through each other are kept, and asked about come to an end', async () => {
    const [p, q] = [randomUUID(), randomUUID()]
    await post({ groups: [[mixture([p], q)], [mixture([q], p)]] })
    const view = fold([...(await server.store.all(notebook))])
    expect(expectedOf(view, p as SampleId)).toBeNull()
    expect(expectedOf(view, q as SampleId)).toBeNull()
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
    const received = listen({ 'Last-Event-ID': String(before - 2), 'Accept-Encoding': 'gzip' }, (text) =>
      text.includes(next.id),
    )
    await new Promise((resolve) => setTimeout(resolve, 200))
    await server.store.append(notebook, [[next]])
    const { text, encoding } = await received
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
    const look = () => request(`http://127.0.0.1:${second.port}`).post('/api/import/look').send(file)
    expect((await look()).body).toMatchObject({
      isHere: false,
      lines: 3,
      here: 0,
      fresh: 2,
      refused: 1,
      report: [{ line: 2, sentence: expect.stringContaining('“station” is required') }],
    })
    // A look stores nothing.
    expect((await second.store.notebooks()).some(({ id }) => id === notebook)).toBe(false)
    const report = await request(`http://127.0.0.1:${second.port}`).post('/api/import').send(file)
    expect((await look()).body).toMatchObject({ isHere: true, here: 2, fresh: 0, refused: 1 })
    expect(report.body).toMatchObject({
      stored: 2,
      refused: 1,
      report: [{ line: 2, sentence: expect.stringContaining('“station” is required') }],
    })
    const wrong = await request(`http://127.0.0.1:${second.port}`).post('/api/import').send({ entries })
    expect(wrong.status).toBe(400)
    const before = await second.store.notebooks()
    for (const nonsense of [
      { ...file, notebook: { id: '{0A5A1C7E-0000-4000-8000-000000000101}', title: 'x' } },
      { ...file, notebook: { id: randomUUID(), title: 'x' }, entries: [1, 'two', { three: 3 }] },
    ]) {
      const refused = await request(`http://127.0.0.1:${second.port}`).post('/api/import').send(nonsense)
      expect([refused.status, refused.type]).toEqual([400, 'application/problem+json'])
    }
    expect(await second.store.notebooks()).toEqual(before)
    await second.close()
    await other.remove()
  })
})

test('a long notebook comes in and goes out whole', async () => {
  const other = randomUUID() as NotebookId
  const entries = Array.from({ length: 6500 }, () => line({ ledger: server.store.ledger, notebook: other }))
  const file = {
    format: 'ivory-crystal notebook',
    version: 1,
    coreVersion: '0',
    exportedAt: 1,
    notebook: { id: other, title: 'long' },
    entries,
  }
  const came = await request(at).post('/api/import').send(file)
  expect(came.body).toMatchObject({ stored: 6500, refused: 0 })
  expect((await request(at).post('/api/import').send(file)).body).toMatchObject({ duplicate: 6500 })
  const gone = (await request(at).get(`/api/notebooks/${other}/export`)).body as NotebookFile
  expect(gone.entries).toEqual(entries)
})

describe('its ending', () => {
  test('answers what it has taken, ends the streams with why, and happens once', async () => {
    const other = await tempFolder()
    const ending = await serve(other.path)
    const there = `http://127.0.0.1:${ending.port}`
    const own = (await ending.store.notebooks())[0]?.id as NotebookId
    const stream = await fetch(`${there}/api/notebooks/${own}/stream`)
    const posts = Array.from({ length: 30 }, () =>
      request(there)
        .post(`/api/notebooks/${own}/entries`)
        .send({ groups: [[line({ ledger: ending.store.ledger, notebook: own })]] })
        .then(
          (response) => response.status,
          () => 'not taken',
        ),
    )
    await new Promise((resolve) => setTimeout(resolve, 30))
    const closed = [ending.close(), ending.close()]
    const [text] = await Promise.all([stream.text(), ...closed])
    expect(text).toContain('event: ended\ndata: "The server stops."')
    const statuses = await Promise.all(posts)
    expect(new Set(statuses).size).toBeLessThanOrEqual(2)
    expect(statuses.filter((status) => status !== 200 && status !== 'not taken')).toEqual([])
    const again = await serve(other.path)
    expect(await again.store.all(own)).toHaveLength(statuses.filter((status) => status === 200).length)
    await again.close()
    await other.remove()
  })

  test('a listener that never reads is let go, and nobody else notices', async () => {
    const deaf = connect(server.port, '127.0.0.1')
    deaf.pause()
    deaf.on('error', () => undefined)
    deaf.write(`GET /api/notebooks/${notebook}/stream HTTP/1.1\r\nHost: 127.0.0.1:${server.port}\r\n\r\n`)
    const big = 'x'.repeat(1900)
    for (let i = 0; i < 12; i++)
      await server.store.append(
        notebook,
        Array.from({ length: 400 }, () => [line(home(), { body: { station: 'plan', text: big } })]),
      )
    await new Promise((resolve) => setTimeout(resolve, 100))
    const gone = await new Promise((resolve) => {
      deaf.on('close', () => {
        resolve('closed')
      })
      deaf.resume()
    })
    expect(gone).toBe('closed')
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
    expect([shelf.compounds.length, shelf.solvents.length]).toEqual([206, 20])
    expect(shelf.solubilities.length).toBeGreaterThan(400)
    const own = shelf.solubilities.filter((row) => row.confidence === null)
    expect(own).toHaveLength(14)
    // A pair the bench measured is known by its own points alone.
    const measured = new Set(own.map(({ compound, solvent }) => `${compound} ${solvent}`))
    const mixed = shelf.solubilities.filter(
      ({ compound, solvent, confidence }) => confidence !== null && measured.has(`${compound} ${solvent}`),
    )
    expect(mixed).toEqual([])
    expect(new Set(own.map((row) => row.source))).toEqual(new Set(['measured at bench 7 (sample data)']))
    expect(shelf.compounds.find((row) => row.id === 'benzil')?.molarMassGPerMol).toBeCloseTo(210.23, 1)
  })
})
