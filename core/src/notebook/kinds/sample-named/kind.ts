import type { PrepId, SampleId } from '../../../ids'
import type { Compound } from '../../../substances/shelf'
import { defineKind } from '../defineKind'

export const SAMPLE_ROLES = [
  'crude',
  'product',
  'second crop',
  'residue',
  'grit',
  'authentic',
  'mixture',
  'unknown',
] as const
export type SampleRole = (typeof SAMPLE_ROLES)[number]

/** A sample gets an identity of its own, so that every tube and weighing of it can be found. */
export interface SampleNamed {
  readonly prep: PrepId | null
  readonly role: SampleRole
  readonly label: string
  /** What it is, for an authentic sample or a standard that belongs to no prep. */
  readonly compound: Compound | null
  /** Of a mixture: the samples ground together in equal parts. */
  readonly of: readonly SampleId[]
}
export const sampleNamed = defineKind<SampleNamed>()({
  kind: 'sample named',
  version: 3,
  about: 'sample',
  sentence: (body) => `Named the sample “${body.label}”.`,
})
