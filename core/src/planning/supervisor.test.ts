import { describe, expect, test } from '@jest/globals'
import { driesInAir } from '../weighing/airDrying'
import { glassOf } from '../procedures/amounts'
import { proposedKeptBackG, solventsOf } from '../procedures/batch'
import { heatFor } from '../procedures/heat'
import { isHalogenated } from '../substances/groups'
import { reactionOf } from '../substances/reactions'
import { freezesNearIce } from '../solubility/volume'
import type { Shelf } from '../wire'
import { withSecond } from './draft'
import { outcomeOf } from './planDraft'
import { BATCHES_G, draftFor, KNOWN_PAIRS, PLANNING_SHELF, planOrRefusal, readPlan } from '../../golden/plans'
import { isFlammable } from '../substances/hazards'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import { REFERENCE_SOLVENTS } from '../reference/reference'

const shelf = PLANNING_SHELF
const read = readPlan
const [compound, solvent] = [referenceCompound, referenceSolvent]

describe.each(KNOWN_PAIRS)('%s from %s, at every scale', (compoundId, solventId) => {
  const of = compound(compoundId)
  const from = solvent(solventId)
  const plans = BATCHES_G.flatMap((crudeG) => {
    const plan = planOrRefusal(of, draftFor(of, solventId), crudeG)
    return plan ? [{ crudeG, ...plan }] : []
  })

  test('bath, temperature and words about boiling agree', () => {
    for (const { words, planned, steps } of plans) {
      const heat = heatFor([from], planned.input.hotC)
      const burns = isFlammable(from.hazards)
      const boilsC = from.boilingPointC ?? 0
      expect(planned.input.hotC).toBeLessThanOrEqual(boilsC || 70)
      expect(planned.input.hotC).toBeLessThan(of.meltLowC)
      if (burns && boilsC < 85) expect(words).not.toMatch(/hot plate (?:set|a little)|heating block/)
      if (heat.notAboveC !== null) {
        expect(words).not.toMatch(/gentle boil|boiling solvent|plate set|boil it back/)
        const atTheHeat = steps.filter(({ portions }) => portions === 'dissolve' || portions === 'dilute')
        for (const { caution } of atTheHeat)
          if (planned.procedure.collect !== 'watch glass')
            expect(caution).toContain(`at ${planned.input.hotC} °C or below`)
      }
      if (burns) expect(words).toMatch(/no flame|Never a flammable solvent over steam/)
    }
  })
  test('the glass holds solvent and solid, and a large batch stands under a condenser', () => {
    for (const { words, planned, batch, crudeG } of plans) {
      const { hotML } = planned.plan
      const fits = planned.choices.find(({ procedure }) => procedure === planned.procedure)?.fit
      expect(fits).not.toBe('not for this')
      if (planned.procedure.collect === 'watch glass') continue
      const vessel = glassOf(planned.procedure.collect, batch).vessel ?? ''
      const size = Number(/^(\d+) mL/.exec(vessel)?.[1])
      expect(size).toBeGreaterThanOrEqual(hotML)
      if (!planned.procedure.collect.includes('funnel')) continue
      expect(size).toBeGreaterThanOrEqual(2 * (hotML + 0.8 * planned.input.crudeG) - 1e-9)
      const isLarge = crudeG > 10 || hotML > 100
      expect(words.includes('reflux condenser')).toBe(isLarge)
      expect(words).toContain(`into a ${vessel}`)
      expect(vessel.includes('round-bottomed')).toBe(isLarge)
    }
  })
  test('a volume that cannot be worked with is never proposed in silence', () => {
    for (const { planned } of plans) {
      const perG = planned.plan.hotML / planned.input.crudeG
      expect(planned.plan.hotML).toBeGreaterThanOrEqual(planned.plan.minimumHotML)
      if (perG < 1) expect(planned.remarks.join(' ')).toContain('wet cake')
    }
  })
  test('cold, ice, rinse and freezing agree', () => {
    for (const { words, planned } of plans) {
      const { coldC, washML } = planned.input
      if (freezesNearIce(from)) {
        expect(coldC).toBeGreaterThanOrEqual((from.freezingPointC ?? 0) + 5)
        expect(words).not.toMatch(/in ice down|ice-cold/)
      } else if (planned.procedure.collect !== 'watch glass') expect(words).not.toContain('in water of about')
      expect(washML).toBeLessThanOrEqual(planned.plan.hotML + 1e-9)
      expect(planned.remarks.join(' ')).not.toMatch(/rinse is more|large rinse|freezes/)
    }
  })
  test('waste and drying follow what it is wet with and what it is', () => {
    for (const { waste, words, planned } of plans) {
      if (planned.procedure.collect !== 'watch glass') {
        expect(waste.includes('halogenated')).toBe(isHalogenated(of.formula) || from.group === 'chlorinated')
        if (from.group === 'acid') expect(waste).toContain('acid organic waste')
      }
      if (of.behaviour.includes('sublimes') && of.anhydrousAtC === undefined)
        expect(words).not.toContain('dry them in an oven')
      expect(words.includes('weigh them again, until two weighings agree')).toBe(!driesInAir([from]))
      const oven = /oven at about (\d+) °C/.exec(words)
      if (oven) expect(Number(oven[1])).toBeLessThanOrEqual(of.meltLowC - 20)
    }
  })
  test('a larger batch is given no less time, and all of the crude is accounted for', () => {
    const minutes = plans.map(
      ({ steps }) => steps.find(({ timer }) => timer?.timer === 'cool')?.timer?.minutes ?? 0,
    )
    const flasks = plans.flatMap(({ planned }, i) =>
      planned.procedure.collect.includes('funnel') ? [minutes[i] ?? 0] : [],
    )
    expect(flasks).toEqual([...flasks].sort((p, q) => p - q))
    for (const { planned, crudeG, words, steps } of plans) {
      expect(planned.input.crudeG + planned.keptBackG).toBeCloseTo(crudeG, 6)
      expect(steps[0]?.id).toBe('keep-back')
      expect(words).not.toMatch(/NaN|undefined|Infinity|\{|\}|null/)
    }
  })
  test('what reacts with the solvent is said', () => {
    const reaction = reactionOf(of, from)
    for (const { planned } of plans)
      if (reaction) expect(planned.remarks.join(' ')).toContain(reaction.sentence.slice(1))
  })
})

describe('heat', () => {
  const at = (id: string, hotC: number) => heatFor([solvent(id)], hotC).source
  test('follows the solvent', () => {
    expect(at('diethyl-ether', 34)).toBe('warm water')
    expect(at('dichloromethane', 39)).toBe('warm water')
    for (const id of ['methanol', 'acetone', 'ethanol-95', 'ethyl-acetate', 'hexane', '2-propanol'])
      expect([id, at(id, solvent(id).boilingPointC ?? 0)]).toEqual([id, 'water bath'])
    for (const id of ['water', 'acetic-acid'])
      expect([id, at(id, solvent(id).boilingPointC ?? 0)]).toEqual([id, 'hot plate'])
    // Heptane lights by itself near 205 °C: no bare plate for what burns easily.
    for (const id of ['toluene', 'heptane'])
      expect([id, at(id, solvent(id).boilingPointC ?? 0)]).toEqual([id, 'hot bath'])
    for (const { id } of REFERENCE_SOLVENTS)
      expect([id, heatFor([solvent(id)], solvent(id).boilingPointC ?? 60, true).source]).not.toEqual([
        id,
        'hot plate',
      ])
    // What boils over a range is held short of where the first of it boils.
    expect(at('petroleum-ether-60-80', 55)).toBe('held bath')
    expect(draftFor(compound('naphthalene'), 'petroleum-ether-60-80').hotC).toBe('55')
  })
  test('planned short of boiling, every step holds it there', () => {
    const { words, steps } = read(
      compound('naphthalene'),
      draftFor(compound('naphthalene'), 'ethanol-absolute'),
      2,
    )
    expect(steps.find(({ id }) => id === 'heat-solvent')?.text).toContain(
      'in a water bath held at 69 °C. Heat it no higher: naphthalene would melt before it dissolves',
    )
    expect(words).not.toMatch(/plate set|boiling solvent|gentle boil/)
  })
})

describe('an ether', () => {
  const ether = { ...solvent('diethyl-ether') }
  const rows = [
    [0, 2],
    [34, 12],
  ].map(([temperatureC, gPer100ML]) => ({
    compound: 'benzophenone',
    solvent: ether.id,
    temperatureC,
    gPer100ML,
    confidence: null,
    source: 'a bench',
  }))
  const shelved = { ...shelf, solubilities: rows } as unknown as Shelf
  const of = compound('benzophenone')
  const draft = draftFor(of, ether.id, {}, shelved)
  const { words, steps } = read(of, draft, 2, shelved)
  test('is tested for peroxides before it is heated, never evaporated toward dryness, and never left to stand', () => {
    expect(steps.find(({ id }) => id === 'heat-solvent')?.caution).toMatch(
      /date of opening and test for peroxides/,
    )
    expect(steps.find(({ id }) => id === 'cool-undisturbed')?.caution).toContain(
      'Never evaporate it toward dryness',
    )
    expect(steps.filter(({ stop, station }) => stop && station !== 'weigh')).toEqual([])
    expect(words).not.toContain('flammables’ store')
  })
})

describe('two solvents', () => {
  const of = compound('benzoic-acid')
  const rows = [
    [20, 45],
    [73, 120],
  ].map(([temperatureC, gPer100ML]) => ({
    compound: of.id,
    solvent: 'ethanol-95',
    temperatureC,
    gPer100ML,
    confidence: null,
    source: 'a bench',
  }))
  const shelved = { ...shelf, solubilities: [...shelf.solubilities, ...rows] } as unknown as Shelf
  const first = draftFor(of, 'ethanol-95', {}, shelved)
  const draft = { ...first, ...withSecond(shelved, of, first, 'water') }
  const { steps, planned, batch } = read(of, draft, 3, shelved)
  test('work 5 °C under the lower boiling point, the second one heated too', () => {
    expect(planned.input.hotC).toBe(73)
    expect(solventsOf(batch)).toHaveLength(2)
    expect(steps.find(({ id }) => id === 'heat-second')?.text).toMatch(/of water in a .*in the same bath/)
    expect(steps.find(({ id }) => id === 'cloud-with-second')?.caution).toContain('at 73 °C or below')
  })
  test('that part when cold are doubted', () => {
    const parted = { ...draft, second: 'heptane', secondPoints: [{ temperature: '20', solubility: '0.5' }] }
    expect(read(of, parted, 3, shelved).planned.remarks.join(' ')).toContain('mix only in part when cold')
  })
})

describe('a very soluble solid', () => {
  const of = compound('dl-malic-acid')
  const { planned } = read(of, draftFor(of, 'water'), 2.3)
  test('is told to be a wet cake, and what to do about it', () => {
    expect(planned.proposed.because).toBe('no room to work')
    expect(planned.remarks.join(' ')).toMatch(/wet cake.*choose another solvent/)
  })
  test('is given room where the liquor does not keep too much', () => {
    const acetanilide = compound('acetanilide')
    const room = read(acetanilide, draftFor(acetanilide, 'ethanol-95'), 2).planned
    expect(room.proposed.because).toBe('room to work')
    expect(room.plan.hotML / room.input.crudeG).toBeGreaterThanOrEqual(1)
    expect(room.remarks.join(' ')).toContain('enough mother liquor to separate from the crystals')
  })
})

test('colder than ice takes salt', () => {
  const of = compound('naphthalene')
  const draft = draftFor(of, 'hexane')
  const ice = (coldC: string) =>
    read(of, { ...draft, coldC }, 2).steps.find(({ id }) => id === 'into-ice')?.text
  expect(ice('2')).toContain('stand it in ice and water down to about 2 °C')
  expect(ice('-10')).toContain('stand it in ice with salt down to about -10 °C')
})

test('what is kept back is 25 mg, of a small batch a twentieth', () => {
  expect([1.8, 0.5, 0.2, 0.1, 0.02].map(proposedKeptBackG)).toEqual([0.025, 0.025, 0.01, 0.005, 0.002])
})

test('what a lab has closed is refused by name', () => {
  const of = compound('benzoic-acid')
  const closed = (ids: string[]) =>
    outcomeOf(draftFor(of, 'water'), { crudeG: 1, compound: of, shelf, closed: ids })
  expect(closed(['water'])).toMatchObject({
    ok: false,
    problem: { sentence: expect.stringContaining('Water: not allowed') },
  })
  expect(closed([of.id])).toMatchObject({
    ok: false,
    problem: { sentence: expect.stringContaining('Benzoic acid: not allowed') },
  })
  expect(closed(['hexane'])).toMatchObject({ ok: true })
})

describe('taken off hot', () => {
  const of = compound('benzoic-acid')
  test('a diluted batch is filtered at its own volume and never boiled back', () => {
    const { steps } = read(of, { ...draftFor(of, 'water'), inserts: ['hot filtration'], volumeML: '60' }, 2)
    const ids = steps.map(({ id }) => id)
    expect(ids).toContain('filter-hot-as-planned')
    expect(ids).not.toContain('boil-back')
    expect(ids).not.toContain('dilute-hot')
  })
  test('one at the least volume is given more for the way, and brought back to the plan once', () => {
    const { steps, planned } = read(of, { ...draftFor(of, 'water'), inserts: ['hot filtration'] }, 2)
    const text = (id: string) => steps.find((step) => step.id === id)?.text ?? ''
    const more = Number(/Add ([\d.]+) mL/.exec(text('filter-hot'))?.[1])
    expect(planned.plan.hotML + more).toBeCloseTo(1.6 * planned.plan.minimumHotML, 0)
    expect(text('boil-back')).toContain(`back to ${planned.plan.hotML.toFixed(1)} mL`)
    expect(steps.map(({ id }) => id)).not.toContain('dilute-hot')
  })
})
