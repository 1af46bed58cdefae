import { useSyncExternalStore } from 'react'
import type { Practical } from '@ivory-crystal/core/practice'
import { storeValue, remembered } from '../../device/memory'

const KEY = 'practicals'
/** More than these are not kept: the oldest goes first. */
const KEPT_MOST = 20
const listeners = new Set<() => void>()
let read: { readonly text: string | null; readonly list: readonly Practical[] } = { text: null, list: [] }

/** The practicals this browser was given, latest first; their tries are in the notebook. */
function practicals(): readonly Practical[] {
  const text = remembered(KEY)
  if (text !== read.text) read = { text, list: listIn(text) }
  return read.list
}

function listIn(text: string | null): readonly Practical[] {
  try {
    const list: unknown = JSON.parse(text ?? '[]')
    return Array.isArray(list) ? (list as Practical[]) : []
  } catch {
    // What another program left under that name is none of ours.
    return []
  }
}

export function keepPractical(practical: Practical): void {
  const others = practicals().filter(({ id }) => id !== practical.id)
  storeValue(KEY, JSON.stringify([practical, ...others].slice(0, KEPT_MOST)))
  for (const listener of listeners) listener()
}

const begunKey = ({ id }: Practical, tube: number) => `practical ${id} ${tube}`

/** A tube’s one try begins: left, it does not begin again in this browser. */
export function noteBegun(practical: Practical, tube: number): void {
  storeValue(begunKey(practical, tube), 'begun')
}
export function isBegun(practical: Practical, tube: number): boolean {
  return remembered(begunKey(practical, tube)) !== null
}

export function usePracticals(): readonly Practical[] {
  return useSyncExternalStore((listener) => {
    listeners.add(listener)
    return () => {
      listeners.delete(listener)
    }
  }, practicals)
}
