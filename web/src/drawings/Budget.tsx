import {
  type Action,
  type HouseWords,
  type Judgement,
  type Measured,
  type Cause,
  OWNER_NAMES,
  type BudgetRow,
} from '@ivory-crystal/core/judging'
import { type KeyboardEvent, useId } from 'react'
import { capital, fixed } from '../format/format'
import { Foot, Hatches, Head, Share, Whole } from './BudgetParts'
import { ownsOf, panelsOf } from './budgetPanels'
import css from './Budget.module.css'

/**
 * What explains the degrees: the width and the distance that were read, each cut into owners: solid what an owner has
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
  lit?: readonly Cause[]
}) {
  const id = useId()
  const { budget, measured, actions } = judgement
  const panels = panelsOf(measured, budget, rules)
  const isDrawn = (row: BudgetRow) => row.owner === 'sample' || ownsOf(row, panels)
  const rows = budget.filter(isDrawn)
  const idle = budget.filter((row) => !isDrawn(row))
  const columns = panels.map(({ fromC, toC }) => `minmax(0, ${(toC - fromC).toFixed(2)}fr)`).join(' ')
  return (
    <figure className={css.budget} aria-label="What explains the degrees" data-testid="budget">
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
            <span className={css.name}>{OWNER_NAMES[row.owner]}</span>
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
          at least{' '}
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
              <b>{capital(OWNER_NAMES[owner])}</b>: {sentence}.{' '}
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
function TakenAway({ owner, actions }: { owner: Cause; actions: readonly Action[] }) {
  const step = actions.find(({ code, removes }) => removes.includes(owner) && TAKES_AWAY[code])
  return step ? <span className={css.away}>{TAKES_AWAY[step.code]} would remove this</span> : null
}
