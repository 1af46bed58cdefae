import type { SampleId } from '../../../ids'
import { defineKind } from '../defineKind'

/** A case begins: an unknown with its code, how it looks, and the sample it is. */
export interface UnknownOpened {
  readonly code: string
  readonly appearance: string
  readonly sample: SampleId
}
export const unknownOpened = defineKind<UnknownOpened>()({
  kind: 'unknown opened',
  version: 1,
  about: 'unknown',
  sentence: ({ code, appearance }) =>
    `Opened the unknown ${code}${appearance === '' ? '' : `: ${appearance.replace(/\.$/, '')}`}.`,
})
