import type { InstrumentId, SampleId } from '../../ids'
import type { Instrument } from '../../instruments/instrument'
import { linesOf } from '../../notebook/read'
import type { PlannedTube } from '../../notebook/kinds/melt-planned/kind'
import { isUnderWay, type MeltFacts, meltIdsWith, meltOf, meltsOf } from '../../notebook/views/melt'
import { planMelt } from '../meltPlan'
import { likelyInstrument, ownPace, type PeriodContext, statesByHand } from './context'
import { coolsMin, HARM, MINUTE_MS, OPEN, type Row, type Run, TAGS, type TaskState } from './task'

/** Loading takes about this long: tubes in, seen to rest, the programme set, min. */
const LOAD_MIN = 2
/** Packing and labelling a set of tubes, min. */
export const PACK_MIN = 4
/** Where nobody can say how a melt will be heated: up to the window, and through it, min. A guess. */
const HEATED_AS_A_RULE = { preheatMin: 8, watchMin: 20 } as const

interface Heated {
  readonly instrument: InstrumentId | null
  readonly instrumentName: string
  readonly preheatMin: number
  readonly watchMin: number
  readonly isGuess: boolean
  /** The instrument reads the light through the tubes: nobody has to watch. */
  readonly isRead: boolean
  /** Where a tube goes in, and where it ends, °C; null where that is not known. */
  readonly startC: number | null
  readonly endC: number | null
  readonly cools: Run['cools']
}

/** A melt to come, or one that is planned or running. */
export interface MeltWork {
  /** Ends the names of its tasks. */
  readonly name: string
  /** What is watched, in words: “the crude and the product”. */
  readonly what: string
  readonly label: string
  readonly place: string
  readonly samples: readonly SampleId[]
  readonly purpose: 'careful' | 'scouting'
  readonly melt: MeltFacts | null
  /** Of a prep, or of an unknown. */
  readonly isOfPrep: boolean
  /** What a scouting run goes up to at most, °C; the instrument’s own end where that is not known. */
  readonly upToC?: number | null
  readonly stop?: string
}

/** A melt of these samples that is planned or being watched, or null. */
export function meltUnderWay(context: PeriodContext, samples: readonly SampleId[]): MeltFacts | null {
  if (context.isFresh) return null
  for (const sample of samples)
    for (const id of [...meltIdsWith(context.view, sample)].reverse()) {
      const melt = meltOf(context.view, id)
      if (melt && isUnderWay(melt)) return melt
    }
  return null
}

/** Whether a tube of this sample is packed and waits, or is in a melt already. */
export function isPacked({ view, isFresh }: PeriodContext, sample: SampleId): boolean {
  if (isFresh) return false
  const packed = linesOf(view, sample, 'tube packed').length
  const melted = meltIdsWith(view, sample)
    .flatMap((id) => meltOf(view, id) ?? [])
    .filter((melt) => !isUnderWay(melt)).length
  return packed > melted || meltIdsWith(view, sample).some((id) => isUnderWayOf(view, id))
}
const isUnderWayOf = (view: PeriodContext['view'], id: Parameters<typeof meltOf>[1]) => {
  const melt = meltOf(view, id)
  return melt !== null && isUnderWay(melt)
}

/** Into the instrument, up to the window by itself, and watched through it; answers with the task that ends it. */
export function meltTasks(row: Row, context: PeriodContext, melt: MeltWork): string {
  const { nowMs } = context
  const shared = melt.melt ? context.melts.get(melt.melt.id) : undefined
  if (shared !== undefined) {
    row.waitFor(shared)
    return shared
  }
  const { instrument, instrumentName, preheatMin, watchMin, isGuess, isRead, startC, endC, cools } = heatedOf(
    context,
    melt,
  )
  const burns =
    context.shelf.instruments.find(({ id }) => id === instrument)?.character.control === 'flame'
      ? [TAGS.flame]
      : []
  const block = instrument === null ? {} : { [instrument]: 1 }
  const ran: Omit<Run, 'does'> = { instrument: instrument ?? instrumentName, startC, endC, cools }
  const run = melt.melt?.run ?? null
  const fromMs = run?.started.at ?? null
  const placed = { place: melt.melt ? `melts/${melt.melt.id}` : melt.place, isGuess }
  const paced = ownPace(context, `load ${melt.name}`, LOAD_MIN)
  const load = `${row.of ?? 'bench'}/load ${melt.name}`
  const begun = statesByHand(context, load, LOAD_MIN)
  const loaded = row.add({
    name: `load ${melt.name}`,
    words: `Put ${melt.what} into the ${instrumentName} and start it`,
    label: 'load',
    planMin: LOAD_MIN,
    pace: paced,
    needs: { hands: 1, ...block },
    state:
      fromMs === null
        ? begun.is === 'running'
          ? begun
          : OPEN
        : {
            is: 'done',
            fromMs: Math.min(begun.is === 'open' ? Infinity : begun.fromMs, fromMs - LOAD_MIN * MINUTE_MS),
            toMs: fromMs,
          },
    run: { ...ran, does: 'begins' },
    notBeforeMs: instrument === null ? null : coolUntilMs(context, instrument, ran),
    ...placed,
  })
  const upMs = fromMs === null ? null : fromMs + preheatMin * MINUTE_MS
  let up = loaded
  if (preheatMin > 0)
    up = row.add({
      name: `heat ${melt.name}`,
      words: `The ${instrumentName} heats up for ${melt.what}`,
      label: 'heats up',
      planMin: preheatMin,
      isAlone: true,
      needs: block,
      tags: burns,
      state: fromMs === null || upMs === null ? OPEN : between(fromMs, upMs, nowMs),
      ...placed,
    })
  const watch = row.add({
    name: `watch ${melt.name}`,
    words: isRead
      ? `The ${instrumentName} reads the light of ${melt.what}`
      : `Watch ${melt.what} melt, eye at the lens`,
    label: melt.label,
    planMin: watchMin,
    ...(isRead
      ? { isAlone: true, needs: block, watch: 'look at it now and then' }
      : // The programme goes on whether anybody looks or not.
        { needs: { hands: 1, ...block }, tags: [TAGS.eyesAway, ...burns], withinMin: 0, harm: HARM.melt }),
    follows: up,
    run: { ...ran, does: 'ends' },
    stop: melt.stop ?? null,
    leavesSafe: true,
    state:
      upMs === null || upMs > nowMs
        ? OPEN
        : { is: 'running', fromMs: upMs, untilMs: Math.max(nowMs, upMs + watchMin * MINUTE_MS) },
    ...placed,
  })
  if (melt.melt) context.melts.set(melt.melt.id, watch)
  return watch
}

/** Until when the instrument cools since the last run on it ended; null where it is cool, or none has. */
function coolUntilMs(
  { view, nowMs, isFresh }: PeriodContext,
  id: InstrumentId,
  ran: Omit<Run, 'does'>,
): number | null {
  if (isFresh) return null
  const last = meltsOf(view)
    .flatMap(({ planned, run }) =>
      planned.body.instrument === id && run?.ended
        ? [{ endedAt: run.ended.at, endC: planned.body.window.stopC }]
        : [],
    )
    .sort((p, q) => q.endedAt - p.endedAt)[0]
  if (!last) return null
  const untilMs = last.endedAt + coolsMin({ endC: last.endC, cools: ran.cools }, ran) * MINUTE_MS
  return untilMs > nowMs ? untilMs : null
}

function between(fromMs: number, toMs: number, nowMs: number): TaskState {
  return toMs <= nowMs ? { is: 'done', fromMs, toMs } : { is: 'running', fromMs, untilMs: toMs }
}

function heatedOf(context: PeriodContext, melt: MeltWork): Heated {
  const planned = melt.melt?.planned.body
  const instrument = planned
    ? (context.shelf.instruments.find(({ id }) => id === planned.instrument) ?? null)
    : likelyInstrument(context, melt.isOfPrep)
  const name = (planned?.instrumentName ?? instrument?.name ?? 'block').toLowerCase()
  const isRead = instrument?.character.readsLight === true
  const cools = instrument
    ? { ambientC: instrument.character.ambientC, timeConstantMin: instrument.character.coolTimeConstantMin }
    : null
  const plan = planned ?? (instrument ? heatingOf(context, melt, instrument) : null)
  const window = plan?.window
  const id = planned?.instrument ?? instrument?.id ?? null
  if (!window || window.watchFromMin === null || window.totalMin === null)
    return {
      instrument: id,
      instrumentName: name,
      isRead,
      ...HEATED_AS_A_RULE,
      isGuess: true,
      startC: window?.startC ?? null,
      endC: window?.stopC ?? null,
      cools,
    }
  // A dial wants its hand from the slow part on, before there is anything to be seen.
  const fromMin = plan.heating.by === 'dial' ? plan.heating.plan.watchFromMin : window.watchFromMin
  const preheatMin = Math.floor(fromMin)
  const upToC = Math.min(window.stopC, melt.upToC ?? Infinity)
  const throughMin = window.totalMin - (window.stopC - upToC) / window.rateCPerMin
  const watchMin = Math.max(1, Math.ceil(throughMin) - preheatMin)
  return {
    instrument: id,
    instrumentName: name,
    isRead,
    preheatMin,
    watchMin,
    isGuess: false,
    startC: window.startC,
    endC: upToC,
    cools,
  }
}

/** The heating a melt of these samples would have, by the house’s rules, from a cold instrument. */
function heatingOf({ view, rules }: PeriodContext, { samples, purpose }: MeltWork, instrument: Instrument) {
  const tubes: PlannedTube[] = samples.map((sample, i) => ({
    slot: i + 1,
    sample,
    label: sample,
    fillMm: rules.fillMm[1],
    grain: 'fine',
  }))
  const plan = planMelt(view, {
    tubes,
    instrument,
    blockC: instrument.character.ambientC,
    conventions: rules,
    purpose,
  })
  return plan.ok ? plan.value : null
}
