import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { advance, createBlock } from '../simulator/block'
import { DIAL_BLOCK } from '../instruments/characters'
import {
  type BlockModel,
  coolDownMin,
  dialForRate,
  minutesToReach,
  modelledC,
  plateauC,
  rateCPerMin,
} from './dial'
import { type DialTrace, fitBlockModel } from './fitBlockModel'
import { type DialPlanInput, planDial } from './planDial'
import { runs } from '../../golden/depth'

const vectors = JSON.parse(readFileSync(new URL('../../vectors/heating.json', import.meta.url), 'utf8')) as {
  model: BlockModel
  traces: DialTrace[]
  plateau: [number, number][]
  rate: [number, number, number][]
  timeMin: [number, number, number, number | null][]
  dialForRate: [number, number, number][]
}
const { model } = vectors
const near = (value: number, wanted: number) => {
  expect(Math.abs(value - wanted)).toBeLessThanOrEqual(1e-6 * Math.max(1, Math.abs(wanted)))
}

describe('what a dial does', () => {
  test('plateau, rate, time and setting meet the vectors', () => {
    for (const [dial, endC] of vectors.plateau) near(plateauC(model, dial), endC)
    for (const [dial, atC, rate] of vectors.rate) near(rateCPerMin(model, dial, atC), rate)
    for (const [dial, fromC, toC, minutes] of vectors.timeMin) {
      const found = minutesToReach(model, dial, fromC, toC)
      if (minutes === null) expect(found).toBeNull()
      else near(found ?? NaN, minutes)
    }
    for (const [atC, rate, dial] of vectors.dialForRate) near(dialForRate(model, atC, rate), dial)
  })
  test('the setting for a rate gives that rate', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 22, max: 250, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (atC, rate) => {
          expect(rateCPerMin(model, dialForRate(model, atC, rate), atC)).toBeCloseTo(rate, 9)
        },
      ),
    )
    expect(() => dialForRate(model, 100, -20)).toThrow('Even switched off')
  })
  test('cooling takes τ·ln, less with a fan, and never ends at the room', () => {
    near(coolDownMin(model, 150, 60, {}) ?? NaN, 8.5 * Math.log(128 / 38))
    near(coolDownMin(model, 150, 60, { speedUp: 2 }) ?? NaN, 4.25 * Math.log(128 / 38))
    expect(coolDownMin(model, 60, 150)).toBe(0)
    expect(coolDownMin(model, 60, 22)).toBeNull()
    expect(() => coolDownMin(model, 60, 40, { speedUp: 0 })).toThrow('sped up')
  })
  test('the modelled temperature follows each change of the dial', () => {
    const afterFive = modelledC(model, 22, [{ atMin: 0, dial: 6 }], 5)
    near(minutesToReach(model, 6, 22, afterFive) ?? NaN, 5)
    const turned = modelledC(
      model,
      22,
      [
        { atMin: 0, dial: 6 },
        { atMin: 5, dial: 0 },
        { atMin: 30, dial: 9 },
      ],
      12,
    )
    near(turned, 22 + (afterFive - 22) * Math.exp(-7 / 8.5))
    expect(modelledC(model, 80, [], 0)).toBe(80)
  })
  test('what cannot be is said', () => {
    expect(() => plateauC(model, -1)).toThrow('cannot be set to -1')
    expect(() => plateauC({ ...model, gain: 0 }, 3)).toThrow('above zero')
    expect(minutesToReach(model, 4, 60, 60)).toBe(0)
    expect(minutesToReach(model, 0, 60, 80)).toBeNull()
  })
})

describe('learning a dial', () => {
  test('the noisy vectors give their own model back within 2 %', () => {
    const { model: fitted, residualC, standardErrors } = fitBlockModel(vectors.traces, model.ambientC)
    for (const part of ['gain', 'exponent', 'timeConstantMin'] as const) {
      expect(Math.abs(fitted[part] / model[part] - 1)).toBeLessThan(0.02)
      // What the fit says of its own error covers how far it is off.
      expect(Math.abs(fitted[part] - model[part])).toBeLessThan(4 * standardErrors[part])
    }
    expect(residualC).toBeGreaterThan(0.12)
    expect(residualC).toBeLessThan(0.18)
  })
  test('random instruments are learned from two settings', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 8, max: 30, noNaN: true }),
        fc.double({ min: 0.8, max: 1.5, noNaN: true }),
        fc.double({ min: 4, max: 15, noNaN: true }),
        (gain, exponent, timeConstantMin) => {
          const truth = { ambientC: 21, gain, exponent, timeConstantMin }
          const traces = [3, 7].map((dial) => ({
            dial,
            samples: Array.from({ length: 41 }, (_, i) => {
              const end = plateauC(truth, dial)
              const noise = 0.15 * Math.sin(12.9898 * i + dial)
              return [i / 2, end + (22 - end) * Math.exp(-i / 2 / timeConstantMin) + noise] as const
            }),
          }))
          const { model: fitted } = fitBlockModel(traces, 21)
          expect(Math.abs(fitted.gain / gain - 1)).toBeLessThan(0.03)
          expect(Math.abs(fitted.exponent / exponent - 1)).toBeLessThan(0.02)
          expect(Math.abs(fitted.timeConstantMin / timeConstantMin - 1)).toBeLessThan(0.03)
        },
      ),
      { numRuns: runs(25) },
    )
  })
  test('one setting, too few readings, a cold block and time running backwards are refused in a sentence', () => {
    const [first, second] = vectors.traces as [DialTrace, DialTrace]
    const fit = (traces: DialTrace[]) => () => fitBlockModel(traces, 22)
    expect(fit([first, first])).toThrow('two different settings')
    expect(fit([first, { ...second, samples: second.samples.slice(0, 4) }])).toThrow('4 readings')
    expect(fit([{ ...first, samples: first.samples.map(([m]) => [m, 20] as const) }, second])).toThrow(
      'does not warm the block',
    )
    expect(fit([first, { ...second, samples: [...second.samples].reverse() }])).toThrow('run backwards')
    expect(fit([first, { ...second, dial: 0 }])).toThrow('above 0')
  })
})

const input: DialPlanInput = {
  model,
  dialStep: 0.25,
  dialMax: 10,
  startC: 22,
  expectedLowC: 94,
  expectedHighC: 96,
  leadC: 15,
  tailC: 8,
  minRate: 1,
  maxRate: 2,
  maxApproachRate: 20,
}
const instruments = fc.record({
  gain: fc.double({ min: 10, max: 30, noNaN: true }),
  exponent: fc.double({ min: 0.9, max: 1.4, noNaN: true }),
  timeConstantMin: fc.double({ min: 5, max: 15, noNaN: true }),
  dialStep: fc.constantFrom(0.1, 0.25, 0.5),
  low: fc.double({ min: 50, max: 180, noNaN: true }),
  width: fc.double({ min: 0, max: 12, noNaN: true }),
  maxRate: fc.double({ min: 1.2, max: 3, noNaN: true }),
  maxApproachRate: fc.double({ min: 5, max: 30, noNaN: true }),
  dialUse: fc.constantFrom('stepped' as const, 'one setting, nudged' as const),
})
type Drawn = typeof instruments extends fc.Arbitrary<infer T> ? T : never
const inputOf = (drawn: Drawn): DialPlanInput => ({
  ...input,
  model: {
    ambientC: 22,
    gain: drawn.gain,
    exponent: drawn.exponent,
    timeConstantMin: drawn.timeConstantMin,
  },
  dialStep: drawn.dialStep,
  expectedLowC: drawn.low,
  expectedHighC: drawn.low + drawn.width,
  minRate: drawn.maxRate / 2,
  maxRate: drawn.maxRate,
  maxApproachRate: drawn.maxApproachRate,
  dialUse: drawn.dialUse,
})

describe('a plan for the dial', () => {
  test('goes fast, brakes before the window, and steps up as the rate decays', () => {
    const plan = planDial(input)
    const dials = plan.steps.map(({ dial }) => dial)
    expect(plan.warnings).toEqual([])
    expect(plan.totalMin).toBeLessThan(27)
    expect(Math.max(...dials)).toBeGreaterThan(5)
    const inWindow = plan.steps
      .filter(({ atMin }) => atMin >= plan.watchFromMin - 1e-9)
      .map(({ dial }) => dial)
    expect(inWindow).toEqual([...inWindow].sort((p, q) => p - q))
    expect(plan.steps.every(({ dial }) => Math.abs(dial / 0.25 - Math.round(dial / 0.25)) < 1e-9)).toBe(true)
    // By hand: at 79 °C, 2 °C/min wants P = 79 + 2·8.5 = 96 °C, d = (74/19)^(1/1.22) = 3.04, so 3.
    expect(dialForRate(model, 79, 2)).toBeCloseTo(3.046, 2)
    expect(plan.steps.findLast(({ atC }) => atC <= 79 + 1e-9)?.dial).toBe(3)
  })
  test('one setting, nudged, is slower and has no dial turned down', () => {
    const nudged = planDial({ ...input, dialUse: 'one setting, nudged' })
    const dials = nudged.steps.map(({ dial }) => dial)
    expect(dials).toEqual([...dials].sort((p, q) => p - q))
    expect(nudged.totalMin).toBeGreaterThan(planDial(input).totalMin)
  })
  test('by its own model no rate in the window is above the greatest, nor is the block ever above it first', () => {
    fc.assert(
      fc.property(instruments, (drawn) => {
        const asked = inputOf(drawn)
        const plan = planDial(asked)
        expect(plan.totalMin).toBeGreaterThanOrEqual(plan.watchFromMin)
        const fromC = Math.max(22, asked.expectedLowC - asked.leadC)
        plan.steps.forEach(({ atC, atMin, dial }, i) => {
          const untilMin = plan.steps[i + 1]?.atMin ?? plan.totalMin
          // A rate only decays while a dial is left alone, so its start is its worst.
          const worstC = Math.max(atC, fromC)
          const endC = modelledC(asked.model, atC, [{ atMin: 0, dial }], untilMin - atMin)
          if (endC > fromC + 1e-6)
            expect(rateCPerMin(asked.model, dial, worstC)).toBeLessThanOrEqual(asked.maxRate * (1 + 1e-9))
          const next = plan.steps[i + 1]
          if (next) expect(endC).toBeCloseTo(next.atC, 6)
        })
      }),
      { numRuns: runs(150) },
    )
  })
  test('on the way up nobody turns up for less than a minute what is turned back down', () => {
    let turnedBack = 0
    fc.assert(
      fc.property(instruments, (drawn) => {
        const asked = inputOf(drawn)
        const { steps, watchFromMin } = planDial(asked)
        steps.forEach((step, i) => {
          const [before, after] = [steps[i - 1], steps[i + 1]]
          if (!before || !after || step.dial <= before.dial || after.dial >= step.dial) return
          if (after.atMin > watchFromMin + 1e-9) return
          turnedBack++
          if (after.atMin - step.atMin >= 1) return
          // Else what it stood at would have crept there.
          const crept = minutesToReach(asked.model, before.dial, step.atC, after.atC)
          expect(crept ?? Infinity).toBeGreaterThanOrEqual(2 - 1e-9)
        })
      }),
      { numRuns: 300 },
    )
    expect(turnedBack).toBeGreaterThan(0)
  })
  test('on a simulated block that feels the dial late, no rate in the window is more than 20 % above it', () => {
    const character = {
      ...DIAL_BLOCK,
      probeNoiseC: 0,
      probeOffsetC: 0,
      probeSlope: 0,
      probeLagMin: 0,
      decimals: 4,
    }
    fc.assert(
      fc.property(
        instruments,
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        fc.double({ min: 10, max: 60, noNaN: true }),
        (drawn, heaterMass, heaterToBlockS) => {
          const asked = inputOf(drawn)
          const plan = planDial(asked)
          const { gain, exponent, timeConstantMin } = asked.model
          let block = createBlock(
            {
              ...character,
              heaterMass,
              heaterToBlockS,
              coolTimeConstantMin: timeConstantMin,
              dial: { max: 10, step: drawn.dialStep, gain, exponent },
            },
            1,
          )
          const readC: number[] = []
          const totalS = Math.round(60 * plan.totalMin)
          const turns = plan.steps.map(({ atMin, dial }) => ({ atS: Math.round(60 * atMin), dial }))
          for (const [i, { atS, dial }] of turns.entries()) {
            const untilS = turns[i + 1]?.atS ?? totalS
            const played = advance(block, [{ kind: 'dial', setting: dial }], Math.max(0, untilS - atS))
            block = played.state
            readC.push(...played.readings.map(({ probe }) => probe.value))
          }
          const fromC = Math.max(22, asked.expectedLowC - asked.leadC)
          const fastest = readC.reduce((most, c, i) => {
            const before = readC[i - 15]
            return before !== undefined && before >= fromC ? Math.max(most, (c - before) * 4) : most
          }, 0)
          expect(fastest).toBeLessThanOrEqual(1.2 * asked.maxRate)
        },
      ),
      { numRuns: runs(25) },
    )
  })
  test('a block too hot, a dial too weak and a dial too coarse are told with what to do', () => {
    const hot = planDial({ ...input, startC: 150 })
    expect(hot.warnings[0]).toContain('about 7 min to fall to 79 °C')
    expect(hot.steps[0]).toEqual({ atMin: 0, atC: 150, dial: 0 })
    const weak = planDial({ ...input, expectedLowC: 330, expectedHighC: 332 })
    expect(weak.warnings.join()).toContain('Even at 10 this block reaches only about 337.3 °C, below 340 °C')
    const coarse = planDial({ ...input, dialStep: 2 })
    expect(coarse.warnings.join()).toMatch(/too coarse to go on past|goes slower rather than faster/)
    const cold = planDial({ ...input, expectedLowC: 30, expectedHighC: 31, startC: 22 })
    expect(cold.watchFromMin).toBe(0)
  })
  test('what cannot be planned is refused in a sentence', () => {
    expect(() => planDial({ ...input, expectedLowC: 97 })).toThrow('runs backwards')
    expect(() => planDial({ ...input, dialStep: 0 })).toThrow('steps of a dial are above zero')
    expect(() => planDial({ ...input, minRate: 3 })).toThrow('Rates are above zero')
    expect(() => planDial({ ...input, leadC: -1 })).toThrow('watch band must end')
  })
})
