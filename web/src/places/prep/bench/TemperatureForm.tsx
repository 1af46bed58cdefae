import Button from 'react-bootstrap/Button'
import { useState } from 'react'
import { type PrepFacts, solutionDoubt } from '@ivory-crystal/core/notebook'
import { readReading } from '@ivory-crystal/core/weighing'
import { useNotebook } from '../../../ledger/notebook'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { useLines } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'

/** The temperature of the solution, if someone reads it; optional. */
export function TemperatureForm({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  /** A reading that was asked about: handed in once more as it is, it is kept. */
  const [asked, setAsked] = useState<string | null>(null)
  const form = useLines({
    start: { temperature: '' },
    make({ temperature }) {
      const read = readReading(temperature, 'The temperature')
      if (!read.ok) return refuse(read.problem.sentence, 'temperature')
      if (read.value.value <= -100 || read.value.value >= 600)
        return refuse(`A solution at ${read.value.text} °C cannot be.`, 'temperature')
      const doubt = solutionDoubt(view, prep, read.value.value)
      if (doubt !== null && asked !== read.value.text) {
        setAsked(read.value.text)
        return refuse(doubt, 'temperature')
      }
      return ok([{ kind: 'temperature read', subject: prep.id, body: { temperature: read.value } }])
    },
  })
  const typed = form.typed.temperature
  return (
    <form
      className="row-of align-items-center"
      aria-label="Temperature of the solution"
      onSubmit={form.onSubmit}
    >
      <InlineField label="temperature of the solution, °C" hint="°C" {...form.of('temperature')} />
      <Button type="submit" size="sm" variant="outline-primary" disabled={typed.trim() === ''}>
        {asked !== null && asked === typed.trim() ? 'It is correct: ' : ''}Read {typed || '…'} °C
      </Button>
      <span className="quiet">optional</span>
      <Refusal sentence={form.message} />
    </form>
  )
}
