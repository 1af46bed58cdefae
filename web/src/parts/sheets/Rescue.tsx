import css from './Rescue.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import { useMatch } from 'react-router'
import type { PrepId } from '@ivory-crystal/core/ids'
import { linesOf, type PrepFacts, prepOf } from '@ivory-crystal/core/notebook'
import {
  EMERGENCIES,
  LOCAL_RULES,
  type Rescue as Card,
  rescuesAt,
  TELL_SOMEONE,
} from '@ivory-crystal/core/procedures'
import { type Station, STATIONS } from '@ivory-crystal/core/stations'
import { clock } from '../../format/format'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { useLabRules } from '../useHouseRules'

/** Where the work is, from the address: the station, and the prep when there is one. */
function useWhere(): { readonly station: Station | null; readonly prep: PrepFacts | null } {
  const view = useNotebook((state) => state.view)
  const at = useMatch('/n/:notebook/preps/:prep/:station')
  const melt = useMatch('/n/:notebook/melts/:melt')
  const instrument = useMatch('/n/:notebook/instruments/:instrument')
  const unknown = useMatch('/n/:notebook/unknowns/:unknown/:station')
  if (at)
    return {
      station: STATIONS.find((one) => one === at.params.station) ?? null,
      prep: prepOf(view, at.params.prep as PrepId),
    }
  const melts = melt !== null || instrument !== null || unknown !== null
  return { station: melts ? 'melt' : null, prep: null }
}

/**
 * Someone is hurt or something burns, first; then what goes wrong where the work is, each try logged. The same sheet
 * on every screen.
 */
export function Rescue({ onHide }: { onHide: () => void }) {
  const { station, prep } = useWhere()
  const [card, setCard] = useState<string | null>(null)
  const cards = station ? rescuesAt(station, prep?.plan?.body.procedure.collect ?? null) : []
  const toggle = (id: string) => () => {
    setCard(card === id ? null : id)
  }
  return (
    <Modal show size="lg" scrollable aria-labelledby="rescue-title" onHide={onHide}>
      <Modal.Header closeButton>
        <Modal.Title as="h2" id="rescue-title">
          What went wrong?
        </Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <section className={css.hurt} aria-labelledby="hurt-title">
          <h3 id="hurt-title">Someone is hurt or something burns</h3>
          <p className="mb-1">{TELL_SOMEONE}</p>
          <EmergencyCalls />
          <div className={css.emergencies}>
            {EMERGENCIES.map((one) => (
              <section key={one.id}>
                <h4>{one.title}</h4>
                <p className={css.first}>{one.first}</p>
                <p className="quiet mb-0">{one.then}</p>
              </section>
            ))}
          </div>
        </section>
        {cards.length > 0 && (
          <div className={css.rescues}>
            <h3 className="mt-3">The work went wrong</h3>
            {cards.map((one) => (
              <section key={one.id}>
                <button
                  type="button"
                  className="opener"
                  aria-expanded={card === one.id}
                  onClick={toggle(one.id)}
                >
                  {card === one.id ? '▾' : '▸'} {one.title}
                </button>
                {card === one.id && station && <Remedies card={one} prep={prep} station={station} />}
              </section>
            ))}
          </div>
        )}
        <p className="quiet mb-0 mt-3">{LOCAL_RULES}</p>
      </Modal.Body>
    </Modal>
  )
}

/** Whom to call, as the lab has set it. */
function EmergencyCalls() {
  const { emergencyCalls } = useLabRules()
  return emergencyCalls ? (
    <p className={css.calls}>{emergencyCalls}</p>
  ) : (
    <p className="quiet mb-2">
      The numbers to call are not set here: read the card on the wall. Set them under Instruments, house
      rules.
    </p>
  )
}

function Remedies({ card, prep, station }: { card: Card; prep: PrepFacts | null; station: Station }) {
  const view = useNotebook((state) => state.view)
  const tried = prep
    ? linesOf(view, prep.id, 'rescue tried').filter(({ body }) => body.rescue === card.id)
    : []
  return (
    <>
      <p className="quiet mb-1">{card.why}</p>
      <ol className="mb-2">
        {card.remedies.map((remedy) => {
          const log = (helped: 'helped' | 'did not help') => {
            if (!prep) return
            write({
              kind: 'rescue tried',
              subject: prep.id,
              body: {
                station,
                rescue: card.id,
                remedy: remedy.id,
                words: { rescue: card.title, remedy: remedy.text },
                helped,
              },
            })
          }
          const tries = tried.filter(({ body }) => body.remedy === remedy.id)
          return (
            <li key={remedy.id} className="mb-2">
              {remedy.text}
              {remedy.caution && <p className="caution">{remedy.caution}</p>}
              {prep && (
                <div className="row-of align-items-center" role="group" aria-label={`Tried: ${remedy.text}`}>
                  <Button
                    size="sm"
                    variant="link"
                    onClick={() => {
                      log('helped')
                    }}
                  >
                    tried, it helped
                  </Button>
                  <Button
                    size="sm"
                    variant="link"
                    onClick={() => {
                      log('did not help')
                    }}
                  >
                    tried, no help
                  </Button>
                  {tries.map((entry) => (
                    <span key={entry.id} className="quiet">
                      {clock(entry.at)} {entry.body.helped}{' '}
                      <Button
                        size="sm"
                        variant="link"
                        onClick={() => {
                          strike(entry, 'logged by mistake')
                        }}
                      >
                        strike out
                      </Button>
                    </span>
                  ))}
                </div>
              )}
            </li>
          )
        })}
      </ol>
    </>
  )
}
