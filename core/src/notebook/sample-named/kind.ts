import type { PrepId } from '../../contract'
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
}
export const sampleNamed = defineKind<SampleNamed>()({
  kind: 'sample named',
  version: 2,
  about: 'sample',
  upcasts: { 1: (body) => body },
  sentence: (body) => `Named the sample “${body.label}”.`,
})
