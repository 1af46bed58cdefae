import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { golden, goldenV1 } from '../../golden/contract'
import { upcast } from '../notebook/fold'
import type { PlanFixed } from '../notebook/kinds/plan-fixed/kind'
import { stepThat } from '../notebook/views/prep'
import { STATIONS } from '../stations/stations'
import { planCrystallization } from '../solubility/planCrystallization'
import {
  gritMarkML,
  pastThePlanML,
  proposedVolume,
  withVolumeML,
  workingTemperatures,
} from '../solubility/volume'
import { partnerTrouble } from '../weighing/partner'
import type { Batch } from './batch'
import { chooseProcedure } from './chooseProcedure'
import { glasswareFor } from './glassware'
import { planBatch } from './planBatch'
import type { Procedure } from './procedure'
import { whyThisSolvent } from '../planning/reasons'
import { renderSteps, renderWaste, unknownAmounts } from './render'
import { RESCUES, rescuesAt } from './rescues'
import { PROCEDURES } from './shipped'
import { refusalOf } from '../schemas'
import { runs } from '../../golden/depth'
import '../../golden/older'

const plansOf = (entries: typeof golden.entries) =>
  entries.flatMap((raw) => {
    const line = upcast(raw)
    return line?.kind === 'plan fixed' ? [line.body] : []
  })
const [benzil, adipic] = plansOf(golden.entries) as [PlanFixed, PlanFixed]
const procedure = (id: string) => PROCEDURES.find((one) => one.id === id) as Procedure
const stepsOf = (id: string, batch: Batch = benzil) => renderSteps(procedure(id), batch)
const step = (id: string, of: string, batch: Batch = benzil) =>
  stepsOf(of, batch).find((one) => one.id === id)

describe('the steps', () => {
  test('carry the amounts of this batch, in the order of the work', () => {
    const steps = stepsOf('small-funnel')
    const stations = steps.map((one) => STATIONS.indexOf(one.station))
    expect(stations).toEqual([...stations].sort((p, q) => p - q))
    const text = steps.map((one) => one.text).join(' ')
    for (const amount of [
      '1.804 g',
      '25 mL Erlenmeyer',
      'in a water or steam bath at about 90 °C',
      'near 3.5 mL',
      'to 11.0 mL in total',
      'benzoin stays dissolved',
      '1.0 mL of ice-cold ethanol 95%',
      'at most 7 mg',
      'Büchner funnel, 4 cm',
      'near 58 °C',
    ])
      expect(text).toContain(amount)
  })
  test.each(PROCEDURES)(
    'of “$name” have ids of their own, no brace left open, and pass the schema',
    (one) => {
      const steps = renderSteps(one, benzil)
      expect(new Set(one.steps.map(({ id }) => id)).size).toBe(one.steps.length)
      expect(steps.map(({ text }) => text).join(' ')).not.toMatch(/[{}]/)
      expect(steps.length).toBeGreaterThan(3)
      const entry = golden.entries.find(({ kind }) => kind === 'plan fixed')
      const chosen = { id: one.id, name: one.name, collect: one.collect }
      expect(
        refusalOf({
          ...entry,
          body: { ...benzil, procedure: chosen, steps, waste: renderWaste(one, benzil) },
        }),
      ).toBeNull()
      for (const text of one.steps.flatMap((line) => [line.text, line.meanwhile ?? '', line.stop ?? '']))
        expect(unknownAmounts(text)).toEqual([])
    },
  )
  test('carry the cautions where they belong', () => {
    expect(step('heat-solvent', 'small-funnel')?.caution).toContain('no flame')
    expect(step('wet-the-crude', 'small-funnel')?.caution).toContain('melts to an oil')
    expect(step('off-the-heat', 'small-funnel')?.caution).toContain('Never put a tight stopper')
    expect(step('cool-undisturbed', 'small-funnel')?.caution).toContain('a fresh boiling stone')
    expect(step('spin', 'craig-tube')?.caution).toContain('Keep the lid shut until the rotor stands still')
    expect(step('off-before-dry', 'evaporation')?.caution).toContain('not purified')
    expect(step('heat-solvent', 'centrifuge-tube', adipic)?.caution ?? '').not.toContain('flame')
  })
  test('grit, charcoal, a measured volume and constant mass each change the list', () => {
    const ids = (change: Partial<Batch>) =>
      stepsOf('small-funnel', { ...benzil, ...change }).map(({ id }) => id)
    const gritty = { ...benzil.result, gritG: 0.05 }
    expect(ids({ result: gritty })).toContain('leave-the-grit-as-planned')
    expect(ids({ result: gritty, inserts: ['hot filtration'] })).not.toContain('leave-the-grit-as-planned')
    expect(ids({ inserts: ['charcoal'] })).toEqual(
      expect.arrayContaining(['add-charcoal', 'filter-hot-as-planned']),
    )
    expect(ids({ amount: 'measured volume' })).toContain('dissolve-measured')
    expect(ids({ amount: 'measured volume' })).not.toContain('dilute-hot')
    expect(ids({ result: { ...benzil.result, hotML: benzil.result.minimumHotML } })).not.toContain(
      'dilute-hot',
    )
    const drying = { atLeastMin: 20, constantMassToleranceG: 0.001 }
    expect(ids({ conventions: { ...benzil.conventions, drying } })).toContain('dry-and-weigh-again')
    expect(renderWaste(procedure('small-funnel'), { ...benzil, inserts: ['charcoal'] }).join(' ')).toContain(
      'Put charcoal',
    )
  })
  test('a pair names both solvents, and the waste its worst part', () => {
    const second = { ...benzil.solvent, id: 'dichloromethane', name: 'dichloromethane', group: 'chlorinated' }
    const pair = { solvent: second, goodML: 3.9, poorML: 5.2 }
    const text = stepsOf('solvent-pair', { ...benzil, pair })
      .map((one) => one.text)
      .join(' ')
    expect(text).toContain('in 3.9 mL of ethanol 95%')
    expect(text).toContain('hot dichloromethane by drops')
    expect(text).toContain('43 to 57 by volume')
    expect(renderWaste(procedure('solvent-pair'), { ...benzil, pair })[0]).toContain('halogenated organic')
  })
  test('places to stop, and what to do meanwhile, stand where they are', () => {
    expect(
      stepsOf('small-funnel')
        .filter((one) => one.stop)
        .map(({ id }) => id),
    ).toEqual(['cool-undisturbed', 'spread-to-dry'])
    expect(step('cool-undisturbed', 'craig-tube')).toBeUndefined()
    expect(step('plunger-in', 'craig-tube')?.meanwhile).toContain('partner tube for the centrifuge')
  })
})

describe('whatever the batch', () => {
  const anyBatch = fc
    .record({
      crudeG: fc.double({ min: 0.01, max: 80, noNaN: true }),
      assay: fc.double({ min: 0.2, max: 1, noNaN: true }),
      excess: fc.double({ min: 0, max: 4, noNaN: true }),
      washML: fc.constantFrom(0, 0.3, 2),
      boilingPointC: fc.constantFrom(34.6, 65, 78.2, 100, null),
      impurityHot: fc.double({ min: 0.05, max: 40, noNaN: true }),
      inserts: fc.subarray(['hot filtration', 'charcoal'] as const),
      amount: fc.constantFrom('least hot solvent' as const, 'measured volume' as const),
      stones: fc.constantFrom('in both flasks' as const, 'in the solvent only' as const),
      toleranceG: fc.constantFrom(null, 0.002),
    })
    .map((one): Batch => {
      const input = {
        ...benzil.input,
        crudeG: one.crudeG,
        assay: one.assay,
        excess: one.excess,
        washML: one.washML,
        impurity: [
          [2, one.impurityHot / 8],
          [78, one.impurityHot],
        ] as [number, number][],
      }
      return {
        ...benzil,
        crudeText: one.crudeG.toFixed(3),
        solvent: { ...benzil.solvent, boilingPointC: one.boilingPointC },
        inserts: one.inserts,
        amount: one.amount,
        input,
        result: planCrystallization(input),
        conventions: {
          ...benzil.conventions,
          boilingStones: one.stones,
          drying: { atLeastMin: 10, constantMassToleranceG: one.toleranceG },
        },
      }
    })
  test('the list is whole: in order, without a brace or a broken number, each step once', () => {
    fc.assert(
      fc.property(anyBatch, fc.constantFrom(...PROCEDURES), (batch, one) => {
        const steps = renderSteps(one, batch)
        const words = steps.map((line) => JSON.stringify(line)).join(' ')
        expect(words).not.toMatch(/NaN|undefined|Infinity|\{\w+\}/)
        expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length)
        const order = steps.map(({ station }) => STATIONS.indexOf(station))
        expect(order).toEqual([...order].sort((p, q) => p - q))
        expect(steps.some(({ portions }) => portions === 'dissolve')).toBe(true)
        expect(steps.some(({ portions }) => portions === 'rinse')).toBe(
          batch.input.washML > 0 && one.steps.some(({ id }) => id === 'rinse-cold'),
        )
      }),
      { numRuns: runs(120) },
    )
  })
  test('no hot liquid is asked to be stoppered, no stone to go in hot, and no flame stands by a flammable solvent', () => {
    fc.assert(
      fc.property(anyBatch, fc.constantFrom(...PROCEDURES), (batch, one) => {
        const steps = renderSteps(one, batch)
        const heats = steps.filter(({ id }) => id.startsWith('heat-solvent'))
        for (const { text, caution } of heats) {
          // Held below boiling it needs no stone.
          if (!text.includes('held at')) expect(caution).toContain('never to hot liquid')
          expect(caution).toContain('no flame')
        }
        if (one.solvents !== 'water only') expect(heats).toHaveLength(1)
        const boilsC = batch.solvent.boilingPointC
        if (boilsC === null || boilsC < 85)
          for (const { text } of heats) expect(text).not.toContain('on a hot plate')
        const hot = steps.filter(({ station }) => station === 'crystallize')
        if (one.collect !== 'watch glass')
          expect(hot.map(({ caution }) => caution).join(' ')).toMatch(/tight|Loosely/)
      }),
      { numRuns: runs(80) },
    )
  })
  test('one procedure at most is proposed, and every “not for this” says why', () => {
    fc.assert(
      fc.property(anyBatch, fc.boolean(), (batch, isPair) => {
        const choices = chooseProcedure(PROCEDURES, {
          crudeG: batch.input.crudeG,
          plan: batch.result,
          solvent: batch.solvent,
          compound: batch.compound,
          isPair,
        })
        expect(choices).toHaveLength(PROCEDURES.length)
        expect(choices.filter(({ fit }) => fit === 'proposed').length).toBeLessThanOrEqual(1)
        expect(choices.findIndex(({ fit }) => fit === 'proposed')).toBeLessThanOrEqual(0)
        for (const { because } of choices) expect(because).toMatch(/^\S.*\.$/)
      }),
      { numRuns: runs(80) },
    )
  })
})

test('a plan of version 1 keeps the steps it had', () => {
  const [old, older] = plansOf(goldenV1.entries) as [PlanFixed, PlanFixed]
  expect(old.procedure.id).toBe('small-funnel')
  expect(old.steps.map(({ id }) => id)).toEqual([
    'heat-solvent',
    'wet-the-crude',
    'dissolve-in-portions',
    'dilute-hot',
    'off-the-heat',
    'cool-undisturbed',
    'into-ice',
    'set-up-suction',
    'wipe-and-pour',
    'rinse-cold',
    'draw-air',
    'keep-the-liquor',
  ])
  expect(old.steps[9]?.text).toContain('it costs at most 0.007 g')
  expect([older.pair, older.inserts, older.amount]).toEqual([null, [], 'least hot solvent'])
})

describe('the procedure', () => {
  const choose = (crudeG: number, change: Partial<Parameters<typeof chooseProcedure>[1]> = {}) =>
    chooseProcedure(PROCEDURES, {
      crudeG,
      plan: { hotML: crudeG * 6, gritG: 0 },
      solvent: benzil.solvent,
      compound: benzil.compound,
      isPair: false,
      ...change,
    })
  test.each([
    [5, 'large-funnel'],
    [1.8, 'small-funnel'],
    [0.1, 'craig-tube'],
  ])('for %d g is proposed by scale, with why', (crudeG, id) => {
    const [first] = choose(crudeG)
    expect([first?.fit, first?.procedure.id]).toEqual(['proposed', id])
    expect(first?.because).toContain(first?.procedure.suits)
  })
  test('with grit at 100 mg is the centrifuge tube', () => {
    expect(choose(0.1, { plan: { hotML: 0.6, gritG: 0.004 } })[0]?.procedure.id).toBe('centrifuge-tube')
  })
  test('on a watch glass is from water only, and never proposed', () => {
    const of = (choices: ReturnType<typeof choose>) =>
      choices.find((one) => one.procedure.id === 'evaporation')
    expect(of(choose(1))).toMatchObject({
      fit: 'not for this',
      because: expect.stringContaining('From water only'),
    })
    expect(of(choose(1, { solvent: adipic.solvent }))).toMatchObject({
      fit: 'possible',
      because: expect.stringContaining('stays with the solid'),
    })
  })
  test('that holds no such volume is not for this, and says what does', () => {
    const craig = choose(0.1, { plan: { hotML: 9, gritG: 0 } }).find(
      (one) => one.procedure.id === 'craig-tube',
    )
    expect(craig).toMatchObject({
      fit: 'not for this',
      because: expect.stringContaining('does not fit a Craig tube'),
    })
    expect(glasswareFor('large funnel', 200, { hotML: 1400 }).trouble).toContain(
      'Divide the crude into batches',
    )
  })
  test('of a pair is asked for by a second solvent', () => {
    expect(choose(1, { isPair: true })[0]?.procedure.id).toBe('solvent-pair')
  })
  test('on a glass keeps all that dissolved', () => {
    const plan = planBatch('watch glass', benzil.input)
    expect(plan.crystalMassG).toBeCloseTo(1.804, 9)
    expect(plan.crystalMassFraction).toBeCloseTo(0.9, 9)
  })
})

test('rescues are there for each bench station, each with a remedy', () => {
  for (const station of ['dissolve', 'crystallize', 'collect', 'weigh'] as const)
    expect(rescuesAt(station).length).toBeGreaterThan(1)
  expect(new Set(RESCUES.map(({ id }) => id)).size).toBe(RESCUES.length)
  expect(RESCUES.every(({ remedies }) => remedies.length > 1)).toBe(true)
  expect(rescuesAt('crystallize').map(({ id }) => id)).toContain('oil')
  const collecting = (how: Procedure['collect']) => rescuesAt('collect', how).map(({ id }) => id)
  expect(collecting('Craig tube')).not.toContain('through-the-paper')
  expect(collecting('small funnel')).not.toContain('tube-broke')
})

test('a centrifuge partner is told by mass', () => {
  expect(partnerTrouble(6.48, 6.42)).toBeNull()
  expect(partnerTrouble(6.48, 6.31)).toContain('0.170 g lighter. Add water')
  expect(partnerTrouble(6.2, 6.48)).toContain('0.280 g heavier. Take water out')
  expect(() => partnerTrouble(6.2, 0)).toThrow('above zero')
})

describe('the volume', () => {
  const { excess: _, ...rest } = benzil.input
  test('proposed just keeps the impurity dissolved; without one, a tenth above the least', () => {
    expect(proposedVolume(planCrystallization({ ...rest, excess: 0 }), rest).ml).toBe(11)
    const { impurity: __, ...alone } = rest
    expect(proposedVolume(planCrystallization({ ...alone, excess: 0 }), alone).ml).toBe(3.9)
  })
  test('is not proposed beyond five times the least', () => {
    const stubborn = planCrystallization({
      ...rest,
      impurity: [
        [2, 0.2],
        [78, 15],
      ],
      excess: 0,
    })
    expect(stubborn.impurityStaysDissolvedML).toBeGreaterThan(5 * stubborn.minimumHotML)
    expect(proposedVolume(stubborn, rest).ml).toBe(3.9)
  })
  test('given becomes the excess that gives it, and below the least it is refused', () => {
    expect(planCrystallization(withVolumeML(rest, 7)).hotML).toBeCloseTo(7, 9)
    expect(() => withVolumeML(rest, 3)).toThrow('below the least hot volume of 3.5 mL')
  })
})

test('solid left past twice the least is grit, and solvent past the plan is remarked on', () => {
  const plan = { minimumHotML: 3.5, hotML: 11 }
  expect(gritMarkML(3.5)).toBe(7)
  expect([pastThePlanML(plan, 11), pastThePlanML(plan, 12), pastThePlanML(plan, 20)]).toEqual([null, null, 9])
  expect(pastThePlanML({ minimumHotML: 10, hotML: 11 }, 15)).toBeNull()
})

test('working temperatures stay under boiling, under the melting point, and above freezing', () => {
  expect(workingTemperatures(benzil.solvent, benzil.compound)).toEqual({ hotC: 78, coldC: 2 })
  expect(workingTemperatures({ ...benzil.solvent, boilingPointC: 110 }, benzil.compound).hotC).toBe(84)
  expect(workingTemperatures({ ...benzil.solvent, freezingPointC: 6.5 }, benzil.compound).coldC).toBe(12)
})

test('why this solvent', () => {
  expect(whyThisSolvent(benzil)[0]).toBe('About 71 times as much benzil dissolves at 78 °C as at 2 °C.')
  expect(whyThisSolvent(benzil).at(-1)).toBe('At this volume benzoin stays in the cold mother liquor.')
  const toluene = { ...benzil, solvent: { ...benzil.solvent, boilingPointC: 110.6 } }
  expect(whyThisSolvent(toluene).join(' ')).toContain('boils at 110.6 °C and is used at 78 °C')
  const boiling = { ...toluene, input: { ...toluene.input, hotC: 110 } }
  expect(whyThisSolvent(boiling).join(' ')).toContain('could come out as an oil')
})

describe('what a step does', () => {
  const golden2 = [...golden.entries, ...goldenV1.entries].filter(({ kind }) => kind === 'plan fixed')
  test('stands on the step and not in its name: a lab’s renamed one keeps its meaning', () => {
    const shipped = PROCEDURES.find(({ id }) => id === 'small-funnel') as Procedure
    const renamed: Procedure = {
      ...shipped,
      id: 'ours',
      steps: shipped.steps.map((step, i) => ({ ...step, id: `our-step-${i + 1}` })),
    }
    const plan = golden2.flatMap((entry) => upcast(entry) ?? [])[0]?.body as PlanFixed
    const batch = { ...plan, conventions: { ...plan.conventions, boilingStones: 'in both flasks' as const } }
    const marks = (procedure: Procedure) => renderSteps(procedure, batch).flatMap(({ means }) => means ?? [])
    expect(marks(shipped)).toEqual(['ice', 'liquor kept', 'stones out'])
    expect(marks(renamed)).toEqual(marks(shipped))
    const steps = renderSteps(renamed, batch)
    const keepLiquor = steps.find(({ means }) => means === 'liquor kept')
    const ticked = new Map([[keepLiquor?.id ?? '', { body: { step: keepLiquor?.id ?? '' } } as never]])
    expect(stepThat({ steps, ticked }, 'liquor kept')?.isTicked).toBe(true)
    expect(stepThat({ steps, ticked }, 'ice')?.isTicked).toBe(false)
    expect(stepThat({ steps: [], ticked }, 'ice')).toBeNull()
  })
  test('is read into plans that were fixed before steps had marks', () => {
    for (const entry of golden2) {
      const { steps } = upcast(entry)?.body as PlanFixed
      expect(steps.filter(({ id }) => id === 'keep-the-liquor').map(({ means }) => means)).toEqual([
        'liquor kept',
      ])
    }
  })
})
