import { describe, expect, test } from '@jest/globals'
import { LEVELS, SEEDS, expectFalling } from '../../../golden/learners'
import {
  dissolveExercise,
  type FlaskCommand,
  type Level,
  lookAtFlask,
  passFlask,
  scorePortions,
  startFlask,
} from '../index'

describe('just dissolved', () => {
  const dissolve = (
    seed: number,
    level: Level,
    { portionML = 0.5, pauseS = 20, until = null as number | null, dryS = 0, swirls = true },
  ) => {
    const exercise = dissolveExercise(seed, level)
    let flask = startFlask(exercise)
    if (dryS > 0) flask = passFlask(flask, [{ kind: 'on the plate' }], dryS)
    flask = passFlask(flask, [{ kind: 'portion', mL: 2 }, { kind: 'on the plate' }], 60)
    const portion: readonly FlaskCommand[] = swirls
      ? [{ kind: 'portion', mL: portionML }, { kind: 'swirl' }]
      : [{ kind: 'portion', mL: portionML }]
    const goesOn = () => {
      const { solidShare, gritShare } = lookAtFlask(flask)
      return until === null ? solidShare > gritShare : flask.addedML < until * exercise.leastML
    }
    while (goesOn()) flask = passFlask(flask, portion, pauseS)
    return passFlask(flask, [{ kind: 'swirl' }], 60)
  }
  test('slow hands dissolve it in hardly more than the least, at every level', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const flask = dissolve(seed, level, {})
        const called = flask.exercise.gritG > 0 ? 'what is left is grit' : 'all dissolved'
        expect(scorePortions(flask, called)).toMatchObject({ isGood: true })
        expect(lookAtFlask(flask).looks).toBe(flask.exercise.gritG > 0 ? 'specks' : 'clear')
      }
  })
  test('drowned, called too soon and heated dry are worth less, and each is told', () => {
    const withGrit = SEEDS.find((seed) => dissolveExercise(seed, 2).gritG > 0) ?? 0
    const good = scorePortions(dissolve(withGrit, 2, {}), 'what is left is grit')
    const drowned = scorePortions(
      dissolve(withGrit, 2, { portionML: 1, pauseS: 40, until: 2 }),
      'what is left is grit',
    )
    const early = scorePortions(dissolve(withGrit, 2, { until: 0.5 }), 'what is left is grit')
    const dry = scorePortions(dissolve(withGrit, 2, { dryS: 60 }), 'what is left is grit')
    expectFalling([good.share, drowned.share, early.share])
    expect(drowned.sentence).toContain('more went in after two portions')
    expect(early.sentence).toContain('was not grit')
    expect(dry.isGood).toBe(false)
    expect(dry.sentence).toContain('was dry on the plate')
    expect(scorePortions(dissolve(withGrit, 2, {}), 'all dissolved').sentence).toContain('Specks were left')
  })
  test('two portions that change nothing are how grit is found; the third is chasing it', () => {
    const exercise = dissolveExercise(SEEDS.find((seed) => dissolveExercise(seed, 1).gritG > 0) ?? 0, 1)
    let flask = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 2 }, { kind: 'on the plate' }], 60)
    while (exercise.solubleG - flask.dissolvedG > 0.01 * exercise.crudeG)
      flask = passFlask(flask, [{ kind: 'portion', mL: 0.5 }, { kind: 'swirl' }], 30)
    const tried = (portions: number) =>
      scorePortions(
        Array.from({ length: portions }).reduce<typeof flask>(
          (now) => passFlask(now, [{ kind: 'portion', mL: 0.5 }, { kind: 'swirl' }], 30),
          flask,
        ),
        'what is left is grit',
      )
    expect(tried(2).isGood).toBe(true)
    expect(tried(3).isGood).toBe(false)
    expect(tried(3).sentence).toContain('0.5 mL more went in after two portions had changed nothing')
  })
  test('time may be cut up as one likes, nothing is made of nothing, and a flask has an end', () => {
    const exercise = dissolveExercise(3, 2)
    const once = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 3 }, { kind: 'on the plate' }], 90)
    let often = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 3 }, { kind: 'on the plate' }], 0)
    for (let i = 0; i < 90; i++) often = passFlask(often, [], 1)
    expect(often).toEqual(once)
    expect(once.dissolvedG).toBeLessThanOrEqual(exercise.solubleG)
    expect(() => passFlask(once, [{ kind: 'portion', mL: 0 }], 1)).toThrow('more than 0 mL')
    expect(() => passFlask(once, [{ kind: 'portion', mL: 500 }], 1)).toThrow('holds 100 mL')
    expect(() => passFlask(once, [], 0.5)).toThrow('whole seconds')
  })
})
