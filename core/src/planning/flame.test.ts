import { describe, expect, test } from '@jest/globals'
import { golden } from '../../golden/contract'
import { BENCH_SHELF } from '../../golden/benchShelf'
import { SCHOOLS } from '../conventions/schools'
import type { PrepId } from '../ids'
import { fold } from '../notebook/fold'
import type { Bodies } from '../notebook/kinds/list'
import { houseRulesOf } from '../notebook/views/instruments'
import { prepOf } from '../notebook/views/prep'
import { SIMULATED_INSTRUMENTS } from '../instruments/shipped'
import { burningSolventsOf, flamesNear, isInTheOpen, vapoursNear } from './flame'
import { replanPeriod } from './period/replan'
import { periodAt } from './period/periodFacts'
import { tasksOf } from './period/tasksOf'
import '../../golden/older'

const MINUTE_MS = 60_000
const NOW = golden.nowMs
const BENZIL = '0a5a1c7e-0000-4000-8000-000000000171' as PrepId
const ADIPIC = '0a5a1c7e-0000-4000-8000-000000000111' as PrepId
const shelf = BENCH_SHELF
/** The demo as it stood so many minutes ago. */
const ago = (min: number) => fold(golden.entries.filter(({ at }) => at <= NOW - min * MINUTE_MS))
const benzilIn = (view: ReturnType<typeof ago>) => {
  const prep = prepOf(view, BENZIL)
  if (!prep) throw new Error('no prep')
  return prep
}
const ticks = golden.entries.filter(({ kind, subject }) => kind === 'step ticked' && subject === BENZIL)
const stationOf = (id: string) => benzilIn(ago(0)).steps.find((step) => step.id === id)?.station
const dissolved = ticks.filter(({ body }) => stationOf((body as { step: string }).step) === 'dissolve')
const first = dissolved[0]?.at ?? 0
const last = dissolved.at(-1)?.at ?? 0
const minutesAgo = (ms: number) => (NOW - ms) / MINUTE_MS

describe('a flame and what burns', () => {
  test('declared for now or soon, and those of one’s own instruments', () => {
    expect(flamesNear(ago(0), SIMULATED_INSTRUMENTS, NOW)).toEqual([
      { who: 'bench 8', isOwn: false, fromMs: NOW - 4 * MINUTE_MS, toMs: NOW + 38 * MINUTE_MS },
    ])
    expect(flamesNear(ago(0), SIMULATED_INSTRUMENTS, NOW + 39 * MINUTE_MS)).toEqual([])
    // Before anybody lit it, but within the quarter of an hour.
    expect(flamesNear(ago(0), SIMULATED_INSTRUMENTS, NOW - 15 * MINUTE_MS)).toHaveLength(1)
    expect(flamesNear(ago(0), SIMULATED_INSTRUMENTS, NOW - 30 * MINUTE_MS)).toEqual([])
  })
  test('the solvent is in the open from the first step at the heat to the last, and not while it cools covered', () => {
    expect(dissolved.length).toBeGreaterThan(2)
    const during = ago(minutesAgo((first + last) / 2))
    expect(vapoursNear(during, (first + last) / 2).map(({ prep }) => prep)).toEqual([BENZIL])
    expect(vapoursNear(during, (first + last) / 2)[0]?.solvents).toEqual(['ethanol 95%'])
    expect(vapoursNear(ago(0), NOW)).toEqual([])
    // Left since yesterday it stands cold.
    expect(isInTheOpen(benzilIn(during), last + 24 * 60 * MINUTE_MS)).toBe(false)
  })
  test('water does not burn', () => {
    const prep = prepOf(ago(0), ADIPIC)
    expect(prep && burningSolventsOf(prep)).toEqual([])
  })
  test('law: whenever a flame is declared, the period is still planned, and where it cannot keep apart it says so', () => {
    let against = 0
    for (let min = Math.ceil(minutesAgo(first)); min >= Math.floor(minutesAgo(last)); min--) {
      const view = ago(min)
      const nowMs = NOW - min * MINUTE_MS
      const opened = periodAt(view, nowMs)
      if (!opened) throw new Error('no period')
      const terms: Bodies['period opened'] = {
        ...opened.opened.body,
        busy: [
          { what: 'flame', who: 'bench 8', fromAtMs: nowMs - MINUTE_MS, toAtMs: nowMs + 60 * MINUTE_MS },
        ],
      }
      const tasks = tasksOf(view, shelf, houseRulesOf(view, SCHOOLS), nowMs)
      const plan = replanPeriod(tasks, terms, opened.putOff, nowMs, null, 0.05)
      expect(plan.makespanMin).toBeGreaterThan(0)
      if (plan.isAgainstFlame) against++
    }
    expect(against).toBeGreaterThan(0)
  })
})
