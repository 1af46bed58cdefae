import type { EpochMs, SubjectId } from '../../ids'
import { type Cooling, coolsForMin } from '../../heating/cooling'
import type { SessionTask } from '../../scheduling/session/compiled'
import type { WaitsFor } from '../../procedures/takes'

/** How far a task is, from what the notebook holds. */
export type TaskState =
  | { readonly is: 'open' }
  /** `untilMs`: when it should be over. */
  | { readonly is: 'running'; readonly fromMs: EpochMs; readonly untilMs: EpochMs }
  | { readonly is: 'done'; readonly fromMs: EpochMs; readonly toMs: EpochMs }

/** Minutes a piece of work took on this bench before, or takes at the pace of this period. */
export interface OwnPace {
  /** What is planned with: their median, drawn toward the plan’s minutes. */
  readonly minutes: number
  readonly medianMin: number
  /** Times this work was done before; or tasks of any sort that were timed in this period. */
  readonly times: number
  readonly isToday: boolean
}

/** A task of the lab period, as it follows from the notebook. */
export interface PeriodTask extends SessionTask {
  /** The prep or unknown it is of; null for what the whole bench does. */
  readonly of: SubjectId | null
  /** What that is called. */
  readonly title: string
  /** What to do, as a sentence without its full stop. */
  readonly words: string
  /** The same in a word or two, for a bar. */
  readonly label: string
  /** Goes on by itself: it needs no hands. */
  readonly isAlone: boolean
  /** Minutes before this bench’s own pace. */
  readonly planMin: number
  /** The minutes are a guess that nobody has said. */
  readonly isGuess: boolean
  readonly pace: OwnPace | null
  /** Where it is done, from the notebook’s address on. */
  readonly place: string
  /** What must be seen to while it goes on by itself. */
  readonly watch: string | null
  /** A safe place to stop once it is over: how things are left. */
  readonly stop: string | null
  /** That in a word or two, for the score; null where it is not worth a mark there. */
  readonly stopLabel: string | null
  /** Done only when asked for. */
  readonly isOptional: boolean
  /** Nothing but a word by hand tells that it is done. */
  readonly isToldByHand: boolean
  /** Nothing stands open after it: a tube that is packed, a list that is made. */
  readonly isHarmless: boolean
  /** Once it is over nothing of its row stands open, whether or not that is worth a word. */
  readonly leavesSafe: boolean
  /** The run it begins or ends, °C; null where it does neither. */
  readonly run: Run | null
  /** Not begun sooner: what it is done on is still too hot; null where nothing keeps it. */
  readonly notBeforeMs: EpochMs | null
  readonly state: TaskState
}

/** A run on an instrument, as far as the next one on it has to know. */
export interface Run {
  readonly instrument: string
  readonly does: 'begins' | 'ends'
  /** Where a tube goes in, and where the last of it melts; null where nobody can say. */
  readonly startC: number | null
  readonly endC: number | null
  /** How it cools; null where that is not known. */
  readonly cools: Cooling | null
}

/** Words for what may not go on at the same time. */
export const TAGS = {
  flame: 'flame',
  /** Solvent that burns, hot or in the open: pouring, rinsing, drawing air through. */
  vapour: 'flammable vapour',
  /** Goes on by itself, and somebody must be able to see it. */
  inSight: 'in sight',
  /** The eye is at a lens, or the person at a balance. */
  eyesAway: 'eyes away',
} as const

export const OPEN: TaskState = { is: 'open' }
export const MINUTE_MS = 60_000

/** Done; never begun after it was over. */
export function doneBetween(fromMs: EpochMs, toMs: EpochMs): TaskState {
  return { is: 'done', fromMs: Math.min(fromMs, toMs), toMs }
}

type Given = Pick<PeriodTask, 'words' | 'label' | 'planMin' | 'place' | 'state'> &
  Partial<
    Pick<
      PeriodTask,
      | 'isAlone'
      | 'needs'
      | 'tags'
      | 'watch'
      | 'stop'
      | 'stopLabel'
      | 'isOptional'
      | 'isToldByHand'
      | 'isGuess'
      | 'isHarmless'
      | 'leavesSafe'
      | 'run'
      | 'notBeforeMs'
    >
  > & {
    readonly name: string
    readonly waitsFor?: WaitsFor
    /** Not left waiting longer than this after what goes on by itself, min. */
    readonly withinMin?: number | undefined
    /** How much it spoils to leave it longer. */
    readonly harm?: number | undefined
    /** Waits for these besides. */
    readonly also?: PeriodTask['after']
    readonly pace?: OwnPace | null
    /** The one task it follows, whatever else is open; without one, what goes on by itself follows the hands. */
    readonly follows?: string | undefined
  }

/**
 * What it spoils to be left longer than it should: the least is let go first where no order keeps every wait. What goes
 * on by itself only begins later; crystals keep in ice; hot solvent boils away; a plate runs on past its edge; what melts
 * with no eye on it has no range.
 */
export const HARM = { ofItself: 1, cold: 2, hot: 3, plate: 4, melt: 5 } as const

/** A row of work that is done in order: each task waits for those before it, as it says. */
export function rowOfWork(of: SubjectId | null, title: string) {
  const tasks: PeriodTask[] = []
  const alone = new Set<string>()
  let frontier: string[] = []
  let lastHands: string[] = []

  /** Adds a task; answers with its id. */
  function add(given: Given): string {
    const { name, waitsFor = 'all before', withinMin, harm, also = [], pace = null, follows, ...rest } = given
    const id = nameOf(of, name, tasks)
    const isAlone = given.isAlone ?? false
    const before =
      follows !== undefined
        ? [follows]
        : isAlone
          ? lastHands
          : waitsFor === 'all before'
            ? frontier
            : waitsFor === 'the hands before'
              ? lastHands
              : []
    const after = before.map((task) => ({
      task,
      // What goes on by itself begins as soon as the hands leave it; what it leads to may not be left too long.
      ...(isAlone
        ? { waitMaxMin: 0, harm: HARM.ofItself }
        : withinMin !== undefined && (alone.has(task) || follows !== undefined)
          ? { waitMaxMin: withinMin, ...(harm === undefined ? {} : { harm }) }
          : {}),
    }))
    const task: PeriodTask = {
      needs: isAlone ? {} : { hands: 1 },
      watch: null,
      stop: null,
      stopLabel: null,
      isOptional: false,
      isToldByHand: false,
      isGuess: false,
      isHarmless: false,
      leavesSafe: (given.stop ?? null) !== null,
      run: null,
      notBeforeMs: null,
      ...rest,
      id,
      of,
      title,
      after: [...after, ...also],
      isAlone,
      pace,
      durationMin: pace?.minutes ?? given.planMin,
      ...(of === null ? {} : { prep: of }),
    }
    tasks.push(task)
    if (isAlone) alone.add(id)
    if (isAlone || follows !== undefined) {
      frontier = [...frontier.filter((one) => !before.includes(one)), id]
    } else if (waitsFor === 'all before') {
      frontier = [id]
      lastHands = [id]
    } else frontier = [...frontier, id]
    return id
  }
  /** What comes next waits for this too: a melt that another row has already. */
  function waitFor(task: string): void {
    frontier = [...frontier, task]
  }
  /** The id the next task of this name will have. */
  const idOf = (name: string) => nameOf(of, name, tasks)
  return { of, add, idOf, waitFor, tasks }
}

export type Row = ReturnType<typeof rowOfWork>

/** The name of a task: whose it is, and which; a second of the same sort has a number. */
function nameOf(of: SubjectId | null, name: string, tasks: readonly PeriodTask[]): string {
  const first = `${of ?? 'bench'}/${name}`
  if (!tasks.some(({ id }) => id === first)) return first
  let nth = 2
  while (tasks.some(({ id }) => id === `${first}-${nth}`)) nth++
  return `${first}-${nth}`
}

/** Which sort of work a task is, whatever it is of. */
export function workOf(task: string): string {
  return task.slice(task.indexOf('/') + 1).replace(/-\d+$/, '')
}

/** Where nobody can say from where to where an instrument has to cool, min. A rule. */
const COOLS_AS_A_RULE_MIN = 10
/** An instrument is as good as at room temperature so near it, °C. */
const NEAR_ROOM_C = 5

/** How long an instrument cools from where one run on it ends to where the next begins, whole min. */
export function coolsMin(before: Pick<Run, 'endC' | 'cools'>, after: Pick<Run, 'startC'>): number {
  if (!before.cools || before.endC === null || after.startC === null) return COOLS_AS_A_RULE_MIN
  const toC = Math.max(after.startC, before.cools.ambientC + NEAR_ROOM_C)
  return Math.ceil(coolsForMin(before.cools, before.endC, toC))
}
