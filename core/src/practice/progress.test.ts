import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  type Entry,
  EMPTY_VIEW,
  fold,
  type InstrumentId,
  nextId,
  prepsOf,
  prepOf,
  type RawEntry,
  standardsOf,
  summaryOf,
  turnsOf,
  unknownsOf,
  heatingsOf,
  meltsOf,
} from '../index'
import { bodyRefusal } from '../notebook/kinds/bodyRefusal'
import {
  eyeOf,
  eyeSentence,
  EXERCISES,
  FIRST_PATH,
  nextUp,
  pathOf,
  PRACTICE,
  type PracticeDone,
  placeOnPath,
  progressOf,
  ruleOf,
  triedTubes,
  yourEye,
} from './index'

const DAY_MS = 86_400_000
const NOW = 1_800_000_000_000
const golden = JSON.parse(readFileSync(new URL('../../golden/ledger.v4.json', import.meta.url), 'utf8')) as {
  readonly nowMs: number
  readonly entries: readonly RawEntry[]
}
const ENVELOPE = golden.entries[0] as RawEntry

let last: string | null = null
function line(body: Partial<PracticeDone>, at = NOW, v = 1): Entry<'practice done'> {
  const id = nextId(last, at, new Uint8Array(8))
  last = id
  return {
    ...ENVELOPE,
    id: id,
    kind: 'practice done',
    v,
    subject: PRACTICE,
    body: {
      exercise: 'see it melt',
      seed: 1,
      level: 1,
      isGood: true,
      share: 1,
      tookS: 60,
      sentence: 'Both ends as close as an eye can tell.',
      tubes: [],
      code: null,
      practical: null,
      ...body,
    },
  }
}
const viewOf = (lines: readonly Entry<'practice done'>[]) => fold(lines)
const standing = (lines: readonly Entry<'practice done'>[], name = 'see it melt') =>
  progressOf(viewOf(lines)).find((one) => one.name === name)

describe('what practice changes', () => {
  test('no view of a prep, an unknown, a melt or an instrument changes when practice lines are added', () => {
    const without = fold(golden.entries.filter(({ kind }) => kind !== 'practice done'))
    const many = Array.from({ length: 50 }, (_, i) =>
      line({
        exercise: EXERCISES[i % EXERCISES.length] ?? '',
        tubes: [{ firstErrorC: i / 10, allErrorC: null }],
      }),
    )
    const withThem = fold([...golden.entries, ...many] as readonly RawEntry[])
    const told = (view: typeof without) => {
      const { lines, ...rest } = summaryOf(view, golden.nowMs) as { lines: number }
      return { rest, isCounted: lines > 0 }
    }
    expect(told(withThem)).toEqual(told(without))
    for (const { id } of prepsOf(without)) expect(prepOf(withThem, id)).toEqual(prepOf(without, id))
    expect(unknownsOf(withThem)).toEqual(unknownsOf(without))
    expect(meltsOf(withThem)).toEqual(meltsOf(without))
    for (const id of ['programmable-block', 'dial-block', 'oil-bath-tube'] as InstrumentId[]) {
      expect(heatingsOf(withThem, id)).toEqual(heatingsOf(without, id))
      expect(standardsOf(withThem, id)).toEqual(standardsOf(without, id))
      expect(turnsOf(withThem, id, 3)).toEqual(turnsOf(without, id, 3))
    }
    expect(yourEye(withThem).tubes).toBeGreaterThan(50)
  })
  test('a line is checked as it comes in, and one of a newer version is kept and counts for nothing', async () => {
    const good = line({ tubes: [{ firstErrorC: -0.4, allErrorC: null }] })
    expect(await bodyRefusal('practice done', good.body)).toBeNull()
    for (const wrong of [
      { share: 2 },
      { level: 4 },
      { tubes: [1] },
      { practical: { id: 'x', tube: 3, of: 3 } },
    ])
      expect(
        await bodyRefusal('practice done', { ...good.body, ...wrong } as unknown as PracticeDone),
      ).not.toBeNull()
    const newer = line({}, NOW, 9)
    const view = viewOf([good, newer])
    expect(view.newer.map(({ id }) => id)).toEqual([newer.id])
    expect(progressOf(view).find(({ name }) => name === 'see it melt')?.tries).toBe(1)
    expect(
      progressOf(viewOf([line({ exercise: 'an exercise of next year' })])).every(({ tries }) => tries === 0),
    ).toBe(true)
  })
})

describe('your eye', () => {
  test('mean and spread of both ends, by hand', () => {
    const eye = eyeOf([
      { firstErrorC: -1, allErrorC: 0.5 },
      { firstErrorC: -2, allErrorC: null },
      { firstErrorC: 0, allErrorC: 0.1 },
      { firstErrorC: -1, allErrorC: 0.3 },
    ])
    expect(eye.first.meanC).toBeCloseTo(-1, 9)
    expect(eye.first.spreadC).toBeCloseTo(Math.sqrt(2 / 3), 9)
    expect(eye.all).toMatchObject({ missed: 1, errorsC: [0.5, 0.1, 0.3] })
    expect(eyeSentence(eye, 0.35)).toBe(
      'You mark first liquid 1.0 °C too early on average; all liquid was not marked in 1 of the tubes.',
    )
    expect(eyeSentence(eyeOf([]), 0.35)).toContain('No tube')
    expect(eyeSentence(eyeOf([{ firstErrorC: 0, allErrorC: 0 }]), 0.35)).toContain('one has been watched')
    expect(
      eyeSentence(eyeOf(Array.from({ length: 5 }, () => ({ firstErrorC: 0.1, allErrorC: -0.1 }))), 0.35),
    ).toBe('Both ends lie within 0.35 °C on average.')
    expect(eyeOf([{ firstErrorC: 1, allErrorC: null }]).first.spreadC).toBeNull()
    expect(eyeOf([{ firstErrorC: 1, allErrorC: null }]).all.meanC).toBeNull()
  })
  test('the mean lies between the least and the greatest', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -20, max: 20, noNaN: true }), { minLength: 1 }), (errors) => {
        const { meanC } = eyeOf(errors.map((firstErrorC) => ({ firstErrorC, allErrorC: null }))).first
        expect(meanC).toBeGreaterThanOrEqual(Math.min(...errors) - 1e-9)
        expect(meanC).toBeLessThanOrEqual(Math.max(...errors) + 1e-9)
      }),
    )
  })
  test('what a practical holds is sealed until all of it is done, and its first try counts', () => {
    const tube = (n: number, firstErrorC: number) =>
      line({ tubes: [{ firstErrorC, allErrorC: 0 }], code: 'x', practical: { id: 'p', tube: n, of: 2 } })
    const first = tube(0, -3)
    expect(yourEye(viewOf([first])).tubes).toBe(0)
    const both = [first, tube(1, 1)]
    expect(yourEye(viewOf(both)).tubes).toBe(2)
    expect(triedTubes(viewOf([...both, tube(0, 0)]), { id: 'p' }).get(0)?.firstErrorC).toBe(-3)
    expect(standing(both)?.tries).toBe(0)
  })
})

describe('how an exercise stands', () => {
  test('three good in a row master a level; one that is not begins anew; what was made counts for no level', () => {
    const good = () => line({})
    const bad = () => line({ isGood: false, share: 0.4 })
    expect(standing([good(), good()])).toMatchObject({ level: 1, inARow: 2, mastered: 0 })
    expect(standing([good(), good(), bad(), good()])).toMatchObject({ level: 1, inARow: 1, mastered: 0 })
    expect(standing([good(), good(), good()])).toMatchObject({ level: 2, inARow: 0, mastered: 1 })
    expect(standing([good(), good(), line({ code: 'made' })])).toMatchObject({ tries: 2, inARow: 2 })
    const through = ([1, 2, 3] as const).flatMap((level) => [1, 2, 3].map(() => line({ level })))
    expect(standing(through)).toMatchObject({ level: 3, mastered: 3 })
    expect(standing([line({ level: 3 }), line({ level: 3 }), line({ level: 3 })])).toMatchObject({
      level: 1,
      mastered: 0,
    })
    for (const name of EXERCISES) expect(ruleOf(name)).toContain('three in a row')
  })
  test('what went well comes back later than what did not, and days after, not minutes', () => {
    const wentWell = standing([line({}), line({}, NOW + 4 * DAY_MS)])
    const wentBadly = standing([
      line({ share: 0.1, isGood: false }),
      line({ share: 0.1, isGood: false }, NOW + 4 * DAY_MS),
    ])
    expect(wentWell?.dueMs).toBeGreaterThan(wentBadly?.dueMs ?? Infinity)
    expect(wentBadly?.dueMs).toBeGreaterThanOrEqual(NOW + 4.5 * DAY_MS)
  })
})

describe('what to do next', () => {
  const done = (names: readonly string[], share = 1) =>
    names.map((exercise) => line({ exercise, share, isGood: share > 0.7 }))
  test('the first path to its end, in order', () => {
    const seen: string[] = []
    for (let count = 0; count < FIRST_PATH.length; count++) {
      const next = nextUp(progressOf(viewOf(done(FIRST_PATH.slice(0, count)))), NOW)
      expect(next.why).toBe(`${placeOnPath(next.name) ?? ''} before the first real prep`)
      seen.push(next.name)
    }
    expect(seen).toEqual(FIRST_PATH)
    expect(pathOf(progressOf(viewOf(done(FIRST_PATH))))).toEqual({ done: 5, next: null })
    expect(pathOf(progressOf(EMPTY_VIEW)).done).toBe(0)
  })
  test('then what is due, the weakest first, then what is new, then what is due soonest', () => {
    const lines = [...done(FIRST_PATH), ...done(['the dial'], 0.2)]
    expect(nextUp(progressOf(viewOf(lines)), NOW).name).toBe('two numbers')
    expect(nextUp(progressOf(viewOf(lines)), NOW + 60 * DAY_MS)).toMatchObject({ name: 'the dial' })
    const all = progressOf(
      viewOf([...done(EXERCISES.filter((name) => name !== 'the flame')), ...done(['the flame'], 0.1)]),
    )
    expect(nextUp(all, NOW)).toMatchObject({ name: 'the flame', why: 'nothing is due yet; this comes first' })
  })
})
