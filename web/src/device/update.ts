import { create } from 'zustand'

interface Update {
  /** A newer version of the app is fetched, and waits. */
  readonly isReady: boolean
  /** The app opens without a server: all of it is kept on this device. */
  readonly isKept: boolean
  /** The newer version is in use, as another tab asked for: this page wants to be loaded anew. */
  readonly isTaken: boolean
  /** Takes the newer version: the page is loaded anew. */
  readonly take: () => void
}

export const useUpdate = create<Update>()(() => ({
  isReady: false,
  isTaken: false,
  isKept: typeof navigator !== 'undefined' && Boolean(navigator.serviceWorker?.controller),
  take: () => undefined,
}))

/** A newer version is looked for this often while the app is open, ms. */
const LOOK_EVERY_MS = 60 * 60_000

/** Keeps the app itself on this device, and looks for newer versions. Nothing is taken unasked. */
export async function keepApp(): Promise<void> {
  if (!('serviceWorker' in navigator)) return
  const { registerSW } = await import('virtual:pwa-register')
  let isAskedHere = false
  const update = registerSW({
    immediate: true,
    onNeedRefresh() {
      useUpdate.setState({ isReady: true })
    },
    onNeedReload() {
      // Every tab hears of it; only the one that was asked is loaded anew at once.
      if (isAskedHere) window.location.reload()
      else useUpdate.setState({ isReady: false, isTaken: true })
    },
    onOfflineReady() {
      useUpdate.setState({ isKept: true })
    },
    onRegisteredSW(_, registration) {
      if (registration?.active) useUpdate.setState({ isKept: true })
      if (registration) setInterval(() => void registration.update().catch(() => undefined), LOOK_EVERY_MS)
    },
  })
  useUpdate.setState({
    take: () => {
      isAskedHere = true
      void update(true)
    },
  })
}

/** Asks the browser not to clear what is kept here when it wants room; it may say no. */
export async function askToStay(): Promise<void> {
  await navigator.storage?.persist?.().catch(() => false)
}
