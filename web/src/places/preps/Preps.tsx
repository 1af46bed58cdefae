import { Link } from 'react-router'
import { prepsOf, recoveryOf, stationsOf } from '@ivory-crystal/core/notebook'
import { capital, day, withUncertainty } from '../../format/format'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { Exchange } from './Exchange'
import { NewPrep } from './NewPrep'

/** Every prep of the notebook, and the way to a new one. */
export function Preps() {
  const view = useNotebook((state) => state.view)
  const notebook = useNotebook((state) => state.notebook)
  const base = `/n/${notebook ?? ''}/preps`
  const preps = prepsOf(view)
  if (preps.length === 0)
    return (
      <>
        <Title title="Preps" aside="none yet; begin one with the compound you want to purify" />
        <div className="columns two mt-4">
          <NewPrep />
          <Exchange />
        </div>
      </>
    )
  return (
    <>
      <Title title="Preps" aside={preps.length === 1 ? '1 prep' : `${preps.length} preps`} />
      <div className="columns two mt-4">
        <section aria-label="All preps">
          <table className="lines">
            <thead>
              <tr>
                <th>prep</th>
                <th>begun</th>
                <th>at</th>
                <th className="num">recovery of the crude</th>
              </tr>
            </thead>
            <tbody>
              {preps.map((prep) => {
                const recovery = recoveryOf(prep)
                const at = stationsOf(view, prep.id).find(
                  ({ state }) => state === 'now' || state === 'needs a look',
                )
                return (
                  <tr key={prep.id}>
                    <td>
                      <Link to={`${base}/${prep.id}`}>{prep.opened.body.title}</Link>
                    </td>
                    <td>{day(prep.opened.at)}</td>
                    <td>
                      {at
                        ? `${capital(at.station)}${at.state === 'needs a look' ? ', needs a look' : ''}`
                        : 'finished'}
                    </td>
                    <td className="num">
                      {recovery.ok ? `${withUncertainty(recovery.value.percent)} %` : 'not yet'}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <Exchange />
        </section>
        <NewPrep />
      </div>
    </>
  )
}
