import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Entry } from '@ivory-crystal/core/notebook'
import { answersTo } from './answers'
import { Unreachable } from './api'
import { readable } from './older'
import type { Replica } from './replica'
import { verify } from './verify'

/** Waits between attempts: each longer than the one before, no two devices alike. */
const RETRY_FIRST_MS = 1000
const RETRY_MOST_MS = 30_000

/** Keeps entries on this device, tells the other tabs, and has them sent. */
export async function enqueue(replica: Replica, entries: readonly Entry[]): Promise<void> {
  try {
    if (!replica.outbox) throw new Error('Nothing can be saved here.')
    await replica.outbox.put(entries)
  } catch {
    replica.unkept.push(entries)
    showUnkept(replica)
  }
  replica.tabs?.post({ kind: 'lines', notebook: entries[0]?.notebook ?? '', entries })
  replica.dispatch('enqueued')
}

/** Sends what waits, one tab at a time, and schedules a retry where it cannot. */
export function flush(replica: Replica): Promise<void> {
  const { surroundings } = replica
  const done = surroundings.locks
    .request('ivory-crystal outbox', {}, () => sendWaiting(replica))
    .then(
      () => {
        replica.flushing = null
        replica.dispatch('flushed')
        replica.tabs?.post({ kind: 'settled' })
        return true
      },
      (error: unknown) => {
        replica.flushing = null
        replica.cancelRetry = surroundings.later(retryAfterMs(replica, error), () => {
          replica.dispatch('retry due')
        })
        replica.dispatch('flush failed')
        return false
      },
    )
    .then(async (isSent) => {
      await countWaiting(replica)
      // An entry may have been kept while the last answer was on its way.
      if (isSent && replica.state.waiting > 0) replica.dispatch('enqueued')
    })
  return done
}

async function sendWaiting(replica: Replica): Promise<void> {
  const { api, sendBefore } = replica.surroundings
  await verify(replica)
  await sendBefore?.()
  // What only this page has goes first: nothing else would bring it back.
  await sendUnkept(replica)
  await replica.outbox?.drain(async (notebook, groups) => (await api.post(notebook, groups)).answers)
}

/** What this device could not keep is sent straight from the page. */
async function sendUnkept(replica: Replica): Promise<void> {
  const { api } = replica.surroundings
  for (let group = replica.unkept[0]; group; group = replica.unkept[0]) {
    const entries = group
    const notebook = entries[0]?.notebook as NotebookId
    const answers = await answersTo([entries], async () => (await api.post(notebook, [entries])).answers)
    if (answers === 'in parts' || answers.length === 0)
      throw new Error('The server did not answer for the entries sent.')
    for (const answer of answers) {
      const entry = entries.find(({ id }) => id === answer.id)
      if (entry && 'sentence' in answer)
        replica.refusedInPage = [
          ...replica.refusedInPage,
          { ledger: entry.ledger, id: entry.id, entry, sentence: answer.sentence },
        ]
    }
    replica.unkept.shift()
    showUnkept(replica)
  }
}

function showUnkept(replica: Replica): void {
  replica.set({ unkept: replica.unkept.flat() })
}

function retryAfterMs({ machine, surroundings }: Replica, error: unknown): number {
  const { retryAfterS } = error as { retryAfterS?: number | null }
  if (retryAfterS) return retryAfterS * 1000
  return Math.min(RETRY_MOST_MS, RETRY_FIRST_MS * 2 ** machine.failures) * (0.5 + surroundings.chance() / 2)
}

/** Resolves when nothing waits; @throws Unreachable when the server cannot be reached. */
export async function allStored(replica: Replica): Promise<void> {
  for (let tries = 0; tries < 2; tries++) {
    replica.dispatch('flush asked')
    await replica.flushing
    if (replica.state.unkept.length === 0 && !(await replica.outbox?.waiting())?.length) return
  }
  throw new Unreachable()
}

/** Counts what the server has not acknowledged, and what it refused. */
export async function countWaiting(replica: Replica): Promise<void> {
  const { outbox } = replica
  // An outbox that cannot be read has nothing to count; what this page has is counted all the same.
  const [waiting, quarantine] = await Promise.all([
    outbox?.waiting().catch(() => []) ?? [],
    outbox?.quarantined().catch(() => []) ?? [],
  ])
  const count = waiting.length + replica.state.unkept.length
  const refused = [...quarantine, ...replica.refusedInPage]
  // What another version of the app wrote on this device is read like the rest, where its reader can be had.
  await readable(refused.map(({ entry }) => entry)).catch(() => undefined)
  if (count !== replica.state.waiting || refused.length > 0 || replica.state.quarantine.length > 0)
    replica.set({ waiting: count, quarantine: refused })
}

/** Takes a refused entry out of sight, for good. */
export async function dismissRefused(replica: Replica, id: string): Promise<void> {
  replica.refusedInPage = replica.refusedInPage.filter((line) => line.id !== id)
  await replica.outbox?.dismiss(id)
  await countWaiting(replica)
}
