import type { Content, ContentText, TDocumentDefinitions } from 'pdfmake/interfaces'
import { jpegTrouble } from '@ivory-crystal/core/notebook'
import type { Block, Run, Sheet, TableBlock, TextBlock } from './blocks'
import { piecesOf, unsetIn } from './faces'
import { wordsOf } from './wordsOf'

export type PaperSize = 'A4' | 'LETTER'
/** Points. */
const PAGES: Readonly<Record<PaperSize, readonly [width: number, height: number]>> = {
  A4: [595.28, 841.89],
  LETTER: [612, 792],
}
const MARGIN = { side: 40, top: 38, bottom: 46 } as const

/** What a sheet may take of a page, points. */
export function roomOn(paper: PaperSize): { readonly width: number; readonly height: number } {
  const [width, height] = PAGES[paper]
  return { width: width - 2 * MARGIN.side, height: height - MARGIN.top - MARGIN.bottom }
}

export interface AboutPdf {
  readonly title: string
  readonly author: string
  /** What stands at the foot of every page, before its number. */
  readonly foot: string
  readonly madeAtMs: number
  readonly paper: PaperSize
  /** Files that travel inside it. */
  readonly attached: readonly {
    readonly name: string
    readonly type: string
    readonly description: string
    readonly text: string
  }[]
}

/** Between a table's cells, points at the scale of the sheet. */
const CELL_GAP_PX = 8
/** A line of a typeface takes so many heights of its type by itself. */
const NATURAL_LINE = { text: 1.3, head: 1.485 } as const
const FOOT_PT = 7.5
const FOOT_COLOUR = '#565046'

/**
 * A sheet as a document to be set: every length scaled so that the sheet is as wide as the page allows.
 *
 * PDF/A-3b: every typeface inside, colours by a known profile, files inside with what they are to the page. The setter
 * makes no structure tree, so it is not called tagged.
 */
export function definitionOf(sheet: Sheet, about: AboutPdf): TDocumentDefinitions {
  const room = roomOn(about.paper)
  const scale = room.width / sheet.widthPx
  const made = new Date(about.madeAtMs)
  return {
    version: '1.7',
    subset: 'PDF/A-3b',
    language: 'en',
    displayTitle: true,
    info: {
      title: about.title,
      author: about.author,
      creator: 'Ivory Crystal',
      creationDate: made,
      modDate: made,
    },
    pageSize: about.paper,
    pageMargins: [MARGIN.side, MARGIN.top, MARGIN.side, MARGIN.bottom],
    defaultStyle: { font: 'Text', fontSize: 9 },
    content: [...stacked(sheet.blocks, scale), ...unsetNote(sheet, about)],
    footer: (page, pages) => ({
      columns: [
        words([foot(about.foot)], 1, { noWrap: true }),
        { ...words([foot(`${page} of ${pages}`)], 1, {}), width: 60, alignment: 'right' },
      ],
      margin: [MARGIN.side, 10, MARGIN.side, 0],
    }),
    files: Object.fromEntries(
      about.attached.map(({ name, type, description, text }) => [
        name,
        {
          src: `data:${type};base64,${base64(text)}`,
          name,
          type,
          description,
          relationship: 'Source',
          creationDate: made,
          modifiedDate: made,
        },
      ]),
    ),
  }
}

const UNSET_TOLD = 12

/** What could not be set is told once, at the end. */
function unsetNote(sheet: Sheet, about: AboutPdf): Content[] {
  const unset = unsetIn([...wordsOf(sheet.blocks), about.title, about.foot].join(' '))
  if (unset.length === 0) return []
  const names = unset
    .slice(0, UNSET_TOLD)
    .map((char) => `U+${(char.codePointAt(0) ?? 0).toString(16).toUpperCase().padStart(4, '0')}`)
  const more = unset.length > UNSET_TOLD ? `, and ${unset.length - UNSET_TOLD} more` : ''
  const text = `□ stands for a character that this PDF has no letters for (${names.join(', ')}${more}). Print the page from the browser instead: it has them where the computer has.`
  return [{ ...words([foot(text)], 1, {}), margin: [0, 8, 0, 0] }]
}

const foot = (text: string): Run => ({
  text,
  px: FOOT_PT,
  colour: FOOT_COLOUR,
  isBold: false,
  isStruck: false,
  isHead: false,
})

function base64(text: string): string {
  const bytes = new TextEncoder().encode(text)
  let binary = ''
  for (const byte of bytes) binary += String.fromCharCode(byte)
  return btoa(binary)
}

/** Rows of a table that stay with what stands above it. */
const SHORT_TABLE_ROWS = 12

/** Blocks one below the other; a rule and a heading are never left alone at the foot of a page. */
function stacked(blocks: readonly Block[], scale: number): Content[] {
  const content: Content[] = []
  let led: Content[] = []
  for (const block of blocks) {
    const one = contentOf(block, scale)
    if (leads(block)) led.push(one)
    else if (led.length === 0) content.push(one)
    else {
      const isLong = block.is === 'table' && block.rows.length > SHORT_TABLE_ROWS
      if (isLong) content.push(...led, one)
      else content.push({ stack: [...led, one], unbreakable: true })
      led = []
    }
  }
  return [...content, ...led]
}

const leads = (block: Block) => block.is === 'rule' || (block.is === 'text' && block.level > 0)

function contentOf(block: Block, scale: number): Content {
  const top = block.gapPx * scale
  switch (block.is) {
    case 'text':
      return {
        ...words(block.runs, scale, {}),
        alignment: block.align,
        lineHeight: lineHeightOf(block),
        margin: [0, top, 0, 0],
      }
    case 'drawing':
      return {
        svg: block.svg,
        width: block.widthPx * scale,
        height: block.heightPx * scale,
        margin: [-block.outPx * scale, top, 0, 0],
      }
    case 'picture':
      if (!isPicture(block.url))
        return {
          ...words([foot('A photograph here cannot be shown: its file is not a complete picture.')], 1, {}),
          margin: [0, top, 0, 0],
        }
      return {
        image: block.url,
        width: block.widthPx * scale,
        height: block.heightPx * scale,
        margin: [0, top, 0, 0],
      }
    case 'rule':
      return {
        canvas: [{ type: 'line', x1: 0, y1: 0, x2: 515.28, y2: 0, lineWidth: 0.5, lineColor: '#b9b2a5' }],
        margin: [0, top, 0, 0],
      }
    case 'whole':
      return { stack: stacked(block.blocks, scale), margin: [0, top, 0, 0], unbreakable: true }
    case 'table':
      return tableOf(block, scale, top)
    case 'columns':
      return columnsOf(block, scale, top)
  }
}

/** One bad picture costs its own place, and nothing else. */
function isPicture(url: string): boolean {
  const [head = '', data = ''] = url.split(',', 2)
  if (!head.endsWith(';base64')) return false
  if (head.includes('image/png')) return data.startsWith('iVBORw0KGgo')
  const bytes = Uint8Array.from(atob(data), (char) => char.charCodeAt(0))
  const trouble = jpegTrouble(bytes)
  return trouble === null || trouble === 'details' || trouble === 'too large'
}

/** As high as on the sheet, in natural lines of its typeface. */
function lineHeightOf({ runs, linePx }: TextBlock): number {
  const natural = runs.some(({ isHead }) => isHead) ? NATURAL_LINE.head : NATURAL_LINE.text
  return linePx / (natural * Math.max(...runs.map(({ px }) => px)))
}

/** Columns begin where they began on the sheet: the room between them is each one's own. */
function columnsOf(block: Block & { readonly is: 'columns' }, scale: number, top: number): Content {
  const first = block.columns[0]?.fromPx ?? 0
  return {
    margin: [first * scale, top, 0, 0],
    columnGap: 0,
    columns: block.columns.map(({ widthPx, blocks }) => ({
      width: widthPx * scale,
      stack: stacked(blocks, scale),
    })),
    // A row of words stays whole; one that holds more than that may go over to the next page.
    unbreakable: block.columns.every(
      ({ blocks }) => blocks.length <= 2 && blocks.every(({ is }) => is !== 'table'),
    ),
  }
}

function tableOf({ widthsPx, headRows, padPx, rows }: TableBlock, scale: number, top: number): Content {
  const gap = CELL_GAP_PX * scale
  const cells = rows.map((row) =>
    row.flatMap(({ blocks, span }) => [
      { stack: stacked(blocks, scale), colSpan: span, margin: [0, 0, 0, 0] },
      ...Array.from({ length: span - 1 }, () => ({})),
    ]),
  )
  return {
    margin: [0, top, 0, 0],
    table: {
      headerRows: headRows,
      dontBreakRows: true,
      widths: widthsPx.map((width) => Math.max(1, width * scale - gap)),
      body: cells,
    },
    layout: {
      hLineWidth: (at, { table }) => (at === 0 || at === table.body.length ? 0 : 0.5),
      vLineWidth: () => 0,
      hLineColor: () => '#b9b2a5',
      paddingLeft: () => 0,
      paddingRight: () => gap,
      paddingTop: () => padPx * scale,
      paddingBottom: () => padPx * scale,
    },
  }
}

/** Words in the app's own typefaces; what none of them has is told by its number. */
function words(runs: readonly Run[], scale: number, more: Partial<ContentText>): ContentText {
  return {
    ...more,
    text: runs.flatMap((run) =>
      piecesOf(run.text).map(({ text, face, shift }) => ({
        text,
        font: face === 'Text' && run.isHead ? 'Head' : face,
        bold: run.isBold && face !== 'Signs',
        fontSize: run.px * scale,
        color: run.colour,
        ...(run.isStruck ? { decoration: 'lineThrough' as const } : {}),
        ...(shift === 'sub' ? { sub: true } : shift === 'sup' ? { sup: true } : {}),
      })),
    ),
  }
}
