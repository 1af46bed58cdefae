import { DEFAULT_HOUSE_RULES as RULES } from '@ivory-crystal/core/conventions'
import type { EpochMs } from '@ivory-crystal/core/ids'
import { fold, nextId, type RawEntry } from '@ivory-crystal/core/notebook'
import { advance } from '@ivory-crystal/core/simulator'
import {
  forTubes,
  isEyeWithin,
  LENS_EXERCISES,
  type LensExercise,
  type Level,
  markWithinC,
  meltExercise,
  nextUp,
  PRACTICE,
  progressOf,
  scoreLens,
  seeingOf,
  startMelt,
  truthAfter,
  type TubeTruth,
  yourEye,
} from '@ivory-crystal/core/practice'
import { referenceCompound } from '../core/golden/reference'
import { REFERENCE_COMPOUNDS } from '../core/src/reference/reference'
import { randomSource } from '../core/src/math/random'
import { GOLDEN } from './screens'
import type { Row } from './table'

const NOW = Date.UTC(2026, 8, 7, 9, 0)
const LEARNERS = 6
/** Three a sitting, one sitting every second day. */
const SITTING = 3
const DAYS_APART = 2
const EXERCISES_MOST = 60
/** An eye that has not learned: first liquid marked so early, the end so late, °C, give or take. */
const BEGINS = { firstC: -1.5, allC: 0.6, varyC: 0.4 } as const
/** Even a sharp eye scatters, °C. */
const SCATTER_C = 0.12

const compounds = forTubes(REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id)))
const WITHIN_C = markWithinC(RULES, RULES.meltRate.target)

const known = new Map<string, readonly TubeTruth[]>()
/** What the tubes of an exercise do, watched to their end. */
function truthOf(exercise: LensExercise, seed: number, level: Level): readonly TubeTruth[] {
  const key = JSON.stringify([exercise, seed, level])
  const cached = known.get(key)
  if (cached) return cached
  let state = startMelt(meltExercise(exercise, compounds, seed, level))
  let truth: readonly TubeTruth[] = []
  for (let minute = 0; minute < 120; minute++) {
    const next = advance(state, [], 60)
    state = next.state
    for (const reading of next.readings) truth = truthAfter(truth, reading, RULES.onsetRule)
    if (truth.length > 0 && truth.every(({ allC }) => allC !== null)) break
  }
  known.set(key, truth)
  return truth
}

interface Learned {
  /** Mean distance of a mark from its moment, over the first exercise and over the last of the path, °C. */
  readonly atFirstC: number
  readonly afterPathC: number
  /** Exercises done until the eye is within what the house allows, those away from the lens counted; null within none. */
  readonly untilWithin: number | null
  readonly lensShare: number
}

/** A learner who takes up a part of what each answer says, and does what is put next. */
function learn(part: number, seed: number): Learned {
  const { normal, uniform } = randomSource(seed)
  const bias = {
    firstC: BEGINS.firstC + BEGINS.varyC * normal(),
    allC: BEGINS.allC + BEGINS.varyC * normal(),
  }
  const entries: RawEntry[] = []
  const offC: number[] = []
  let last: string | null = null
  let untilWithin: number | null = null
  let lens = 0
  const put = (at: EpochMs, body: object) => {
    const id: string = nextId(last, at, new Uint8Array(8))
    last = id
    entries.push({
      ...(GOLDEN.entries[0] as RawEntry),
      id,
      kind: 'practice done',
      v: 1,
      subject: PRACTICE,
      at,
      body,
    } as RawEntry)
  }
  for (let done = 0; done < EXERCISES_MOST && untilWithin === null; done++) {
    const at = NOW + Math.floor(done / SITTING) * DAYS_APART * 86_400_000 + (done % SITTING) * 300_000
    const view = fold(entries)
    const progress = progressOf(view)
    const { name } = nextUp(progress, at, seeingOf(view, WITHIN_C))
    const level = progress.find((one) => one.name === name)?.level ?? 1
    const exercise = LENS_EXERCISES.find((one) => one === name)
    const rest = { exercise: name, seed: done, level, tookS: 180, code: null, practical: null }
    if (exercise === undefined) {
      const isGood = uniform() < 0.6
      put(at, { ...rest, isGood, share: isGood ? 0.9 : 0.5, sentence: 'Done.', tubes: [] })
      continue
    }
    lens++
    const truth = truthOf(exercise, 100 + (done % 12), level)
    const near = (c: number | null, by: number) =>
      c === null ? null : Math.round(10 * (c + by + SCATTER_C * normal())) / 10
    const marks = truth.map(({ firstC, allC }) => ({
      firstC: near(firstC, bias.firstC),
      allC: near(allC, bias.allC),
    }))
    const score = scoreLens({ marks, truth, rateCPerMin: 1 }, RULES)
    const errors = score.marks.tubes.map(({ first, all }) => ({
      firstErrorC: first.errorC,
      allErrorC: all.errorC,
    }))
    put(at, { ...rest, isGood: score.isGood, share: score.share, sentence: score.sentence, tubes: errors })
    const mean = (of: 'firstErrorC' | 'allErrorC') =>
      errors.reduce((sum, one) => sum + (one[of] ?? 0), 0) / errors.length
    offC.push((Math.abs(mean('firstErrorC')) + Math.abs(mean('allErrorC'))) / 2)
    bias.firstC -= part * mean('firstErrorC')
    bias.allC -= part * mean('allErrorC')
    if (isEyeWithin(yourEye(fold(entries)), WITHIN_C)) untilWithin = done + 1
  }
  return {
    atFirstC: offC[0] ?? NaN,
    afterPathC: offC[4] ?? NaN,
    untilWithin,
    lensShare: lens / entries.length,
  }
}

/** Learners who take up a tenth, a fifth, three tenths of an answer. */
export function measureLearners(): Row[] {
  return [0.1, 0.2, 0.3].map((part) => {
    const all = Array.from({ length: LEARNERS }, (_, i) => learn(part, 1 + i))
    const mean = (of: (one: Learned) => number) => all.reduce((sum, one) => sum + of(one), 0) / all.length
    const within = all.flatMap(({ untilWithin }) => untilWithin ?? [])
    return {
      what: `learners who take up ${100 * part} % of an answer: off by ${mean(({ atFirstC }) => atFirstC).toFixed(2)} °C at first, ${mean(({ afterPathC }) => afterPathC).toFixed(2)} at the fifth, ${(100 * mean(({ lensShare }) => lensShare)).toFixed(0)} % at the lens`,
      ours:
        within.length === 0
          ? `none within ${WITHIN_C.toFixed(2)} °C in ${EXERCISES_MOST}`
          : `within ${WITHIN_C.toFixed(2)} °C after ${(within.reduce((sum, count) => sum + count, 0) / within.length).toFixed(0)} exercises (${within.length} of ${all.length})`,
      bare: '',
      ratio: '',
      aim: 'half at the lens until then',
    }
  })
}
