import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import request from 'supertest'
import { fold, type PrepFacts, prepsOf, sampleOf } from '@ivory-crystal/core/notebook'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import type { RunningServer } from '../server'
import { serve, tempFolder } from '../testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
let notebook: string
let adipic: PrepFacts
const at = () => `http://127.0.0.1:${server.port}`

beforeAll(async () => {
  folder = await tempFolder()
  server = await serve(folder.path, { demo: true })
  notebook = (await server.store.notebooks())[0]?.id ?? ''
  const lines = await server.store.all(notebook as never)
  adipic = prepsOf(fold([...lines]))[0] as PrepFacts
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

const post = async (path: string, body: object) =>
  (await request(at()).post(`/api/balance/${path}`).send(body)).body as BalanceStatus
const load = (what: string, role: 'product' | 'crude' = 'product') =>
  post('load', { notebook, sample: sampleOf(adipic, role)?.id, load: what, aboutG: 0.2 })
const settle = () => post('advance', { seconds: 15 })

describe('the simulated balance', () => {
  test('settles on a vessel, tares, and shows the sample', async () => {
    await load('empty vessel')
    const empty = await settle()
    expect(empty.load).toBe('empty vessel')
    expect(empty.reading.display.value).toBeGreaterThan(15)
    await post('tare', {})
    await load('vessel with sample')
    const net = await settle()
    expect(net.reading.display.text).toMatch(/^0\.\d{3}$/)
    // 0.188 g predicted, less transfers, and damp, since no drying has begun
    expect(net.reading.display.value).toBeGreaterThan(0.16)
    expect(net.reading.display.value).toBeLessThan(0.22)
    expect((await request(at()).get('/api/balance')).body).toEqual(net)
  })
  test('answers a sample it does not know, and a load that is none', async () => {
    const other = '0a5a1c7e-0000-4000-8000-00000000ffff'
    const unknown = await request(at())
      .post('/api/balance/load')
      .send({ notebook, sample: other, load: 'empty vessel', aboutG: 1 })
    expect(unknown.status).toBe(404)
    expect((unknown.body as { detail: string }).detail).toContain('no such sample to weigh')
    const odd = await request(at())
      .post('/api/balance/load')
      .send({ notebook, sample: other, load: 'elephant', aboutG: 1 })
    expect(odd.status).toBe(400)
  })
})
