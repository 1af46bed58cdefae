import type { ColumnDef } from '@tanstack/react-table'
import { boilsFromC, boilsInWords, hazardLine, type Solvent } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { useMemo, useState } from 'react'
import { Pictograms } from '../../drawings/Pictograms'
import { fixed } from '../../format/format'
import { RowForm } from './RowForm'
import { ShelfList } from './ShelfList'
import { columnsOf, opener } from './tableColumns'

const COLUMNS: ColumnDef<Solvent>[] = [
  opener('solvent', ({ name }) => name),
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
  ...columnsOf<Solvent>('solvent', ['freezingPointC', 'flashPointC', 'densityGPerML20', 'waterMiscible']),
]
const FIELDS = [
  ['name'],
  ['boilingPointC', 'freezingPointC', 'flashPointC'],
  ['boilingFromC', 'boilingToC', 'autoignitionC'],
  ['densityGPerML20', 'group', 'waterMiscible'],
  ['hazards'],
  ['source'],
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
        <RowForm
          key={chosen}
          sort="solvent"
          before={solvent}
          empty={{ group: 'other', waterMiscible: 'partial' }}
          fields={() => FIELDS}
          onDone={setChosen}
        >
          {solvent && (
            <p className="quiet mb-0">
              <Pictograms hazards={solvent.hazards} /> {hazardLine(solvent.hazards)}
            </p>
          )}
        </RowForm>
      )}
    </ShelfList>
  )
}
