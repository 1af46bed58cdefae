import { fixed } from '../format/format'
import { axisBetween } from './plot/axis'
import { beside, type LadderRow, type Layout, NAME_PX, numbersOf, Rung } from './LadderRung'
import { type PlacedLabel, placeLabels, widthOf } from './placeLabels'
import { useWidth } from './useWidth'

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
/** Before the rungs: as much as their names take, within reason, px. */
const LEAST_LEFT = 172
const MOST_LEFT = 300
const LABEL_PX = 12.5
const LABEL_ROW = 15
/** Drawn at this width, the type is that of the page when the sheet has scaled it. */
const PAPER = 900

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
  const sentences = rows.map(
    ({ label, onset, clear }) =>
      `${label}: ${onset?.text ?? 'no onset'} to ${clear?.text ?? 'no clear point'} °C`,
  )
  const band = literature ? ` Literature ${tidy(literature.lowC)} to ${tidy(literature.highC)} °C.` : ''
  return `${sentences.join('. ')}.${band}`
}

function tidy(value: number): string {
  return Number.isInteger(value) ? String(value) : fixed(value, 1)
}
