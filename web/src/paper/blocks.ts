/** What a sheet is made of, as it was laid out on the screen. Every length is in CSS px of a sheet so wide. */

/** A stretch of words that look alike. */
export interface Run {
  readonly text: string
  readonly px: number
  readonly colour: string
  readonly isBold: boolean
  readonly isStruck: boolean
  readonly isHead: boolean
}
interface Placed {
  /** Room above it. */
  readonly gapPx: number
}
export interface TextBlock extends Placed {
  readonly is: 'text'
  readonly runs: readonly Run[]
  /** 1 to 3 of a heading, 0 of anything else. */
  readonly level: number
  readonly align: 'left' | 'right' | 'center'
  /** From one line to the next. */
  readonly linePx: number
}
export interface DrawingBlock extends Placed {
  readonly is: 'drawing'
  readonly svg: string
  readonly widthPx: number
  readonly heightPx: number
  /** How far left of its place it begins: names may stand beside what they name. */
  readonly outPx: number
}
interface PictureBlock extends Placed {
  readonly is: 'picture'
  /** A JPEG or PNG as a data URL. */
  readonly url: string
  readonly widthPx: number
  readonly heightPx: number
}
export interface TableBlock extends Placed {
  readonly is: 'table'
  readonly widthsPx: readonly number[]
  readonly headRows: number
  /** Room above and below what is in a cell. */
  readonly padPx: number
  readonly rows: readonly (readonly Cell[])[]
}
export interface Cell {
  readonly blocks: readonly Block[]
  readonly span: number
}
interface ColumnsBlock extends Placed {
  readonly is: 'columns'
  readonly columns: readonly {
    readonly fromPx: number
    readonly widthPx: number
    readonly blocks: readonly Block[]
  }[]
}
/** A figure: not broken over two pages. */
interface WholeBlock extends Placed {
  readonly is: 'whole'
  readonly blocks: readonly Block[]
}
export type Block =
  | WholeBlock
  | TextBlock
  | DrawingBlock
  | PictureBlock
  | TableBlock
  | ColumnsBlock
  | (Placed & { readonly is: 'rule' })

export interface Sheet {
  readonly widthPx: number
  readonly heightPx: number
  readonly blocks: readonly Block[]
}
