import { expect, test } from '@jest/globals'
import { liveDay } from '../../../golden/periods/bench'
import { madePeriod } from '../../../golden/periods/madePeriods'
import { idleByRecipe, planned, rowByRow, SIMPLE_STUDENTS } from '../../../golden/periods/students'

/** One prep, and a prep with an unknown beside it. */
const SESSIONS = [3, 14]
const EFFORT = 0.02

test.each([0.7, 1, 1.4])(
  'law: whoever does what the plan says, at %s times its minutes, is at every lens in time and leaves nothing too long',
  (pace) => {
    for (const session of SESSIONS) {
      const made = madePeriod(session)
      const day = liveDay(made, planned(made, EFFORT), { pace, seed: session })
      expect({ session, late: day.lateAtLensMin, over: day.overWaited }).toEqual({
        session,
        late: 0,
        over: 0,
      })
    }
  },
)
test('a day lived by the recipe is idle through every wait, and by the plan it is not', () => {
  const made = madePeriod(14)
  const terms = { pace: 1, seed: 5 }
  const endOf = (student: Parameters<typeof liveDay>[1]) => liveDay(made, student, terms).endMin
  const simple = Object.values(SIMPLE_STUDENTS).map(endOf)
  expect(endOf(idleByRecipe)).toBeGreaterThan(endOf(rowByRow))
  expect(endOf(rowByRow)).toBeGreaterThan(Math.max(...simple))
  expect(endOf(planned(made, EFFORT))).toBeLessThan(endOf(rowByRow))
})
test('the same seed lives the same day, and slower hands take longer', () => {
  const made = madePeriod(3)
  const day = (pace: number) => liveDay(made, rowByRow, { pace, seed: 9 })
  expect(day(1)).toEqual(day(1))
  expect(day(1.8).endMin).toBeGreaterThan(day(1).endMin)
})
