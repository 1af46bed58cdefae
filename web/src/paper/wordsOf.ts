import type { Block } from './blocks'

/** Every stretch of words in blocks, those of drawings too. */
export function wordsOf(blocks: readonly Block[]): readonly string[] {
  return blocks.flatMap((block): readonly string[] => {
    switch (block.is) {
      case 'text':
        return block.runs.map(({ text }) => text)
      case 'drawing':
        return [block.svg.replaceAll(/<[^>]*>/g, ' ')]
      case 'table':
        return block.rows.flatMap((row) => row.flatMap((cell) => wordsOf(cell.blocks)))
      case 'columns':
        return block.columns.flatMap((column) => wordsOf(column.blocks))
      case 'whole':
        return wordsOf(block.blocks)
      case 'picture':
      case 'rule':
        return []
    }
  })
}
