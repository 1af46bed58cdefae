import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import {
  type Candidate,
  type RankOptions,
  type Reliability,
  reliabilityOf,
} from '@ivory-crystal/core/identity'
import { candidateFrom } from '@ivory-crystal/core/notebook'
import { REFERENCE_COMPOUNDS } from '../core/src/reference/compounds'
import { PROJECT } from '../server/src/paths'
import type { Row } from './table'

const BENCHES = 2000
/** An observer who knows the spreads the benches are drawn from, and not the pairs: nobody can do better by much. */
const PERFECT: Partial<RankOptions> = {
  sigmaC: 0.8,
  depressionMeanC: 0.3,
  mixtureSigmaC: 6.8,
  undepressedSigmaC: 0.35,
  noDepressionChance: 0.012,
  mishapChance: 0.01,
  mishapSpanC: 45,
  unlistedPrior: 0.1,
  unlistedSpanC: 20,
}

function of(
  candidates: readonly Candidate[],
  change: Partial<Parameters<typeof reliabilityOf>[0]>,
): Reliability {
  const told = reliabilityOf({ candidates, benches: BENCHES, seed: 2026, ...change })
  for (;;) {
    const next = told.next()
    if (next.done) return next.value
  }
}

/** Two lists through two thousand simulated benches: right, wrong, strangers recognised, mixtures needed. */
export function measureReliability(): Row[] {
  const four = (
    JSON.parse(readFileSync(join(PROJECT, 'core/vectors/identity.json'), 'utf8')) as {
      candidates: Candidate[]
    }
  ).candidates
  const twelve = REFERENCE_COMPOUNDS.filter(({ meltHighC }) => Math.abs(meltHighC - 122) < 15)
    .slice(0, 12)
    .map((compound) => candidateFrom({ molarMassGPerMol: 150, source: '', ...compound }))
  return [four, twelve].flatMap((list) => {
    const bound = of(list, { options: PERFECT })
    const row = (what: string, told: Reliability): Row => ({
      what: `a list of ${list.length}, ${what}`,
      ours: `${told.runs.toFixed(2)} mixtures, wrong ${percent(told.wrong / told.benches)}, open ${percent(told.undecided / told.benches)}, strangers ${percent(told.unlisted.recognised / told.unlisted.benches)}`,
      bare: `${bound.runs.toFixed(2)} mixtures, wrong ${percent(bound.wrong / bound.benches)}`,
      ratio: `× ${(told.runs / bound.runs).toFixed(2)}`,
      aim: 'wrong 1.5 %, strangers 90 %, × 1.25',
    })
    return [
      row('what tells most', of(list, {})),
      row('nearest first', of(list, { strategy: 'nearest first' })),
    ]
  })
}

function percent(share: number): string {
  return `${(100 * share).toFixed(1)} %`
}
