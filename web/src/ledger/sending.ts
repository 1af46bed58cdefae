import type { NotebookId } from '@ivory-crystal/core/ids'
import type { Entry } from '@ivory-crystal/core/notebook'
import { answersTo } from './answers'
import { Unreachable } from './api'
import type { LedgerState, Surroundings } from './ledgerClient'
import type { Outbox, QuarantinedLine } from './outbox'
import type { Tabs } from './tabs'
import { readable } from './older'

/** Waits between attempts: each longer than the one before, no two devices alike. */
const RETRY_FIRST_MS = 1000
const RETRY_MOST_MS = 30_000

/** What is sent from: the client’s own state and places. */
interface Own {
  readonly given: Surroundings
  readonly getState: () => LedgerState
  readonly set: (change: Partial<LedgerState>) => void
  readonly outbox: () => Outbox | null
  readonly tabs: () => Tabs | null
  /** Makes sure of who answers; throws when nothing may be sent. */
  readonly verify: () => Promise<void>
}

/** How what was written gets to the server: kept first, sent in order, tried again, and counted until it is stored. */
export function createSending(own: Own) {
  const { given, getState, set } = own
  const { api, locks } = given

  async function keep(entries: readonly Entry[]): Promise<void> {
    try {
      const outbox = own.outbox()
      if (!outbox) throw new Error('Nothing can be kept here.')
      await outbox.put(entries)
    } catch {
      unkeptGroups.push(entries)
      tellUnkept()
    }
    own.tabs()?.tell({ tell: 'lines', notebook: entries[0]?.notebook ?? '', entries })
    await drain()
  }

  /** Lines this device could not keep; those written together are sent together. */
  const unkeptGroups: (readonly Entry[])[] = []
  function tellUnkept(): void {
    set({ unkept: unkeptGroups.flat() })
  }
  /** Lines refused that only this page had. */
  let refusedInPage: readonly QuarantinedLine[] = []
  let draining: Promise<void> | null = null
  let callOffRetry: (() => void) | null = null
  /** Attempts that failed one after the other. */
  let failed = 0

  /** Sends what waits, one tab at a time. After a failure it waits: until then only `atOnce` tries again. */
  function drain(atOnce = false): Promise<void> {
    if (draining) return draining
    if (callOffRetry && !atOnce) return Promise.resolve()
    callOffRetry?.()
    callOffRetry = null
    draining = locks
      .request('ivory-crystal outbox', {}, sendWaiting)
      .then(
        () => {
          failed = 0
          own.tabs()?.tell({ tell: 'settled' })
          return true
        },
        (error: unknown) => {
          callOffRetry = given.later(waitAfter(error), () => {
            callOffRetry = null
            void drain()
          })
          failed += 1
          return false
        },
      )
      .finally(() => {
        draining = null
      })
      .then(async (isSent) => {
        await countWaiting()
        // A line may have been kept while the last answer was on its way.
        if (isSent && getState().waiting > 0) void drain()
      })
    return draining
  }

  async function sendWaiting(): Promise<void> {
    await own.verify()
    await given.sendBefore?.()
    // What only this page has goes first: nothing else would bring it back.
    await sendUnkept()
    await own.outbox()?.drain(async (notebook, groups) => (await api.post(notebook, groups)).answers)
  }

  /** What this device could not keep is sent straight from the page. */
  async function sendUnkept(): Promise<void> {
    for (let group = unkeptGroups[0]; group; group = unkeptGroups[0]) {
      const byId = new Map(group.map((entry) => [entry.id as string, entry]))
      const notebook = group[0]?.notebook as NotebookId
      const answers = await answersTo([group], async () => (await api.post(notebook, [group])).answers)
      if (answers === 'in parts' || answers.length === 0)
        throw new Error('The server answered for none of the lines sent.')
      for (const answer of answers) {
        const entry = byId.get(answer.id)
        if (entry && 'sentence' in answer)
          refusedInPage = [
            ...refusedInPage,
            { ledger: entry.ledger, id: entry.id, entry, sentence: answer.sentence },
          ]
      }
      unkeptGroups.shift()
      tellUnkept()
    }
  }

  function waitAfter(error: unknown): number {
    const { retryAfterS } = error as { retryAfterS?: number | null }
    if (retryAfterS) return retryAfterS * 1000
    return Math.min(RETRY_MOST_MS, RETRY_FIRST_MS * 2 ** failed) * (0.5 + given.chance() / 2)
  }

  async function allStored(): Promise<void> {
    for (let tries = 0; tries < 2; tries++) {
      await drain(true)
      if (getState().unkept.length === 0 && !(await own.outbox()?.waiting())?.length) return
    }
    throw new Unreachable()
  }

  async function countWaiting(): Promise<void> {
    const outbox = own.outbox()
    // An outbox that cannot be read has nothing to count; what this page has is counted all the same.
    const [waiting, quarantine] = await Promise.all([
      outbox?.waiting().catch(() => []) ?? [],
      outbox?.quarantined().catch(() => []) ?? [],
    ])
    const count = waiting.length + getState().unkept.length
    const refused = [...quarantine, ...refusedInPage]
    // What another version of the app wrote on this device is read like the rest, where its reader can be had.
    await readable(refused.map(({ entry }) => entry)).catch(() => undefined)
    if (count !== getState().waiting || refused.length > 0 || getState().quarantine.length > 0)
      set({ waiting: count, quarantine: refused })
  }

  return {
    keep,
    drain,
    allStored,
    countWaiting,
    async dismissRefused(id: string): Promise<void> {
      refusedInPage = refusedInPage.filter((line) => line.id !== id)
      await own.outbox()?.dismiss(id)
      await countWaiting()
    },
  }
}
