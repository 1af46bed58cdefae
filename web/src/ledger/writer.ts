import { storeValue, remembered } from '../device/memory'
const AUTHOR = 'ivory-crystal author'
const DEVICE = 'ivory-crystal device'

/** Bench code that goes on every line written here. */
export function author(): string {
  return remembered(AUTHOR) ?? 'this bench'
}

export function setAuthor(name: string): void {
  storeValue(AUTHOR, name.trim().slice(0, 80) || 'this bench')
}

/** This browser, by a name it gave itself once. */
export function device(): string {
  const known = remembered(DEVICE)
  if (known) return known
  const made = crypto.randomUUID()
  storeValue(DEVICE, made)
  return made
}
