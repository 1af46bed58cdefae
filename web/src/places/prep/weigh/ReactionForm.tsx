import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type PrepFacts, readReading } from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { CompoundField, compoundNamed } from '../../../parts/CompoundField'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { strike, useNotebook, write } from '../../../ledger/notebook'

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
  const compound = compoundNamed(shelf, name)
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
      <CompoundField
        label="limiting reagent"
        value={name}
        onChange={(typed) => {
          setName(typed)
          setSaid(null)
        }}
      />
      <InlineField
        label="its mass, g"
        value={mass}
        onChange={(typed) => {
          setMass(typed)
          setSaid(null)
        }}
      />
      <InlineField
        label="product for each"
        width={110}
        value={ratio}
        onChange={(typed) => {
          setRatio(typed)
          setSaid(null)
        }}
      />
      <Button type="submit" variant="outline-primary">
        Name it
      </Button>
      <Refusal sentence={said} />
    </form>
  )
}
