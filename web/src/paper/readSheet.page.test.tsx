import { afterEach, expect, test } from '@jest/globals'
import { cleanup, render } from '@testing-library/react'
import type { Block } from './blocks'
import { colourOf } from './readDrawing'
import { readSheet } from './readSheet'

// What a page has and jsdom has not: a place for a stretch of words, and which elements flow with them.
Range.prototype.getBoundingClientRect = () => new DOMRect()
const style = document.createElement('style')
style.textContent = 'span, b, a { display: inline }'
document.head.append(style)
afterEach(cleanup)

/** jsdom lays nothing out: what is read here is words, tables and drawings in their order, and not their places. */
function blocksOf(sheet: React.ReactNode): readonly Block[] {
  const { container } = render(<div>{sheet}</div>)
  for (const svg of container.querySelectorAll('svg'))
    svg.getBoundingClientRect = () => ({ width: 100, height: 40 }) as DOMRect
  return readSheet(container.firstElementChild as HTMLElement).blocks
}
const wordsOf = (block: Block): string =>
  block.is === 'text'
    ? block.runs.map(({ text }) => text).join('')
    : block.is === 'columns'
      ? block.columns.map(({ blocks }) => blocks.map(wordsOf).join(' ')).join(' | ')
      : block.is === 'table'
        ? block.rows
            .map((row) => row.map(({ blocks }) => blocks.map(wordsOf).join(' ')).join(' | '))
            .join('\n')
        : block.is

test('words keep their order, white space is that of a page, and what is for the hand is left out', () => {
  const [heading, text] = blocksOf(
    <>
      <h2>
        Verdict <a className="no-print">why</a>
      </h2>
      <p>
        Signed{'\n   '}by <b>bench 7</b>, <button type="button">strike</button> at 5:50.
      </p>
      <p hidden>hidden</p>
      <p className="visually-hidden">for the ear</p>
    </>,
  )
  expect(heading && wordsOf(heading)).toBe('Verdict')
  expect(heading).toMatchObject({ is: 'text', level: 2 })
  expect(text && wordsOf(text)).toBe('Signed by bench 7, at 5:50.')
})

test('a struck line is struck, with what is said of it beside', () => {
  const [text] = blocksOf(
    <p>
      <span className="struck">Added 73 mL, hot.</span> <span>struck: typed 73 for 7.3</span>
    </p>,
  )
  expect(text?.is === 'text' && text.runs.map(({ text: words, isStruck }) => [words, isStruck])).toEqual([
    ['Added 73 mL, hot.', true],
    [' struck: typed 73 for 7.3', false],
  ])
})

test('a table keeps its headings, its cells, and cells that span', () => {
  const [table] = blocksOf(
    <table>
      <thead>
        <tr>
          <th>what</th>
          <th>g</th>
        </tr>
      </thead>
      <tbody>
        <tr>
          <td>
            Mass of product
            <span style={{ display: 'block' }}>32.6130 g loaded</span>
          </td>
          <td>1.3914</td>
        </tr>
        <tr>
          <td colSpan={2}>both</td>
        </tr>
        <tr className="no-print">
          <td>not this</td>
        </tr>
      </tbody>
    </table>,
  )
  expect(table && wordsOf(table)).toBe('what | g\nMass of product 32.6130 g loaded | 1.3914\nboth')
  expect(table).toMatchObject({ is: 'table', headRows: 1 })
  expect(table?.is === 'table' && table.rows[2]?.[0]?.span).toBe(2)
})

test('a drawing stands alone: its colours, type and signs are written into it, and nothing that runs is in it', () => {
  const [drawing] = blocksOf(
    <svg className="x" viewBox="0 0 100 40">
      <title>for the ear</title>
      <g style={{ display: 'none' }}>
        <text>not shown</text>
      </g>
      <rect style={{ fill: 'rgb(20, 90, 80)' }} width="10" height="10" className="bar" />
      <text style={{ fill: 'rgb(0, 0, 0)', fontSize: '12.5px', fontWeight: 700 }} x="4">
        at ≥ 95.4 °C
      </text>
    </svg>,
  )
  if (drawing?.is !== 'drawing') throw new Error('It is no drawing.')
  expect(drawing.svg).toContain('fill="#145a50"')
  expect(drawing.svg).toContain('font-size="12.5"')
  expect(drawing.svg).toContain('font-weight="bold"')
  expect(drawing.svg).toMatch(/<tspan[^>]* font-family="Signs"[^>]*>≥<\/tspan>/)
  for (const gone of ['class=', 'style=', '<title', 'not shown']) expect(drawing.svg).not.toContain(gone)
  expect([drawing.widthPx, drawing.heightPx]).toEqual([100, 40])
})

test('one without a size, that only holds hatches for others, is nothing on paper', () => {
  const { container } = render(
    <div>
      <svg />
      <p>after</p>
    </div>,
  )
  expect(readSheet(container.firstElementChild as HTMLElement).blocks.map(wordsOf)).toEqual(['after'])
})

test('only pictures that are whole in their address go onto paper', () => {
  const blocks = blocksOf(
    <>
      <p>
        <img alt="" src="data:image/jpeg;base64,AAAA" />
      </p>
      <p>
        <img alt="" src="http://elsewhere/x.jpg" />
      </p>
    </>,
  )
  expect(blocks.map(({ is }) => is)).toEqual(['picture'])
})

test.each([
  ['rgb(133, 122, 107)', { hex: '#857a6b', alpha: 1 }],
  ['rgba(0, 0, 0, 0)', { hex: '#000000', alpha: 0 }],
  ['color(srgb 1 0.5 0 / 0.25)', { hex: '#ff8000', alpha: 0.25 }],
  ['none', null],
])('the colour %s', (computed, expectedColour) => {
  expect(colourOf(computed)).toEqual(expectedColour)
})
