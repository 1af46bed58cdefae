import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import {
  announcementOf,
  DEFAULT_HOUSE_RULES,
  EMPTY_VIEW,
  eutecticOf,
  fold,
  type Instrument,
  isSlowPart,
  liveRate,
  meltsOf,
  planMelt,
  plannedCurve,
  type PlannedTube,
  type PrepFacts,
  prepsOf,
  rateBetween,
  readCurve,
  readingsOf,
  SIMULATED_INSTRUMENTS,
} from '../index'

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
      (line?.temperatureC ?? 0) - 2,
      9,
    )
  })
  test('the product alone starts where house rules say', () => {
    expect(plan([tube('product', 1)]).plan.startC).toBe(94 - 15)
    expect(plan([tube('product', 1)]).input.firstLiquidFromC).toBeUndefined()
  })
  test('an impurity nobody named has no eutectic to go by', () => {
    expect(eutecticOf(adipic)).toBeNull()
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
    const heard = Array.from({ length: 60 }, (_, i) => [last + i + 1, 50 + (2 * i) / 60] as const)
    expect(liveRate(view, melt, heard)).toBeCloseTo(2, 1)
    expect(liveRate(view, { ...melt, run: null }, heard)).toBeNull()
    expect(liveRate(view, melt, [])).toBeNull()
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
  test('is too fast only once the rate tells of what was asked for last', () => {
    const fast = { rateCPerMin: 3 * rateCPerMin }
    expect(at(fast)).toMatchObject({ say: 'too fast', rateCPerMin: 3 * rateCPerMin, setting: null })
    const last = ramped.run?.commands.at(-1)?.body.atS ?? 0
    expect(at({ ...fast, atS: last + 59 })).toEqual({ say: 'in the window' })
    expect(isSlowPart(ramped, { nowC: watchFromC, atS: last + 59 })).toBe(false)
    expect(isSlowPart(ramped, { nowC: watchFromC, atS: last + 60 })).toBe(true)
  })
})
