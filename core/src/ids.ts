declare const identity: unique symbol
type Id<T extends string> = string & { readonly [identity]: T }
/** UUIDv7; the order of entry ids is the order of truth (notebook/clock.ts). */
export type EntryId = Id<'entry'>
export type LedgerId = Id<'ledger'>
export type NotebookId = Id<'notebook'>
export type PrepId = Id<'prep'>
export type MeltId = Id<'melt'>
export type SampleId = Id<'sample'>
export type UnknownId = Id<'unknown'>
export type PlateId = Id<'plate'>
export type PeriodId = Id<'period'>
export type PracticeId = Id<'practice'>
export type RunId = Id<'run'>
/** Instruments carry the bench's own short name for them, e.g. `programmable-block`. */
export type InstrumentId = Id<'instrument'>
export type SubjectId =
  PrepId | MeltId | SampleId | UnknownId | PlateId | PeriodId | PracticeId | InstrumentId
/** Milliseconds since 1970 UTC, on the writer's clock. */
export type EpochMs = number
