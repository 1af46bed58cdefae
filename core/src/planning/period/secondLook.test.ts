import { expect, test } from '@jest/globals'
import { madePeriod } from '../../../golden/periods/madePeriods'
import { replanPeriod, secondLook } from './replan'
import { brokenWaits } from '../../scheduling/softened'
import { sessionOf } from './session'

const NONE = new Map()
/** The order as the recipe’s lists would be overlapped by somebody with little thought: a plan that can be bettered. */
const LITTLE = 0.0005

test('law: a further look gains three minutes or changes nothing, and keeps every wait', () => {
  let gained = 0
  for (const session of [13, 15, 18]) {
    const { tasks, terms } = madePeriod(session)
    const asked = [tasks, terms, NONE, terms.beginsAtMs] as const
    const first = replanPeriod(...asked, null, LITTLE)
    const costOf = (plan: typeof first) => plan.makespanMin + plan.changesOfPrep
    for (const look of [1, 2]) {
      const again = secondLook(...asked, first, look, 0.02)
      if (again === null) continue
      gained++
      expect(costOf(first) - costOf(again)).toBeGreaterThanOrEqual(3)
      expect(again.changed).toMatch(/^Changed: /)
      expect(brokenWaits(sessionOf(...asked).session, again.starts)).toEqual([])
    }
  }
  expect(gained).toBeGreaterThan(0)
})
test('a plan that is as good as any is left as it is', () => {
  const { tasks, terms } = madePeriod(3)
  const plan = replanPeriod(tasks, terms, NONE, terms.beginsAtMs, null)
  expect(plan.proven).toBe(true)
  expect(secondLook(tasks, terms, NONE, terms.beginsAtMs, plan, 1)).toBeNull()
})
