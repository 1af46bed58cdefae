import { afterEach, expect, jest, test } from '@jest/globals'
import { planner } from '../../../workers/compute'
import { ANSWERS_WITHIN_MS, inTime } from './inTime'

afterEach(() => {
  jest.useRealTimers()
})

test('a planner that does not answer is ended and told; one that does is not kept waiting for', async () => {
  jest.useFakeTimers()
  const ended = jest.spyOn(planner, 'end')
  const silent = inTime(() => new Promise<never>(() => undefined))
  await jest.advanceTimersByTimeAsync(ANSWERS_WITHIN_MS - 1)
  expect(ended).not.toHaveBeenCalled()
  await jest.advanceTimersByTimeAsync(1)
  expect(await silent).toMatchObject({
    ok: false,
    problem: { sentence: 'The planner did not answer within 5 s and was ended.' },
  })
  expect(ended).toHaveBeenCalledTimes(1)
  expect(await inTime(() => ({ ok: true, value: 7 }))).toEqual({ ok: true, value: 7 })
  await jest.advanceTimersByTimeAsync(10 * ANSWERS_WITHIN_MS)
  expect(ended).toHaveBeenCalledTimes(1)
  expect(
    await inTime(() => {
      throw new Error('It broke.')
    }),
  ).toMatchObject({ ok: false, problem: { sentence: 'It broke.' } })
})
