import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { LedgerId, MeltId, NotebookId, PrepId, RunId } from '@ivory-crystal/core/ids'
import { idMs, meltsOf, prepsOf, type RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import { golden } from '../../../core/golden/contract'
import { standIn } from '../testing/standIn'
import { Refused } from './api'
import { createLedgerClient } from './client'
import type { LedgerClient, Surroundings } from './ledgerClient'
import { type OfflineCopy, openCopies } from './offlineCopies'
import { openOutbox } from './outbox'
import type { Reading } from './readings'
import type { Tabs } from './tabs'

const NOTEBOOK = golden.entries[0]?.notebook as NotebookId
const PREP = golden.entries.find(({ kind }) => kind === 'prep opened')?.subject as PrepId
/** One server and one browser: its tabs share outbox, locks and channel. */
function browser() {
  const ledger = crypto.randomUUID() as LedgerId
  const { hand, stored: rows, api } = standIn(ledger)
  const world = Object.assign(hand, {
    ledger,
    stored: rows,
    /** What is to be called back, by hand. */
    later: [] as { readonly ms: number; readonly run: () => void }[],
    chance: 1,
    online: [] as (() => void)[],
    /** What the device keeps. */
    openOutbox,
    /** Its copy of what was open; null keeps none. */
    copy: null as OfflineCopy | null,
  })
  const stored = {
    /** The observations the server has, in its order. */
    observations: () =>
      [...rows.values()].flatMap(({ entry }) =>
        entry.kind === 'observed' ? [(entry.body as { text: string }).text] : [],
      ),
    /** Its data folder is put back: the last line is gone. */
    forgetLast: () => {
      const last = [...rows.keys()].at(-1)
      if (last) rows.delete(last)
    },
  }
  const locks = lockTable()
  const channel: ((message: never) => void)[] = []
  const tab = (): LedgerClient => {
    const surroundings: Surroundings = {
      api,
      openCopies: () => Promise.resolve(world.copy),
      openOutbox: (ledger) => world.openOutbox(ledger),
      openTabs: (): Tabs => {
        let own: (message: never) => void = () => undefined
        return {
          post(message) {
            for (const listener of channel) if (listener !== own) listener(structuredClone(message) as never)
          },
          listen(receive) {
            own = receive
            channel.push(own)
          },
        }
      },
      openStream: (_, after, events) => {
        const stream = { after: after(), events }
        world.streams.push(stream)
        events.connected(true)
        return () => {
          world.streams.splice(world.streams.indexOf(stream), 1)
        }
      },
      locks,
      clock: { now: () => world.now, elapsed: () => 0 },
      random: (bytes) => crypto.getRandomValues(new Uint8Array(bytes)),
      writer: () => ({ author: 'bench 7', device: 'tablet' }),
      chance: () => world.chance,
      whenOnline(run) {
        world.online.push(run)
      },
      later(ms, run) {
        const call = { ms, run }
        world.later.push(call)
        return () => {
          const at = world.later.indexOf(call)
          if (at >= 0) world.later.splice(at, 1)
        }
      },
    }
    return createLedgerClient(surroundings)
  }
  return { world, stored, tab }
}

/** Locks as a browser has them: first come, first served; who waits may give up. */
function lockTable(): Surroundings['locks'] {
  const last = new Map<string, Promise<unknown>>()
  return {
    request(name, _, work) {
      const mine = (last.get(name) ?? Promise.resolve()).then(work, work)
      last.set(
        name,
        mine.catch(() => undefined),
      )
      return mine
    },
  }
}

const observed = (text: string) =>
  ({ kind: 'observed', subject: PREP, body: { station: 'plan', text } }) as const
const textsOf = (client: LedgerClient) =>
  prepsOf(client.getState().view)
    .find(({ id }) => id === PREP)
    ?.observations.map(({ body }) => body.text) ?? []
/** Until everything that is on its way has arrived. */
async function allSent(of: () => boolean): Promise<void> {
  for (let i = 0; i < 500 && !of(); i++) await new Promise((resolve) => setTimeout(resolve, 2))
  expect(of()).toBe(true)
}

let world: ReturnType<typeof browser>['world']
let stored: ReturnType<typeof browser>['stored']
let tab: ReturnType<typeof browser>['tab']
let client: LedgerClient
beforeEach(async () => {
  ;({ world, stored, tab } = browser())
  client = tab()
  await client.start(null)
})

describe('the screen does not wait', () => {
  test('a mark shows while nothing has been kept or sent', () => {
    const [melt] = meltsOf(client.getState().view)
    const before = melt?.marks.length ?? 0
    const hear = jest.fn()
    client.subscribe(hear)
    const [id] = client.write({
      kind: 'mark made',
      subject: melt?.id as MeltId,
      body: {
        run: melt?.run?.id as RunId,
        slot: 1,
        moment: 'early sign',
        pressedAtS: 300,
        lastSample: 300,
        lastProbe: { text: '77.0', value: 77 },
        from: 'key',
      },
    })
    const marks = meltsOf(client.getState().view)[0]?.marks ?? []
    expect(marks).toHaveLength(before + 1)
    expect(marks.at(-1)?.entry.id).toBe(id)
    expect(client.getState().waiting).toBe(1)
    expect(world.stored.has(id ?? '')).toBe(false)
    expect(hear).toHaveBeenCalledTimes(1)
  })
  test('lines written together have ids in order, after everything seen', () => {
    const { latestId } = client.getState().view
    const ids = client.write(observed('one'), observed('two'))
    expect([latestId, ...ids]).toEqual([latestId, ...ids].sort())
  })
  test('a clock that has gone back does not put a line before what was seen', () => {
    const { latestId } = client.getState().view
    world.now = 1000
    const [id] = client.write(observed('late'))
    const line = client.getState().view.subjects.get(PREP)?.lines.at(-1)
    expect([line?.id, line?.at]).toEqual([id, 1000])
    expect(idMs(id ?? '')).toBeGreaterThanOrEqual(idMs(latestId ?? ''))
  })
  test('a strike takes the line out at once', () => {
    client.write(observed('by mistake'))
    const line = client.getState().view.subjects.get(PREP)?.live.observed?.at(-1)
    if (line) client.strike(line, 'written by mistake')
    expect(textsOf(client)).not.toContain('by mistake')
  })
  test('before a notebook is open, nothing can be written', () => {
    expect(() => tab().write(observed('too early'))).toThrow('No notebook is open.')
  })
})

describe('what is written', () => {
  test('is sent, counted down, and told back once without changing anything', async () => {
    const [id] = client.write(observed('needles'))
    await allSent(() => client.getState().waiting === 0)
    expect(world.stored.get(id ?? '')?.entry.body).toEqual({ station: 'plan', text: 'needles' })
    expect(textsOf(client).filter((text) => text === 'needles')).toHaveLength(1)
  })
  test('waits while the server is away, is tried again after a while, and all of it arrives in order', async () => {
    world.isAway = true
    const ids = [...client.write(observed('one')), ...client.write(observed('two'))]
    await allSent(() => world.later.length === 1)
    expect(client.getState().waiting).toBe(2)
    await expect(client.allStored()).rejects.toThrow('cannot be reached')
    world.isAway = false
    for (const { run } of world.later.splice(0)) run()
    await allSent(() => client.getState().waiting === 0)
    expect([...world.stored.keys()].slice(-2)).toEqual(ids)
  })
  test('with the server away for long it is tried ever more seldom, no two devices alike', async () => {
    world.isAway = true
    client.write(observed('one'))
    const waits: number[] = []
    for (let tries = 0; tries < 8; tries++) {
      await allSent(() => world.later.length === 1)
      const [next] = world.later.splice(0)
      waits.push(next?.ms ?? 0)
      // Whatever is written meanwhile asks the server no sooner.
      client.write(observed(`meanwhile ${tries}`))
      world.chance = tries % 2
      next?.run()
    }
    expect(waits).toEqual([1000, 1000, 4000, 4000, 16_000, 15_000, 30_000, 15_000])
  })
  test('a server that says when is asked then', async () => {
    world.posting = () => {
      throw new Refused('Wait a minute.', 429, 17)
    }
    client.write(observed('one'))
    await allSent(() => world.later.length === 1)
    expect(world.later[0]?.ms).toBe(17_000)
    const { posts } = world
    for (let i = 0; i < 20; i++) client.write(observed(`more ${i}`))
    await new Promise((resolve) => setTimeout(resolve, 50))
    expect(world.posts).toBe(posts)
    world.posting = null
    for (const run of world.online) run()
    await allSent(() => client.getState().waiting === 0)
  })
  test('what is too much at once goes in parts, and what is too large by itself is refused with why', async () => {
    const most = 3000
    world.posting = (groups) => {
      if (JSON.stringify(groups).length > most) throw new Refused('A request may hold 3 kB.', 413)
      return {}
    }
    world.isAway = true
    for (let i = 0; i < 12; i++) client.write(observed(`${i} ${'x'.repeat(800)}`))
    client.write(observed('y'.repeat(5000)))
    client.write(observed('after it'))
    await allSent(() => client.getState().waiting === 14)
    world.isAway = false
    for (const run of world.online) run()
    await allSent(() => client.getState().waiting === 0)
    expect(client.getState().quarantine.map(({ sentence }) => sentence)).toEqual(['A request may hold 3 kB.'])
    const texts = [...world.stored.values()].map(({ entry }) => (entry.body as { text?: string }).text ?? '')
    expect(texts.filter((text) => /^\d+ x/.test(text))).toHaveLength(12)
    expect(texts).toContain('after it')
  })
  test('goes at once when the stream comes back', async () => {
    world.isAway = true
    client.write(observed('offline'))
    await allSent(() => world.later.length === 1)
    world.isAway = false
    world.streams[0]?.events.connected(true)
    await allSent(() => client.getState().waiting === 0)
  })
  test('refused is set aside with its sentence, and nothing behind it is held up', async () => {
    world.refuses = ({ body }) => (body as { text?: string }).text === 'impossible'
    client.write(observed('impossible'))
    const [id] = client.write(observed('fine'))
    await allSent(() => world.stored.has(id ?? '') && client.getState().quarantine.length === 1)
    const [line] = client.getState().quarantine
    expect(line?.sentence).toBe('It cannot be.')
    expect(client.getState().waiting).toBe(0)
    await client.dismissRefused(line?.id ?? '')
    expect(client.getState().quarantine).toEqual([])
  })
  test('is still there when the tab is opened again before anything was sent', async () => {
    world.isAway = true
    client.write(observed('kept'))
    await allSent(() => world.later.length === 1)
    world.isAway = false
    const again = tab()
    await again.start(null)
    expect(textsOf(again)).toContain('kept')
    await allSent(() => again.getState().waiting === 0)
  })
})

describe('a device that keeps nothing', () => {
  const full = async (ledger: LedgerId) => ({
    ...(await openOutbox(ledger)),
    put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')),
  })
  test.each([
    ['is full', full],
    ['is blocked', () => Promise.reject(new Error('blocked'))],
  ])('because its store %s: it is said, and what was written is sent all the same', async (_, open) => {
    world.openOutbox = open
    const poor = tab()
    await poor.start(null)
    world.isAway = true
    const [id] = poor.write(observed('only here'))
    await allSent(() => poor.getState().unkept.length === 1 && world.later.length > 0)
    expect(poor.getState().unkept.map((entry) => entry.id)).toEqual([id])
    expect(textsOf(poor)).toContain('only here')
    world.isAway = false
    for (const run of world.online) run()
    await allSent(() => poor.getState().unkept.length === 0 && poor.getState().waiting === 0)
    expect(world.stored.has(id ?? '')).toBe(true)
  })
  test('lines written together are sent together, and what is too large is refused with why', async () => {
    world.openOutbox = full
    const poor = tab()
    await poor.start(null)
    const groups: unknown[] = []
    world.posting = (sent) => {
      groups.push((sent as RawEntry[][]).map((group) => group.length))
      if (JSON.stringify(sent).length > 4000) throw new Refused('A request may hold 4 kB.', 413)
      return {}
    }
    poor.write(observed('one'), observed('two'), observed('three'))
    poor.write(observed('z'.repeat(5000)))
    await allSent(() => poor.getState().waiting === 0 && poor.getState().unkept.length === 0)
    expect(groups).toEqual([[3], [1]])
    expect(poor.getState().quarantine.map(({ sentence }) => sentence)).toEqual(['A request may hold 4 kB.'])
  })
  test('what the server refuses of it is still told', async () => {
    world.openOutbox = full
    const poor = tab()
    await poor.start(null)
    world.refuses = () => true
    poor.write(observed('impossible'))
    await allSent(() => poor.getState().quarantine.length === 1)
    await poor.dismissRefused(poor.getState().quarantine[0]?.id ?? '')
    expect(poor.getState()).toMatchObject({ quarantine: [], unkept: [], waiting: 0 })
  })
})

test('a refused line stays in the notes, over a reload too', async () => {
  world.refuses = ({ body }) => (body as { text?: string }).text === 'impossible'
  client.write(observed('impossible'))
  await allSent(() => client.getState().quarantine.length === 1)
  const again = tab()
  await again.start(null)
  expect(textsOf(again)).toContain('impossible')
  await allSent(() => again.getState().quarantine.length === 1)
})

describe('two tabs of one browser', () => {
  let other: LedgerClient
  beforeEach(async () => {
    other = tab()
    await other.start(NOTEBOOK)
  })
  test('one hears the stream; the other is told, of the connection too', () => {
    expect(world.streams).toHaveLength(1)
    expect([client.getState().connected, other.getState().connected]).toEqual([true, true])
    world.streams[0]?.events.connected(false)
    expect([client.getState().connected, other.getState().connected]).toEqual([false, false])
  })
  test('what one writes stands in the other, before the server has it', async () => {
    world.isAway = true
    client.write(observed('from the first'))
    await allSent(() => textsOf(other).includes('from the first'))
    await allSent(() => other.getState().waiting === 1)
  })
  test('writing at once, neither loses a line, and none arrives twice', async () => {
    const texts = Array.from({ length: 20 }, (_, i) => `line ${i}`)
    texts.forEach((text, i) => (i % 2 ? client : other).write(observed(text)))
    await allSent(() => client.getState().waiting === 0 && other.getState().waiting === 0)
    const received = [...world.stored.values()].map(({ entry }) => (entry.body as { text?: string }).text)
    for (const text of texts) expect(received.filter((one) => one === text)).toHaveLength(1)
    expect(textsOf(client).sort()).toEqual(textsOf(other).sort())
  })
  test('what one writes while the other is still reading the notebook is not lost', async () => {
    let answer: (value: unknown) => void = () => undefined
    world.reading = new Promise((resolve) => {
      answer = resolve
    })
    const third = tab()
    const opened = third.start(NOTEBOOK)
    await new Promise((resolve) => setTimeout(resolve, 20))
    client.write(observed('meanwhile'))
    await allSent(() => client.getState().waiting === 0)
    answer(null)
    await opened
    expect(textsOf(third)).toContain('meanwhile')
  })
  test('a reading heard by one is shown by both', () => {
    world.streams[0]?.events.reading(readingAt('run', 7))
    expect(other.getState().readings['block']?.reading?.sample).toBe(7)
    world.streams[0]?.events.rest('block')
    expect(other.getState().readings['block']).toBeNull()
  })
})

test('a notebook that is not there, or a server that is not, is said and can be tried again', async () => {
  const fresh = tab()
  await fresh.start('elsewhere')
  expect(fresh.getState()).toMatchObject({
    status: 'failed',
    failure: expect.stringContaining('no such notebook'),
  })
  world.isAway = true
  await fresh.start(null)
  expect(fresh.getState().failure).toContain('cannot be reached')
  world.isAway = false
  await fresh.start(null)
  expect(fresh.getState()).toMatchObject({ status: 'open', failure: null })
})

test('a line of the notebook that comes back from the server leaves the view as it is', () => {
  const { view } = client.getState()
  world.streams[0]?.events.line({ seq: 1, entry: golden.entries[0] as RawEntry })
  expect(client.getState().view).toBe(view)
})

function readingAt(id: string, sample: number): Reading {
  return {
    instrument: 'block',
    id: id as RunId,
    melt: 'm' as MeltId,
    notebook: NOTEBOOK,
    pace: 1,
    reading: {
      sample,
      atS: sample,
      probe: { text: `${50 + sample}.0`, value: 50 + sample },
      phase: 'ramping',
      tubes: [],
    },
  }
}

test('readings that pass are kept for the live rate, and only of the run they belong to', () => {
  const blockReading = () => client.getState().readings['block']
  for (let sample = 1; sample <= 120; sample++) client.receiveReading(readingAt('first', sample))
  client.receiveReading(readingAt('first', 120))
  expect(blockReading()?.recent).toHaveLength(90)
  expect(blockReading()?.recent.at(-1)).toEqual([120, 170])
  client.receiveReading(readingAt('first', 80))
  expect(blockReading()?.reading?.sample).toBe(120)
  client.receiveReading(readingAt('second', 1))
  expect(blockReading()?.recent).toEqual([[1, 51]])
})

test('an answer that comes late does not hide a newer reading of the balance', () => {
  const receiveReading = (text: string, order: number) => {
    client.receiveBalance({
      name: 'teaching balance',
      readabilityG: 0.001,
      load: 'vessel with sample',
      reading: { display: { text, value: Number(text) }, stable: true, overloaded: false },
      order,
    } satisfies BalanceStatus)
    return client.getState().balance?.reading.display.text
  }
  expect([
    receiveReading('0.000', 1),
    receiveReading('0.196', 3),
    receiveReading('0.000', 2),
    receiveReading('0.195', 4),
  ]).toEqual(['0.000', '0.196', '0.196', '0.195'])
})

describe('with the server away from the start', () => {
  let copy: OfflineCopy
  afterEach(() => {
    copy.close()
    indexedDB.deleteDatabase('ivory-crystal-notebook')
  })
  beforeEach(async () => {
    ;({ world, stored, tab } = browser())
    copy = await openCopies()
    world.copy = copy
    client = tab()
    await client.start(null)
    await allSent(() => client.getState().waiting === 0)
    await settledCopy(copy, golden.entries.length)
  })

  test('the copy of this device opens, with what waits, and says of when it is', async () => {
    world.isAway = true
    client.write(observed('written away'))
    await allSent(() => client.getState().waiting === 1)
    const again = tab()
    await again.start(NOTEBOOK)
    expect(again.getState()).toMatchObject({ status: 'open', copyOfMs: golden.nowMs, waiting: 1 })
    expect(textsOf(again)).toContain('written away')
    expect(again.getState().view.subjects.size).toBe(client.getState().view.subjects.size)
  })
  test('back again, all of it is sent once, and the copy is no copy any more', async () => {
    world.isAway = true
    const again = tab()
    await again.start(null)
    again.write(observed('written away'))
    await allSent(() => again.getState().waiting === 1)
    world.isAway = false
    for (const { events } of [...world.streams]) events.connected(true)
    await allSent(() => again.getState().waiting === 0 && again.getState().copyOfMs === null)
    expect(stored.observations().filter((text) => text === 'written away')).toHaveLength(1)
  })
  test('a notebook that was never open here cannot be opened, and says why', async () => {
    world.isAway = true
    const again = tab()
    await again.start('0a5a1c7e-0000-4000-8000-0000000000ee')
    expect(again.getState().status).toBe('failed')
    expect(again.getState().failure).toContain('cannot be reached')
  })
  test('another ledger at the same address is told, nothing is sent to it, and nothing is lost', async () => {
    for (const { events } of [...world.streams]) events.connected(false)
    world.answering = crypto.randomUUID() as LedgerId
    const { posts } = world
    client.write(observed('for my own ledger'))
    await allSent(() => client.getState().isOtherLedger)
    expect(world.posts).toBe(posts)
    expect(client.getState().waiting).toBe(1)
    // The right one is back.
    world.answering = world.ledger
    for (const { events } of [...world.streams]) events.connected(true)
    await allSent(() => client.getState().waiting === 0)
    expect(client.getState().isOtherLedger).toBe(false)
    expect(stored.observations()).toContain('for my own ledger')
  })
  test('what waits for another ledger is still told where that one is open', async () => {
    world.isAway = true
    client.write(observed('for the first'))
    await allSent(() => client.getState().waiting === 1)
    const other = browser()
    const there = other.tab()
    await there.start(null)
    const texts = there.getState().waitingElsewhere.map(({ body }) => (body as { text?: string }).text)
    expect(texts).toContain('for the first')
    expect(there.getState().waiting).toBe(0)
  })
  test('a ledger put back to an earlier day gets its acknowledged lines back from here', async () => {
    client.write(observed('acknowledged'))
    await allSent(() => stored.observations().includes('acknowledged') && client.getState().waiting === 0)
    await settledCopy(copy, golden.entries.length + 1)
    for (const { events } of [...world.streams]) events.connected(false)
    stored.forgetLast()
    world.run = 'second'
    expect(stored.observations()).not.toContain('acknowledged')
    for (const { events } of [...world.streams]) events.connected(true)
    await allSent(() => stored.observations().includes('acknowledged'))
    expect(client.getState().broughtBack).toBe(1)
    expect(textsOf(client).filter((text) => text === 'acknowledged')).toHaveLength(1)
  })
  test('what another writes while the notebook is read is no loss: it is only newer', async () => {
    let answer: (value?: unknown) => void = () => undefined
    world.reading = new Promise((resolve) => (answer = resolve))
    const again = tab()
    const opening = again.start(null)
    await new Promise((resolve) => setTimeout(resolve, 5))
    // The first tab hears it over its stream, and puts it into the copy both share.
    client.write(observed('meanwhile'))
    await allSent(() => stored.observations().includes('meanwhile'))
    await settledCopy(copy, golden.entries.length + 1)
    answer()
    await opening
    await allSent(() => again.getState().waiting === 0)
    await new Promise((resolve) => setTimeout(resolve, 30))
    expect(again.getState().broughtBack).toBe(0)
    expect(textsOf(again).filter((text) => text === 'meanwhile')).toHaveLength(1)
  })
  test('with the device’s stores cleared meanwhile, what was acknowledged is all there, and what is written goes straight', async () => {
    client.write(observed('acknowledged'))
    await allSent(() => client.getState().waiting === 0)
    world.openOutbox = () => Promise.reject(new Error('cleared'))
    world.copy = null
    const again = tab()
    await again.start(null)
    expect(textsOf(again)).toContain('acknowledged')
    again.write(observed('after'))
    await allSent(() => stored.observations().includes('after'))
    expect(again.getState().unkept).toEqual([])
  })
  test('with a clock a day wrong, order and content stay', async () => {
    world.now += 86_400_000
    client.write(observed('tomorrow'))
    world.now -= 2 * 86_400_000
    client.write(observed('yesterday'))
    await allSent(() => client.getState().waiting === 0)
    expect(textsOf(client).slice(-2)).toEqual(['tomorrow', 'yesterday'])
    expect(stored.observations().slice(-2)).toEqual(['tomorrow', 'yesterday'])
  })
})

async function settledCopy(copy: OfflineCopy, lines: number): Promise<void> {
  for (let i = 0; i < 500 && (await copy.counted()).lines !== lines; i++)
    await new Promise((resolve) => setTimeout(resolve, 2))
  expect((await copy.counted()).lines).toBe(lines)
}
