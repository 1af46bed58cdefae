import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { readReading, type PrepFacts, type Reading } from '@ivory-crystal/core'
import { strike, write } from '../../state/notebook'

/** Portions of solvent, logged with one press. */
export function Portions({ prep, use }: { prep: PrepFacts; use: 'dissolve' | 'dilute' | 'rinse' }) {
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  const plan = prep.plan?.body
  const presets = presetsFor(use, plan?.result.minimumHotML ?? 4, plan?.input.washML ?? 1)
  const made = prep.portions.filter((portion) => portion.body.use === use)
  const last = made[made.length - 1]
  const add = (volume: Reading) => {
    write({ kind: 'solvent added', subject: prep.id, body: { volume, use } })
  }
  return (
    <form
      className="row-of align-items-center mt-1"
      aria-label={`Log solvent to ${use}`}
      onSubmit={(event) => {
        event.preventDefault()
        const read = readReading(typed, 'The portion')
        if (!read.ok) return setRefusal(read.problem.sentence)
        if (read.value.value <= 0)
          return setRefusal('A portion is more than nothing. Strike one that was logged by mistake.')
        if (read.value.value > 10_000) return setRefusal(`${read.value.text} mL fits no flask here.`)
        add(read.value)
        setTyped('')
        setRefusal(null)
      }}
    >
      {presets.map((text) => (
        <Button
          key={text}
          variant="outline-primary"
          size="sm"
          onClick={() => {
            add({ text, value: Number(text) })
          }}
        >
          + {text} mL
        </Button>
      ))}
      <Form.Control
        style={{ width: 84 }}
        size="sm"
        inputMode="decimal"
        aria-label="other volume, mL"
        placeholder="mL"
        value={typed}
        isInvalid={refusal !== null}
        onChange={(event) => {
          setTyped(event.target.value)
          setRefusal(null)
        }}
      />
      <Button type="submit" variant="outline-primary" size="sm" disabled={typed === ''}>
        Add {typed || '…'} mL
      </Button>
      {last && (
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(last, 'logged by mistake')
          }}
        >
          strike the last {last.body.volume.text} mL
        </Button>
      )}
      {refusal && (
        <span className="invalid-feedback" role="alert">
          {refusal}
        </span>
      )}
    </form>
  )
}

function presetsFor(
  use: 'dissolve' | 'dilute' | 'rinse',
  leastML: number,
  washML: number,
): readonly string[] {
  if (use === 'rinse') return [washML.toFixed(1), (washML / 2).toFixed(2)]
  const small = leastML < 2 ? 0.1 : leastML < 12 ? 0.5 : 2
  return use === 'dissolve'
    ? [small.toFixed(1), (2 * small).toFixed(1)]
    : [(2 * small).toFixed(1), (4 * small).toFixed(1)]
}
