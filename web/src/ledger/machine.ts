/** How a device stands to the server of its ledger. */
type Connection =
  | 'closed'
  | 'starting'
  | 'failed'
  /** Its own copy is open: the server was not heard since. */
  | 'on local copy'
  /** The server was lost since it was last known to keep this ledger. */
  | 'unverified'
  | 'verified'
  /** The server at this address keeps another ledger: nothing is sent to it. */
  | 'other ledger'
/** How what is written gets to the server. */
type Delivery = 'idle' | 'flushing' | 'retry scheduled'

export interface Machine {
  readonly connection: Connection
  readonly delivery: Delivery
  /** Flushes that failed one after the other. */
  readonly failures: number
}
export const INITIAL: Machine = { connection: 'closed', delivery: 'idle', failures: 0 }

export type MachineEvent =
  | 'start'
  | 'started'
  | 'started on local copy'
  | 'start failed'
  | 'stream lost'
  | 'verified'
  | 'other ledger found'
  /** Something waits: it is sent unless a retry is already scheduled. */
  | 'enqueued'
  /** Sent now, whatever is scheduled: a person asked, or the network came back. */
  | 'flush asked'
  | 'retry due'
  | 'flushed'
  | 'flush failed'

const CONNECTS: Partial<Record<MachineEvent, Connection>> = {
  start: 'starting',
  started: 'verified',
  'started on local copy': 'on local copy',
  'start failed': 'failed',
  verified: 'verified',
  'other ledger found': 'other ledger',
}

const isOpen = (connection: Connection) => statusOf(connection) === 'open'

/** What a screen shows of a connection. */
export function statusOf(connection: Connection): 'opening' | 'open' | 'failed' {
  if (connection === 'closed' || connection === 'starting') return 'opening'
  return connection === 'failed' ? 'failed' : 'open'
}

/** The state after an event. A flush begins exactly where `delivery` becomes `flushing`. */
export function next(machine: Machine, event: MachineEvent): Machine {
  const { connection, delivery, failures } = machine
  switch (event) {
    case 'verified':
    case 'other ledger found':
      // While a notebook is being started, its start says how it stands.
      return isOpen(connection) ? { ...machine, connection: CONNECTS[event] ?? connection } : machine
    case 'stream lost':
      return connection === 'verified' ? { ...machine, connection: 'unverified' } : machine
    case 'enqueued':
      return delivery === 'idle' ? { ...machine, delivery: 'flushing' } : machine
    case 'flush asked':
      return { ...machine, delivery: 'flushing' }
    case 'retry due':
      return delivery === 'retry scheduled' ? { ...machine, delivery: 'flushing' } : machine
    case 'flushed':
      return { ...machine, delivery: 'idle', failures: 0 }
    case 'flush failed':
      return { ...machine, delivery: 'retry scheduled', failures: failures + 1 }
    default:
      return { ...machine, connection: CONNECTS[event] ?? connection }
  }
}
