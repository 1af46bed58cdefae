import { describe, expect, test } from '@jest/globals'
import type { BenchSession, SessionTask } from './session/compiled'
import { type Chain, whatFits } from './whatFits'

const steps = (
  prep: string,
  rows: readonly (readonly [name: string, durationMin: number, hands: number])[],
) =>
  rows.map(([name, durationMin, hands], i): SessionTask => ({
    id: `${prep} ${name}`,
    durationMin,
    needs: { hands },
    prep,
    after: i === 0 ? [] : [{ task: `${prep} ${rows[i - 1]?.[0] ?? ''}` }],
  }))
const PREP = [
  ['dissolve', 10, 1],
  ['cool', 15, 0],
  ['collect', 10, 1],
  ['dry', 10, 0],
  ['melt', 20, 1],
] as const
const session: BenchSession = {
  tasks: [
    ...steps('benzil', PREP),
    ...steps('adipic', PREP),
    { id: 'clear up', durationMin: 5, after: [], needs: { hands: 1 } },
  ],
  capacity: { hands: 1 },
}
const chain = (prep: string): Chain => ({
  id: prep,
  tasks: PREP.map(([name]) => `${prep} ${name}`),
  stops: [
    { after: `${prep} cool`, words: 'stoppered, in the cold' },
    { after: `${prep} dry`, words: 'dry crystals in a labelled vial' },
  ],
})
const chains = [chain('benzil'), chain('adipic')]
const of = (found: ReturnType<typeof whatFits>, id: string) =>
  found.chains.find(({ chain: one }) => one === id)

describe('what fits before the lab closes', () => {
  test('with time enough everything does', () => {
    const found = whatFits({ ...session, chains, deadlineMin: 200 })
    expect(found.fits).toBe(true)
    expect(found.chains.map(({ gets, setAside }) => [gets, setAside])).toEqual([
      ['to its end', []],
      ['to its end', []],
    ])
  })
  test('the more important goes to its end, the other to its furthest safe stop', () => {
    // Alone 65 min; with the other to its dry crystals 85 min of hands at most.
    const found = whatFits({ ...session, chains, deadlineMin: 75 })
    expect(found.fits).toBe(true)
    expect(of(found, 'benzil')).toMatchObject({ gets: 'to its end', stop: null })
    expect(of(found, 'adipic')).toMatchObject({
      gets: 'to a stop',
      stop: { words: 'dry crystals in a labelled vial' },
      setAside: ['adipic melt'],
    })
    expect(found.plan.makespanMin).toBeLessThanOrEqual(75)
  })
  test('order of importance is the student’s', () => {
    const found = whatFits({ ...session, chains: [...chains].reverse(), deadlineMin: 75 })
    expect(of(found, 'adipic')?.gets).toBe('to its end')
    expect(of(found, 'benzil')?.gets).toBe('to a stop')
  })
  test('what cannot even reach a stop is not begun', () => {
    const found = whatFits({ ...session, chains, deadlineMin: 24 })
    expect(found.chains.map(({ gets }) => gets)).toEqual(['not begun', 'not begun'])
    expect(found.plan.starts).toEqual({ 'clear up': 0 })
  })
  test('what has begun is brought to a stop, and said to be over time if that is too late', () => {
    const happened = {
      nowMin: 30,
      started: { 'benzil dissolve': 0, 'benzil cool': 10, 'benzil collect': 27 },
      done: { 'benzil dissolve': 10, 'benzil cool': 25 },
    }
    const late = whatFits({ ...session, chains, deadlineMin: 40, happened })
    expect(late.fits).toBe(false)
    // The first stop lies behind: it has been collected from.
    expect(of(late, 'benzil')).toMatchObject({ gets: 'over time', setAside: ['benzil melt'], nextBy: null })
    expect(of(late, 'adipic')).toMatchObject({ gets: 'not begun' })
  })
  test('the next task may wait until the last minute that still fits, and not a minute longer', () => {
    const input = { ...session, chains: [chain('benzil')], tasks: steps('benzil', PREP), deadlineMin: 80 }
    const next = of(whatFits(input), 'benzil')?.nextBy
    // 65 min in one row: 15 to spare.
    expect(next).toEqual({ task: 'benzil dissolve', atMin: 15 })
  })
  test('a chain of what is not there is refused', () => {
    expect(() =>
      whatFits({ ...session, deadlineMin: 60, chains: [{ id: 'x', tasks: ['x melt'], stops: [] }] }),
    ).toThrow(/“x” speaks of “x melt”/)
  })
})
