import type { OwnSort } from '@ivory-crystal/core/reference/schema'
import { api } from '../ledger/api'
import { shelfChanged } from '../ledger/notebook'
import { type TypedForm, useTyped } from './useTyped'
import { type Result } from '@ivory-crystal/core/problems'

/** What a form puts on the shelf, and what it takes off. */
export interface Shelved {
  readonly rows: readonly { readonly [key: string]: unknown }[]
  readonly off?: readonly string[]
}

/** A form that puts something on the shelf. It needs the server, and says so when there is none. */
export function useShelving<T extends object>({
  sort,
  start,
  make,
  saved,
}: {
  sort: OwnSort
  start: T
  make: (typed: T) => Result<Shelved, keyof T & string>
  saved: (shelved: Shelved) => void
}): TypedForm<T> {
  return useTyped<T, Shelved>({
    start,
    make,
    check: ({ rows }) => checkRows(sort, rows),
    keep: async (shelved) => {
      const refused = await putOnShelf(sort, shelved)
      if (refused === null) saved(shelved)
      return refused
    },
  })
}

/**
 * Whether rows may stand on the shelf, by its own schema. Where that cannot be had the server’s word has to do, and for
 * compounds too, whose formula and mass it works out first.
 */
async function checkRows(sort: OwnSort, rows: Shelved['rows']): Promise<string | null> {
  if (sort === 'compound') return null
  const schema = await import('@ivory-crystal/core/reference/schema').catch(() => null)
  for (const row of rows) {
    const refused = schema?.shelfRefusal(sort, row) ?? null
    if (refused !== null) return refused
  }
  return null
}

/** Saves rows and takes others off; null when all of it is on the shelf, else why not. */
export async function putOnShelf(sort: OwnSort, { rows, off = [] }: Shelved): Promise<string | null> {
  try {
    const report = rows.length > 0 ? await api.putOnShelf(sort, rows, false) : null
    for (const id of off) await api.takeOffShelf(sort, id)
    await shelfChanged()
    return report?.refused[0]?.sentence ?? null
  } catch (error) {
    return `${(error as Error).message} Nothing you typed is lost. Try again.`
  }
}
