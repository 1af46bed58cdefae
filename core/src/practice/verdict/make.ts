import type { HouseWords, RangeEvidence } from '../../judging/evidence'
import { type Judgement, type NextStep, NEXT_STEPS } from '../../judging/judgement'
import { judgeRange } from '../../judging/judgeRange'
import { randomSource, shuffled } from '../../math/random'
import type { Fusion } from '../../melting/liquidus'
import { behaviourOf } from '../../substances/behaviour'
import { fusionOf } from '../../substances/fusionOf'
import type { Compound } from '../../substances/shelf'
import type { Level } from '../exercise'
import { meltOnce } from './melt'
import { type Cause, STORIES, CHECKED, CAUSES } from './stories'

/** A liquid that mixes with the melt, for what is still damp; made up. */
const SOLVENT_STAND_IN: Fusion = { meltingPointC: -90, enthalpyKJPerMol: 5, molarMassGPerMol: 46 }

const CHOICES = 4

export interface VerdictExercise {
  readonly seed: number
  readonly level: Level
  /** What the label says. */
  readonly compound: string
  readonly evidence: RangeEvidence
  readonly facts: readonly (readonly [what: string, is: string])[]
  readonly judgement: Judgement
  readonly cause: Cause
  readonly causes: readonly Cause[]
  readonly next: readonly NextStep[]
  readonly explanation: string
}

/**
 * A range with its story: a run of the simulated block, and what its page would say of it.
 *
 * @param compounds to draw from
 * @param rules the house’s words, by which it is judged
 */
export function verdictExercise(
  compounds: readonly Compound[],
  seed: number,
  level: Level,
  rules: HouseWords,
): VerdictExercise {
  const { uniform } = randomSource(seed)
  const pick = <T>(from: readonly T[]): T => from[Math.floor(uniform() * from.length)] as T
  const story = pick(STORIES.filter(({ least }) => least <= level))
  const compound = pick(compounds)
  const others = compounds.filter(({ id }) => id !== compound.id)
  const apart = others.filter(({ meltHighC }) => Math.abs(meltHighC - compound.meltHighC) > 6)
  const inIt = story.isAnother ? pick(apart.length > 0 ? apart : others) : compound
  const share = story.impurity ? story.impurity[0] + (story.impurity[1] - story.impurity[0]) * uniform() : 0
  const other = story.isDamp ? SOLVENT_STAND_IN : fusionOf(pick(others))
  const rateCPerMin = story.rateCPerMin ?? 1
  const fillMm = story.fillMm ?? 2
  const grain = story.grain ?? 'fine'
  const ran = meltOnce(
    { a: fusionOf(inIt), b: share > 0 ? other : null, moleFractionA: 1 - share },
    {
      fillMm,
      grain,
      rateCPerMin,
      probeOffC: story.readsLowC === undefined ? 0 : compound.meltLowC - compound.meltHighC - story.readsLowC,
      seed,
    },
    rules,
  )
  const late = story.watchedFromBelowC
  const reading =
    late === undefined ? ran : { onsetC: Math.max(ran.onsetC, ran.clearC - 0.8), clearC: ran.clearC }
  const evidence: RangeEvidence = {
    reading,
    resolutionC: 0.1,
    rateCPerMin,
    rateMeasured: true,
    fillMm,
    grain,
    watchedFromBelowOnsetC: late ?? 15,
    thermometer: story.thermometer ?? CHECKED,
    dried: story.dried ?? { how: 'constant mass', minutes: null, solventBoilsC: 78 },
    signs: [],
    literature: { lowC: compound.meltLowC, highC: compound.meltHighC },
    behaviour: behaviourOf(compound, false),
    fusion: fusionOf(compound),
    crude: null,
    authentic: null,
    mixed: null,
    plate: null,
    repeats: [],
    setAside: 0,
    impurity: null,
  }
  const judgement = judgeRange(evidence, rules)
  const right = judgement.actions[0]?.code ?? 'sign'
  const wrong = shuffled(
    NEXT_STEPS.filter(
      (step) =>
        !judgement.actions.some(({ code }) => code === step) &&
        // Of a range whose start was missed this is as good an answer.
        !(late !== undefined && step === 'new tube, put in late'),
    ),
    uniform,
  )
  return {
    seed,
    level,
    compound: compound.name,
    evidence,
    facts: factsOf(evidence),
    judgement,
    cause: story.cause,
    causes: CAUSES,
    next: shuffled([right, ...wrong.slice(0, CHOICES - 1)], uniform),
    explanation: story.explanation,
  }
}

function factsOf(evidence: RangeEvidence): VerdictExercise['facts'] {
  const { reading, literature, rateCPerMin, fillMm, grain, thermometer, dried, watchedFromBelowOnsetC } =
    evidence
  return [
    ['melting range', `${reading.onsetC.toFixed(1)} to ${reading.clearC.toFixed(1)} °C`],
    ['literature', literature ? `${literature.lowC} to ${literature.highC} °C` : 'none'],
    ['rate while it melted', `${rateCPerMin} °C/min, measured`],
    ['tube', `${fillMm} mm, ${grain}`],
    [
      'thermometer',
      thermometer.state === 'never checked'
        ? 'never checked'
        : `checked in place at this rate, ±${(thermometer.errorC ?? 0).toFixed(1)} °C`,
    ],
    ['dried', dried?.how === 'not' ? 'no: straight from the funnel' : 'to constant mass'],
    ['watched from', `${watchedFromBelowOnsetC ?? 0} °C below the onset`],
  ]
}
