import css from './Photographs.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SubjectId } from '@ivory-crystal/core/ids'
import {
  type Entry,
  PHOTOGRAPH_SHOWS,
  photographsOf,
  type PhotographShows,
} from '@ivory-crystal/core/notebook'
import { capital, clock, shortDay } from '../format/format'
import { keepPhotograph } from '../ledger/pictures'
import { strike, useNotebook, write } from '../ledger/notebook'
import { dataUrlOf } from './dataUrl'
import { FileButton } from './FileButton'
import { Photograph } from './Photograph'
import type { TakenPhotograph } from './takePhotograph'

/** Photographs of a prep, an unknown or a plate, and a button that takes another. */
export function Photographs({ of, usual }: { of: SubjectId; usual: PhotographShows }) {
  const lines = useNotebook((state) => photographsOf(state.view, of))
  const [taken, setTaken] = useState<TakenPhotograph | null>(null)
  const [words, setSaid] = useState<string | null>(null)
  const take = async (file: File) => {
    setSaid(null)
    try {
      const { takePhotograph } = await import('./takePhotograph')
      setTaken(await takePhotograph(file))
    } catch (error) {
      setSaid((error as Error).message)
    }
  }
  return (
    <section className="mt-3" aria-label="Photographs">
      <Gallery lines={lines} mayStrike />
      {taken ? (
        <Taken
          key={taken.sha256}
          of={of}
          taken={taken}
          usual={usual}
          onDone={(sentence) => {
            setTaken(null)
            setSaid(sentence)
          }}
        />
      ) : (
        <FileButton
          size="sm"
          name="A photograph"
          accept="image/*"
          saysName={false}
          onFile={(file) => void take(file)}
        >
          Add a photograph
        </FileButton>
      )}
      {words !== null && (
        <p className="look mt-2" role="alert">
          {words}
        </p>
      )}
    </section>
  )
}

/** Pictures beside one another, each with when it was taken and what it shows. */
export function Gallery({
  lines,
  mayStrike = false,
}: {
  lines: readonly Entry<'photographed'>[]
  mayStrike?: boolean
}) {
  if (lines.length === 0) return null
  return (
    <div className={css.row}>
      {lines.map((line) => (
        <figure key={line.id}>
          <Photograph line={line} />
          <figcaption>
            {shortDay(line.at)} {clock(line.at)}, {line.body.shows}
            {line.body.text === '' ? '' : `: ${line.body.text}`}{' '}
            {mayStrike && (
              <Button
                variant="link"
                size="sm"
                onClick={() => {
                  strike(line, 'taken by mistake')
                }}
              >
                strike out
              </Button>
            )}
          </figcaption>
        </figure>
      ))}
    </div>
  )
}

/** A picture that was just taken: what it shows is said before it is kept. */
function Taken({
  of,
  taken,
  usual,
  onDone,
}: {
  of: SubjectId
  taken: TakenPhotograph
  usual: PhotographShows
  onDone: (message: string | null) => void
}) {
  const [shows, setShows] = useState<PhotographShows>(usual)
  const [text, setText] = useState('')
  const { jpeg, sha256, widthPx, heightPx } = taken
  const keep = async () => {
    try {
      await keepPhotograph(sha256, jpeg)
      write({
        kind: 'photographed',
        subject: of,
        body: { sha256, bytes: jpeg.byteLength, widthPx, heightPx, shows, text: text.trim() },
      })
      onDone(null)
    } catch (error) {
      onDone((error as Error).message)
    }
  }
  return (
    <form
      className={css.taken}
      aria-label="The photograph just taken"
      onSubmit={(event) => {
        event.preventDefault()
        void keep()
      }}
    >
      <img className={css.picture} src={dataUrlOf(jpeg)} alt="" />
      <div>
        <Form.Select
          aria-label="It shows"
          value={shows}
          onChange={(event) => {
            setShows(event.target.value as PhotographShows)
          }}
        >
          {PHOTOGRAPH_SHOWS.map((one) => (
            <option key={one} value={one}>
              {capital(one)}
            </option>
          ))}
        </Form.Select>
        <Form.Control
          className="mt-2"
          aria-label="What does it show"
          placeholder="What does it show?"
          maxLength={300}
          value={text}
          onChange={(event) => {
            setText(event.target.value)
          }}
        />
        <p className="row-of mt-2 mb-0">
          <Button type="submit">Keep it</Button>
          <Button
            variant="link"
            onClick={() => {
              onDone(null)
            }}
          >
            Leave it
          </Button>
        </p>
      </div>
    </form>
  )
}
