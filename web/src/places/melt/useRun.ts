import type { BlockCommand } from '@ivory-crystal/core/instruments'
import { beginByHand, type MeltFacts } from '@ivory-crystal/core/notebook'
import { useEffect, useState } from 'react'
import { api } from '../../ledger/api'
import { clock } from '../../clock/clock'
import { allStored, receiveReading, newSubject, useNotebook, write } from '../../ledger/notebook'
import type { LedgerState } from '../../ledger/ledgerClient'
import type { TimedReading } from '../../ledger/readings'

type RunCommand = BlockCommand | { kind: 'pace'; pace: number }

export interface Run {
  /** Heard over the stream, or by hand: then nothing is heard, and time is this page's. */
  readonly byHand: boolean
  /** Whether its temperatures are on record; false for a thermometer read by eye. */
  readonly recorded: boolean
  /** A sentence when the instrument refused or could not be reached. */
  readonly trouble: string | null
  readonly busy: boolean
  readonly start: (by: 'instrument' | 'hand') => void
  /** One command, or several that are always given together, one after another. */
  readonly command: (...commands: readonly RunCommand[]) => void
  readonly end: () => void
}

/** The run of a melt on its instrument: what is heard of it, and the commands it takes. */
export function useRun(melt: MeltFacts): Run {
  const { instrument, window, conventions } = melt.planned.body
  const isPreheated = useNotebook(({ shelf }) => {
    const one = shelf?.instruments.find(({ id }) => id === instrument)
    return (
      one?.simulated === true &&
      one.character.control === 'program' &&
      conventions.tubeIn === 'at start temperature'
    )
  })
  const [trouble, setTrouble] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const run = melt.run
  const byHand = run?.started.body.feed === 'by hand'
  useEffect(() => {
    // A page opened in the middle of a run asks once how the instrument stands.
    if (byHand) return
    api.instruments().then(
      ({ instruments }) => {
        const standing = instruments.find((one) => one.instrument.id === instrument)?.run
        if (standing) receiveReading({ ...standing, instrument })
      },
      () => undefined,
    )
  }, [instrument, byHand])
  const ask = (what: () => Promise<unknown>) => {
    setBusy(true)
    setTrouble(null)
    what()
      .catch((error: unknown) => {
        setTrouble((error as Error).message)
      })
      .finally(() => {
        setBusy(false)
      })
  }
  return {
    byHand,
    recorded: run?.started.body.recorded ?? true,
    trouble,
    busy,
    start(by) {
      if (by === 'hand') return void write(beginByHand(newSubject, melt))
      ask(async () => {
        await allStored()
        const { notebook } = useNotebook.getState()
        if (!notebook) return
        const started = await api.startRun(instrument, notebook, melt.id)
        receiveReading({ ...started, instrument })
        // A simulated block that is programmed goes up at once: that is what it was started for.
        if (isPreheated)
          receiveReading({
            ...(await api.command(instrument, started.id, { kind: 'preheat', toC: window.startC })),
            instrument,
          })
      })
    },
    command(...commands) {
      if (!run) return
      if (byHand)
        write(
          ...commands.map((command) => ({
            kind: 'run command' as const,
            subject: melt.id,
            body: { run: run.id, atS: Math.round(runSeconds(melt)), command },
          })),
        )
      else
        ask(async () => {
          for (const command of commands)
            receiveReading({ ...(await api.command(instrument, run.id, command)), instrument })
        })
    },
    end() {
      if (!run) return
      if (byHand)
        write({
          kind: 'run ended',
          subject: melt.id,
          body: { run: run.id, atS: Math.round(runSeconds(melt)) },
        })
      else ask(() => api.endRun(instrument, run.id))
    },
  }
}

/** What is heard of the run of a melt, as it passes; null while nothing is. */
export function useLastReading(melt: MeltFacts): TimedReading | null {
  return useNotebook((state) => heardOf(state, melt))
}

function heardOf({ readings }: Pick<LedgerState, 'readings'>, { planned, run }: MeltFacts) {
  const lastReading = readings[planned.body.instrument]
  return lastReading && lastReading.id === run?.id ? lastReading : null
}

/** Whether anything was heard of the run yet; changes once, and not with every reading. */
export function useIsConnected(melt: MeltFacts): boolean {
  return useNotebook((state) => heardOf(state, melt)?.reading != null)
}

/** Seconds into the run now: instrument time where it is heard, else this page's. */
export function runSeconds(melt: MeltFacts): number {
  const state = useNotebook.getState()
  const { run } = melt
  if (!run) return 0
  if (run.started.body.feed === 'by hand') return Math.max(0, (clock.now() - run.started.at) / 1000)
  const lastReading = heardOf(state, melt)
  if (!lastReading?.reading) return 0
  const sinceS = state.about?.byHand ? 0 : ((clock.elapsed() - lastReading.heardAt) / 1000) * lastReading.pace
  return lastReading.reading.atS + sinceS
}
