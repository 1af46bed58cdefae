import type { SampleId } from '@ivory-crystal/core/ids'
import type { Line, NamedSample } from '@ivory-crystal/core/notebook'
import type { Shelf } from '@ivory-crystal/core/wire'
import { checkLines, useTyped } from '../../parts/useTyped'
import { ok, type Result, refuse } from '@ivory-crystal/core/problems'
import { FieldError } from '../../parts/InlineField'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { originOf } from '../../parts/SampleOrigin'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

const SORTS = ['authentic', 'mixture', 'unknown'] as const
type Sort = (typeof SORTS)[number]

interface Typed {
  sort: Sort | null
  text: string
  first: SampleId | ''
  second: SampleId | ''
}

/** Names a sample that no prep made: an authentic one off the shelf, a mixture of two, or an unknown. */
export function NewSample({
  samples,
  onNamed,
}: {
  samples: readonly NamedSample[]
  onNamed: (id: SampleId) => void
}) {
  const shelf = useNotebook((state) => state.shelf)
  const view = useNotebook((state) => state.view)
  const form = useTyped<Typed, Line<'sample named'>>({
    start: { sort: null, text: '', first: '', second: '' },
    make: (typed) => sampleLine(typed, shelf, samples),
    check: (line) => checkLines([line]),
    keep(line) {
      write(line)
      onNamed(line.subject)
      form.reset()
    },
  })
  const { sort } = form.typed
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
              form.set({ sort: one, text: '' })
            }}
          >
            {one === 'unknown' ? 'an unknown' : one === 'mixture' ? 'a mixture' : 'an authentic one'}
          </Button>
        ))}
      </p>
    )
  return (
    <fieldset className="mt-2">
      <legend className="h3">A new {sort === 'authentic' ? 'authentic sample' : sort}</legend>
      <div className="row-of align-items-end">
        {sort === 'authentic' && <CompoundField label="of" isAddable {...form.of('text')} />}
        {sort === 'unknown' && (
          <div>
            <Form.Label htmlFor="unknown-code">code</Form.Label>
            <Form.Control
              id="unknown-code"
              value={form.typed.text}
              onChange={(event) => {
                form.set({ text: event.target.value })
              }}
            />
          </div>
        )}
        {sort === 'mixture' &&
          (['first', 'second'] as const).map((part, i) => (
            <Form.Select
              key={part}
              style={{ width: 190 }}
              aria-label={`part ${i + 1} of the mixture`}
              value={form.typed[part]}
              onChange={(event) => {
                form.set({ [part]: event.target.value as SampleId | '' })
              }}
            >
              <option value="">equal parts of …</option>
              {samples
                .filter(({ of }) => of.length === 0)
                .map(({ id, label }) => (
                  <option key={id} value={id}>
                    {label} · {originOf(view, id)}
                  </option>
                ))}
            </Form.Select>
          ))}
        <Button size="sm" onClick={form.submit}>
          Name it
        </Button>
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            form.reset()
          }}
        >
          Never mind
        </Button>
      </div>
      <FieldError sentence={form.message} />
    </fieldset>
  )
}

function sampleLine(
  { sort, text, first, second }: Typed,
  shelf: Shelf | null,
  samples: readonly NamedSample[],
): Result<Line<'sample named'>, keyof Typed> {
  const named = (label: string, rest: Pick<NamedSample, 'compound' | 'of'>): Line<'sample named'> => ({
    kind: 'sample named',
    subject: newSubject<SampleId>(),
    body: { prep: null, role: sort ?? 'unknown', label, ...rest },
  })
  switch (sort) {
    case 'authentic': {
      const compound = compoundNamed(shelf, text)
      return compound
        ? ok(named(`Authentic ${compound.name}`, { compound, of: [] }))
        : refuse(
            `No compound on the shelf is called “${text.trim()}”. You can add it beside the field.`,
            'text',
          )
    }
    case 'mixture': {
      if (first === '' || second === '' || first === second)
        return refuse('A mixture needs two different samples.', 'first')
      const label = (id: SampleId) => samples.find((one) => one.id === id)?.label ?? ''
      return ok(named(`${label(first)} + ${label(second)}`, { compound: null, of: [first, second] }))
    }
    default:
      return text.trim() === ''
        ? refuse('An unknown has a code, such as K-14.', 'text')
        : ok(named(text.trim(), { compound: null, of: [] }))
  }
}
