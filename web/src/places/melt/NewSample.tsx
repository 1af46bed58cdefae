import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { NamedSample, SampleId } from '@ivory-crystal/core'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

const SORTS = ['authentic', 'mixture', 'unknown'] as const
type Sort = (typeof SORTS)[number]

/** Names a sample that no prep made: an authentic one off the shelf, a mixture of two, or an unknown. */
export function NewSample({
  samples,
  onNamed,
}: {
  samples: readonly NamedSample[]
  onNamed: (id: SampleId) => void
}) {
  const shelf = useNotebook((state) => state.shelf)
  const [sort, setSort] = useState<Sort | null>(null)
  const [text, setText] = useState('')
  const [parts, setParts] = useState<readonly [SampleId | '', SampleId | '']>(['', ''])
  const [said, setSaid] = useState<string | null>(null)
  if (!sort)
    return (
      <p className="row-of align-items-center mt-2 mb-0">
        <span className="quiet">Another sample:</span>
        {SORTS.map((one) => (
          <Button
            key={one}
            size="sm"
            variant="link"
            onClick={() => {
              setSort(one)
              setText('')
              setSaid(null)
            }}
          >
            {one === 'unknown' ? 'an unknown' : one === 'mixture' ? 'a mixture' : 'an authentic one'}
          </Button>
        ))}
      </p>
    )
  const named = (label: string, rest: Pick<NamedSample, 'compound' | 'of'>) => {
    const id = newSubject<SampleId>()
    write({ kind: 'sample named', subject: id, body: { prep: null, role: sort, label, ...rest } })
    onNamed(id)
    setSort(null)
  }
  const name = () => {
    if (sort === 'authentic') {
      const compound = compoundNamed(shelf, text)
      if (!compound)
        return setSaid(
          `The shelf knows no “${text.trim()}”. Put it on the shelf first, with its melting range.`,
        )
      return named(`Authentic ${compound.name}`, { compound, of: [] })
    }
    if (sort === 'unknown') {
      if (text.trim() === '') return setSaid('An unknown has a code, such as K-14.')
      return named(text.trim(), { compound: null, of: [] })
    }
    const [p, q] = parts
    if (p === '' || q === '' || p === q) return setSaid('A mixture is made of two different samples.')
    const label = (id: SampleId) => samples.find((one) => one.id === id)?.label ?? ''
    named(`${label(p)} + ${label(q)}`, { compound: null, of: [p, q] })
  }
  return (
    <fieldset className="mt-2">
      <legend className="h3">A new {sort === 'authentic' ? 'authentic sample' : sort}</legend>
      <div className="row-of align-items-end">
        {sort === 'authentic' && <CompoundField label="of" value={text} onChange={setText} />}
        {sort === 'unknown' && (
          <div>
            <Form.Label htmlFor="unknown-code">code</Form.Label>
            <Form.Control
              id="unknown-code"
              value={text}
              onChange={(event) => {
                setText(event.target.value)
              }}
            />
          </div>
        )}
        {sort === 'mixture' &&
          ([0, 1] as const).map((i) => (
            <Form.Select
              key={i}
              style={{ width: 190 }}
              aria-label={`part ${i + 1} of the mixture`}
              value={parts[i]}
              onChange={(event) => {
                const id = event.target.value as SampleId | ''
                setParts(i === 0 ? [id, parts[1]] : [parts[0], id])
              }}
            >
              <option value="">equal parts of …</option>
              {samples
                .filter(({ of }) => of.length === 0)
                .map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label}
                  </option>
                ))}
            </Form.Select>
          ))}
        <Button size="sm" onClick={name}>
          Name it
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setSort(null)
          }}
        >
          Never mind
        </Button>
      </div>
      {said && (
        <p className="look" role="alert">
          {said}
        </p>
      )}
    </fieldset>
  )
}
