import type { NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import { OtherLedger } from './api'
import { receive } from './receive'
import type { Replica } from './replica'

/**
 * Makes sure of who answers before anything is sent: after it was away, the server at this address may be another one,
 * or its ledger may have been put back to an earlier day.
 *
 * @throws Unreachable while it is away
 * @throws OtherLedger when it keeps another ledger
 */
export async function verify(replica: Replica): Promise<void> {
  const { about: before, notebook } = replica.state
  const { api, clock } = replica.surroundings
  if (replica.machine.connection === 'verified' || !before || !notebook) return
  const heardAt = clock.now()
  const about = await api.about()
  if (about.ledger !== before.ledger) {
    replica.dispatch('other ledger found')
    throw new OtherLedger()
  }
  if (replica.state.copyOfMs !== null || about.run !== before.run) {
    const { entries } = await api.entries(notebook, 0)
    replica.lastSeq = entries.at(-1)?.seq ?? 0
    const own = await notYetStored(replica, notebook)
    receive(replica, [...entries.map((line) => line.entry), ...own])
    const [{ notebooks }, shelf] = await Promise.all([api.notebooks(), api.shelf()])
    replica.set({ notebooks, shelf })
    void import('./keepCopy').then(({ keepCopy }) => keepCopy(replica, entries)).catch(() => undefined)
  }
  replica.dispatch('verified', { about, heardAt, copyOfMs: null })
}

/** Entries of this device that the server has not, or refused. */
export async function notYetStored(
  { outbox, state }: Replica,
  notebook: NotebookId,
): Promise<readonly RawEntry[]> {
  const waiting = outbox ? await outbox.waiting() : []
  const refused = outbox ? (await outbox.quarantined()).map(({ entry }) => entry) : []
  return [...waiting, ...refused, ...state.unkept].filter((entry) => entry.notebook === notebook)
}
