import {
  advance,
  type Bodies,
  type Compound,
  DEFAULT_HOUSE_RULES,
  type EntryId,
  type Kind,
  type SubjectId,
} from '../core/src/index'
import {
  dissolveExercise,
  type ExerciseName,
  forTubes,
  type LensExercise,
  meltExercise,
  passFlask,
  PRACTICE,
  scoreLens,
  scorePortions,
  startFlask,
  startMelt,
  truthAfter,
  type TubeTruth,
} from '../core/src/practice/index'

interface Pen {
  readonly write: <K extends Kind>(kind: K, subject: SubjectId, at: number, body: Bodies[K]) => EntryId
  readonly minutesAgo: (minutes: number) => number
  readonly compounds: readonly Compound[]
}
const DAY_MIN = 24 * 60
const rules = DEFAULT_HOUSE_RULES

/** What a learner did in the evenings before: each exercise run, and marked by an eye that gets better. */
export function writePractice({ write, minutesAgo, compounds }: Pen): void {
  let before = 3 * DAY_MIN
  const put = (
    exercise: ExerciseName,
    seed: number,
    body: Pick<Bodies['practice done'], 'isGood' | 'share' | 'sentence' | 'tubes'>,
  ) => {
    write('practice done', PRACTICE, minutesAgo(before), {
      exercise,
      seed,
      level: 1,
      tookS: 170,
      code: null,
      practical: null,
      ...body,
    })
    before -= 6
  }
  const watched = (exercise: LensExercise, seed: number, firstErrorC: number, allErrorC: number) => {
    const melt = meltExercise(exercise, forTubes(compounds), seed, 1)
    const truth = wholeRun(melt)
    const near = (c: number | null, errorC: number) =>
      c === null ? null : Math.round(10 * (c + errorC)) / 10
    // Tubes beside each other are not marked with the same error.
    const marks = truth.map(({ firstC, allC }, i) => ({
      firstC: near(firstC, firstErrorC + (0.2 * ((seed + i) % 3) - 0.2)),
      allC: near(allC, allErrorC + (0.2 * ((seed + 2 * i) % 3) - 0.2)),
    }))
    const score = scoreLens({ marks, truth, rateCPerMin: melt.rateCPerMin }, rules)
    put(exercise, seed, {
      isGood: score.isGood,
      share: score.share,
      sentence: score.sentence,
      tubes: score.marks.tubes.map(({ first, all }) => ({
        firstErrorC: first.errorC,
        allErrorC: all.errorC,
      })),
    })
  }
  watched('see it melt', 12, -1.6, 0.4)
  watched('see it melt', 13, -1.1, 0.5)
  watched('shrinking is not melting', 14, -1.3, 0.6)
  before = 2 * DAY_MIN
  watched('shrinking is not melting', 15, -0.8, 0.3)
  watched('see it melt', 16, -0.2, 0.2)
  watched('three at once', 17, -0.6, 0.4)
  before = DAY_MIN
  watched('see it melt', 18, 0, 0.1)
  watched('three at once', 19, -0.3, 0.2)
  watched('two numbers', 20, -0.4, 0.3)
  const flask = dissolved(21)
  const { isGood, share, sentence } = scorePortions(
    flask,
    flask.exercise.gritG > 0 ? 'what is left is grit' : 'all dissolved',
  )
  put('just dissolved', 21, { isGood, share, sentence, tubes: [] })
}

function wholeRun(melt: ReturnType<typeof meltExercise>): readonly TubeTruth[] {
  let state = startMelt(melt)
  let truth: readonly TubeTruth[] = []
  for (
    let minute = 0;
    minute < 120 && !(truth.length > 0 && truth.every(({ allC }) => allC !== null));
    minute++
  ) {
    const next = advance(state, [], 60)
    state = next.state
    for (const reading of next.readings) truth = truthAfter(truth, reading, rules.onsetRule)
  }
  return truth
}

/** Somewhat too much, in portions. */
function dissolved(seed: number) {
  const exercise = dissolveExercise(seed, 1)
  let flask = passFlask(startFlask(exercise), [{ kind: 'portion', mL: 2 }, { kind: 'on the plate' }], 60)
  while (flask.addedML < 1.4 * exercise.leastML)
    flask = passFlask(flask, [{ kind: 'portion', mL: 1 }, { kind: 'swirl' }], 20)
  return passFlask(flask, [], 30)
}
