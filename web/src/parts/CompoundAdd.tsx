import { type KeyboardEvent, useId, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { readReading } from '@ivory-crystal/core/weighing'
import { FieldError } from './InlineField'
import { Field } from './Field'
import { shortNameOf } from './shortName'
import { putOnShelf, type Shelved } from './useShelving'
import { ok, type Result, refuse } from '@ivory-crystal/core/problems'

interface Typed {
  readonly formula: string
  readonly low: string
  readonly high: string
  readonly source: string
}

/**
 * A compound put on the shelf where its name was typed, with no more than is needed there: what it is made of, where it
 * melts and who says so. The rest can follow on the shelf.
 */
export function CompoundAdd({ name, onAdded }: { name: string; onAdded: () => void }) {
  const id = useId()
  const [typed, setTyped] = useState<Typed>({ formula: '', low: '', high: '', source: '' })
  const [message, setSaid] = useState<string | null>(null)
  const [isBusy, setBusy] = useState(false)
  const at = (key: keyof Typed) => ({
    value: typed[key],
    onChange: (value: string) => {
      setSaid(null)
      setTyped({ ...typed, [key]: value })
    },
  })
  const save = async () => {
    if (isBusy) return
    setBusy(true)
    const made = await rowOfTyped(name.trim(), typed)
    const refused = made.ok ? await putOnShelf('compound', made.value) : made.problem.sentence
    setBusy(false)
    if (refused === null) onAdded()
    else setSaid(refused)
  }
  return (
    <fieldset
      aria-labelledby={`${id}-name`}
      className="told mt-2"
      onKeyDown={(event: KeyboardEvent) => {
        // It stands inside another form, which Enter would hand in.
        if (event.key !== 'Enter' || event.target instanceof HTMLButtonElement) return
        event.preventDefault()
        void save()
      }}
    >
      <p id={`${id}-name`} className="mb-1">
        <b>{name.trim()}</b>, new on the shelf
      </p>
      <Field
        label="formula, or structure (SMILES)"
        help="its molar mass follows from it"
        {...at('formula')}
      />
      <div className="row-of flex-nowrap">
        <Field label="melts from, °C" {...at('low')} />
        <Field label="to, °C" {...at('high')} />
      </div>
      <Field
        label="source of these values"
        help="the bottle’s label, a handbook, the instructor"
        {...at('source')}
      />
      <FieldError sentence={message} className="trouble mb-0" />
      <Button
        size="sm"
        variant="outline-primary"
        className="mt-2"
        disabled={isBusy}
        onClick={() => {
          void save()
        }}
      >
        Add to the shelf
      </Button>
    </fieldset>
  )
}

async function rowOfTyped(
  name: string,
  { formula, low, high, source }: Typed,
): Promise<Result<Shelved, string>> {
  const { readSubstance } = await import('@ivory-crystal/core/structures/formula')
  const read = await readSubstance(formula)
  if (!read)
    return refuse(
      `“${formula.trim()}” is not a formula such as C8H9NO or a structure such as CC(=O)Nc1ccccc1.`,
    )
  const from = readReading(low, 'Melts from')
  if (!from.ok) return refuse(from.problem.sentence)
  const to = readReading(high, 'Melts to')
  if (!to.ok) return refuse(to.problem.sentence)
  if (from.value.value > to.value.value)
    return refuse('Enter the lower temperature first: it melts from there to the higher one.')
  if (source.trim() === '')
    return refuse('Give the source of the melting range: a handbook, the bottle’s label, the instructor.')
  return ok({
    rows: [
      {
        id: shortNameOf(name),
        name,
        smiles: read.readAs === 'structure' ? formula.trim() : '',
        formula: read.formula,
        molarMassGPerMol: read.molarMassGPerMol,
        cas: null,
        meltLowC: from.value.value,
        meltHighC: to.value.value,
        meltConfidence: 'low',
        behaviour: 'melts',
        fusionEnthalpyKJPerMol: null,
        fusionConfidence: null,
        colour: '',
        hazards: [],
        synonyms: [],
        source: source.trim(),
      },
    ],
  })
}
