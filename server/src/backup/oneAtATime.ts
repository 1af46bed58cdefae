import { HttpProblem } from '../http/problem'

/** A backup under way holds up the next for about so long, s. */
const TRY_AGAIN_S = 10

/** One piece of work at a time, for everyone; whoever comes meanwhile is told to come again. */
export function oneAtATime(): <T>(work: () => Promise<T>) => Promise<T> {
  let isBusy = false
  return async (work) => {
    if (isBusy)
      throw new HttpProblem(
        503,
        'Under way',
        'A backup or a restore is already running. Try again when it has ended.',
        TRY_AGAIN_S,
      )
    isBusy = true
    try {
      return await work()
    } finally {
      isBusy = false
    }
  }
}
