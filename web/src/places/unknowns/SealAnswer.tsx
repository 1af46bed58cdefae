import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { readReading, type UnknownFacts } from '@ivory-crystal/core'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { Field } from '../../parts/Field'
import { api } from '../../ledger/api'
import { useNotebook, write } from '../../ledger/notebook'

/** For whoever hands the unknown out: the answer goes to the server and stays there until the case is signed. */
export function SealAnswer({ unknown }: { unknown: UnknownFacts }) {
  const notebook = useNotebook((state) => state.notebook)
  const shelf = useNotebook((state) => state.shelf)
  const [isOpen, setOpen] = useState(false)
  const [name, setName] = useState('')
  const [purity, setPurity] = useState('98')
  const [said, setSaid] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const seal = async () => {
    const compound = compoundNamed(shelf, name)
    const percent = readReading(purity, 'The purity')
    if (!compound) return setSaid(`The shelf knows no “${name.trim()}”.`)
    if (!percent.ok) return setSaid(percent.problem.sentence)
    if (percent.value.value < 50 || percent.value.value > 100)
      return setSaid('A purity runs from 50 to 100 mol %.')
    if (!notebook) return
    setBusy(true)
    try {
      const sealed = await api.seal(notebook, unknown.id, compound.id, percent.value.value / 100)
      write({ kind: 'answer sealed', subject: unknown.id, body: sealed })
      setOpen(false)
      setName('')
      setSaid(null)
    } catch (error) {
      setSaid(`${(error as Error).message} Nothing typed here is lost: try again.`)
    } finally {
      setBusy(false)
    }
  }
  if (unknown.signed) return null
  return (
    <section aria-label="Sealed answer">
      <h3>Sealed answer</h3>
      <p className="mt-1 mb-1">
        {unknown.sealed
          ? 'An answer is sealed on the server; it opens once you have signed. A simulated tube of this unknown holds it.'
          : 'None. Whoever hands the unknown out may seal one for self-checking; a simulated instrument needs it, to have something to melt.'}
      </p>
      {!isOpen ? (
        <Button
          size="sm"
          variant="link"
          onClick={() => {
            setOpen(true)
          }}
        >
          {unknown.sealed ? 'Seal another answer (instructor)' : 'Seal an answer (instructor)'}
        </Button>
      ) : (
        <form
          aria-label="Seal an answer"
          noValidate
          onSubmit={(event) => {
            event.preventDefault()
            void seal()
          }}
        >
          <CompoundField label="what it is" value={name} onChange={setName} />
          <div className="row-of align-items-end mt-2">
            <Field label="purity, mol %" width={110} value={purity} onChange={setPurity} />
            <Button type="submit" variant="outline-primary" disabled={busy}>
              Seal it
            </Button>
          </div>
          {said && (
            <p className="look" role="alert">
              {said}
            </p>
          )}
        </form>
      )}
    </section>
  )
}
