import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { ColumnDef } from '@tanstack/react-table'
import { useSearchParams } from 'react-router'
import {
  CLASS_COLUMNS,
  type ClassColumn,
  type Compound,
  hazardLine,
  hazardStatement,
  meltingValueOf,
} from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { Pictograms } from '../../drawings/Pictograms'
import { fixed } from '../../format/format'
import { Formula } from '../../parts/Formula'
import { Structure } from '../../parts/Structure'
import { CompoundForm } from './CompoundForm'
import { lastWordUnbroken } from './lastWordKept'
import { ShelfList } from './ShelfList'
import { matches, readSearch } from './search'
import { columnsOf, opener } from './tableColumns'
import { Versions } from './Versions'

const CLASS_NAMES: Readonly<Record<ClassColumn, string>> = {
  water: 'water',
  ethanol: 'ethanol',
  ether: 'ether',
  toluene: 'toluene',
  hexane: 'hexane',
  waterHot: 'hot water',
  ethanolHot: 'hot ethanol',
}

const COLUMNS: ColumnDef<Compound>[] = [
  opener('compound', ({ name }) => lastWordUnbroken(name)),
  ...columnsOf<Compound>(
    'compound',
    ['formula', 'molarMassGPerMol'],
    { formula: ({ formula }) => <Formula formula={formula} /> },
    ['formula', 'molarMassGPerMol'],
  ),
  {
    header: 'melts, °C',
    accessorKey: 'meltLowC',
    meta: { numeric: true },
    cell: ({ row: { original } }) => (
      <>
        {fixed(original.meltLowC, 1)} to {fixed(original.meltHighC, 1)}
        <span className="quiet d-block">
          {original.behaviour === 'melts' ? '' : `${original.behaviour}, `}confidence{' '}
          {original.meltConfidence}
        </span>
      </>
    ),
  },
  ...columnsOf<Compound>('compound', ['colour'], {}, ['colour']),
]

/** Compounds of the shelf, one of them opened beside the list. */
export function Compounds({ shelf, search }: { shelf: Shelf; search: string }) {
  const [params, setParams] = useSearchParams()
  const [editing, setEditing] = useState<string | null>(null)
  const wanted = useMemo(() => readSearch(search), [search])
  const rows = useMemo(
    () => shelf.compounds.filter((compound) => matches(compound, wanted)),
    [shelf.compounds, wanted],
  )
  const chosen = shelf.compounds.find(({ id }) => id === params.get('id')) ?? rows[0] ?? null
  const choose = (id: string) => {
    setParams({ id }, { replace: true })
    setEditing(null)
  }
  return (
    <ShelfList
      name="Compounds"
      count={
        <>
          {rows.length === shelf.compounds.length
            ? `${rows.length} compounds`
            : `${rows.length} of ${shelf.compounds.length}`}
          {'fromC' in wanted && ` melting between ${wanted.fromC} and ${wanted.toC} °C`}
        </>
      }
      add="Add a compound"
      rows={rows}
      columns={COLUMNS}
      keyOf={(row) => row.id}
      chosen={editing === 'new' ? null : (chosen?.id ?? null)}
      search={search}
      onAdd={() => {
        setEditing('new')
      }}
      onChoose={choose}
    >
      {editing === 'new' ? (
        <CompoundForm
          before={null}
          onDone={(id) => {
            setEditing(null)
            if (id) choose(id)
          }}
        />
      ) : chosen && editing === chosen.id ? (
        <CompoundForm
          key={chosen.id}
          before={chosen}
          onDone={() => {
            setEditing(null)
          }}
        />
      ) : (
        chosen && (
          <Sheet
            compound={chosen}
            onEdit={() => {
              setEditing(chosen.id)
            }}
          />
        )
      )}
    </ShelfList>
  )
}

function Sheet({ compound, onEdit }: { compound: Compound; onEdit: () => void }) {
  const value = meltingValueOf(compound)
  return (
    <section aria-label={compound.name}>
      <h2>{compound.name}</h2>
      {compound.synonyms.length > 0 && <p className="quiet mb-1">{compound.synonyms.join(', ')}</p>}
      <Structure smiles={compound.smiles} name={compound.name} width={300} height={170} />
      <dl className="parts">
        <dt>Formula</dt>
        <dd>
          <Formula formula={compound.formula} />, {fixed(compound.molarMassGPerMol, 2)} g/mol
        </dd>
        <dt>{compound.behaviour === 'melts' ? 'Melts' : compound.behaviour}</dt>
        <dd>
          {fixed(compound.meltLowC, 1)} to {fixed(compound.meltHighC, 1)} °C{' '}
          <span className="quiet">confidence {compound.meltConfidence}</span>
          {value.spreadC > 0 && (
            <span className="d-block quiet">
              Sources differ by {fixed(value.spreadC, 1)} °C. Its clear point is taken as{' '}
              {fixed(value.clearC, 1)} °C. A pure sample still melts within {fixed(value.widthC, 0)} °C.
            </span>
          )}
        </dd>
        <dt>Enthalpy of fusion</dt>
        <dd>
          {compound.fusionEnthalpyKJPerMol === null
            ? 'not known; estimated by Walden’s rule where it is needed'
            : `${fixed(compound.fusionEnthalpyKJPerMol, 1)} kJ/mol`}{' '}
          {compound.fusionConfidence && <span className="quiet">confidence {compound.fusionConfidence}</span>}
        </dd>
        <dt>Looks</dt>
        <dd>{compound.colour || 'not noted'}</dd>
        {compound.cas && (
          <>
            <dt>Registry number</dt>
            <dd>{compound.cas}</dd>
          </>
        )}
        <dt>Hazards</dt>
        <dd>
          <Pictograms hazards={compound.hazards} signalWord={compound.signalWord} />{' '}
          {hazardLine(compound.hazards)}
          {compound.hazardsToCheck && compound.hazardsToCheck.length > 0 && (
            <span className="quiet">
              {' '}
              Check the safety data sheet for: {compound.hazardsToCheck.map(hazardStatement).join('; ')}.
            </span>
          )}
        </dd>
        {compound.vapour1mmHgC !== undefined && (
          <>
            <dt>1 mmHg of vapour</dt>
            <dd>
              at {fixed(compound.vapour1mmHgC, 1)} °C{' '}
              <span className="quiet">at most of medium confidence</span>
            </dd>
          </>
        )}
        {compound.hydrateWaters !== undefined && (
          <>
            <dt>From cold water</dt>
            <dd>
              with {compound.hydrateWaters} H₂O
              {compound.anhydrousAtC === undefined
                ? ', weighed as such'
                : `, which goes at ${compound.anhydrousAtC} °C`}{' '}
              <span className="quiet">medium confidence</span>
            </dd>
          </>
        )}
        {compound.solubilityClasses && (
          <>
            <dt>Dissolves</dt>
            <dd>
              {CLASS_COLUMNS.flatMap((column) => {
                const listed = compound.solubilityClasses?.[column]
                return listed === undefined ? [] : [`${CLASS_NAMES[column]} ${listed}`]
              }).join('; ')}{' '}
              <span className="quiet">
                i: under 0.1, sl: up to 1, s: up to 10, vs: over 10 g per 100 mL, from general handbooks, as a
                guide for what to try
              </span>
            </dd>
          </>
        )}
        <dt>Source</dt>
        <dd>{compound.source}</dd>
      </dl>
      <div className="row-of mt-3 align-items-center">
        <Button onClick={onEdit}>Change these values</Button>
        <Versions sort="compound" id={compound.id} />
      </div>
      <p className="quiet mt-2">A change is a new version. Preps keep the values they were planned with.</p>
    </section>
  )
}
