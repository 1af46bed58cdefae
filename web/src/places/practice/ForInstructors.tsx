import css from './Practice.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { download } from '../../device/download'
import { Head } from './Head'
import { ClassResults } from './ClassResults'
import { type Coded, MakeExercise } from './MakeExercise'

/** Exercises and practicals made to measure, and what the class handed in. */
export function ForInstructors() {
  const [codes, setCodes] = useState<readonly Coded[]>([])
  return (
    <>
      <Head title="Practice for instructors" leave={{ to: '..', words: 'Practice' }} />
      <div className={css.both}>
        <MakeExercise
          onMade={(made) => {
            setCodes((before) => [...before, made])
          }}
        />
        <MakePractical
          codes={codes}
          onRemove={(code) => {
            setCodes((before) => before.filter((one) => one.code !== code))
          }}
        />
      </div>
      <hr className="rule" />
      <ClassResults />
    </>
  )
}

/** Several codes as one file: one try each, answers sealed until handed in. */
function MakePractical({ codes, onRemove }: { codes: readonly Coded[]; onRemove: (code: string) => void }) {
  const [title, setTitle] = useState('')
  const save = async () => {
    const { practiceFileText } = await import('@ivory-crystal/core/practice/files')
    const name = title.trim() || 'Practical'
    download(
      `${name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase()}.json`,
      practiceFileText({
        kind: 'practical',
        practical: { id: crypto.randomUUID(), title: name, tubes: codes.map(({ code }) => code) },
      }),
      'application/json',
    )
  }
  return (
    <section aria-labelledby="make-practical">
      <h2 id="make-practical">Make a practical</h2>
      <p className="quiet">
        It holds the exercises made beside it, in order: one try each, and no answers before everything is
        handed in.
      </p>
      {codes.length === 0 ? (
        <p>No exercise has been made yet.</p>
      ) : (
        <ol>
          {codes.map(({ code, words }) => (
            <li key={code}>
              {words} <span className="quiet">{code}</span>{' '}
              <Button
                size="sm"
                variant="link"
                aria-label={`Leave out ${words}`}
                onClick={() => {
                  onRemove(code)
                }}
              >
                leave out
              </Button>
            </li>
          ))}
        </ol>
      )}
      <Form
        className="row-of"
        onSubmit={(event) => {
          event.preventDefault()
          void save()
        }}
      >
        <div>
          <Form.Label htmlFor="practical-title">title</Form.Label>
          <Form.Control
            id="practical-title"
            value={title}
            maxLength={120}
            autoComplete="off"
            placeholder="Practical"
            onChange={(event) => {
              setTitle(event.target.value)
            }}
          />
        </div>
        <Button type="submit" variant="outline-primary" disabled={codes.length === 0}>
          Save the practical
        </Button>
      </Form>
    </section>
  )
}
