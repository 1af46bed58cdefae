import { houseRulesOf, type PrepFacts, type View } from '@ivory-crystal/core/notebook'
import {
  candidatesOf,
  type Draft,
  ruleFields,
  shelfPoints,
  typedPoints,
  withSolvent,
} from '@ivory-crystal/core/planning'
import { proposedKeptBackG } from '@ivory-crystal/core/procedures'
import { rankSolvents } from '@ivory-crystal/core/solubility'
import type { Compound } from '@ivory-crystal/core/substances'
import type { Shelf } from '@ivory-crystal/core/wire'
import { compoundNamed } from '../../../parts/CompoundField'

/** What an address says is known of the crude: a judged product that is to be recrystallized again. */
export function withWhatIsKnown(
  draft: Draft,
  params: URLSearchParams,
  shelf: Shelf,
  compound: Compound,
): Draft {
  const assay = params.get('assay')
  const impurity = compoundNamed(shelf, params.get('impurity') ?? '')
  return {
    ...draft,
    ...(assay && /^\d+(\.\d+)?$/.test(assay) ? { assayPercent: assay } : {}),
    ...(impurity && impurity.id !== compound.id
      ? {
          impurity: impurity.name,
          impurityPoints: typedPoints(shelfPoints(shelf, impurity.id, draft.solvent)),
        }
      : {}),
  }
}

/** The plan as it was, or the solvent that promises most for a crude nothing more is known of. */
export function startingDraft(
  view: View,
  prep: PrepFacts,
  shelf: Shelf,
  crudeText: string,
  closed: readonly string[],
): Draft {
  const { compound } = prep.opened.body
  const before = prep.plan?.body
  const typed = (points: readonly (readonly [number, number])[] = []) =>
    points.map(([c, s]) => ({ temperature: String(c), solubility: String(s) }))
  if (before)
    return {
      assayPercent: String(Math.round(1000 * before.input.assay) / 10),
      impurity: before.impurity?.name ?? '',
      solvent: before.solvent.id,
      hotC: String(before.input.hotC),
      coldC: String(before.input.coldC),
      washML: String(before.input.washML),
      volumeML: before.pair ? '' : before.result.hotML.toFixed(before.result.hotML < 1 ? 2 : 1),
      product: before.pair
        ? typedPoints(shelfPoints(shelf, compound.id, before.solvent.id))
        : typed(before.input.product),
      impurityPoints: typed(before.input.impurity),
      second: before.pair?.solvent.id ?? '',
      secondPoints: typed(before.pair?.points),
      amount: before.amount,
      inserts: before.inserts,
      procedure: before.procedure.id,
      keptBackMg: String(Math.round(1e4 * before.keptBackG) / 10),
      inCharge: before.inCharge ?? '',
      ...ruleFields(before.conventions),
    }
  const [best] = rankSolvents(
    { compound, impurity: null, crudeG: Number(crudeText) || 1, assay: 0.9 },
    candidatesOf(shelf, compound, null).filter(({ solvent }) => !closed.includes(solvent.id)),
  )
  return {
    ...ruleFields(houseRulesOf(view, shelf.houseRules)),
    assayPercent: '90',
    impurity: '',
    hotC: '',
    coldC: '2',
    washML: '',
    keptBackMg: String(Math.round(1000 * proposedKeptBackG(Number(crudeText) || 1))),
    inCharge: '',
    second: '',
    secondPoints: [],
    amount: 'least hot solvent',
    inserts: [],
    procedure: '',
    volumeML: '',
    product: [],
    impurityPoints: [],
    solvent: '',
    ...(best ? withSolvent(shelf, compound, null, best.solvent.id) : {}),
  }
}
