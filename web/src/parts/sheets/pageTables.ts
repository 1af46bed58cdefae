import { csvOf } from '../../format/csv'

/** A table on screen, by the name it goes by. */
export interface PageTable {
  readonly name: string
  readonly rows: readonly (readonly string[])[]
  /** How many of them are headings. */
  readonly heads: number
}

/** Not of the table’s content: what is for the hand. */
const LEFT_OUT = 'button, .btn, input, select, svg, [hidden], .visually-hidden'

/** Every table that stands whole on the page, as it is read: headings with their units, numbers with their digits. */
export function tablesOn(page: Element): readonly PageTable[] {
  const names = new Map<string, number>()
  return [...page.querySelectorAll('table')].flatMap((table) => {
    // One that only holds what is in view would go out cut.
    if (table.getAttribute('aria-rowcount') !== null) return []
    const rows = [...table.rows].map((row) =>
      [...row.cells].flatMap((cell) => [textIn(cell), ...Array.from({ length: cell.colSpan - 1 }, () => '')]),
    )
    if (rows.length === 0) return []
    const sentence = nameOf(table, page)
    const nth = (names.get(sentence) ?? 0) + 1
    names.set(sentence, nth)
    return [{ name: nth === 1 ? sentence : `${sentence} ${nth}`, rows, heads: table.tHead?.rows.length ?? 0 }]
  })
}

/** A number with its unit behind it, as a cell writes it; and with what it is sure to. */
const WITH_UNIT = /^(−?\d+(?:\.\d+)?(?: ± \d+(?:\.\d+)?)?) (%|mg|g|mL|°C|°C\/min|mm|min|kB|MB)$/

/** A table as CSV. A unit that every number of a column carries stands in its heading, and the numbers alone below. */
export function csvOfTable({ rows, heads }: PageTable): string {
  const units = (rows[0] ?? []).map((_, column) => {
    if (heads === 0) return null
    const found = new Set(rows.slice(heads).flatMap((row) => WITH_UNIT.exec(row[column] ?? '')?.[2] ?? []))
    const bare = rows.slice(heads).some((row) => /^−?\d+(\.\d+)?$/.test(row[column] ?? ''))
    return found.size === 1 && !bare ? ([...found][0] ?? null) : null
  })
  return csvOf(
    rows.map((row, at) =>
      row.map((cell, column) => {
        const unit = units[column]
        if (!unit) return plainNumber(cell)
        if (at === heads - 1) return `${cell} (${unit})`
        return at < heads ? cell : plainNumber(WITH_UNIT.exec(cell)?.[1] ?? cell)
      }),
    ),
  )
}

/** A number as a spreadsheet reads it: a hyphen for the minus of print. Anything else is left as it stands. */
const plainNumber = (cell: string) => (/^−\d+(\.\d+)?$/.test(cell) ? cell.replace('−', '-') : cell)

function textIn(node: Node): string {
  if (node.nodeType === 3) return (node.textContent ?? '').replaceAll(/\s+/g, ' ')
  if (node.nodeType !== 1 || (node as Element).matches(LEFT_OUT)) return ''
  const inside = [...node.childNodes].map(textIn).join('')
  const apart =
    /^(p|div|li|br)$/i.test((node as Element).tagName) || (node as Element).classList.contains('d-block')
  return (apart ? ` ${inside} ` : inside).replaceAll(/\s+/g, ' ').replaceAll(/^ | $/g, apart ? ' ' : '')
}

/** Its own name, else the heading it stands under. */
function nameOf(table: Element, page: Element): string {
  const own = table.getAttribute('aria-label') ?? table.querySelector('caption')?.textContent
  if (own) return own.trim()
  const headings = [...page.querySelectorAll('h1, h2, h3')].filter(
    (heading) => heading.compareDocumentPosition(table) & Node.DOCUMENT_POSITION_FOLLOWING,
  )
  return (
    textIn(headings.at(-1) ?? page)
      .trim()
      .replace(/ why$/, '') || 'table'
  )
}
