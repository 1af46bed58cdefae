import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { PrepFacts } from '@ivory-crystal/core/notebook'
import { readReading } from '@ivory-crystal/core/weighing'
import { fixed } from '../../../format/format'
import { CompoundField } from '../../../parts/CompoundField'
import { Field } from '../../../parts/Field'
import { InlineField, FieldError } from '../../../parts/InlineField'
import { useSubstance } from '../../../parts/useSubstance'
import { useLines } from '../../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { strike } from '../../../ledger/notebook'

/** The reaction the crude came from, for a percent yield: limiting reagent, its mass, molecules of product each. */
export function ReactionForm({ prep }: { prep: PrepFacts }) {
  const [open, setOpen] = useState(false)
  const [asked, setAsked] = useState({ name: '', formula: '' })
  const { substance, isNamed } = useSubstance(asked.name, asked.formula)
  const form = useLines({
    start: { name: '', formula: '', mass: '', ratio: '1' },
    make({ name, formula, mass, ratio }) {
      if (name.trim() === '') return refuse('Which reagent limited the yield?', 'name')
      if (!substance)
        return formula.trim() === ''
          ? refuse(`What is “${name.trim()}” made of? Its formula is enough, such as C6H7N.`, 'formula')
          : refuse(
              `“${formula.trim()}” is not a formula such as C6H7N, no structure such as Nc1ccccc1 and no molar mass in g/mol.`,
              'formula',
            )
      const read = readReading(mass, 'The limiting reagent')
      if (!read.ok) return refuse(read.problem.sentence, 'mass')
      if (read.value.value <= 0) return refuse('The limiting reagent has a mass above zero.', 'mass')
      const per = readReading(ratio, 'Molecules of product')
      if (!per.ok) return refuse(per.problem.sentence, 'ratio')
      if (per.value.value <= 0)
        return refuse('Each molecule gives more than zero molecules of product.', 'ratio')
      return ok([
        {
          kind: 'reaction named',
          subject: prep.id,
          body: {
            limiting: { name: substance.name, molarMassGPerMol: substance.molarMassGPerMol },
            limitingMass: read.value,
            productPerLimiting: per.value.value,
          },
        },
      ])
    },
  })
  const { reaction } = prep
  if (reaction) {
    const { limiting, limitingMass, productPerLimiting } = reaction.body
    return (
      <p className="quiet mb-0">
        Made from {limitingMass.text} g of {limiting.name} ({fixed(limiting.molarMassGPerMol, 2)} g/mol); each
        molecule of it gives {productPerLimiting} of product.{' '}
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(reaction, 'another reaction')
          }}
        >
          strike out
        </Button>
      </p>
    )
  }
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
          Calculate a percent yield
        </Button>
        <span className="quiet">if the crude was made here: name the limiting reagent and its mass</span>
      </div>
    )
  const { name, formula } = form.typed
  if (name !== asked.name || formula !== asked.formula) setAsked({ name, formula })
  return (
    <form aria-label="The reaction" onSubmit={form.onSubmit}>
      <div className="row-of align-items-start">
        <CompoundField
          label="limiting reagent"
          {...form.of('name')}
          help={
            substance
              ? `${substance.name}, ${fixed(substance.molarMassGPerMol, 2)} g/mol (${substance.from})`
              : 'by any of its names'
          }
        />
        {!isNamed && name.trim() !== '' && (
          <Field
            label="its formula, SMILES or g/mol"
            width={210}
            help="for its molar mass"
            {...form.of('formula')}
          />
        )}
        <InlineField label="its mass, g" {...form.of('mass')} />
        <InlineField label="product molecules from one" width={190} {...form.of('ratio')} />
        <Button type="submit" variant="outline-primary" style={{ marginTop: 23 }}>
          Calculate it
        </Button>
      </div>
      <FieldError sentence={form.message} />
    </form>
  )
}
