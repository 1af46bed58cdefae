import { describe, expect, test } from '@jest/globals'
import { renderToStaticMarkup } from 'react-dom/server'
import { eutectic } from '@ivory-crystal/core/melting'
import type { MapPoint } from './PhaseMapParts'
import { PhaseMap } from './PhaseMap'
import { PlateDrawing } from './PlateDrawing'
import { TubeDrawing } from './TubeDrawing'

const benzil = { meltingPointC: 96, enthalpyKJPerMol: 23.5, molarMassGPerMol: 210.23 }
const benzoin = { meltingPointC: 137.5, enthalpyKJPerMol: 23.2, molarMassGPerMol: 212.24 }
const draw = (points: readonly MapPoint[], path = false) =>
  renderToStaticMarkup(
    <PhaseMap
      a={{ name: 'benzil', fusion: benzil }}
      b={{ name: 'benzoin', fusion: benzoin }}
      points={points}
      path={path}
      probe={{ moleFractionA: 0.5, temperatureC: 90 }}
      onProbe={() => undefined}
    />,
  )
const crude: MapPoint = {
  key: 'crude',
  label: 'crude, about 9 %',
  moleFractionA: 0.91,
  between: [0.88, 0.94],
  range: { onsetC: 78.4, clearC: 91.6 },
  tone: 'crude',
}
const product: MapPoint = {
  ...crude,
  key: 'product',
  label: 'product, at most 2 %',
  moleFractionA: 1,
  range: { onsetC: 93.6, clearC: 95.6 },
  tone: 'product',
}

describe('the phase map', () => {
  test('tells the eutectic and every sample to the ear, with the core’s numbers', () => {
    const meet = eutectic(benzil, benzoin)
    const html = draw([crude])
    expect(html).toContain(
      `eutectic at ${meet.temperatureC.toFixed(1)} °C and ${(100 * (1 - meet.moleFractionA)).toFixed(0)} mol % benzoin`,
    )
    expect(html).toContain('crude, about 9 % at 9 mol % from 78.4 to 91.6 °C.')
  })
  test('both lines begin at the pure ends and end in the eutectic', () => {
    const [left, right] = [
      ...draw([]).matchAll(/d="M([\d. L]+)" fill="none" stroke="var\(--ink\)" stroke-width="2"/g),
    ]
    const ends = (found?: RegExpMatchArray) =>
      (found?.[1] ?? '').split('L').filter((_, i, all) => i === 0 || i === all.length - 1)
    const end = (of?: RegExpMatchArray) => (ends(of)[1] ?? '').split(' ').map(Number)
    end(left).forEach((at, i) => {
      expect(at).toBeCloseTo(end(right)[i] ?? NaN, 6)
    })
    expect(ends(left)[0]?.startsWith('44.0 ')).toBe(true)
    expect(ends(right)[0]?.startsWith('446.0 ')).toBe(true)
  })
  test('a sample’s bar is true to its range, and its name does not lie on another’s', () => {
    const html = draw([crude, product], true)
    const heights = [...html.matchAll(/width="8" height="([\d.]+)"/g)].map(([, height]) => Number(height))
    expect((heights[0] ?? 0) / (heights[1] ?? 1)).toBeCloseTo((91.6 - 78.4) / 2, 6)
    const at = (label: string) => Number(new RegExp(`y="([\\d.]+)"[^>]*>${label}`).exec(html)?.[1])
    expect(Math.abs(at('crude, about 9 %') - at('product, at most 2 %'))).toBeGreaterThanOrEqual(17)
  })
  test('names its fields where there is room, and not under a sample', () => {
    expect(draw([])).toContain('benzoin + liquid')
    expect(draw([])).toContain('all solid')
    const inTheWay = draw([{ ...crude, moleFractionA: 0.35, between: null }])
    expect(inTheWay).not.toContain('>benzoin + liquid<')
  })
})

describe('the plate', () => {
  const html = renderToStaticMarkup(
    <PlateDrawing
      size={{ widthMm: 40, heightMm: 80 }}
      lineMm={10}
      frontMm={50}
      lanes={[
        { label: 'K-14', kind: 'sample', acrossMm: 10, spots: [{ mm: 25, shape: 'round', rf: 0.5 }] },
        { label: 'both', kind: 'co-spot', acrossMm: 20, spots: [{ mm: 20, shape: 'faint', rf: 0.4 }] },
        { label: 'ester', kind: 'authentic', acrossMm: 30, spots: [] },
      ]}
      photograph={null}
      hands={null}
    />,
  )
  test('is drawn to scale: a spot half way to the front stands half way', () => {
    const y = (pattern: RegExp) => Number(pattern.exec(html)?.[1])
    const line = y(/M16 ([\d.]+)h216" stroke="var\(--ink-2\)"/)
    const front = y(/M16 ([\d.]+)h216" stroke="var\(--ice\)"/)
    const spot = y(/cy="([\d.]+)"/)
    expect((line - spot) / (line - front)).toBeCloseTo(0.5, 6)
  })
  test('says what is where', () => {
    expect(html).toContain(
      'K-14: a spot at 25.0 mm. both: a spot at 20.0 mm. ester: no spot. Front at 50.0 mm.',
    )
    expect(html).toContain('stroke-dasharray="2 2"')
  })
})

test.each([
  ['powder', 0, 'dry powder'],
  ['slush', 0.6, 'slush'],
  ['last crystals', 0.9, 'a few crystals left'],
  ['clear', 1, 'clear liquid'],
  ['bubbling', 1, 'bubbles, darkening'],
  ['sweating', 0.05, 'wet at the wall'],
] as const)('a tube that is %s is said so', (look, liquidFraction, sentence) => {
  const html = renderToStaticMarkup(<TubeDrawing tube={{ look, liquidFraction }} name="A tube" />)
  expect(html).toContain(`A tube: ${sentence}`)
})
