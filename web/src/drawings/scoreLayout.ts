import { placeLabels, widthOf } from './placeLabels'

/** A bar of the score: one task in one lane. Times are ms since 1970. */
export interface ScoreBar {
  readonly id: string
  readonly lane: string
  readonly label: string
  /** The letter of what it is of, and its place among the tints; null for what the whole bench does. */
  readonly whose: { readonly letter: string; readonly tint: number } | null
  /** Read out, and shown where the pointer rests. */
  readonly words: string
  readonly fromMs: number
  readonly toMs: number
  /** As it was; else as planned. A bar that goes on is both, and turns at now. */
  readonly is: 'was' | 'goes on' | 'planned'
  readonly critical: boolean
  /** An instrument that heats up is drawn rising. */
  readonly rising: boolean
  /** Can be put off by hand. */
  readonly movable: boolean
}
interface ScoreTaken {
  readonly lane: string
  readonly who: string
  readonly fromMs: number
  readonly toMs: number
}
interface ScoreStop {
  readonly atMs: number
  readonly words: string
}
/** What the score shows. */
export interface ScoreFacts {
  readonly lanes: readonly { readonly id: string; readonly name: string; readonly tone: Tone }[]
  readonly bars: readonly ScoreBar[]
  readonly taken: readonly ScoreTaken[]
  readonly stops: readonly ScoreStop[]
  readonly fromMs: number
  readonly toMs: number
  /** Where the hairlines of the clock stand, and what they say. */
  readonly ticks: readonly { readonly atMs: number; readonly text: string }[]
  readonly nowMs: number | null
  readonly nowText: string
  readonly outMs: number | null
  readonly outText: string
  /** The room closes. */
  readonly endMs: number
}
export type Tone = 'ink' | 'ember' | 'ice' | 'tan'

/** A bar with its place: along the time, and across the lanes, px. */
export interface PlacedBar extends ScoreBar {
  readonly along: number
  readonly length: number
  readonly across: number
  readonly thick: number
  readonly tone: Tone
  /** The label in lines, as far as it fits; empty where it does not. */
  readonly lines: readonly string[]
  /** Where the label begins along a bar that lies, px from its start: beside what is drawn across it. */
  readonly textAt: number
}
export interface PlacedLane {
  readonly id: string
  readonly name: string
  readonly tone: Tone
  readonly across: number
  readonly thick: number
}

/** The hands’ bars are thicker: their labels may take two lines. */
const ROW = { hands: 36, other: 22 } as const
const LINE_PX = 14
const GAP = 6
const LANE_GAP = { lying: 16, upright: 6 } as const
/** Shorter than this a bar cannot be hit with a finger or seen, px. */
const LENGTH_LEAST = 3
const FONT_PX = 12
/** What ends in the minute in which the next begins is not beside it: plans are in whole minutes. */
const SAME_MINUTE_MS = 59_000

/** Rows of one lane: bars that overlap stand beside each other. */
function rowsOf(bars: readonly ScoreBar[]): ReadonlyMap<ScoreBar, number> {
  const ends: number[] = []
  const rows = new Map<ScoreBar, number>()
  for (const bar of [...bars].sort((p, q) => p.fromMs - q.fromMs || p.toMs - q.toMs)) {
    const free = ends.findIndex((end) => end <= bar.fromMs + SAME_MINUTE_MS)
    const row = free < 0 ? ends.length : free
    ends[row] = bar.toMs
    rows.set(bar, row)
  }
  return rows
}

/**
 * Where everything of the score stands.
 *
 * @param lengthPx of the time axis
 * @param across where the first lane begins, px
 * @param wide how much across there is for the lanes of an upright score; null for one that lies: its lanes are as thick as they need
 */
export function placeScore(
  facts: ScoreFacts,
  lengthPx: number,
  across: number,
  wide: number | null,
): {
  readonly lanes: readonly PlacedLane[]
  readonly bars: readonly PlacedBar[]
  readonly end: number
  readonly along: (ms: number) => number
} {
  const span = Math.max(1, facts.toMs - facts.fromMs)
  const along = (ms: number) =>
    (lengthPx * (Math.min(Math.max(ms, facts.fromMs), facts.toMs) - facts.fromMs)) / span
  /** Now, when it is over and when the room closes are drawn across the bars. */
  const drawnAcross = [facts.nowMs, facts.outMs, facts.endMs].flatMap((ms) =>
    ms === null ? [] : [along(ms)],
  )
  const ofLane = (id: string) => facts.bars.filter(({ lane }) => lane === id)
  const rows = facts.lanes.map(({ id }) => rowsOf(ofLane(id)))
  const counts = rows.map((one) => Math.max(1, ...[...one.values()].map((row) => row + 1)))
  const total = counts.reduce((sum, count) => sum + count, 0)
  const gap = LANE_GAP[wide === null ? 'lying' : 'upright']
  const row =
    wide === null
      ? ROW.other
      : Math.max(8, (wide - gap * facts.lanes.length) / Math.max(1, total + handsExtra(facts)))
  const lanes: PlacedLane[] = []
  const bars: PlacedBar[] = []
  let at = across
  facts.lanes.forEach((lane, i) => {
    const count = counts[i] ?? 1
    const one = i > 0 ? row : wide === null ? ROW.hands : row * (1 + handsExtra(facts) / count)
    const thick = count * one + (count - 1) * (wide === null ? GAP : 1)
    lanes.push({ ...lane, across: at, thick })
    for (const bar of ofLane(lane.id)) {
      const from = along(bar.fromMs)
      const length = Math.max(LENGTH_LEAST, along(bar.toMs) - from)
      // A bar that rises has no room for letters: its slope would run through them.
      const isSloped = wide === null && bar.rising
      const label = wide === null && !isSloped ? besideLines(bar, from, length, one, drawnAcross) : null
      const upright = fitted(bar.label, bar.whose?.letter ?? '', one, length)
      const isCrossed = drawnAcross.some(
        (line) => line > from && line < from + Math.min(length, UPRIGHT_TEXT_PX),
      )
      bars.push({
        ...bar,
        along: from,
        length,
        across: at + (rows[i]?.get(bar) ?? 0) * (one + (wide === null ? GAP : 1)),
        thick: one,
        tone: lane.tone,
        lines: label?.lines ?? (isCrossed || isSloped ? [] : upright),
        textAt: label?.textAt ?? TEXT_AT_PX,
      })
    }
    at += thick + gap
  })
  return { lanes, bars, end: at - gap, along }
}

/** A label begins so far into its bar, px. */
const TEXT_AT_PX = 4
/** The label of an upright bar stands in its first so many px. */
const UPRIGHT_TEXT_PX = 30

/** The label of a bar that lies, in the widest part of it that no line is drawn across. */
function besideLines(
  { label, whose }: ScoreBar,
  from: number,
  length: number,
  heightPx: number,
  across: readonly number[],
): { readonly lines: readonly string[]; readonly textAt: number } {
  const cuts = [from, ...across.filter((at) => at > from && at < from + length), from + length].sort(
    (p, q) => p - q,
  )
  const parts = cuts.slice(1).map((to, i) => ({ at: cuts[i] ?? from, room: to - (cuts[i] ?? from) }))
  const [widest] = [...parts].sort((p, q) => q.room - p.room)
  if (!widest) return { lines: [], textAt: TEXT_AT_PX }
  return {
    lines: fitted(label, whose?.letter ?? '', widest.room, heightPx),
    textAt: widest.at - from + TEXT_AT_PX,
  }
}

/** The lane of the hands is drawn wider on an upright score: its bars carry their words. */
function handsExtra({ lanes }: ScoreFacts): number {
  return lanes.length > 1 ? 4 : 0
}

/**
 * A label as it fits into a bar, in one line or two: whose it is before it, else without, for the tint tells it too;
 * where no word fits, its letter.
 */
function fitted(label: string, letter: string, roomPx: number, heightPx: number): readonly string[] {
  if (heightPx < LINE_PX) return []
  // With a margin on either side: a letter that stood over the edge would have a line of the clock through it.
  const fits = (text: string) => widthOf(text, FONT_PX) + 2 * TEXT_AT_PX + 1 <= roomPx
  const inTwo = (text: string) => {
    const gap = text.lastIndexOf(' ')
    return gap < 0 ? [text] : [text.slice(0, gap), text.slice(gap + 1)]
  }
  const lettered = `${letter} ${label}`.trim()
  const ways = [[lettered], inTwo(lettered), [label], inTwo(label), ...(letter === '' ? [] : [[letter]])]
  return ways.find((lines) => lines.length * LINE_PX <= heightPx && lines.every(fits)) ?? []
}

/** The stops under a score that lies, none over another. */
export function placeStops(
  facts: ScoreFacts,
  along: (ms: number) => number,
  from: number,
  to: number,
): readonly { readonly text: string; readonly x: number; readonly row: number; readonly atX: number }[] {
  const stops = facts.stops.filter(({ atMs }) => atMs <= facts.toMs)
  const placed = placeLabels(
    stops.map(({ atMs, words }) => ({ text: words, at: from + along(atMs) + 10, align: 'start' })),
    from,
    to,
    FONT_PX,
  )
  return placed.map((label, i) => ({ ...label, atX: from + along(stops[i]?.atMs ?? 0) }))
}
