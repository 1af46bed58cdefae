import { describe, expect, test } from '@jest/globals'
import { DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import { mustSlowDown, type Run } from './run'

const START_C = 73
/** A run heated by hand as it stands: what its probe read second by second, and whether its tubes are in. */
function stateOf(lately: readonly number[], change: Partial<Run> = {}, isIn = false): boolean {
  const probe = { value: lately.at(-1) ?? 20, text: String(lately.at(-1)) }
  const reading = {
    sample: 100,
    atS: 100,
    probe,
    phase: 'heating',
    tubes: [{ look: isIn ? 'powder' : 'not in', liquidFraction: 0 }],
  }
  const run = {
    recorded: true,
    sample: 100,
    anchor: { atS: 90, atMs: 0, pace: 20 },
    planned: {
      purpose: 'careful',
      heating: { by: 'hand', blockC: 20, warnings: [] },
      window: { startC: START_C, watchFromC: 84, stopC: 104, rateCPerMin: 1 },
      conventions: DEFAULT_HOUSE_RULES,
    },
    turns: 0,
    lately,
    last: reading,
    ...change,
  } as unknown as Run
  return mustSlowDown(run, reading as unknown as Parameters<typeof mustSlowDown>[1])
}
/** Twenty seconds up to here at this rate. */
const upTo = (c: number, ratePerMin: number) =>
  Array.from({ length: 20 }, (_, i) => c - ((19 - i) * ratePerMin) / 60)

describe('hurried time stops for the hand', () => {
  test('far below the start it goes on', () => {
    expect(stateOf(upTo(40, 12))).toBe(false)
  })
  test('before a dial or flame would run past the start, tubes in or not', () => {
    expect(stateOf(upTo(60, 12))).toBe(true)
    expect(stateOf(upTo(60, 12), {}, true)).toBe(true)
    // Past the start and still too fast it is to be turned down too.
    expect(stateOf(upTo(80, 8), {}, true)).toBe(true)
    // Slowly, as it should be, nobody is wanted until something may be seen.
    expect(stateOf(upTo(78, 1), {}, true)).toBe(false)
  })
  test('where the tubes go in, from below and cooling from above', () => {
    expect(stateOf(upTo(START_C - 2, 1))).toBe(true)
    expect(stateOf(upTo(START_C + 2, -4))).toBe(true)
    expect(stateOf(upTo(START_C + 15, -4))).toBe(false)
    expect(stateOf(upTo(START_C - 2, 1), {}, true)).toBe(false)
  })
  test('once a minute where the thermometer is read by eye', () => {
    const byEye = { recorded: false, sample: 160, anchor: { atS: 100, atMs: 0, pace: 20 } }
    expect(stateOf(upTo(40, 5), byEye)).toBe(true)
    expect(stateOf(upTo(40, 5), { ...byEye, sample: 130 })).toBe(false)
  })
  test('a programme holds by itself', () => {
    expect(
      stateOf(upTo(60, 12), {
        planned: {
          purpose: 'careful',
          heating: { by: 'ramp', plan: { segments: [] }, input: {} },
          window: { startC: START_C, watchFromC: 84, stopC: 104, rateCPerMin: 1 },
          conventions: DEFAULT_HOUSE_RULES,
        } as unknown as Run['planned'],
      }),
    ).toBe(false)
  })
})
