import css from './LogList.module.css'
import Button from 'react-bootstrap/Button'
import type { LogLine } from '@ivory-crystal/core/notebook'
import { clock } from '../format/format'
import { takeBack, useNotebook } from '../ledger/notebook'
import { LastHash } from './LastHash'

/** Everything as it was done, struck lines shown, with the hash that stands for all of it. */
export function LogList({ lines }: { lines: readonly LogLine[] }) {
  const quarantine = useNotebook((state) => state.quarantine)
  const refused = new Map(quarantine.map(({ id, sentence }) => [id, sentence]))
  return (
    <section>
      <h2>What was done</h2>
      <ol className={css.log}>
        {lines.map(({ entry, sentence, strike: through, takenBack }) => (
          <li key={entry.id}>
            <span className="quiet">{clock(entry.at)}</span>
            <span>
              <span className={through ? 'struck' : undefined}>{sentence}</span>
              {refused.has(entry.id) && <span className="trouble"> Not saved: {refused.get(entry.id)}</span>}
              {through && (
                <span className="quiet">
                  {' '}
                  struck out {clock(through.at)}: {through.body.reason}{' '}
                  <Button
                    variant="link"
                    size="sm"
                    className="no-print text-nowrap"
                    onClick={() => {
                      takeBack(through)
                    }}
                  >
                    take it back
                  </Button>
                </span>
              )}
              {takenBack.map((one) => (
                <span key={one.back.id} className="quiet">
                  {' '}
                  struck out {clock(one.strike.at)}, taken back {clock(one.back.at)}
                </span>
              ))}
            </span>
          </li>
        ))}
      </ol>
      <LastHash />
    </section>
  )
}
