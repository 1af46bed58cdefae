import css from './Paper.module.css'
import { inShort, type LogLine } from '@ivory-crystal/core/notebook'
import { clock, day } from '../format/format'
import { LastHash } from '../parts/LastHash'
import type { Layout } from './layout'

/** What was done, on paper: in full line by line, or in short as running words; struck lines shown in both. */
export function PaperLog({ lines, layout }: { lines: readonly LogLine[]; layout: Layout }) {
  const shown = layout === 'full' ? lines : inShort(lines)
  const names = [...new Set(shown.map(({ entry }) => day(entry.at)))]
  const on = (name: string) => shown.filter(({ entry }) => day(entry.at) === name)
  return (
    <section>
      <h2>What was done{layout === 'full' ? '' : ', in short'}</h2>
      {layout === 'full' ? (
        names.map((name) => (
          <section key={name}>
            <h3>{name}</h3>
            {on(name).map((line) => (
              <div key={line.entry.id} className={css.line}>
                <span className="quiet">{clock(line.entry.at)}</span>
                <span>
                  <Sentence line={line} />
                </span>
              </div>
            ))}
          </section>
        ))
      ) : (
        <p className={css.running}>
          {names.map((name) => (
            <span key={name}>
              <b>{name}</b>{' '}
              {on(name).map((line) => (
                <span key={line.entry.id}>
                  <span className="quiet">{clock(line.entry.at)}</span> <Sentence line={line} />{' '}
                </span>
              ))}
            </span>
          ))}
        </p>
      )}
      <LastHash />
    </section>
  )
}

function Sentence({ line: { sentence, strike, takenBack } }: { line: LogLine }) {
  return (
    <>
      <span className={strike ? 'struck' : undefined}>{sentence}</span>
      {strike && (
        <span className="quiet">
          {' '}
          struck out {clock(strike.at)}: {strike.body.reason}
        </span>
      )}
      {takenBack.map((one) => (
        <span key={one.back.id} className="quiet">
          {' '}
          struck out {clock(one.strike.at)}, taken back {clock(one.back.at)}
        </span>
      ))}
    </>
  )
}
