import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { plateTrouble } from './plateTrouble'
import { type Lane, readLanes, readPlate } from './readPlate'
import { poorEvidence, retentionFactor, spotsAgree } from './retentionFactor'

const lane = (kind: Lane['kind'], ...spotsMm: number[]): Lane => ({ label: kind, kind, spotsMm })

test('a plate whose line stood in the eluent, or whose front ran to the edge, is poor evidence', () => {
  const lanes: Lane[] = [
    { label: 'benzil', kind: 'sample', spotsMm: [30] },
    { label: 'authentic', kind: 'authentic', spotsMm: [30] },
  ]
  expect(plateTrouble({ lineMm: 10, frontMm: 60, heightMm: 80 })).toEqual([])
  const washed = plateTrouble({ lineMm: 3, frontMm: 60, heightMm: 80 })
  expect(washed.join()).toContain('The pencil line is 3 mm above the edge')
  const edge = plateTrouble({ lineMm: 10, frontMm: 70, heightMm: 80 })
  expect(edge.join()).toContain('The front ran to the upper edge')
  expect(readPlate(lanes, 60)).toMatchObject({ agrees: true, isPoor: false })
  expect(readPlate(lanes, 70, edge)).toMatchObject({ agrees: null, isPoor: true, sentence: edge[0] })
})

describe('retention factor', () => {
  test('is the ratio of two distances, with what half a millimetre does to it', () => {
    const { rf, standardUncertainty } = retentionFactor(21, 50)
    expect(rf).toBeCloseTo(0.42, 12)
    // 0.5/√3 on both: √(0.2887² + (0.42·0.2887)²)/50
    expect(standardUncertainty).toBeCloseTo(0.006262, 6)
  })
  test('lies in 0 to 1, and a longer run reads it more surely', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        fc.double({ min: 5, max: 100, noNaN: true }),
        (share, frontMm) => {
          const near = retentionFactor(share * frontMm, frontMm)
          const far = retentionFactor(share * frontMm * 2, frontMm * 2)
          expect(near.rf).toBeGreaterThanOrEqual(0)
          expect(near.rf).toBeLessThanOrEqual(1)
          expect(far.standardUncertainty).toBeLessThan(near.standardUncertainty)
        },
      ),
    )
  })
  test.each([
    [60, 50, 'lies above the front'],
    [-1, 50, 'below the pencil line'],
    [10, 0, 'must lie above the pencil line'],
    [NaN, 50, 'is not a number'],
  ])('a spot at %d of %d mm is refused', (spot, front, message) => {
    expect(() => retentionFactor(spot, front)).toThrow(message)
  })
  test('two spots agree within what reading allows, and no further', () => {
    const at = (mm: number) => retentionFactor(mm, 50)
    expect(spotsAgree(at(21), at(21.8))).toBe(true)
    expect(spotsAgree(at(21), at(22.5))).toBe(false)
  })
  test('near the line and near the front it says little', () => {
    expect(poorEvidence({ rf: 0.04 })).toContain('more polar')
    expect(poorEvidence({ rf: 0.92 })).toContain('less polar')
    expect(poorEvidence({ rf: 0.45 })).toBeNull()
  })
})

describe('a plate', () => {
  test('one spot at the height of the authentic one', () => {
    expect(readPlate([lane('sample', 21), lane('authentic', 21.5)], 50)).toMatchObject({
      spots: 1,
      agrees: true,
      rf: 0.42,
      isPoor: false,
    })
  })
  test('a different height is a different compound', () => {
    const opinion = readPlate([lane('sample', 21), lane('authentic', 30)], 50)
    expect(opinion?.agrees).toBe(false)
    expect(opinion?.sentence).toContain('further apart than the reading error')
  })
  test('a co-spot in one place outweighs a millimetre between the lanes, and not a centimetre', () => {
    const lanes = (authenticMm: number) => [
      lane('sample', 21),
      lane('co-spot', 21.8),
      lane('authentic', authenticMm),
    ]
    expect(readPlate([lane('sample', 21), lane('authentic', 22.6)], 50)?.agrees).toBe(false)
    expect(readPlate(lanes(22.6), 50)?.agrees).toBe(true)
    expect(readPlate(lanes(22.6), 50)?.sentence).toContain('spotted together they stay in one place')
    expect(readPlate(lanes(31), 50)?.agrees).toBe(false)
  })
  test('a co-spot that parts outweighs two heights that look alike', () => {
    const lanes = [lane('sample', 21), lane('co-spot', 20.6, 22.1), lane('authentic', 21.8)]
    expect(readPlate(lanes, 50)).toMatchObject({ agrees: false })
    expect(readPlate(lanes, 50)?.sentence).toContain('two compounds')
    expect(readPlate([lane('sample', 21), lane('co-spot', 21.2), lane('authentic', 21.5)], 50)?.agrees).toBe(
      true,
    )
  })
  test('two spots are counted; near an end agreement is no evidence; alone it says only the number', () => {
    expect(readPlate([lane('sample', 21, 35), lane('authentic', 21)], 50)).toMatchObject({
      spots: 2,
      agrees: true,
    })
    expect(readPlate([lane('sample', 48), lane('authentic', 48)], 50)).toMatchObject({
      agrees: null,
      isPoor: true,
    })
    expect(readPlate([lane('sample', 21)], 50)).toMatchObject({ spots: 1, agrees: null, authenticRf: null })
    expect(readPlate([lane('authentic', 21), lane('sample')], 50)).toBeNull()
  })
  test('a spot above the front is named by its lane', () => {
    expect(() => readLanes([lane('co-spot', 55)], 50)).toThrow('co-spot: A spot at 55 mm')
  })
})
