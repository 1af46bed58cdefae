import type { LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import { fold, type RawEntry } from '@ivory-crystal/core/notebook'
import { Refused, Unreachable } from './api'
import { countWaiting } from './flush'
import { followStream, followTabs } from './follow'
import { readable } from './older'
import { receive } from './receive'
import type { Replica } from './replica'
import { notYetStored } from './verify'

/** Starts with a notebook of this server's ledger (the first when none is named), or with this device's copy of it. */
export async function start(replica: Replica, wanted: string | null): Promise<void> {
  const { api, clock, openCopies } = replica.surroundings
  replica.dispatch('start', { failure: null, readings: {}, balance: null })
  replica.localCopy ??= (await openCopies?.().catch(() => null)) ?? null
  try {
    const heardAt = clock.now()
    const shelfAsked = api.shelf()
    shelfAsked.catch(() => undefined)
    const [about, { notebooks }] = await Promise.all([api.about(), api.notebooks()])
    const notebook =
      notebooks.find((row) => row.id === wanted)?.id ?? (wanted === null ? notebooks[0]?.id : undefined)
    // Other tabs are listened to before the lines are asked for: what they tell meanwhile is not missed.
    await openPlaces(replica, about.ledger)
    if (!notebook)
      throw new Refused('This ledger holds no such notebook. The link could belong to another data folder.')
    const received = { notebook, entries: [] as RawEntry[] }
    replica.starting = received
    const [{ entries }, shelf] = await Promise.all([api.entries(notebook, 0), shelfAsked])
    const own = await notYetStored(replica, notebook)
    replica.lastSeq = entries.at(-1)?.seq ?? 0
    const whole = [...entries.map((line) => line.entry), ...own]
    await readable(whole)
    const view = fold(whole)
    replica.starting = null
    replica.dispatch('started', {
      about,
      heardAt,
      notebooks,
      notebook,
      shelf,
      view,
      copyOfMs: null,
    })
    receive(replica, received.entries)
    await begin(replica, notebook)
    void import('./keepCopy').then(({ keepCopy }) => keepCopy(replica, entries)).catch(() => undefined)
  } catch (error) {
    replica.starting = null
    if (error instanceof Unreachable && (await startOnLocalCopy(replica, wanted))) return
    replica.dispatch('start failed', { failure: (error as Error).message })
  }
}

/** Opens what this device keeps of a notebook while the server is away, with all that waits. */
async function startOnLocalCopy(replica: Replica, wanted: string | null): Promise<boolean> {
  const copy = await replica.localCopy?.read(wanted).catch(() => null)
  if (!copy) return false
  const { about, notebooks, notebook, shelf, lines, keptAtMs } = copy
  await openPlaces(replica, about.ledger)
  const whole = [...lines.map((line) => line.entry), ...(await notYetStored(replica, notebook))]
  await readable(whole)
  replica.lastSeq = lines.at(-1)?.seq ?? 0
  const view = fold(whole)
  replica.dispatch('started on local copy', {
    about,
    heardAt: keptAtMs,
    notebooks,
    notebook,
    shelf,
    view,
    copyOfMs: keptAtMs,
  })
  await begin(replica, notebook)
  return true
}

/** What belongs to a ledger on this device: its outbox and the channel of its tabs. */
async function openPlaces(replica: Replica, ledger: LedgerId): Promise<void> {
  const { openOutbox, openTabs } = replica.surroundings
  // Where this device may keep nothing, what is written is sent at once, and said to be kept nowhere.
  replica.outbox ??= await openOutbox(ledger).catch(() => null)
  const waitingElsewhere = (await replica.outbox?.waitingElsewhere().catch(() => [])) ?? []
  replica.set({ waitingElsewhere })
  if (replica.tabs) return
  replica.tabs = openTabs(ledger)
  followTabs(replica, replica.tabs)
}

async function begin(replica: Replica, notebook: NotebookId): Promise<void> {
  await countWaiting(replica)
  followStream(replica, notebook)
  replica.tabs?.post({ kind: 'asks' })
  replica.dispatch('enqueued')
}
