import Button from 'react-bootstrap/Button'
import { type PrepFacts, readReading } from '@ivory-crystal/core'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { comesTo, useLines, wrong } from '../../../parts/useTyped'

/** The temperature of the solution, if someone reads it; optional. */
export function TemperatureForm({ prep }: { prep: PrepFacts }) {
  const form = useLines({
    start: { temperature: '' },
    make({ temperature }) {
      const read = readReading(temperature, 'The temperature')
      if (!read.ok) return wrong(read.problem.sentence, 'temperature')
      if (read.value.value <= -100 || read.value.value >= 300)
        return wrong(`A solution at ${read.value.text} °C cannot be. Was it typed in °F?`, 'temperature')
      return comesTo([{ kind: 'temperature read', subject: prep.id, body: { temperature: read.value } }])
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
        Read {typed || '…'} °C
      </Button>
      <span className="quiet">optional</span>
      <Refusal sentence={form.said} />
    </form>
  )
}
