const AUTHOR = 'ivory-crystal author'
const DEVICE = 'ivory-crystal device'

/** Bench code that goes on every line written here. */
export function author(): string {
  return localStorage.getItem(AUTHOR) ?? 'this bench'
}

export function setAuthor(name: string): void {
  localStorage.setItem(AUTHOR, name.trim().slice(0, 80) || 'this bench')
}

/** This browser, by a name it gave itself once. */
export function device(): string {
  const known = localStorage.getItem(DEVICE)
  if (known) return known
  const made = crypto.randomUUID()
  localStorage.setItem(DEVICE, made)
  return made
}
