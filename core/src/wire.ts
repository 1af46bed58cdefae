import type {
  BlockCharacter,
  BlockReading,
  Compound,
  Conventions,
  InstrumentId,
  LedgerId,
  MeltId,
  NotebookId,
  RunId,
  SolubilityRow,
  Solvent,
} from './contract'

/** What server and web tell each other over HTTP, besides entries and answers. */
export interface About {
  readonly ledger: LedgerId
  readonly demo: boolean
  /** True when no clock drives the simulated instruments, as in tests. */
  readonly byHand: boolean
}
export interface NotebookRow {
  readonly id: NotebookId
  readonly title: string
  readonly createdAt: number
}
export interface Instrument {
  readonly id: InstrumentId
  readonly name: string
  readonly sort: 'programmable block'
  readonly simulated: boolean
  readonly character: BlockCharacter
}
export interface Shelf {
  readonly compounds: readonly Compound[]
  readonly solvents: readonly Solvent[]
  readonly solubilities: readonly SolubilityRow[]
  readonly instruments: readonly Instrument[]
  readonly houseRules: readonly Conventions[]
}
export interface RunState {
  readonly id: RunId
  readonly melt: MeltId
  readonly notebook: NotebookId
  /** How many times faster than a clock simulated time passes. */
  readonly pace: number
  readonly reading: BlockReading | null
}
export interface InstrumentState {
  readonly instrument: Instrument
  readonly blockC: number
  readonly run: RunState | null
}
