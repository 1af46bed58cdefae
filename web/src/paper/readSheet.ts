import type { Block, Cell, Run, Sheet, TextBlock } from './blocks'
import { colourOf, isBoldFace, isHeadFace, readDrawing } from './readDrawing'

/** Not for paper: what is for the hand, and what is for the ear. */
const LEFT_OUT =
  '.no-print, button, .btn, input, select, textarea, progress, script, style, template, [hidden], .visually-hidden'
/** Room between two things is never more than this on paper. */
const GAP_MOST_PX = 30

/** A line’s height where none is said, in heights of its type. */
const USUAL_LINE = 1.2

/** A sheet as the screen laid it out: its words, tables and drawings with where they stand. */
export function readSheet(root: HTMLElement): Sheet {
  const { width, height } = root.getBoundingClientRect()
  return { widthPx: width, heightPx: height, blocks: blocksIn(root) }
}

/** Something beside or below its neighbours: an element, or words between elements. */
type Part = readonly Node[]
interface Box {
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

function blocksIn(element: Element): readonly Block[] {
  switch (element.tagName.toLowerCase()) {
    case 'svg': {
      const drawing = readDrawing(element as SVGSVGElement)
      // One without a size only holds hatches for others.
      return drawing.widthPx > 0 && drawing.heightPx > 0 ? [{ is: 'drawing', gapPx: 0, ...drawing }] : []
    }
    case 'img':
      return picture(element as HTMLImageElement)
    case 'hr':
      return [{ is: 'rule', gapPx: 0 }]
    case 'table':
      return [table(element as HTMLTableElement)]
  }
  if (isWords(element)) return words([element])
  const blocks = flowIn(element)
  return /^figure$/i.test(element.tagName) && blocks.length > 1 ? [{ is: 'whole', gapPx: 0, blocks }] : blocks
}

/** What is in an element, from top to bottom; what stands side by side as columns. */
function flowIn(element: Element): readonly Block[] {
  const parts = partsOf(element)
  const rows = rowsOf(parts)
  const whole = element.getBoundingClientRect()
  const blocks: Block[] = []
  let above = whole.top
  for (const row of rows) {
    const boxes = row.map(boxOf)
    const top = Math.min(...boxes.map((box) => box.top))
    const gapPx = Math.min(GAP_MOST_PX, Math.max(0, top - above))
    above = Math.max(...boxes.map((box) => box.bottom))
    const [only] = row
    if (row.length === 1 && only) {
      blocks.push(...below(gapPx, blocksOf(only)))
      continue
    }
    blocks.push({
      is: 'columns',
      gapPx,
      columns: row.map((part, i) => {
        const { left } = boxes[i] as Box
        const next = boxes[i + 1]?.left ?? whole.right
        return { fromPx: left - whole.left, widthPx: Math.max(1, next - left), blocks: blocksOf(part) }
      }),
    })
  }
  return blocks
}

const below = (gapPx: number, blocks: readonly Block[]): readonly Block[] =>
  blocks.map((block, i) => (i === 0 ? { ...block, gapPx: block.gapPx + gapPx } : block))

const isElement = (node: Node): node is Element => node.nodeType === 1
const isShown = (element: Element) =>
  !element.matches(LEFT_OUT) && getComputedStyle(element).display !== 'none'

/** Nothing in it but words. */
function isWords(element: Element): boolean {
  return [...element.children].every(
    (child) =>
      !isShown(child) ||
      (!/^(svg|img|table|hr)$/i.test(child.tagName) &&
        /^inline/.test(getComputedStyle(child).display) &&
        isWords(child)),
  )
}

function partsOf(element: Element): readonly Part[] {
  const parts: Node[][] = []
  let open: Node[] | null = null
  for (const node of element.childNodes) {
    if (isElement(node)) {
      if (!isShown(node)) continue
      const flows =
        /^inline/.test(getComputedStyle(node).display) && isWords(node) && !/^svg$/i.test(node.tagName)
      if (!flows || isGrid(element)) {
        open = null
        if (!isEmpty(node)) parts.push([node])
        continue
      }
    } else if (node.nodeType !== 3 || !node.textContent?.trim()) continue
    if (!open) parts.push((open = []))
    open.push(node)
  }
  return parts
}

const isGrid = (element: Element) => /grid|flex/.test(getComputedStyle(element).display)
const isEmpty = (element: Element) =>
  element.tagName.toLowerCase() !== 'hr' &&
  !element.textContent?.trim() &&
  !element.matches('svg, img') &&
  !element.querySelector('svg, img, hr')

function blocksOf(part: Part): readonly Block[] {
  const [only] = part
  return part.length === 1 && only && isElement(only) ? blocksIn(only) : words(part)
}

function boxOf(part: Part): Box {
  const boxes = part.map((node) => {
    if (isElement(node)) return node.getBoundingClientRect()
    const range = (node.ownerDocument as Document).createRange()
    range.selectNodeContents(node)
    return range.getBoundingClientRect()
  })
  return {
    left: Math.min(...boxes.map((box) => box.left)),
    right: Math.max(...boxes.map((box) => box.right)),
    top: Math.min(...boxes.map((box) => box.top)),
    bottom: Math.max(...boxes.map((box) => box.bottom)),
  }
}

/** Parts that stand beside one another are one row. */
function rowsOf(parts: readonly Part[]): readonly (readonly Part[])[] {
  const rows: { readonly parts: Part[]; box: Box }[] = []
  for (const part of parts) {
    const box = boxOf(part)
    const row = rows.at(-1)
    const shared = row ? Math.min(row.box.bottom, box.bottom) - Math.max(row.box.top, box.top) : 0
    if (
      row &&
      box.left >= row.box.right - 1 &&
      shared > 0.3 * Math.min(box.bottom - box.top, row.box.bottom - row.box.top)
    ) {
      row.parts.push(part)
      row.box = {
        left: row.box.left,
        right: box.right,
        top: Math.min(row.box.top, box.top),
        bottom: Math.max(row.box.bottom, box.bottom),
      }
    } else rows.push({ parts: [part], box })
  }
  return rows.map((row) => row.parts)
}

function words(part: Part): readonly Block[] {
  const runs = tidied(part.flatMap(runsIn))
  if (runs.length === 0) return []
  const [first] = part
  const about = first && isElement(first) ? first : (first?.parentElement as Element)
  const linePx =
    parseFloat(getComputedStyle(about).lineHeight) || USUAL_LINE * Math.max(...runs.map(({ px }) => px))
  return [{ is: 'text', gapPx: 0, runs, level: levelOf(about), align: alignOf(about), linePx }]
}

function levelOf(element: Element): number {
  return Number(/^h([1-3])$/i.exec(element.tagName)?.[1] ?? 0)
}

function alignOf(element: Element): TextBlock['align'] {
  const { textAlign } = getComputedStyle(element)
  return textAlign === 'right' || textAlign === 'end' ? 'right' : textAlign === 'center' ? 'center' : 'left'
}

function runsIn(node: Node): readonly Run[] {
  if (node.nodeType === 3) {
    const parent = node.parentElement as Element
    return [runOf(node.textContent ?? '', parent)]
  }
  if (!isElement(node) || !isShown(node)) return []
  if (node.tagName.toLowerCase() === 'br') return [runOf('\n', node.parentElement as Element)]
  const runs = [...node.childNodes].flatMap(runsIn)
  const before = sentenceOf(getComputedStyle(node, '::before').content)
  const led = before ? [runOf(before, node), ...runs] : runs
  const isCapital = getComputedStyle(node, '::first-letter').textTransform === 'uppercase'
  const [first, ...rest] = led
  return isCapital && first
    ? [{ ...first, text: first.text.charAt(0).toUpperCase() + first.text.slice(1) }, ...rest]
    : led
}

/** Words a style puts before an element. */
const sentenceOf = (content: string) => /^"(.*)"$/.exec(content)?.[1] ?? ''

function runOf(text: string, element: Element): Run {
  const style = getComputedStyle(element)
  return {
    text: style.textTransform === 'uppercase' ? text.toUpperCase() : text,
    px: parseFloat(style.fontSize) || 15,
    colour: colourOf(style.color)?.hex ?? '#000000',
    isBold: isBoldFace(style) && !isHeadFace(style),
    isStruck: element.closest('.struck, s, del') !== null,
    isHead: isHeadFace(style),
  }
}

/** White space as a page shows it: one space, and none at either end. */
function tidied(runs: readonly Run[]): readonly Run[] {
  const joined: Run[] = []
  let endsInSpace = true
  for (const run of runs) {
    let text = run.text === '\n' ? '\n' : run.text.replaceAll(/[ \t\r\n]+/g, ' ')
    if (endsInSpace && text !== '\n') text = text.replace(/^ /, '')
    if (text === '') continue
    endsInSpace = /[ \n]$/.test(text)
    const last = joined.at(-1)
    if (last && JSON.stringify({ ...last, text: '' }) === JSON.stringify({ ...run, text: '' }))
      joined[joined.length - 1] = { ...last, text: last.text + text }
    else joined.push({ ...run, text })
  }
  const last = joined.at(-1)
  if (last) joined[joined.length - 1] = { ...last, text: last.text.replace(/\s+$/, '') }
  return joined.filter(({ text }) => text !== '')
}

function table(element: HTMLTableElement): Block {
  const shown = [...element.rows].filter(isShown)
  const widest = shown.reduce<HTMLTableRowElement | null>(
    (best, row) => (best && best.cells.length >= row.cells.length ? best : row),
    null,
  )
  const rows = shown.map((row) =>
    [...row.cells].map((cell): Cell => ({ blocks: atTheTop(blocksIn(cell)), span: cell.colSpan })),
  )
  return {
    is: 'table',
    gapPx: 0,
    widthsPx: [...(widest?.cells ?? [])].map((cell) => cell.getBoundingClientRect().width),
    headRows: element.tHead?.rows.length ?? 0,
    padPx: padOf(element.tBodies[0]?.rows[0]?.cells[0]),
    rows,
  }
}

const USUAL_PAD_PX = 4
const padOf = (cell: Element | undefined) =>
  (cell && parseFloat(getComputedStyle(cell).paddingBottom)) || USUAL_PAD_PX

/** A cell has its own room above. */
const atTheTop = (blocks: readonly Block[]) =>
  blocks.map((block, i) => (i === 0 ? { ...block, gapPx: 0 } : block))

function picture(image: HTMLImageElement): readonly Block[] {
  const { width, height } = image.getBoundingClientRect()
  // One that the browser cannot decode has no size of its own: its place is kept, and says so.
  if (image.complete && image.naturalWidth === 0)
    return [{ is: 'picture', gapPx: 0, url: '', widthPx: width, heightPx: height }]
  return image.src.startsWith('data:image/')
    ? [{ is: 'picture', gapPx: 0, url: image.src, widthPx: width, heightPx: height }]
    : []
}
