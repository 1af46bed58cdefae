import { describe, expect, test } from '@jest/globals'
import { REFERENCE_COMPOUNDS, REFERENCE_SOLVENTS } from '../reference/reference'
import { referenceCompound, referenceSolvent } from '../../golden/reference'
import { asksForGloves, asksForHood, guardFor, isCorrosive } from '../substances/hazards'
import { wasteOf } from '../procedures/waste'
import { PROCEDURES } from '../procedures/shipped'
import { conditionsOf } from '../procedures/conditions'
import { renderSteps } from '../procedures/render'
import { heatFor, placeOfHeat } from '../procedures/heat'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import type { Batch } from '../procedures/batch'
import { planCrystallization } from '../solubility/planCrystallization'

const compounds = REFERENCE_COMPOUNDS.map(({ id }) => referenceCompound(id))
const solvents = REFERENCE_SOLVENTS.map(({ id }) => referenceSolvent(id))

/** A batch of so much crude that needs 8 mL a gram. */
function batchOf(id: string, from: string, crudeG: number, change: Partial<Batch> = {}): Batch {
  const solvent = referenceSolvent(from)
  const hotC = solvent.boilingPointC ?? 60
  const product = [
    [0, 1],
    [hotC, 15],
  ] as const
  const input = { crudeG, assay: 0.9, product, hotC, coldC: 2, excess: 0.1, washML: 1 }
  return {
    compound: referenceCompound(id),
    impurity: null,
    solvent,
    pair: null,
    input,
    result: planCrystallization(input),
    conventions: DEFAULT_HOUSE_RULES,
    inserts: [],
    amount: 'least hot solvent',
    crudeText: String(crudeG),
    keptBackG: 0.025,
    solubilityConfidence: null,
    inCharge: null,
    ...change,
  }
}
const funnel = (batch: Batch) => {
  const procedure = PROCEDURES.find(({ id }) => id === 'large-funnel')
  if (!procedure) throw new Error('The large funnel is not shipped.')
  return { procedure, steps: renderSteps(procedure, batch) }
}
const wordsOf = (steps: ReturnType<typeof funnel>['steps']) =>
  steps.map(({ text, caution = '' }) => `${text} ${caution}`).join('\n')

describe('guards add up', () => {
  test('hood, gloves and face shield each by their own hazards, for every compound of the shelf', () => {
    for (const { id, hazards } of compounds) {
      const guard = guardFor(hazards).toLowerCase()
      if (hazards.length === 0) expect([id, guard]).toEqual([id, expect.stringContaining('not known here')])
      else
        expect([id, guard.includes('hood'), guard.includes('gloves'), guard.includes('shield')]).toEqual([
          id,
          asksForHood(hazards),
          asksForGloves(hazards),
          isCorrosive(hazards),
        ])
    }
    expect(guardFor(['H301', 'H311', 'H314', 'H331', 'H341'])).toBe('Gloves and a face shield, in the hood.')
    expect(guardFor(['H317'])).toBe('Gloves.')
    expect(guardFor(['H334'])).toBe('Gloves, in the hood.')
    expect(guardFor(['H335'])).toBe('In the hood.')
  })
  test('it stands on the steps at which the solid is handled', () => {
    const { steps } = funnel(batchOf('phenol', 'water', 5))
    for (const id of ['keep-back', 'wet-the-crude', 'dry-and-weigh-again'])
      expect([id, steps.find((step) => step.id === id)?.caution]).toEqual([
        id,
        expect.stringContaining('Gloves and a face shield, in the hood.'),
      ])
  })
  test('what is toxic or harms life in water never goes down a sink, as the compound or as its impurity', () => {
    const water = referenceSolvent('water')
    for (const id of ['1-3-dinitrobenzene', 'phenol', '3-nitroaniline', 'catechol', '2-naphthol'])
      expect([id, wasteOf(water, null, referenceCompound(id))]).toEqual([
        id,
        expect.stringContaining('never the sink'),
      ])
    const adipic = referenceCompound('adipic-acid')
    expect(wasteOf(water, null, adipic)).toContain('unless your lab allows the sink')
    expect(wasteOf(water, null, adipic, referenceCompound('phenol'))).toBe('aqueous waste, never the sink')
    expect(wasteOf(water, null, adipic, referenceCompound('4-chlorobenzoic-acid'))).toContain('halogenated')
  })
})

describe('a large batch under reflux', () => {
  test('has something to boil on in every flask, whatever the house rule, and is never left', () => {
    for (const { id } of solvents)
      for (const boilingStones of ['in both flasks', 'in the solvent only'] as const) {
        const { steps } = funnel(
          batchOf('adipic-acid', id, 100, { conventions: { ...DEFAULT_HOUSE_RULES, boilingStones } }),
        )
        const words = wordsOf(steps)
        expect([id, words]).toEqual([
          id,
          expect.stringMatching(
            /Counted boiling stones \(or a stirring bar\) go in too|A stirring bar goes in too/,
          ),
        ])
        expect(words).toContain('never leave it while it is hot')
        expect(words).toMatch(/with a boiling stone, under its own condenser/)
        expect(words).toContain('through the condenser or a dropping funnel')
        expect(words).not.toMatch(/Lift it off the heat|swirl and wait/)
        expect(
          steps.some((step) => step.id === 'pick-out-stones') ||
            !conditionsOf(PROCEDURES[0] as never, batchOf('adipic-acid', id, 100)).has(
              'stones in both flasks',
            ),
        ).toBe(true)
      }
  })
  test('stands in a bath, block or mantle on a jack, and on no plate', () => {
    for (const solvent of solvents) {
      const heat = heatFor([solvent], solvent.boilingPointC ?? 60, true)
      expect([solvent.id, heat.source === 'hot plate', placeOfHeat(heat, true)]).toEqual([
        solvent.id,
        false,
        expect.stringContaining('on a lab jack'),
      ])
    }
  })
})

describe('drying says one thing', () => {
  test('no step sends crystals wet with an organic solvent into an oven', () => {
    for (const from of solvents) {
      const words = wordsOf(funnel(batchOf('anthracene', from.id, 5)).steps)
      if (from.group !== 'water') expect([from.id, words.includes('in an oven at')]).toEqual([from.id, false])
    }
    const toluene = wordsOf(funnel(batchOf('anthracene', 'toluene', 5)).steps)
    expect(toluene).toContain('leave them in the hood until they no longer smell of toluene')
    expect(wordsOf(funnel(batchOf('adipic-acid', 'water', 5)).steps)).toContain('in an oven at about 110 °C')
  })
  test('what goes off is drawn with air for two minutes only, and the step says why', () => {
    for (const id of ['camphor', 'naphthalene']) {
      const { steps } = funnel(batchOf(id, 'ethanol-95', 5))
      const air = steps.find((step) => step.id === 'draw-air-briefly')
      expect([id, air?.text, air?.caution]).toEqual([
        id,
        expect.stringContaining('for 2 min only'),
        expect.stringContaining('Use no oven and no vacuum'),
      ])
      expect(steps.some((step) => step.id === 'draw-air')).toBe(false)
    }
  })
  test('the narrow tube has its drying step', () => {
    const craig = PROCEDURES.find(({ id }) => id === 'craig-tube')
    const steps = renderSteps(craig as never, batchOf('benzil', 'ethanol-95', 0.1))
    const at = (id: string) => steps.findIndex((step) => step.id === id)
    expect(at('dry-in-vial')).toBeGreaterThan(at('pull-out'))
    expect(steps[at('dry-in-vial')]?.timer?.timer).toBe('air')
  })
})
