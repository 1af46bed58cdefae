import type { Minutes, Procedure } from './procedure'
import { guardFor, isFlammable } from '../reference/hazards'
import { depositsFromC } from '../solubility/saturation'
import { attempt } from '../problems'
import { type Batch, crudeInText, solventsOf } from './batch'
import { wasteOf } from './waste'
import { filterExcessML, ICE_REACHES_C, isTakenOffHot } from './conditions'
import { dryingFor } from './drying'
import { type Glassware, glasswareFor } from './glassware'
import { type Heat, heatFor, lowestBoilingC, placeOfHeat } from './heat'
import { coolingMin, needsReflux } from '../solubility/glassware'
import { freezesNearIce } from '../solubility/volume'
import { significant } from '../words'

const CHARCOAL_SHARE = 0.02
/** More than this many times the least is there for room, and not only so that nothing comes down at once. */
const FOR_ROOM_FROM = 1.3
/** A seed goes in this far under where the solution would deposit, °C: between 2 and 5. */
const SEED_BELOW_C = 4
const ROOM_C = 25

/** Amounts that may stand in braces in a step, each with what it means. */
export const AMOUNTS = {
  kept: 'what is kept back of the crude',
  crude: 'mass of crude that goes in',
  product: 'name of the compound',
  impurity: 'name of the impurity',
  solvent: 'name of the solvent',
  second: 'name of the second solvent',
  rinse: 'what it is rinsed with',
  boiling: 'boiling point of the solvent',
  plate: 'hot-plate setting',
  onHeat: 'what it is heated in, how hot, and why',
  onHeatTube: 'the same for a test tube',
  atHeat: 'at the boil, or at the temperature of the plan',
  hot: 'hot temperature of the plan',
  heat: 'solvent to heat',
  heatSecond: 'second solvent to heat',
  vessel: 'vessel to dissolve in',
  underCondenser: 'the condenser of a large batch, or nothing',
  funnel: 'funnel or collector',
  third: 'a third of the least volume',
  least: 'least hot volume',
  volume: 'volume to use',
  dilutedFor: 'what the further solvent is for',
  good: 'first solvent of a pair',
  poor: 'second solvent of a pair',
  grit: 'what will not dissolve',
  charcoal: 'charcoal',
  filterExcess: 'more solvent for hot filtration',
  backTo: 'volume after a hot filtration',
  starts: 'temperature where crystals can start',
  seeding: 'when to seed, a sentence, or nothing',
  cold: 'cold temperature',
  ice: 'ice, or ice with salt',
  coldly: 'how cold a rinse is',
  whyNotIce: 'why it is kept out of ice, or nothing',
  wash: 'rinse volume',
  washLoss: 'most the rinse can cost',
  air: 'drying time of house rules',
  dryIn: 'how it is dried',
  dryNever: 'how it must not be dried',
  store: 'where it stands until next week',
  liquorWaste: 'waste stream of the liquor',
  guard: 'what handling the solid asks for',
  solventCondenser: 'the condenser on the solvent’s own flask, or nothing',
} as const
export type Amount = keyof typeof AMOUNTS

/** mL as it is poured: two decimals under 1, one under 100, none above. */
function ml(value: number): string {
  return `${value.toFixed(value < 1 ? 2 : value < 100 ? 1 : 0)} mL`
}
/** g as far as such an estimate goes. */
function g(value: number): string {
  return `${value < 0.1 ? significant(value, 2) : value.toFixed(value < 10 ? 2 : 1)} g`
}
/** Vessel and collector of a batch, with room for what is added to take it off hot. */
export function glassOf(
  collect: Procedure['collect'],
  batch: Pick<Batch, 'input' | 'result' | 'pair' | 'inserts'>,
): Glassware {
  const excessML = isTakenOffHot(batch) ? filterExcessML(batch) : 0
  return glasswareFor(collect, batch.input.crudeG, batch.result, excessML)
}

/** From here on a tenth of a millilitre is as close as “about” asks for, mL. */
const BY_TENTHS_FROM_ML = 0.25

/** What the crude is wetted with before it goes on the heat, about a third of what dissolves it, mL. */
export function wettingML({
  pair,
  result,
}: {
  readonly pair: { readonly goodML: number } | null
  readonly result: { readonly minimumHotML: number }
}): number {
  const third = (pair ? pair.goodML : result.minimumHotML) / 3
  return third < BY_TENTHS_FROM_ML ? third : Math.round(10 * third) / 10
}

/** Every amount of a batch as it stands in a step. */
export function amountsOf(
  procedure: Pick<Procedure, 'collect'>,
  batch: Batch,
): Readonly<Record<Amount, string>> {
  const { solvent, pair, result, input, impurity, compound } = batch
  const glass = glassOf(procedure.collect, batch)
  return {
    kept: `${(1000 * batch.keptBackG).toFixed(0)} mg`,
    crude: `${crudeInText(batch)} g`,
    product: compound.name,
    impurity: impurity?.name ?? 'the impurity',
    solvent: solvent.name,
    second: pair?.solvent.name ?? 'the second solvent',
    rinse: pair ? `mixture of the two (${mixture(pair)})` : solvent.name,
    vessel: glass.vessel ? `a ${glass.vessel}` : 'a large flask',
    underCondenser: needsReflux(input.crudeG, result.hotML)
      ? ', clamp it, fit a reflux condenser with the water running,'
      : '',
    funnel: glass.collector,
    grit: g(result.gritG),
    charcoal: g(CHARCOAL_SHARE * input.crudeG),
    wash: ml(input.washML),
    washLoss: g(result.washLossUpToG),
    guard: guardFor(compound.hazards),
    solventCondenser: needsReflux(input.crudeG, result.hotML) ? ' under a condenser of its own' : '',
    liquorWaste: wasteOf(solvent, pair?.solvent ?? null, compound, impurity),
    store: solventsOf(batch).some(({ hazards }) => isFlammable(hazards))
      ? 'the flammables’ store'
      : 'its tray in the hood',
    ...volumesOf(batch),
    ...heatingOf(batch),
    ...coolingOf(batch),
    ...dryingOf(batch),
  }
}

function volumesOf({ pair, result, impurity, input }: Batch) {
  const main = pair ? pair.goodML : result.hotML
  const keepsImpurity =
    impurity !== null &&
    result.impurityStaysDissolvedML !== null &&
    result.hotML >= result.impurityStaysDissolvedML &&
    result.impurityStaysDissolvedML > result.minimumHotML
  return {
    heat: ml(1.3 * main + (result.hotML < 3 ? 0.5 : 2)),
    heatSecond: ml(1.3 * (pair?.poorML ?? 0) + (result.hotML < 3 ? 0.5 : 2)),
    third: ml(wettingML({ pair, result })),
    least: ml(result.minimumHotML),
    volume: ml(result.hotML),
    dilutedFor: keepsImpurity
      ? `so that ${impurity.name} stays dissolved when it is cold`
      : result.hotML > FOR_ROOM_FROM * result.minimumHotML
        ? 'so that there is a liquor to part from the crystals'
        : 'so that it does not all come down at once',
    good: pair ? ml(pair.goodML) : ml(result.minimumHotML),
    poor: pair ? ml(pair.poorML) : 'none',
    filterExcess: ml(filterExcessML({ pair, result })),
    backTo: ml(main),
    hot: `${input.hotC} °C`,
  }
}

function heatingOf(batch: Batch) {
  const { input } = batch
  const solvents = solventsOf(batch)
  const isRound = needsReflux(input.crudeG, batch.result.hotML)
  const heat = heatFor(solvents, input.hotC, isRound)
  const boilsC = lowestBoilingC(solvents)
  const place = placeOfHeat(heat, isRound)
  const because = whyHeatedSo(batch, heat, boilsC)
  return {
    boiling: boilsC === null ? 'boiling point' : `${boilsC} °C`,
    plate: heat.setC === null ? 'a little above boiling' : `${heat.setC} °C`,
    onHeat: `${place}${because}`,
    onHeatTube: `${place.replace('on a hot plate', 'in a heating block').replace('in a heating block, or an oil or sand bath', 'in a heating block')}${because}`,
    atHeat: heat.notAboveC === null ? 'at a gentle boil' : `at ${heat.notAboveC} °C and no hotter`,
  }
}

/** Why it is heated as it is, to follow the place. */
function whyHeatedSo({ compound, pair, input }: Batch, { source }: Heat, boilsC: number | null): string {
  const boils = boilsC === null ? 'where it boils is not on file' : `it boils at ${boilsC} °C`
  switch (source) {
    case 'hot plate':
      return boilsC === null ? '' : `, well above the ${boilsC} °C where it boils`
    case 'hot bath':
      return boilsC === null ? '' : `, above the ${boilsC} °C where it boils, and never on a bare plate`
    case 'warm water':
      return `: ${boils}, too low for a hot plate`
    case 'water bath':
      return `: ${boils} and its vapour burns, so no bare hot plate`
    case 'held bath': {
      if (input.hotC > compound.meltLowC - 15)
        return `, never above: ${compound.name} would melt before it dissolves`
      return pair
        ? `, never above: the lower boiling of the two boils at ${boilsC ?? '?'} °C`
        : `, never above: ${boils}`
    }
  }
}

function coolingOf({ input, solvent, pair }: Batch) {
  const starts = attempt(() => depositsFromC(input))
  const freezing = (pair ? [solvent, pair.solvent] : [solvent]).find(freezesNearIce)
  const seedC = starts.ok ? starts.value - SEED_BELOW_C : null
  const iced = input.coldC <= ICE_REACHES_C && !freezing
  return {
    starts: starts.ok ? `${starts.value.toFixed(0)} °C` : 'a temperature not known',
    seeding:
      seedC !== null && seedC > ROOM_C
        ? `If it is still clear at about ${seedC.toFixed(0)} °C, drop in a seed: a grain of pure solid, or of the crude kept back. `
        : '',
    cold: `${input.coldC} °C`,
    ice: input.coldC < 0 ? 'ice with salt' : 'ice and water',
    coldly: iced ? 'ice-cold' : `cool (${input.coldC} °C)`,
    whyNotIce: freezing
      ? `, not in ice: ${freezing.name} itself freezes at ${freezing.freezingPointC} °C`
      : '',
  }
}

function dryingOf(batch: Batch) {
  const drying = dryingFor(solventsOf(batch), batch.compound)
  const inWhat = {
    air: 'leave them in air under a paper cover',
    oven: `dry them in an oven at about ${drying.ovenC} °C, ${belowMelting(batch.compound.meltLowC - (drying.ovenC ?? 0))}`,
    desiccator: 'dry them in a desiccator',
    'hood, then desiccator': `leave them in the hood until they no longer smell of ${solventsOf(batch)
      .map(({ name }) => name)
      .join(' or ')}, overnight if need be, then dry them in a desiccator`,
  }
  return {
    air: `${Math.max(1, batch.conventions.drying.atLeastMin)} min`,
    dryIn: inWhat[drying.how],
    dryNever: drying.never ?? '',
  }
}

function belowMelting(c: number): string {
  return c > 40 ? 'well under where they melt' : `${c.toFixed(0)} °C under where they melt`
}

function mixture({ goodML, poorML }: NonNullable<Batch['pair']>): string {
  const percent = Math.round((100 * goodML) / (goodML + poorML))
  return `${percent} to ${100 - percent} by volume`
}

/** Minutes of a timer for a batch: as named, the house rule’s, or by how much there is to cool. */
export function minutesOf(
  minutes: Minutes,
  { conventions, result }: Pick<Batch, 'conventions' | 'result'>,
): number {
  if (minutes === 'house rule') return Math.max(1, conventions.drying.atLeastMin)
  return typeof minutes === 'number' ? minutes : coolingMin(minutes.small, result.hotML)
}
