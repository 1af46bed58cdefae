import type { Reading } from '@ivory-crystal/core'
import { fixed } from '../format/format'
import { axisBetween } from './axis'
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

const ROW = 50
const TOP = 44
const LEFT = 172
const RIGHT = 62
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
}: {
  rows: readonly LadderRow[]
  /** null where there is none to lie over. */
  literature: { readonly lowC: number; readonly highC: number } | null
  literatureLabel?: string | undefined
  eutectic?: { readonly temperatureC: number; readonly label: string } | null
  note: string
}) {
  const [ref, width] = useWidth(1100, PAPER)
  const axis = axisOf(rows, literature, eutectic?.temperatureC)
  const x = (c: number) => LEFT + ((c - axis.from) / (axis.to - axis.from)) * (width - LEFT - RIGHT)
  const bottom = TOP + rows.length * ROW
  return (
    <figure className="m-0" ref={ref}>
      <svg
        width={width}
        height={bottom + 46}
        viewBox={`0 0 ${width} ${bottom + 46}`}
        role="img"
        aria-label={spoken(rows, literature)}
      >
        {literature && (
          <>
            <rect
              x={x(literature.lowC)}
              y={TOP - 14}
              width={Math.max(3, x(literature.highC) - x(literature.lowC))}
              height={bottom - TOP + 14}
              fill="var(--teal-wash)"
            />
            <BandLabel x={x((literature.lowC + literature.highC) / 2)} width={width}>
              {literatureLabel} {tidy(literature.lowC)} to {tidy(literature.highC)}
            </BandLabel>
          </>
        )}
        {eutectic && (
          <g stroke="var(--ice)">
            <path d={`M${x(eutectic.temperatureC)} ${TOP - 18}V${bottom}`} strokeDasharray="2 3" />
            <text
              x={x(eutectic.temperatureC) + 6}
              y={TOP - 20}
              fontSize="12.5"
              fill="var(--ice)"
              stroke="none"
            >
              {eutectic.label}
            </text>
          </g>
        )}
        {rows.map((row, i) => (
          <Rung key={row.key} row={row} y={TOP + i * ROW + 18} x={x} width={width} />
        ))}
        <path d={`M${LEFT} ${bottom}H${width - RIGHT}`} stroke="var(--ink)" />
        {axis.ticks.map(({ value, text }) => (
          <g key={text}>
            <path d={`M${x(value)} ${bottom}v5`} stroke="var(--ink)" />
            <text x={x(value)} y={bottom + 19} textAnchor="middle" fontSize="12.5" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        <text x={width - RIGHT + 24} y={bottom + 19} fontSize="12.5" fill="var(--ink-2)">
          °C
        </text>
        <text x={width - RIGHT} y={bottom + 39} textAnchor="end" fontSize="12.5" fill="var(--ink-2)">
          {note}
        </text>
      </svg>
    </figure>
  )
}

/** Above the band, and not past either end of the drawing. */
function BandLabel({ x, width, children }: { x: number; width: number; children: React.ReactNode }) {
  const half = 92
  const anchor = x > width - half ? 'end' : x < LEFT + half ? 'start' : 'middle'
  return (
    <text
      x={anchor === 'end' ? width - 4 : anchor === 'start' ? LEFT : x}
      y={TOP - 20}
      textAnchor={anchor}
      fontSize="12.5"
      fill="var(--teal)"
    >
      {children}
    </text>
  )
}

function Rung({ row, y, x, width }: { row: LadderRow; y: number; x: (c: number) => number; width: number }) {
  const { onset, clear } = row
  const number = {
    fontSize: 13.5,
    fontWeight: 700,
    fill: 'var(--ink)',
    stroke: 'var(--ground)',
    strokeWidth: 4,
    paintOrder: 'stroke',
  } as const
  return (
    <g>
      <text x={0} y={y} fontSize="15" fontWeight="700" fill="var(--ink)">
        {row.label}
      </text>
      <text x={0} y={y + 17} fontSize="12.5" fill="var(--ink-2)">
        {row.note}
      </text>
      {row.where && (
        <text x={0} y={y + 30} fontSize="11" fill="var(--ink-2)">
          {row.where}
        </text>
      )}
      <path d={`M${LEFT} ${y - 4}H${width - RIGHT}`} stroke="var(--hair)" />
      {row.signs.map(({ temperature, word }, i) => (
        <g key={i}>
          <path d={`M${x(temperature.value)} ${y - 14}v20`} stroke="var(--ink-2)" strokeDasharray="2 2" />
          <text x={x(temperature.value) - 4} y={y + 15} textAnchor="end" fontSize="11.5" fill="var(--ink-2)">
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
        <text x={x(onset.value) - 7} y={y + 1} textAnchor="end" {...number}>
          {onset.text}
        </text>
      )}
      {clear && (
        <text x={x(clear.value) + 7} y={y + 1} {...number}>
          {clear.text}
        </text>
      )}
      {!onset && !clear && (
        <text
          x={LEFT + 8}
          y={y}
          fontSize="13"
          fill="var(--ink-2)"
          stroke="var(--ground)"
          strokeWidth="4"
          paintOrder="stroke"
        >
          nothing marked
        </text>
      )}
    </g>
  )
}

type Band = { readonly lowC: number; readonly highC: number } | null

function axisOf(rows: readonly LadderRow[], literature: Band, eutecticC?: number) {
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
  return axisBetween(from, to, 12)
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
