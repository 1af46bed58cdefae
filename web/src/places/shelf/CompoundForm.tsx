import { comesTo, wrong } from '@ivory-crystal/core/problems'
import { useShelving } from '../../parts/useShelving'
import { SaidWrong } from '../../parts/InlineField'
import Button from 'react-bootstrap/Button'
import type { Compound } from '@ivory-crystal/core/substances'
import { Structure } from '../../parts/Structure'
import { cellsOf, rowOf } from './columns'
import { shortNameOf } from '../../parts/shortName'
import { Choice, Field } from '../../parts/Field'

const EMPTY = { meltConfidence: 'low', behaviour: 'melts', source: '' }
const CONFIDENCES = ['high', 'medium', 'low'] as const
const BEHAVIOURS = ['melts', 'decomposes', 'sublimes', 'hydrate', 'other forms'] as const

/** A compound typed or changed; formula and molar mass follow from the structure. */
export function CompoundForm({
  before,
  onDone,
}: {
  before: Compound | null
  /** Told the id that was saved, or null when nothing was. */
  onDone: (id: string | null) => void
}) {
  const form = useShelving<{ cells: Readonly<Record<string, string>> }>({
    sort: 'compound',
    start: { cells: before ? cellsOf('compound', before) : EMPTY },
    make({ cells }) {
      if ((cells['name'] ?? '').trim() === '') return wrong('What is it called?')
      if ((cells['source'] ?? '').trim() === '')
        return wrong('Where are the values from? A source makes them worth keeping.')
      const id = before?.id ?? shortNameOf(cells['name'] ?? '')
      return comesTo({ rows: [{ ...rowOf('compound', cells), id }] })
    },
    saved({ rows: [row] }) {
      onDone(row?.['id'] as string)
    },
  })
  const { cells } = form.typed
  const of = (name: string) => cells[name] ?? ''
  const set = (name: string) => (value: string) => {
    form.set({
      cells: {
        ...cells,
        [name]: value,
        // Another structure, another formula and mass: both follow from it anew.
        ...(name === 'smiles' ? { formula: '', molarMassGPerMol: '' } : {}),
      },
    })
  }
  return (
    <form
      aria-label={before ? `Change ${before.name}` : 'A new compound'}
      className="stack"
      onSubmit={form.onSubmit}
    >
      <h2>{before ? `Change ${before.name}` : 'A new compound'}</h2>
      <Field label="name" value={of('name')} onChange={set('name')} />
      <Field
        label="structure (SMILES)"
        value={of('smiles')}
        onChange={set('smiles')}
        help="gives formula and molar mass; without one, type the formula"
      />
      {of('smiles') !== '' && (
        <Structure smiles={of('smiles')} name={of('name') || 'this compound'} width={260} height={120} />
      )}
      {of('smiles') === '' && (
        <div className="row-of flex-nowrap">
          <Field label="formula" value={of('formula')} onChange={set('formula')} />
          <Field
            label="molar mass, g/mol"
            value={of('molarMassGPerMol')}
            onChange={set('molarMassGPerMol')}
          />
        </div>
      )}
      <div className="row-of flex-nowrap">
        <Field label="melts from, °C" value={of('meltLowC')} onChange={set('meltLowC')} />
        <Field label="to, °C" value={of('meltHighC')} onChange={set('meltHighC')} />
        <Field label="sources apart by, °C" value={of('meltSpreadC')} onChange={set('meltSpreadC')} />
      </div>
      <div className="row-of">
        <Choice
          label="confidence"
          value={of('meltConfidence') as (typeof CONFIDENCES)[number]}
          options={CONFIDENCES}
          onChange={set('meltConfidence')}
        />
        <Choice
          label="behaviour"
          value={of('behaviour')}
          options={
            BEHAVIOURS.includes(of('behaviour') as never) ? BEHAVIOURS : [...BEHAVIOURS, of('behaviour')]
          }
          onChange={set('behaviour')}
        />
      </div>
      <div className="row-of flex-nowrap align-items-start">
        <Field
          label="enthalpy of fusion, kJ/mol"
          value={of('fusionEnthalpyKJPerMol')}
          onChange={(value) => {
            form.set({
              cells: {
                ...cells,
                fusionEnthalpyKJPerMol: value,
                fusionConfidence: value.trim() === '' ? '' : of('fusionConfidence') || 'low',
              },
            })
          }}
          help="empty if not known"
        />
        <Field label="looks" value={of('colour')} onChange={set('colour')} />
      </div>
      <div className="row-of flex-nowrap align-items-start">
        <Field label="hazard codes" value={of('hazards')} onChange={set('hazards')} help="H315; H319" />
        <Field label="other names" value={of('synonyms')} onChange={set('synonyms')} help="one; another" />
      </div>
      <div className="row-of flex-nowrap align-items-start">
        <Field
          label="1 mmHg of vapour at, °C"
          value={of('vapour1mmHgC')}
          onChange={set('vapour1mmHgC')}
          help="says how warm an oven may be; empty if not known"
        />
        <Field
          label="melts under hot water at, °C"
          value={of('meltsUnderWaterC')}
          onChange={set('meltsUnderWaterC')}
          help="empty if not known"
        />
      </div>
      <Field
        label="source of these values"
        value={of('source')}
        onChange={set('source')}
        help="handbook and edition, or who measured it"
      />
      <SaidWrong sentence={form.said} className="trouble mb-0" />
      <div className="row-of">
        <Button type="submit" disabled={form.busy}>
          {before ? 'Save as a new version' : 'Put it on the shelf'}
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            onDone(null)
          }}
        >
          Leave it
        </Button>
      </div>
    </form>
  )
}
