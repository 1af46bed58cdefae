import { readFileSync } from 'node:fs'
import { beforeEach, describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { InstrumentId } from '../ids'
import { nextId } from '../notebook/clock'
import type { Entry, RawEntry } from '../notebook/entry'
import { EMPTY_VIEW, fold } from '../notebook/fold'
import { standardsOf, turnsOf, heatingsOf } from '../notebook/views/instruments'
import { meltsOf } from '../notebook/views/melt'
import { prepsOf, prepOf } from '../notebook/views/prep'
import { summaryOf } from '../notebook/views/summary'
import { unknownsOf } from '../notebook/views/unknowns'
import { bodyRefusal } from '../notebook/kinds/bodyRefusal'
import {
  eyeOf,
  eyeSentence,
  EXERCISES,
  FIRST_PATH,
  isEyeWithin,
  LENS_EXERCISES,
  nextUp,
  pathOf,
  PRACTICE,
  type PracticeDone,
  placeOnPath,
  progressOf,
  ruleOf,
  type Seeing,
  seeingOf,
  triedTubes,
  yourEye,
} from './index'
import '../../golden/older'

const DAY_MS = 86_400_000
const NOW = 1_800_000_000_000
const golden = JSON.parse(readFileSync(new URL('../../golden/ledger.v4.json', import.meta.url), 'utf8')) as {
  readonly nowMs: number
  readonly entries: readonly RawEntry[]
}
const ENVELOPE = golden.entries[0] as RawEntry

let last: string | null = null
beforeEach(() => {
  last = null
})
function line(body: Partial<PracticeDone>, at = NOW, v = 1): Entry<'practice done'> {
  const id = nextId(last, at, new Uint8Array(8))
  last = id
  return {
    ...ENVELOPE,
    id,
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
      sentence: 'Both ends are as close as an eye can see.',
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
    const summary = (view: typeof without) => {
      const { lines, ...rest } = summaryOf(view, golden.nowMs) as { lines: number }
      return { rest, isCounted: lines > 0 }
    }
    expect(summary(withThem)).toEqual(summary(without))
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
  test('three good in a row master a level, one on another day; one that is not begins anew; what was made counts for no level', () => {
    let days = 0
    const good = (of: Partial<PracticeDone> = {}) => line(of, NOW + days++ * DAY_MS)
    const bad = () => line({ isGood: false, share: 0.4 })
    expect(standing([good(), good()])).toMatchObject({ level: 1, inARow: 2, mastered: 0 })
    expect(standing([good(), good(), bad(), good()])).toMatchObject({ level: 1, inARow: 1, mastered: 0 })
    expect(standing([good(), good(), good()])).toMatchObject({ level: 2, inARow: 0, mastered: 1 })
    expect(standing([good(), good(), line({ code: 'made' })])).toMatchObject({ tries: 2, inARow: 2 })
    const through = ([1, 2, 3] as const).flatMap((level) => [1, 2, 3].map(() => good({ level })))
    expect(standing(through)).toMatchObject({ level: 3, mastered: 3 })
    expect(standing([line({ level: 3 }), line({ level: 3 }), line({ level: 3 })])).toMatchObject({
      level: 1,
      mastered: 0,
    })
    for (const name of EXERCISES) expect(ruleOf(name)).toContain('three in a row, one of them on another day')
    // All of one day: it waits for another.
    last = null
    const today = () => line({})
    expect(standing([today(), today(), today(), today()])).toMatchObject({
      level: 1,
      inARow: 4,
      waitsForAnotherDay: true,
      mastered: 0,
    })
    expect(standing([today(), today(), today(), line({}, NOW + 99 * DAY_MS)])).toMatchObject({
      level: 2,
      inARow: 0,
      waitsForAnotherDay: false,
      mastered: 1,
    })
    expect(standing([today(), bad(), today(), today(), today()])?.waitsForAnotherDay).toBe(true)
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
  test('law: however well it goes, it comes back within three weeks', () => {
    const result = fc.record({ isGood: fc.boolean(), daysLater: fc.integer({ min: 0, max: 40 }) })
    let capped = 0
    fc.assert(
      fc.property(fc.array(result, { minLength: 1, maxLength: 12 }), (results) => {
        last = null
        let at = NOW
        const lines = results.map(({ isGood, daysLater }) => {
          // A line’s time is its id’s, and no two are the same.
          at += daysLater * DAY_MS + 1000
          return line({ isGood, share: isGood ? 1 : 0.2 }, at)
        })
        const dueMs = standing(lines)?.dueMs ?? Infinity
        expect(dueMs - at).toBeLessThanOrEqual(21 * DAY_MS)
        expect(dueMs).toBeGreaterThan(at)
        if (dueMs - at === 21 * DAY_MS) capped++
      }),
    )
    expect(capped).toBeGreaterThan(5)
  })
})

describe('what to do next', () => {
  const SHARP = { isWithin: true, wasAtLens: false } as const
  const done = (names: readonly string[], share = 1) =>
    names.map((exercise) => line({ exercise, share, isGood: share > 0.7 }))
  test('the first path to its end, in order', () => {
    const seen: string[] = []
    for (let count = 0; count < FIRST_PATH.length; count++) {
      const next = nextUp(progressOf(viewOf(done(FIRST_PATH.slice(0, count)))), NOW, SHARP)
      expect(next.why).toBe(`${placeOnPath(next.name) ?? ''} before the first real prep`)
      seen.push(next.name)
    }
    expect(seen).toEqual(FIRST_PATH)
    expect(pathOf(progressOf(viewOf(done(FIRST_PATH))))).toEqual({ done: 5, next: null })
    expect(pathOf(progressOf(EMPTY_VIEW)).done).toBe(0)
  })
  test('law: until the eye is within the reading error, of any two that follow each other one is at the lens', () => {
    const isLens = (name: string) => LENS_EXERCISES.some((one) => one === name)
    const marks = (errorC: number) => [{ firstErrorC: errorC, allErrorC: errorC }]
    const lines = FIRST_PATH.map((exercise) => line({ exercise, tubes: marks(0.9) }))
    const asked: string[] = []
    for (let i = 0; i < 30; i++) {
      const view = viewOf(lines)
      const atMs = NOW + (i + 1) * DAY_MS
      const seeing = seeingOf(view, 0.35)
      expect(seeing.isWithin).toBe(false)
      const { name } = nextUp(progressOf(view), atMs, seeing)
      asked.push(name)
      lines.push(line({ exercise: name, tubes: isLens(name) ? marks(0.9) : [] }, atMs))
    }
    asked.forEach((name, i) => {
      if (i > 0) expect([name, asked[i - 1] ?? ''].some(isLens)).toBe(true)
    })
    expect(asked.filter((name) => !isLens(name)).length).toBeGreaterThan(8)
    // Once it is, the lens is one of fourteen again.
    const sharp = [...lines, ...Array.from({ length: 60 }, () => line({ tubes: marks(-0.9) }))]
    expect(seeingOf(viewOf(sharp), 0.35)).toMatchObject({ wasAtLens: true })
    expect(isEyeWithin(eyeOf(Array.from({ length: 4 }, () => marks(0.3)[0]!)), 0.35)).toBe(true)
    expect(isEyeWithin(eyeOf(Array.from({ length: 3 }, () => marks(0)[0]!)), 0.35)).toBe(false)
  })
  test('then what is due, the weakest first, then what is new, then what is due soonest', () => {
    const lines = [...done(FIRST_PATH), ...done(['the dial'], 0.2)]
    const next = (atMs: number, seeing: Seeing = SHARP) => nextUp(progressOf(viewOf(lines)), atMs, seeing)
    expect(next(NOW).name).toBe('the flame')
    expect(next(NOW + 60 * DAY_MS)).toMatchObject({ name: 'the dial' })
    // What made the last one weak is said, and no number.
    expect(next(NOW + 60 * DAY_MS).why).toMatch(/^due again, and the weakest of those due; the last time: “/)
    const all = progressOf(
      viewOf([...done(EXERCISES.filter((name) => name !== 'the flame')), ...done(['the flame'], 0.1)]),
    )
    expect(nextUp(all, NOW, SHARP)).toMatchObject({
      name: 'the flame',
      why: 'nothing is due yet; this one is due next',
    })
  })
})
