import css from '../Practice.module.css'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { SmallJob } from '@ivory-crystal/core/practice'

/** The small jobs that compete for the eye: the first that is not answered, and how many wait behind it. */
export function Jobs({
  jobs,
  answers,
  onAnswer,
}: {
  jobs: readonly SmallJob[]
  answers: readonly (string | null)[]
  onAnswer: (i: number, answer: string) => void
}) {
  const [typed, setTyped] = useState('')
  const i = jobs.findIndex((_, at) => answers[at] === null)
  const job = jobs[i]
  if (!job) return <p className="quiet">No other work just now.</p>
  const waiting = jobs.filter((_, at) => answers[at] === null).length - 1
  return (
    <Form
      className={css.job}
      onSubmit={(event) => {
        event.preventDefault()
        if (typed.trim() === '') return
        onAnswer(i, typed)
        setTyped('')
      }}
    >
      <Form.Label htmlFor="small-job">{job.ask}</Form.Label>
      <div className="row-of align-items-center">
        <Form.Control
          id="small-job"
          className="narrow"
          inputMode="decimal"
          autoComplete="off"
          value={typed}
          onChange={(event) => {
            setTyped(event.target.value)
          }}
        />
        <Button type="submit" variant="outline-primary">
          Write it down
        </Button>
        {waiting > 0 && <span className="quiet">{waiting} more waiting</span>}
      </div>
    </Form>
  )
}
