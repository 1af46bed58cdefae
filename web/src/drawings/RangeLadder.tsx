import type { Reading } from '@ivory-crystal/core'
import { fixed } from '../format/format'
import { axisBetween } from './axis'
import { type PlacedLabel, placeLabels, widthOf } from './placeLabels'
import { useWidth } from './useWidth'

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
interface Layout {
  readonly width: number
  readonly row: number
  readonly left: number
  readonly right: number
  readonly isNarrow: boolean
}
function layoutOf(width: number, rows: readonly LadderRow[], isDense: boolean): Layout {
  const isNarrow = width < 560
  if (isNarrow) return { width, isNarrow, row: 70, left: 12, right: 46 }
  const names = Math.max(0, ...rows.map(({ label }) => widthOf(label, NAME_PX)))
  return {
    width,
    isNarrow,
    row: isDense ? DENSE_ROW : 50,
    left: Math.min(MOST_LEFT, Math.max(LEAST_LEFT, names + 14)),
    right: 62,
  }
}
/** Room for a name and a note; on what and when it melted stands in the numbers below, px. */
const DENSE_ROW = 36
/** A name cut to what there is room for; whole where it is pointed at. */
function fitted(text: string, widthPx: number, fontPx: number): string {
  const letters = Math.max(4, Math.floor(widthPx / widthOf('x', fontPx)))
  return text.length <= letters ? text : `${text.slice(0, letters - 1).trimEnd()}…`
}
/** Before the rungs: as much as their names take, within reason, px. */
const LEAST_LEFT = 172
const MOST_LEFT = 300
const NAME_PX = 15.5
const LABEL_PX = 12.5
const LABEL_ROW = 15
/** Drawn at this width, the type is that of the page when the sheet has scaled it. */
const PAPER = 900
const FILL = { crude: 'var(--tan)', product: 'var(--ink)', other: 'var(--ink-2)' } as const

/** Every range on one temperature axis, from onset to clear, over the literature band. */
export function RangeLadder({
  rows,
  literature,
  literatureLabel = 'literature',
  eutectic,
  note,
  isDense = false,
}: {
  rows: readonly LadderRow[]
  /** null where there is none to lie over. */
  literature: { readonly lowC: number; readonly highC: number } | null
  literatureLabel?: string | undefined
  eutectic?: { readonly temperatureC: number; readonly label: string } | null
  note: string
  /** Closer together, for one sheet of paper. */
  isDense?: boolean
}) {
  const [ref, width] = useWidth(1100, PAPER)
  const layout = layoutOf(width, rows, isDense)
  const { left, right, isNarrow, row: step } = layout
  const axis = axisOf(rows, literature, eutectic?.temperatureC, isNarrow ? 5 : 12)
  const x = (c: number) => left + ((c - axis.from) / (axis.to - axis.from)) * (width - left - right)
  const band = literature && {
    text: `${literatureLabel} ${tidy(literature.lowC)} to ${tidy(literature.highC)}`,
    at: x((literature.lowC + literature.highC) / 2),
    align: 'middle' as const,
  }
  const meeting = eutectic && {
    text: eutectic.label,
    at: x(eutectic.temperatureC) + 6,
    align: 'start' as const,
  }
  const labels = placeLabels(
    [band, meeting].filter((one) => one != null),
    left,
    width - 4,
    LABEL_PX,
  )
  const top = 44 + LABEL_ROW * Math.max(0, ...labels.map(({ row }) => row))
  const labelY = (label: PlacedLabel | undefined) => top - 20 - LABEL_ROW * (label?.row ?? 0)
  const bandLabel = labels.find(({ text }) => text === band?.text)
  const meetingLabel = labels.find(({ text }) => text === meeting?.text)
  const bottom = top + rows.length * step
  const isNoteInside = !isNarrow && widthOf(note, LABEL_PX) < width - right
  return (
    <figure className="m-0" ref={ref}>
      <svg
        width={width}
        height={bottom + (isNarrow ? 28 : 46)}
        viewBox={`0 0 ${width} ${bottom + (isNarrow ? 28 : 46)}`}
        role="img"
        aria-label={spoken(rows, literature)}
      >
        {literature && (
          <>
            <rect
              x={x(literature.lowC)}
              y={top - 14}
              width={Math.max(3, x(literature.highC) - x(literature.lowC))}
              height={bottom - top + 14}
              fill="var(--teal-wash)"
            />
            <text x={bandLabel?.x} y={labelY(bandLabel)} fontSize={LABEL_PX} fill="var(--teal)">
              {bandLabel?.text}
            </text>
          </>
        )}
        {eutectic && (
          <g stroke="var(--ice)">
            <path
              d={beside(
                [labelY(meetingLabel) + 3, bottom],
                rows.flatMap((row, i) => {
                  const at = x(eutectic.temperatureC)
                  const y = top + i * step + (isNarrow ? 50 : 18)
                  return numbersOf(row, x).some(([from, to]) => from < at && at < to)
                    ? [[y - 13, y + 5] as const]
                    : []
                }),
              )
                .map(([from, to]) => `M${x(eutectic.temperatureC)} ${from}V${to}`)
                .join('')}
              strokeDasharray="2 3"
            />
            <text
              x={meetingLabel?.x}
              y={labelY(meetingLabel)}
              fontSize={LABEL_PX}
              fill="var(--ice)"
              stroke="none"
            >
              {eutectic.label}
            </text>
          </g>
        )}
        {rows.map((row, i) => (
          <Rung
            key={row.key}
            row={isDense ? { ...row, where: undefined } : row}
            y={top + i * step + (isNarrow ? 50 : 18)}
            x={x}
            layout={layout}
          />
        ))}
        <path d={`M${left} ${bottom}H${width - right}`} stroke="var(--ink)" />
        {axis.ticks.map(({ value, text }) => (
          <g key={text}>
            <path d={`M${x(value)} ${bottom}v5`} stroke="var(--ink)" />
            <text x={x(value)} y={bottom + 19} textAnchor="middle" fontSize="12.5" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        <text x={width - right + 24} y={bottom + 19} fontSize="12.5" fill="var(--ink-2)">
          °C
        </text>
        {isNoteInside && (
          <text x={width - right} y={bottom + 39} textAnchor="end" fontSize="12.5" fill="var(--ink-2)">
            {note}
          </text>
        )}
      </svg>
      {!isNoteInside && <figcaption className="quiet">{note}</figcaption>}
    </figure>
  )
}

function Rung({
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
function numbersOf({ onset, clear }: LadderRow, x: (c: number) => number): readonly Span[] {
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
function beside([from, to]: Span, taken: readonly Span[]): readonly Span[] {
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

type Band = { readonly lowC: number; readonly highC: number } | null

function axisOf(rows: readonly LadderRow[], literature: Band, eutecticC: number | undefined, ticks: number) {
  const all = rows.flatMap((row) => [
    row.onset?.value,
    row.clear?.value,
    ...row.signs.map((sign) => sign.temperature.value),
  ])
  const values = [literature?.lowC, literature?.highC, eutecticC, ...all].filter(
    (value): value is number => value !== undefined,
  )
  const from = 2 * Math.floor((Math.min(...values) - 3) / 2)
  const to = 2 * Math.ceil((Math.max(...values) + 3) / 2)
  return axisBetween(from, to, ticks)
}

function spoken(rows: readonly LadderRow[], literature: Band): string {
  const said = rows.map(
    ({ label, onset, clear }) =>
      `${label}: ${onset?.text ?? 'no onset'} to ${clear?.text ?? 'no clear point'} °C`,
  )
  const band = literature ? ` Literature ${tidy(literature.lowC)} to ${tidy(literature.highC)} °C.` : ''
  return `${said.join('. ')}.${band}`
}

function tidy(value: number): string {
  return Number.isInteger(value) ? String(value) : fixed(value, 1)
}
