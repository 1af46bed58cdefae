import { attempt, problem, type Result } from '../../problems'
import type { InstrumentId } from '../../ids'
import type { Entry } from '../entry'
import type { Bodies } from '../kinds/list'
import { fitBlockModel } from '../../heating/fitBlockModel'
import { CORE_VERSION } from '../../version'
import type { DialLearned } from '../kinds/dial-learned/kind'
import type { View } from '../fold'
import { heatingsOf } from './instruments'
import { type MeltFacts, meltsOf } from './melt'
import { readingsOf } from './readings'

/** What would be learned from the heatings logged so far. */
export function learnDial(view: View, instrument: InstrumentId): Result<DialLearned> {
  return dialFrom(heatingsOf(view, instrument))
}

/** The fit of these heatings, ready to be written; the room is the mean of what was logged. */
export function dialFrom(heatings: readonly Entry<'heating logged'>[]): Result<DialLearned> {
  if (heatings.length === 0)
    return problem(
      'too-few-samples',
      'No heating has been logged yet. Log two heatings at different settings.',
    )
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

/** A stretch with the dial left alone is worth learning from when it is this long, s. */
const LEAST_STRETCH_S = 300
/** What the heater still holds of the setting before passes over first, s. */
const SETTLES_S = 90
const EVERY_S = 10

/**
 * Heatings that runs on this instrument hold anyway: each stretch with the dial left at one setting, as its
 * probe was recorded. Those logged already are left out.
 */
export function heatingsInRuns(view: View, instrument: InstrumentId): readonly Bodies['heating logged'][] {
  const known = new Set(heatingsOf(view, instrument).map(({ body }) => JSON.stringify(body.samples)))
  return meltsOf(view)
    .filter(({ planned, run }) => planned.body.instrument === instrument && run?.ended != null)
    .flatMap((melt) => stretchesOf(view, melt))
    .filter(({ samples }) => !known.has(JSON.stringify(samples)))
}

function stretchesOf(view: View, melt: MeltFacts): Bodies['heating logged'][] {
  const { run, planned } = melt
  if (!run?.ended || !run.started.body.recorded) return []
  const { probeC, lastSample } = readingsOf(view, melt.id, run.id)
  const turns = run.commands.flatMap(({ body: { atS, command } }) =>
    command.kind === 'dial'
      ? [{ atS, dial: command.setting }]
      : command.kind === 'stop'
        ? [{ atS, dial: 0 }]
        : [],
  )
  const { heating } = planned.body
  const ambientC =
    heating.by === 'dial'
      ? heating.input.model.ambientC
      : (run.started.body.simulation?.character.ambientC ?? null)
  if (ambientC === null) return []
  return turns.flatMap(({ atS, dial }, i) => {
    const untilS = turns[i + 1]?.atS ?? lastSample
    if (dial <= 0 || untilS - atS < LEAST_STRETCH_S) return []
    const samples: (readonly [number, number])[] = []
    for (let s = atS + SETTLES_S; s <= untilS; s += EVERY_S) {
      const value = probeC.get(s)
      if (value !== undefined) samples.push([(s - atS) / 60, value])
    }
    return samples.length < 5 ? [] : [{ dial, ambientC, samples, from: 'run' as const }]
  })
}
