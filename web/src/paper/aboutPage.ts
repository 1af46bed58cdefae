import type { SubjectId } from '@ivory-crystal/core/ids'
import { linesBehind } from '@ivory-crystal/core/notebook'
import { CORE_VERSION } from '@ivory-crystal/core/version'
import { clock } from '../clock/clock'
import { storeValue, remembered } from '../device/memory'
import { clock as timeOfDay, day } from '../format/format'
import { useNotebook } from '../ledger/notebook'
import type { AboutPdf, PaperSize } from './definition'

const KEPT = 'ivory-crystal paper'

/** The paper that was chosen last on this device. */
export function storedPaper(): PaperSize {
  return remembered(KEPT) === 'LETTER' ? 'LETTER' : 'A4'
}
export function storePaper(paper: PaperSize): void {
  storeValue(KEPT, paper)
}

/** What a PDF of a page says of itself, with every line behind the page inside. */
export function aboutPage({
  title,
  author,
  paper,
  id,
}: {
  readonly title: string
  readonly author: string
  readonly paper: PaperSize
  /** Whose lines go inside. */
  readonly id: SubjectId
}): AboutPdf {
  const { notebook, notebooks, about, view } = useNotebook.getState()
  const row = notebooks.find(({ id }) => id === notebook)
  const now = clock.now()
  const file = {
    format: 'ivory-crystal notebook',
    version: 1,
    coreVersion: CORE_VERSION,
    exportedAt: now,
    notebook: { id: notebook, title: row?.title ?? '' },
    entries: linesBehind(view, id),
  }
  return {
    title,
    author,
    paper,
    madeAtMs: now,
    foot: `${title}, ${row?.title ?? ''}${about?.demo ? ' (made-up sample data)' : ''}; printed ${day(now)} ${timeOfDay(now)}`,
    attached: [
      {
        name: 'lines.json',
        type: 'application/json',
        description: 'The entries of the notebook that this page is based on, as they were written',
        text: JSON.stringify(file),
      },
    ],
  }
}
