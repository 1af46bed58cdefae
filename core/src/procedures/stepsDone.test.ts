import { expect, test } from '@jest/globals'
import { PROCEDURES } from './shipped'
import { INSERT_STEPS } from './insertSteps'
import { stepDone } from './stepsDone'

test('every step that ships is told on a page as what was done, not by its name', () => {
  const ids = [...PROCEDURES.flatMap(({ steps }) => steps), ...INSERT_STEPS].map(({ id }) => id)
  expect(ids.length).toBeGreaterThan(50)
  expect(ids.filter((id) => stepDone(id).startsWith('Step done'))).toEqual([])
})

test('a step of a procedure of the lab’s own is named', () => {
  expect(stepDone('skim-the-foam')).toBe('Step done: skim the foam')
})
