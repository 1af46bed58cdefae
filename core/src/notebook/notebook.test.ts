import { createHash } from 'node:crypto'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { EntryId, LedgerId, NotebookId, PrepId, RunId, SampleId } from '../ids'
import { idMs, nextId } from './clock'
import type { Entry, RawEntry } from './entry'
import { EMPTY_VIEW, fold, type View } from './fold'
import { type About, type Bodies, type Kind, KINDS } from './kinds/list'
import { linesOf } from './read'
import { sentenceOf } from './sentence'
import { judgementOf } from './views/judgement'
import { logOf } from './views/log'
import { lossesOf } from './views/losses'
import { meltsOf } from './views/melt'
import { prepOf, prepsOf, recoveryOf } from './views/prep'
import { latestRange, rangesOf } from './views/ranges'
import { readingsOf } from './views/readings'
import { isStale } from './views/stale'
import { nextStep, stationsOf } from './views/stations'
import { summaryOf } from './views/summary'
import { timersOf } from './views/timers'
import { rebase, refusalOf } from '../schemas'
import {
  expectedView,
  expectedViewV1,
  expectedViewV2,
  expectedViewV3,
  golden,
  goldenV1,
  goldenV2,
  goldenV3,
  ledgerContract,
} from '../../golden/contract'
import type { KindDefinition, Upcasts } from './kinds/defineKind'
import { runs } from '../../golden/depth'
import '../../golden/older'

const expected = expectedView as { preps: object[] }
const whole = fold(golden.entries)
const summary = (view: View) => JSON.parse(JSON.stringify(summaryOf(view, golden.nowMs))) as object
const benzil = prepsOf(whole).find((prep) => prep.opened.body.title === 'Benzil, from benzoin')?.id as PrepId

ledgerContract(
  'the fold alone',
  () => golden.entries[0] as RawEntry,
  (lines) => Promise.resolve([...new Map(lines.map((line) => [line.id, line])).values()]),
)

let made = 0
function entry<K extends Kind>(kind: K, subject: string, body: Bodies[K], at = 1_800_000_000_000): Entry<K> {
  made += 1
  const id = nextId(null, at + made, new Uint8Array([0, 0, 0, 0, 0, 0, made >> 8, made & 255]))
  return {
    id,
    v: KINDS[kind].version,
    ledger: '0a5a1c7e-0000-4000-8000-000000000001' as LedgerId,
    notebook: '0a5a1c7e-0000-4000-8000-000000000002' as NotebookId,
    subject: subject as About[K],
    kind,
    body,
    at: at + made,
    author: 'bench 7',
    device: 'test',
  }
}

describe('the golden ledger', () => {
  test('comes to its expected view', () => {
    expect(summary(whole)).toEqual(expected)
  })
  test('whose recovery and ranges are those of its readings', () => {
    const recovery = recoveryOf(prepOf(whole, benzil) as NonNullable<ReturnType<typeof prepOf>>)
    expect(recovery.ok && recovery.value.percent.value).toBeCloseTo((100 * (32.613 - 31.2216)) / 1.804, 9)
    const marks = golden.entries.filter((line) => line.kind === 'mark made') as Entry<'mark made'>[]
    const at = (slot: number, moment: string) =>
      marks.find(({ body }) => body.slot === slot && body.moment === moment)?.body.lastProbe?.text
    const onTheBlock = rangesOf(whole, benzil).slice(0, 2)
    expect(onTheBlock.map((row) => [row.onset?.text, row.clear?.text])).toEqual([
      [at(1, 'first liquid'), at(1, 'all liquid')],
      [at(2, 'first liquid'), at(2, 'all liquid')],
    ])
  })
  test('holds every kind of entry there is', () => {
    expect(new Set(golden.entries.map(({ kind }) => kind))).toEqual(new Set(Object.keys(KINDS)))
  })
  test('has ids made of what its lines say, so that a new line changes only itself', () => {
    const tails = golden.entries.map(({ id }) => id.slice(20))
    const says = golden.entries.map(({ kind, subject, body }) => {
      const digest = createHash('sha256')
        .update(JSON.stringify([kind, subject, body]))
        .digest('hex')
      return `${digest.slice(1, 4)}-${digest.slice(4, 16)}`
    })
    expect(tails).toEqual(says)
    for (const { id, at } of golden.entries) expect(idMs(id)).toBe(at)
  })
  test('passes the schemas, every line', () => {
    expect(golden.entries.map(refusalOf).filter((refusal) => refusal !== null)).toEqual([])
  })
  test('tells the same in any order of arrival, in any batches, with repeats', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...golden.entries], { minLength: golden.entries.length }),
        fc.integer({ min: 1, max: 40 }),
        (shuffled, size) => {
          let view = EMPTY_VIEW
          for (let i = 0; i < shuffled.length; i += size)
            view = fold([...shuffled.slice(i, i + size), ...shuffled.slice(0, 3)], view)
          expect(summary(view)).toEqual(expected)
        },
      ),
      { numRuns: runs(25) },
    )
  })
  test('moved in time keeps everything that is relative', () => {
    const home = { ledger: 'x' as LedgerId, notebook: 'y' as NotebookId }
    const moved = rebase(golden.entries, 86_400_000, home)
    expect(idMs(moved[5]?.id ?? '')).toBe(idMs(golden.entries[5]?.id ?? '') + 86_400_000)
    const view = fold(moved)
    const there = JSON.parse(JSON.stringify(summaryOf(view, golden.nowMs + 86_400_000))) as {
      preps: object[]
    }
    expect(there.preps).toEqual(expected.preps)
    expect(new Set(moved.map((line) => line.ledger))).toEqual(new Set(['x']))
  })
  test('every line has a sentence', () => {
    const log = logOf(whole, benzil)
    for (const { sentence } of log) {
      expect(sentence).toMatch(/^\S.*[.!?”]$/)
      expect(sentence).not.toMatch(/undefined|NaN|\[object/)
    }
    expect(log.filter(({ strike }) => strike !== null).map(({ sentence }) => sentence)).toEqual([
      'Added 73 mL, hot.',
    ])
    expect(lossesOf(whole, prepOf(whole, benzil) as NonNullable<ReturnType<typeof prepOf>>)[0]).toBe(
      '0.413 g of the crude is not in the crystals.',
    )
  })
})

test.each([
  ['first', goldenV1, expectedViewV1, [1]],
  ['second', goldenV2, expectedViewV2, [1, 2]],
  ['third', goldenV3, expectedViewV3, [1, 2, 3]],
] as const)('a ledger of the %s version comes to what it came to then', (_, old, view, versions) => {
  const summary = JSON.parse(JSON.stringify(summaryOf(fold(old.entries), old.nowMs))) as object
  expect(summary).toMatchObject(view as object)
  expect(old.entries.map(refusalOf).filter((refusal) => refusal !== null)).toEqual([])
  expect(new Set(old.entries.map(({ v }) => v))).toEqual(new Set(versions))
})

describe('the fold', () => {
  const prep = '0a5a1c7e-0000-4000-8000-0000000000b1'
  const seen = (text: string) => entry('observed', prep, { station: 'plan', text })
  const texts = (view: View) => linesOf(view, prep, 'observed').map((line) => line.body.text)

  /** Every order of these lines, each folded one by one and all at once. */
  const inEveryOrder = (lines: readonly RawEntry[]): View[] => {
    const orders: RawEntry[][] = lines.reduce<RawEntry[][]>(
      (all, one) =>
        all.flatMap((order) =>
          Array.from({ length: order.length + 1 }, (_, at) => [
            ...order.slice(0, at),
            one,
            ...order.slice(at),
          ]),
        ),
      [[]],
    )
    return orders.flatMap((order) => [
      fold(order),
      order.reduce((view, one) => fold([one], view), EMPTY_VIEW),
    ])
  }
  test('a strike may arrive before its target', () => {
    const line = seen('typo')
    const strike = entry('struck', prep, { target: line.id, reason: 'typo' })
    for (const view of inEveryOrder([line, strike])) {
      expect(texts(view)).toEqual([])
      expect(view.struck.get(line.id)?.body.reason).toBe('typo')
    }
  })
  test('a strike is taken back by striking it, and that again, in whatever order they arrive', () => {
    const line = seen('right after all')
    const other = seen('beside it')
    const strike = entry('struck', prep, { target: line.id, reason: 'typo' })
    const back = entry('struck', prep, { target: strike.id, reason: 'changed my mind' })
    for (const view of inEveryOrder([line, other, strike, back])) {
      expect(texts(view)).toEqual(['right after all', 'beside it'])
      expect(view.struck.get(line.id)).toBeUndefined()
      expect(view.struck.get(strike.id)?.id).toBe(back.id)
    }
    const again = entry('struck', prep, { target: back.id, reason: 'it was a typo' })
    for (const view of inEveryOrder([line, strike, back, again])) {
      expect(texts(view)).toEqual([])
      expect(view.struck.get(line.id)?.id).toBe(strike.id)
    }
  })
  test('of two strikes of one line, one taken back leaves the other; a line struck anew is struck', () => {
    const line = seen('twice')
    const one = entry('struck', prep, { target: line.id, reason: 'one' })
    const two = entry('struck', prep, { target: line.id, reason: 'two' })
    const back = entry('struck', prep, { target: one.id, reason: 'not by me' })
    for (const view of inEveryOrder([line, one, two, back])) {
      expect(texts(view)).toEqual([])
      expect(view.struck.get(line.id)?.body.reason).toBe('two')
    }
    const anew = entry('struck', prep, { target: line.id, reason: 'anew' })
    for (const view of inEveryOrder([line, one, back, anew])) {
      expect(texts(view)).toEqual([])
      expect(view.struck.get(line.id)?.body.reason).toBe('anew')
    }
  })
  test('a strike under another subject still reaches its target', () => {
    const line = seen('here')
    const view = fold([entry('struck', 'elsewhere', { target: line.id, reason: 'x' })], fold([line]))
    expect(texts(view)).toEqual([])
    expect(texts(fold([line], fold([...view.struck.values()])))).toEqual([])
  })
  test('appending does not change the view appended to', () => {
    const before = fold([seen('first')])
    const after = fold([seen('second')], before)
    expect([texts(before), texts(after)]).toEqual([['first'], ['first', 'second']])
    expect([before.count, after.count]).toEqual([1, 2])
  })
  test('old bodies are upcast, newer ones kept untouched', () => {
    const note: KindDefinition<never> & { readonly upcasts: Upcasts } = {
      kind: 'note',
      version: 3,
      about: 'any',
      sentence: () => '',
      upcasts: { 1: (b) => ({ ...(b as object), two: true }), 2: (b) => ({ ...(b as object), three: true }) },
    }
    const old = { ...seen('x'), kind: 'note', v: 1, body: { one: true } } as RawEntry
    const future = { ...seen('y'), kind: 'note', v: 4, body: { other: 1 } } as RawEntry
    const view = fold([old, future, { ...seen('z'), kind: 'constructor' }], EMPTY_VIEW, { note })
    const [line] = view.subjects.get(prep)?.lines ?? []
    expect(line).toMatchObject({ v: 3, body: { one: true, two: true, three: true } })
    expect(view.newer.map((one) => [one.kind, one.v])).toEqual([
      ['note', 4],
      ['constructor', 1],
    ])
    expect(view.newer[0]).toBe(future)
  })
  test('never throws, whatever a line holds', () => {
    fc.assert(
      fc.property(fc.constantFrom(...(Object.keys(KINDS) as Kind[])), fc.object(), (kind, body) => {
        const view = fold([{ ...seen('x'), kind, body }])
        expect(view.count).toBe(1)
      }),
    )
  })
})

describe('ids as a clock', () => {
  const random = new Uint8Array(8)
  test('come after everything seen, though the clock goes back', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 2 ** 45 }), { minLength: 2, maxLength: 60 }),
        (clockMs) => {
          let latest: EntryId | null = null
          for (const now of clockMs) {
            const id: EntryId = nextId(latest, now, random)
            if (latest) expect(id > latest).toBe(true)
            expect(idMs(id)).toBeGreaterThanOrEqual(now)
            latest = id
          }
        },
      ),
    )
  })
  test('are UUIDs of version 7, and go on past a full counter', () => {
    const full = '018bcfe5-6800-7fff-8000-000000000000'
    expect(nextId(full, 0, random)).toBe('018bcfe5-6801-7000-8000-000000000000')
    expect(nextId(null, 1_700_000_000_000, new Uint8Array(8).fill(255))).toMatch(
      /^[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/,
    )
    expect(() => nextId(null, 0, new Uint8Array(4))).toThrow('8 random bytes')
  })
})

describe('what the schemas refuse', () => {
  const good = golden.entries.find((line) => line.kind === 'weighed') as RawEntry
  test.each<[string, Partial<RawEntry>, string]>([
    [
      'text and number that differ',
      { body: { method: 'tared', net: { text: '1.80', value: 1.9 }, readabilityG: 0.001 } },
      '1.80 and the number 1.9 of a reading differ',
    ],
    [
      'a number typed as text',
      { body: { method: 'tared', net: { text: '1.80', value: '1.8' }, readabilityG: 0.001 } },
      'must be a number',
    ],
    [
      'an unknown key',
      {
        body: {
          method: 'tared',
          net: { text: '1', value: 1 },
          readabilityG: 0.001,
          from: 'typed',
          colour: 'x',
        },
      },
      '“colour” is not allowed',
    ],
    [
      'an id of another version',
      { id: '0a5a1c7e-0000-4000-8000-000000000002' as EntryId },
      'UUID of version 7',
    ],
    ['a version that never was', { v: 0 }, '“v” must be greater than or equal to 1'],
    ['no author', { author: '' }, '“author” is not allowed to be empty'],
    ['a newer body that is too long', { v: 7, body: 'x'.repeat(70_000) }, 'too long to save'],
  ])('%s', (_, change, sentence) => {
    expect(refusalOf({ ...good, ...change })).toContain(sentence)
  })
  test('nothing at all', () => {
    expect(refusalOf(null)).not.toBeNull()
    expect(refusalOf(good)).toBeNull()
  })
})

describe('a prep as it goes', () => {
  const prep = '0a5a1c7e-0000-4000-8000-0000000000c1' as PrepId
  const product = '0a5a1c7e-0000-4000-8000-0000000000c3' as SampleId
  const from = golden.entries
  const until = (kind: Kind, count = 1) => {
    let left = count
    const end = from.findIndex((line) => line.kind === kind && line.subject !== undefined && --left === 0)
    return fold(from.slice(0, end + 1))
  }
  const states = (view: View) =>
    Object.fromEntries(stationsOf(view, benzil).map(({ station, state }) => [station, state]))

  test('is where the first thing is undone, and says what that is', () => {
    const opened = until('observed')
    expect(states(opened)).toMatchObject({ plan: 'now', dissolve: 'not yet' })
    expect(nextStep(opened, benzil, 0)?.text).toBe('Weigh the crude.')
    expect(nextStep(until('weighed'), benzil, 0)?.text).toBe('Choose the solvent and make the plan.')
    expect(states(until('plan fixed'))).toMatchObject({ plan: 'done', dissolve: 'now' })
    expect(nextStep(until('timer started'), benzil, 0)?.station).toBe('crystallize')
    expect(nextStep(whole, benzil, 0)).toBeNull()
  })
  test('a timer that is over is the next thing, until its step is ticked', () => {
    const cooling = until('timer started')
    const started = linesOf(cooling, benzil, 'timer started')[0]?.at ?? 0
    expect(timersOf(cooling, benzil, started + 5 * 60_000)[0]?.leftMs).toBe(10 * 60_000)
    expect(nextStep(cooling, benzil, started + 16 * 60_000)).toMatchObject({
      urgent: true,
      text: 'The 15 min of cooling to room temperature are up.',
    })
    expect(nextStep(until('step ticked', 6), benzil, started + 16 * 60_000)?.urgent).toBe(false)
    // Days later nobody stands beside it any more: what there is to do is the step itself.
    const later = nextStep(cooling, benzil, started + 3 * 24 * 3_600_000)
    expect(later).toMatchObject({ station: 'crystallize', urgent: false })
    expect(later?.text).not.toContain('are over')
    expect(later?.text).not.toBe('')
  })
  test('a struck weighing makes plan and verdict need a look', () => {
    const weighing = from.find((line) => line.kind === 'weighed') as RawEntry
    const struckWeighing = fold(
      [entry('struck', weighing.subject, { target: weighing.id, reason: 'wrong boat' })],
      whole,
    )
    expect(states(struckWeighing)).toMatchObject({
      plan: 'needs a look',
      weigh: 'needs a look',
      judge: 'done',
    })
    const mark = from.find(
      (line) =>
        line.kind === 'mark made' &&
        (line as Entry<'mark made'>).body.slot === 2 &&
        (line as Entry<'mark made'>).body.moment === 'all liquid',
    ) as RawEntry
    const view = fold([entry('struck', mark.subject, { target: mark.id, reason: 'too early' })], whole)
    expect(states(view)).toMatchObject({ melt: 'needs a look', judge: 'needs a look', page: 'now' })
    const verdict = prepOf(view, benzil)?.verdict
    expect(verdict && isStale(view, verdict)).toBe(true)
    expect(verdict?.body.judgement.verdict).toBe('consistent with pure')
    expect(rangesOf(view, benzil)[1]?.trouble).toContain('Only the onset was marked')
    const judged = judgementOf(view, benzil)
    expect(judged.ok ? '' : judged.problem.sentence).toContain('no complete melting range')
  })
  test('more than went in, and far less than planned, are remarked on', () => {
    const openedLine = from.find((line) => line.kind === 'prep opened') as Entry<'prep opened'>
    const crude = '0a5a1c7e-0000-4000-8000-0000000000c2' as SampleId
    const lines = [
      entry('prep opened', prep, openedLine.body),
      entry('sample named', crude, { prep, role: 'crude', label: 'Crude', compound: null, of: [] }),
      entry('sample named', product, { prep, role: 'product', label: 'Product', compound: null, of: [] }),
      entry('weighed', crude, {
        method: 'tared',
        net: { text: '1.00', value: 1 },
        readabilityG: 0.01,
        from: 'typed',
      }),
    ]
    const withProduct = (text: string, extra: RawEntry[] = []) => {
      const view = fold([
        ...lines,
        entry('weighed', product, {
          method: 'tared',
          net: { text, value: Number(text) },
          readabilityG: 0.01,
          from: 'typed',
        }),
        ...extra,
      ])
      return {
        recovery: recoveryOf(prepOf(view, prep) as NonNullable<ReturnType<typeof prepOf>>),
        weigh: stationsOf(view, prep).find(({ station }) => station === 'weigh'),
      }
    }
    const damp = withProduct('1.10')
    expect(damp.recovery.ok && damp.recovery.value.percent.value).toBeCloseTo(110, 9)
    expect(damp.weigh).toMatchObject({
      state: 'needs a look',
      reason: '110.0 % is more than went in. Dry it, look it over and weigh it again.',
    })
    const fixed = from.find((line) => line.kind === 'plan fixed') as Entry<'plan fixed'>
    const little = withProduct('0.20', [entry('plan fixed', prep, fixed.body)])
    expect(little.weigh?.reason).toContain('Do not discard the mother liquor')
  })
})

describe('a mark while the instrument could not be heard', () => {
  const melt = meltsOf(whole)[0] as NonNullable<ReturnType<typeof meltsOf>[number]>
  const run = melt.run?.id as RunId
  const pressed = (pressedAtS: number, lastSample: number) =>
    entry('mark made', melt.id as string, {
      run,
      slot: 1,
      moment: 'early sign',
      pressedAtS,
      lastSample,
      lastProbe: { text: '50.0', value: 50 },
      from: 'key' as const,
    })
  const temperature = (view: View, id: EntryId) =>
    meltsOf(view)[0]?.marks.find((mark) => mark.entry.id === id)?.temperature
  test('takes the reading seen while that is fresh', () => {
    const mark = pressed(601, 600)
    expect(temperature(fold([mark], whole), mark.id)).toEqual({ text: '50.0', value: 50 })
  })
  test('takes what the trace tells of the moment, once it is there', () => {
    const mark = pressed(640.2, 600)
    const value = readingsOf(whole, melt.id, run).probeC.get(640) as number
    expect(temperature(fold([mark], whole), mark.id)).toEqual({ text: value.toFixed(1), value })
    const late = pressed(99_999, 600)
    expect(temperature(fold([late], whole), late.id)).toBeNull()
  })
  test('a swapped pair of marks is named, and not judged', () => {
    const subject = melt.id
    const lines = golden.entries.filter((line) => line.kind !== 'mark made')
    const mark = (moment: 'first liquid' | 'all liquid', text: string) =>
      entry('mark made', subject, {
        run,
        slot: 2,
        moment,
        pressedAtS: 1500,
        lastSample: 1500,
        lastProbe: { text, value: Number(text) },
        from: 'key' as const,
      })
    const rows = rangesOf(fold([...lines, mark('first liquid', '96.4'), mark('all liquid', '95.1')]), benzil)
    expect(rows[1]?.trouble).toContain('96.4 °C lies above the clear point of 95.1 °C')
    expect(latestRange(rows, 'product')).toBeNull()
  })
})

test('a sentence for each kind', () => {
  expect(sentenceOf(golden.entries.find((line) => line.kind === 'melt planned') as never)).toBe(
    'Planned a melt of Crude benzil and Benzil: 73.4 to 104.0 °C at 1 °C/min.',
  )
})
