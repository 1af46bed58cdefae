import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStatus, RunState } from '@ivory-crystal/core/wire'

/** What the tabs of one browser tell each other. */
type TabMessage =
  | {
      readonly tell: 'lines'
      readonly notebook: string
      readonly entries: readonly RawEntry[]
      readonly seq?: number
    }
  | { readonly tell: 'settled' }
  | { readonly tell: 'reading'; readonly reading: RunState & { readonly instrument: string } }
  | { readonly tell: 'rest'; readonly instrument: string }
  | { readonly tell: 'balance'; readonly balance: BalanceStatus }
  /** Something was put on the shelf or taken off it. */
  | { readonly tell: 'shelf' }
  | { readonly tell: 'heard'; readonly connected: boolean }
  /** A tab has opened and asks whoever holds the stream how things stand. */
  | { readonly tell: 'asks' }

export interface Tabs {
  tell(message: TabMessage): void
  listen(listener: (message: TabMessage) => void): void
}

/** One channel for each ledger, so that demo and own data do not hear each other. */
export function openTabs(ledger: string): Tabs {
  const channel = new BroadcastChannel(`ivory-crystal ${ledger}`)
  return {
    tell(message) {
      channel.postMessage(message)
    },
    listen(receive) {
      channel.onmessage = (event: MessageEvent<TabMessage>) => {
        receive(event.data)
      }
    },
  }
}
