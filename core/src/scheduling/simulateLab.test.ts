import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import type { BenchSession } from './session/compiled'
import { type LabInput, simulateLab } from './simulateLab'

const { cases } = JSON.parse(
  readFileSync(new URL('../../vectors/bench-session.json', import.meta.url), 'utf8'),
) as { cases: [BenchSession] }
const lab: LabInput = {
  tasks: cases[0].tasks,
  shared: { block: 4, balance: 3 },
  benches: 20,
  hands: 1,
  arrival: { kind: 'scattered', overMin: 10 },
  pace: { kind: 'log-normal', spread: 0.15 },
  seed: 5,
  runs: 20,
}

/** Mean wait in a queue with random arrivals and random service at c places (Erlang’s C). */
function erlangWaitMin(meanGapMin: number, serviceMin: number, places: number): number {
  const load = serviceMin / meanGapMin
  let term = 1
  let sum = 1
  for (let k = 1; k < places; k++) {
    term *= load / k
    sum += term
  }
  const last = (term * load) / places / (1 - load / places)
  return ((last / (sum + last)) * serviceMin) / (places - load)
}

describe('the class’s day', () => {
  test.each([
    [10, 8, 1],
    [5, 8, 2],
    [4, 12, 4],
  ])(
    'a gap of %d, a melt of %d min and %d blocks wait as queueing theory says',
    (meanGapMin, serviceMin, block) => {
      const found = simulateLab({
        tasks: [{ id: 'melt', durationMin: serviceMin, after: [], needs: { block: 1 } }],
        shared: { block },
        benches: 10_000,
        hands: 1,
        arrival: { kind: 'poisson', meanGapMin },
        pace: { kind: 'exponential' },
        seed: 42,
        runs: 24,
      })
      const wait = erlangWaitMin(meanGapMin, serviceMin, block)
      expect(Math.abs((found.queues['block']?.meanWaitMin ?? 0) / wait - 1)).toBeLessThan(0.03)
    },
  )
  test('is the same again from the same seed, and another from another', () => {
    expect(simulateLab(lab)).toEqual(simulateLab(lab))
    expect(simulateLab({ ...lab, seed: 6 }).outByMin).not.toEqual(simulateLab(lab).outByMin)
  })
  test('alone, without scatter, a bench takes what its tasks take', () => {
    const found = simulateLab({
      ...lab,
      benches: 1,
      runs: 1,
      arrival: { kind: 'scattered', overMin: 0 },
      pace: { kind: 'log-normal', spread: 0 },
    })
    expect(found.outByMin.half).toBe(found.outByMin.all)
    // No order is over sooner than the proven one.
    expect(found.outByMin.all).toBeGreaterThanOrEqual(81)
    expect(found.outByMin.all).toBeLessThan(130)
  })
  test('one more block gets everybody out no later, and shortens its queue', () => {
    const [few, more] = [2, 6].map((block) => simulateLab({ ...lab, shared: { ...lab.shared, block } }))
    expect(more?.outByMin.all).toBeLessThan(few?.outByMin.all ?? 0)
    expect(more?.queues['block']?.meanWaitMin).toBeLessThan(few?.queues['block']?.meanWaitMin ?? 0)
  })
  test('a staggered start shortens the queue at the balance', () => {
    const together = simulateLab({
      ...lab,
      shared: { balance: 1, block: 4 },
      arrival: { kind: 'scattered', overMin: 2 },
    })
    const staggered = simulateLab({
      ...lab,
      shared: { balance: 1, block: 4 },
      arrival: { kind: 'staggered', groups: 3, gapMin: 20, overMin: 2 },
    })
    expect(staggered.queues['balance']?.meanWaitMin).toBeLessThan(
      together.queues['balance']?.meanWaitMin ?? 0,
    )
  })
  test('who waits in each minute adds up to the minutes waited', () => {
    const found = simulateLab({
      ...lab,
      shared: { block: 2 },
      pace: { kind: 'log-normal', spread: 0 },
      runs: 1,
    })
    const queue = found.queues['block']
    const seen = (queue?.waitingByMinute ?? []).reduce((sum, waiting) => sum + waiting, 0)
    // Forty uses, each counted at whole minutes.
    expect(Math.abs(seen - 40 * (queue?.meanWaitMin ?? 0))).toBeLessThan(40)
  })
  test('an instrument is kept from loading to the last crystal, and cools before the next bench has it', () => {
    const run = (keeps: boolean) =>
      simulateLab({
        ...lab,
        tasks: [
          {
            id: 'load',
            durationMin: 2,
            after: [],
            needs: { hands: 1, block: 1 },
            ...(keeps ? { keeps: { thing: 'block', until: 'watch', coolsMin: 9 } } : {}),
          },
          { id: 'heat', durationMin: 8, after: [{ task: 'load' }], needs: { block: 1 } },
          { id: 'watch', durationMin: 20, after: [{ task: 'heat' }], needs: { hands: 1, block: 1 } },
        ],
        shared: { block: 1 },
        benches: 3,
        arrival: { kind: 'scattered', overMin: 0 },
        pace: { kind: 'log-normal', spread: 0 },
        runs: 1,
      })
    // One after another: 30 min each, 9 between them.
    expect(run(true).outByMin).toEqual({ half: 69, nineTenths: 108, all: 108 })
    // Let go between, all three load before the first is heated: nobody would do that.
    expect(run(false).outByMin.half).toBeGreaterThan(69)
  })
  test('minutes in the lab are counted from when each bench came', () => {
    const { outByMin, inLabMin } = simulateLab({
      ...lab,
      shared: { block: 99, balance: 99 },
      arrival: { kind: 'staggered', groups: 2, gapMin: 40, overMin: 0 },
      pace: { kind: 'log-normal', spread: 0 },
      runs: 1,
    })
    expect(outByMin.all - inLabMin.all).toBe(40)
    expect(inLabMin.half).toBe(inLabMin.all)
  })
  test('tells how far it is', () => {
    const shares: number[] = []
    simulateLab({ ...lab, runs: 4 }, (share) => shares.push(share))
    expect(shares).toEqual([0.25, 0.5, 0.75, 1])
  })
  test.each<[Partial<LabInput>, RegExp]>([
    [{ benches: 0 }, /0 benches/],
    [{ runs: 0 }, /0 runs/],
    [{ hands: 0 }, /0 pairs of hands/],
    [{ shared: { block: 0 } }, /needs 1 of block, and there is 0/],
    [{ arrival: { kind: 'staggered', groups: 0, gapMin: 5, overMin: 1 } }, /0 groups/],
    [{ arrival: { kind: 'scattered', overMin: -1 } }, /overMin is -1/],
    [{ pace: { kind: 'log-normal', spread: NaN } }, /spread is NaN/],
    [{ tasks: [{ id: 'melt', durationMin: 5, after: [{ task: 'pack' }], needs: {} }] }, /no task here/],
    [
      { tasks: [{ id: 'melt', durationMin: 5, after: [{ task: 'melt' }], needs: {} }] },
      /wait for each other/,
    ],
  ])('%j is refused with a sentence', (change, sentence) => {
    expect(() => simulateLab({ ...lab, ...change })).toThrow(sentence)
  })
})
