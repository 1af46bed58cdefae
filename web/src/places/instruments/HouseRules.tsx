import { useHouseRules } from '../../parts/useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { BENCH, type Conventions } from '@ivory-crystal/core'
import { Title } from '../../parts/Title'
import { useNotebook, write } from '../../ledger/notebook'
import { HouseRulesEditor } from './HouseRulesEditor'
import { percentUnlisted } from './percentUnlisted'

/** Sets of house rules, the schools among them; which one this notebook goes by; and the lab's own. */
export function HouseRules() {
  const shelf = useNotebook((state) => state.shelf)
  const inForce = useHouseRules()
  const [editing, setEditing] = useState<Conventions | null>(null)
  if (!shelf) return <p aria-busy="true">Reading the shelf …</p>
  const rules = shelf.houseRules
  return (
    <>
      <Title title="House rules" />
      <p className="quiet mt-2">
        A run keeps the set it was planned under. Which set suits a sample is worked out where a melt is
        planned.
      </p>
      <div className="scroll mt-2">
        <table className="lines">
          <thead>
            <tr>
              <th>question</th>
              {rules.map((set) => (
                <th key={set.name}>
                  {set.name}
                  {set.name === inForce.name && <span className="quiet"> · in force</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {ROWS.map(([question, tell]) => (
              <tr key={question}>
                <td>{question}</td>
                {rules.map((set) => (
                  <td key={set.name}>{tell(set)}</td>
                ))}
              </tr>
            ))}
            <tr>
              <td />
              {rules.map((set) => (
                <td key={set.name}>
                  {set.name !== inForce.name && (
                    <Button
                      size="sm"
                      variant="outline-primary"
                      aria-label={`Go by ${set.name}`}
                      onClick={() => {
                        write({ kind: 'rules taken', subject: BENCH, body: { conventions: set } })
                      }}
                    >
                      Go by it
                    </Button>
                  )}{' '}
                  <Button
                    size="sm"
                    variant="link"
                    aria-label={`Edit ${set.name}`}
                    onClick={() => {
                      setEditing(set)
                    }}
                  >
                    edit
                  </Button>
                </td>
              ))}
            </tr>
          </tbody>
        </table>
      </div>
      {editing && (
        <HouseRulesEditor
          key={editing.name}
          set={editing}
          things={[...shelf.compounds, ...shelf.solvents]}
          onClose={() => {
            setEditing(null)
          }}
        />
      )}
    </>
  )
}

const ROWS: readonly (readonly [string, (set: Conventions) => string])[] = [
  ['slow part starts', (set) => `${set.startBelowC} °C below`],
  [
    'rate while it melts',
    (set) => `${set.meltRate.target} (${set.meltRate.min} to ${set.meltRate.max}) °C/min`,
  ],
  ['at most before', (set) => `${set.approachRateMaxCPerMin} °C/min`],
  ['stops', (set) => `${set.stopAboveC} °C above`],
  ['fill', (set) => `${set.fillMm[0]} to ${set.fillMm[1]} mm`],
  ['tube goes in', (set) => set.tubeIn],
  ['dial', (set) => set.dialUse],
  ['onset is the', (set) => set.onsetRule],
  ['sharp, broad', (set) => `up to ${set.sharpWidthC}, from ${set.broadWidthC} °C`],
  ['agrees within', (set) => `${set.literatureWithinC} °C`],
  ['repeats within', (set) => `${set.repeatWithinC} °C`],
  [
    'dry',
    ({ drying }) =>
      drying.constantMassToleranceG === null
        ? `${drying.atLeastMin} min of air`
        : `to constant mass, ${drying.constantMassToleranceG} g, ${drying.atLeastMin} min between`,
  ],
  ['boiling stones', (set) => set.boilingStones],
  ['crude’s range', (set) => set.crudeRange],
  ['unknowns not on the list', (set) => `${percentUnlisted(set)} %`],
  ['closed in this lab', (set) => (set.closed?.length ? String(set.closed.length) : 'nothing')],
  ['whom to call', (set) => (set.emergencyCalls ? 'set' : 'not set')],
]
