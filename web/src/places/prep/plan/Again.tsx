import { useState } from 'react'
import Form from 'react-bootstrap/Form'
import type { Planned } from '@ivory-crystal/core/planning'
import { attempt } from '@ivory-crystal/core/problems'
import {
  crystallizationCycles,
  cyclesToReach,
  proposedSecondCropML,
  secondCrop,
} from '@ivory-crystal/core/solubility'
import { readReading } from '@ivory-crystal/core/weighing'
import { fixed, grams } from '../../../format/format'
import { Why } from '../../../parts/Why'

const SHOWN = 4

/** How many times: purity bought, recovery paid; and what a second crop would bring. */
export function Again({ planned, product }: { planned: Planned; product: string }) {
  const { input, plan } = planned
  const cycles = crystallizationCycles(input, SHOWN)
  const assumed = plan.impurityAssumedDissolved
  return (
    <div className="stack">
      <section>
        <h3>
          Crystallizing again <Why of="cycles" />
        </h3>
        <table className="lines mt-1">
          <thead>
            <tr>
              <th>times</th>
              <th className="num">hot solvent, mL</th>
              <th className="num">crystals, g</th>
              <th className="num">purity, at best</th>
              <th className="num">{product} left</th>
            </tr>
          </thead>
          <tbody>
            {cycles.map((cycle, i) => (
              <tr key={i}>
                <td>{i + 1}</td>
                <td className="num">{fixed(cycle.plan.hotML, 1)}</td>
                <td className="num">{grams(cycle.plan.crystalMassG)}</td>
                <td className="num">{assumed ? 'not known' : purity(cycle.plan.crystalMassFraction)}</td>
                <td className="num">{fixed(cycle.productLeftPercent, 1)} %</td>
              </tr>
            ))}
          </tbody>
        </table>
        <p className="quiet mt-2">
          The same excess of solvent each time; losses in rinses and transfers are not included.{' '}
          {assumed ? 'Without a solubility of the impurity, its share is not known.' : toReach(input)}
        </p>
      </section>
      <SecondCrop planned={planned} product={product} />
    </div>
  )
}

function purity(fraction: number): string {
  return fraction > 0.999 ? 'over 99.9 %' : `${fixed(100 * fraction, 1)} %`
}

function toReach(input: Planned['input']): string {
  return [0.99, 0.999]
    .map((wanted) => {
      const found = cyclesToReach(input, wanted)
      const percent = `${fixed(100 * wanted, wanted > 0.99 ? 1 : 0)} %`
      return 'cycles' in found
        ? `${percent} takes ${found.cycles === 1 ? 'one crystallization' : `${found.cycles} crystallizations`}.`
        : `${percent} is not reached this way; ${fixed(100 * found.best, 1)} % is the best.`
    })
    .join(' ')
}

function SecondCrop({ planned: { input, plan, pair }, product }: { planned: Planned; product: string }) {
  const [typed, setTyped] = useState('')
  if (pair || plan.productInLiquorG <= 0) return null
  const proposed = proposedSecondCropML(input)
  const read = typed.trim() === '' ? null : readReading(typed, 'The volume')
  const ml = read === null ? proposed : read.ok ? read.value.value : null
  const crop = ml === null ? null : attempt(() => secondCrop(input, ml))
  const refusal = read && !read.ok ? read.problem.sentence : crop && !crop.ok ? crop.problem.sentence : null
  return (
    <section>
      <h3>A second crop from the liquor</h3>
      <p className="quiet mt-1">
        {fixed(plan.productInLiquorG, 3)} g {product} stays in the {fixed(plan.hotML, 1)} mL. If you evaporate
        some in the hood and cool it again, part of it crystallizes, less pure than the first crop. Never
        evaporate an ether toward dryness.
      </p>
      <div className="row-of align-items-start">
        <div className="narrow">
          <Form.Label htmlFor="second-ml">evaporate to, mL</Form.Label>
          <Form.Control
            id="second-ml"
            inputMode="decimal"
            placeholder={fixed(proposed, 1)}
            value={typed}
            isInvalid={refusal !== null}
            onChange={(event) => {
              setTyped(event.target.value)
            }}
          />
        </div>
        {crop?.ok && (
          <p className="mb-0 mt-4">
            <b>{grams(crop.value.crystalMassG)} g</b>{' '}
            {crop.value.impurityAssumedDissolved
              ? 'more, its purity not known'
              : `more, ${purity(crop.value.crystalMassFraction)} pure at best`}
            {!crop.value.impurityAssumedDissolved && crop.value.crystalMassFraction < input.assay && (
              <span className="quiet d-block">
                less pure than the crude itself: evaporate less, or leave it
              </span>
            )}
          </p>
        )}
      </div>
      {refusal && (
        <p className="invalid-feedback" role="alert">
          {refusal}
        </p>
      )}
      <p className="quiet mt-2">
        Weigh and melt a second crop separately. Do not mix it in before its melting range is known.
      </p>
    </section>
  )
}
