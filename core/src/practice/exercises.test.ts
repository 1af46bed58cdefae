import { describe, expect, test } from '@jest/globals'
import { advance, type BlockCommand, createBlock, DEFAULT_HOUSE_RULES, passBalance } from '../index'
import {
  ABOUT,
  type Accused,
  bestOrder,
  dialExercise,
  type DialExercise,
  dissolveExercise,
  EXERCISES,
  exerciseAt,
  FIRST_PATH,
  flameExercise,
  type FlaskCommand,
  forTubes,
  forUnknowns,
  inOrder,
  isDialOver,
  isJobRight,
  type Level,
  lookAtFlask,
  MISTAKES,
  mixtureExercise,
  mixtureRun,
  onThePanG,
  orderExercise,
  passFlask,
  plannersRuns,
  rankedAfter,
  SCENES,
  scoreDial,
  scoreFlame,
  scoreLens,
  scoreMixture,
  scoreOrder,
  scorePortions,
  scoreSolvent,
  scoreVerdict,
  scoreWeighing,
  scoreWrong,
  smallJobs,
  solventExercise,
  startBalance,
  startDial,
  startFlame,
  startFlask,
  truthAfter,
  type TubeTruth,
  verdictExercise,
  weighExercise,
  wrongExercise,
} from './index'
import { REFERENCE_COMPOUNDS } from '../reference/reference'
import { referenceCompound } from '../../golden/reference'

const shelf = REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id))
const tubes = forTubes(shelf)
const rules = DEFAULT_HOUSE_RULES
const LEVELS: readonly Level[] = [1, 2, 3]
const SEEDS = [1, 2, 3, 4, 5, 6]
/** The shares of learners, best first: strictly falling. */
function expectFalling(shares: readonly number[]): void {
  for (let i = 1; i < shares.length; i++) expect(shares[i]).toBeLessThan(shares[i - 1] ?? Infinity)
}

test('every exercise has an address of its own, minutes and a rule; the first path is five of them', () => {
  expect(EXERCISES).toHaveLength(14)
  for (const name of EXERCISES) {
    expect(exerciseAt(ABOUT[name].slug)).toBe(name)
    const [least, most] = ABOUT[name].minutes
    expect(least).toBeGreaterThanOrEqual(2)
    expect(most).toBeLessThanOrEqual(6)
    expect(ABOUT[name].rule.length).toBeGreaterThan(10)
  }
  expect(new Set(EXERCISES.map((name) => ABOUT[name].slug)).size).toBe(14)
  expect(exerciseAt('nothing-of-the-sort')).toBeNull()
  expect(FIRST_PATH).toHaveLength(5)
  expect(EXERCISES.filter((name) => ABOUT[name].isForPhone)).toHaveLength(7)
})

describe('it starts early, with small jobs beside', () => {
  const truth: readonly TubeTruth[] = [{ shrankC: 60, sweatedC: null, firstC: 61, allC: 93 }]
  const done = (firstC: number, right: number) =>
    scoreLens({ marks: [{ firstC, allC: 93 }], truth, rateCPerMin: 2, jobs: { put: 5, right } }, rules)
  test('the jobs are the same from the same seed, each with its one answer', () => {
    expect(smallJobs(4, 6)).toEqual(smallJobs(4, 6))
    for (const job of smallJobs(4, 30)) {
      expect(isJobRight(job, ` ${job.answer} g`)).toBe(true)
      expect(isJobRight(job, job.answer.replace('.', ','))).toBe(false)
      const [whole, empty] = [...job.ask.matchAll(/\d+\.\d{3}/g)].map(([text]) => Number(text))
      if (empty !== undefined) expect((whole ?? 0) - empty).toBeCloseTo(Number(job.answer), 9)
    }
  })
  test('one job may be missed; the eye comes first', () => {
    expect(done(61, 5)).toMatchObject({ isGood: true, share: 1 })
    expect(done(61, 4).isGood).toBe(true)
    expect(done(61, 2)).toMatchObject({ isGood: false })
    expect(done(61, 2).sentence).toContain('3 of 5 small jobs')
    expectFalling([done(61, 5), done(61, 2), done(70, 5), done(70, 0)].map(({ share }) => share))
  })
})

describe('the dial', () => {
  const drive = (exercise: DialExercise, dialAt: (s: number, shownC: number) => number) => {
    let state = startDial(exercise)
    let [shownC, stood] = [exercise.startC, -1]
    const readings: { atS: number; shownC: number }[] = []
    do {
      const wanted = dialAt(state.sample, shownC)
      const commands: BlockCommand[] = wanted === stood ? [] : [{ kind: 'dial', setting: wanted }]
      stood = wanted
      const next = advance(state, commands, 1)
      state = next.state
      shownC = next.readings[0]?.probe.value ?? shownC
      readings.push({ atS: state.sample, shownC })
    } while (!isDialOver(exercise, state.sample, shownC))
    return scoreDial(exercise, readings)
  }
  test('the planner’s own turns are good at every level; haste, sloth and sleep are less, in that order of use', () => {
    for (const level of LEVELS)
      for (const seed of [1, 2]) {
        const exercise = dialExercise(seed, level)
        const { steps } = exercise.plan
        const perfect = drive(exercise, (s) => steps.filter(({ atMin }) => 60 * atMin <= s).at(-1)?.dial ?? 0)
        const slow = drive(exercise, (_, shownC) =>
          shownC < exercise.fromC - 30 ? 4 : (steps.at(-1)?.dial ?? 4),
        )
        const impatient = drive(exercise, () => 10)
        const asleep = drive(exercise, () => 0)
        expect(perfect.isGood).toBe(true)
        expect(slow.share).toBeLessThan(perfect.share)
        expect(impatient.share).toBeLessThan(slow.share)
        expect(impatient.sentence).toMatch(/climbed \d+\.\d °C\/min/)
        expect(asleep).toMatchObject({ isGood: false, share: 0 })
        expect(asleep.sentence).toContain('never came to')
      }
  })
})

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
    expect(score(10, 3).sentence).toContain('count from the nearest number')
    expect(score(0, 0, false).sentence).toContain('Press first')
    const fast = climbing(was, 6)
    const pressed = (c: number | null) => {
      const atS = fast.find(({ shownC }) => shownC >= (c ?? Infinity))?.atS ?? NaN
      return { pressedAtS: atS, typed: { readC: c ?? 0, atS } }
    }
    const hasty = scoreFlame({ first: pressed(was.firstC), all: pressed(was.allC) }, was, fast)
    expect(hasty).toMatchObject({ isGood: false })
    expect(hasty.sentence).toContain('at 6.0 °C/min: flame away sooner')
  })
  test('left before it melted, the rate of the melting is not made up', () => {
    const { was } = run(2, 1)
    const early = climbing(was, 2).slice(0, 100)
    const left = scoreFlame({ first: null, all: null }, was, early)
    expect(left.compared.at(-1)).toMatchObject({ you: 'not seen', isRight: false })
    expect(left).toMatchObject({ isGood: false, share: 0 })
  })
})

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
    expect(drowned.sentence).toContain('more went after grit')
    expect(early.sentence).toContain('was not grit')
    expect(dry.isGood).toBe(false)
    expect(dry.sentence).toContain('stood dry on the plate')
    expect(scorePortions(dissolve(withGrit, 2, {}), 'all dissolved').sentence).toContain('specks left')
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
    expect(tried(3).sentence).toContain('0.5 mL more went after grit once two portions had changed nothing')
  })
  test('time may be cut up as one likes, nothing is made of nothing, and a flask has an end', () => {
    const exercise = dissolveExercise(3, 2)
    const once = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 3 }, { kind: 'on the plate' }], 90)
    let often = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 3 }, { kind: 'on the plate' }], 0)
    for (let i = 0; i < 90; i++) often = passFlask(often, [], 1)
    expect(often).toEqual(once)
    expect(once.dissolvedG).toBeLessThanOrEqual(exercise.solubleG)
    expect(() => passFlask(once, [{ kind: 'portion', mL: 0 }], 1)).toThrow('more than nothing')
    expect(() => passFlask(once, [{ kind: 'portion', mL: 500 }], 1)).toThrow('holds 100 mL')
    expect(() => passFlask(once, [], 0.5)).toThrow('whole seconds')
  })
})

describe('the balance', () => {
  const exercise = weighExercise(5, 3)
  test('the right way comes to the mass, at every level', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const one = weighExercise(seed, level)
        let state = startBalance(one)
        const rest = (item: Parameters<typeof onThePanG>[1]) => {
          const next = passBalance(state, [{ kind: 'load', g: onThePanG(one, item) }], 8)
          state = next.state
          return next.reading.display.value
        }
        const empty = rest('boat 2 empty')
        const net = rest('boat 2 with crystals') - empty
        expect(scoreWeighing(one, net.toFixed(3), false)).toMatchObject({ isGood: true, share: 1 })
      }
  })
  test('each slip is told for what it is', () => {
    const { crystalsG, boat1G, boat2G, leftAtG } = exercise
    const said = (g: number) => scoreWeighing(exercise, g.toFixed(3), false).sentence
    expect(said(crystalsG + boat2G - boat1G)).toContain('other boat')
    expect(said(crystalsG + boat2G)).toContain('boat and crystals')
    expect(said(crystalsG + leftAtG)).toContain('nothing on it')
    expect(scoreWeighing(exercise, crystalsG.toFixed(1), false).isGood).toBe(false)
    expect(scoreWeighing(exercise, '1,204', false).sentence).toContain('with a point')
    expect(scoreWeighing(exercise, (crystalsG + 0.2).toFixed(3), true).sentence).toContain('still moved')
    expect(scoreWeighing(exercise, (crystalsG + 0.2).toFixed(3), false).sentence).toContain('subtraction')
    expect(
      scoreWeighing(weighExercise(5, 1), weighExercise(5, 1).crystalsG.toFixed(2), false).sentence,
    ).toMatch(/digits|less|more/)
  })
})

describe('what does it say', () => {
  test('each story is judged so that the story can be found, and the answer stands among the choices', () => {
    const seen = new Map<string, Set<string>>()
    for (let seed = 1; seed <= 40; seed++) {
      const exercise = verdictExercise(tubes, seed, 3, rules)
      const { judgement, cause, next } = exercise
      expect(next).toContain(judgement.actions[0]?.code ?? 'sign')
      expect(new Set(next).size).toBe(next.length)
      seen.set(cause, (seen.get(cause) ?? new Set()).add(judgement.verdict))
      const right = { verdict: judgement.verdict, cause, next: judgement.actions[0]?.code ?? 'sign' }
      expect(scoreVerdict(exercise, right)).toMatchObject({ isGood: true, share: 1 })
      const wrong = {
        ...right,
        cause: cause === 'the thermometer' ? ('solvent left in it' as const) : ('the thermometer' as const),
      }
      expect(scoreVerdict(exercise, wrong)).toMatchObject({ isGood: false, sentence: exercise.told })
    }
    expect(seen.size).toBe(8)
    expect([...(seen.get('something else is in it') ?? [])]).toEqual(['impure'])
    expect([...(seen.get('it is another compound') ?? [])]).toEqual(['not this compound'])
    expect([...(seen.get('nothing: it is as it should be') ?? [])]).toEqual(['consistent with pure'])
    for (const cause of ['it was heated too fast', 'the thermometer', 'solvent left in it'])
      expect([...(seen.get(cause) ?? [])]).toEqual(['cannot tell'])
  })
})

describe('which mixture', () => {
  const unknowns = forUnknowns(shelf)
  test('six that melt alike, the planner names the right one, and more runs, a guess or a wrong name are worth less', () => {
    let guesses = 0
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = mixtureExercise(unknowns, seed, level)
        if (!exercise) throw new Error('Six should be found.')
        expect(exercise.candidates).toHaveLength(6)
        const planner = plannersRuns(exercise)
        expect(rankedAfter(exercise, planner)[0]?.id).toBe(exercise.answer)
        const all = exercise.candidates.map(({ id }) => mixtureRun(exercise, id))
        const wrong = exercise.candidates.find(({ id }) => id !== exercise.answer)?.id ?? ''
        expect(scoreMixture(exercise, planner, exercise.answer, planner).isGood).toBe(true)
        // A name that no mixture has shown is a guess, however right.
        const guessed = scoreMixture(exercise, [], exercise.answer, planner)
        const sure = rankedAfter(exercise, []).find(({ id }) => id === exercise.answer)?.probability ?? 0
        expect(guessed.isGood).toBe(sure >= 0.8)
        expect(scoreMixture(exercise, [], wrong, planner).compared.every(({ isRight }) => !isRight)).toBe(
          true,
        )
        guesses += guessed.isGood ? 0 : 1
        expectFalling([
          scoreMixture(exercise, planner, exercise.answer, planner).share,
          scoreMixture(exercise, all, exercise.answer, planner).share,
          scoreMixture(exercise, all, wrong, planner).share,
        ])
      }
    expect(guesses).toBeGreaterThan(10)
    expect(mixtureExercise(unknowns.slice(0, 3), 1, 1)).toBeNull()
  })
  test('with itself nothing is lowered; the same pair is the same range', () => {
    const exercise = mixtureExercise(unknowns, 2, 3)
    if (!exercise) throw new Error('Six should be found.')
    expect(Math.abs(mixtureRun(exercise, exercise.answer).clearC - exercise.unknown.clearC)).toBeLessThan(2)
    expect(mixtureRun(exercise, exercise.answer)).toEqual(mixtureRun(exercise, exercise.answer))
    expect(() => mixtureRun(exercise, 'sand')).toThrow('not on the list')
  })
})

describe('out on time', () => {
  test('the best order comes to its end as planned, and the recipe’s order later', () => {
    for (const level of [1, 2] as const)
      for (const seed of SEEDS) {
        const exercise = orderExercise(seed, level)
        const best = bestOrder(exercise)
        expect(inOrder(exercise, best.order).endMin).toBe(best.plan.makespanMin)
        expect(scoreOrder(exercise, best.order, best)).toMatchObject({ isGood: true, share: 1 })
        const recipe = scoreOrder(exercise, exercise.handed, best)
        expect(recipe.isGood).toBe(false)
        expect(recipe.share).toBeLessThan(1)
        expect(recipe.sentence).toContain('minutes later than need be')
      }
  })
  test('whatever the order, nothing is held by two at once and nothing begins before what it follows', () => {
    const exercise = orderExercise(4, 2)
    const { tasks, capacity } = exercise.session
    const { starts, movedBack, endMin } = inOrder(exercise, [...exercise.handed].reverse())
    expect(movedBack.length).toBeGreaterThan(0)
    for (const task of tasks)
      for (const { task: before } of task.after) {
        const other = tasks.find(({ id }) => id === before)
        expect(starts[task.id]).toBeGreaterThanOrEqual((starts[before] ?? 0) + (other?.durationMin ?? 0))
      }
    for (let minute = 0; minute < endMin; minute++)
      for (const [what, most] of Object.entries(capacity)) {
        const held = tasks
          .filter(
            ({ id, durationMin }) => minute >= (starts[id] ?? 0) && minute < (starts[id] ?? 0) + durationMin,
          )
          .reduce((sum, { needs }) => sum + (needs[what] ?? 0), 0)
        expect(held).toBeLessThanOrEqual(most)
      }
  })
})

describe('what is wrong here', () => {
  /** What is done wrong at real benches, and where it can be seen here. */
  const COMMON: Readonly<Record<string, readonly string[]>> = {
    'masses and vessels': [
      'loaded-lighter',
      'slipped-digit',
      'decimal-comma',
      'made-up-digits',
      'two-digits',
      'damp-weighed',
      'stone-weighed',
      'other-empty',
      'bar-weighed',
      'heavier-when-dried',
      'residue-of-nothing',
    ],
    'dissolving and heat': [
      'dry-on-the-plate',
      'stone-late',
      'chasing-grit',
      'all-at-once',
      'open-evaporation',
      'cold-hot-funnel',
      'wrong-bottle',
      'neighbours-flame',
    ],
    'cooling and collecting': [
      'oil-cooled-on',
      'frozen-solvent',
      'stopper-hot',
      'seeded-with-impurity',
      'no-seed',
      'much-rinse',
      'liquor-away',
      'no-partner',
    ],
    tubes: [
      'too-full',
      'big-crystals',
      'no-labels',
      'wet-packed',
      'open-end-down',
      'other-vial',
      'side-by-side',
    ],
    melting: [
      'still-hot',
      'scale-ends',
      'dial-max',
      'too-fast',
      'stopped-below',
      'shrink-onset',
      'one-number',
      'ends-exchanged',
      'looking-up',
      'ten-off',
      'fahrenheit',
      'late-crude',
    ],
    'what it is taken to mean': [
      'unchecked-low',
      'sharp-and-low',
      'same-range',
      'residue-all-impurity',
      'on-all-the-crude',
      'over-a-hundred',
      'line-in-the-eluent',
    ],
    planning: [
      'other-literature',
      'part-for-percent',
      'hot-and-cold-swapped',
      'impurity-is-product',
      'night-period',
    ],
  }
  test('every common mistake can be seen in some scene', () => {
    const ids = MISTAKES.map(({ id }) => id)
    const common = Object.values(COMMON).flat()
    expect(new Set(common).size).toBe(58)
    expect(common.filter((id) => !ids.includes(id))).toEqual([])
  })
  test('each mistake once, several in each scene, with enough that is right beside them', () => {
    const made = new Set<string>()
    for (let seed = 1; seed <= 400; seed++)
      for (const { mistake } of wrongExercise(seed, 3).lines) if (mistake) made.add(mistake.id)
    // None is hidden by the draw.
    expect(MISTAKES.filter(({ id }) => !made.has(id)).length).toBeLessThan(MISTAKES.length / 20)
    for (const level of LEVELS)
      for (let seed = 1; seed <= 60; seed++) {
        const { lines } = wrongExercise(seed, level)
        expect(new Set(lines.map(({ text }) => text)).size).toBe(lines.length)
        expect(lines.length).toBeGreaterThanOrEqual(5)
      }
    for (const of of [
      ({ id }: (typeof MISTAKES)[number]) => id,
      ({ seen }: (typeof MISTAKES)[number]) => seen,
    ])
      expect(new Set(MISTAKES.map(of)).size).toBe(MISTAKES.length)
    for (const scene of SCENES)
      expect(MISTAKES.filter((one) => one.scene === scene).length).toBeGreaterThanOrEqual(4)
  })
  test('found for the right reason is best; found, missed and accusing all are worth less', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = wrongExercise(seed, level)
        const planted = exercise.lines.filter(({ mistake }) => mistake)
        const accuse = (lines: typeof exercise.lines, rightly: boolean) =>
          new Map(
            lines.map(({ id, mistake, reasons }): [string, Accused] => [
              id,
              {
                because: rightly
                  ? (mistake?.because ?? null)
                  : (reasons.find((one) => one !== mistake?.because) ?? null),
                instead: rightly ? (mistake?.instead ?? null) : null,
              },
            ]),
          )
        for (const { mistake, reasons, remedies } of planted) {
          expect(reasons).toContain(mistake?.because)
          expect(remedies).toContain(mistake?.instead)
        }
        const perfect = scoreWrong(exercise, accuse(planted, true))
        expect(perfect).toMatchObject({ isGood: true, share: 1 })
        expectFalling([
          perfect.share,
          scoreWrong(exercise, accuse(planted, false)).share,
          ...(planted.length > 0 ? [scoreWrong(exercise, new Map()).share] : []),
        ])
        expect(scoreWrong(exercise, accuse(exercise.lines, true)).isGood).toBe(false)
      }
  })
})

describe('choose the solvent', () => {
  test('the steep curve ranks first, and what ranks last is worth least', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const exercise = solventExercise(seed, level)
        const letters = exercise.ranked.map(({ letter }) => letter)
        expect([...letters].sort()).toEqual(exercise.solvents.map(({ letter }) => letter))
        const best = scoreSolvent(exercise, letters[0] ?? '')
        const worst = scoreSolvent(exercise, letters.at(-1) ?? '')
        expect(best).toMatchObject({ isGood: true, share: 1 })
        expect(worst.isGood).toBe(false)
        expect(worst.sentence).toContain(`What holds ${letters.at(-1) ?? ''} back`)
      }
  })
})

test('a block of its own character goes on from where it was left', () => {
  const { character, startC } = dialExercise(2, 3)
  expect(startC).toBeGreaterThan(character.ambientC)
  expect(startDial(dialExercise(2, 3)).blockC).toBe(createBlock(character, 2, { blockC: startC }).blockC)
})
