import type { HouseWords, RangeEvidence } from '../judging/evidence'
import type { Judgement, NextStep, Verdict } from '../judging/judgement'
import { judgeRange } from '../judging/judgeRange'
import { NEXT_STEPS } from '../judging/judgement'
import type { Grain } from '../heating/observedRange'
import type { Fusion } from '../melting/liquidus'
import type { MeltingRange } from '../melting/meltingRange'
import { randomSource, shuffled } from '../math/random'
import { behaviourOf } from '../reference/behaviour'
import { fusionOf } from '../reference/fusionOf'
import type { Compound } from '../reference/shelf'
import { advance, createBlock } from '../simulator/block'
import { PROGRAMMABLE_BLOCK } from '../simulator/characters'
import { createTube, type SimulatedSample } from '../simulator/tube'
import type { Level } from './meltExercise'
import type { Compared, Score } from './exercises'
import { truthAfter, type TubeTruth } from './truth'

/** What may be behind a range, in the learner’s words. */
const CAUSES = [
  'nothing: it is as it should be',
  'it was heated too fast',
  'the tube was too full or too coarse',
  'the thermometer',
  'solvent left in it',
  'watching began too late',
  'something else is in it',
  'it is another compound',
] as const
export type Cause = (typeof CAUSES)[number]

/** How a range came about: what the simulated run was given. */
interface Story {
  readonly cause: Cause
  readonly least: Level
  readonly impurity?: readonly [number, number]
  readonly rateCPerMin?: number
  readonly fillMm?: number
  readonly grain?: Grain
  readonly readsLowC?: number
  readonly thermometer?: RangeEvidence['thermometer']
  readonly dried?: RangeEvidence['dried']
  readonly watchedFromBelowC?: number
  readonly isAnother?: boolean
  readonly isDamp?: boolean
  readonly told: string
}
const CHECKED: RangeEvidence['thermometer'] = {
  state: 'checked in place at this rate',
  errorC: 0.2,
  extrapolated: false,
}
const STORIES: readonly Story[] = [
  {
    cause: 'nothing: it is as it should be',
    least: 1,
    told: 'A pure tube, slowly, on a checked thermometer.',
  },
  {
    cause: 'it was heated too fast',
    least: 1,
    rateCPerMin: 8,
    told: 'The sample was pure: at 8 °C/min both ends ran high and apart.',
  },
  {
    cause: 'something else is in it',
    least: 1,
    impurity: [0.04, 0.07],
    told: 'Some mol % of something else: low, and wide.',
  },
  {
    cause: 'it is another compound',
    least: 1,
    isAnother: true,
    told: 'Another compound, and a pure one: sharp, in the wrong place.',
  },
  {
    cause: 'the thermometer',
    least: 2,
    readsLowC: 3,
    thermometer: { state: 'never checked', errorC: null, extrapolated: false },
    told: 'The sample was pure: the thermometer read degrees low, and nobody had checked it.',
  },
  {
    cause: 'solvent left in it',
    least: 2,
    isDamp: true,
    impurity: [0.03, 0.05],
    dried: { how: 'not', minutes: null, solventBoilsC: 78 },
    told: 'It had not been dried: solvent melts with it like any impurity.',
  },
  {
    cause: 'the tube was too full or too coarse',
    least: 2,
    rateCPerMin: 2,
    fillMm: 8,
    grain: 'coarse',
    told: 'The sample was pure: a column of 8 mm of coarse grains takes its minutes to melt through.',
  },
  {
    cause: 'watching began too late',
    least: 3,
    impurity: [0.05, 0.08],
    watchedFromBelowC: 0.5,
    told: 'It had begun before anybody looked: the onset is where the looking began.',
  },
]
/** A liquid that mixes with the melt, for what is still damp; made up. */
const SOLVENT_STAND_IN: Fusion = { meltingPointC: -90, enthalpyKJPerMol: 5, molarMassGPerMol: 46 }
const ROOM_BELOW_C = 30
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
  readonly told: string
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
    told: story.told,
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

/** One tube in a simulated block of no error but the one it is given, at a rate, as the eye would mark it, °C. */
function meltOnce(
  sample: SimulatedSample,
  {
    fillMm,
    grain,
    rateCPerMin,
    probeOffC,
    seed,
  }: {
    readonly fillMm: number
    readonly grain: Grain
    readonly rateCPerMin: number
    readonly probeOffC: number
    readonly seed: number
  },
  rules: Pick<HouseWords, 'onsetRule'>,
): MeltingRange {
  const character = {
    ...PROGRAMMABLE_BLOCK,
    probeOffsetC: probeOffC,
    rates: [...PROGRAMMABLE_BLOCK.rates, rateCPerMin],
  }
  const top = sample.a.meltingPointC
  const startC = Math.max(character.ambientC + 1, top - ROOM_BELOW_C)
  const tube = createTube(sample, { fillMm, grain }, { sampleLagMin: character.sampleLagMin, seed })
  let { state } = advance(
    createBlock(character, seed, {
      blockC: startC,
      tubes: [{ ...tube, shellC: tube.lagS.map(() => startC) }],
    }),
    [{ kind: 'ramp', toC: top + 40, rateCPerMin }],
    0,
  )
  let truth: readonly TubeTruth[] = []
  const mostS = Math.ceil((60 * (ROOM_BELOW_C + 40)) / rateCPerMin)
  for (let second = 0; second < mostS && !truth[0]?.allC; second += 30) {
    const next = advance(state, [], 30)
    state = next.state
    for (const reading of next.readings) truth = truthAfter(truth, reading, rules.onsetRule)
  }
  const [first] = truth
  return { onsetC: first?.firstC ?? top, clearC: first?.allC ?? top }
}

/** What the learner made of it. */
export interface VerdictSaid {
  readonly verdict: Verdict
  readonly cause: Cause
  readonly next: NextStep
}

export function scoreVerdict({ judgement, cause, told }: VerdictExercise, said: VerdictSaid): Score {
  const first = judgement.actions[0]
  const compared: readonly Compared[] = [
    {
      what: 'verdict',
      you: said.verdict,
      was: judgement.verdict,
      isRight: said.verdict === judgement.verdict,
    },
    { what: 'cause', you: said.cause, was: cause, isRight: said.cause === cause },
    {
      what: 'next',
      you: said.next,
      was: first?.code ?? 'sign',
      isRight: said.next === (first?.code ?? 'sign'),
    },
  ]
  const right = compared.filter(({ isRight }) => isRight).length
  const missed = compared.find(({ isRight }) => !isRight)
  return {
    isGood: right === compared.length,
    share: right / compared.length,
    compared,
    sentence:
      missed === undefined ? told : missed.what === 'next' ? `${told} ${first?.sentence ?? ''}`.trim() : told,
  }
}
