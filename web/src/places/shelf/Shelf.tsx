import { useDeferredValue, useState } from 'react'
import Form from 'react-bootstrap/Form'
import { type Compound, hazardLine, type Shelf as ShelfData } from '@ivory-crystal/core'
import { fixed } from '../../format/format'
import { Formula } from '../../parts/Formula'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../state/notebook'

type Sort = 'compounds' | 'solvents' | 'solubilities'
const SORTS: readonly Sort[] = ['compounds', 'solvents', 'solubilities']

/** Reference values as they are, each with how far it can be trusted. */
export function Shelf() {
  const shelf = useNotebook((state) => state.shelf)
  const [sort, setSort] = useState<Sort>('compounds')
  const [wanted, setWanted] = useState('')
  const search = useDeferredValue(wanted.trim().toLowerCase())
  return (
    <>
      <Title
        title="Shelf"
        aside="general reference values; check them against your handbook before you rely on them"
      />
      <div className="row-of mt-3 mb-3 align-items-center">
        <div role="group" aria-label="What to show" className="d-flex gap-3">
          {SORTS.map((one) => (
            <Form.Check
              key={one}
              type="radio"
              id={`shelf-${one}`}
              label={one}
              checked={sort === one}
              onChange={() => {
                setSort(one)
              }}
            />
          ))}
        </div>
        <Form.Control
          style={{ width: 280 }}
          type="search"
          aria-label="Search the shelf"
          placeholder="name, formula or melting point"
          value={wanted}
          onChange={(event) => {
            setWanted(event.target.value)
          }}
        />
      </div>
      {!shelf && <p aria-busy="true">Reading the shelf …</p>}
      {shelf && sort === 'compounds' && <Compounds shelf={shelf} search={search} />}
      {shelf && sort === 'solvents' && <Solvents shelf={shelf} search={search} />}
      {shelf && sort === 'solubilities' && <Solubilities shelf={shelf} search={search} />}
    </>
  )
}

function Nothing({ search }: { search: string }) {
  return <p>Nothing on the shelf matches “{search}”.</p>
}

function matches(compound: Compound, search: string): boolean {
  const c = Number(search)
  if (search !== '' && Number.isFinite(c)) return c >= compound.meltLowC - 3 && c <= compound.meltHighC + 3
  return [compound.name, compound.formula, ...compound.synonyms].some((text) =>
    text.toLowerCase().includes(search),
  )
}

function Compounds({ shelf, search }: { shelf: ShelfData; search: string }) {
  const rows = shelf.compounds.filter((compound) => matches(compound, search))
  if (rows.length === 0) return <Nothing search={search} />
  return (
    <div className="scroll" role="region" tabIndex={0} aria-label="Compounds">
      <table className="lines">
        <thead>
          <tr>
            <th>compound</th>
            <th>formula</th>
            <th className="num">M, g/mol</th>
            <th className="num">melts, °C</th>
            <th className="num">ΔH fus, kJ/mol</th>
            <th>looks</th>
            <th>hazards</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>{row.name}</td>
              <td>
                <Formula formula={row.formula} />
              </td>
              <td className="num">{fixed(row.molarMassGPerMol, 2)}</td>
              <td className="num">
                {fixed(row.meltLowC, 1)} to {fixed(row.meltHighC, 1)}
                <span className="quiet d-block">
                  {row.behaviour === 'melts' ? '' : `${row.behaviour}, `}
                  confidence {row.meltConfidence}
                </span>
              </td>
              <td className="num">
                {row.fusionEnthalpyKJPerMol === null ? 'not known' : fixed(row.fusionEnthalpyKJPerMol, 1)}
                {row.fusionConfidence && (
                  <span className="quiet d-block">confidence {row.fusionConfidence}</span>
                )}
              </td>
              <td>{row.colour}</td>
              <td className="quiet">{hazardLine(row.hazards)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Solvents({ shelf, search }: { shelf: ShelfData; search: string }) {
  const rows = shelf.solvents.filter((solvent) => solvent.name.toLowerCase().includes(search))
  if (rows.length === 0) return <Nothing search={search} />
  const known = (value: number | null) => (value === null ? 'not known' : fixed(value, 1))
  return (
    <div className="scroll" role="region" tabIndex={0} aria-label="Solvents">
      <table className="lines">
        <thead>
          <tr>
            <th>solvent</th>
            <th className="num">boils, °C</th>
            <th className="num">freezes, °C</th>
            <th className="num">flash point, °C</th>
            <th className="num">density at 20 °C, g/mL</th>
            <th>mixes with water</th>
            <th>hazards</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              <td>{row.name}</td>
              <td className="num">{known(row.boilingPointC)}</td>
              <td className="num">{known(row.freezingPointC)}</td>
              <td className="num">{known(row.flashPointC)}</td>
              <td className="num">{fixed(row.densityGPerML20, 3)}</td>
              <td>{row.waterMiscible}</td>
              <td className="quiet">{hazardLine(row.hazards)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}

function Solubilities({ shelf, search }: { shelf: ShelfData; search: string }) {
  const nameOf = (id: string, of: readonly { id: string; name: string }[]) =>
    of.find((one) => one.id === id)?.name ?? id
  const rows = shelf.solubilities
    .map((row) => ({
      ...row,
      compoundName: nameOf(row.compound, shelf.compounds),
      solventName: nameOf(row.solvent, shelf.solvents),
    }))
    .filter((row) => `${row.compoundName} ${row.solventName}`.toLowerCase().includes(search))
    .sort(
      (p, q) =>
        `${p.compoundName} ${p.solventName}`.localeCompare(`${q.compoundName} ${q.solventName}`) ||
        p.temperatureC - q.temperatureC,
    )
  if (rows.length === 0) return <Nothing search={search} />
  return (
    <div className="scroll" role="region" tabIndex={0} aria-label="Solubilities">
      <table className="lines">
        <thead>
          <tr>
            <th>compound</th>
            <th>solvent</th>
            <th className="num">at, °C</th>
            <th className="num">g per 100 mL of solvent</th>
            <th>how sure</th>
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={`${row.compound} ${row.solvent} ${row.temperatureC}`}>
              <td>{row.compoundName}</td>
              <td>{row.solventName}</td>
              <td className="num">{fixed(row.temperatureC, 1)}</td>
              <td className="num">{row.gPer100ML}</td>
              <td className="quiet">{row.confidence ? `confidence ${row.confidence}` : row.source}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
