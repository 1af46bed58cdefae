/** What this browser remembers of its user's habits. Where it may remember nothing, it does so for as long as the page is open. */
const here = new Map<string, string>()

function tried<T>(work: () => T): T | null {
  try {
    return work()
  } catch {
    // Storage may be blocked, or full: a habit is no reason to stop.
    return null
  }
}

export function remembered(key: string): string | null {
  return here.get(key) ?? tried(() => localStorage.getItem(key))
}

export function storeValue(key: string, value: string): void {
  const isKept = tried(() => {
    localStorage.setItem(key, value)
    return true
  })
  if (isKept) here.delete(key)
  else here.set(key, value)
}

/** The same for one tab, over its reload. */
export const ofThisTab = {
  get: (key: string): string | null => tried(() => sessionStorage.getItem(key)),
  set(key: string, value: string): void {
    tried(() => {
      sessionStorage.setItem(key, value)
    })
  },
  forget(key: string): void {
    tried(() => {
      sessionStorage.removeItem(key)
    })
  },
}
