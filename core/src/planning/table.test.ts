import { describe, expect, test } from '@jest/globals'
import { DEFAULT_HOUSE_RULES, SCHOOLS } from '../conventions/schools'
import { airMinutesFor } from '../weighing/airDrying'
import { heatFor } from '../procedures/heat'
import { renderSteps } from '../procedures/render'
import { PROCEDURES } from '../procedures/shipped'
import { boilsFromC, boilsToC } from '../substances/boiling'
import { withSecond } from './draft'
import { asksForGloves, asksForHood, isAquaticHazard, isCorrosive, isToxic } from '../substances/hazards'
import { isShownDry } from '../judging/contributions'
import {
  BATCHES_G,
  draftFor,
  KNOWN_PAIRS,
  outcomeFor,
  PLANNING_SHELF,
  planOrRefusal,
  readPlan,
} from '../../golden/plans'
import { referenceCompound, referenceSolvent } from '../../golden/reference'

/** Every compound and solvent the shelf can plan, at four scales, each plan read as a safety officer would. */
const PLANS = KNOWN_PAIRS.flatMap(([compoundId, solventId]) => {
  const of = referenceCompound(compoundId)
  const from = referenceSolvent(solventId)
  return BATCHES_G.flatMap((crudeG) => {
    const plan = planOrRefusal(of, draftFor(of, solventId), crudeG)
    return plan ? [{ what: `${compoundId} from ${solventId}, ${crudeG} g`, of, from, crudeG, ...plan }] : []
  })
})
const IN_GLASS = PLANS.filter(({ planned }) => planned.procedure.collect !== 'watch glass')

/** The plans for which something does not hold, by name: so that a failure names them all. */
function breaking(
  holds: (plan: (typeof PLANS)[number]) => boolean,
  plans: readonly (typeof PLANS)[number][] = IN_GLASS,
): readonly string[] {
  return plans.filter((plan) => !holds(plan)).map(({ what }) => what)
}

describe('every plan of the shelf, at 0.1, 1, 10 and 100 g', () => {
  test('there are many of them', () => {
    expect(IN_GLASS.length).toBeGreaterThan(800)
  })
  test('wherever something boils it has a stone, a bar, or is stirred', () => {
    expect(
      breaking(({ steps, words }) => {
        const caution = steps.find(({ id }) => id === 'wet-the-crude')?.caution ?? ''
        const isRound = words.includes('reflux condenser')
        const isStirred = steps.some(({ id }) => id === 'dissolve-by-drops')
        const solvent = steps.find(({ id }) => id === 'heat-solvent')?.text ?? ''
        return (
          (/with a boiling stone/.test(solvent) || /held at/.test(solvent)) &&
          (!isRound ||
            (/held at/.test(solvent)
              ? /A stirring bar goes in too/
              : /boiling stones \(or a stirring bar\)/
            ).test(caution)) &&
          (!isStirred || /Stirring replaces the boiling stone/.test(words))
        )
      }),
    ).toEqual([])
  })
  test('what is held below its boiling point is nowhere told to boil', () => {
    expect(
      breaking(
        ({ steps, words }) =>
          !/held at/.test(steps.find(({ id }) => id === 'heat-solvent')?.text ?? '') ||
          !/let it boil|at a gentle boil|no longer boils|with a boiling stone/.test(words),
      ),
    ).toEqual([])
  })
  test('the solvent’s own hazards stand where it is heated, and where it is poured or drawn off', () => {
    expect(
      breaking(({ steps, from }) => {
        const heated = (steps.find(({ id }) => id === 'heat-solvent')?.caution ?? '').toLowerCase()
        return (
          (!asksForHood(from.hazards) || heated.includes('in the hood')) &&
          (!asksForGloves(from.hazards) || heated.includes('gloves')) &&
          (!isCorrosive(from.hazards) || heated.includes('face shield'))
        )
      }),
    ).toEqual([])
  })
  test('nothing that burns easily stands on a bare plate, and no bath comes near where a vapour lights', () => {
    expect(
      breaking(({ words, from, planned }) => {
        const heat = heatFor([from], planned.input.hotC, words.includes('reflux condenser'))
        const burnsEasily = from.hazards.some((code) => code === 'H224' || code === 'H225')
        return (
          !(burnsEasily && heat.source === 'hot plate') &&
          !(burnsEasily && /on a hot plate/.test(words)) &&
          (heat.setC ?? 0) < (from.autoignitionC ?? Infinity) - 50
        )
      }),
    ).toEqual([])
  })
  test('an oven dries only what is wet with water, and stays under melting and under its vapour', () => {
    expect(
      breaking(({ words, from, of }) => {
        const oven = /in an oven at about (\d+) °C/.exec(words)
        if (!oven) return true
        const c = Number(oven[1])
        return (
          from.group === 'water' &&
          c <= Math.min(110, of.meltLowC - 25, (of.vapour1mmHgC ?? Infinity) - 45) &&
          (!of.behaviour.includes('sublimes') || of.anhydrousAtC === c)
        )
      }),
    ).toEqual([])
  })
  test('the rinse costs no more than 3 % of the crystals, or says so and what to do', () => {
    expect(
      breaking(({ planned: { plan, input, remarks } }) => {
        const isDear = plan.washLossUpToG > 0.03 * plan.productCrystalsG
        const isLittle = input.washML < 0.29 * Math.min(plan.productCrystalsG, plan.hotML)
        return !isDear && (!isLittle || /would dissolve .* % of them/.test(remarks.join(' ')))
      }),
    ).toEqual([])
  })
  test('a seed goes in below where the solid melts under its solvent', () => {
    expect(
      breaking(({ words, from, of }) => {
        const seed = /still clear at about (\d+) °C/.exec(words)
        if (!seed) return true
        const melts = from.group === 'water' ? (of.meltsUnderWaterC ?? of.meltLowC - 35) : of.meltLowC - 10
        return Number(seed[1]) < melts
      }),
    ).toEqual([])
  })
  test('hood, gloves and shield stand on the step at which the solid is first handled', () => {
    expect(
      breaking(({ steps, of }) => {
        const sentence = (steps.find(({ id }) => id === 'keep-back')?.caution ?? '').toLowerCase()
        if (of.hazards.length === 0) return sentence.includes('gloves') && sentence.includes('not known here')
        return (
          sentence.includes('hood') === asksForHood(of.hazards) &&
          sentence.includes('gloves') === asksForGloves(of.hazards) &&
          sentence.includes('shield') === isCorrosive(of.hazards)
        )
      }, PLANS),
    ).toEqual([])
  })
  test('no toxic or water-harming liquor goes down a sink', () => {
    expect(
      breaking(({ waste, of }) => {
        const harms = isToxic(of.hazards) || isAquaticHazard(of.hazards)
        return !harms || !/sink for this solute/.test(waste)
      }),
    ).toEqual([])
  })
  test('what splits in its solvent is held at 70 °C and never left in it until next week', () => {
    const split = IN_GLASS.filter(({ words }) => words.includes('slowly splits'))
    expect(split.map(({ of }) => of.id)).toContain('acetylsalicylic-acid')
    expect(
      breaking(
        ({ planned, steps }) =>
          planned.input.hotC <= 70 && !steps.some(({ stop, station }) => stop && station === 'crystallize'),
        split,
      ),
    ).toEqual([])
  })
  test('no amount is told that nobody can measure', () => {
    expect(
      breaking(({ words }) => !/\b0\.00\d* (g|mL)|\b0\.0 mL|NaN|Infinity|undefined/.test(words)),
    ).toEqual([])
  })
})

describe('what the plan says of drying is what the judge believes', () => {
  test.each(SCHOOLS.map((house) => [house.name, house] as const))(
    'under “%s”, with every timer run',
    (_, conventions) => {
      for (const { what, batch, from } of IN_GLASS.filter(({ crudeG }) => crudeG === 1))
        for (const procedure of PROCEDURES.filter(({ solvents }) => solvents === 'one')) {
          const steps = renderSteps(procedure, { ...batch, conventions })
          const isWeighed = steps.some(({ id }) => id === 'dry-and-weigh-again')
          const minutes = steps
            .flatMap(({ timer }) =>
              timer && (timer.timer === 'air' || timer.timer === 'dry') ? [timer.minutes] : [],
            )
            .reduce((sum, one) => sum + one, 0)
          const dried = isWeighed
            ? ({ how: 'constant mass', minutes: null, solventBoilsC: boilsToC(from) } as const)
            : ({ how: 'minutes of air', minutes, solventBoilsC: boilsToC(from) } as const)
          expect([what, procedure.id, isShownDry({ dried, signs: [] })]).toEqual([what, procedure.id, true])
          if (!isWeighed)
            expect([what, minutes >= airMinutesFor(boilsToC(from) ?? Infinity)]).toEqual([what, true])
        }
    },
  )
})

describe('every pair of solvents of the shelf', () => {
  const pairs = KNOWN_PAIRS.flatMap(([compoundId, first]) =>
    KNOWN_PAIRS.flatMap(([other, second]) => {
      if (other !== compoundId || first === second) return []
      const of = referenceCompound(compoundId)
      const draft = draftFor(of, first)
      const change = { ...draft, ...withSecond(PLANNING_SHELF, of, draft, second) }
      return outcomeFor(of, change, 1).ok
        ? [{ what: `${compoundId}, ${first} and ${second}`, ...readPlan(of, change, 1) }]
        : []
    }),
  )
  test('has a share of both, a volume to work with, and stays under the lower boiling point', () => {
    expect(pairs.length).toBeGreaterThan(100)
    const wrong = pairs.filter(({ planned, batch }) => {
      const { goodML, poorML, solvent } = planned.pair ?? { goodML: 0, poorML: 0, solvent: batch.solvent }
      const share = goodML / (goodML + poorML)
      const perG = planned.plan.hotML / planned.input.crudeG
      const boilsC = Math.min(...[batch.solvent, solvent].map((one) => boilsFromC(one) ?? Infinity))
      return !(share >= 0.1 && share <= 0.9 && perG >= 1 && perG <= 41 && planned.input.hotC <= boilsC - 4)
    })
    expect(wrong.map(({ what }) => what)).toEqual([])
  })
  test('is dried as the slower of the two asks', () => {
    for (const { batch, steps } of pairs) {
      const slowest = Math.max(
        ...[batch.solvent, batch.pair?.solvent ?? batch.solvent].map((one) => boilsToC(one) ?? 999),
      )
      expect(steps.some(({ id }) => id === 'dry-and-weigh-again')).toBe(
        slowest > 85 || DEFAULT_HOUSE_RULES.drying.constantMassToleranceG !== null,
      )
    }
  })
})
