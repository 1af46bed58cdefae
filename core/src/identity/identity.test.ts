import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { moleFractionFromMassFraction } from '../melting/eutectic'
import { meltingRange } from '../melting/meltingRange'
import { type Candidate, type MixtureRun, RANK_OPTIONS } from './likelihood'
import { mixedVerdict } from './mixedVerdict'
import { depressionDoubt, nextMixture, outcomeWords, whyNoMixture } from './nextMixture'
import { rankCandidates } from './rankCandidates'
import { reliabilityOf, type ReliabilityInput } from './reliability'
import { whyHere } from './whyHere'
import { logNormalCdf } from '../math/normal'

interface Vector {
  options: typeof RANK_OPTIONS
  candidates: Candidate[]
  cases: {
    unknown: { onsetC: number; clearC: number }
    mixtures: MixtureRun[]
    posterior: [string | null, number][]
  }[]
}
const vector = JSON.parse(
  readFileSync(new URL('../../vectors/identity.json', import.meta.url), 'utf8'),
) as Vector
const { candidates } = vector
const UNKNOWN = { onsetC: 93.6, clearC: 94.8 }
const named = (id: string) => candidates.find((one) => one.id === id) as Candidate
const naphthol = named('1-naphthol')
const nitrobenzoate = named('methyl 4-nitrobenzoate')

describe('the ranking', () => {
  test('its options are those it was checked with', () => {
    expect(RANK_OPTIONS).toEqual(vector.options)
  })
  test.each(vector.cases.map((one, i) => [i, one] as const))(
    'case %i',
    (_, { unknown, mixtures, posterior }) => {
      const ranked = rankCandidates({ unknown, candidates, mixtures })
      expect(ranked.map(({ id }) => id)).toEqual(posterior.map(([id]) => id))
      ranked.forEach(({ probability }, i) => {
        const expected = posterior[i]?.[1] ?? NaN
        expect(Math.abs(probability - expected) / expected).toBeLessThan(1e-6)
      })
    },
  )
  test('a lab that hands out only what it lists says so: then nothing is unlisted', () => {
    const ranked = rankCandidates({
      unknown: UNKNOWN,
      candidates,
      mixtures: [],
      options: { ...RANK_OPTIONS, unlistedPrior: 0 },
    })
    expect(ranked.at(-1)).toEqual({ id: null, probability: 0 })
    expect(ranked.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 12)
  })
  test('probabilities sum to 1 whatever the ranges', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 20, max: 300, noNaN: true }),
        fc.double({ min: 0, max: 40, noNaN: true }),
        fc.double({ min: 20, max: 300, noNaN: true }),
        (clearC, width, mixedC) => {
          const ranked = rankCandidates({
            unknown: { onsetC: clearC - width, clearC },
            candidates,
            mixtures: [{ reference: naphthol, onsetC: mixedC - 5, clearC: mixedC }],
          })
          const total = ranked.reduce((sum, { probability }) => sum + probability, 0)
          expect(total).toBeCloseTo(1, 9)
          for (const { probability } of ranked) expect(probability).toBeGreaterThanOrEqual(0)
        },
      ),
    )
  })
  test('the order of the list does not matter', () => {
    const there = rankCandidates({ unknown: UNKNOWN, candidates, mixtures: [] })
    const back = rankCandidates({ unknown: UNKNOWN, candidates: [...candidates].reverse(), mixtures: [] })
    for (const { id, probability } of there)
      expect(back.find((one) => one.id === id)?.probability).toBeCloseTo(probability, 12)
  })
  test('an undepressed mixture speaks for its reference and a depressed one against it', () => {
    const chance = (clearC: number) =>
      rankCandidates({
        unknown: UNKNOWN,
        candidates,
        mixtures: [{ reference: naphthol, onsetC: clearC - 2, clearC }],
      }).find(({ id }) => id === naphthol.id)?.probability ?? NaN
    const before =
      rankCandidates({ unknown: UNKNOWN, candidates, mixtures: [] }).find(({ id }) => id === naphthol.id)
        ?.probability ?? NaN
    expect(chance(95)).toBeGreaterThan(before)
    expect(chance(72)).toBeLessThan(before / 5)
  })
  test('where none fits, it is not on the list', () => {
    const [...ranked] = rankCandidates({ unknown: { onsetC: 150, clearC: 151 }, candidates, mixtures: [] })
    expect(ranked.find(({ id }) => id === null)?.probability).toBeGreaterThan(0.99)
  })
  test('a reference that is no candidate counts, and an empty list leaves only the unlisted', () => {
    const other: Candidate = {
      ...naphthol,
      id: 'benzil',
      fusion: { ...naphthol.fusion, molarMassGPerMol: 210 },
    }
    const ranked = rankCandidates({
      unknown: UNKNOWN,
      candidates,
      mixtures: [{ reference: other, onsetC: 60, clearC: 75 }],
    })
    expect(ranked).toHaveLength(candidates.length + 1)
    expect(rankCandidates({ unknown: UNKNOWN, candidates: [], mixtures: [] })).toEqual([
      { id: null, probability: 1 },
    ])
  })
  test.each([
    [{ unknown: { onsetC: 95, clearC: 94 } }, 'were the two marks swapped'],
    [{ candidates: [naphthol, naphthol] }, 'is on the list twice'],
    [{ candidates: [{ ...naphthol, meltLowC: 99 }] }, 'runs backwards'],
    [{ options: { sigmaC: 0 } }, 'must be above zero'],
    [{ options: { noDepressionChance: 0.7, mishapChance: 0.6 } }, 'exceed 1'],
    [
      { mixtures: [{ reference: naphthol, onsetC: 80, clearC: 90, massFractionUnknown: 1.2 }] },
      'between 0 and 1',
    ],
  ])('%j is refused with a sentence', (change, message) => {
    expect(() => rankCandidates({ unknown: UNKNOWN, candidates, mixtures: [], ...change })).toThrow(message)
  })
})

describe('the next mixture', () => {
  const next = (references: readonly Candidate[], mixtures: readonly MixtureRun[] = []) =>
    nextMixture({ unknown: UNKNOWN, candidates, mixtures, references })

  test('best first; each tells no more than there is to learn', () => {
    const list = next(candidates)
    const bits = list.map((one) => one.bits)
    expect(bits).toEqual([...bits].sort((p, q) => q - p))
    const entropy = rankCandidates({ unknown: UNKNOWN, candidates, mixtures: [] }).reduce(
      (sum, { probability: p }) => sum - p * Math.log2(p),
      0,
    )
    for (const one of bits) expect(one).toBeLessThanOrEqual(entropy)
    expect(['1-naphthol', 'methyl 4-nitrobenzoate']).toContain(list[0]?.reference)
  })
  test('says what each outcome looks like: unchanged if the same, else as the phase relation has it', () => {
    const { outcomes } = next([naphthol])[0] ?? { outcomes: [] }
    expect(outcomes.map(({ id }) => id)).toEqual([...candidates.map(({ id }) => id), null])
    const same = outcomes.find(({ id }) => id === naphthol.id)
    expect(same?.clearC).toBeCloseTo((94.8 + 96) / 2, 9)
    const other = outcomes.find(({ id }) => id === nitrobenzoate.id)
    const x = moleFractionFromMassFraction(0.5, 181.15, 144.17)
    expect(other).toMatchObject(meltingRange(nitrobenzoate.fusion, naphthol.fusion, x))
  })
  test('parts taken by eye leave the clear point less sure, and that of one compound as it is', () => {
    const { outcomes } = next([naphthol])[0] ?? { outcomes: [] }
    for (const {
      id,
      clearC,
      clearByEyeC: [low, high],
    } of outcomes) {
      expect(low).toBeLessThanOrEqual(clearC)
      expect(high).toBeGreaterThanOrEqual(clearC)
      if (id === naphthol.id) expect(high).toBe(low)
      else expect(high - low).toBeGreaterThan(2)
    }
  })
  test('each outcome in words, and a warning where one would hardly be seen', () => {
    const [first] = next([naphthol])
    if (!first) throw new Error('none')
    const same = first.outcomes.find(({ id }) => id === naphthol.id)
    const other = first.outcomes.find(({ id }) => id === nitrobenzoate.id)
    if (!same || !other) throw new Error('none')
    expect(outcomeWords(same, first.reference, DEFAULT_HOUSE_RULES)).toBe('same compound: range unchanged')
    expect(outcomeWords(other, first.reference, DEFAULT_HOUSE_RULES)).toBe('lower and broader')
    const sharp = { ...other, clearC: other.onsetC + 1 }
    expect(outcomeWords(sharp, first.reference, DEFAULT_HOUSE_RULES)).toBe('lower, but sharp')
    expect(depressionDoubt(first)).toBeNull()
    const near = { ...first, outcomes: [same, { ...other, onsetC: same.onsetC - 2 }] }
    expect(depressionDoubt(near)).toContain('easily missed')
  })
  test('a reference already melted tells less a second time', () => {
    const bitsOf = (mixtures: readonly MixtureRun[]) =>
      next([naphthol], mixtures).find(({ reference }) => reference === naphthol.id)?.bits ?? 0
    expect(bitsOf([{ reference: naphthol, onsetC: 58, clearC: 76 }])).toBeLessThan(bitsOf([]))
  })
  test('where none would tell, there is a reason', () => {
    const input = { unknown: UNKNOWN, candidates, mixtures: [] }
    expect(whyNoMixture({ ...input, references: candidates })).toBeNull()
    expect(whyNoMixture({ ...input, references: [] })).toContain('I have an authentic sample')
    const unchanged = { reference: naphthol, onsetC: 94, clearC: 95.2 }
    const settled = {
      unknown: UNKNOWN,
      candidates: [naphthol],
      mixtures: [unchanged, unchanged],
      references: [naphthol],
    }
    expect(nextMixture(settled)).toEqual([])
    expect(whyNoMixture(settled)).toContain('already point to one answer')
  })
  test('a compound whose mixture hardly melts lower tells next to nothing', () => {
    // Twice the wished enthalpies: the liquidus is so flat that half of the other lowers it by little.
    const flat = (one: Candidate): Candidate => ({
      ...one,
      fusion: { ...one.fusion, enthalpyKJPerMol: 2000 },
    })
    const stiff = candidates.map(flat)
    const bits = nextMixture({ unknown: UNKNOWN, candidates: stiff, mixtures: [], references: stiff })[0]
      ?.bits
    expect(bits ?? 0).toBeLessThan(next(candidates)[0]?.bits ?? 0)
  })
})

describe('the mixed melt', () => {
  const verdict = (
    mixture: [number, number],
    unknown: [number, number] = [93.6, 94.8],
    beside: Partial<Parameters<typeof mixedVerdict>[0]> = {},
  ) =>
    mixedVerdict(
      {
        unknown: { onsetC: unknown[0], clearC: unknown[1] },
        reference: { onsetC: 94.6, clearC: 95.6 },
        mixture: { onsetC: mixture[0], clearC: mixture[1] },
        sameRun: true,
        ...beside,
      },
      DEFAULT_HOUSE_RULES,
    )
  test.each([
    ['unchanged', [93.5, 95.2], 'same', 'one compound'],
    ['lower and broader', [58, 76], 'different', 'two compounds'],
    ['far below both, though as sharp', [81, 82.4], 'different', 'below both its parts'],
    ['a little lower at both ends, as sharp', [91.9, 93.2], 'repeat', 'near their eutectic'],
    ['lower at the onset alone', [91.5, 94.6], 'repeat', 'Grind it again'],
    ['broader but hardly lower', [93.3, 96.4], 'repeat', 'Grind it again'],
    ['above both', [97, 98.2], 'repeat', 'tubes swapped'],
  ] as const)('%s', (_, mixture, words, because) => {
    const found = verdict([...mixture])
    expect(found.verdict).toBe(words)
    expect(found.because).toContain(because)
  })
  test('an impure unknown rises with its own authentic, and that is said', () => {
    const found = verdict([92.2, 94.4], [90, 92.6])
    expect(found.verdict).toBe('same')
    expect(found.because).toContain('begins 2.2 °C higher')
  })
  test('beside ranges of another run it is at most “repeat”', () => {
    for (const mixture of [
      [93.5, 95.2],
      [58, 76],
    ] as [number, number][]) {
      const found = verdict(mixture, undefined, { sameRun: false })
      expect(found.verdict).toBe('repeat')
      expect(found.because).toContain('another run')
    }
  })
  test('two impure samples mixed say little', () => {
    const found = verdict([88, 93], [88, 93], { reference: { onsetC: 89, clearC: 94 } })
    expect(found.verdict).toBe('repeat')
    expect(found.because).toContain('5.0 °C and 5.0 °C')
  })
  test('an authentic sample that is itself impure does not make the same compound another', () => {
    const wide = { reference: { onsetC: 85, clearC: 91 } }
    const found = verdict([85.4, 93.2], [94.2, 95.2], wide)
    expect(found.verdict).toBe('repeat')
    expect(found.because).toContain('The authentic sample is itself 6.0 °C wide, from 85.0 °C')
    // Below what that impurity does by itself it is another compound still.
    expect(verdict([70, 84], [94.2, 95.2], wide).verdict).toBe('different')
  })
  test('ground 85 to 15 it is at most “repeat”, with the parts named', () => {
    const found = verdict([93.5, 95.2], undefined, { partOfUnknown: 0.85 })
    expect(found).toEqual({ verdict: 'repeat', because: expect.stringContaining('It was ground 85 to 15') })
    expect(verdict([58, 76], undefined, { partOfUnknown: 0.85 }).verdict).toBe('different')
    expect(verdict([93.5, 95.2], undefined, { partOfUnknown: 0.6 }).verdict).toBe('same')
  })
  test('“the same” names its exception', () => {
    expect(verdict([93.5, 95.2]).because).toContain('mirror-image forms and molecular compounds can differ')
  })
  test('two compounds ground together are never called the same by the ideal relation', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...candidates),
        fc.constantFrom(...candidates),
        fc.double({ min: 0.3, max: 0.7, noNaN: true }),
        (p, q, x) => {
          fc.pre(p.id !== q.id)
          const pure = (one: Candidate) => ({
            onsetC: one.fusion.meltingPointC - 0.5,
            clearC: one.fusion.meltingPointC,
          })
          const mixture = meltingRange(p.fusion, q.fusion, x)
          expect(
            mixedVerdict(
              { unknown: pure(p), reference: pure(q), mixture, sameRun: true },
              DEFAULT_HOUSE_RULES,
            ).verdict,
          ).not.toBe('same')
        },
      ),
    )
  })
})

test('why each candidate stands where it does', () => {
  const mixtures = [{ reference: naphthol, onsetC: 58, clearC: 76 }]
  const why = whyHere({ unknown: UNKNOWN, candidates, mixtures }, (id) => id)
  const of = (id: string) => why.find((one) => one.id === id)
  expect(of('1-naphthol')?.sentence).toContain(
    'it would melt as it does alone, all liquid near 95 °C; 76.0 °C was seen: against it',
  )
  expect(of('methyl 4-nitrobenzoate')?.aboveLiteratureC).toBeCloseTo(-1.2, 9)
  expect(of('methyl 4-nitrobenzoate')?.sentence).toContain('1.2 °C below that in the literature')
  expect(of('triphenylmethane')?.sentence).toContain('0.8 °C above that in the literature')
  const impossible = whyHere({ unknown: { onsetC: 110, clearC: 111 }, candidates, mixtures: [] }, (id) => id)
  expect(impossible[0]?.sentence).toContain('which an impurity cannot cause')
})

test('the logarithm of the normal distribution function holds far in both tails', () => {
  expect(logNormalCdf(0)).toBeCloseTo(Math.log(0.5), 12)
  expect(Math.exp(logNormalCdf(1.96))).toBeCloseTo(0.9750021, 7)
  expect(Math.exp(logNormalCdf(-3))).toBeCloseTo(0.0013498980316, 12)
  // −z²/2 − ln(z√2π) + ln(1 − 1/z² + 3/z⁴)
  const z = 40
  expect(logNormalCdf(-z)).toBeCloseTo(
    -(z * z) / 2 - Math.log(z * Math.sqrt(2 * Math.PI)) + Math.log1p(-1 / z ** 2 + 3 / z ** 4),
    6,
  )
  fc.assert(
    fc.property(
      fc.double({ min: -30, max: 8, noNaN: true }),
      fc.double({ min: 0.001, max: 1, noNaN: true }),
      (at, more) => {
        expect(logNormalCdf(at + more)).toBeGreaterThanOrEqual(logNormalCdf(at))
      },
    ),
  )
})

describe('how unknowns of a list would fare', () => {
  const fare = (change: Partial<ReliabilityInput> = {}) => {
    const reliability = reliabilityOf({ candidates, benches: 80, seed: 11, ...change })
    const counted: number[] = []
    for (;;) {
      const next = reliability.next()
      if (next.done) return { ...next.value, counted }
      counted.push(next.value)
    }
  }
  test('every bench is counted once, and told as it is done', () => {
    const { benches, right, wrong, undecided, unlisted, counted, hardPairs } = fare()
    expect(right + wrong + undecided).toBe(benches)
    expect(counted).toEqual(Array.from({ length: 80 }, (_, i) => i + 1))
    expect(unlisted.recognised).toBeLessThanOrEqual(unlisted.benches)
    const ids = candidates.map(({ id }) => id)
    for (const { a, b } of hardPairs)
      expect([ids.includes(a), ids.includes(b), a === b]).toEqual([true, true, false])
  })
  test('the same seed gives the same benches, another others', () => {
    const once = fare({ benches: 20 })
    expect(fare({ benches: 20 })).toEqual(once)
    expect(fare({ benches: 20, seed: 12 })).not.toEqual(once)
  })
  test('on benches that know nothing of how it reasons it is rarely wrong, and knows a stranger', () => {
    const { benches, wrong, unlisted, runs } = fare({ benches: 200 })
    expect(wrong / benches).toBeLessThanOrEqual(0.03)
    expect(unlisted.recognised / unlisted.benches).toBeGreaterThanOrEqual(0.8)
    expect(runs).toBeLessThan(candidates.length)
  })
  test('one compound is no list', () => {
    expect(() => fare({ candidates: [naphthol] })).toThrow('two compounds at least')
  })
})
