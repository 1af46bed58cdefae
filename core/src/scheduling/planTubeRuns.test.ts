import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { costOfRuns, planTubeRuns } from './planTubeRuns'
import type { TubeRunInput } from './runGroups'
import { runs } from '../../golden/depth'

const { cases } = JSON.parse(
  readFileSync(new URL('../../vectors/tube-runs.json', import.meta.url), 'utf8'),
) as { cases: (TubeRunInput & { best: { totalMin: number; runs: string[][] } })[] }
const first = cases[0] as TubeRunInput

const tubes = fc.array(
  fc.record({
    low: fc.double({ min: 40, max: 220, noNaN: true }),
    width: fc.double({ min: 0, max: 10, noNaN: true }),
    leadC: fc.constantFrom(5, 15, 25),
  }),
  { minLength: 1, maxLength: 6 },
)
const inputOf = (
  drawn: { low: number; width: number; leadC: number }[],
  blockC: number,
  slots = 3,
): TubeRunInput => ({
  apparatus: { ...first.apparatus, blockC, slots },
  tubes: drawn.map(({ low, width, leadC }, i) => ({
    id: `tube ${i}`,
    expectedLowC: low,
    expectedHighC: low + width,
    leadC,
    tailC: 5,
  })),
  keepTogether: [],
})

/** Every way to put the tubes into runs in order, tried one by one. */
function* everyOrder(left: readonly string[], slots: number): Generator<string[][]> {
  if (left.length === 0) {
    yield []
    return
  }
  for (let mask = 1; mask < 1 << left.length; mask++) {
    const run = left.filter((_, i) => mask & (1 << i))
    if (run.length > slots) continue
    const rest = left.filter((id) => !run.includes(id))
    for (const after of everyOrder(rest, slots)) yield [run, ...after]
  }
}

describe('which tube when', () => {
  test('meets the vectors, proven', () => {
    for (const { best, ...input } of cases) {
      const plan = planTubeRuns(input)
      expect(Math.abs(plan.totalMin / best.totalMin - 1)).toBeLessThan(1e-6)
      expect(plan).toMatchObject({ proven: true, lowerBoundMin: plan.totalMin })
      expect(costOfRuns(input, best.runs).totalMin).toBeCloseTo(best.totalMin, 6)
    }
    // Where one answer is best, it is that one.
    expect(planTubeRuns(first).runs).toEqual(cases[0]?.best.runs)
    expect(planTubeRuns(cases[1] as TubeRunInput).runs).toEqual(cases[1]?.best.runs)
  })
  test('no grouping and no order of up to five tubes is better: every one tried', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            low: fc.double({ min: 40, max: 220, noNaN: true }),
            width: fc.double({ min: 0, max: 10, noNaN: true }),
            leadC: fc.constantFrom(5, 15),
          }),
          { minLength: 1, maxLength: 5 },
        ),
        fc.double({ min: 22, max: 200, noNaN: true }),
        fc.integer({ min: 1, max: 3 }),
        (drawn, blockC, slots) => {
          const input = inputOf(drawn, blockC, slots)
          const plan = planTubeRuns(input)
          let least = Infinity
          for (const runs of everyOrder(
            input.tubes.map(({ id }) => id),
            slots,
          ))
            least = Math.min(least, costOfRuns(input, runs).totalMin)
          expect(plan.totalMin).toBeCloseTo(least, 6)
        },
      ),
      { numRuns: runs(25) },
    )
  })
  test('each tube once, no run over the slots, the timeline without a gap and as long as the total', () => {
    fc.assert(
      fc.property(tubes, fc.double({ min: 22, max: 250, noNaN: true }), (drawn, blockC) => {
        const input = inputOf(drawn, blockC)
        const plan = planTubeRuns(input)
        expect(plan.runs.flat().sort()).toEqual(input.tubes.map(({ id }) => id).sort())
        expect(plan.runs.every((run) => run.length <= 3)).toBe(true)
        plan.timeline.forEach((phase, i) => {
          expect(phase.fromMin).toBeCloseTo(plan.timeline[i - 1]?.toMin ?? 0, 9)
          expect(phase.toMin).toBeGreaterThanOrEqual(phase.fromMin)
        })
        expect(plan.timeline[plan.timeline.length - 1]?.toMin).toBeCloseTo(plan.totalMin, 9)
      }),
      { numRuns: runs(60) },
    )
  })
  test('more tubes never take less time, and being kept together never less either', () => {
    fc.assert(
      fc.property(tubes, (drawn) => {
        const input = inputOf(drawn, 22)
        const all = planTubeRuns(input).totalMin
        const fewer = planTubeRuns({ ...input, tubes: input.tubes.slice(1) }).totalMin
        expect(all).toBeGreaterThanOrEqual(fewer - 1e-9)
        const ids = input.tubes.slice(0, 2).map(({ id }) => id)
        const together = planTubeRuns({ ...input, keepTogether: [ids] })
        expect(together.totalMin).toBeGreaterThanOrEqual(all - 1e-9)
        expect(together.runs.some((run) => ids.every((id) => run.includes(id)))).toBe(true)
      }),
      { numRuns: runs(40) },
    )
  })
  test('sets that share a tube are one set', () => {
    const input = inputOf(
      [60, 120, 180].map((low) => ({ low, width: 1, leadC: 5 })),
      22,
    )
    const plan = planTubeRuns({
      ...input,
      keepTogether: [
        ['tube 0', 'tube 1'],
        ['tube 1', 'tube 2'],
      ],
    })
    expect(plan.runs).toEqual([['tube 0', 'tube 1', 'tube 2']])
  })
  test('beyond twelve it gives a good answer with its bound, not a proof', () => {
    const many = inputOf(
      Array.from({ length: 20 }, (_, i) => ({ low: 50 + ((i * 37) % 160), width: 2, leadC: 15 })),
      22,
    )
    const plan = planTubeRuns(many)
    expect(plan.proven).toBe(false)
    expect(plan.lowerBoundMin).toBeLessThan(plan.totalMin)
    expect(plan.runs.flat()).toHaveLength(20)
    const asListed = Array.from({ length: 7 }, (_, i) =>
      many.tubes.slice(3 * i, 3 * i + 3).map(({ id }) => id),
    )
    expect(plan.totalMin).toBeLessThan(costOfRuns(many, asListed).totalMin)
  })
  test('nothing waiting takes no time; what cannot be is refused in a sentence', () => {
    expect(planTubeRuns({ ...first, tubes: [] })).toMatchObject({ runs: [], totalMin: 0 })
    const plan = (change: Partial<TubeRunInput>) => () => planTubeRuns({ ...first, ...change })
    expect(plan({ keepTogether: [['crude', 'purified', 'reference', 'salt']] })).toThrow('has 3 slots')
    expect(plan({ keepTogether: [['crude', 'sugar']] })).toThrow('no tube “sugar”')
    expect(plan({ tubes: [first.tubes[0]!, first.tubes[0]!] })).toThrow('on the list twice')
    expect(plan({ tubes: [{ ...first.tubes[0]!, expectedLowC: 200 }] })).toThrow('were the two ends swapped')
    expect(plan({ apparatus: { ...first.apparatus, slots: 0 } })).toThrow('at least one slot')
    expect(() => costOfRuns(first, [['crude', 'purified', 'reference', 'salt']])).toThrow('do not fit into 3')
    expect(() => costOfRuns(first, [['sugar']])).toThrow('no tube “sugar” waiting')
  })
})
