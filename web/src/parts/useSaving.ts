import { useState } from 'react'
import { api, type ShelfSort } from '../ledger/api'
import { shelfChanged } from '../ledger/notebook'

export interface Saving {
  readonly said: string | null
  readonly busy: boolean
  /** Saves rows and takes others off; true when all of it is on the shelf. What was typed is kept otherwise. */
  readonly save: (sort: ShelfSort, rows: readonly unknown[], off?: readonly string[]) => Promise<boolean>
  readonly say: (sentence: string | null) => void
}

/** Putting something on the shelf: it needs the server, and says so when there is none. */
export function useSaving(): Saving {
  const [said, setSaid] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  return {
    said,
    busy,
    say: setSaid,
    async save(sort, rows, off = []) {
      setBusy(true)
      setSaid(null)
      try {
        const report = rows.length > 0 ? await api.putOnShelf(sort, rows, false) : null
        for (const id of off) await api.takeOffShelf(sort, id)
        await shelfChanged()
        const [first] = report?.refused ?? []
        if (first) setSaid(first.sentence)
        return first === undefined
      } catch (error) {
        setSaid(`${(error as Error).message} Nothing typed here is lost: try again.`)
        return false
      } finally {
        setBusy(false)
      }
    },
  }
}
