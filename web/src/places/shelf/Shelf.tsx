import { useDeferredValue, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { useSearchParams } from 'react-router'
import { Tabs } from '../../parts/Tabs'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { Compounds } from './Compounds'
import { ImportExport } from './ImportExport'
import { Procedures } from './Procedures'
import { Solubilities } from './Solubilities'
import { Solvents } from './Solvents'

const SORTS = ['compounds', 'solvents', 'solubilities', 'procedures'] as const
const SORT_OF = { compounds: 'compound', solvents: 'solvent', solubilities: 'solubility' } as const

/** Reference values and the lab's own, each with how far it can be trusted. */
export function Shelf() {
  const shelf = useNotebook((state) => state.shelf)
  const [params, setParams] = useSearchParams()
  const sort = SORTS.find((one) => one === params.get('show')) ?? 'compounds'
  const [typed, setTyped] = useState('')
  const search = useDeferredValue(typed)
  return (
    <>
      <Title
        title="Shelf"
        aside="general reference values and values of your lab; check them against your handbook before you rely on them"
      />
      <div className="row-of mt-2 mb-1 align-items-center">
        <Tabs
          tabs={SORTS}
          here={sort}
          name="What to show"
          onTab={(wanted) => {
            setParams(wanted === 'compounds' ? {} : { show: wanted }, { replace: true })
          }}
        />
        {sort !== 'procedures' && (
          <Form.Control
            style={{ width: 270 }}
            type="search"
            aria-label="Search the shelf"
            placeholder={sort === 'compounds' ? 'name, formula, or °C: 90 to 100' : 'name'}
            value={typed}
            onChange={(event) => {
              setTyped(event.target.value)
            }}
          />
        )}
        {shelf && sort !== 'procedures' && <ImportExport shelf={shelf} sort={SORT_OF[sort]} />}
      </div>
      {!shelf && <p aria-busy="true">Reading the shelf …</p>}
      {shelf && sort === 'compounds' && <Compounds shelf={shelf} search={search} />}
      {shelf && sort === 'solvents' && <Solvents shelf={shelf} search={search} />}
      {shelf && sort === 'solubilities' && <Solubilities shelf={shelf} search={search} />}
      {shelf && sort === 'procedures' && <Procedures shelf={shelf} />}
    </>
  )
}
