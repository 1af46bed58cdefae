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
