import type { Result } from '@ivory-crystal/core'
import { planner } from '../../../workers/compute'
import { failed } from '../../../workers/useComputed'

/** A planner that has not answered by then is ended, ms. */
export const ANSWERS_WITHIN_MS = 5000

/** An answer, or why there is none; where there is no worker it is worked out at once. */
export async function inTime<T>(ask: () => Result<T> | Promise<Result<T>>): Promise<Result<T>> {
  let timer: ReturnType<typeof setTimeout> | undefined
  const late = new Promise<Result<T>>((resolve) => {
    timer = setTimeout(() => {
      planner.end()
      resolve(failed(new Error('The planner did not answer within 5 s and was ended.')))
    }, ANSWERS_WITHIN_MS)
  })
  try {
    return await Promise.race([ask(), late])
  } catch (error) {
    return failed(error)
  } finally {
    clearTimeout(timer)
  }
}
