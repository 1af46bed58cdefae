import { describe, expect, test } from '@jest/globals'
import type { TubeLook } from '@ivory-crystal/core/melting'
import { createTube, look, putIn, warm } from '../../../../core/src/simulator/tube'
import type { TubeReading } from '../../../../core/src/instruments/reading'
import { packPowder, seedOf, TUBE } from './powder'
import { isStill, sceneOf, shownAs, towards } from './scene'
import { deepened, tintOf } from './tint'

const powder = packPowder(seedOf('benzil 1'), 3, 'fine')
const sceneAt = (reading: TubeReading, atS = 0) => sceneOf(powder, shownAs(reading), atS)

/** A tube of benzil with a tenth of benzoin, or pure, heated at 1 °C/min, second by second. */
function heated(moleFractionA: number): TubeReading[] {
  const benzil = { meltingPointC: 95, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.2 }
  const benzoin = { meltingPointC: 134, enthalpyKJPerMol: 26, molarMassGPerMol: 212.2 }
  const sample = { a: benzil, b: moleFractionA < 1 ? benzoin : null, moleFractionA }
  let tube = putIn(createTube(sample, { fillMm: 3, grain: 'fine' }, { sampleLagMin: 0.3, seed: 3 }), 78)
  return Array.from({ length: 25 * 60 }, (_, s) => {
    tube = warm(tube, 78 + s / 60, 1)
    return look(tube)
  })
}

describe('a packed tube', () => {
  test('is hundreds of grains, all inside the bore and the filling', () => {
    expect(powder.grains.length).toBeGreaterThan(120)
    for (const { x, up } of powder.grains) {
      expect(Math.abs(x)).toBeLessThan(TUBE.halfWidth)
      expect(up).toBeGreaterThan(-1)
      expect(up).toBeLessThan(powder.fill + 5)
    }
  })
  test('looks the same again, and another looks otherwise', () => {
    expect(packPowder(seedOf('benzil 1'), 3, 'fine')).toEqual(powder)
    expect(packPowder(seedOf('benzil 2'), 3, 'fine')).not.toEqual(powder)
  })
  test('coarse has fewer, larger grains; overfull stands higher', () => {
    const coarse = packPowder(1, 3, 'coarse')
    expect(coarse.grains.length).toBeLessThan(powder.grains.length / 2)
    const size = (grains: typeof powder.grains) =>
      grains.reduce((sum, grain) => sum + grain.size, 0) / grains.length
    expect(size(coarse.grains)).toBeGreaterThan(1.4 * size(powder.grains))
    expect(packPowder(1, 4, 'fine').fill).toBeCloseTo((4 / 3) * powder.fill, 9)
    // An overfull one runs out of sight, and is no taller than the field.
    expect(packPowder(1, 60, 'fine').fill).toBeLessThan(TUBE.bottomY)
  })
  test('has its grains spread over the shells, which are of equal volume', () => {
    const count = Array.from(
      { length: 8 },
      (_, shell) => powder.grains.filter((grain) => grain.shell === shell).length,
    )
    for (const grains of count) expect(grains).toBeGreaterThan(powder.grains.length / 40)
  })
})

describe('what is drawn of a melting tube', () => {
  test.each([1, 0.9, 0.98])('with %p of it product, no drop and no pool before it shows drops', (x) => {
    const seen = new Set<TubeLook>()
    for (const reading of heated(x)) {
      const { drops, pool, grains } = sceneAt(reading)
      if (!seen.has('drops') && reading.look === 'drops') expect(drops.length).toBeGreaterThan(0)
      seen.add(reading.look)
      if (['powder', 'shrunk', 'sweating'].includes(reading.look)) {
        expect(drops).toEqual([])
        expect(pool).toBeNull()
        expect(grains).toHaveLength(powder.grains.length)
      }
      if (reading.look === 'drops') expect(drops[0]?.radius).toBe(12)
      if (reading.look === 'last crystals') expect(grains.length).toBeGreaterThanOrEqual(3)
      if (reading.look === 'clear') expect(grains).toEqual([])
    }
    expect(seen.has('clear')).toBe(true)
  })
  test('the powder draws in from the wall before it is wet, and never grows again', () => {
    const width = (reading: TubeReading) => Math.max(...sceneAt(reading).grains.map(({ x }) => Math.abs(x)))
    const dry = width({ look: 'powder', liquidFraction: 0 })
    const shrunk = width({ look: 'shrunk', liquidFraction: 0 })
    expect(dry - shrunk).toBeGreaterThan(2)
    let left = powder.grains.length
    for (const reading of heated(0.9)) {
      const { length } = sceneAt(reading).grains
      if (reading.look !== 'last crystals') expect(length).toBeLessThanOrEqual(left)
      left = Math.min(left, length)
    }
  })
  test('sweating is wet at the wall only, a clear melt has a meniscus, a decomposed one bubbles and is dark', () => {
    const sweating = sceneAt({ look: 'sweating', liquidFraction: 0.1 })
    expect(sweating.wets.length).toBeGreaterThan(0)
    expect(sweating.drops).toEqual([])
    const clear = sceneAt({ look: 'clear', liquidFraction: 1 })
    expect(clear.pool).toMatchObject({ opacity: 1, meniscus: 7 })
    expect(clear.pool?.up).toBeLessThan(0.7 * powder.fill)
    const burnt = sceneAt({ look: 'bubbling', liquidFraction: 1 }, 3)
    expect(burnt.bubbles.length).toBeGreaterThan(3)
    expect(burnt.dark).toBe(1)
    for (const { up } of burnt.bubbles) expect(up).toBeLessThan(burnt.pool?.up ?? 0)
  })
})

test('the drawing comes to what was read, and then stands still', () => {
  const from = shownAs({ look: 'powder', liquidFraction: 0 })
  const goal = shownAs({ look: 'slush', liquidFraction: 0.7 })
  const once = towards(from, goal, 1 / 60)
  expect(once.look).toBe('slush')
  expect(once.shells[0]).toBeGreaterThan(0)
  expect(once.shells[0]).toBeLessThan(0.1)
  expect(isStill(once, goal)).toBe(false)
  let shown = once
  for (let frame = 0; frame < 600; frame++) shown = towards(shown, goal, 1 / 60)
  expect(shown).toEqual(goal)
  expect(isStill(shown, goal)).toBe(true)
})

describe('colours', () => {
  test('are those of the words, between two where it says so', () => {
    const [white, yellow] = [tintOf('white'), tintOf('yellow')]
    expect(tintOf('white to yellow')).toEqual(white.map((c, i) => (c + (yellow[i] ?? 0)) / 2))
    expect(tintOf('white to pale yellow, violet fluorescence')).toEqual(tintOf('white to pale yellow'))
    expect(tintOf('orange-red')).not.toEqual(tintOf('orange'))
    expect(tintOf('like a rainbow')).toEqual(tintOf(null))
  })
  test('a melt is deeper than its powder', () => {
    const sum = (tint: readonly number[]) => tint.reduce((a, b) => a + b, 0)
    for (const colour of ['white', 'yellow', 'orange-red', null])
      expect(sum(deepened(tintOf(colour)))).toBeLessThan(sum(tintOf(colour)))
  })
})
