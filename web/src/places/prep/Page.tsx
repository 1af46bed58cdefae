import css from './Page.module.css'
import { logOf } from '@ivory-crystal/core/notebook'
import { Link } from 'react-router'
import { LogList } from '../../parts/LogList'
import { PrintButton } from '../../parts/PrintButton'
import { useNotebook } from '../../ledger/notebook'
import { PdfMenu } from '../../paper/PdfMenu'
import { PageBody, Pictures, LogSection } from './PageBody'
import { PrepSheet } from './PrepSheet'
import type { StationProps } from './station'

/** The whole prep on one page, as it is handed in. */
export function Page({ prep }: StationProps) {
  const notebook = useNotebook((state) => state.notebook)
  const view = useNotebook((state) => state.view)
  return (
    <article className={css.pageSheet}>
      <div className="d-flex flex-wrap align-items-baseline gap-3 mb-3">
        <LogSection prep={prep} />
        <div className="ms-auto no-print row-of align-items-center">
          <Link to={`/n/${notebook ?? ''}/preps/${prep.id}/labels`}>Labels</Link>
          <PdfMenu
            title={prep.opened.body.title}
            author={prep.opened.author}
            id={prep.id}
            sheet={(layout) => <PrepSheet prep={prep} layout={layout} />}
          />
          <PrintButton variant="outline-primary">Print the page</PrintButton>
        </div>
      </div>
      <PageBody prep={prep} />
      <Pictures of={prep.id} />
      <hr className="rule" />
      <LogList lines={logOf(view, prep.id)} />
    </article>
  )
}
