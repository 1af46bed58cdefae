import { useHouseRules } from '../../parts/useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Conventions } from '@ivory-crystal/core/conventions'
import { BENCH, linesOf } from '@ivory-crystal/core/notebook'
import { clock, day } from '../../format/format'
import { Versions } from '../shelf/Versions'
import { Title } from '../../parts/Title'
import { useNotebook, write } from '../../ledger/notebook'
import { HouseRulesEditor } from './HouseRulesEditor'
import { percentUnlisted } from './percentUnlisted'

/** Sets of house rules, the schools among them; which one this notebook goes by; and the lab's own. */
export function HouseRules() {
  const shelf = useNotebook((state) => state.shelf)
  const inForce = useHouseRules()
  const [editing, setEditing] = useState<Conventions | null>(null)
  const [asked, setAsked] = useState<Conventions | null>(null)
  if (!shelf) return <p aria-busy="true">Reading the shelf …</p>
  const rules = shelf.houseRules
  return (
    <>
      <Title title="House rules" />
      <p className="quiet mt-2">
        A run keeps the rules it was planned under. The melt plan compares the sets for a sample.
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
            {ROWS.map(([question, textOf]) => (
              <tr key={question}>
                <td>{question}</td>
                {rules.map((set) => (
                  <td key={set.name}>{textOf(set)}</td>
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
                      className="text-nowrap"
                      variant="outline-primary"
                      aria-label={`Use ${set.name}`}
                      onClick={() => {
                        setAsked(set)
                      }}
                    >
                      Use these rules
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
      {asked && (
        <div className="look mt-3" role="alert">
          <p className="mb-1">
            <b>Using “{asked.name}” from now on changes:</b>
          </p>
          <ul className="mb-1 ps-3">
            {differencesOf(inForce, asked).map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <p className="mb-2">Existing plans, runs and verdicts keep the rules they were made under.</p>
          <div className="row-of">
            <Button
              size="sm"
              onClick={() => {
                setAsked(null)
                write({ kind: 'rules taken', subject: BENCH, body: { conventions: asked } })
              }}
            >
              Use these rules
            </Button>
            <Button
              size="sm"
              variant="link"
              onClick={() => {
                setAsked(null)
              }}
            >
              Never mind
            </Button>
          </div>
        </div>
      )}
      <GoneBy />
      {editing && (
        <Versions
          key={`${editing.name} versions`}
          sort="house rules"
          id={editing.name}
          describe={(body, before) =>
            before
              ? differencesOf(before as Conventions, body as Conventions).join('; ') || 'nothing shown here'
              : 'as it came'
          }
        />
      )}
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

/** By which set this notebook has gone, since when, and who took it. */
function GoneBy() {
  const taken = useNotebook(({ view }) => linesOf(view, BENCH, 'rules taken'))
  if (taken.length === 0) return null
  return (
    <section className="mt-3" aria-label="Used so far">
      <h2>The rules this notebook has used</h2>
      <ul className="mb-0 mt-1 ps-3">
        {[...taken].reverse().map(({ id, at, author, body }, i, all) => {
          const before = all[i + 1]?.body.conventions
          const changed = before ? differencesOf(before, body.conventions) : []
          return (
            <li key={id}>
              {day(at)}, {clock(at)}, {author}: <b>{body.conventions.name}</b>
              {changed.length > 0 && <span className="quiet"> · {changed.join('; ')}</span>}
            </li>
          )
        })}
      </ul>
    </section>
  )
}

/** What another set asks otherwise, a line each. */
function differencesOf(from: Conventions, to: Conventions): readonly string[] {
  return ROWS.flatMap(([question, textOf]) =>
    textOf(from) === textOf(to) ? [] : [`${question}: ${textOf(from)} → ${textOf(to)}`],
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
        ? `${drying.atLeastMin} min in air at least, longer if the solvent needs it`
        : `to constant mass, ${drying.constantMassToleranceG} g, ${Math.max(30, drying.atLeastMin)} min between`,
  ],
  ['boiling stones', (set) => set.boilingStones],
  ['crude’s range', (set) => set.crudeRange],
  ['unknowns not on the list', (set) => `${percentUnlisted(set)} %`],
  ['not allowed in this lab', (set) => (set.closed?.length ? String(set.closed.length) : 'nothing')],
  ['whom to call', (set) => (set.emergencyCalls ? 'set' : 'not set')],
]
