import type { AccountRow } from '@ivory-crystal/core/notebook'
import { fixed } from '../format/format'
import { inLines } from './placeLabels'
import { useWidth } from './useWidth'

const LEAST_HEIGHT = 300
const TOP = 30
const UNDER = 12
const BAR = 44
/** What a label takes: its numbers, and each line of its remark, px. */
const NUMBERS_PX = 30
const REMARK_PX = 15
const REMARK_FONT_PX = 12
/** On a phone the bars stand closer, and a name under its number, px. */
const NARROW = 480
const NAME_PX = 18

const TONES: Readonly<Record<AccountRow['part'], string>> = {
  crystals: 'var(--ink)',
  'second crop': 'var(--ink-3)',
  liquor: 'var(--ice)',
  grit: 'var(--tan)',
  unaccounted: 'var(--ember)',
}

/**
 * Mass balance: the crude on the left parts into what was found on the right, true to mass. What was only
 * predicted and not weighed is drawn open.
 */
export function MassBalance({ crudeG, rows }: { crudeG: number; rows: readonly AccountRow[] }) {
  const [frame, width] = useWidth(640)
  const parts = rows.map((row) => ({ row, g: Math.max(0, row.found?.value ?? row.predictedG ?? 0) }))
  const totalG = Math.max(
    crudeG,
    parts.reduce((sum, { g }) => sum + g, 0),
  )
  const isNarrow = width < NARROW
  const rightX = Math.min(250, width * (isNarrow ? 0.22 : 0.34))
  const textX = rightX + BAR + 22
  const numbersPx = isNarrow ? NUMBERS_PX + NAME_PX : NUMBERS_PX
  const remarks = rows.map((row) => inLines(remarkOn(row, crudeG), width - textX, REMARK_FONT_PX))
  const steps = remarks.map((lines) => numbersPx + REMARK_PX * lines.length)
  const height = Math.max(LEAST_HEIGHT, TOP + UNDER + steps.reduce((sum, px) => sum + px, 0))
  const perG = (height - UNDER - TOP) / totalG
  const placed = parts.map(({ row, g }, i) => {
    const before = parts.slice(0, i).reduce((sum, part) => sum + part.g, 0)
    return { row, y: TOP + before * perG, height: g * perG }
  })
  const labels = spread(
    placed.map((part) => part.y + part.height / 2),
    steps,
    height - UNDER,
  )
  return (
    <div ref={frame}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Mass balance, of ${fixed(crudeG, 3)} g crude: ${parts.map(({ row, g }) => `${row.name} ${fixed(g, 3)} g${row.found ? '' : ' predicted'}`).join(', ')}.`}
      >
        <text x={BAR / 2} y={TOP - 12} textAnchor="middle" className="tiny">
          crude
        </text>
        <rect x="0" y={TOP} width={BAR} height={crudeG * perG} fill="var(--tan)" />
        <text
          x={BAR / 2}
          y={TOP + (crudeG * perG) / 2 + 5}
          textAnchor="middle"
          fontWeight="700"
          fontSize="13"
          fill="#211c16"
        >
          {fixed(crudeG, 3)}
        </text>
        <text x={textX} y={TOP - 12} className="tiny">
          found, g
        </text>
        <text x={width} y={TOP - 12} textAnchor="end" className="tiny">
          predicted, g
        </text>
        {placed.map(({ row, y, height }, i) => {
          const tone = TONES[row.part]
          const leftTop = Math.min(y, TOP + crudeG * perG)
          const leftBottom = Math.min(y + height, TOP + crudeG * perG)
          const middle = (BAR + rightX) / 2
          const labelY = labels[i] ?? y
          return (
            <g key={row.part}>
              <path
                d={`M${BAR} ${leftTop}C${middle} ${leftTop} ${middle} ${y} ${rightX} ${y}V${y + height}C${middle} ${y + height} ${middle} ${leftBottom} ${BAR} ${leftBottom}Z`}
                fill={tone}
                opacity="0.14"
              />
              <rect
                x={rightX}
                y={y + 0.5}
                width={BAR}
                height={Math.max(1.5, height - 1)}
                fill={row.found ? tone : 'none'}
                stroke={tone}
                strokeDasharray={row.found ? undefined : '3 3'}
              />
              <path
                d={`M${rightX + BAR + 2} ${y + height / 2}L${textX - 5} ${labelY - 4}`}
                stroke="var(--hair)"
              />
              <text x={textX} y={labelY} fontSize="15" fontWeight="700" fill="var(--ink)">
                {row.found ? fixed(row.found.value, 3) : 'not weighed'}
                {isNarrow ? (
                  <tspan x={textX} dy={NAME_PX} fontWeight="400">
                    {row.name}
                  </tspan>
                ) : (
                  <tspan dx="10" fontWeight="400">
                    {row.name}
                  </tspan>
                )}
              </text>
              {(remarks[i] ?? []).map((line, k) => (
                <text
                  key={k}
                  x={textX}
                  y={labelY + numbersPx - NUMBERS_PX + 16 + REMARK_PX * k}
                  className="tiny"
                  style={isLarge(row, crudeG) ? { fill: 'var(--ember)' } : undefined}
                >
                  {line}
                </text>
              ))}
              <text data-predicted x={width} y={labelY} textAnchor="end" fontSize="15" fill="var(--ink-2)">
                {row.predictedG === null ? '–' : fixed(row.predictedG, 3)}
              </text>
            </g>
          )
        })}
      </svg>
    </div>
  )
}

/** A difference worth the eye: beyond the weighing, and more than a fiftieth of the crude. */
function isLarge(row: AccountRow, crudeG: number): boolean {
  const apart = (row.found?.value ?? 0) - (row.predictedG ?? 0)
  return row.beyondWeighing && Math.abs(apart) > crudeG / 50
}

/** Whether prediction and finding differ by more than two weighings can. */
function remarkOn(row: AccountRow, crudeG: number): string {
  if (row.part === 'unaccounted') return row.why
  if (!row.found) return 'not weighed; drawn as predicted'
  if (row.predictedG === null) return row.why
  // Of what is shown: the three numbers of a row agree with each other.
  const apart = shownG(row.found.value) - shownG(row.predictedG)
  const off = `${fixed(Math.abs(apart), 3)} g ${apart < 0 ? 'less' : 'more'} than predicted`
  return isLarge(row, crudeG)
    ? `${off}, more than the weighing error`
    : row.beyondWeighing
      ? `${off}: within the error of the estimate`
      : 'as predicted, within the weighing error'
}

/** To the milligram, as it is written. */
const shownG = (g: number) => Math.round(1000 * g) / 1000

/** Labels kept apart, in their order, inside the drawing: each with the room it takes under its numbers. */
function spread(wanted: readonly number[], steps: readonly number[], bottom: number): number[] {
  const placed: number[] = []
  let free = TOP + 14
  for (const [i, y] of wanted.entries()) {
    placed.push(Math.max(y, free))
    free = (placed[i] as number) + (steps[i] as number)
  }
  let floor = bottom
  for (let i = placed.length - 1; i >= 0; i--) {
    placed[i] = Math.min(placed[i] as number, floor - (steps[i] as number) + NUMBERS_PX / 2)
    floor = (placed[i] as number) - NUMBERS_PX / 2
  }
  return placed
}
