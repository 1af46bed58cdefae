import { openCase } from '@ivory-crystal/core'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router'
import { Field } from '../../parts/Field'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

/** Opens a case: the unknown's code and how it looks. */
export function NewCase() {
  const notebook = useNotebook((state) => state.notebook)
  const go = useNavigate()
  const [code, setCode] = useState('')
  const [appearance, setAppearance] = useState('')
  const [said, setSaid] = useState<string | null>(null)
  return (
    <form
      aria-label="Open a case"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        const name = code.trim()
        if (name === '') return setSaid('An unknown has a code, such as K-14: it stands on its vial.')
        const { id, lines } = openCase(newSubject, name, appearance.trim())
        write(...lines)
        void go(`/n/${notebook ?? ''}/unknowns/${id}`)
      }}
    >
      <h2>Open a case</h2>
      <div className="stack mt-3">
        <Field
          label="code on the vial"
          value={code}
          onChange={(value) => {
            setCode(value)
            setSaid(null)
          }}
        />
        <Field
          label="what it looks like"
          help="colour, crystals or powder; never smell it closely, never taste it"
          value={appearance}
          onChange={setAppearance}
        />
        {said && (
          <p className="look" role="alert">
            {said}
          </p>
        )}
        <Button type="submit" className="align-self-start">
          Open this case
        </Button>
      </div>
    </form>
  )
}
