import { Link, useSearchParams } from 'react-router'
import { nextInCase, unknownsOf } from '@ivory-crystal/core/notebook'
import { capital, day } from '../../format/format'
import { Tabs } from '../../parts/Tabs'
import { Title } from '../../parts/Title'
import { useNotebook } from '../../ledger/notebook'
import { ClassLadders } from './ClassLadders'
import { NewCase } from './NewCase'
import { TwoStandards } from './TwoStandards'

const TABS = ['Cases', 'Two standards', 'The class'] as const

/** Unknowns to be identified, the exercise with two standards, and what the whole class found. */
export function Unknowns() {
  const [params, setParams] = useSearchParams()
  const tab = TABS.find((one) => one === params.get('show')) ?? 'Cases'
  return (
    <>
      <Title title="Unknowns" />
      <div className="mt-2">
        <Tabs
          tabs={TABS}
          here={tab}
          name="Parts of the unknowns"
          onTab={(wanted) => {
            setParams(wanted === 'Cases' ? {} : { show: wanted }, { replace: true })
          }}
        />
      </div>
      {tab === 'Cases' && <Cases />}
      {tab === 'Two standards' && <TwoStandards />}
      {tab === 'The class' && <ClassLadders />}
    </>
  )
}

function Cases() {
  const view = useNotebook((state) => state.view)
  const notebook = useNotebook((state) => state.notebook)
  const base = `/n/${notebook ?? ''}/unknowns`
  const cases = unknownsOf(view)
  return (
    <div className="columns two mt-3">
      <section aria-label="All cases">
        {cases.length === 0 ? (
          <p>
            No unknown yet. Begin a case with its code and what you see. Then come a fast scouting run, a
            careful run, the list of candidates, and mixed melts.
          </p>
        ) : (
          <table className="lines">
            <thead>
              <tr>
                <th>unknown</th>
                <th>opened</th>
                <th>now</th>
              </tr>
            </thead>
            <tbody>
              {cases.map((unknown) => {
                const next = nextInCase(view, unknown)
                const { signed, opened } = unknown
                return (
                  <tr key={unknown.id}>
                    <td>
                      <Link to={`${base}/${unknown.id}`}>{opened.body.code}</Link>
                      <span className="quiet d-block">{opened.body.appearance}</span>
                    </td>
                    <td>{day(opened.at)}</td>
                    <td>
                      {next?.text ??
                        (signed
                          ? `Signed: ${signed.body.answer.is === 'compound' ? capital(signed.body.answer.name) : signed.body.answer.is}`
                          : '')}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        )}
        <p className="mt-3 quiet">
          <Link to={`/n/${notebook ?? ''}/for-instructors`}>
            For instructors: how the reasoning works, and where it fails
          </Link>{' '}
          · <Link to={`/n/${notebook ?? ''}/glossary`}>Glossary</Link>
        </p>
      </section>
      <NewCase />
    </div>
  )
}
