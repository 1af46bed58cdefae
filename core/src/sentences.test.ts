import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { golden, expectedView } from '../golden/contract'
import { runs } from '../golden/depth'
import { LEVELS, rules, SEEDS } from '../golden/learners'
import { BATCHES_G, draftFor, KNOWN_PAIRS, planOrRefusal } from '../golden/plans'
import { notPlain } from '../golden/plainWords'
import { referenceCompound } from '../golden/reference'
import { evidenceOf, rulesOf, SITUATIONS } from '../golden/situations'
import { mixedVerdict } from './identity/mixedVerdict'
import { judgeRange } from './judging/judgeRange'
import type { RangeEvidence } from './judging/evidence'
import { judgeNoRange, NO_RANGE_REASONS } from './judging/noRange'
import { ABOUT } from './practice/exercises'
import { weighExercise } from './practice/balance/make'
import { scoreWeighing } from './practice/balance/score'
import { scoreMarks } from './practice/lens/marks'
import { MISTAKES } from './practice/wrong/mistakes/mistakes'
import { EMERGENCIES } from './procedures/emergencies'
import { RESCUES } from './procedures/rescues'
import { TERMS } from './terms'
import type { KnownEntry } from './notebook/entry'
import { sentenceOf } from './notebook/sentence'

/** Every text of a value, however deep. */
function textsIn(value: unknown): readonly string[] {
  if (typeof value === 'string') return [value]
  if (value === null || typeof value !== 'object') return []
  return Object.values(value).flatMap(textsIn)
}
/** What is no sentence: an id, a date, a formula, a structure. */
const isRead = (text: string) => / /.test(text) && /[a-z]{2} ?[a-z]/i.test(text)
const unplain = (texts: Iterable<string>): readonly string[] =>
  [...new Set(texts)].filter(isRead).flatMap((text) => notPlain(text))

test('what the entries of the golden ledger say, and what comes of them', () => {
  const sentences = golden.entries.map((entry) => sentenceOf(entry as KnownEntry))
  expect(sentences.length).toBeGreaterThan(250)
  const bodies = golden.entries.map(({ body }) => body)
  expect(unplain([...sentences, ...textsIn(bodies), ...textsIn(expectedView)])).toEqual([])
})

test('every step, caution and waste of every pair on the shelf, at every scale', () => {
  const plans = KNOWN_PAIRS.flatMap(([compound, solvent]) =>
    BATCHES_G.flatMap((crudeG) => {
      const of = referenceCompound(compound)
      const plan = planOrRefusal(of, draftFor(of, solvent), crudeG)
      return plan ? [plan] : []
    }),
  )
  expect(plans.length).toBeGreaterThan(100)
  expect(
    unplain(
      plans.flatMap(({ planned, steps, waste }) => [
        ...steps.flatMap(({ text, caution, stop, meanwhile }) => textsIn([text, caution, stop, meanwhile])),
        ...waste.split('\n'),
        ...planned.remarks,
      ]),
    ),
  ).toEqual([])
})

const textsOfJudgement = (evidence: RangeEvidence, words: Parameters<typeof judgeRange>[1]) => {
  const { findings, budget, actions, notChecked } = judgeRange(evidence, words)
  return textsIn([
    findings.map(({ headline, sentence }) => [headline, sentence]),
    budget.map(({ sentence }) => sentence),
    actions.map(({ sentence }) => sentence),
    notChecked,
  ])
}

test('what the judge says of the situations on record, changed in any way', () => {
  const change = fc.record(
    {
      rateCPerMin: fc.constantFrom(0.5, 1, 2, 5, 10),
      rateMeasured: fc.boolean(),
      fillMm: fc.constantFrom(1, 2, 3, 8),
      grain: fc.constantFrom('fine' as const, 'coarse' as const),
      watchedFromBelowOnsetC: fc.constantFrom(null, 0, 2, 20),
      crude: fc.constantFrom(null, { onsetC: 70, clearC: 88 }, { onsetC: 93, clearC: 93.5 }),
      dried: fc.constantFrom(
        null,
        { how: 'not' as const, minutes: null, solventBoilsC: 78 },
        { how: 'minutes of air' as const, minutes: 20, solventBoilsC: 100 },
        { how: 'constant mass' as const, minutes: null, solventBoilsC: 78 },
      ),
    },
    { requiredKeys: [] },
  )
  fc.assert(
    fc.property(fc.constantFrom(...SITUATIONS), change, (one, changed) => {
      expect(unplain(textsOfJudgement({ ...evidenceOf(one), ...changed }, rulesOf(one)))).toEqual([])
    }),
    { numRuns: runs(1000) },
  )
})

test('what a tube without a range is told', () => {
  const messages = NO_RANGE_REASONS.flatMap((reason) =>
    [60, 80, 97, 120].flatMap((atC) =>
      [true, false, null].flatMap((isShownDry) =>
        [{ lowC: 94, highC: 96 }, null].flatMap((literature) =>
          (['melts', 'sublimes', 'decomposes'] as const).flatMap((behaviour) => {
            const one = { reason, startC: atC, stopC: atC, literature, behaviour, isShownDry }
            const { findings, actions } = judgeNoRange(one, rules)
            return textsIn([findings.map(({ headline, sentence }) => [headline, sentence]), actions])
          }),
        ),
      ),
    ),
  )
  expect(unplain(messages)).toEqual([])
})

test('what a mixed melt is told, wherever its three ranges lie', () => {
  const range = fc
    .tuple(fc.double({ min: 60, max: 100, noNaN: true }), fc.double({ min: 0.2, max: 9, noNaN: true }))
    .map(([onsetC, widthC]) => ({ onsetC, clearC: onsetC + widthC }))
  fc.assert(
    fc.property(range, range, range, fc.boolean(), (unknown, reference, mixture, sameRun) => {
      expect(unplain(textsIn(mixedVerdict({ unknown, reference, mixture, sameRun }, rules)))).toEqual([])
    }),
    { numRuns: runs(1000) },
  )
})

test('what practice says, and what the cards and the glossary say', () => {
  const weighed = SEEDS.flatMap((seed) =>
    LEVELS.flatMap((level) => {
      const exercise = weighExercise(seed, level)
      const at = (offG: number, digits = 3) => (exercise.crystalsG + offG).toFixed(digits)
      return [
        at(0),
        at(0, 2),
        at(0, 5),
        at(exercise.boat1G),
        at(exercise.boat2G),
        at(0.03),
        at(2),
        '1,2',
        '',
      ].flatMap((message) => [true, false].map((moving) => scoreWeighing(exercise, message, moving).sentence))
    }),
  )
  const offs = [null, -8, -2, -0.4, 0, 0.4, 2, 8]
  const truth = { firstC: 92, allC: 94, shrankC: 90.5, sheenC: 91 } as never
  const marked = offs.flatMap((first) =>
    offs.flatMap((all) =>
      scoreMarks(
        [{ firstC: first === null ? null : 92 + first, allC: all === null ? null : 94 + all }],
        [truth],
        rules,
        1,
      ).tubes.map(({ sentence }) => sentence),
    ),
  )
  expect(
    unplain([...weighed, ...marked, ...textsIn([ABOUT, MISTAKES, EMERGENCIES, RESCUES, TERMS])]),
  ).toEqual([])
})
