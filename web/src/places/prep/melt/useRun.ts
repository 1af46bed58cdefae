import { useEffect, useState } from 'react'
import type { BlockCommand, MeltFacts } from '@ivory-crystal/core'
import { api } from '../../../state/api'
import { allStored, hearReading, useNotebook, type HeardReading } from '../../../state/notebook'

export interface Run {
  readonly heard: HeardReading | null
  /** A sentence when the instrument refused or could not be reached. */
  readonly trouble: string | null
  readonly busy: boolean
  readonly start: () => void
  readonly command: (command: BlockCommand | { kind: 'pace'; pace: number }) => void
  readonly end: () => void
}

/** The run of a melt on its instrument: what is heard of it, and the commands it takes. */
export function useRun(melt: MeltFacts): Run {
  const { instrument } = melt.planned.body
  const heard = useNotebook((state) => state.readings[instrument] ?? null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  useEffect(() => {
    // A page opened in the middle of a run asks once how the instrument stands.
    api.instruments().then(
      ({ instruments }) => {
        const run = instruments.find((one) => one.instrument.id === instrument)?.run
        if (run) hearReading({ ...run, instrument })
      },
      () => undefined,
    )
  }, [instrument])
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
  const run = melt.run
  return {
    heard: heard && run && heard.id === run.id ? heard : null,
    trouble,
    busy,
    start() {
      ask(async () => {
        await allStored()
        const { notebook } = useNotebook.getState()
        if (notebook) hearReading({ ...(await api.startRun(instrument, notebook, melt.id)), instrument })
      })
    },
    command(command) {
      if (run)
        ask(async () => {
          hearReading({ ...(await api.command(instrument, run.id, command)), instrument })
        })
    },
    end() {
      if (run) ask(() => api.endRun(instrument, run.id))
    },
  }
}
