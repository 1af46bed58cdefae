import { copyMarks, type MeltFacts } from '@ivory-crystal/core/notebook'
import type { Reading } from '@ivory-crystal/core/units'
import { readReading } from '@ivory-crystal/core/weighing'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { InlineField } from '../../parts/InlineField'
import { newSubject, write } from '../../ledger/notebook'

/** Marks the instrument stored itself, copied in tube by tube: both ends of each, or none. */
export function CopyMarks({ melt }: { melt: MeltFacts }) {
  const { tubes } = melt.planned.body
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>({})
  const [message, setSaid] = useState<string | null>(null)
  const copy = () => {
    const read: { slot: number; onset: Reading; clear: Reading }[] = []
    for (const { slot, label } of tubes) {
      const [low = '', high = ''] = [texts[`${slot} onset`], texts[`${slot} clear`]]
      if (low.trim() === '' && high.trim() === '') continue
      if (low.trim() === '' || high.trim() === '')
        return setSaid(
          `${label} has only one temperature. One temperature is not a range: copy both, or leave both empty.`,
        )
      const [onset, clear] = [
        readReading(low, `The onset of ${label}`),
        readReading(high, `The clear point of ${label}`),
      ]
      if (!onset.ok) return setSaid(onset.problem.sentence)
      if (!clear.ok) return setSaid(clear.problem.sentence)
      if (onset.value.value > clear.value.value)
        return setSaid(`The onset of ${label} lies above its clear point. Were the two swapped?`)
      read.push({ slot, onset: onset.value, clear: clear.value })
    }
    if (read.length === 0) return setSaid('Copy both ends of one tube at least.')
    write(...copyMarks(newSubject, melt, read))
  }
  return (
    <details className="mt-2">
      <summary>Copy in marks saved by the instrument</summary>
      {tubes.map(({ slot, label }) => (
        <div key={slot} className="row-of align-items-end mt-2">
          <span style={{ minWidth: 150 }}>
            {slot}: {label}
          </span>
          {(['onset', 'clear'] as const).map((end) => (
            <InlineField
              key={end}
              width={110}
              label={`${end === 'onset' ? 'onset' : 'clear point'}, °C`}
              value={texts[`${slot} ${end}`] ?? ''}
              onChange={(value) => {
                setTexts({ ...texts, [`${slot} ${end}`]: value })
                setSaid(null)
              }}
            />
          ))}
        </div>
      ))}
      {message && (
        <p className="look" role="alert">
          {message}
        </p>
      )}
      <Button size="sm" variant="outline-primary" className="mt-2" onClick={copy}>
        Copy these marks
      </Button>
    </details>
  )
}
