import { useEffect, useState } from 'react'
import { useNotebook } from '../../ledger/notebook'
import { photographsHere } from '../../ledger/pictures'
import { openCopies } from '../../ledger/offlineCopies'

/** What this device keeps for itself. */
export interface OnThisDevice {
  readonly copy: { readonly notebooks: number; readonly lines: number } | null
  readonly pictures: { readonly count: number; readonly bytes: number } | null
  readonly picturesWaiting: number
  /** Bytes the browser says are used and may be; null where it does not tell. */
  readonly space: { readonly used: number; readonly most: number } | null
  /** Whether the browser has promised not to clear it when it wants room. */
  readonly stays: boolean | null
}

/** null until it has been looked at; looked at anew with every line that is written or stored. */
export function useDevice(): OnThisDevice | null {
  const view = useNotebook((state) => state.view)
  const waiting = useNotebook((state) => state.waiting)
  const [device, setDevice] = useState<OnThisDevice | null>(null)
  useEffect(() => {
    // The browser's stores are outside React.
    let wanted = true
    void look().then((seen) => {
      if (wanted) setDevice(seen)
    })
    return () => {
      wanted = false
    }
  }, [view, waiting])
  return device
}

async function look(): Promise<OnThisDevice> {
  const here = await photographsHere()
  const copies = await openCopies().catch(() => null)
  const [copy, pictures, waiting, space, stays] = await Promise.all([
    copies?.counted().catch(() => null) ?? null,
    here?.usage().catch(() => null) ?? null,
    here?.waiting().catch(() => null) ?? null,
    navigator.storage?.estimate?.().catch(() => null) ?? null,
    navigator.storage?.persisted?.().catch(() => null) ?? null,
  ])
  copies?.close()
  return {
    copy,
    pictures,
    picturesWaiting: waiting?.count ?? 0,
    space:
      space?.usage !== undefined && space.quota !== undefined
        ? { used: space.usage, most: space.quota }
        : null,
    stays,
  }
}
