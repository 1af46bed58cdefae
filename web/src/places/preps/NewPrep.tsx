import { useLabRules } from '../../parts/useHouseRules'
import { beginPrep } from '@ivory-crystal/core/notebook'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { author, setAuthor } from '../../ledger/writer'
import { checkLines, useTyped } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

/** Names compound to purify; crude and product get identities of their own. */
export function NewPrep() {
  const shelf = useNotebook((state) => state.shelf)
  const notebook = useNotebook((state) => state.notebook)
  const go = useNavigate()
  const form = useTyped({
    start: { name: '', title: '', bench: author() },
    make({ name, title, bench }) {
      const compound = compoundNamed(shelf, name)
      if (compound) return ok({ ...beginPrep(newSubject, { title, compound }), bench })
      return refuse(
        name.trim() === ''
          ? 'What is to be purified?'
          : `No compound on the shelf is called “${name.trim()}”. You can add it below.`,
        'name',
      )
    },
    check: ({ lines }) => checkLines(lines),
    keep({ id, lines, bench }) {
      setAuthor(bench)
      write(...lines)
      void go(`/n/${notebook ?? ''}/preps/${id}/plan`)
    },
  })
  const { message: sentence, typed } = form
  const { closed } = useLabRules()
  const compound = compoundNamed(shelf, typed.name)
  return (
    <form aria-label="Begin a prep" noValidate onSubmit={form.onSubmit}>
      <h2>Begin a prep</h2>
      <div className="stack mt-3">
        <CompoundField
          label="compound to purify"
          {...form.of('name')}
          invalid={sentence === null ? false : 'alert'}
          isAddable
          help={
            sentence ??
            (compound && closed.includes(compound.id)
              ? `${compound.name}: not allowed by the house rules of this lab. Ask the person in charge before you begin.`
              : compound
                ? `${compound.formula}, melts ${fixed(compound.meltLowC, 1)} to ${fixed(compound.meltHighC, 1)} °C (${compound.source}, confidence ${compound.meltConfidence})`
                : 'a compound of the shelf, by name')
          }
        />
        <div>
          <Form.Label htmlFor="title">title, if you like</Form.Label>
          <Form.Control
            id="title"
            maxLength={200}
            value={typed.title}
            onChange={(event) => {
              form.set({ title: event.target.value })
            }}
          />
        </div>
        <div>
          <Form.Label htmlFor="bench">bench code on every entry</Form.Label>
          <Form.Control
            id="bench"
            maxLength={80}
            value={typed.bench}
            onChange={(event) => {
              form.set({ bench: event.target.value })
            }}
          />
        </div>
        <Button type="submit" className="align-self-start">
          Begin this prep
        </Button>
      </div>
    </form>
  )
}
