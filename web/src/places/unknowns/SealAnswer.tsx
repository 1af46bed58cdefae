import { useTyped } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { FieldError } from '../../parts/InlineField'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { UnknownFacts } from '@ivory-crystal/core/notebook'
import { readReading } from '@ivory-crystal/core/weighing'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Field } from '../../parts/Field'
import { api } from '../../ledger/api'
import { receive, useNotebook } from '../../ledger/notebook'

/** For whoever hands the unknown out: the answer goes to the server and stays there until the case is signed. */
export function SealAnswer({
  unknown,
  isOpenAtOnce = false,
}: {
  unknown: UnknownFacts
  /** Where a case begins, its fields stand open. */
  isOpenAtOnce?: boolean
}) {
  const notebook = useNotebook((state) => state.notebook)
  const shelf = useNotebook((state) => state.shelf)
  const [isOpen, setOpen] = useState(isOpenAtOnce)
  const form = useTyped({
    start: { name: '', purity: '98' },
    make({ name, purity }) {
      const compound = compoundNamed(shelf, name)
      if (!compound) return refuse(`No compound on the shelf is called “${name.trim()}”.`, 'name')
      const percent = readReading(purity, 'The purity')
      if (!percent.ok) return refuse(percent.problem.sentence, 'purity')
      if (percent.value.value < 50 || percent.value.value > 100)
        return refuse('Enter a purity from 50 to 100 mol %.', 'purity')
      return ok({ compound: compound.id, purity: percent.value.value / 100 })
    },
    async keep({ compound, purity }) {
      if (!notebook) return
      try {
        const { line } = await api.seal(notebook, unknown.id, compound, purity)
        receive([line])
        setOpen(false)
        form.reset()
      } catch (error) {
        return `${(error as Error).message} Nothing you typed is lost. Try again.`
      }
    },
  })
  if (unknown.signed) return null
  return (
    <section aria-label="Sealed answer">
      <h3>Sealed answer</h3>
      <p className="mt-1 mb-1">
        {unknown.sealed
          ? 'An answer is sealed on the server. It opens after you sign. A simulated tube of this unknown holds that compound.'
          : 'No answer yet. A simulated instrument needs one, or it has nothing to melt: seal it before you pack a tube for it. A real instrument needs none. It stays hidden until you sign.'}
      </p>
      {unknown.sealed ? null : !isOpen ? (
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setOpen(true)
          }}
        >
          Seal an answer (whoever hands it out)
        </Button>
      ) : (
        <form aria-label="Seal an answer" noValidate onSubmit={form.onSubmit}>
          <CompoundField label="what it is" isAddable {...form.of('name')} />
          <div className="row-of align-items-end mt-2">
            <Field label="purity, mol %" width={110} {...form.of('purity')} />
            <Button type="submit" variant="outline-primary" disabled={form.busy}>
              Seal it
            </Button>
          </div>
          <FieldError sentence={form.message} />
        </form>
      )}
    </section>
  )
}
