import { useState } from 'react'
import type { PrepFacts } from '@ivory-crystal/core/notebook'
import { fileName } from '../../format/fileName'
import { aboutPage, storedPaper } from '../../paper/aboutPage'
import { PaperFrame } from '../../paper/PaperFrame'
import type { Notify } from '../../parts/useLongRun'
import type { Beside } from '../../workers/crate'
import { PrepSheet } from '../prep/PrepSheet'

type Page = Beside['pages'][number]
const WIDTH_PX = 920

/** Makes the page of every prep as a PDF, one after the other, where nobody sees it. */
export function EveryPage({
  preps,
  notify,
  onDone,
}: {
  preps: readonly PrepFacts[]
  notify: Notify
  /** null when it was told to stop. */
  onDone: (pages: readonly Page[] | null) => void
}) {
  const [made, setMade] = useState<readonly Page[]>([])
  const prep = preps[made.length]
  if (!prep) return null
  const { title } = prep.opened.body
  const make = async (root: HTMLElement): Promise<void> => {
    const { makeFrom } = await import('../../paper/makeFrom')
    const about = aboutPage({ title, author: prep.opened.author, paper: storedPaper(), id: prep.id })
    const pdf = await makeFrom(root, 'full', about, () => notify(made.length / preps.length))
    if (!pdf) return onDone(null)
    const file = `${String(made.length + 1).padStart(3, '0')}-${fileName(title)}`
    const pages = [...made, { title, file, pdf: pdf.bytes }]
    if (pages.length === preps.length) onDone(pages)
    else setMade(pages)
  }
  return (
    <PaperFrame
      key={prep.id}
      widthPx={WIDTH_PX}
      isCompact={false}
      onReady={(root) => {
        make(root).catch(() => {
          onDone(null)
        })
      }}
    >
      <PrepSheet prep={prep} layout="full" />
    </PaperFrame>
  )
}
