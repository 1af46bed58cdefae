import css from './Rescue.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Modal from 'react-bootstrap/Modal'
import {
  linesOf,
  LOCAL_RULES,
  type PrepFacts,
  type Rescue as Card,
  rescuesAt,
  type Station,
} from '@ivory-crystal/core'
import { useKey } from '../../../app/useKey'
import { clock } from '../../../format/format'
import { strike, useNotebook, write } from '../../../ledger/notebook'

/** When it goes wrong: one key opens the cards for where the work is; each try is logged. */
export function Rescue({ prep, station }: { prep: PrepFacts; station: Station }) {
  const [open, setOpen] = useState(false)
  const [card, setCard] = useState<string | null>(null)
  useKey('r', () => {
    setOpen(true)
  })
  const cards = rescuesAt(station, prep.plan?.body.procedure.collect ?? null)
  if (cards.length === 0) return null
  return (
    <div>
      <Button
        variant="outline-primary"
        onClick={() => {
          setOpen(true)
        }}
      >
        It goes wrong <kbd className="key ms-1">R</kbd>
      </Button>
      <Modal
        show={open}
        size="lg"
        scrollable
        aria-labelledby="rescue-title"
        onHide={() => {
          setOpen(false)
        }}
      >
        <Modal.Header closeButton>
          <Modal.Title as="h2" id="rescue-title">
            What went wrong?
          </Modal.Title>
        </Modal.Header>
        <Modal.Body>
          <div className={css.rescues}>
            {cards.map((one) => (
              <section key={one.id}>
                <button
                  type="button"
                  className="opener"
                  aria-expanded={card === one.id}
                  onClick={() => {
                    setCard(card === one.id ? null : one.id)
                  }}
                >
                  {card === one.id ? '▾' : '▸'} {one.title}
                </button>
                {card === one.id && <Remedies card={one} prep={prep} station={station} />}
              </section>
            ))}
          </div>
          <p className="quiet mb-0 mt-3">{LOCAL_RULES}</p>
        </Modal.Body>
      </Modal>
    </div>
  )
}

function Remedies({ card, prep, station }: { card: Card; prep: PrepFacts; station: Station }) {
  const view = useNotebook((state) => state.view)
  const tried = linesOf(view, prep.id, 'rescue tried').filter(({ body }) => body.rescue === card.id)
  return (
    <>
      <p className="quiet mb-1">{card.why}</p>
      <ol className="mb-2">
        {card.remedies.map((remedy) => {
          const log = (helped: 'helped' | 'did not help') => {
            write({
              kind: 'rescue tried',
              subject: prep.id,
              body: { station, rescue: card.id, remedy: remedy.id, helped },
            })
          }
          const tries = tried.filter(({ body }) => body.remedy === remedy.id)
          return (
            <li key={remedy.id} className="mb-2">
              {remedy.text}
              {remedy.caution && <p className="caution">{remedy.caution}</p>}
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
                      strike
                    </Button>
                  </span>
                ))}
              </div>
            </li>
          )
        })}
      </ol>
    </>
  )
}
