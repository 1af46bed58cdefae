import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import { BASE, BENZOIN, IN_PLACE, range, WET } from '../../golden/reading'
import { evidenceOf, rulesOf, SITUATIONS } from '../../golden/situations'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { fold } from '../notebook/fold'
import { judgementOf, judgementOfUnknown } from '../notebook/views/judgement'
import { prepsOf } from '../notebook/views/prep'
import { unknownsOf } from '../notebook/views/unknowns'
import type { RangeEvidence } from './evidence'
import { judgeRange } from './judgeRange'
import type { Judgement, Cause } from './judgement'
import '../../golden/older'

/** Everything that is said of a reading, on one screen. */
function textsOfJudgement({ verdict, findings, budget, actions }: Judgement): string {
  return [
    `Verdict: ${verdict}.`,
    ...findings.map(({ headline, sentence }) => `${headline}: ${sentence}.`),
    ...budget.map(({ owner, sentence }) => `${owner}: ${sentence}.`),
    ...actions.map(({ code, sentence }) => `Step ${code}: ${sentence}`),
  ].join('\n')
}

/** Two things that may not stand on one screen. */
const MAY_NOT_STAND_TOGETHER: readonly (readonly [RegExp, RegExp])[] = [
  [/sharp by house rules/, /to judge its width|broad by house rules|between sharp/],
  [/consistent with pure/, /Step recrystallize/],
  [/consistent with pure/, /Step find out what it is/],
  [/not this compound/, /Step sign/],
  [/not this compound/, /mol %/],
  [/no single one of them is judged/, /Verdict: (?!cannot tell|not this|impure)/],
  [/to judge its width/, /Step recrystallize/],
  [/may explain all of it; an impurity/, /by which the clear point lies high/],
  [/may explain all of it; fast/, /by which the onset lies low/],
  [/shows it dry|dried to constant mass/, /Step dry and repeat/],
  [/solvent left lowers and widens/, /Step (?!dry|sign).*\n.*Step dry/],
  [/one compound, as ideal/, /two compounds/],
  [/nothing was gained/, /Step recrystallize: /],
  [/checked at this rate/, /never checked/],
  [/not measured,/, /checked at this rate, and the correction/],
  [/the others may explain all of it/, /nothing else can explain|nobody but the sample/],
  [/nothing: the authentic sample/, /± [\d.]+ at both ends alike/],
  [/Step hot filter/, /Verdict: consistent/],
]

const number = (text: string, pattern: RegExp) => {
  const found = pattern.exec(text)?.[1]
  return found === undefined ? null : Number(found)
}

/** Every number that is said is the one of the result. */
function holds(judged: Judgement, of: string) {
  const text = textsOfJudgement(judged)
  for (const [one, other] of MAY_NOT_STAND_TOGETHER)
    expect({ of, one, other, both: one.test(text) && other.test(text) }).toEqual({
      of,
      one,
      other,
      both: false,
    })
  const { measured, budget, impurity } = judged
  if (!measured) return
  const row = (owner: Cause) => budget.find((one) => one.owner === owner)
  const toTenth = (value: number) => Number(value.toFixed(1))
  const same = (what: string, spoken: number | null, is: number) => {
    if (spoken !== null) expect({ of, what, spoken }).toEqual({ of, what, spoken: toTenth(is) })
  }
  same('width', number(text, /([\d.]+) °C wide/), measured.widthC)
  const far = measured.distanceC
    ? Math.max(Math.abs(measured.distanceC.onset), Math.abs(measured.distanceC.clear))
    : 0
  same('distance', number(text, /^([\d.]+) °C (?:below|above) (?:literature|authentic):/m), far)
  same('inside', number(text, /the (?:onset|clear point) reads ([\d.]+)/), far)
  same(
    'thermometer',
    number(row('thermometer')?.sentence ?? '', /± ([\d.]+)/),
    row('thermometer')?.endC.onset.mostC ?? 0,
  )
  same('reading', number(row('reading')?.sentence ?? '', /± ([\d.]+)/), row('reading')?.endC.onset.mostC ?? 0)
  same('chance', number(text, /two readings differ by up to ([\d.]+)/), row('reading')?.endC.onset.mostC ?? 0)
  same(
    'heating',
    number(row('heating')?.sentence ?? '', /read ([\d.]+)/),
    row('heating')?.endC.onset.leastC ?? 0,
  )
  same(
    'melting',
    number(text, /take ([\d.]+)(?: to [\d.]+)? of it/),
    row('melting time')?.endC.width.leastC ?? 0,
  )
  same(
    'sample',
    number(row('sample')?.sentence ?? '', /([\d.]+) of the width,? (?:and|\d)|can own ([\d.]+) of the width/),
    row('sample')?.endC.width.leastC ?? 0,
  )
  // What is said of the sample is its own for certain, unless something else than the range says it.
  const codes = judged.findings.map(({ code }) => code)
  const isOutright = (
    ['mixed-same', 'mixed-different', 'residual-solid', 'plate-differs', 'no-better-than-crude'] as const
  ).some((code) => codes.includes(code))
  if ((judged.verdict === 'impure' || judged.verdict === 'not this compound') && !isOutright)
    expect({ of, sentence: row('sample')?.sentence }).toEqual({
      of,
      sentence: expect.stringContaining('nothing else can explain') as unknown,
    })
  if (impurity) expect(impurity[0]).toBeLessThanOrEqual(impurity[1])
  expect(judged.findings.some(({ code }) => code === 'impurity')).toBe(impurity !== null)
}

describe('one voice', () => {
  test('in the situations on record', () => {
    for (const one of SITUATIONS) holds(judgeRange(evidenceOf(one), rulesOf(one)), one.id)
  })
  test('in readings changed one thing at a time', () => {
    const changes: Partial<RangeEvidence>[] = [
      {},
      { reading: range(84.6, 91.2) },
      { reading: range(92.2, 93) },
      { reading: range(91.7, 92.9) },
      { reading: range(97.6, 98.6) },
      { reading: range(92, 102), rateCPerMin: 10 },
      { dried: WET },
      { thermometer: IN_PLACE },
      { thermometer: { ...IN_PLACE, extrapolated: true } },
      { impurity: BENZOIN },
      { authentic: range(94.3, 95.4) },
      { authentic: range(90.3, 91.4) },
      { crude: range(84.6, 91.2) },
      { mixed: { verdict: 'same', because: 'one compound, as ideal compounds behave' } },
      { mixed: { verdict: 'different', because: 'two compounds' } },
      { repeats: [{ ...range(91, 92), rateCPerMin: 1 }] },
      { rateMeasured: false },
      { watchedFromBelowOnsetC: 2 },
      { literature: null, fusion: null },
    ]
    for (const first of changes)
      for (const second of changes) {
        const evidence = { ...BASE, ...first, ...second }
        holds(judgeRange(evidence, DEFAULT_HOUSE_RULES), JSON.stringify({ ...first, ...second }))
      }
  })
  test('in the golden notebook, of every prep and every unknown', () => {
    const view = fold(golden.entries)
    const judged = [
      ...prepsOf(view).map(({ id }) => judgementOf(view, id)),
      ...unknownsOf(view).flatMap((one) => judgementOfUnknown(view, one) ?? []),
    ].flatMap((result) =>
      result.ok ? ['judgement' in result.value ? result.value.judgement : result.value] : [],
    )
    expect(judged.length).toBeGreaterThan(1)
    for (const one of judged) holds(one, 'golden')
  })
})
