import { type Check, checksFor, uncheckedOf } from '../heating/checks'
import type { MeltFacts } from '../notebook/views/melt'
import type { Instrument } from '../instruments/instrument'

/**
 * What only a person can say and nobody has ticked of a run that has begun. Of an instrument that is heard the app
 * itself has seen how warm it was; marks an instrument kept were not watched here.
 */
export function notLookedAt(
  { planned, run, marks, checks }: MeltFacts,
  instrument: Instrument,
): readonly Check[] {
  if (!run || (marks.length > 0 && marks.every(({ entry }) => entry.body.from === 'instrument'))) return []
  const isHeard = run.started.body.feed !== 'by hand'
  return uncheckedOf(checksFor(instrument, planned.body.window, null), checks).filter(
    ({ id }) => !(isHeard && id === 'block-is-cool'),
  )
}
