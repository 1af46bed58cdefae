import { describe, expect, test } from '@jest/globals'
import { meltMin, observedRange, type Packing } from '../heating/observedRange'
import type { Fusion } from '../melting/liquidus'
import { meltingRange } from '../melting/meltingRange'
import { advance, createBlock } from './block'
import type { BlockReading } from '../instruments/reading'
import { PROGRAMMABLE_BLOCK } from '../instruments/characters'
import { createTube } from './tube'
import type { SimulatedSample } from '../instruments/reading'

const BENZIL: Fusion = { meltingPointC: 94.9, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
const BENZOIN: Fusion = { meltingPointC: 134.5, enthalpyKJPerMol: 34, molarMassGPerMol: 212.24 }
const QUIET = { ...PROGRAMMABLE_BLOCK, probeNoiseC: 0, probeOffsetC: 0, decimals: 3 }

function melt(
  moleFractionA: number,
  rateCPerMin: number,
  packing: Packing,
  startC: number,
  character = QUIET,
  seed = 7,
) {
  const sample: SimulatedSample = { a: BENZIL, b: moleFractionA < 1 ? BENZOIN : null, moleFractionA }
  const tube = createTube(sample, packing, { sampleLagMin: character.sampleLagMin, seed })
  const begun = advance(
    createBlock(character, seed, { tubes: [tube] }),
    [{ kind: 'preheat', toC: startC }],
    480,
  )
  const loaded = advance(begun.state, [{ kind: 'tubes in' }], 120)
  const ramp = advance(
    loaded.state,
    [{ kind: 'ramp', toC: 110, rateCPerMin }],
    Math.ceil((60 * (110 - startC)) / rateCPerMin),
  )
  const first = (seen: (reading: BlockReading) => boolean) => ramp.readings.find(seen)?.probe.value ?? NaN
  return {
    readings: ramp.readings,
    preheat: begun.readings,
    onsetC: first((r) => (r.tubes[0]?.liquidFraction ?? 0) >= 0.2),
    clearC: first((r) => r.tubes[0]?.look === 'clear'),
  }
}
const terms = (rateCPerMin: number, packing: Packing) => ({
  rateCPerMin,
  sampleLagMin: QUIET.sampleLagMin,
  probeLagMin: QUIET.probeLagMin,
  meltMin: meltMin(packing),
})
const FINE: Packing = { fillMm: 2, grain: 'fine' }

describe('a slow heating tells the true range', () => {
  test.each([1, 0.995, 0.98, 0.95, 0.9])(
    'mole fraction %d at 1 °C/min, within 0.5 °C once the terms are off',
    (x) => {
      const truth = meltingRange(BENZIL, BENZOIN, x)
      const seen = melt(x, 1, FINE, 75)
      const off = observedRange({ onsetC: 0, clearC: 0 }, terms(1, FINE))
      expect(Math.abs(seen.onsetC - off.onsetC - truth.onsetC)).toBeLessThan(0.5)
      expect(Math.abs(seen.clearC - off.clearC - truth.clearC)).toBeLessThan(0.5)
    },
  )
})

describe('a fast heating shifts and widens as observedRange says, within 25 %', () => {
  test.each([1, 0.98, 0.9])('mole fraction %d at 10 °C/min', (x) => {
    const truth = meltingRange(BENZIL, BENZOIN, x)
    const seen = melt(x, 10, FINE, 40)
    const expected = observedRange(truth, terms(10, FINE))
    const shift = (seen.onsetC - truth.onsetC) / (expected.onsetC - truth.onsetC)
    const widening = (seen.clearC - seen.onsetC - (truth.clearC - truth.onsetC)) / (10 * meltMin(FINE))
    expect(Math.abs(shift - 1)).toBeLessThan(0.25)
    expect(Math.abs(widening - 1)).toBeLessThan(0.25)
  })
})

describe('the block', () => {
  test('preheats, holds without running over by more than 1 °C, and ramps at its rate', () => {
    const { preheat, readings } = melt(1, 1, FINE, 79)
    expect(preheat.at(-1)?.phase).toBe('holding')
    expect(Math.max(...preheat.map((r) => r.probe.value))).toBeLessThan(80)
    const at = (s: number) => readings[s]?.probe.value ?? NaN
    expect((at(1200) - at(300)) / 15).toBeCloseTo(1, 2)
    expect(Math.abs(at(600) - (79 + 10))).toBeLessThan(0.5)
  })
  test('same seed and commands, same run, however the seconds are cut up', () => {
    const noisy = createBlock(PROGRAMMABLE_BLOCK, 42)
    const whole = advance(noisy, [{ kind: 'preheat', toC: 60 }], 90)
    let state = advance(noisy, [{ kind: 'preheat', toC: 60 }], 0).state
    const cut: BlockReading[] = []
    for (const seconds of [1, 20, 0, 39, 30]) {
      const part = advance(state, [], seconds)
      state = part.state
      cut.push(...part.readings)
    }
    expect(cut).toEqual(whole.readings)
    expect(
      advance(createBlock(PROGRAMMABLE_BLOCK, 43), [{ kind: 'preheat', toC: 60 }], 90).readings,
    ).not.toEqual(whole.readings)
  })
  test('a change is felt late: two masses', () => {
    const hot = advance(createBlock(QUIET, 1), [{ kind: 'preheat', toC: 80 }], 100)
    const stopped = advance(hot.state, [{ kind: 'stop' }], 2)
    expect(stopped.state.blockC).toBeGreaterThan(hot.state.blockC)
  })
  test('cools with its time constant', () => {
    const cooling = advance(createBlock(QUIET, 1, { blockC: 120 }), [{ kind: 'stop' }], 9 * 60)
    expect(cooling.state.blockC - 22).toBeCloseTo(98 / Math.E, -0.5)
    expect(cooling.readings.at(-1)?.phase).toBe('cooling')
  })
  test.each([
    [{ kind: 'preheat', toC: 400 }, 'lies outside'],
    [{ kind: 'ramp', toC: 100, rateCPerMin: 3 }, 'ramps at 0.5, 1, 2, 5, 10 °C/min only'],
    [{ kind: 'dance' }, 'does not know that command'],
  ] as const)('%j is refused', (command, sentence) => {
    expect(() => advance(createBlock(QUIET, 1), [command as never], 1)).toThrow(sentence)
  })
  test('only whole seconds', () => {
    expect(() => advance(createBlock(QUIET, 1), [], 0.5)).toThrow('whole seconds')
  })
})

describe('what the eye sees', () => {
  test('shrinks 1 to 3 °C before the first liquid, then in order until clear', () => {
    const { readings } = melt(0.98, 1, FINE, 79)
    const looks = readings.map((r) => r.tubes[0]?.look)
    const order = ['powder', 'shrunk', 'sweating', 'drops', 'slush', 'last crystals', 'clear']
    const firsts = order.map((one) => looks.indexOf(one as never)).filter((i) => i >= 0)
    expect(firsts).toEqual([...firsts].sort((p, q) => p - q))
    expect(looks.at(-1)).toBe('clear')
  })
  test('a pure sample shrinks 1 to 3 °C below its melting point', () => {
    const { readings, onsetC } = melt(1, 1, FINE, 79)
    const shrunk = readings.find((r) => r.tubes[0]?.look === 'shrunk')?.probe.value ?? NaN
    expect(onsetC - shrunk).toBeGreaterThan(0.9)
    expect(onsetC - shrunk).toBeLessThan(3.2)
  })
  test('a tube outside the block does not melt; one that decomposes bubbles', () => {
    const sample = { a: BENZIL, b: null, moleFractionA: 1, decomposesAtC: 70 }
    const tube = createTube(sample, FINE, { sampleLagMin: 0.3, seed: 1 })
    const block = createBlock(QUIET, 1, { blockC: 90, tubes: [tube] })
    expect(advance(block, [], 30).readings.at(-1)?.tubes[0]?.look).toBe('not in')
    const put = advance(block, [{ kind: 'preheat', toC: 90 }, { kind: 'tubes in' }], 200)
    expect(put.readings.at(-1)?.tubes[0]?.look).toBe('bubbling')
  })
  test('too much in the tube melts later and wider', () => {
    const little = melt(1, 2, FINE, 79)
    const much = melt(1, 2, { fillMm: 6, grain: 'coarse' }, 79)
    expect(much.clearC - little.clearC).toBeGreaterThan(1)
    expect(Math.abs(much.onsetC - little.onsetC)).toBeLessThan(0.4)
  })
})
