import { expect, test } from '@jest/globals'
import { cleanup, render } from '@testing-library/react'
import { csvOfTable, tablesOn } from './pageTables'

test('a table on screen goes out as it is read: units, digits, minus signs, nothing a spreadsheet would run', () => {
  const { container } = render(
    <main>
      <h1>Benzil</h1>
      <h2>
        Mass balance <a className="no-print">why</a>
      </h2>
      <table>
        <thead>
          <tr>
            <th>what</th>
            <th>found, g</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>
              Crystals
              <span className="d-block">32.6130 g loaded</span>
              <button type="button">strike</button>
            </td>
            <td>1.3910</td>
          </tr>
          <tr>
            <td>=HYPERLINK(&quot;x&quot;)</td>
            <td>−0.156</td>
          </tr>
          <tr>
            <td colSpan={2}>a comma, and “signs”: 94 to 96 °C</td>
          </tr>
        </tbody>
      </table>
      <table aria-label="Repeats">
        <tbody>
          <tr>
            <td>77.13 ± 0.04 %</td>
          </tr>
        </tbody>
      </table>
      <table aria-rowcount={4000}>
        <tbody>
          <tr>
            <td>only what is in view</td>
          </tr>
        </tbody>
      </table>
    </main>,
  )
  const tables = tablesOn(container)
  expect(tables.map(({ name }) => name)).toEqual(['Mass balance', 'Repeats'])
  const [first] = tables
  expect(first && csvOfTable(first)).toBe(
    '\uFEFFwhat,"found, g"\r\nCrystals 32.6130 g loaded,1.3910\r\n"\'=HYPERLINK(""x"")",-0.156\r\n"a comma, and “signs”: 94 to 96 °C",\r\n',
  )
  cleanup()
})

test('tables of one name are told apart; a page without any has none', () => {
  const table = (
    <table>
      <tbody>
        <tr>
          <td>1</td>
        </tr>
      </tbody>
    </table>
  )
  const { container } = render(
    <main>
      <h2>Ranges</h2>
      {table}
      {table}
    </main>,
  )
  expect(tablesOn(container).map(({ name }) => name)).toEqual(['Ranges', 'Ranges 2'])
  expect(tablesOn(document.createElement('main'))).toEqual([])
  cleanup()
})

test('a unit that every number of a column carries goes into its heading; words stay, mixed units too', () => {
  const { container } = render(
    <main>
      <table aria-label="Preps">
        <thead>
          <tr>
            <th>prep</th>
            <th>recovery</th>
            <th>amount</th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <td>Benzil</td>
            <td>77.13 ± 0.04 %</td>
            <td>1.3914 g</td>
          </tr>
          <tr>
            <td>Adipic acid</td>
            <td>not yet</td>
            <td>40 mg</td>
          </tr>
          <tr>
            <td>Third</td>
            <td>−0.5 %</td>
            <td>0.2 g</td>
          </tr>
        </tbody>
      </table>
    </main>,
  )
  const [table] = tablesOn(container)
  expect(table && csvOfTable(table)).toBe(
    '\uFEFFprep,recovery (%),amount\r\nBenzil,77.13 ± 0.04,1.3914 g\r\nAdipic acid,not yet,40 mg\r\nThird,-0.5,0.2 g\r\n',
  )
  cleanup()
})
