import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStatus, RunState } from '@ivory-crystal/core/wire'

/** What the tabs of one browser tell each other. */
type TabMessage =
  | {
      readonly kind: 'lines'
      readonly notebook: string
      readonly entries: readonly RawEntry[]
      readonly seq?: number
    }
  | { readonly kind: 'settled' }
  | { readonly kind: 'reading'; readonly reading: RunState & { readonly instrument: string } }
  | { readonly kind: 'rest'; readonly instrument: string }
  | { readonly kind: 'balance'; readonly balance: BalanceStatus }
  /** Something was put on the shelf or taken off it. */
  | { readonly kind: 'shelf' }
  | { readonly kind: 'heard'; readonly connected: boolean }
  /** A tab has opened and asks whoever holds the stream how things stand. */
  | { readonly kind: 'asks' }

export interface Tabs {
  post(message: TabMessage): void
  listen(listener: (message: TabMessage) => void): void
}

/** One channel for each ledger, so that demo and own data do not hear each other. */
export function openTabs(ledger: string): Tabs {
  const channel = new BroadcastChannel(`ivory-crystal ${ledger}`)
  return {
    post(message) {
      channel.postMessage(message)
    },
    listen(receive) {
      channel.onmessage = (event: MessageEvent<TabMessage>) => {
        receive(event.data)
      }
    },
  }
}
