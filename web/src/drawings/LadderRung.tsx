import type { Reading } from '@ivory-crystal/core/units'
import { widthOf } from './placeLabels'

export interface LadderRow {
  readonly key: string
  readonly label: string
  readonly note: string
  /** On what and when, where more than one of a sample has to be told apart. */
  readonly where?: string | undefined
  readonly onset: Reading | null
  readonly clear: Reading | null
  readonly signs: readonly { readonly temperature: Reading; readonly word: string | null }[]
  readonly tone: 'crude' | 'product' | 'other'
}

/** Where things stand in it: on a phone what a rung is called stands over it, else before it. */
export interface Layout {
  readonly width: number
  readonly row: number
  readonly left: number
  readonly right: number
  readonly isNarrow: boolean
}

export const NAME_PX = 15.5
const FILL = { crude: 'var(--tan)', product: 'var(--ink)', other: 'var(--ink-2)' } as const

/** A name cut to what there is room for; whole where it is pointed at. */
function fitted(text: string, widthPx: number, fontPx: number): string {
  const letters = Math.max(4, Math.floor(widthPx / widthOf('x', fontPx)))
  return text.length <= letters ? text : `${text.slice(0, letters - 1).trimEnd()}…`
}

/** One range of the ladder: its name, its bar, its numbers and its early signs. */
export function Rung({
  row,
  y,
  x,
  layout,
}: {
  row: LadderRow
  y: number
  x: (c: number) => number
  layout: Layout
}) {
  const { onset, clear } = row
  const { left, right, width, isNarrow } = layout
  const nameY = isNarrow ? y - 32 : y
  /** On a phone the note stands beside a name that leaves it room, else below. */
  const isShort = widthOf(row.label, 16) + widthOf(row.note, 11.5) + 20 < width
  const number = { fontSize: NUMBER_PX, fontWeight: 700, fill: 'var(--ink)', className: 'label' } as const
  /** A sign close before the onset stands under the number there, not through it. */
  const isUnder = (at: number) =>
    onset !== null &&
    at > x(onset.value) - ONSET_GAP - widthOf(onset.text, NUMBER_PX) &&
    at < x(onset.value) - ONSET_GAP
  const name = fitted(row.label, (isNarrow ? width : left) - 8, NAME_PX)
  return (
    <g>
      {name !== row.label && <title>{row.label}</title>}
      {/* A line through a number would strike it out: the rung leaves off where one stands, on paper too. */}
      <path
        d={beside([left, width - right], numbersOf(row, x))
          .map(([from, to]) => `M${from} ${y - 4}H${to}`)
          .join('')}
        stroke="var(--hair)"
      />
      <text className="label" x={0} y={nameY} fontSize="15" fontWeight="700" fill="var(--ink)">
        {name}
      </text>
      <text
        className="label"
        x={isNarrow && isShort ? widthOf(row.label, 16) + 10 : 0}
        y={isNarrow ? (isShort ? nameY : nameY + 14) : y + 17}
        fontSize={isNarrow ? 11.5 : 12.5}
        fill="var(--ink-2)"
      >
        {row.note}
      </text>
      {row.where && (isShort || !isNarrow) && (
        <text className="label" x={0} y={nameY + (isNarrow ? 14 : 30)} fontSize="11" fill="var(--ink-2)">
          {row.where}
        </text>
      )}
      {row.signs.map(({ temperature, word }, i) => (
        <g key={i}>
          <path
            d={`M${x(temperature.value)} ${isUnder(x(temperature.value)) ? `${y + 4}v8` : `${y - 14}v20`}`}
            stroke="var(--ink-2)"
            strokeDasharray="2 2"
          />
          <text
            className="label"
            x={x(temperature.value) + (isSignBefore(x(temperature.value), left) ? -4 : 4)}
            y={y + 15}
            textAnchor={isSignBefore(x(temperature.value), left) ? 'end' : 'start'}
            fontSize="11.5"
            fill="var(--ink-2)"
          >
            {word ?? 'sign'} {temperature.text}
          </text>
        </g>
      ))}
      {onset && clear && (
        <rect
          x={x(onset.value)}
          y={y - 13}
          width={Math.max(3, x(clear.value) - x(onset.value))}
          height={18}
          fill={FILL[row.tone]}
        />
      )}
      {onset && !clear && (
        <path d={`M${x(onset.value)} ${y - 13}v18`} stroke={FILL[row.tone]} strokeWidth="3" />
      )}
      {clear && !onset && (
        <path d={`M${x(clear.value)} ${y - 13}v18`} stroke={FILL[row.tone]} strokeWidth="3" />
      )}
      {onset && (
        <text x={x(onset.value) - ONSET_GAP} y={y + 1} textAnchor="end" {...number}>
          {onset.text}
        </text>
      )}
      {clear && (
        <text x={x(clear.value) + 7} y={y + 1} {...number}>
          {clear.text}
        </text>
      )}
      {!onset && !clear && (
        <text x={left + 8} y={y} fontSize="13" fill="var(--ink-2)" className="label">
          nothing marked
        </text>
      )}
    </g>
  )
}

/** Between an onset and its number, px. */
const ONSET_GAP = 7
const NUMBER_PX = 13.5

type Span = readonly [from: number, to: number]

/** Where the numbers of a rung stand along it, with a little room, px. */
export function numbersOf({ onset, clear }: LadderRow, x: (c: number) => number): readonly Span[] {
  const wide = (text: string) => NUMBER_ROOM * widthOf(text, NUMBER_PX)
  return [
    ...(onset
      ? [[x(onset.value) - ONSET_GAP - wide(onset.text) - 2, x(onset.value) - ONSET_GAP + 2] as const]
      : []),
    ...(clear ? [[x(clear.value) + 5, x(clear.value) + 9 + wide(clear.text)] as const] : []),
  ]
}
/** Numbers are bold, and wider than letters are. */
const NUMBER_ROOM = 1.15

/** What is left of a line beside the spans that are taken. */
export function beside([from, to]: Span, taken: readonly Span[]): readonly Span[] {
  return taken.reduce<readonly Span[]>(
    (left, [a, b]) =>
      left.flatMap(([p, q]) =>
        b <= p || a >= q
          ? [[p, q] as const]
          : [...(a > p ? [[p, a] as const] : []), ...(b < q ? [[b, q] as const] : [])],
      ),
    [[from, to]],
  )
}

/** A sign is named before its mark, where there is room for that. */
const isSignBefore = (at: number, left: number) => at - left > 84
