import type { EntryId } from '../../../ids'
import { defineKind } from '../defineKind'

export const SIGN_WORDS = ['shrinks', 'sweats', 'wets', 'changes form', 'colours', 'bubbles'] as const
export type SignWord = (typeof SIGN_WORDS)[number]

/** The word for an early sign, given after the press. */
export interface SignNamed {
  readonly mark: EntryId
  readonly word: SignWord
}
export const signNamed = defineKind<SignNamed>()({
  kind: 'sign named',
  version: 1,
  about: 'melt',
  sentence: (body) => `That sign: ${body.word}.`,
})
