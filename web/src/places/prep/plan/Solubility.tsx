import { lazy, Suspense, useMemo, useState } from 'react'
import Form from 'react-bootstrap/Form'
import {
  type Draft,
  type DraftField,
  OWN_POINTS,
  readPoints,
  shelfPoints,
} from '@ivory-crystal/core/planning'
import { pointsTrouble, type SolubilityPoint } from '@ivory-crystal/core/solubility'
import { type Compound, fusionOf, type Solvent } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { PointsField } from './PointsField'

const SolubilityChart = lazy(async () => ({
  default: (await import('../../../drawings/SolubilityChart')).SolubilityChart,
}))

/** Points of product and impurity, and the curves through them. */
export function Solubility({
  draft,
  shelf,
  compound,
  impurity,
  solvent,
  second,
  errorAt,
  onPoints,
}: {
  draft: Draft
  shelf: Shelf
  compound: Compound
  impurity: Compound | null
  solvent: Solvent | undefined
  second: Solvent | null
  errorAt: (field: DraftField) => string | null
  onPoints: (field: 'product' | 'impurityPoints' | 'secondPoints', points: Draft['product']) => void
}) {
  const [logarithmic, setLogarithmic] = useState(false)
  const curves = useMemo(() => {
    const of = (points: Draft['product']): readonly SolubilityPoint[] => {
      const read = readPoints(points)
      return typeof read === 'string' ? [] : read.filter(([, s]) => s > 0)
    }
    return [
      {
        name: compound.name,
        points: of(draft.product),
        fusionKJPerMol: fusionOf(compound).enthalpyKJPerMol,
        tone: '--ink' as const,
      },
      ...(impurity
        ? [{ name: impurity.name, points: of(draft.impurityPoints), tone: '--ice' as const }]
        : []),
      ...(second
        ? [
            {
              name: `${compound.name} in ${second.name}`,
              points: of(draft.secondPoints),
              fusionKJPerMol: fusionOf(compound).enthalpyKJPerMol,
              tone: '--teal' as const,
            },
          ]
        : []),
    ]
  }, [compound, impurity, second, draft.product, draft.impurityPoints, draft.secondPoints])
  const trouble = curves.flatMap(({ points }, i) =>
    pointsTrouble(points, i === 2 ? (second ?? undefined) : solvent),
  )
  const fromC = Math.min(0, Number(draft.coldC) || 0)
  const toC = Math.max(60, Math.ceil((Number(draft.hotC) || 80) / 20) * 20)
  return (
    <div className="stack">
      <div>
        <Suspense
          fallback={
            <p aria-busy="true" style={{ minHeight: 275 }}>
              Drawing …
            </p>
          }
        >
          <SolubilityChart curves={curves} fromC={fromC} toC={toC} logarithmic={logarithmic} />
        </Suspense>
        <div className="row-of align-items-center">
          <Form.Check
            type="switch"
            id="log-scale"
            label="log scale"
            checked={logarithmic}
            onChange={(event) => {
              setLogarithmic(event.target.checked)
            }}
          />
          <span className="quiet">dots: points; line: between them; dashes: beyond them (guide only)</span>
        </div>
      </div>
      <div className="columns halves">
        <PointsField
          legend={`${compound.name} in ${solvent?.name ?? 'it'}`}
          points={draft.product}
          source={sourceOf(shelf, draft, compound)}
          error={errorAt('product')}
          onChange={(points) => {
            onPoints('product', points)
          }}
        />
        {impurity && (
          <PointsField
            legend={`${impurity.name} in ${solvent?.name ?? 'it'}`}
            points={draft.impurityPoints}
            source={sourceOf(shelf, { ...draft, product: draft.impurityPoints }, impurity)}
            error={errorAt('impurityPoints')}
            onChange={(points) => {
              onPoints('impurityPoints', points)
            }}
          />
        )}
        {second && (
          <PointsField
            legend={`${compound.name} in ${second.name}`}
            points={draft.secondPoints}
            source={sourceOf(shelf, { ...draft, solvent: second.id, product: draft.secondPoints }, compound)}
            error={errorAt('secondPoints')}
            onChange={(points) => {
              onPoints('secondPoints', points)
            }}
          />
        )}
      </div>
      {draft.product.filter((point) => point.temperature !== '').length === 1 && (
        <p className="quiet mb-0">
          One point alone is extended with the fusion enthalpy of {compound.name} (
          {fusionOf(compound).enthalpyKJPerMol.toFixed(1)} kJ/mol
          {compound.fusionEnthalpyKJPerMol === null ? ', estimated by Walden’s rule' : ''}): an estimate.
        </p>
      )}
      {trouble.map((remark) => (
        <p key={remark} className="look mb-0">
          {remark}
        </p>
      ))}
    </div>
  )
}

/** In words, where the points in use are from: the shelf's sources if untouched, else this bench. */
export function sourceOf(
  shelf: Shelf,
  draft: Pick<Draft, 'solvent' | 'product'>,
  compound: Compound,
): string {
  const rows = shelfPoints(shelf, compound.id, draft.solvent)
  const same =
    rows.length === draft.product.length &&
    rows.every(
      (row, i) =>
        Number(draft.product[i]?.temperature) === row.temperatureC &&
        Number(draft.product[i]?.solubility) === row.gPer100ML,
    )
  if (!same || rows.length === 0) return OWN_POINTS
  return [
    ...new Set(
      rows.map((row) =>
        row.confidence
          ? `general reference values, confidence ${row.confidence}; check your handbook`
          : row.source,
      ),
    ),
  ].join('; ')
}
