import {
  type Action,
  type BudgetRow,
  type HouseWords,
  type Judgement,
  type Measured,
  type Owner,
} from '@ivory-crystal/core'
import { type KeyboardEvent, useId } from 'react'
import { capital, fixed } from '../format/format'
import { axisBetween } from './axis'
import css from './Budget.module.css'

const NAMES: Readonly<Record<Owner, string>> = {
  heating: 'heating',
  'melting time': 'melting takes time',
  thermometer: 'thermometer',
  reading: 'reading',
  literature: 'literature',
  solvent: 'solvent left',
  late: 'begun unseen',
  sample: 'the sample',
}
const INK: Readonly<Record<Owner, string>> = {
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

/** A stretch of degrees with its own axis; a degree is as long in both panels. */
interface Panel {
  readonly end: 'width' | 'onset' | 'clear'
  readonly title: string
  readonly fromC: number
  readonly toC: number
  readonly readC: number
  readonly marks: readonly { readonly atC: number; readonly label: string }[]
  /** What the house counts as the same place, °C. */
  readonly band: readonly [number, number] | null
}

/**
 * Whose the degrees are: the width and the distance that were read, each cut into owners: solid what an owner has
 * for certain, hatched what it may have.
 *
 * @param lit owners that the step under the hand would take away
 */
export function Budget({
  judgement,
  rules,
  lit = [],
}: {
  judgement: Judgement & { readonly measured: Measured }
  rules: Pick<HouseWords, 'sharpWidthC' | 'broadWidthC' | 'literatureWithinC'>
  lit?: readonly Owner[]
}) {
  const id = useId()
  const { budget, measured, actions } = judgement
  const panels = panelsOf(measured, budget, rules)
  const isDrawn = (row: BudgetRow) => row.owner === 'sample' || ownsOf(row, panels)
  const rows = budget.filter(isDrawn)
  const idle = budget.filter((row) => !isDrawn(row))
  const columns = panels.map(({ fromC, toC }) => `minmax(0, ${(toC - fromC).toFixed(2)}fr)`).join(' ')
  return (
    <figure className={css.budget} aria-label="Whose the degrees are" data-testid="budget">
      <Hatches id={id} />
      <div className={`${css.row} ${css.feet}`} style={{ ['--panels' as string]: columns }}>
        <span />
        {panels.map((panel) => (
          <Head key={panel.end} panel={panel} />
        ))}
      </div>
      <div className={css.row} style={{ ['--panels' as string]: columns }}>
        <span className={css.name}>as read</span>
        {panels.map((panel) => (
          <Whole key={panel.end} panel={panel} rows={budget} id={id} />
        ))}
        <span className={css.said}>{asRead(measured)}</span>
      </div>
      <ul className={css.rows} onKeyDown={walk}>
        {rows.map((row, i) => (
          <li
            key={row.owner}
            tabIndex={i === 0 ? 0 : -1}
            className={`${css.row} ${row.owner === 'sample' ? css.sample : ''} ${
              lit.length === 0 ? '' : lit.includes(row.owner) ? css.lit : css.dim
            }`}
            style={{ ['--panels' as string]: columns }}
          >
            <span className={css.name}>{NAMES[row.owner]}</span>
            {panels.map((panel) => (
              <Share key={panel.end} panel={panel} row={row} id={id} />
            ))}
            <span className={css.said}>
              {row.sentence} <TakenAway owner={row.owner} actions={actions} />
            </span>
          </li>
        ))}
      </ul>
      <div
        className={`${css.row} ${css.feet}`}
        style={{ ['--panels' as string]: columns }}
        aria-hidden="true"
      >
        <span />
        {panels.map((panel) => (
          <Foot key={panel.end} panel={panel} />
        ))}
        <span className={css.key}>
          <svg width="26" height="9">
            <rect width="26" height="9" fill="var(--ink-2)" />
          </svg>{' '}
          for certain{' '}
          <svg width="26" height="9">
            <rect width="26" height="9" fill={`url(#${id}1)`} />
          </svg>{' '}
          at most
        </span>
      </div>
      {idle.length > 0 && (
        <figcaption className={css.idle}>
          {idle.map(({ owner, sentence }) => (
            <span key={owner}>
              <b>{capital(NAMES[owner])}</b>: {sentence}.{' '}
            </span>
          ))}
        </figcaption>
      )}
    </figure>
  )
}

function asRead({ range, against }: Measured): string {
  const ends = `${fixed(range.onsetC, 1)} to ${fixed(range.clearC, 1)} °C`
  if (!against) return ends
  const to = `${fixed(against.lowC, 1)} to ${fixed(against.highC, 1)} °C`
  return against.what === 'literature' ? `${ends}; literature ${to}` : `${ends}; the authentic sample ${to}`
}

/** Up and down walk the rows. */
function walk(event: KeyboardEvent<HTMLUListElement>) {
  const by = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0
  if (by === 0) return
  const rows = [...event.currentTarget.children] as HTMLElement[]
  const next = rows[rows.indexOf(document.activeElement as HTMLElement) + by]
  if (!next) return
  event.preventDefault()
  next.focus()
}

const TAKES_AWAY: Partial<Record<Action['code'], string>> = {
  'mixed melt': 'a mixed melt',
  'grind again and repeat the mixture': 'the mixture again',
  'melt beside authentic': 'an authentic sample beside it',
  'check the thermometer': 'a checked thermometer',
  'repeat slower': 'a slower repeat',
  'repeat with less, finer': 'less, finer powder',
  'repeat as it was': 'another tube',
  'dry and repeat': 'drying',
  'new tube, put in late': 'a new tube, put in late',
  recrystallize: 'recrystallizing',
  'recrystallize from another solvent': 'another solvent',
  'hot filter': 'hot filtering',
}

/** The first step advised that would empty this row. */
function TakenAway({ owner, actions }: { owner: Owner; actions: readonly Action[] }) {
  const step = actions.find(({ code, removes }) => removes.includes(owner) && TAKES_AWAY[code])
  return step ? <span className={css.away}>{TAKES_AWAY[step.code]} takes this away</span> : null
}

/** Whether it may own anything of what is drawn. */
function ownsOf({ endC }: BudgetRow, panels: readonly Panel[]): boolean {
  return panels.some(({ end }) => tenth(endC[end].leastC) !== 0 || tenth(endC[end].mostC) !== 0)
}

function panelsOf(
  { distanceC, widthC, against }: Measured,
  rows: readonly BudgetRow[],
  {
    sharpWidthC,
    broadWidthC,
    literatureWithinC,
  }: Pick<HouseWords, 'sharpWidthC' | 'broadWidthC' | 'literatureWithinC'>,
): readonly Panel[] {
  const width: Panel = {
    end: 'width',
    title: `the width, ${fixed(widthC, 1)} °C`,
    fromC: 0,
    toC: 1.1 * Math.max(widthC, broadWidthC),
    readC: widthC,
    marks: [
      { atC: sharpWidthC, label: 'sharp' },
      { atC: broadWidthC, label: 'broad' },
    ],
    band: null,
  }
  if (!distanceC || !against) return [width]
  const end = Math.abs(distanceC.onset) >= Math.abs(distanceC.clear) ? 'onset' : 'clear'
  const readC = distanceC[end]
  // As far as the owners that are known reach, and never only to the reading’s edge.
  const reach = rows
    .filter(({ owner, isOpenEnded }) => owner !== 'sample' && !isOpenEnded)
    .flatMap(({ endC }) => [endC[end].leastC, endC[end].mostC])
  const within = against.what === 'literature' ? literatureWithinC : 0
  const name = end === 'onset' ? 'onset' : 'clear point'
  const what = against.what === 'literature' ? 'literature' : 'the authentic sample'
  return [
    width,
    {
      end,
      title:
        tenth(readC) === 0
          ? `the ${name}, in place`
          : `the ${name}, ${fixed(Math.abs(readC), 1)} °C ${readC < 0 ? 'below' : 'above'} ${what}`,
      fromC: Math.min(readC, -within, ...reach) - 0.6,
      toC: Math.max(readC, within, ...reach) + 0.6,
      readC,
      marks: [{ atC: 0, label: against.what === 'literature' ? 'literature' : 'authentic' }],
      band: within > 0 ? [-within, within] : null,
    },
  ]
}

const at = ({ fromC, toC }: Panel, valueC: number) =>
  100 * Math.min(1, Math.max(0, (valueC - fromC) / (toC - fromC)))
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
function Head({ panel }: { panel: Panel }) {
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

/** The stretches that are certainly somebody’s, one after the other, and what at the far end is certainly the sample’s. */
function cut({ end, readC }: Panel, rows: readonly BudgetRow[]) {
  const whole = Math.abs(readC)
  const certain = ({ endC }: BudgetRow) => Math.max(0, readC < 0 ? -endC[end].mostC : endC[end].leastC)
  const sample = rows.find(({ owner }) => owner === 'sample')
  const own = Math.min(whole, sample ? certain(sample) : 0)
  let upTo = 0
  const parts: { readonly owner: Owner; readonly from: number; readonly to: number }[] = []
  for (const row of rows) {
    const share = row === sample ? 0 : Math.min(certain(row), whole - own - upTo)
    if (share <= 0.04) continue
    parts.push({ owner: row.owner, from: upTo, to: upTo + share })
    upTo += share
  }
  return { parts, upTo, own }
}

/** What was read, cut into what is certainly somebody’s, what is certainly the sample’s, and what they may share. */
function Whole({ panel, rows, id }: { panel: Panel; rows: readonly BudgetRow[]; id: string }) {
  const { readC } = panel
  const sign = readC < 0 ? -1 : 1
  const { parts, upTo, own } = cut(panel, rows)
  const whole = Math.abs(readC)
  return (
    <Cell panel={panel} label={`${panel.title}: ${fixed(own, 1)} of it certainly the sample’s own`}>
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

function Share({ panel, row, id }: { panel: Panel; row: BudgetRow; id: string }) {
  const { leastC, mostC } = row.endC[panel.end]
  const sure = leastC > 0 ? leastC : mostC < 0 ? mostC : 0
  const hatch = `url(#${id}${INKS.indexOf(INK[row.owner])})`
  return (
    <Cell
      panel={panel}
      label={`${NAMES[row.owner]}, ${panel.end}: ${fixed(leastC, 1)} to ${fixed(mostC, 1)} °C`}
    >
      <Bar panel={panel} from={Math.min(leastC, 0)} to={Math.max(mostC, 0)} fill={hatch} />
      <Bar panel={panel} from={0} to={sure} fill={INK[row.owner]} />
    </Cell>
  )
}

function Foot({ panel }: { panel: Panel }) {
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

function Hatches({ id }: { id: string }) {
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

function tenth(value: number): number {
  return Math.round(value * 10) / 10 || 0
}
