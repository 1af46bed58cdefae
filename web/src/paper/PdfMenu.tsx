import css from './PdfMenu.module.css'
import { type ReactNode, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Dropdown from 'react-bootstrap/Dropdown'
import type { SubjectId } from '@ivory-crystal/core/ids'
import { download } from '../device/download'
import { fileName } from '../format/fileName'
import { useNotebook } from '../ledger/notebook'
import { KeepHash } from '../parts/KeepHash'
import { useHead } from '../parts/useHead'
import { useLongRun } from '../parts/useLongRun'
import { aboutPage, storedPaper, storePaper } from './aboutPage'
import type { PaperSize } from './definition'
import type { Layout } from './layout'
import { PaperFrame } from './PaperFrame'

const SIZES = ['A4', 'LETTER'] as const
const SIZE_NAMES: Readonly<Record<PaperSize, string>> = { A4: 'A4', LETTER: 'Letter' }
/** Widths a sheet is laid out at, px: on one page as wide as it has to be, and no wider than can be read. */
const START_PX: Readonly<Record<Layout, number>> = { 'hand-in': 760, full: 920 }

interface Made {
  readonly pages: number
  readonly bytes: number
  readonly wanted: Layout
}

/** A page as a PDF: made in the browser, from the same words and drawings, with the entries it is based on inside. */
export function PdfMenu({
  title,
  author,
  id,
  sheet,
}: {
  title: string
  author: string
  /** Whose lines go inside. */
  id: SubjectId
  sheet: (layout: Layout) => ReactNode
}) {
  const [paper, setPaper] = useState<PaperSize>(storedPaper)
  const [wanted, setWanted] = useState<Layout | null>(null)
  const making = useLongRun<Made>()
  const start = (layout: Layout) => {
    setWanted(layout)
    making.clear()
  }
  const make = (root: HTMLElement, layout: Layout) => {
    making.start(async (notify) => {
      const { makeFrom } = await import('./makeFrom')
      const about = aboutPage({ title, author, paper, id })
      const made = await makeFrom(root, layout, about, notify).finally(() => {
        setWanted(null)
      })
      if (!made) return null
      download(`${fileName(title)}.pdf`, new Blob([made.bytes as Uint8Array<ArrayBuffer>]), 'application/pdf')
      return { ok: true, value: { pages: made.pages, bytes: made.bytes.length, wanted: layout } }
    })
  }
  const isMaking = wanted !== null || making.share !== null
  const { result } = making
  return (
    <span className={css.menu}>
      {isMaking ? (
        <>
          <progress value={making.share ?? 0} aria-label="Making the PDF" />
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              setWanted(null)
              making.stop()
            }}
          >
            Stop
          </Button>
        </>
      ) : (
        <Dropdown>
          <Dropdown.Toggle variant="primary">As a PDF</Dropdown.Toggle>
          <Dropdown.Menu>
            <Dropdown.Item as="button" type="button" onClick={() => start('hand-in')}>
              One page to hand in
            </Dropdown.Item>
            <Dropdown.Item as="button" type="button" onClick={() => start('full')}>
              Everything, with all that was drawn
            </Dropdown.Item>
            <Dropdown.Divider />
            {SIZES.map((size) => (
              <Dropdown.Item
                key={size}
                as="button"
                type="button"
                active={size === paper}
                aria-current={size === paper}
                onClick={(event) => {
                  event.stopPropagation()
                  setPaper(size)
                  storePaper(size)
                }}
              >
                on {SIZE_NAMES[size]} paper
              </Dropdown.Item>
            ))}
          </Dropdown.Menu>
        </Dropdown>
      )}
      <span role="status" className="quiet">
        {result && !result.ok && result.problem.sentence}
        {result?.ok && saidOf(result.value)}
      </span>
      {result?.ok && result.value.wanted === 'hand-in' && <KeepHandedIn />}
      {wanted && (
        <PaperFrame
          key={`${wanted} ${paper}`}
          widthPx={START_PX[wanted]}
          isCompact={wanted === 'hand-in'}
          onReady={(root) => {
            make(root, wanted)
          }}
        >
          {sheet(wanted)}
        </PaperFrame>
      )}
    </span>
  )
}

/** With a page that is handed in goes the hash of the notebook it is from. */
function KeepHandedIn() {
  const { head } = useHead()
  const title = useNotebook(({ notebooks, notebook }) => notebooks.find(({ id }) => id === notebook)?.title)
  return head && <KeepHash title={title ?? 'Notebook'} head={head} />
}

function saidOf({ pages, bytes, wanted }: Made): string {
  const kB = `${Math.ceil(bytes / 1000)} kB`
  const many = wanted === 'hand-in' && pages > 1 ? `It does not fit on one page: it takes ${pages}. ` : ''
  return `${many}${pages === 1 ? 'One page' : `${pages} pages`}, ${kB}, among your downloads.`
}
