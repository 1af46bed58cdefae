import type { Compound, Solvent } from '../substances/shelf'
import type { CrystallizationPlan } from '../solubility/planCrystallization'
import { notOverSteam } from '../substances/reactions'
import { glasswareFor } from './glassware'
import type { Procedure } from './procedure'
import { significant } from '../words'

export interface ProcedureChoice {
  readonly procedure: Procedure
  /** Proposed first; what cannot be is last, with why not. */
  readonly fit: 'proposed' | 'possible' | 'not for this'
  readonly because: string
}

/**
 * Procedures for a batch, the proposed one first, each with why.
 *
 * @param batch mass of crude g, the plan's volumes and grit, whether a second solvent is used
 */
export function chooseProcedure(
  procedures: readonly Procedure[],
  batch: {
    readonly crudeG: number
    readonly plan: Pick<CrystallizationPlan, 'hotML' | 'gritG'>
    readonly solvent: Solvent
    readonly compound: Compound
    readonly isPair: boolean
  },
): readonly ProcedureChoice[] {
  const suits = ({ scaleG: [from, to] }: Procedure) => batch.crudeG >= from && batch.crudeG <= to
  const judged = procedures.map((procedure) => ({ procedure, ...judge(procedure, batch) }))
  const rank = { proposed: 0, possible: 1, 'not for this': 2 } as const
  const proposed = judged.find(({ fit }) => fit === 'proposed')
  return judged
    .map((one) => (one.fit === 'proposed' && one !== proposed ? { ...one, fit: 'possible' as const } : one))
    .sort((p, q) => rank[p.fit] - rank[q.fit] || Number(suits(q.procedure)) - Number(suits(p.procedure)))
}

/** Less than this is lost between a flask and a funnel, mL. */
const FUNNEL_FROM_ML = 2

function judge(
  procedure: Procedure,
  { crudeG, plan, solvent, compound, isPair }: Parameters<typeof chooseProcedure>[1],
): Pick<ProcedureChoice, 'fit' | 'because'> {
  const no = (because: string) => ({ fit: 'not for this', because }) as const
  if (procedure.solvents === 'water only' && solvent.group !== 'water')
    return no(`From water only: ${solvent.name} is not evaporated on an open glass over steam.`)
  const steam = procedure.solvents === 'water only' ? notOverSteam(compound) : null
  if (steam) return no(steam)
  if (isPair !== (procedure.solvents === 'pair'))
    return no(isPair ? 'For one solvent.' : 'Needs a second solvent; choose one under “How much”.')
  const { trouble } = glasswareFor(procedure.collect, crudeG, plan)
  if (trouble) return no(trouble)
  if (procedure.solvents === 'water only')
    return {
      fit: 'possible',
      because: 'Quick, but it removes only the water. Everything that was dissolved stays with the solid.',
    }
  const [from, to] = procedure.scaleG
  const grams = crudeG < 0.1 ? `${(crudeG * 1000).toFixed(0)} mg` : `${significant(crudeG, 2)} g`
  if (procedure.collect === 'Craig tube' && plan.gritG > 0)
    return {
      fit: 'possible',
      because: `${grams} suits its size, but grit is expected and a Craig tube cannot filter it off.`,
    }
  if (procedure.collect.includes('funnel') && plan.hotML < FUNNEL_FROM_ML)
    return {
      fit: 'possible',
      because: `${significant(plan.hotML, 2)} mL is little for a flask and funnel: glass and paper hold back most of the liquor.`,
    }
  if (crudeG < from)
    return {
      fit: 'possible',
      because: `${grams} is little for it (${procedure.suits}): glass and paper hold back a larger share.`,
    }
  if (crudeG > to) return { fit: 'possible', because: `${grams} is much for it (${procedure.suits}).` }
  return { fit: 'proposed', because: `${grams} of crude; it suits ${procedure.suits}.` }
}
