import {
  type Condition,
  type Insert,
  markOfStep,
  type Procedure,
  type Step,
  type StepTemplate,
} from './procedure'
import type { CrystallizationInput, CrystallizationPlan } from '../solubility/planCrystallization'
import type { Conventions } from '../conventions/conventions'
import type { Compound, Solvent } from '../reference/shelf'
import { isFlammable } from '../reference/hazards'
import { depositsFromC } from '../solubility/saturation'
import { attempt } from '../problems'
import { wasteOf } from './cautions'
import { glasswareFor } from './glassware'

export interface Batch {
  /** Mass of the crude, g, digit for digit as the balance gave it. */
  readonly crudeText: string
  readonly compound: Compound
  readonly impurity: Compound | null
  readonly solvent: Solvent
  readonly pair: { readonly solvent: Solvent; readonly goodML: number; readonly poorML: number } | null
  readonly amount: 'least hot solvent' | 'measured volume'
  readonly inserts: readonly Insert[]
  readonly input: CrystallizationInput
  readonly result: CrystallizationPlan
  readonly conventions: Conventions
}

/** Solvents that boil below this are heated in warm water, not on a plate, °C. */
const BOILS_LOW_BELOW_C = 45
/** How far the plate is set above the boiling point, °C; plates read warmer than what stands on them. */
const PLATE_ABOVE_C = 40
const CHARCOAL_SHARE = 0.02
/** Hot solvent beyond the plan's for taking a solution off its grit, as a share of it; boiled away afterwards. */
export const HOT_EXCESS = 0.3

/** Amounts that may stand in braces in a step, each with what it means. */
export const AMOUNTS = {
  crude: 'mass of crude',
  product: 'name of the compound',
  impurity: 'name of the impurity',
  solvent: 'name of the solvent',
  second: 'name of the second solvent',
  rinse: 'what it is rinsed with',
  boiling: 'boiling point of the solvent',
  plate: 'hot-plate setting',
  heat: 'solvent to heat',
  vessel: 'vessel to dissolve in',
  funnel: 'funnel or collector',
  third: 'a third of the least volume',
  least: 'least hot volume',
  volume: 'volume to use',
  good: 'first solvent of a pair',
  poor: 'second solvent of a pair',
  grit: 'what will not dissolve',
  charcoal: 'charcoal',
  filterExcess: 'more solvent for hot filtration',
  starts: 'temperature where crystals can start',
  cold: 'cold temperature',
  wash: 'rinse volume',
  washLoss: 'most the rinse can cost',
  air: 'drying time of house rules',
  liquorWaste: 'waste stream of the liquor',
} as const
type Amount = keyof typeof AMOUNTS

/**
 * The steps of a procedure with the amounts of one batch, those left out that do not apply to it.
 *
 * @throws nothing: a brace that names no amount stays as it is
 */
export function renderSteps(procedure: Procedure, batch: Batch): readonly Step[] {
  const holds = conditionsOf(procedure, batch)
  const amounts = amountsOf(procedure, batch)
  const kept = (when: readonly Condition[] = []) => when.every((one) => holds.has(one))
  return procedure.steps
    .filter((step) => kept(step.when))
    .map((step) => rendered(step, amounts, batch, holds))
}

/** The waste a batch leaves, by stream. */
export function renderWaste(
  procedure: Pick<Procedure, 'waste' | 'collect'>,
  batch: Batch,
): readonly string[] {
  const amounts = amountsOf(procedure, batch)
  return procedure.waste
    .filter((line) => batch.inserts.includes('charcoal') || !line.startsWith('Charcoal'))
    .map((line) => filled(line, amounts))
}

function rendered(
  step: StepTemplate,
  amounts: Readonly<Record<Amount, string>>,
  batch: Batch,
  holds: ReadonlySet<Condition>,
): Step {
  const caution = (step.cautions ?? [])
    .filter(({ when }) => when === undefined || holds.has(when))
    .map(({ text }) => filled(text, amounts))
    .join(' ')
  const { id, station, portions, asks } = step
  const means = markOfStep(step)
  return {
    id,
    station,
    text: filled(step.text, amounts),
    ...(caution ? { caution } : {}),
    ...(step.timer
      ? {
          timer: {
            timer: step.timer.timer,
            minutes:
              step.timer.minutes === 'house rule'
                ? Math.max(1, batch.conventions.drying.atLeastMin)
                : step.timer.minutes,
          },
        }
      : {}),
    ...(portions ? { portions } : {}),
    ...(asks ? { asks } : {}),
    ...(means ? { means } : {}),
    ...(step.meanwhile ? { meanwhile: filled(step.meanwhile, amounts) } : {}),
    ...(step.stop ? { stop: filled(step.stop, amounts) } : {}),
  }
}

function filled(text: string, amounts: Readonly<Record<string, string>>): string {
  return text.replace(/\{(\w+)\}/g, (brace, name: string) => amounts[name] ?? brace)
}

/** Braces in a text that name no amount. */
export function unknownAmounts(text: string): readonly string[] {
  return [...text.matchAll(/\{(\w*)\}/g)].map((found) => found[1] ?? '').filter((name) => !(name in AMOUNTS))
}

/** mL as it is poured: two decimals under 1, one above. */
function ml(value: number): string {
  return `${value.toFixed(value < 1 ? 2 : 1)} mL`
}
function g(value: number): string {
  return `${value.toFixed(value < 0.1 ? 4 : 3)} g`
}

function amountsOf(procedure: Pick<Procedure, 'collect'>, batch: Batch): Readonly<Record<Amount, string>> {
  const { solvent, pair, result, input, impurity, compound, conventions } = batch
  const glass = glasswareFor(procedure.collect, input.crudeG, result)
  const boilingC = solvent.boilingPointC
  const starts = attempt(() => depositsFromC(input))
  return {
    crude: `${batch.crudeText} g`,
    product: compound.name,
    impurity: impurity?.name ?? 'the impurity',
    solvent: solvent.name,
    second: pair?.solvent.name ?? 'the second solvent',
    rinse: pair ? `the same mixture (${mixture(pair)})` : solvent.name,
    boiling: boilingC === null ? 'boiling point' : `${boilingC} °C`,
    plate:
      boilingC === null ? 'a little above boiling' : `${Math.round((boilingC + PLATE_ABOVE_C) / 10) * 10} °C`,
    heat: ml(1.3 * (pair ? pair.goodML : result.hotML) + (result.hotML < 3 ? 0.5 : 2)),
    vessel: glass.vessel ? `a ${glass.vessel}` : 'a large flask',
    funnel: glass.collector,
    third: ml((pair ? pair.goodML : result.minimumHotML) / 3),
    least: ml(result.minimumHotML),
    volume: ml(result.hotML),
    good: pair ? ml(pair.goodML) : ml(result.minimumHotML),
    poor: pair ? ml(pair.poorML) : 'none',
    grit: g(result.gritG),
    charcoal: g(CHARCOAL_SHARE * input.crudeG),
    filterExcess: ml(HOT_EXCESS * result.hotML),
    starts: starts.ok ? `${starts.value.toFixed(0)} °C` : 'a temperature not known',
    cold: `${input.coldC} °C`,
    wash: ml(input.washML),
    washLoss: g(result.washLossUpToG),
    air: `${Math.max(1, conventions.drying.atLeastMin)} min`,
    liquorWaste: wasteOf(solvent, pair?.solvent ?? null),
  }
}

function mixture({ goodML, poorML }: NonNullable<Batch['pair']>): string {
  const percent = Math.round((100 * goodML) / (goodML + poorML))
  return `${percent} to ${100 - percent} by volume`
}

function conditionsOf(procedure: Procedure, batch: Batch): ReadonlySet<Condition> {
  const { solvent, pair, result, input, conventions, inserts, amount } = batch
  const flammable = isFlammable(solvent.hazards) || (pair !== null && isFlammable(pair.solvent.hazards))
  const low = solvent.boilingPointC !== null && solvent.boilingPointC < BOILS_LOW_BELOW_C
  const filtered = inserts.length > 0
  const grit = result.gritG > 0
  const claims: readonly (readonly [Condition, boolean])[] = [
    ['grit expected', grit && !filtered],
    ['no grit expected', !grit],
    ['diluted after dissolving', result.hotML > 1.02 * result.minimumHotML && procedure.solvents === 'one'],
    ['flammable solvent', flammable],
    ['not flammable', !flammable],
    ['boils low', low],
    ['does not boil low', !low],
    ['by portions', amount === 'least hot solvent'],
    ['measured volume', amount === 'measured volume'],
    ['stones in both flasks', conventions.boilingStones === 'in both flasks'],
    ['charcoal', inserts.includes('charcoal')],
    ['hot filtration', filtered],
    ['constant mass', conventions.drying.constantMassToleranceG !== null],
    ['rinsed', input.washML > 0],
  ]
  return new Set(claims.flatMap(([condition, is]) => (is ? [condition] : [])))
}
