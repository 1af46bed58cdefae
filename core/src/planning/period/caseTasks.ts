import { platesOf } from '../../notebook/views/plates'
import { areMixturesDone, type UnknownFacts } from '../../notebook/views/unknowns'
import type { PrepId, UnknownId } from '../../ids'
import { ownPace, type PeriodContext, statesByHand } from './context'
import { isPacked, meltTasks, meltUnderWay, PACK_MIN } from './meltTasks'
import { HARM, MINUTE_MS, OPEN, type PeriodTask, type Row, rowOfWork, TAGS, type TaskState } from './task'

const KEEPS = 'The labelled vial can wait until another day.'

/** What is left of an unknown: scouting, the careful run, its list, one mixed run at least, and the name. */
export function caseTasks(context: PeriodContext, unknown: UnknownFacts): readonly PeriodTask[] {
  const code = unknown.opened.body.code
  const row = rowOfWork(unknown.id, code)
  const place = `unknowns/${unknown.id}`
  const { sample } = unknown
  const under = meltUnderWay(context, [sample.id])
  const isMixed = areMixturesDone(unknown)
  const rescout = unknown.scouting === null && unknown.careful === null
  if (rescout) {
    pack(
      row,
      context,
      'pack to scout',
      `Pack a tube of ${code}`,
      `${place}/melt`,
      isPacked(context, sample.id),
    )
    meltTasks(row, context, {
      name: 'to scout',
      what: code,
      label: `scout ${code}`,
      place: `${place}/melt`,
      samples: [sample.id],
      purpose: 'scouting',
      isOfPrep: false,
      upToC: highestOf(context, unknown),
      melt: under,
      stop: KEEPS,
    })
  }
  if (unknown.careful === null) {
    pack(
      row,
      context,
      'pack',
      `Pack two fresh tubes of ${code}`,
      `${place}/melt`,
      !rescout && isPacked(context, sample.id),
    )
    meltTasks(row, context, {
      name: 'carefully',
      what: code,
      label: `watch ${code}`,
      place: `${place}/melt`,
      samples: [sample.id],
      purpose: 'careful',
      isOfPrep: false,
      melt: rescout ? null : under,
      stop: KEEPS,
    })
  }
  if (!unknown.listed)
    row.add({
      name: 'list',
      words: `List what ${code} may be`,
      label: 'list',
      planMin: 4,
      isHarmless: true,
      place: `${place}/candidates`,
      state: OPEN,
    })
  if (!isMixed) {
    const ground = unknown.mixtures.find(({ row: melted }) => melted === null)
    const isGround = ground !== undefined && isPacked(context, ground.sample.id)
    pack(
      row,
      context,
      'grind',
      `Grind ${code} with an authentic sample and pack all three`,
      `${place}/mixtures`,
      isGround,
      7,
    )
    meltTasks(row, context, {
      name: 'mixed',
      what: `${code}, its mixture and the authentic sample`,
      label: `mixed ${code}`,
      place: `${place}/mixtures`,
      samples: unknown.careful ? [sample.id] : [],
      purpose: 'careful',
      isOfPrep: false,
      melt: ground ? meltUnderWay(context, [ground.sample.id]) : null,
      stop: KEEPS,
    })
  }
  plateTasks(row, context, unknown.id, code, `${place}/plate`)
  row.add({
    name: 'sign',
    words: `Name ${code}, or say that it cannot be decided`,
    label: 'sign',
    planMin: 4,
    place: `${place}/sign`,
    state: OPEN,
  })
  return row.tasks
}

/** A scouting run goes no higher than what is listed, or than nine tenths of what the shelf knows, °C. */
function highestOf({ shelf }: PeriodContext, { candidates }: UnknownFacts): number | null {
  const listed = candidates.map(({ compound }) => compound.meltHighC)
  if (listed.length > 0) return Math.max(...listed) + ABOVE_HIGHEST_C
  const known = shelf.compounds.map(({ meltHighC }) => meltHighC).sort((p, q) => p - q)
  const high = known[Math.floor(0.9 * (known.length - 1))]
  return high === undefined ? null : high + ABOVE_HIGHEST_C
}
const ABOVE_HIGHEST_C = 10

/** Packing: told by a tube of the rack, or by hand. */
export function pack(
  row: Row,
  context: PeriodContext,
  name: string,
  words: string,
  place: string,
  isDone: boolean,
  planMin = PACK_MIN,
  more: { readonly waitsFor?: 'nothing' } = {},
): void {
  const pace = ownPace(context, name, planMin)
  const id = `${row.of ?? 'bench'}/${name}`
  const states = statesByHand(context, id, pace?.minutes ?? planMin)
  row.add({
    name,
    words,
    label: 'pack',
    planMin,
    isHarmless: true,
    pace,
    place,
    isToldByHand: true,
    state: isDone && states.is !== 'done' ? doneSomeTime(context) : states,
    ...more,
  })
}

/** Done, and nobody knows when: before the period, so that it is not drawn. */
function doneSomeTime({ period, nowMs }: PeriodContext): TaskState {
  const at = Math.min(nowMs, period?.opened.body.beginsAtMs ?? nowMs)
  return { is: 'done', fromMs: at, toMs: at }
}

/** A plate, where one is asked for: spotted by hand, runs by itself, read before it fades. */
export function plateTasks(
  row: Row,
  context: PeriodContext,
  of: PrepId | UnknownId,
  name: string,
  place: string,
): void {
  const isRun = platesOf(context.view, of).length > 0
  if (isRun) return
  const spot = statesByHand(context, `${of}/spot`, 6)
  const hasRunMin = 15
  const ranMs = spot.is === 'done' ? spot.toMs + hasRunMin * MINUTE_MS : null
  row.add({
    name: 'spot',
    words: `Spot a plate of ${name}`,
    label: 'spot',
    planMin: 6,
    place,
    tags: [TAGS.vapour],
    waitsFor: 'the hands before',
    isOptional: true,
    isToldByHand: true,
    state: spot,
  })
  row.add({
    name: 'plate alone',
    words: `The plate of ${name} runs`,
    label: 'plate runs',
    planMin: hasRunMin,
    place,
    tags: [TAGS.vapour],
    isAlone: true,
    follows: `${of}/spot`,
    watch: 'out before the front reaches the edge',
    isOptional: true,
    state:
      spot.is !== 'done' || ranMs === null
        ? OPEN
        : ranMs <= context.nowMs
          ? { is: 'done', fromMs: spot.toMs, toMs: ranMs }
          : { is: 'running', fromMs: spot.toMs, untilMs: ranMs },
  })
  row.add({
    name: 'read the plate',
    words: `Mark the front and read the plate of ${name}`,
    label: 'plate',
    planMin: 5,
    leavesSafe: true,
    place,
    follows: `${of}/plate alone`,
    withinMin: 3,
    harm: HARM.plate,
    isOptional: true,
    state: OPEN,
  })
}
