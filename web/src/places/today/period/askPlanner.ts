import type { Result } from '@ivory-crystal/core/problems'
import { planner } from '../../../workers/compute'
import { failed } from '../../../workers/useComputed'

/** A planner that has not answered by then is ended, ms. */
const ANSWERS_WITHIN_MS = 5000
/** That is counted in short steps, ms: a lid that was shut for an hour is one of them, and not an hour of silence. */
const STEP_MS = 250

type Planner = Awaited<ReturnType<typeof planner>>

/** Asks the planner, who is fetched first; one that does not answer in time is ended, and the next question starts anew. */
export async function askPlanner<T>(
  ask: (remote: Planner) => Result<T> | Promise<Result<T>>,
): Promise<Result<T>> {
  let timer: ReturnType<typeof setInterval> | undefined
  try {
    const remote = await planner()
    const silent = new Promise<Result<T>>((resolve) => {
      let steps = 0
      timer = setInterval(() => {
        steps++
        if (steps * STEP_MS < ANSWERS_WITHIN_MS) return
        planner.end()
        resolve(failed(new Error('The planner did not answer within 5 s and was stopped.')))
      }, STEP_MS)
    })
    return await Promise.race([ask(remote), silent])
  } catch (error) {
    return failed(error)
  } finally {
    clearInterval(timer)
  }
}
