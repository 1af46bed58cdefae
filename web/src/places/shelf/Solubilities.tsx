import { ok, type Result, refuse } from '@ivory-crystal/core/problems'
import { type Shelved, useShelving } from '../../parts/useShelving'
import { FieldError } from '../../parts/InlineField'
import { lazy, Suspense, useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { ColumnDef } from '@tanstack/react-table'
import { readPoints, shelfPoints, type TypedPoint, typedPoints } from '@ivory-crystal/core/planning'
import { pointsTrouble } from '@ivory-crystal/core/solubility'
import type { SolubilityRow } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import { PointsField } from '../prep/plan/PointsField'
import { Field } from '../../parts/Field'
import { lastWordUnbroken } from './lastWordKept'
import { ShelfList } from './ShelfList'
import { opener } from './tableColumns'

const SolubilityChart = lazy(async () => ({
  default: (await import('../../drawings/SolubilityChart')).SolubilityChart,
}))

interface Pair {
  readonly key: string
  readonly compound: string
  readonly compoundName: string
  readonly solvent: string
  readonly solventName: string
  readonly rows: readonly SolubilityRow[]
}

const COLUMNS: ColumnDef<Pair>[] = [
  opener('compound', ({ compoundName }) => lastWordUnbroken(compoundName)),
  { header: 'solvent', accessorKey: 'solventName' },
  {
    header: 'points, °C: g per 100 mL',
    id: 'points',
    cell: ({ row: { original } }) =>
      original.rows.map((row) => `${fixed(row.temperatureC, 0)}: ${row.gPer100ML}`).join(' · '),
  },
  {
    header: 'how sure',
    id: 'confidence',
    cell: ({ row: { original } }) => (
      <span className="quiet">
        {[
          ...new Set(
            original.rows.map((row) => (row.confidence ? `confidence ${row.confidence}` : row.source)),
          ),
        ].join('; ')}
      </span>
    ),
  },
]

/** Solubility points by pair; typed with the curve beside them. */
export function Solubilities({ shelf, search }: { shelf: Shelf; search: string }) {
  const [chosen, setChosen] = useState<string | null>(null)
  const pairs = useMemo(() => pairsOf(shelf), [shelf])
  const wanted = search.trim().toLowerCase()
  const rows = useMemo(
    () =>
      pairs.filter(({ compoundName, solventName }) =>
        `${compoundName} ${solventName}`.toLowerCase().includes(wanted),
      ),
    [pairs, wanted],
  )
  const pair = pairs.find(({ key }) => key === chosen) ?? null
  return (
    <ShelfList
      name="Solubilities"
      count={`${rows.length} pairs`}
      add="Add points"
      rows={rows}
      columns={COLUMNS}
      keyOf={(row) => row.key}
      chosen={chosen}
      search={search}
      onAdd={() => {
        setChosen('new')
      }}
      onChoose={setChosen}
    >
      {chosen === null ? (
        <p className="quiet">Choose a pair to see its curve, or add points of your own.</p>
      ) : (
        <PairForm key={chosen} shelf={shelf} pair={pair} onSaved={setChosen} />
      )}
    </ShelfList>
  )
}

function pairsOf(shelf: Shelf): readonly Pair[] {
  const compounds = new Map(shelf.compounds.map(({ id, name }) => [id, name]))
  const solvents = new Map(shelf.solvents.map(({ id, name }) => [id, name]))
  const pairs = new Map<string, SolubilityRow[]>()
  for (const row of shelf.solubilities) {
    const key = `${row.compound}/${row.solvent}`
    pairs.set(key, [...(pairs.get(key) ?? []), row])
  }
  return [...pairs]
    .map(([key, rows]) => {
      const { compound, solvent } = rows[0] as SolubilityRow
      return {
        key,
        compound,
        solvent,
        compoundName: compounds.get(compound) ?? compound,
        solventName: solvents.get(solvent) ?? solvent,
        rows: [...rows].sort((p, q) => p.temperatureC - q.temperatureC),
      }
    })
    .sort((p, q) => `${p.compoundName} ${p.solventName}`.localeCompare(`${q.compoundName} ${q.solventName}`))
}

interface Typed {
  compoundName: string
  solventId: string
  points: readonly TypedPoint[]
  source: string
}

/** The points as they go on the shelf; those no longer typed come off it. */
function shelved(typed: Typed, shelf: Shelf): Result<Shelved, keyof Typed> {
  const compound = compoundNamed(shelf, typed.compoundName)
  if (!compound)
    return refuse(`“${typed.compoundName}” is not on the shelf. Add the compound first.`, 'compoundName')
  const read = readPoints(typed.points)
  if (typeof read === 'string') return refuse(read, 'points')
  if (read.some(([, s]) => s <= 0))
    return refuse('A solubility is above zero. Leave a point out instead of typing 0.', 'points')
  if (typed.source.trim() === '')
    return refuse('Enter the source of these points, such as a handbook.', 'source')
  const rows = read.map(([temperatureC, gPer100ML]) => ({
    compound: compound.id,
    solvent: typed.solventId,
    temperatureC,
    gPer100ML,
    confidence: null,
    source: typed.source.trim(),
  }))
  const listedC = new Set(rows.map(({ temperatureC }) => temperatureC))
  const off = shelfPoints(shelf, compound.id, typed.solventId)
    .filter(({ temperatureC }) => !listedC.has(temperatureC))
    .map(({ temperatureC }) => `${compound.id}/${typed.solventId}/${temperatureC}`)
  return ok({ rows, off })
}

function PairForm({
  shelf,
  pair,
  onSaved,
}: {
  shelf: Shelf
  pair: Pair | null
  onSaved: (key: string) => void
}) {
  const [logarithmic, setLogarithmic] = useState(false)
  const form = useShelving<Typed>({
    sort: 'solubility',
    start: {
      compoundName: pair?.compoundName ?? '',
      solventId: pair?.solvent ?? shelf.solvents[0]?.id ?? '',
      points: pair ? typedPoints(pair.rows) : [{ temperature: '', solubility: '' }],
      source: '',
    },
    make: (typed) => shelved(typed, shelf),
    saved({ rows: [row] }) {
      if (row) onSaved(`${String(row['compound'])}/${String(row['solvent'])}`)
    },
  })
  const { compoundName, solventId, points } = form.typed
  const solvent = shelf.solvents.find(({ id }) => id === solventId)
  const read = readPoints(points)
  const drawn = useMemo(() => {
    const now = readPoints(points)
    return typeof now === 'string'
      ? []
      : [{ name: compoundName, points: now.filter(([, s]) => s > 0), tone: '--ink' as const }]
  }, [points, compoundName])
  const trouble = typeof read === 'string' ? [] : pointsTrouble(read, solvent)
  return (
    <form className="stack" aria-label="Solubility points" onSubmit={form.onSubmit}>
      <h2>{pair ? `${pair.compoundName} in ${pair.solventName}` : 'New points'}</h2>
      {!pair && (
        <div className="row-of flex-nowrap">
          <CompoundField label="compound" {...form.of('compoundName')} />
          <div>
            <Form.Label htmlFor="pair-solvent">solvent</Form.Label>
            <Form.Select
              id="pair-solvent"
              value={solventId}
              onChange={(event) => {
                form.set({ solventId: event.target.value })
              }}
            >
              {shelf.solvents.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Form.Select>
          </div>
        </div>
      )}
      <Suspense
        fallback={
          <p aria-busy="true" style={{ minHeight: 225 }}>
            Drawing …
          </p>
        }
      >
        <SolubilityChart curves={drawn} fromC={0} toC={100} logarithmic={logarithmic} height={210} />
      </Suspense>
      <Form.Check
        type="switch"
        id="shelf-log"
        label="log scale"
        checked={logarithmic}
        onChange={(event) => {
          setLogarithmic(event.target.checked)
        }}
      />
      <PointsField
        legend={`${compoundName || 'compound'} in ${solvent?.name ?? 'solvent'}`}
        points={points}
        source={`${points.length} points`}
        error={typeof read === 'string' && form.message !== null ? read : null}
        onChange={(changed) => {
          form.set({ points: changed })
        }}
      />
      {trouble.map((sentence) => (
        <p key={sentence} className="look mb-0">
          {sentence}
        </p>
      ))}
      <Field
        label="source of these points"
        {...form.of('source')}
        help="handbook and edition, or who measured them and when"
      />
      <FieldError sentence={form.message} className="trouble mb-0" />
      <Button type="submit" disabled={form.busy} className="align-self-start">
        Save these points
      </Button>
    </form>
  )
}
