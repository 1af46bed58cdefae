import css from './Title.module.css'
import { type ReactNode, useEffect } from 'react'
import { TablesButton } from './sheets/TablesButton'
import { StoredBadge } from './StoredBadge'

/** The heading of a place, its title in the window, and how much is stored. */
export function Title({ title, aside }: { title: string; aside?: ReactNode }) {
  useEffect(() => {
    // The window's title is outside React.
    document.title = `${title} · Ivory Crystal`
  }, [title])
  return (
    <header className={css.head}>
      <h1>{title}</h1>
      {aside !== undefined && <span className={css.aside}>{aside}</span>}
      <span className={css.end}>
        <TablesButton />
        <StoredBadge />
      </span>
    </header>
  )
}
