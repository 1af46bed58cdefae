import css from './TablesButton.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import { LateSheet } from './LateSheet'

const fetchSheet = async () => (await import('./TablesSheet')).TablesSheet

/** Any table on screen as a file. */
export function TablesButton() {
  const [open, setOpen] = useState(false)
  return (
    <>
      <button
        type="button"
        className={classNames(css.tables, 'no-print')}
        title="The tables of this page as CSV"
        onClick={() => {
          setOpen(true)
        }}
      >
        tables
      </button>
      {open && <LateSheet fetch={fetchSheet} open={open} setOpen={setOpen} />}
    </>
  )
}
