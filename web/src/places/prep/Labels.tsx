import css from './Labels.module.css'
import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import { Link, useParams } from 'react-router'
import type { PrepId } from '@ivory-crystal/core/ids'
import { type LabelFacts, type Labelled, labelsOf, prepOf } from '@ivory-crystal/core/notebook'
import { Pictograms } from '../../drawings/Pictograms'
import { QrCode } from '../../drawings/QrCode'
import { day, netMassText } from '../../format/format'
import { useNotebook } from '../../ledger/notebook'
import { PrintButton } from '../../parts/PrintButton'
import { Title } from '../../parts/Title'

const COPIES_MOST = 24
type Layout = 'sheet' | 'single'

/** Labels of a prep: what is in the vial, how much, since when, whose, its hazards, and how it is left. */
export function Labels() {
  const { prep: id = '' } = useParams()
  const view = useNotebook((state) => state.view)
  const prep = prepOf(view, id as PrepId)
  const notebook = useNotebook((state) => state.notebook)
  const [layout, setLayout] = useState<Layout>('sheet')
  const [copies, setCopies] = useState<Readonly<Partial<Record<Labelled, number>>>>({})
  const back = `/n/${notebook ?? ''}/preps/${id}`
  if (!prep)
    return (
      <>
        <Title title="Labels" />
        <p className="mt-3">
          There is no such prep in this notebook. <Link to={`/n/${notebook ?? ''}/preps`}>All preps</Link>
        </p>
      </>
    )
  const labels = labelsOf(view, prep)
  const of = (what: Labelled) => copies[what] ?? 1
  const sheet = labels.flatMap((label) => Array.from({ length: of(label.what) }, () => label))
  const address = `${location.origin}${back}`
  return (
    <>
      <div className="no-print">
        <Title title={`Labels, ${prep.opened.body.title}`} />
        <p>
          <Link to={`${back}/page`}>Back to the prep</Link>
        </p>
        {labels.length === 0 ? (
          <p>There is nothing to label yet. Name its crystals, or use a plan.</p>
        ) : (
          <div className="row-of align-items-end mb-3">
            {labels.map(({ what }) => (
              <div key={what}>
                <Form.Label htmlFor={`copies-${what}`}>{what}, copies</Form.Label>
                <Form.Select
                  id={`copies-${what}`}
                  className="narrow"
                  value={of(what)}
                  onChange={(event) => {
                    setCopies((before) => ({ ...before, [what]: Number(event.target.value) }))
                  }}
                >
                  {Array.from({ length: COPIES_MOST + 1 }, (_, count) => (
                    <option key={count}>{count}</option>
                  ))}
                </Form.Select>
              </div>
            ))}
            <div>
              <Form.Label htmlFor="label-layout">on paper</Form.Label>
              <Form.Select
                id="label-layout"
                value={layout}
                onChange={(event) => {
                  setLayout(event.target.value === 'single' ? 'single' : 'sheet')
                }}
              >
                <option value="sheet">a sheet, two across</option>
                <option value="single">one label to a page</option>
              </Form.Select>
            </div>
            <PrintButton variant="primary">Print the labels</PrintButton>
          </div>
        )}
        <p className="quiet">
          The square code opens this prep where {location.origin} can be reached. The rules of the lab for
          labels come first.
        </p>
      </div>
      <section aria-label="Labels" className={layout === 'sheet' ? css.sheet : css.single}>
        {sheet.map((label, i) => (
          <Label key={i} label={label} address={address} />
        ))}
      </section>
    </>
  )
}

function Label({ label, address }: { label: LabelFacts; address: string }) {
  const { what, name, mass, about, atMs, author, hazards, codes, signalWord, notFinished } = label
  return (
    <article className={css.label}>
      <div className={css.words}>
        <p className={css.name}>{name}</p>
        <p>
          {what !== 'mother liquor' && (
            <>
              <b>{mass ? `${netMassText(mass)} g` : (about ?? 'not weighed')}</b> ·{' '}
            </>
          )}
          {day(atMs)} · {author}
          {mass?.from === 'simulated balance' ? ' · simulated balance' : ''}
        </p>
        {notFinished && <p>{notFinished}</p>}
        <p className={css.hazards}>
          <Pictograms hazards={codes} signalWord={signalWord} size={26} /> {hazards}
        </p>
      </div>
      <div className={css.code}>
        <QrCode text={address} label={`Code of ${address}`} />
      </div>
    </article>
  )
}
