import { areOlder, fold, type RawEntry } from '@ivory-crystal/core/notebook'
import type { BalanceStatus } from '@ivory-crystal/core/wire'
import { readable } from './older'
import { newerBalance, type Reading, withReading } from './readings'
import type { Replica } from './replica'

/** Folds entries into the view; those already there change nothing. */
export function receive(replica: Replica, entries: readonly RawEntry[]): void {
  if (areOlder(entries))
    return void readable(entries).then(
      () => {
        receive(replica, entries)
      },
      // Read once the notebook is opened again: the ledger has them.
      () => undefined,
    )
  const view = fold(entries, replica.state.view)
  if (view !== replica.state.view) replica.set({ view })
}

export function receiveReading({ state, set, surroundings }: Replica, reading: Reading): void {
  set({ readings: withReading(state.readings, reading, surroundings.clock.elapsed()) })
}

export function receiveBalance({ state, set }: Replica, balance: BalanceStatus): void {
  set({ balance: newerBalance(state.balance, balance) })
}

/** An instrument came to rest. */
export function receiveRest({ state, set }: Replica, instrument: string): void {
  set({ readings: { ...state.readings, [instrument]: null } })
}

export async function readShelf({ set, surroundings }: Replica): Promise<void> {
  set({ shelf: await surroundings.api.shelf() })
}
