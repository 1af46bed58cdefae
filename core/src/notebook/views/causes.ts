import { attempt } from '../../problems'
import { netMass } from '../../weighing/netMass'
import { weighingOf } from '../kinds/weighed/kind'
import { type PrepFacts, type SampleFacts, sampleOf, solventSoFarML, stepThat } from './prep'
import type { PrepId } from '../../ids'
import type { View } from '../fold'
import { latestLine, linesOf, memoize } from '../read'
import type { Station } from '../../stations/stations'
import { accountOf } from './account'
import { type OddFact, oddFactsOf } from './oddities'
import { drynessOf } from './dryness'
import { hydrateOf } from './hydrate'

export interface Cause {
  readonly sentence: string
  /** Where to look at it. */
  readonly station: Station
}
export interface Oddity extends Pick<OddFact, 'code' | 'sentence'> {
  /** Likely causes in order, from this prep's own entries first. */
  readonly causes: readonly Cause[]
}

/** A mass this many times too large or small is taken for a slipped point. */
const SLIPPED = { overTimes: 5, underPart: 0.2 } as const

/** What is odd about the account of a prep, and the likely causes. */
export const odditiesOf = memoize((view: View, id: PrepId): readonly Oddity[] =>
  oddFactsOf(view, id).map((odd) => ({
    code: odd.code,
    sentence: odd.sentence,
    causes: causesOf(view, odd),
  })),
)

function causesOf(view: View, { code, prep, recovered }: OddFact): readonly Cause[] {
  const { ofCrude, closurePercent, yield: made } = recovered
  switch (code) {
    case 'over-100':
      return whyOver(view, prep, ofCrude.value)
    case 'over-the-bound':
      return [
        ...whyOver(view, prep, ofCrude.value),
        cause('The crude held more product than estimated, or it was cooled further than planned.', 'plan'),
      ]
    case 'yield-over-100':
      return [
        ...(made
          ? [
              cause(
                `The limiting reagent: ${made.from} could give ${made.theoreticalG.toFixed(3)} g. Is it the limiting one, and are its mass and molar mass right?`,
                'weigh',
              ),
            ]
          : []),
        ...whyOver(view, prep, ofCrude.value),
      ]
    case 'under-half':
      return whyUnder(view, prep, ofCrude.value)
    case 'closure-over-102':
      return (closurePercent ?? 0) > 100 * SLIPPED.overTimes
        ? [
            cause(
              'A decimal point could be in the wrong place in one of the masses. Check each against its slip.',
              'weigh',
            ),
          ]
        : [
            cause('The residue could still hold solvent. Dry it further and weigh it again.', 'weigh'),
            ...whyOver(view, prep, ofCrude.value),
          ]
  }
}

function cause(sentence: string, station: Station): Cause {
  return { sentence, station }
}

/** A crop this much over what went in is hardly damp: the vessel or the digits come first, per cent. */
const MORE_THAN_DAMP_PERCENT = 125

/** Why more was weighed than could be there, the likeliest first. */
function whyOver(view: View, prep: PrepFacts, ofCrudePercent: number): Cause[] {
  const dryness = drynessOf(view, prep)
  const product = sampleOf(prep, 'product')?.weighing
  const crude = sampleOf(prep, 'crude')?.weighing
  const damp = dryness.isDry ? [] : [cause(`The crystals could be damp: ${lower(dryness.sentence)}`, 'weigh')]
  const stones =
    stepThat(prep, 'stones out')?.isTicked === false
      ? [cause('Boiling stones went into the sample flask, and picking them out is not ticked.', 'weigh')]
      : [cause('A boiling stone, a stirring bar or a scrap of paper was weighed with the crystals.', 'weigh')]
  const vessel =
    product?.body.method === 'difference'
      ? [
          cause(
            `The wrong vessel could have been subtracted: ${product.body.loaded.text} g loaded, ${product.body.empty.text} g empty. Weigh that vessel empty again.`,
            'weigh',
          ),
        ]
      : []
  const digits = [
    cause(
      `A digit or the decimal point could be wrong: ${massText(product) ?? 'the product'} of product, ${massText(crude) ?? 'the crude'} of crude. Read both once more.`,
      'weigh',
    ),
  ]
  const isFar = ofCrudePercent > MORE_THAN_DAMP_PERCENT
  const first =
    ofCrudePercent > 100 * SLIPPED.overTimes ? [...digits, ...vessel] : isFar ? [...vessel, ...digits] : []
  const last = isFar ? [] : [...vessel, ...digits]
  const hydrate = hydrateOf(prep)
  return [
    ...first,
    ...(hydrate ? [cause(hydrate.sentence, 'weigh')] : []),
    ...damp,
    ...stones,
    ...last,
    ...(product && crude && product.body.readabilityG !== crude.body.readabilityG
      ? [cause('Crude and crystals were weighed on different balances.', 'weigh')]
      : []),
    ...(dryness.isDry
      ? [cause('Solvent could be held inside the crystals. Dry them to constant mass.', 'weigh')]
      : []),
  ]
}

function massText(weighing: SampleFacts['weighing'] | undefined): string | null {
  if (!weighing) return null
  const mass = attempt(() => netMass(weighingOf(weighing.body)))
  const { readabilityG } = weighing.body
  return mass.ok ? `${mass.value.value.toFixed(Math.max(0, Math.round(-Math.log10(readabilityG))))} g` : null
}

function whyUnder(view: View, prep: PrepFacts, ofCrudePercent: number): Cause[] {
  const plan = prep.plan?.body
  if (!plan) return []
  const { hotML, rinseML, removedML } = solventSoFarML(prep)
  const causes: Cause[] = []
  const [crude, product] = [sampleOf(prep, 'crude')?.weighing, sampleOf(prep, 'product')?.weighing]
  const isTiny = ofCrudePercent < 100 * SLIPPED.underPart * (plan.result.recoveryPercentOfCrude / 100)
  const masses = cause(
    `One of the masses could be wrong: ${massText(product) ?? 'the product'} of product, ${massText(crude) ?? 'the crude'} of crude. Was a digit wrong, another empty vessel subtracted, or the crude weighed with a stirring bar?`,
    'weigh',
  )
  if (isTiny) causes.push(masses)
  if (hotML > 1.15 * plan.result.hotML)
    causes.push(
      cause(
        `${hotML.toFixed(1)} mL was used where ${plan.result.hotML.toFixed(1)} was planned, so more stays dissolved. Evaporate some and chill it again.`,
        'dissolve',
      ),
    )
  if (rinseML > 1.5 * plan.input.washML)
    causes.push(
      cause(
        `It was rinsed with ${rinseML.toFixed(1)} mL where ${plan.input.washML} mL was planned. A rinse that is not ice-cold dissolves more.`,
        'collect',
      ),
    )
  const warmest = coldestRead(view, prep)
  if (warmest !== null && warmest > plan.input.coldC + 5)
    causes.push(
      cause(
        `It was last read at ${warmest.toFixed(0)} °C, and planned for ${plan.input.coldC} °C. Chill the mother liquor longer.`,
        'crystallize',
      ),
    )
  if (stepThat(prep, 'ice')?.isTicked === false)
    causes.push(
      cause('The ice bath is not ticked. Chill the mother liquor and look for more crystals.', 'crystallize'),
    )
  for (const { body } of linesOf(view, prep.id, 'rescue tried'))
    if (
      ['boiled-over', 'through-the-paper', 'stays-in-the-flask', 'boiled-dry', 'in-the-pipette'].includes(
        body.rescue,
      )
    )
      causes.push(cause(`You noted: ${body.rescue.replaceAll('-', ' ')}.`, body.station))
  if (plan.inserts.length > 0)
    causes.push(cause('Hot filtration and charcoal hold back some product.', 'dissolve'))
  if (removedML === 0 && hotML === 0)
    causes.push(
      cause('No solvent was logged, so what was done cannot be compared with the plan.', 'dissolve'),
    )
  if (!isTiny) causes.push(masses)
  causes.push(
    cause(
      'Crystals were left in the flask or on the paper, or the crude held less product than estimated.',
      'plan',
    ),
  )
  return causes
}

function coldestRead(view: View, prep: PrepFacts): number | null {
  const read = linesOf(view, prep.id, 'temperature read').map(({ body }) => body.temperature.value)
  return read.length > 0 ? Math.min(...read) : null
}

function lower(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1)
}

/** Whether the mother liquor may be thrown away, and what to ask before it is. */
export function discardQuestion(
  view: View,
  prep: PrepFacts,
): { readonly isLiquorKept: boolean; readonly yieldKnown: boolean; readonly question: string | null } {
  const isLiquorKept = stepThat(prep, 'liquor kept')?.isTicked === true && prep.discarded === null
  const account = accountOf(view, prep.id)
  const yieldKnown = account.ok
  const residue = sampleOf(prep, 'residue')?.weighing ?? null
  const low = odditiesOf(view, prep.id).some(({ code }) => code === 'under-half')
  const question = !yieldKnown
    ? 'The crystals have not been weighed, and the mother liquor could hold what is missing. Discard it anyway?'
    : low
      ? 'The recovery is under half of the planned one. The mother liquor probably holds the rest. Discard it anyway?'
      : residue === null
        ? 'The mother liquor has not been evaporated and weighed, so the mass balance stays open. Discard it anyway?'
        : null
  return { isLiquorKept, yieldKnown, question }
}

/** What the student wrote about the recovery, the latest. */
export function ownWordsOf(view: View, id: PrepId): string {
  return latestLine(view, id, 'explained')?.body.text ?? ''
}
