import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { readReading, type PrepFacts } from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { strike, useNotebook, write } from '../../../state/notebook'

/** The reaction the crude came from, for a percent yield: limiting reagent, its mass, molecules of product each. */
export function ReactionForm({ prep }: { prep: PrepFacts }) {
  const shelf = useNotebook((state) => state.shelf)
  const [open, setOpen] = useState(false)
  const [name, setName] = useState('')
  const [mass, setMass] = useState('')
  const [ratio, setRatio] = useState('1')
  const [said, setSaid] = useState<string | null>(null)
  const { reaction } = prep
  if (reaction)
    return (
      <p className="quiet mb-0">
        Made from {reaction.body.limitingMass.text} g of {reaction.body.limiting.name} (
        {fixed(reaction.body.limiting.molarMassGPerMol, 2)} g/mol), {reaction.body.productPerLimiting}{' '}
        molecule of product for each.{' '}
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(reaction, 'another reaction')
          }}
        >
          strike
        </Button>
      </p>
    )
  if (!open)
    return (
      <div className="row-of align-items-center">
        <Button
          variant="outline-primary"
          size="sm"
          onClick={() => {
            setOpen(true)
          }}
        >
          It was made here
        </Button>
        <span className="quiet">name the limiting reagent for a percent yield</span>
      </div>
    )
  const compound = shelf?.compounds.find((one) => one.name.toLowerCase() === name.trim().toLowerCase())
  return (
    <form
      aria-label="The reaction"
      className="row-of align-items-end"
      onSubmit={(event) => {
        event.preventDefault()
        if (!compound) return setSaid(`“${name}” is not on the shelf; its molar mass is needed.`)
        const read = readReading(mass, 'The limiting reagent')
        if (!read.ok) return setSaid(read.problem.sentence)
        if (read.value.value <= 0) return setSaid('The limiting reagent weighs more than nothing.')
        const per = readReading(ratio, 'Molecules of product')
        if (!per.ok) return setSaid(per.problem.sentence)
        if (per.value.value <= 0) return setSaid('Each molecule gives more than no product.')
        write({
          kind: 'reaction named',
          subject: prep.id,
          body: {
            limiting: { name: compound.name, molarMassGPerMol: compound.molarMassGPerMol },
            limitingMass: read.value,
            productPerLimiting: per.value.value,
          },
        })
      }}
    >
      <div>
        <Form.Label htmlFor="limiting">limiting reagent</Form.Label>
        <Form.Control
          id="limiting"
          list="limiting-names"
          autoComplete="off"
          value={name}
          onChange={(event) => {
            setName(event.target.value)
            setSaid(null)
          }}
        />
        <datalist id="limiting-names">
          {shelf?.compounds.map((one) => (
            <option key={one.id} value={one.name} />
          ))}
        </datalist>
      </div>
      <div style={{ width: 90 }}>
        <Form.Label htmlFor="limiting-g">its mass, g</Form.Label>
        <Form.Control
          id="limiting-g"
          inputMode="decimal"
          value={mass}
          onChange={(event) => {
            setMass(event.target.value)
            setSaid(null)
          }}
        />
      </div>
      <div style={{ width: 90 }}>
        <Form.Label htmlFor="per-limiting">product for each</Form.Label>
        <Form.Control
          id="per-limiting"
          inputMode="decimal"
          value={ratio}
          onChange={(event) => {
            setRatio(event.target.value)
            setSaid(null)
          }}
        />
      </div>
      <Button type="submit" variant="outline-primary">
        Name it
      </Button>
      {said && (
        <span className="invalid-feedback" role="alert">
          {said}
        </span>
      )}
    </form>
  )
}
