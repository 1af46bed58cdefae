import { type Judgement, percentBetween } from '@ivory-crystal/core/judging'
import { phaseMapOf, type PrepFacts } from '@ivory-crystal/core/notebook'
import type { Compound } from '@ivory-crystal/core/substances'
import { useState } from 'react'
import { capital, fixed } from '../../format/format'
import { CompoundField, compoundNamed } from '../../parts/CompoundField'
import type { MapPoint } from '../../drawings/PhaseMapParts'
import { ladderRows } from '../../parts/ladderRows'
import { WhereItSits } from '../../parts/WhereItSits'
import { Why } from '../../parts/Why'
import { useNotebook } from '../../ledger/notebook'

/** The ranges on the phase map of product and impurity. */
export function Where({ prep, judgement }: { prep: PrepFacts; judgement: Judgement }) {
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const [typed, setTyped] = useState('')
  const tried: Compound | null = compoundNamed(shelf, typed)
  const isSame = tried?.id === prep.opened.body.compound.id
  const map = phaseMapOf(view, prep, isSame ? null : tried)
  const { compound } = prep.opened.body
  return (
    <aside aria-label="In the phase map">
      <h2>
        In the phase map <Why of="phase-map" />
      </h2>
      <div className="mt-2">
        <WhereItSits
          key={map.impurity.name}
          a={map.product}
          b={map.impurity}
          path
          points={mapPoints(map, judgement)}
          rows={ladderRows(view, prep.id)
            .filter(({ tone, onset, clear }) => tone !== 'other' && onset !== null && clear !== null)
            .map((row) => ({ ...row, signs: [] }))}
          literature={{ lowC: compound.meltLowC, highC: compound.meltHighC }}
        />
      </div>
      {map.unplaced.map((row) => (
        <p key={row.label} className="look">
          {row.label} clears below the eutectic of the two, so it is not this pair alone.
        </p>
      ))}
      {map.placed.map(({ role, doubt }) =>
        doubt ? (
          <p key={role} className="look">
            {capital(role)}: {doubt}
          </p>
        ) : null,
      )}
      <div className="mt-2">
        <CompoundField
          label={map.isAssumed ? 'which impurity? (none is named in the plan)' : 'try another impurity'}
          value={typed}
          help={
            map.isAssumed
              ? `Drawn with an assumed impurity: as heavy as ${compound.name}, melting 20 °C higher (${fixed(map.impurity.fusion.meltingPointC, 0)} °C), Walden’s enthalpy. The composition read from ${compound.name}’s line does not depend on it; the eutectic does.`
              : isSame
                ? 'That is the product itself.'
                : 'any compound of the shelf'
          }
          onChange={setTyped}
        />
      </div>
    </aside>
  )
}

/** Where our own samples stand on a phase map. */
export function mapPoints(map: ReturnType<typeof phaseMapOf>, judgement: Judgement): readonly MapPoint[] {
  return map.placed.map(({ role, moleFractionA, between, slow }) => ({
    key: role,
    label: named(role, moleFractionA, role === 'product' ? judgement.impurity : undefined),
    moleFractionA,
    between,
    range: slow,
    tone: role,
  }))
}

/** What was judged is said as the judging says it, and not at all where it cannot tell. */
function named(role: string, moleFractionA: number, judged: Judgement['impurity'] | undefined): string {
  if (judged === undefined) return `${role}, about ${fixed(100 * (1 - moleFractionA), 0)} %`
  return judged === null ? role : `${role}, ${percentBetween(100 * judged[0], 100 * judged[1])} %`
}
