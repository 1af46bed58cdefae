import { comesTo, wrong } from '@ivory-crystal/core/problems'
import { useShelving } from '../../parts/useShelving'
import { SaidWrong } from '../../parts/InlineField'
import { useMemo, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { ColumnDef } from '@tanstack/react-table'
import { boilsFromC, boilsInWords, hazardLine, type Solvent } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { Pictograms } from '../../drawings/Pictograms'
import { fixed } from '../../format/format'
import { cellsOf, rowOf } from './columns'
import { shortNameOf } from '../../parts/shortName'
import { Choice, Field } from '../../parts/Field'
import { ShelfList } from './ShelfList'

const known = (value: number | null) => (value === null ? 'not known' : fixed(value, 1))
const COLUMNS: ColumnDef<Solvent>[] = [
  {
    header: 'solvent',
    accessorKey: 'name',
    cell: ({ row: { original } }) => (
      <button type="button" className="opener">
        {original.name}
      </button>
    ),
  },
  {
    header: 'boils, °C',
    id: 'boils',
    accessorFn: (solvent) => boilsFromC(solvent) ?? undefined,
    meta: { numeric: true },
    cell: ({ row: { original } }) =>
      original.boilingPointC === null
        ? (boilsInWords(original)?.replace(' °C', '') ?? 'not known')
        : fixed(original.boilingPointC, 1),
  },
  ...(
    [
      ['freezes, °C', 'freezingPointC'],
      ['flash point, °C', 'flashPointC'],
    ] as const
  ).map(([header, accessorKey]): ColumnDef<Solvent> => ({
    header,
    accessorKey,
    meta: { numeric: true },
    cell: ({ row: { original } }) => known(original[accessorKey]),
  })),
  {
    header: 'density at 20 °C, g/mL',
    accessorKey: 'densityGPerML20',
    meta: { numeric: true },
    cell: ({ row: { original } }) => fixed(original.densityGPerML20, 3),
  },
  { header: 'mixes with water', accessorKey: 'waterMiscible' },
]

export function Solvents({ shelf, search }: { shelf: Shelf; search: string }) {
  const [chosen, setChosen] = useState<string | null>(null)
  const wanted = search.trim().toLowerCase()
  const rows = useMemo(
    () => shelf.solvents.filter((solvent) => solvent.name.toLowerCase().includes(wanted)),
    [shelf.solvents, wanted],
  )
  const solvent = shelf.solvents.find(({ id }) => id === chosen) ?? null
  return (
    <ShelfList
      name="Solvents"
      count={`${rows.length} solvents`}
      add="Add a solvent"
      rows={rows}
      columns={COLUMNS}
      keyOf={(row) => row.id}
      chosen={chosen}
      search={search}
      onAdd={() => {
        setChosen('new')
      }}
      onChoose={setChosen}
    >
      {chosen === null ? (
        <p className="quiet">Choose a solvent to see its hazards or to change its values.</p>
      ) : (
        <SolventForm
          key={chosen}
          before={solvent}
          onDone={(id) => {
            setChosen(id)
          }}
        />
      )}
    </ShelfList>
  )
}

const GROUPS = [
  'water',
  'alcohol',
  'ketone',
  'ester',
  'ether',
  'chlorinated',
  'aromatic',
  'alkane',
  'nitrile',
  'acid',
  'other',
] as const
const MIXES = ['full', 'partial', 'no'] as const

function SolventForm({ before, onDone }: { before: Solvent | null; onDone: (id: string | null) => void }) {
  const form = useShelving<{ cells: Readonly<Record<string, string>> }>({
    sort: 'solvent',
    start: { cells: before ? cellsOf('solvent', before) : { group: 'other', waterMiscible: 'partial' } },
    make({ cells }) {
      if ((cells['name'] ?? '').trim() === '') return wrong('What is it called?')
      if ((cells['source'] ?? '').trim() === '')
        return wrong('Where are the values from? A source makes them worth keeping.')
      const id = before?.id ?? shortNameOf(cells['name'] ?? '')
      return comesTo({ rows: [{ ...rowOf('solvent', cells), id }] })
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
      },
    })
  }
  return (
    <form
      className="stack"
      aria-label={before ? `Change ${before.name}` : 'A new solvent'}
      onSubmit={form.onSubmit}
    >
      <h2>{before?.name ?? 'A new solvent'}</h2>
      {before && (
        <p className="quiet mb-0">
          <Pictograms hazards={before.hazards} /> {hazardLine(before.hazards)}
        </p>
      )}
      <Field label="name" value={of('name')} onChange={set('name')} />
      <div className="row-of flex-nowrap">
        <Field label="boils, °C" value={of('boilingPointC')} onChange={set('boilingPointC')} />
        <Field label="freezes, °C" value={of('freezingPointC')} onChange={set('freezingPointC')} />
        <Field label="flash point, °C" value={of('flashPointC')} onChange={set('flashPointC')} />
      </div>
      <div className="row-of flex-nowrap">
        <Field label="or boils from, °C" value={of('boilingFromC')} onChange={set('boilingFromC')} />
        <Field label="to, °C" value={of('boilingToC')} onChange={set('boilingToC')} />
        <Field label="lights by itself, °C" value={of('autoignitionC')} onChange={set('autoignitionC')} />
      </div>
      <div className="row-of flex-nowrap">
        <Field
          label="density at 20 °C, g/mL"
          value={of('densityGPerML20')}
          onChange={set('densityGPerML20')}
        />
        <Choice
          label="group, for waste"
          value={of('group') as (typeof GROUPS)[number]}
          options={GROUPS}
          onChange={set('group')}
        />
        <Choice
          label="mixes with water"
          value={of('waterMiscible') as (typeof MIXES)[number]}
          options={MIXES}
          onChange={set('waterMiscible')}
        />
      </div>
      <Field label="hazard codes" value={of('hazards')} onChange={set('hazards')} help="H225; H319" />
      <Field label="source of these values" value={of('source')} onChange={set('source')} />
      <SaidWrong sentence={form.said} className="trouble mb-0" />
      <Button type="submit" disabled={form.busy} className="align-self-start">
        {before ? 'Save as a new version' : 'Put it on the shelf'}
      </Button>
    </form>
  )
}
