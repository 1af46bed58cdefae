import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type PrepFacts, readReading } from '@ivory-crystal/core'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { write } from '../../../ledger/notebook'

/** The temperature of the solution, if someone reads it; optional. */
export function TemperatureForm({ prep }: { prep: PrepFacts }) {
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  return (
    <form
      className="row-of align-items-center"
      aria-label="Temperature of the solution"
      onSubmit={(event) => {
        event.preventDefault()
        const read = readReading(typed, 'The temperature')
        if (!read.ok) return setRefusal(read.problem.sentence)
        if (read.value.value <= -100 || read.value.value >= 300)
          return setRefusal(`A solution at ${read.value.text} °C cannot be. Was it typed in °F?`)
        write({ kind: 'temperature read', subject: prep.id, body: { temperature: read.value } })
        setTyped('')
      }}
    >
      <InlineField
        label="temperature of the solution, °C"
        hint="°C"
        value={typed}
        invalid={refusal !== null}
        onChange={(text) => {
          setTyped(text)
          setRefusal(null)
        }}
      />
      <Button type="submit" size="sm" variant="outline-primary" disabled={typed.trim() === ''}>
        Read {typed || '…'} °C
      </Button>
      <span className="quiet">optional</span>
      <Refusal sentence={refusal} />
    </form>
  )
}
