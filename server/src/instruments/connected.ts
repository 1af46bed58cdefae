import { readingOfLine } from '@ivory-crystal/core/line'
import { HttpProblem } from '../http/problem'
import { type Run, RUN_MOST_S, type Stand, take, tried } from './run'

/** Between two readings of a connected instrument, s; more is no pause but a clock that jumped. */
const CLOCK_JUMP_MOST_S = 3600

/**
 * Takes in a reading that a connected instrument sent.
 *
 * @returns its run where the reading is a new one, else null
 * @throws HttpProblem 400 when its clock runs backwards or jumped ahead
 */
export function takeLine(stand: Stand, line: string): Run | null {
  const { atS, text, value, light } = tried(() => readingOfLine(line))
  stand.heardC = value
  const { run } = stand
  if (!run) return null
  run.clockAtStartS ??= atS
  const sample = Math.floor(atS - run.clockAtStartS)
  if (sample < run.sample)
    throw new HttpProblem(400, 'The entry was refused', 'The seconds of this instrument go backwards.')
  if (sample - run.sample > CLOCK_JUMP_MOST_S || sample > RUN_MOST_S)
    throw new HttpProblem(
      400,
      'The entry was refused',
      `The clock of this instrument jumped ahead by ${sample - run.sample} s. End the run and start another.`,
    )
  // The first reading of each second is kept; more pass by.
  if (sample === run.sample && run.last) return null
  run.sample = sample
  take(run, {
    sample,
    atS: sample,
    probe: { text, value },
    phase: run.turns > 0 ? 'heating' : 'ramping',
    tubes: [],
    ...(light ? { light } : {}),
  })
  return run
}
