import { describe, expect, test } from '@jest/globals'
import { renderToStaticMarkup } from 'react-dom/server'
import { accountOf, type AccountRow, fold, prepsOf } from '@ivory-crystal/core/notebook'
import { golden } from '../../../core/golden/contract'
import { MassBalance } from './MassBalance'
import { widthOf } from './placeLabels'
import { SolventColumn } from './SolventColumn'
import { TradeoffChart } from './TradeoffChart'

const view = fold(golden.entries)
const benzil = prepsOf(view).find(({ opened }) => opened.body.title === 'Benzil, from benzoin')?.id
const account = benzil ? accountOf(view, benzil) : null
const rows: readonly AccountRow[] = account?.ok ? account.value.rows : []

describe('the drawn balance', () => {
  const drawn = renderToStaticMarkup(<MassBalance crudeG={1.804} rows={rows} />)
  const heights = (html: string) =>
    [...html.matchAll(/<rect[^>]*height="([\d.]+)"/g)].map((found) => Number(found[1]))
  test('tells every part to the ear', () => {
    expect(drawn).toContain(
      'Mass balance, of 1.804 g crude: Crystals 1.391 g, Liquor and rinse 0.257 g, Transfers and unaccounted 0.156 g.',
    )
  })
  test('is true to mass', () => {
    const [crude, crystals, liquor] = heights(drawn) as [number, number, number]
    expect((crystals + 1) / crude).toBeCloseTo(1.3914 / 1.804, 3)
    expect((liquor + 1) / crude).toBeCloseTo(0.2567 / 1.804, 3)
  })
  test('says of each part how it compares', () => {
    const words = drawn.replace(/<\/text><text[^>]*>/g, ' ')
    expect(words).toContain('0.155 g less than predicted, more than the weighing error')
    expect(words).toContain('glass, paper, tubes packed for melting')
  })
  test('keeps its remarks apart, within the drawing, and between bars and numbers', () => {
    const long = rows.map((row) => ({ ...row, why: 'many words '.repeat(14).trim() }))
    for (const html of [drawn, renderToStaticMarkup(<MassBalance crudeG={1.804} rows={long} />)]) {
      const height = Number(/<svg[^>]*height="([\d.]+)"/.exec(html)?.[1])
      const lines = [...html.matchAll(/<text x="([\d.]+)" y="([\d.]+)" class="tiny"[^>]*>([^<]*)</g)]
        .map(([, x, y, text = '']) => ({ x: Number(x), y: Number(y), text }))
        .filter(({ y }) => y > 30)
      expect(lines.length).toBeGreaterThan(2)
      for (const [i, { x, y, text }] of lines.entries()) {
        expect(x + widthOf(text, 12)).toBeLessThanOrEqual(640)
        expect(y).toBeLessThan(height)
        if (i > 0) expect(y - (lines[i - 1]?.y ?? 0)).toBeGreaterThanOrEqual(14)
      }
    }
  })
  test('draws open what was only predicted', () => {
    const open = rows.map((row) =>
      row.part === 'liquor' ? { ...row, found: null, beyondWeighing: false } : row,
    )
    const html = renderToStaticMarkup(<MassBalance crudeG={1.804} rows={open} />)
    expect(html).toContain('stroke-dasharray="3 3"')
    expect(html).toContain('not weighed; drawn as predicted')
    expect(html).toContain('Liquor and rinse 0.258 g predicted')
  })
  test('agrees within the weighing, and more out than in, are drawn too', () => {
    const [crystals] = rows as [AccountRow]
    const same = { ...crystals, predictedG: crystals.found?.value ?? 0, beyondWeighing: false }
    expect(renderToStaticMarkup(<MassBalance crudeG={1.804} rows={[same]} />)).toContain(
      'as predicted, within the weighing error',
    )
    const over = { ...crystals, found: { value: 2.4, standardUncertainty: 0.001 } }
    const [crude, found] = heights(renderToStaticMarkup(<MassBalance crudeG={1.804} rows={[over]} />)) as [
      number,
      number,
    ]
    expect((found + 1) / crude).toBeCloseTo(2.4 / 1.804, 2)
  })
})

describe('the trade-off', () => {
  const points = [
    { ml: 4, recoveryPercent: 98, purityPercent: 93 },
    { ml: 12, recoveryPercent: 95, purityPercent: 100 },
    { ml: 20, recoveryPercent: 92, purityPercent: 100 },
  ]
  const chart = (change: Partial<Parameters<typeof TradeoffChart>[0]> = {}) =>
    renderToStaticMarkup(
      <TradeoffChart
        points={points}
        leastML={4}
        staysDissolvedML={10.4}
        impurity="benzoin"
        product="benzil"
        volumeML={11}
        onChange={() => undefined}
        {...change}
      />,
    )
  test('has a mark that keys can move, with its bounds told', () => {
    const html = chart()
    expect(html).toContain('role="slider"')
    expect(html).toMatch(/aria-valuemin="4" aria-valuemax="20" aria-valuenow="11" aria-valuetext="11.0 mL"/)
    expect(html).toContain('benzoin just stays dissolved')
    expect(html).toContain('will not dissolve')
  })
  test('cannot be moved once the plan is set', () => {
    const html = chart({ onChange: null })
    expect(html).not.toContain('slider')
    expect(html).not.toContain('tabindex')
  })
  test('draws no purity where nothing is known of the impurity, and says so', () => {
    const html = chart({
      points: points.map((point) => ({ ...point, purityPercent: null })),
      staysDissolvedML: null,
    })
    expect(html).toContain('purity not known: no solubility of the impurity')
    expect(html).not.toContain('purity of crystals at best')
    expect(html.match(/stroke-width="2.2"/g)).toHaveLength(1)
  })
  test('keeps the words of a line on its own side of it', () => {
    const label = (html: string) => Number(/y="([\d.]+)"[^>]*>\s*benzil recovered/.exec(html)?.[1])
    const lineEnd = (html: string) =>
      Number(/L[\d.]+ ([\d.]+)" fill="none" stroke="var\(--ink\)" stroke-width="2.2"/.exec(html)?.[1])
    expect(label(chart())).toBeGreaterThan(lineEnd(chart()))
    const above = chart({ points: points.map((point) => ({ ...point, purityPercent: 80 })) })
    expect(label(above)).toBeLessThan(lineEnd(above))
  })
  test('tells small volumes to the hundredth', () => {
    const html = chart({
      points: points.map((point) => ({ ...point, ml: point.ml / 20 })),
      leastML: 0.2,
      staysDissolvedML: null,
      volumeML: 0.55,
    })
    expect(html).toContain('aria-valuetext="0.55 mL"')
  })
})

describe('the solvent column', () => {
  const column = (change: Partial<Parameters<typeof SolventColumn>[0]> = {}) =>
    renderToStaticMarkup(
      <SolventColumn
        addedML={null}
        dissolveML={3.5}
        toML={11}
        staysDissolvedML={10.4}
        impurity="benzoin"
        {...change}
      />,
    )
  test('of a pair shows where it clouds, and no grit mark', () => {
    const html = column({ second: 'water', dissolveML: 3.9, toML: 9, staysDissolvedML: null })
    expect(html).toContain('clouds near 9.0')
    expect(html).not.toContain('is grit')
    expect(html).toContain('dissolve near 3.9, clouds near 9.0 mL')
  })
  test('of a small batch shows hundredths', () => {
    const html = column({ dissolveML: 0.2, toML: 0.9, addedML: 0.46, staysDissolvedML: null })
    expect(html).toContain('dissolve 0.20')
    expect(html).toContain('dilute to 0.90')
    expect(html).toContain('Solvent column: 0.46 mL added so far')
  })
})
