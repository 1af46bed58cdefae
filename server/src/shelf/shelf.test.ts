import { appendFile, readFile, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { and, eq } from 'drizzle-orm'
import request from 'supertest'
import { type Conventions, SCHOOLS } from '@ivory-crystal/core/conventions'
import { PROCEDURES } from '@ivory-crystal/core/procedures'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Shelf, ShelfReport } from '@ivory-crystal/core/wire'
import { openPglite } from '../db/open'
import { shelfItems } from '../db/schema'
import type { RunningServer } from '../server'
import { handClock, serve, tempFolder } from '../testing/bench'
import { isOn, newestRows, shelfKey } from './items'
import { addOwnPoints, seedShelf } from './seed'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
const at = () => `http://127.0.0.1:${server.port}`

beforeAll(async () => {
  folder = await tempFolder()
  server = await serve(folder.path)
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

const shelf = async () => (await request(at()).get('/api/shelf')).body as Shelf
const put = async (sort: string, rows: unknown[], dryRun = false) =>
  (await request(at()).post(`/api/shelf/${sort}`).send({ rows, dryRun })).body as ShelfReport
const benzil = async () => (await shelf()).compounds.find(({ id }) => id === 'benzil') as Compound
const own = (change: Partial<Compound> = {}) => ({
  id: 'bench-solid',
  name: 'bench solid',
  smiles: 'O=C(C(=O)c1ccccc1)c1ccccc1',
  cas: null,
  meltLowC: 90,
  meltHighC: 92,
  meltConfidence: 'low',
  behaviour: 'melts',
  fusionEnthalpyKJPerMol: null,
  fusionConfidence: null,
  colour: 'yellow',
  hazards: [],
  synonyms: [],
  source: 'measured at bench 7 (sample data)',
  ...change,
})

const authors = async () => {
  const asked = await request(at()).get('/api/shelf/compound/versions?id=signed-solid')
  return (asked.body as { versions: { author: string | null }[] }).versions.map(({ author }) => author)
}

describe('the shelf', () => {
  test('takes a compound of the lab’s own, its formula and molar mass from the structure', async () => {
    expect(await put('compound', [own()])).toEqual({ added: 1, changed: 0, same: 0, refused: [] })
    const stands = (await shelf()).compounds.find(({ id }) => id === 'bench-solid')
    expect(stands).toMatchObject({ formula: 'C14H10O2' })
    expect(stands?.molarMassGPerMol).toBeCloseTo(210.23, 2)
  })
  test('a change is a new version; what was there before stays on record', async () => {
    const before = await benzil()
    expect(await put('compound', [{ ...before, meltLowC: 94.5, source: 'our handbook' }])).toMatchObject({
      changed: 1,
    })
    expect(await put('compound', [{ ...before, meltLowC: 94.5, source: 'our handbook' }])).toMatchObject({
      same: 1,
    })
    expect((await benzil()).meltLowC).toBe(94.5)
    const { versions } = (await request(at()).get('/api/shelf/compound/versions?id=benzil')).body as {
      versions: { version: number; origin: string; body: Compound }[]
    }
    expect(versions.map(({ version, origin, body }) => [version, origin, body.meltLowC])).toEqual([
      [1, 'reference', before.meltLowC],
      [2, 'own', 94.5],
    ])
  })
  test('refuses row by row, with why, and a dry run changes nothing', async () => {
    const rows = [
      own({ id: 'fine' }),
      own({ id: 'upside-down', meltLowC: 99 }),
      own({ id: 'no-structure', smiles: 'C(((' }),
      own({ id: 'other-mass', molarMassGPerMol: 100 }),
      own({ id: 'fine' }),
    ]
    const report = await put('compound', rows, true)
    expect(report.added).toBe(1)
    expect(report.refused.map(({ row }) => row)).toEqual([2, 3, 4, 5])
    expect(report.refused.map(({ sentence }) => sentence).join('\n')).toMatch(
      /meltHighC[\s\S]*cannot be read as a structure[\s\S]*weighs 210\.2\d g\/mol, the row says 100[\s\S]*twice/,
    )
    expect((await shelf()).compounds.some(({ id }) => id === 'fine')).toBe(false)
  })
  test('solubility points need a compound and a solvent of the shelf', async () => {
    const point = {
      compound: 'benzil',
      solvent: 'water',
      temperatureC: 25,
      gPer100ML: 0.01,
      confidence: null,
      source: 'own',
    }
    expect(
      await put('solubility', [
        point,
        { ...point, compound: 'unobtainium' },
        { ...point, gPer100ML: -1, temperatureC: 30 },
      ]),
    ).toMatchObject({
      added: 1,
      refused: [
        { row: 2, sentence: 'There is no compound “unobtainium” on the shelf to be dissolved.' },
        { row: 3, sentence: expect.stringContaining('must be a positive number') },
      ],
    })
  })
  test('a procedure with an unknown amount in braces is refused', async () => {
    const [first] = PROCEDURES
    const house = { ...first, id: 'house-funnel', name: 'House funnel', copiedFrom: 'large-funnel' }
    expect(await put('procedure', [house])).toMatchObject({ added: 1 })
    const steps = [{ id: 'a', station: 'dissolve', text: 'Add {moonshine}.' }]
    expect((await put('procedure', [{ ...house, steps }])).refused[0]?.sentence).toContain(
      '{moonshine} is no amount',
    )
    expect((await shelf()).procedures.map(({ id }) => id)).toEqual(['house-funnel'])
  })
  test('what is taken off is gone from the shelf and not from the record', async () => {
    await request(at()).post('/api/shelf/procedure/off').send({ id: 'house-funnel' }).expect(200)
    expect((await shelf()).procedures).toEqual([])
    await request(at()).post('/api/shelf/procedure/off').send({ id: 'house-funnel' }).expect(404)
    const { versions } = (await request(at()).get('/api/shelf/procedure/versions?id=house-funnel')).body as {
      versions: unknown[]
    }
    expect(versions).toHaveLength(2)
  })
  test('the versions of house rules are asked for by the name of the set', async () => {
    const [set] = SCHOOLS.slice(1) as [Conventions]
    await request(at())
      .post(`/api/shelf/${encodeURIComponent('house rules')}`)
      .send({ rows: [{ ...set, startBelowC: set.startBelowC + 3 }], dryRun: false })
      .expect(200)
    const asked = await request(at()).get(
      `/api/shelf/${encodeURIComponent('house rules')}/versions?id=${encodeURIComponent(set.name)}`,
    )
    const { versions } = asked.body as { versions: { version: number; body: Conventions }[] }
    expect(versions.map(({ version, body }) => [version, body.startBelowC]).sort()).toEqual([
      [1, set.startBelowC],
      [2, set.startBelowC + 3],
    ])
  })
  test('no such sort, too many rows', async () => {
    await request(at())
      .post('/api/shelf/furniture')
      .send({ rows: [{}], dryRun: true })
      .expect(404)
    await request(at()).post('/api/shelf/compound').send({ rows: [], dryRun: true }).expect(400)
  })
  test('a version says who put it there, who took it off, and nobody where nobody said', async () => {
    const sent = (body: object, path = 'compound') => request(at()).post(`/api/shelf/${path}`).send(body)
    const rows = (source: string) => [own({ id: 'signed-solid', source })]
    await sent({ rows: rows('first'), dryRun: false, author: 'bench 3' }).expect(200)
    await sent({ rows: rows('second'), dryRun: false }).expect(200)
    await sent({ id: 'signed-solid', author: 'instructor' }, 'compound/off').expect(200)
    await sent({ rows: rows('third'), dryRun: false, author: 'a\u0000b' }).expect(400)
    expect(await authors()).toEqual(['bench 3', null, 'instructor'])
  })
  test('what the lab put on it outlives the database, and a torn line', async () => {
    await server.close()
    await rm(join(folder.path, 'database'), { recursive: true })
    const path = join(folder.path, 'shelf.jsonl')
    const journalText = await readFile(path, 'utf8')
    await appendFile(path, '{"sort":"compound","id":"to')
    server = await serve(folder.path)
    expect((await benzil()).meltLowC).toBe(94.5)
    expect((await shelf()).compounds.some(({ id }) => id === 'bench-solid')).toBe(true)
    expect(await readFile(path, 'utf8')).toBe(journalText)
    expect(await authors()).toEqual(['bench 3', null, 'instructor'])
  })
})

describe('a shelf an earlier version filled', () => {
  test('gains solids and pairs it never had, and nothing of a pair it has points of', async () => {
    const folder = await tempFolder()
    const { begun: db, close } = await openPglite(
      join(folder.path, 'database'),
      { say: () => undefined, free: () => Promise.resolve(10_000) },
      (opened) => Promise.resolve(opened),
    )
    const clock = handClock()
    await seedShelf(db, clock)
    const keys = async (of: string) =>
      [...(await newestRows(db)).entries()]
        .filter(([key, row]) => key.includes(of) && isOn(row))
        .map(([key]) => key)
        .sort()
    const before = await keys('')
    const lost = ['compound acenaphthene', ...(await keys('solubility benzoin/'))]
    for (const key of lost) {
      const [sort = '', id = ''] = [key.slice(0, key.indexOf(' ')), key.slice(key.indexOf(' ') + 1)]
      await db.delete(shelfItems).where(and(eq(shelfItems.sort, sort), eq(shelfItems.id, id)))
    }
    // One pair the lab measured itself, in between.
    const own = {
      compound: 'benzoin',
      solvent: 'ethanol-95',
      temperatureC: 20,
      gPer100ML: 3.2,
      confidence: null,
      source: 'this bench',
    }
    await addOwnPoints(db, clock, [own])
    await seedShelf(db, clock)
    expect(await keys('solubility benzoin/ethanol-95')).toEqual(['solubility benzoin/ethanol-95/20'])
    const gained = (await keys('')).filter((key) => !key.startsWith('solubility benzoin/ethanol-95'))
    expect(gained).toEqual(before.filter((key) => !key.startsWith('solubility benzoin/ethanol-95')))
    await close()
    await folder.remove()
  })
  test('points of the bench’s own take the place of the reference’s, once, and what was changed since stays', async () => {
    const folder = await tempFolder()
    const { begun: db, close } = await openPglite(
      join(folder.path, 'database'),
      { say: () => undefined, free: () => Promise.resolve(10_000) },
      (opened) => Promise.resolve(opened),
    )
    const clock = handClock()
    await seedShelf(db, clock)
    const points = [20, 78].map((temperatureC) => ({
      compound: 'benzoin',
      solvent: 'ethanol-95',
      temperatureC,
      gPer100ML: temperatureC / 5,
      confidence: null,
      source: 'this bench',
    }))
    const shelfNow = async () =>
      [...(await newestRows(db)).values()]
        .filter((row) => row.id.startsWith('benzoin/ethanol-95/') && isOn(row))
        .map(({ id, version, origin }) => [id, version, origin])
        .sort()
    await addOwnPoints(db, clock, points)
    const once = await shelfNow()
    expect(once.map(([id, , origin]) => [id, origin])).toEqual([
      ['benzoin/ethanol-95/20', 'demo'],
      ['benzoin/ethanol-95/78', 'demo'],
    ])
    await addOwnPoints(db, clock, points)
    await seedShelf(db, clock)
    expect(await shelfNow()).toEqual(once)
    await close()
    await folder.remove()
  })
  test('gains what was mended since, as a new version, and keeps what the lab made of its rows', async () => {
    const folder = await tempFolder()
    const { begun: db, close } = await openPglite(
      join(folder.path, 'database'),
      { say: () => undefined, free: () => Promise.resolve(10_000) },
      (opened) => Promise.resolve(opened),
    )
    const clock = handClock()
    await seedShelf(db, clock)
    const newestOf = async (id: string) => (await newestRows(db)).get(shelfKey('compound', id))
    const began = new Map<string, number>()
    const version = (id: string, more: number) => (began.get(id) ?? NaN) + more
    const aged = async (id: string, origin: string, change: object) => {
      const row = await newestOf(id)
      if (!row) throw new Error(id)
      began.set(id, row.version)
      await db
        .update(shelfItems)
        .set({ origin, body: { ...(row.body as object), ...change } })
        .where(and(eq(shelfItems.sort, 'compound'), eq(shelfItems.id, id)))
    }
    await aged('ferrocene', 'reference', { behaviour: 'melts', source: 'an earlier set' })
    await aged('azobenzene', 'own', { cas: null })
    await aged('benzil', 'reference', { source: 'an earlier set' })
    clock.move(1000)
    await seedShelf(db, clock)
    await seedShelf(db, clock)
    expect(await newestOf('ferrocene')).toMatchObject({
      version: version('ferrocene', 1),
      body: { behaviour: 'sublimes' },
    })
    expect(await newestOf('azobenzene')).toMatchObject({
      version: version('azobenzene', 0),
      body: { cas: null },
    })
    expect(await newestOf('benzil')).toMatchObject({
      version: version('benzil', 0),
      body: { source: 'an earlier set' },
    })
    await close()
    await folder.remove()
  })
})
