import css from './SlotCard.module.css'
import classNames from 'classnames'
import { SampleOrigin } from '../../parts/SampleOrigin'
import type { RackTube } from '@ivory-crystal/core/notebook'

/** A card to print, with a hole drawn for each tube to be stuck through beside its label. */
export function SlotCard({ tubes }: { tubes: readonly RackTube[] }) {
  if (tubes.length === 0) return null
  return (
    <section className={classNames(css.slotCard, 'mt-3')} aria-label="Slot card">
      <div className="row-of align-items-center no-print">
        <h3>Slot card</h3>
        <button
          type="button"
          className="btn btn-sm btn-link"
          onClick={() => {
            window.print()
          }}
        >
          Print it
        </button>
        <span className="quiet">
          Push each tube through its two slits, beside its name, before you pack the next.
        </span>
      </div>
      <ol className={css.cardRows}>
        {tubes.map(({ entry }, i) => (
          <li key={entry.id}>
            <span className={css.slit} aria-hidden />
            <b>{i + 1}</b> {entry.body.label} · {entry.body.fillMm} mm {entry.body.grain}
            {entry.body.set ? ` · set ${entry.body.set}` : ''}
            <SampleOrigin sample={entry.body.sample} />
            <span className={css.slit} aria-hidden />
          </li>
        ))}
      </ol>
    </section>
  )
}
