import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type PrepFacts, readReading } from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { CompoundField, compoundNamed } from '../../../parts/CompoundField'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { comesTo, useLines, wrong } from '../../../parts/useTyped'
import { strike, useNotebook } from '../../../ledger/notebook'

/** The reaction the crude came from, for a percent yield: limiting reagent, its mass, molecules of product each. */
export function ReactionForm({ prep }: { prep: PrepFacts }) {
  const shelf = useNotebook((state) => state.shelf)
  const [open, setOpen] = useState(false)
  const form = useLines({
    start: { name: '', mass: '', ratio: '1' },
    make({ name, mass, ratio }) {
      const compound = compoundNamed(shelf, name)
      if (!compound) return wrong(`“${name}” is not on the shelf; its molar mass is needed.`, 'name')
      const read = readReading(mass, 'The limiting reagent')
      if (!read.ok) return wrong(read.problem.sentence, 'mass')
      if (read.value.value <= 0) return wrong('The limiting reagent weighs more than nothing.', 'mass')
      const per = readReading(ratio, 'Molecules of product')
      if (!per.ok) return wrong(per.problem.sentence, 'ratio')
      if (per.value.value <= 0) return wrong('Each molecule gives more than no product.', 'ratio')
      return comesTo([
        {
          kind: 'reaction named',
          subject: prep.id,
          body: {
            limiting: { name: compound.name, molarMassGPerMol: compound.molarMassGPerMol },
            limitingMass: read.value,
            productPerLimiting: per.value.value,
          },
        },
      ])
    },
  })
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
  return (
    <form aria-label="The reaction" className="row-of align-items-end" onSubmit={form.onSubmit}>
      <CompoundField label="limiting reagent" {...form.of('name')} />
      <InlineField label="its mass, g" {...form.of('mass')} />
      <InlineField label="product for each" width={110} {...form.of('ratio')} />
      <Button type="submit" variant="outline-primary">
        Name it
      </Button>
      <Refusal sentence={form.said} />
    </form>
  )
}
