import type { LedgerId, MeltId, NotebookId, RunId } from './ids'
import type { Conventions } from './conventions/conventions'
import type { Compound, SolubilityRow, Solvent } from './substances/shelf'
import type { BlockReading } from './instruments/reading'
import type { Instrument } from './instruments/instrument'
import type { Procedure } from './procedures/procedure'
import type { BalanceReading } from './simulator/balance'
import type { PanLoad } from './simulator/pan'

/** What server and web tell each other over HTTP, besides entries and answers. */
export interface About {
  readonly ledger: LedgerId
  readonly demo: boolean
  /** True when no clock drives the simulated instruments, as in tests. */
  readonly byHand: boolean
  /** Another one at each start of the server. */
  readonly run?: string
  /** The server's clock, ms since 1970 UTC. */
  readonly now?: number
  /** What the server found in its files that was not as it was written. */
  readonly setAside?: readonly {
    /** Line of the journal, from 1; null when it is not about one line. */
    readonly line: number | null
    readonly reason: string
    /** Whether something is left out because of it. */
    readonly isLoss: boolean
  }[]
}
/** What lines from elsewhere are, against what is here. */
export interface ImportReport {
  readonly lines: number
  /** Here already, to the letter. */
  readonly here: number
  /** New, and stored unless it was only a look. */
  readonly fresh: number
  readonly refused: number
  /** Under the id of a line that is here, and saying something else: the one that is here stays. */
  readonly conflicts: number
  /** Of the new ones: lines that strike others. */
  readonly strikes: number
  /** Who wrote new ones and has written nothing in the notebook here; the first few. */
  readonly authors: readonly string[]
  /** Of the new ones: dated before there was this app, or more than a day ahead. */
  readonly farDates: number
}
/** What a notebook's file holds, before anything of it is taken in. */
export interface ImportLook extends ImportReport {
  readonly notebook: { readonly id: NotebookId; readonly title: string }
  readonly isHere: boolean
  /** Line by line what would not be taken, and why; the first two hundred. */
  readonly report: readonly { readonly line: number; readonly sentence: string }[]
}
/** What came of a restore, or would come of it. */
export interface Restored {
  readonly madeAt: number
  /** Whether the backup is of this very ledger. */
  readonly isSameLedger: boolean
  readonly notebooks: readonly (ImportReport & { readonly id: NotebookId; readonly title: string })[]
  readonly photographs: { readonly all: number; readonly fresh: number }
  readonly shelf: { readonly all: number; readonly fresh: number }
  /** What was found otherwise than it should be, and what is left out: sentences. */
  readonly remarks: readonly string[]
}
/** What a server keeps where. */
export interface Keeping {
  /** Its data folder. */
  readonly folder: string
  /** Lines lie in a PostgreSQL server instead. */
  readonly isElsewhere: boolean
  readonly journalBytes: number
  /** When a line was last written to the disk and flushed, ms since 1970 UTC; null where a database sees to that. */
  readonly flushedAt: number | null
  readonly shelfBytes: number
  readonly photographs: { readonly count: number; readonly bytes: number }
  /** Every notebook with its last line. */
  readonly notebooks: readonly {
    readonly id: NotebookId
    readonly title: string
    readonly seq: number
    readonly hash: string
  }[]
}
export interface NotebookRow {
  readonly id: NotebookId
  readonly title: string
  readonly createdAt: number
}
export interface Shelf {
  readonly compounds: readonly Compound[]
  readonly solvents: readonly Solvent[]
  readonly solubilities: readonly SolubilityRow[]
  readonly instruments: readonly Instrument[]
  readonly houseRules: readonly Conventions[]
  /** The lab's own; those the app ships with are in core. */
  readonly procedures: readonly Procedure[]
}
/** What came of putting rows on the shelf. */
export interface ShelfReport {
  readonly added: number
  readonly changed: number
  readonly same: number
  readonly refused: readonly { readonly row: number; readonly sentence: string }[]
}
export interface ShelfVersion {
  readonly version: number
  readonly origin: string
  readonly createdAt: number
  /** Bench code of who put it there; null for what ships, and where nobody said. */
  readonly author: string | null
  readonly body: unknown
}
/** The simulated balance as it stands. */
export interface BalanceStatus {
  readonly name: string
  readonly readabilityG: number
  readonly load: PanLoad
  readonly reading: BalanceReading
  /** Grows with every change: an answer that comes late is not newer than what was heard since. */
  readonly order: number
}
export interface RunState {
  readonly id: RunId
  readonly melt: MeltId
  readonly notebook: NotebookId
  /** How many times faster than a clock simulated time passes. */
  readonly pace: number
  readonly reading: BlockReading | null
  /** Why its readings are not written down or do not go on; null while they do. */
  readonly trouble?: string | null
}
export interface InstrumentState {
  readonly instrument: Instrument
  /** null for a real instrument nobody has heard yet. */
  readonly blockC: number | null
  readonly run: RunState | null
  /** What went wrong with it, as a sentence; null while nothing is. */
  readonly trouble?: string | null
}
