import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { placeScore, placeStops, type ScoreBar, type ScoreFacts } from './scoreLayout'
import { widthOf } from './placeLabels'

const MINUTE = 60_000
const bar = (id: string, lane: string, fromMin: number, toMin: number, label = id): ScoreBar => ({
  id,
  lane,
  label,
  whose: null,
  words: id,
  fromMs: fromMin * MINUTE,
  toMs: toMin * MINUTE,
  is: 'planned',
  critical: false,
  rising: false,
  movable: true,
})
const facts = (bars: readonly ScoreBar[], stops: ScoreFacts['stops'] = []): ScoreFacts => ({
  lanes: [
    { id: 'hands', name: 'hands', tone: 'ink' },
    { id: 'alone', name: 'by itself', tone: 'tan' },
  ],
  bars,
  taken: [],
  stops,
  fromMs: 0,
  toMs: 180 * MINUTE,
  ticks: [],
  nowMs: null,
  nowText: '',
  outMs: null,
  outText: '',
  endMs: 180 * MINUTE,
})

describe('the lanes of the score', () => {
  test('a bar stands where its minutes are, and is as long as they are', () => {
    const { bars } = placeScore(facts([bar('dissolve', 'hands', 45, 90)]), 720, 30, null)
    expect(bars[0]).toMatchObject({ along: 180, length: 180, across: 30, lines: ['dissolve'] })
  })
  test('no line across the score runs through a label: it stands beside it, or is left out', () => {
    const at = (nowMin: number, label: string, toMin = 90) => {
      const nowFacts = { ...facts([bar('one', 'hands', 45, toMin, label)]), nowMs: nowMin * MINUTE }
      return placeScore(nowFacts, 720, 0, null).bars[0]
    }
    // 4 px a minute: the bar is 180 px long, and now stands 20 px into it.
    expect(at(50, 'dissolve')).toMatchObject({ lines: ['dissolve'], textAt: 24 })
    expect(at(85, 'dissolve')).toMatchObject({ lines: ['dissolve'], textAt: 4 })
    expect(at(50, 'dissolve', 56)).toMatchObject({ lines: [] })
    const upright = (nowMin: number) =>
      placeScore({ ...facts([bar('one', 'hands', 45, 90, 'melt')]), nowMs: nowMin * MINUTE }, 720, 0, 320)
        .bars[0]
    expect(upright(47)?.lines).toEqual([])
    expect(upright(80)?.lines).toEqual(['melt'])
  })
  test('a bar that rises has no label for its slope to run through', () => {
    const rises = { ...bar('heats', 'alone', 0, 60, 'heats up'), rising: true }
    expect(placeScore(facts([rises]), 720, 0, null).bars[0]?.lines).toEqual([])
    expect(placeScore(facts([{ ...rises, rising: false }]), 720, 0, null).bars[0]?.lines).toEqual([
      'heats up',
    ])
  })
  test('bars that go on at once stand beside each other, and the lane is as thick as they are', () => {
    const { bars, lanes } = placeScore(
      facts([bar('one', 'alone', 0, 30), bar('two', 'alone', 10, 40), bar('three', 'alone', 30, 50)]),
      720,
      0,
      null,
    )
    const across = bars.map((one) => one.across)
    expect(across[1]).toBeGreaterThan(across[0] ?? 0)
    expect(across[2]).toBe(across[0])
    expect(lanes[1]?.thick).toBeGreaterThan((bars[0]?.thick ?? 0) * 2)
  })
  test('no bar of a lane crosses another, and no label leaves its bar', () => {
    const some = fc.array(
      fc.tuple(
        fc.constantFrom('hands', 'alone'),
        fc.integer({ min: 0, max: 170 }),
        fc.integer({ min: 1, max: 60 }),
      ),
      { maxLength: 30 },
    )
    fc.assert(
      fc.property(some, fc.boolean(), (rows, isUpright) => {
        const given = rows.map(([lane, from, min], i) =>
          bar(`task ${i}`, lane, from, Math.min(180, from + min), 'watch K-14'),
        )
        const { bars } = placeScore(facts(given), 700, 0, isUpright ? 300 : null)
        for (const one of bars) {
          for (const line of one.lines)
            expect(widthOf(line, 12)).toBeLessThanOrEqual(isUpright ? one.thick : one.length)
          for (const other of bars) {
            if (one === other || one.lane !== other.lane || one.across !== other.across) continue
            const isApart = one.toMs <= other.fromMs || other.toMs <= one.fromMs
            expect(isApart).toBe(true)
          }
        }
      }),
    )
  })
  test('two stops close to each other have their words in two rows', () => {
    const close = facts(
      [],
      [
        { atMs: 60 * MINUTE, words: 'stop: benzil, dry' },
        { atMs: 63 * MINUTE, words: 'stop: adipic acid, dry' },
      ],
    )
    const { along } = placeScore(close, 700, 0, null)
    const placed = placeStops(close, along, 100, 800)
    expect(placed.map(({ row }) => row)).toEqual([0, 1])
    for (const { x, text } of placed) expect(x + widthOf(text, 12)).toBeLessThanOrEqual(800)
  })
})
