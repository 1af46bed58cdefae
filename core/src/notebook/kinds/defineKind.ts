import type {
  InstrumentId,
  MeltId,
  PeriodId,
  PlateId,
  PracticeId,
  PrepId,
  SampleId,
  SubjectId,
  UnknownId,
} from '../../ids'

/** What a line may be about, and what such a subject is called by. */
export interface Subjects {
  readonly prep: PrepId
  readonly sample: SampleId
  readonly melt: MeltId
  readonly instrument: InstrumentId
  readonly unknown: UnknownId
  readonly plate: PlateId
  readonly period: PeriodId
  readonly practice: PracticeId
  readonly any: SubjectId
}

/** From the body of version v to that of v + 1, by v. Old bodies are accepted for ever. */
export type Upcasts = Readonly<Record<number, (body: unknown) => unknown>>

/** Everything the core knows of one kind of entry. */
export interface KindDefinition<B> {
  readonly kind: string
  /** The version this build writes. */
  readonly version: number
  readonly about: keyof Subjects
  /** One sentence for the log. */
  readonly sentence: (body: B) => string
}

/** Keeps the literal kind while fixing the body's type. */
export function defineKind<B>() {
  return <const D extends KindDefinition<B>>(definition: D): D & KindDefinition<B> => definition
}
