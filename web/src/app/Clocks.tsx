import css from './Clocks.module.css'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { timersInUse } from '@ivory-crystal/core/notebook'
import { sound } from '../drawings/sounds'
import { left, TIME_UP } from '../format/format'
import { useNotebook } from '../ledger/notebook'
import { useNow } from '../clock/now'

/** What a running clock puts before the window’s title. */
const IN_TITLE = new RegExp(`^(\\d+:\\d\\d|${TIME_UP}) · `)

/** Heard, and told outside the window where that was allowed. */
function ring(words: string, title: string): void {
  sound('over')
  if (typeof Notification !== 'undefined' && Notification.permission === 'granted')
    new Notification(`${title}: ${words}, ${TIME_UP}`)
}

/** Every clock that runs, on every screen and in the window’s title; it sounds once when it is over. */
export function Clocks() {
  const { notebook = '' } = useParams()
  const view = useNotebook((state) => state.view)
  const now = useNow()
  const timers = timersInUse(view, now)
  const ran = useRef(new Set<string>())
  const first = timers[0]
  const remaining = first ? left(first.leftMs) : null
  const over = timers.filter(({ leftMs }) => leftMs <= 0).map(({ id }) => id)
  const running = timers.filter(({ leftMs }) => leftMs > 0).map(({ id }) => id)
  useEffect(() => {
    // The window’s title is outside React, and belongs to the place that is open.
    const title = document.title.replace(IN_TITLE, '')
    document.title = remaining === null ? title : `${remaining} · ${title}`
  })
  useEffect(() => {
    // Rings once for each clock that was seen running here: one that was over before the page came does not.
    for (const id of running) ran.current.add(id)
    for (const { id, words, title } of timers)
      if (over.includes(id) && ran.current.delete(id)) ring(words, title)
  })
  if (timers.length === 0) return null
  return (
    <section className={css.clocks} aria-label="Running clocks">
      {timers.map((timer) => (
        <Link
          key={timer.id}
          className={timer.leftMs <= 0 ? css.over : css.clock}
          to={`/n/${notebook}/preps/${timer.prep}`}
          title={`${timer.words}, ${timer.title}`}
        >
          <b>{left(timer.leftMs)}</b> {timer.words}
        </Link>
      ))}
    </section>
  )
}
