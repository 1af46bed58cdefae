import type { Compound } from '@ivory-crystal/core/substances'
import { Structure } from '../../parts/Structure'
import { type Cells, RowForm } from './RowForm'

const EMPTY = { meltConfidence: 'low', behaviour: 'melts' }

/** A compound typed or changed; formula and molar mass follow from the structure. */
export function CompoundForm({
  before,
  onDone,
}: {
  before: Compound | null
  /** Told the id that was saved, or null when nothing was. */
  onDone: (id: string | null) => void
}) {
  return (
    <RowForm
      sort="compound"
      before={before}
      empty={EMPTY}
      fields={fieldsOf}
      follow={follow}
      under={(name, { smiles = '', name: called }) =>
        name === 'smiles' &&
        smiles !== '' && (
          <Structure key={name} smiles={smiles} name={called || 'this compound'} width={260} height={120} />
        )
      }
      onDone={onDone}
    />
  )
}

const fieldsOf = ({ smiles = '' }: Cells) => [
  ['name'],
  ['smiles'],
  ...(smiles === '' ? [['formula', 'molarMassGPerMol']] : []),
  ['meltLowC', 'meltHighC', 'meltSpreadC'],
  ['meltConfidence', 'behaviour'],
  ['fusionEnthalpyKJPerMol', 'colour'],
  ['hazards', 'synonyms'],
  ['vapour1mmHgC', 'meltsUnderWaterC'],
  ['source'],
]

function follow(name: string, value: string, { fusionConfidence = '' }: Cells): Cells {
  // Another structure, another formula and mass: both follow from it anew.
  if (name === 'smiles') return { formula: '', molarMassGPerMol: '' }
  if (name === 'fusionEnthalpyKJPerMol')
    return { fusionConfidence: value.trim() === '' ? '' : fusionConfidence || 'low' }
  return {}
}
