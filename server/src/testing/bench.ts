import { mkdtemp, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { EntryId, LedgerId, NotebookId } from '@ivory-crystal/core/ids'
import type { RawEntry } from '@ivory-crystal/core/notebook'
import type { Clock } from '../clock'
import { type RunningServer, type ServerOptions, startServer } from '../server'

/** A clock that stands until it is moved. */
export interface HandClock extends Clock {
  move(ms: number): void
  /** Sets it, back too; what was to be called back goes on from there. */
  set(ms: number): void
}

export function handClock(start = Date.UTC(2026, 10, 24, 9)): HandClock {
  let now = start
  const timers: { every: number; next: number; run: () => void }[] = []
  return {
    now: () => now,
    every(ms, run) {
      const timer = { every: ms, next: now + ms, run }
      timers.push(timer)
      return () => {
        timers.splice(timers.indexOf(timer), 1)
      }
    },
    set(ms) {
      for (const timer of timers) timer.next += ms - now
      now = ms
    },
    move(ms) {
      const end = now + ms
      for (;;) {
        const due = timers.filter((timer) => timer.next <= end).sort((p, q) => p.next - q.next)[0]
        if (!due) break
        now = due.next
        due.next += due.every
        due.run()
      }
      now = end
    },
  }
}

export async function tempFolder(): Promise<{ path: string; remove: () => Promise<void> }> {
  const path = await mkdtemp(join(tmpdir(), 'ivory-test-'))
  return { path, remove: () => rm(path, { recursive: true, force: true }) }
}

export function serve(folder: string, options: Partial<ServerOptions> = {}): Promise<RunningServer> {
  return startServer({ folder, port: 0, demo: false, byHand: true, say: () => undefined, ...options })
}

let written = 0

/** An ordinary line: an observation. */
export function line(
  home: { ledger: LedgerId; notebook: NotebookId },
  change: Partial<RawEntry> = {},
): RawEntry {
  written += 1
  const tail = written.toString(16).padStart(12, '0')
  return {
    id: `019a0000-0000-7000-8000-${tail}` as EntryId,
    v: 1,
    subject: '0a5a1c7e-0000-4000-8000-000000000101' as RawEntry['subject'],
    kind: 'observed',
    body: { station: 'plan', text: `seen ${written}` },
    at: 1_790_000_000_000 + written,
    author: 'bench 7',
    device: 'test',
    ...home,
    ...change,
  }
}
