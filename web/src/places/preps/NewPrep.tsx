import { beginPrep } from '@ivory-crystal/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate } from 'react-router'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { author, setAuthor } from '../../ledger/writer'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

/** Names what is to be purified; crude and product get identities of their own. */
export function NewPrep() {
  const shelf = useNotebook((state) => state.shelf)
  const notebook = useNotebook((state) => state.notebook)
  const go = useNavigate()
  const [name, setName] = useState('')
  const [title, setTitle] = useState('')
  const [bench, setBench] = useState(author)
  const [said, setSaid] = useState<string | null>(null)
  const compound = compoundNamed(shelf, name)
  return (
    <form
      aria-label="Begin a prep"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        if (!compound)
          return setSaid(
            name.trim() === ''
              ? 'What is to be purified?'
              : `“${name}” is not on the shelf. Look at the Shelf for the names there.`,
          )
        setAuthor(bench)
        const { id, lines } = beginPrep(newSubject, { title, compound })
        write(...lines)
        void go(`/n/${notebook ?? ''}/preps/${id}/plan`)
      }}
    >
      <h2>Begin a prep</h2>
      <div className="stack mt-3">
        <CompoundField
          label="what is to be purified"
          value={name}
          invalid={said === null ? false : 'alert'}
          help={
            said ??
            (compound
              ? `${compound.formula}, melts ${fixed(compound.meltLowC, 1)} to ${fixed(compound.meltHighC, 1)} °C (${compound.source}, confidence ${compound.meltConfidence})`
              : 'a compound of the shelf, by name')
          }
          onChange={(typed) => {
            setName(typed)
            setSaid(null)
          }}
        />
        <div>
          <Form.Label htmlFor="title">title, if you like</Form.Label>
          <Form.Control
            id="title"
            maxLength={200}
            value={title}
            onChange={(event) => {
              setTitle(event.target.value)
            }}
          />
        </div>
        <div>
          <Form.Label htmlFor="bench">bench code on every line</Form.Label>
          <Form.Control
            id="bench"
            maxLength={80}
            value={bench}
            onChange={(event) => {
              setBench(event.target.value)
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
