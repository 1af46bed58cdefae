import type { MeltFacts } from '@ivory-crystal/core/notebook'
import { estimatedNow, liveRate } from '@ivory-crystal/core/planning'
import { useNow } from '../../clock/now'
import type { TimedReading } from '../../ledger/readings'
import { useNotebook } from '../../ledger/notebook'
import { type Run, runSeconds, useLastReading } from './useRun'

export type MeltMoment = ReturnType<typeof useMoment>

/** A melt as it stands at this moment, and what was heard of it; asked anew at every reading and second. */
export function useMoment(melt: MeltFacts, run: Run) {
  const view = useNotebook((state) => state.view)
  const isConnected = useNotebook((state) => state.connected)
  const lastReading: TimedReading | null = useLastReading(melt)
  useNow()
  const atS = runSeconds(melt)
  const rate = liveRate(view, melt, lastReading?.recent ?? [])
  return {
    lastReading,
    atS,
    isConnected,
    /** What the thermometer shows where it is recorded, about where it stands where it is read by eye; °C. */
    nowC: run.recorded ? (lastReading?.reading?.probe.value ?? null) : estimatedNow(view, melt, atS),
    phase: lastReading?.reading?.phase ?? null,
    rateCPerMin: rate?.rateCPerMin ?? null,
    /** How far off that may be, °C/min. */
    rateWithinCPerMin: rate?.withinCPerMin ?? null,
  }
}
