import { openCase } from '@ivory-crystal/core/notebook'
import Button from 'react-bootstrap/Button'
import { useNavigate } from 'react-router'
import { Field } from '../../parts/Field'
import { FieldError } from '../../parts/InlineField'
import { checkLines, useTyped } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { newSubject, useNotebook, write } from '../../ledger/notebook'

/** Opens a case: the unknown's code and how it looks. */
export function NewCase() {
  const notebook = useNotebook((state) => state.notebook)
  const go = useNavigate()
  const form = useTyped({
    start: { code: '', appearance: '' },
    make: ({ code, appearance }) =>
      code.trim() === ''
        ? refuse('Enter the code of the unknown, such as K-14. It is on the vial.', 'code')
        : ok(openCase(newSubject, code.trim(), appearance.trim())),
    check: ({ lines }) => checkLines(lines),
    keep({ id, lines }) {
      write(...lines)
      void go(`/n/${notebook ?? ''}/unknowns/${id}`)
    },
  })
  return (
    <form aria-label="Open a case" noValidate onSubmit={form.onSubmit}>
      <h2>Open a case</h2>
      <div className="stack mt-3">
        <Field label="code on the vial" {...form.of('code')} />
        <Field
          label="what it looks like"
          help="colour, crystals or powder; never smell it closely, never taste it"
          {...form.of('appearance')}
        />
        <FieldError sentence={form.message} />
        <Button type="submit" className="align-self-start">
          Open this case
        </Button>
      </div>
    </form>
  )
}
