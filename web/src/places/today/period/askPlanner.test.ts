import { afterEach, expect, jest, test } from '@jest/globals'
import { planner } from '../../../workers/compute'
import { askPlanner } from './askPlanner'

afterEach(() => {
  jest.useRealTimers()
  jest.restoreAllMocks()
})

test('a planner that does not answer is ended and told, and the next question is answered', async () => {
  // Fetched beforehand: only the answer is waited for.
  await planner()
  jest.useFakeTimers()
  const ended = jest.spyOn(planner, 'end')
  const silent = askPlanner(() => new Promise<never>(() => undefined))
  await jest.advanceTimersByTimeAsync(4999)
  expect(ended).not.toHaveBeenCalled()
  await jest.advanceTimersByTimeAsync(1)
  expect(await silent).toMatchObject({
    ok: false,
    problem: { sentence: 'The planner did not answer within 5 s and was stopped.' },
  })
  expect(ended).toHaveBeenCalledTimes(1)
  jest.useRealTimers()
  expect(await askPlanner(async (heavy) => ({ ok: true, value: await heavy.isThere() }))).toEqual({
    ok: true,
    value: true,
  })
  expect(ended).toHaveBeenCalledTimes(1)
})

test('one that breaks is told as it said', async () => {
  const broken = await askPlanner(() => {
    throw new Error('It broke.')
  })
  expect(broken).toMatchObject({ ok: false, problem: { sentence: 'It broke.' } })
})
