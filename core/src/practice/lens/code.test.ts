import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { advance } from '../../simulator/block'
import { referenceCompound } from '../../../golden/reference'
import { REFERENCE_COMPOUNDS } from '../../reference/reference'
import { practiceFileText, readPracticeFile } from '../fileSchemas'
import {
  codeOf,
  MADE_LIMITS,
  MADE_ON,
  MADE_RATES,
  type MadeExercise,
  madeFromCode,
  meltOfMade,
  practicalTube,
  type PracticalResults,
  resultsTable,
  startMelt,
} from '../index'

const shelf = REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id))
const BENZIL: MadeExercise = {
  compound: 'benzil',
  impurity: 'benzoin',
  impurityPercent: 8,
  fillMm: 3,
  grain: 'coarse',
  instrument: 'programmable block',
  rateCPerMin: 2,
  minutes: 5,
  seed: 1234,
}
const sentenceOf = (code: string) => {
  const made = madeFromCode(code, shelf)
  return made.ok ? 'read' : made.problem.sentence
}

describe('a code', () => {
  test('whatever is made comes back from its code, on any of the compounds that ship', () => {
    const ids = shelf.map(({ id }) => id)
    fc.assert(
      fc.property(
        fc.record({
          compound: fc.constantFrom(...ids),
          other: fc.option(fc.constantFrom(...ids), { nil: null }),
          impurityPercent: fc.integer({ min: 0, max: MADE_LIMITS.impurityPercent }),
          fillMm: fc.integer({ min: 1, max: MADE_LIMITS.fillMm }),
          grain: fc.constantFrom('fine' as const, 'coarse' as const),
          instrument: fc.constantFrom(...MADE_ON),
          rateCPerMin: fc.constantFrom(...MADE_RATES),
          minutes: fc.integer({ min: 0, max: MADE_LIMITS.minutes }),
          seed: fc.integer({ min: 0, max: MADE_LIMITS.seed }),
        }),
        ({ other, ...rest }) => {
          const made: MadeExercise = { ...rest, impurity: other }
          const code = codeOf(made)
          expect(code).toMatch(/^([0-9A-HJKMNP-TV-Z]{5}-){3}[0-9A-HJKMNP-TV-Z]{5}$/)
          expect(madeFromCode(code, shelf)).toEqual({ ok: true, value: made })
        },
      ),
    )
  })
  test('typed small, with spaces, and with letters for figures it is the same', () => {
    const code = codeOf(BENZIL)
    const sloppy = ` ${code.toLowerCase().replaceAll('-', ' ').replaceAll('0', 'o').replaceAll('1', 'l')} `
    expect(madeFromCode(sloppy, shelf)).toEqual({ ok: true, value: BENZIL })
  })
  test('any one letter changed is found; short, long and foreign ones get a sentence', () => {
    const code = codeOf(BENZIL)
    const letters = '0123456789ABCDEFGHJKMNPQRSTVWXYZ'
    for (let at = 0; at < code.length; at++) {
      if (code[at] === '-') continue
      const other = letters[(letters.indexOf(code[at] ?? '') + 7) % 32] ?? ''
      expect(sentenceOf(code.slice(0, at) + other + code.slice(at + 1))).toContain('wrong or missing')
    }
    expect(sentenceOf('ABC')).toContain('this has 3')
    expect(sentenceOf(`${code}X`)).toContain('this has 21')
    expect(sentenceOf(code.replace(code[0] ?? '', 'U'))).toContain('is not used in codes')
    expect(sentenceOf('')).toContain('twenty letters')
  })
  test('a compound this shelf has not is said so', () => {
    const made = madeFromCode(
      codeOf(BENZIL),
      shelf.filter(({ id }) => id !== 'benzoin'),
    )
    expect(made.ok ? '' : made.problem.sentence).toContain('not on this shelf')
    expect(() => meltOfMade(BENZIL, [])).toThrow('not on this shelf')
  })
  test('what no code can hold is refused', () => {
    for (const wrong of [
      { fillMm: 0 },
      { fillMm: 40 },
      { impurityPercent: 51 },
      { minutes: 1.5 },
      { seed: -1 },
      { seed: NaN },
    ])
      expect(() => codeOf({ ...BENZIL, ...wrong })).toThrow()
  })
  test('its tube is that of its code: the same seed, the same run', () => {
    const run = () => advance(startMelt(meltOfMade(BENZIL, shelf)), [], 120).readings.at(-1)
    expect(run()).toEqual(run())
    const melt = meltOfMade({ ...BENZIL, instrument: 'hot stage' }, shelf)
    expect(melt.tubes[0]).toMatchObject({ slot: 1, was: 'benzil with 8 mol % of benzoin' })
    expect(melt.startC).toBeLessThan(melt.tubes[0]?.sample.a.meltingPointC ?? 0)
  })
})

const RESULTS: PracticalResults = {
  practical: 'p',
  title: 'Week 3',
  learner: 'bench 7',
  handedInAtMs: Date.UTC(2026, 10, 24, 14, 0),
  tubes: [practicalTube({ firstErrorC: -1.2, allErrorC: null, tookS: 61.4 }, 93.4, 94.6), null],
}

describe('files', () => {
  const practical = { id: 'p', title: 'Week 3', tubes: [codeOf(BENZIL)] }
  test('a practical and what is handed in go out and come back', () => {
    for (const file of [
      { kind: 'practical', practical },
      { kind: 'results', results: RESULTS },
    ] as const)
      expect(readPracticeFile('week-3.json', `\uFEFF${practiceFileText(file)}`)).toEqual({
        ok: true,
        value: file,
      })
  })
  test('damaged, foreign, newer and huge ones get a sentence with their name', () => {
    const text = practiceFileText({ kind: 'practical', practical })
    const read = (what: string) => {
      const held = readPracticeFile('x.json', what)
      return held.ok ? 'read' : held.problem.sentence
    }
    expect(read(text.slice(0, 60))).toContain('“x.json” cannot be read')
    expect(read('{"format":"something else"}')).toContain('not a practice file')
    expect(read('[]')).toContain('not a practice file')
    expect(read(text.replace('"version": 1', '"version": 4'))).toContain(
      'newer version (4; this one reads up to 1)',
    )
    expect(read(text.replace('"tubes"', '"pipes"'))).toContain('is damaged')
    expect(read(text.replace('"kind": "practical"', '"kind": "other"'))).toContain(
      'its content is not described',
    )
    expect(read(' '.repeat(200_001))).toContain('too large')
  })
  test('the sheet has a row a tube, units in its headings, and nothing where nothing was marked', () => {
    const [head, first, second] = resultsTable([RESULTS])
    expect(head?.filter((cell) => cell.includes('(°C)'))).toHaveLength(6)
    expect(first).toEqual([
      'Week 3',
      'bench 7',
      '2026-11-24T14:00:00',
      '1',
      '92.2',
      '93.4',
      '-1.2',
      '',
      '94.6',
      '',
      '61',
    ])
    expect(second?.slice(3)).toEqual(['2', '', '', '', '', '', '', ''])
  })
})
