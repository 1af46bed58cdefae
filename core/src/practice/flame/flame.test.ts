import { describe, expect, test } from '@jest/globals'
import { advance } from '../../simulator/block'
import { LEVELS, SEEDS, expectFalling, rules, tubes } from '../../../golden/learners'
import { flameExercise, type Level, scoreFlame, startFlame, truthAfter, type TubeTruth } from '../index'

describe('the flame', () => {
  const run = (seed: number, level: Level) => {
    const exercise = flameExercise(tubes, seed, level)
    let state = startFlame(exercise)
    let truth: readonly TubeTruth[] = []
    const shown: number[] = []
    while (!truth[0]?.allC && shown.length < 3600) {
      const next = advance(state, [], 1)
      state = next.state
      for (const reading of next.readings) {
        shown.push(reading.probe.value)
        truth = truthAfter(truth, reading, rules.onsetRule)
      }
    }
    const [was] = truth
    if (!was) throw new Error('Nothing was in the tube.')
    return { exercise, was, shown }
  }
  test('left alone it comes to its end, the faster the higher the level', () => {
    for (const seed of SEEDS) {
      const times = LEVELS.map((level) => run(seed, level).shown.length)
      for (const seconds of times) expect(seconds).toBeLessThan(1200)
      expect(times[0]).toBeGreaterThan(times[2] ?? Infinity)
    }
  })
  /** A thermometer that climbs evenly to where it was all liquid, and half a minute on. */
  const climbing = (was: TubeTruth, rate: number) =>
    Array.from({ length: 600 }, (_, i) => ({ atS: i, shownC: (was.allC ?? 0) + (rate * (i - 570)) / 60 }))
  test('a late reading is taken back; wrong, early and missing ones are worth less', () => {
    const { was } = run(2, 1)
    const shown = climbing(was, 2)
    const at = (c: number | null) => shown.find(({ shownC }) => shownC >= (c ?? Infinity))?.atS ?? NaN
    const score = (offC: number, lateS: number, types = true) => {
      const mark = (c: number | null) => ({
        pressedAtS: at(c),
        typed: types ? { readC: (c ?? 0) + offC + (2 * lateS) / 60, atS: at(c) + lateS } : null,
      })
      return scoreFlame({ first: mark(was.firstC), all: mark(was.allC) }, was, shown)
    }
    expect(score(0, 12)).toMatchObject({ isGood: true, share: 1 })
    expect(score(0, 12).takenBackC.firstC).toBeCloseTo(was.firstC ?? NaN, 6)
    expect(score(0, 12).compared.at(-1)).toMatchObject({ you: '2.0 °C/min', isRight: true })
    expectFalling([score(0, 12), score(1.5, 12), score(3, 12), score(0, 0, false)].map(({ share }) => share))
    expect(score(10, 3).sentence).toContain('Count from the nearest number')
    expect(score(0, 0, false).sentence).toContain('Press first')
    const fast = climbing(was, 6)
    const pressed = (c: number | null) => {
      const atS = fast.find(({ shownC }) => shownC >= (c ?? Infinity))?.atS ?? NaN
      return { pressedAtS: atS, typed: { readC: c ?? 0, atS } }
    }
    const hasty = scoreFlame({ first: pressed(was.firstC), all: pressed(was.allC) }, was, fast)
    expect(hasty).toMatchObject({ isGood: false })
    expect(hasty.sentence).toContain('at 6.0 °C/min. Take the flame away earlier')
  })
  test('left before it melted, the rate of the melting is not made up', () => {
    const { was } = run(2, 1)
    const early = climbing(was, 2).slice(0, 100)
    const left = scoreFlame({ first: null, all: null }, was, early)
    expect(left.compared.at(-1)).toMatchObject({ you: 'not seen', isRight: false })
    expect(left).toMatchObject({ isGood: false, share: 0 })
  })
})
