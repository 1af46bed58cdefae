import type { Entry, InstrumentId, Result } from '../../contract'
import { fitBlockModel } from '../../heating/fitBlockModel'
import { attempt, problem } from '../../problems'
import { CORE_VERSION } from '../../version'
import type { DialLearned } from '../dial-learned/kind'
import type { View } from '../fold'
import { heatingsOf } from './instruments'

/** What would be learned from the heatings logged so far. */
export function learnDial(view: View, instrument: InstrumentId): Result<DialLearned> {
  return dialFrom(heatingsOf(view, instrument))
}

/** The fit of these heatings, ready to be written; the room is the mean of what was logged. */
export function dialFrom(heatings: readonly Entry<'heating logged'>[]): Result<DialLearned> {
  if (heatings.length === 0)
    return problem('too-few-samples', 'No heating has been logged yet. Log two, at different settings.')
  const ambientC = heatings.reduce((sum, { body }) => sum + body.ambientC, 0) / heatings.length
  const all = heatings.flatMap(({ body }) => body.samples.map(([, temperatureC]) => temperatureC))
  const dials = heatings.map(({ body }) => body.dial)
  return attempt(() => ({
    ...fitBlockModel(
      heatings.map(({ body }) => body),
      ambientC,
    ),
    span: {
      leastDial: Math.min(...dials),
      mostDial: Math.max(...dials),
      leastC: all.reduce((least, c) => Math.min(least, c), Infinity),
      mostC: all.reduce((most, c) => Math.max(most, c), -Infinity),
    },
    coreVersion: CORE_VERSION,
    restsOn: heatings.map(({ id }) => id),
  }))
}
