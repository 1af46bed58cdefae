import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import { DEFAULT_HOUSE_RULES } from '../conventions/schools'
import { assumedImpurity } from '../heating/compositionFromRange'
import { meltingRange } from '../melting/meltingRange'
import { EMPTY_VIEW, fold } from '../notebook/fold'
import type { PlannedTube } from '../notebook/kinds/melt-planned/kind'
import { type MeltFacts, meltsOf } from '../notebook/views/melt'
import { type PrepFacts, prepsOf } from '../notebook/views/prep'
import { rateBetween, readingsOf } from '../notebook/views/readings'
import { fusionOf } from '../substances/fusionOf'
import { SIMULATED_INSTRUMENTS } from '../instruments/shipped'
import type { Instrument } from '../instruments/instrument'
import { plannedCurve, readCurve } from './curves'
import { eutecticOf, planMelt } from './meltPlan'
import { moveOf, tubesMayGoIn } from './moves'
import { announcementOf, isSlowPart, liveRate } from './watching'
import '../../golden/older'

const view = fold(golden.entries)
const [adipic, benzil] = prepsOf(view) as [PrepFacts, PrepFacts]
const melt = meltsOf(view, benzil.id)[0] as NonNullable<ReturnType<typeof meltsOf>[number]>
const tube = (role: 'crude' | 'product', slot: number): PlannedTube => ({
  slot,
  sample: benzil.samples.find((sample) => sample.role === role)?.id as PlannedTube['sample'],
  label: role,
  fillMm: 2,
  grain: 'fine',
})
const instrument = SIMULATED_INSTRUMENTS.find(({ id }) => id === 'programmable-block') as Instrument
const plan = (tubes: PlannedTube[], blockC = 22) => {
  const wish = { tubes, instrument, blockC, conventions: DEFAULT_HOUSE_RULES, purpose: 'careful' as const }
  const planned = planMelt(view, wish)
  if (!planned.ok || planned.value.heating.by !== 'ramp') throw new Error('no ramp')
  return planned.value.heating
}

describe('planning a melt of a prep', () => {
  test('a crude whose impurity is known pulls the start below its eutectic', () => {
    const line = eutecticOf(benzil)
    expect(line).toMatchObject({ impurity: 'benzoin', estimated: true })
    expect(plan([tube('crude', 1), tube('product', 2)]).plan.startC).toBeCloseTo(
      (line?.temperatureC ?? 0) - 5,
      9,
    )
  })
  test('the product alone starts where house rules say', () => {
    expect(plan([tube('product', 1)]).plan.startC).toBe(94 - 15)
    expect(plan([tube('product', 1)]).input.firstLiquidFromC).toBeUndefined()
  })
  test('an impurity nobody named has no eutectic to go by, and yet the crude is watched from where some could melt', () => {
    expect(eutecticOf(adipic)).toBeNull()
    const crude = adipic.samples.find((sample) => sample.role === 'crude')?.id as PlannedTube['sample']
    const planned = plan([{ ...tube('crude', 1), sample: crude }]).plan
    const own = fusionOf(adipic.opened.body.compound)
    const assumed = assumedImpurity(own)
    const assay = adipic.plan?.body.input.assay ?? 0
    // As the simulated crude: at this purity what melts at the eutectic is enough to be seen.
    const first = meltingRange(own, assumed, assay, { visibleLiquidFraction: 0.1 }).onsetC
    expect(first).toBeLessThan(adipic.opened.body.compound.meltLowC - 15)
    expect(planned.startC).toBeCloseTo(first - 5, 9)
    expect(planned.watchFromC).toBeCloseTo(planned.startC, 9)
  })
  test('the block as it is now is planned with', () => {
    expect(plan([tube('product', 1)], 140).plan.segments[0]?.kind).toBe('cool')
  })
})

describe('curves for drawing', () => {
  test('the planned ramp begins when the run’s did, and joins up', () => {
    const curve = plannedCurve(view, melt.id)
    const ramp = melt.run?.commands.find(({ body }) => body.command.kind === 'ramp')?.body.atS ?? 0
    expect(curve.map(([minute]) => minute)).toContain(ramp / 60)
    expect(curve[curve.length - 1]?.[1]).toBe(melt.planned.body.window.stopC)
    expect(curve[0]).toEqual([0, 22])
  })
  test('what was read keeps its ends and is thinned to what can be drawn', () => {
    const readings = readingsOf(view, melt.id, melt.run?.id as never)
    const curve = readCurve(view, melt.id)
    expect(readings.probeC.size).toBeGreaterThan(400)
    expect(curve.length).toBeLessThanOrEqual(400)
    expect(curve[0]).toEqual([1 / 60, readings.probeC.get(1)])
    expect(curve.every(([minute], i) => i === 0 || minute > (curve[i - 1]?.[0] ?? 0))).toBe(true)
    expect(readCurve(EMPTY_VIEW, melt.id)).toEqual([])
  })
})

describe('rates from instrument time', () => {
  const readings = readingsOf(view, melt.id, melt.run?.id as never)
  test('over the melting it is the ramp’s', () => {
    expect(rateBetween(readings, 900, 1500)).toBeCloseTo(1, 1)
  })
  test('nothing on record, no rate', () => {
    expect(rateBetween(readings, 90_000, 91_000)).toBeNull()
  })
  test('live, it takes in what was heard and is not yet on record', () => {
    const last = readings.lastSample
    const fresh = Array.from({ length: 60 }, (_, i) => [last + i + 1, 50 + (2 * i) / 60] as const)
    const shown = liveRate(view, melt, fresh)
    expect(shown?.rateCPerMin).toBeCloseTo(2, 1)
    // Tenths of a degree once a second for a minute: a few hundredths either way.
    expect(shown?.withinCPerMin).toBeGreaterThan(0.005)
    expect(shown?.withinCPerMin).toBeLessThan(0.1)
    expect(liveRate(view, { ...melt, run: null }, fresh)).toBeNull()
    expect(liveRate(view, melt, [])).toBeNull()
  })
  test('live, another heating shows within half a minute, and what is steady is told from a whole one', () => {
    const last = readings.lastSample
    const at = (rateAt: (s: number) => number) => {
      let c = 50
      return Array.from({ length: 60 }, (_, i) => {
        c += rateAt(i) / 60
        return [last + i + 1, c] as const
      })
    }
    expect(
      liveRate(
        view,
        melt,
        at((s) => (s < 30 ? 18 : 2)),
      )?.rateCPerMin,
    ).toBeCloseTo(2, 0)
    expect(
      liveRate(
        view,
        melt,
        at(() => 1),
      )?.rateCPerMin,
    ).toBeCloseTo(1, 2)
  })
})

describe('what a watcher is told', () => {
  const ramped = meltsOf(view).find(({ run }) =>
    run?.commands.some(({ body }) => body.command.kind === 'ramp'),
  )
  if (!ramped) throw new Error('The golden ledger has a ramp.')
  const { watchFromC, stopC, rateCPerMin } = ramped.planned.body.window
  const at = (change: Partial<Parameters<typeof announcementOf>[1]>) =>
    announcementOf(ramped, {
      nowC: watchFromC + 1,
      atS: 1e5,
      phase: 'ramping',
      rateCPerMin,
      isConnected: true,
      ...change,
    })
  test('follows the temperature: how long there is, to look, to end', () => {
    expect(at({ nowC: watchFromC - 5 })).toEqual({ say: 'opens', atC: watchFromC, inMin: 5 / rateCPerMin })
    expect(at({})).toEqual({ say: 'in the window' })
    expect(at({ nowC: stopC + 0.1 })).toEqual({ say: 'past the stop' })
    expect(at({ nowC: stopC - 0.5, phase: 'holding' })).toEqual({ say: 'at the stop' })
  })
  test('is nothing before it heats, and that it is not heard whatever else is known', () => {
    expect(at({ phase: 'preheating' })).toBeNull()
    expect(at({ nowC: null })).toBeNull()
    expect(at({ isConnected: false, nowC: null })).toEqual({ say: 'not heard' })
  })
  test('is too slow where a hand has set a dial that comes to rest below the melting, and not in a programme', () => {
    const dialled: MeltFacts = {
      ...ramped,
      planned: {
        ...ramped.planned,
        body: { ...ramped.planned.body, heating: { by: 'hand', blockC: 22, warnings: [] } },
      },
    }
    const announce = (melt: MeltFacts, change: Partial<Parameters<typeof announcementOf>[1]>) =>
      announcementOf(melt, {
        nowC: watchFromC + 1,
        atS: 1e5,
        phase: 'heating',
        rateCPerMin: 0.1,
        isConnected: true,
        ...change,
      })
    expect(announce(dialled, {})).toEqual({ say: 'too slow', rateCPerMin: 0.1 })
    expect(announce(dialled, { rateCPerMin: -0.1 })).toEqual({ say: 'too slow', rateCPerMin: -0.1 })
    expect(announce(dialled, { rateCPerMin })).toEqual({ say: 'in the window' })
    // Just turned, the rate does not tell yet; programmed, nobody turns anything.
    const last = dialled.run?.commands.at(-1)?.body.atS ?? 0
    expect(announce(dialled, { atS: last + 59 })).toEqual({ say: 'in the window' })
    expect(announce(ramped, { phase: 'ramping' })).toEqual({ say: 'in the window' })
  })
  test('is too fast only once the rate tells of what was asked for last', () => {
    const fast = { rateCPerMin: 3 * rateCPerMin }
    expect(at(fast)).toMatchObject({ say: 'too fast', rateCPerMin: 3 * rateCPerMin, setting: null })
    const last = ramped.run?.commands.at(-1)?.body.atS ?? 0
    expect(at({ ...fast, atS: last + 59 })).toEqual({ say: 'in the window' })
    expect(isSlowPart(ramped, { nowC: watchFromC, atS: last + 59 })).toBe(false)
    expect(isSlowPart(ramped, { nowC: watchFromC, atS: last + 60 })).toBe(true)
  })
})

describe('what to do now', () => {
  const ramped = meltsOf(view).find(({ run }) =>
    run?.commands.some(({ body }) => body.command.kind === 'ramp'),
  ) as MeltFacts
  const run = ramped.run as NonNullable<MeltFacts['run']>
  const { startC, watchFromC, stopC, rateCPerMin } = ramped.planned.body.window
  /** The melt as it stood when only these commands had been given, and nothing marked. */
  const after = (...kinds: string[]): MeltFacts => ({
    ...ramped,
    marks: [],
    givenUp: [],
    detected: new Map(),
    run: {
      ...run,
      commands: run.commands.filter(({ body }) => kinds.includes(body.command.kind)),
    },
  })
  const at = (melt: MeltFacts, change: Partial<Parameters<typeof moveOf>[1]>) =>
    moveOf(melt, { nowC: 22, atS: 1e5, phase: 'idle', rateCPerMin: null, isConnected: true, ...change })
  const byHand: MeltFacts = {
    ...after('tubes in'),
    planned: {
      ...ramped.planned,
      body: { ...ramped.planned.body, heating: { by: 'hand', blockC: 22, warnings: [] } },
    },
  }
  test('goes from preheating to the end, one thing at a time', () => {
    expect(at(after(), {})).toEqual({ say: 'preheat', toC: startC })
    const heating = after('preheat')
    expect(at(heating, { phase: 'preheating', nowC: 50, rateCPerMin: 15 })).toEqual({
      say: 'heats to',
      toC: startC,
    })
    // A little past it the block comes back: nothing heats fast then.
    expect(at(heating, { phase: 'preheating', nowC: startC + 1.7, rateCPerMin: -2 })).toEqual({
      say: 'comes to',
      toC: startC,
    })
    expect(at(heating, { phase: 'holding', nowC: startC })).toEqual({ say: 'tubes in' })
    const isIn = after('preheat', 'tubes in')
    expect(at(isIn, { phase: 'holding', nowC: startC })).toEqual({
      say: 'slow down',
      rateCPerMin,
      toC: stopC,
    })
    const ramping = after('preheat', 'tubes in', 'ramp')
    expect(at(ramping, { phase: 'ramping', nowC: watchFromC - 3, rateCPerMin })).toEqual({
      say: 'opens',
      atC: watchFromC,
      inMin: 3 / rateCPerMin,
    })
    expect(at(ramping, { phase: 'ramping', nowC: watchFromC, rateCPerMin })).toEqual({ say: 'in the window' })
    expect(at(ramped, { phase: 'ramping', nowC: stopC, rateCPerMin })).toEqual({ say: 'all told' })
  })
  test('the time to the window is the plan’s, whatever rate was just measured', () => {
    // Ten degrees at 1 °C/min just after preheating at 20: ten minutes, not half of one.
    const ramping = after('preheat', 'tubes in', 'ramp')
    const last = run.commands.at(-1)?.body.atS ?? 0
    for (const rate of [20, 0.02, null])
      expect(
        at(ramping, { phase: 'ramping', nowC: watchFromC - 10, rateCPerMin: rate, atS: last + 3 }),
      ).toEqual({
        say: 'opens',
        atC: watchFromC,
        inMin: 10 / rateCPerMin,
      })
  })
  test('by hand nobody can say how long until the rate has settled', () => {
    const from = (rate: number | null, atS: number) =>
      announcementOf(byHand, {
        nowC: watchFromC - 8,
        atS,
        phase: 'heating',
        rateCPerMin: rate,
        isConnected: true,
      })
    const last = byHand.run?.commands.at(-1)?.body.atS ?? 0
    expect(from(4, last + 30)).toMatchObject({ inMin: null })
    expect(from(null, last + 300)).toMatchObject({ inMin: null })
    expect(from(0.01, last + 300)).toMatchObject({ inMin: null })
    expect(from(4, last + 300)).toMatchObject({ inMin: 2 })
  })
  test('read by eye, the thermometer is read before any tube goes in', () => {
    const unread: MeltFacts = {
      ...byHand,
      run: {
        ...run,
        commands: [],
        started: { ...run.started, body: { ...run.started.body, feed: 'by hand' } },
      },
    }
    expect(at(unread, { nowC: null, phase: null })).toEqual({ say: 'read first' })
    expect(at(unread, { nowC: 22, phase: null })).toMatchObject({ say: 'heat by hand' })
    expect(at(unread, { nowC: startC, phase: null })).toEqual({ say: 'tubes in' })
  })
  test('heated by hand it is turned down before the start, since it runs on', () => {
    const last = byHand.run?.commands.at(-1)?.body.atS ?? 0
    const heated = (nowC: number, rate: number, sinceS = 300) =>
      at(byHand, { nowC, rateCPerMin: rate, phase: 'heating', atS: last + sinceS })
    expect(heated(startC - 30, 14)).toEqual({ say: 'heat by hand', toC: startC })
    expect(heated(startC - 12, 14)).toEqual({ say: 'turn down', rateCPerMin: 14, toC: startC })
    expect(heated(watchFromC - 0.5, 14)).toMatchObject({ say: 'turn down' })
    expect(heated(startC - 1.5, 1)).toEqual({ say: 'heat by hand', toC: startC })
    // Just turned, the rate still tells of what was before.
    expect(heated(startC - 12, 14, 10)).toEqual({ say: 'heat by hand', toC: startC })
  })
  test('a block above the start cools first, and no tube goes into it', () => {
    const hot = { nowC: startC + 12, phase: 'idle' as const, rateCPerMin: null }
    expect(at(after(), hot)).toEqual({ say: 'cool first', toC: startC })
    expect(tubesMayGoIn(after(), hot)).toBe(false)
    const cold: MeltFacts = {
      ...after(),
      planned: {
        ...ramped.planned,
        body: {
          ...ramped.planned.body,
          conventions: { ...ramped.planned.body.conventions, tubeIn: 'cold' },
        },
      },
    }
    expect(tubesMayGoIn(cold, hot)).toBe(false)
    expect(tubesMayGoIn(cold, { nowC: 22, phase: 'idle', rateCPerMin: null })).toBe(true)
  })
  test('where it heats on by hand, a tube may still go in late, until there could be something to see', () => {
    const byHand: MeltFacts = {
      ...after(),
      planned: {
        ...ramped.planned,
        body: {
          ...ramped.planned.body,
          heating: { by: 'hand', blockC: 22, warnings: [] },
          window: { ...ramped.planned.body.window, startC: 79, watchFromC: 89 },
        },
      },
    }
    const going = { phase: 'heating' as const, rateCPerMin: 1.5 }
    expect([84, 88.9, 89.5].map((nowC) => tubesMayGoIn(byHand, { ...going, nowC }))).toEqual([
      true,
      true,
      false,
    ])
    expect(at(byHand, { ...going, nowC: 84 })).toEqual({ say: 'tubes in' })
    expect(at(byHand, { ...going, nowC: 92, rateCPerMin: 1 })).toEqual({ say: 'cool first', toC: 79 })
  })
  test('a scouting run at its planned rate is not called too fast', () => {
    const fast = { phase: 'ramping' as const, nowC: watchFromC + 1, rateCPerMin: 10 }
    const ramping = after('preheat', 'tubes in', 'ramp')
    expect(at(ramping, fast)).toMatchObject({ say: 'too fast' })
    const scouting: MeltFacts = {
      ...ramping,
      planned: {
        ...ramping.planned,
        body: {
          ...ramping.planned.body,
          purpose: 'scouting',
          window: { ...ramping.planned.body.window, rateCPerMin: 10 },
        },
      },
    }
    expect(at(scouting, fast)).toEqual({ say: 'in the window' })
    expect(at(scouting, { ...fast, rateCPerMin: 14 })).toMatchObject({ say: 'too fast' })
  })
})
