import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import request from 'supertest'
import { GOLDEN } from '../paths'
import type { RunningServer } from '../server'
import { serve, tempFolder } from '../testing/bench'
import { openPhotographs, shaOf } from './store'

const [name = ''] = readdirSync(join(GOLDEN, 'photographs'))
const jpeg = readFileSync(join(GOLDEN, 'photographs', name))
const sha256 = shaOf(jpeg)
const hasRoom = () => Promise.resolve()

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
beforeEach(async () => {
  folder = await tempFolder()
  server = await serve(folder.path)
})
afterEach(async () => {
  await server.close()
  await folder.remove()
})
const at = () => request(`http://127.0.0.1:${server.port}`)
const send = (hash: string, bytes: Buffer, type = 'image/jpeg') =>
  at().post(`/api/photographs/${hash}`).set('Content-Type', type).send(bytes)

describe('a photograph in the data folder', () => {
  test('comes back as it was sent, kept once under its hash, for its owner alone', async () => {
    expect((await send(sha256, jpeg)).status).toBe(201)
    expect((await send(sha256, jpeg)).status).toBe(200)
    const back = await at().get(`/api/photographs/${sha256}`).buffer(true)
    expect(back.headers['content-type']).toBe('image/jpeg')
    expect(back.headers['cache-control']).toContain('immutable')
    expect(shaOf(back.body as Buffer)).toBe(sha256)
    const place = join(folder.path, 'photographs')
    expect(readdirSync(place)).toEqual([`${sha256}.jpg`])
    expect(statSync(join(place, `${sha256}.jpg`)).mode & 0o777).toBe(0o600)
  })
  test('is there after a restart', async () => {
    await send(sha256, jpeg)
    await server.close()
    server = await serve(folder.path)
    expect((await at().get(`/api/photographs/${sha256}`)).status).toBe(200)
  })
  test('sent by many at once it is kept once', async () => {
    const answers = await Promise.all(Array.from({ length: 8 }, () => send(sha256, jpeg)))
    expect(answers.every(({ status }) => status === 200 || status === 201)).toBe(true)
    expect(readdirSync(join(folder.path, 'photographs'))).toEqual([`${sha256}.jpg`])
  })
  test('half sent, of another hash, of another sort or too large, it is refused with a sentence', async () => {
    const half = jpeg.subarray(0, jpeg.length / 2)
    const script = Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script>alert(1)</script></svg>')
    const large = Buffer.concat([jpeg.subarray(0, 3), Buffer.alloc(1_000_001), Buffer.from([0xff, 0xd9])])
    for (const [answer, status, expectedText] of [
      [await send(shaOf(half), half), 400, 'not a complete JPEG'],
      [await send('0'.repeat(64), jpeg), 400, 'not the one that was sent'],
      [await send(shaOf(script), script), 400, 'not a complete JPEG'],
      [await send(shaOf(script), script, 'image/svg+xml'), 415, 'image/jpeg'],
      [await send(shaOf(large), large), 413, ''],
      [await send('..%2Fjournal', jpeg), 400, 'SHA-256'],
      [await at().get('/api/photographs/..%2F..%2Fjournal.jsonl'), 400, 'SHA-256'],
    ] as const) {
      expect(answer.status).toBe(status)
      expect((answer.body as { detail: string }).detail).toContain(expectedText)
    }
    expect(await openPhotographs(folder.path, hasRoom).all()).toEqual([])
  })
  test('damaged on the disk, it is set aside and not shown; sent again it is whole', async () => {
    await send(sha256, jpeg)
    const path = join(folder.path, 'photographs', `${sha256}.jpg`)
    const damaged = Buffer.from(jpeg)
    damaged.writeUInt8(damaged.readUInt8(500) ^ 1, 500)
    writeFileSync(path, damaged)
    expect((await at().get(`/api/photographs/${sha256}`)).status).toBe(404)
    expect((await send(sha256, jpeg)).status).toBe(201)
    expect((await at().get(`/api/photographs/${sha256}`)).status).toBe(200)
    expect(readdirSync(join(folder.path, 'photographs')).sort()).toEqual([
      `${sha256}.jpg`,
      `${sha256}.jpg.damaged-1`,
    ])
  })
  test('with no room on the disk it is refused and leaves nothing', async () => {
    const store = openPhotographs(folder.path, () => Promise.reject(new Error('The disk is nearly full.')))
    await expect(store.keep(sha256, jpeg)).rejects.toThrow('nearly full')
    expect(await store.all()).toEqual([])
  })
})

test('the demo’s pictures are there for its lines', async () => {
  const demo = await tempFolder()
  const own = await serve(demo.path, { demo: true })
  const [notebook] = await own.store.notebooks()
  const lines = notebook ? await own.store.all(notebook.id) : []
  const pictures = lines.filter(({ kind }) => kind === 'photographed')
  expect(pictures.length).toBeGreaterThan(0)
  for (const { body } of pictures) {
    const picture = body as { sha256: string; bytes: number }
    const answer = await request(`http://127.0.0.1:${own.port}`).get(`/api/photographs/${picture.sha256}`)
    expect(answer.status).toBe(200)
    expect((answer.body as Buffer).length).toBe(picture.bytes)
  }
  await own.close()
  await demo.remove()
})
