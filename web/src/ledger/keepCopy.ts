import type { StoredLine } from './offlineCopies'
import { receive } from './receive'
import type { Replica } from './replica'

/**
 * Keeps what the server has. What it acknowledged once and has no more (its data folder was put back to an earlier
 * day) is sent to it again: nothing acknowledged is lost while one device still has it.
 */
export async function keepCopy(replica: Replica, lines: readonly StoredLine[]): Promise<void> {
  const { about, notebooks, notebook, shelf } = replica.state
  const { localCopy, outbox, surroundings } = replica
  if (!localCopy || !about || !notebook || !shelf) return
  const missing = await localCopy
    .keep({ about, notebooks, notebook, shelf }, lines, surroundings.clock.now())
    .catch(() => [] as readonly StoredLine[])
  if (missing.length === 0) return
  // What was stored while these were on their way is there by now.
  const since = await surroundings.api.entries(notebook, lines.at(-1)?.seq ?? 0)
  const arrived = new Set(since.entries.map(({ entry }) => entry.id))
  const gone = missing.filter(({ entry }) => !arrived.has(entry.id))
  if (gone.length === 0 || !outbox) return
  for (const { entry } of gone) await outbox.put([entry])
  receive(
    replica,
    gone.map(({ entry }) => entry),
  )
  replica.set({ broughtBack: gone.length })
  replica.dispatch('flush asked')
}
