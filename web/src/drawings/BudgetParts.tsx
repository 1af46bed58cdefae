import { type BudgetRow, type Cause, OWNER_NAMES } from '@ivory-crystal/core/judging'
import { capital, fixed } from '../format/format'
import { axisBetween } from './plot/axis'
import { at, cut, type Panel } from './budgetPanels'
import css from './Budget.module.css'

const INK: Readonly<Record<Cause, string>> = {
  heating: 'var(--ember)',
  'melting time': 'var(--ember)',
  thermometer: 'var(--ink-3)',
  reading: 'var(--ink-3)',
  literature: 'var(--ink-3)',
  solvent: 'var(--ink-3)',
  late: 'var(--ink-3)',
  sample: 'var(--ink)',
}
const INKS = [...new Set(Object.values(INK))]

const percent = (value: number) => `${value.toFixed(3)}%`

function Bar({
  panel,
  from,
  to,
  fill,
  y = 4,
  height = 11,
}: {
  panel: Panel
  from: number
  to: number
  fill: string
  y?: number
  height?: number
}) {
  const [left, right] = [at(panel, Math.min(from, to)), at(panel, Math.max(from, to))]
  if (right - left < 0.01) return null
  return <rect x={percent(left)} width={percent(right - left)} y={y} height={height} fill={fill} />
}

/** What a panel measures, and the names of the house’s marks on it. */
export function Head({ panel }: { panel: Panel }) {
  return (
    <div className={css.head}>
      <b>{capital(panel.title)}</b>
      <svg className={css.marks} aria-hidden="true">
        {panel.marks.map(({ atC, label }) => (
          <text key={label} x={percent(at(panel, atC))} y="12" textAnchor="middle">
            {label}
          </text>
        ))}
      </svg>
    </div>
  )
}

function Cell({ panel, children, label }: { panel: Panel; children: React.ReactNode; label: string }) {
  return (
    <div className={css.cell}>
      <svg role="img" aria-label={label}>
        {panel.band && (
          <Bar
            panel={panel}
            from={panel.band[0]}
            to={panel.band[1]}
            fill="var(--teal-wash)"
            y={0}
            height={400}
          />
        )}
        {panel.marks.map(({ atC, label: mark }) => (
          <line
            key={mark}
            x1={percent(at(panel, atC))}
            x2={percent(at(panel, atC))}
            y1="0"
            y2="100%"
            stroke="var(--teal)"
            strokeDasharray={atC === 0 ? undefined : '1 3'}
          />
        ))}
        {children}
        <line
          x1={percent(at(panel, panel.readC))}
          x2={percent(at(panel, panel.readC))}
          y1="0"
          y2="100%"
          stroke="var(--ink)"
          strokeWidth="1.5"
        />
      </svg>
    </div>
  )
}

/** What was read, cut into what is certainly somebody’s, what is certainly the sample’s, and what they may share. */
export function Whole({ panel, rows, id }: { panel: Panel; rows: readonly BudgetRow[]; id: string }) {
  const { readC } = panel
  const sign = readC < 0 ? -1 : 1
  const { parts, upTo, own } = cut(panel, rows)
  const whole = Math.abs(readC)
  return (
    <Cell panel={panel} label={`${panel.title}: ${fixed(own, 1)} of it at least from the sample itself`}>
      {parts.map(({ owner, from, to }) => (
        <Bar
          key={owner}
          panel={panel}
          from={sign * from}
          to={sign * to}
          fill={INK[owner]}
          y={3}
          height={15}
        />
      ))}
      <Bar
        panel={panel}
        from={sign * upTo}
        to={sign * (whole - own)}
        fill={`url(#${id}1)`}
        y={3}
        height={15}
      />
      <Bar panel={panel} from={sign * (whole - own)} to={readC} fill={INK.sample} y={3} height={15} />
    </Cell>
  )
}

export function Share({ panel, row, id }: { panel: Panel; row: BudgetRow; id: string }) {
  const { leastC, mostC } = row.endC[panel.end]
  const sure = leastC > 0 ? leastC : mostC < 0 ? mostC : 0
  const hatch = `url(#${id}${INKS.indexOf(INK[row.owner])})`
  return (
    <Cell
      panel={panel}
      label={`${OWNER_NAMES[row.owner]}, ${panel.end}: ${fixed(leastC, 1)} to ${fixed(mostC, 1)} °C`}
    >
      <Bar panel={panel} from={Math.min(leastC, 0)} to={Math.max(mostC, 0)} fill={hatch} />
      <Bar panel={panel} from={0} to={sure} fill={INK[row.owner]} />
    </Cell>
  )
}

export function Foot({ panel }: { panel: Panel }) {
  const { ticks } = axisBetween(panel.fromC, panel.toC, 6)
  return (
    <svg className={css.foot}>
      <line x1="0" x2="100%" y1="0.5" y2="0.5" stroke="var(--ink-3)" />
      {ticks
        .filter(({ value }) => value >= panel.fromC && value <= panel.toC)
        .map(({ value, text }) => (
          <g key={text}>
            <line
              x1={percent(at(panel, value))}
              x2={percent(at(panel, value))}
              y1="0"
              y2="4"
              stroke="var(--ink-3)"
            />
            <text x={percent(at(panel, value))} y="16" textAnchor="middle">
              {value > 0 && panel.end !== 'width' ? `+${text}` : text}
            </text>
          </g>
        ))}
    </svg>
  )
}

export function Hatches({ id }: { id: string }) {
  return (
    <svg width="0" height="0" className="position-absolute" aria-hidden="true">
      <defs>
        {INKS.map((ink, i) => (
          <pattern
            key={ink}
            id={`${id}${i}`}
            width="5"
            height="5"
            patternUnits="userSpaceOnUse"
            patternTransform="rotate(45)"
          >
            <line x1="0" y1="0" x2="0" y2="5" stroke={ink} strokeWidth="2.6" />
          </pattern>
        ))}
      </defs>
    </svg>
  )
}
