import type { Procedure } from './procedure'
import type { Compound, Solvent } from '../substances/shelf'
import { reactionOf } from '../substances/reactions'
import { dryingOf, spreadOn } from './amountsOfDrying'
import { heatedML, heatingOf, solventFlask } from './amountsOfHeat'
import { guardFor, isFlammable } from '../substances/hazards'
import { depositsFromC } from '../solubility/saturation'
import { attempt } from '../problems'
import { type Batch, crudeInText, solventsOf } from './batch'
import { wasteOf } from './waste'
import { filterExcessML, ICE_REACHES_C, isByPipetteFilter, isTakenOffHot, solventGuard } from './conditions'
import { type Glassware, glasswareFor } from './glassware'
import { needsReflux } from '../solubility/glassware'
import { ABOVE_FREEZING_C, freezesNearIce } from '../solubility/volume'
import { capital } from '../words'

const CHARCOAL_SHARE = 0.02
/** More than this many times the least is there for room, and not only so that nothing comes down at once. */
const FOR_ROOM_FROM = 1.3
/** A seed goes in this far under where the solution would deposit, °C: between 2 and 5. */
const SEED_BELOW_C = 4
const ROOM_C = 25
/** A seed goes in this far under where the solid melts in its solvent, °C: above, it turns to oil. */
const SEED_BELOW_MELTING_C = 5
/** How far under its dry melting point a solid may melt under hot water where nobody has put it on file, °C. */
const LOWERED_UNDER_WATER_C = 40
/** How far under it in another solvent, °C. */
const LOWERED_IN_SOLVENT_C = 15

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
  getRinse: 'to get the rinse cold, a sentence, or nothing',
  air: 'drying time of house rules',
  dryIn: 'how it is dried',
  dryNever: 'how it must not be dried',
  spread: 'minutes of air still to come after the first',
  between: 'drying between two weighings',
  spreadOn: 'how and on what the crystals are spread, the beginning of a sentence',
  splits: 'that hot solvent splits it, a sentence, or nothing',
  filterThrough: 'how a small or large volume is filtered hot',
  awayAgain: 'how solvent added for a while is taken off again',
  orLessSolvent: 'how some solvent is let go where nothing comes',
  solventFlask: 'a flask for the hot solvent, by size',
  secondFlask: 'the same for the second solvent',
  withStone: 'the boiling stone, where it boils',
  store: 'where it stands until next week',
  liquorWaste: 'waste stream of the liquor',
  guard: 'what handling the solid asks for',
  solventGuard: 'what handling the solvents asks for, or nothing',
  gently: 'what it does after each portion under a condenser: boils, or is held',
  toSettle: 'how far the heat goes down before anything goes in from above',
  untilQuiet: 'how long the condenser stays on',
  toBoilOn: 'stones or a stirring bar',
  solventCondenser: 'the condenser on the solvent’s own flask, or nothing',
} as const
export type Amount = keyof typeof AMOUNTS

/** mL as it is poured: two decimals under 1, one under 100, none above. */
function ml(value: number): string {
  const isWhole = value >= 20 && Number.isInteger(value)
  return `${value.toFixed(value < 1 ? 2 : value < 100 && !isWhole ? 1 : 0)} mL`
}
/** mL where “about” stands before it. */
function aboutML(value: number): string {
  return `${value < 1 ? value.toFixed(1) : value < 10 ? (Math.round(2 * value) / 2).toString() : Math.round(value).toString()} mL`
}
/** A mass as far as such an estimate goes: under 0.1 g in whole mg, and never less than one. */
function g(value: number): string {
  if (value < 0.1) return `${Math.max(1, Math.round(1000 * value))} mg`
  return `${value.toFixed(value < 10 ? 2 : 1)} g`
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

function lowered(sentence: string): string {
  return sentence.charAt(0).toLowerCase() + sentence.slice(1)
}

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
    rinse: rinseName(batch),
    vessel: glass.vessel ? `a ${glass.vessel}` : 'a large flask',
    underCondenser: needsReflux(input.crudeG, result.hotML)
      ? '. Clamp it, fit a reflux condenser with the water running,'
      : '',
    funnel: glass.collector,
    grit: g(result.gritG),
    charcoal: g(CHARCOAL_SHARE * input.crudeG),
    wash: ml(input.washML),
    washLoss: g(result.washLossUpToG),
    guard: guardFor(compound.hazards),
    solventGuard: lowered(solventGuard(solventsOf(batch))),
    solventCondenser: needsReflux(input.crudeG, result.hotML) ? ', under its own condenser' : '',
    liquorWaste: wasteOf(solvent, pair?.solvent ?? null, compound, impurity),
    store: solventsOf(batch).some(({ hazards }) => isFlammable(hazards))
      ? 'the flammables’ store'
      : 'its tray in the hood',
    spreadOn: spreadOn(procedure.collect, result.crystalMassG),
    splits: splitsOf(batch),
    filterThrough: filterThrough(batch),
    awayAgain: needsReflux(input.crudeG, result.hotML)
      ? 'distil it off, the condenser turned downwards,'
      : `evaporate it, ${heatingOf(batch).atHeat},`,
    ...volumesOf(batch),
    ...heatingOf(batch),
    ...coolingOf(batch),
    ...dryingOf(batch),
  }
}

function volumesOf({ pair, result, impurity, input, inserts }: Batch) {
  const main = pair ? pair.goodML : result.hotML
  const keepsImpurity =
    impurity !== null &&
    result.impurityStaysDissolvedML !== null &&
    result.hotML >= result.impurityStaysDissolvedML &&
    result.impurityStaysDissolvedML > result.minimumHotML
  return {
    heat: aboutML(heatedML(main, result.hotML)),
    heatSecond: aboutML(heatedML(pair?.poorML ?? 0, result.hotML)),
    solventFlask: solventFlask(heatedML(main, result.hotML), needsReflux(input.crudeG, result.hotML)),
    secondFlask: solventFlask(heatedML(pair?.poorML ?? 0, result.hotML), false),
    third: ml(wettingML({ pair, result })),
    least: ml(result.minimumHotML),
    volume: ml(result.hotML),
    dilutedFor: keepsImpurity
      ? `so that ${impurity.name} stays dissolved when it is cold`
      : result.hotML > FOR_ROOM_FROM * result.minimumHotML
        ? 'so that there is a liquor to part from the crystals'
        : 'so that it does not all crystallize at once',
    good: pair ? ml(pair.goodML) : ml(result.minimumHotML),
    poor: pair ? ml(pair.poorML) : 'none',
    filterExcess: ml(filterExcessML({ pair, result, inserts })),
    backTo: ml(main),
    hot: `${input.hotC} °C`,
  }
}

function coolingOf({ input, solvent, pair, compound }: Batch) {
  const starts = attempt(() => depositsFromC(input))
  const freezing = (pair ? [solvent, pair.solvent] : [solvent]).find(freezesNearIce)
  const melts = meltsInC(compound, pair ? [solvent, pair.solvent] : [solvent])
  const seedC = starts.ok ? Math.min(starts.value - SEED_BELOW_C, melts - SEED_BELOW_MELTING_C) : null
  // The step never tells what the plan warned of: a bath in which the whole flask could turn solid.
  const safeC =
    freezing?.freezingPointC == null ? null : Math.ceil(freezing.freezingPointC + ABOVE_FREEZING_C)
  const iced = input.coldC <= ICE_REACHES_C && !freezing
  return {
    starts: starts.ok ? `${starts.value.toFixed(0)} °C` : 'a temperature not known',
    seeding:
      seedC !== null && seedC > ROOM_C
        ? `If it is still clear at about ${seedC.toFixed(0)} °C, drop in a seed: a grain of pure solid, or of the crude kept back. `
        : '',
    cold: `${freezing && safeC !== null && input.coldC < safeC ? safeC : input.coldC} °C`,
    ice: input.coldC < 0 ? 'ice with salt' : 'ice and water',
    getRinse:
      input.washML > 0
        ? `Get ${ml(input.washML)} of ${rinseName({ solvent, pair })} ${iced ? 'ice-cold' : `cool (${input.coldC} °C)`}. `
        : '',
    coldly: iced ? 'ice-cold' : `cool (${input.coldC} °C)`,
    whyNotIce: freezing
      ? `, ${safeC !== null && input.coldC < safeC ? 'no colder and ' : ''}not in ice: ${freezing.name} itself freezes at ${freezing.freezingPointC} °C${safeC !== null && input.coldC < safeC ? ` (the plan counted on ${input.coldC} °C)` : ''}`
      : '',
  }
}

/** Where a solid is taken to melt in what it is dissolved in, °C. */
function meltsInC({ meltLowC, meltsUnderWaterC }: Compound, solvents: readonly Solvent[]): number {
  return solvents.some(({ group }) => group === 'water')
    ? (meltsUnderWaterC ?? meltLowC - LOWERED_UNDER_WATER_C)
    : meltLowC - LOWERED_IN_SOLVENT_C
}

function splitsOf(batch: Batch): string {
  const reaction = solventsOf(batch)
    .map((one) => reactionOf(batch.compound, one))
    .find((one) => one !== null)
  return reaction ? capital(reaction.sentence) : ''
}

function filterThrough(batch: Batch): string {
  return isByPipetteFilter(batch)
    ? 'draw it through a pipette with a plug of cotton into a warm vial that holds a few drops of hot solvent. Warm the pipette with hot solvent first. After charcoal a layer of filter aid lies on the plug. Rinse it with a few drops more.'
    : 'filter it through fluted paper in a warm short-stemmed funnel, into a flask with a little of the hot solvent in it. Rinse the paper with a little more.'
}

function rinseName({ solvent, pair }: Pick<Batch, 'solvent' | 'pair'>): string {
  return pair ? `mixture of the two (${mixture(pair)})` : solvent.name
}

function mixture({ goodML, poorML }: NonNullable<Batch['pair']>): string {
  const percent = Math.round((100 * goodML) / (goodML + poorML))
  return `${percent} to ${100 - percent} by volume`
}
