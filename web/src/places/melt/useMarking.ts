import { useCallback, useState } from 'react'
import type { EntryId } from '@ivory-crystal/core/ids'
import type { Mark, MeltFacts, Moment, SignWord } from '@ivory-crystal/core/notebook'
import { sound } from '../../drawings/sounds'
import { strike, useNotebook, write } from '../../ledger/notebook'
import { NO_MARK_TO_STRIKE, refusedPress } from '../../parts/instrument/refusedPress'
import { usePadKeys } from '../../parts/usePadKeys'
import { runSeconds } from './useRun'

export interface Marking {
  readonly press: (slot: number, moment: Moment) => void
  readonly strikeLast: () => void
  readonly strikeMark: (mark: Mark) => void
  readonly nameSign: (mark: EntryId, word: SignWord) => void
  readonly muted: boolean
  readonly setMuted: (muted: boolean) => void
  /** What the last press could not do, or null. */
  readonly message: string | null
}

/** Presses on the pad, by hand or by key. A press stamps instrument time; nothing waits for the network. */
export function useMarking(melt: MeltFacts): Marking {
  const [muted, setMuted] = useState(false)
  const [sentence, setSaid] = useState<string | null>(null)
  const press = useCallback(
    (slot: number, moment: Moment) => {
      const refusal = pressed(melt, slot, moment)
      setSaid(refusal)
      if (refusal === null && !muted) sound(moment)
    },
    [melt, muted],
  )
  const strikeLast = useCallback(() => {
    const last = melt.marks[melt.marks.length - 1]
    if (last) strike(last.entry, 'pressed by mistake')
    setSaid(last ? null : NO_MARK_TO_STRIKE)
  }, [melt])
  const strikeMark = useCallback((mark: Mark) => {
    strike(mark.entry, 'pressed by mistake')
  }, [])
  usePadKeys(press, strikeLast, {
    m: () => {
      setMuted((now) => !now)
    },
  })
  const nameSign = useCallback(
    (mark: EntryId, word: SignWord) => {
      write({ kind: 'sign named', subject: melt.id, body: { mark, word } })
    },
    [melt.id],
  )
  return { press, strikeLast, strikeMark, nameSign, muted, setMuted, message: sentence }
}

/** Writes the mark, or says why not. */
function pressed(melt: MeltFacts, slot: number, moment: Moment): string | null {
  const lastReading = useNotebook.getState().readings[melt.planned.body.instrument]
  if (!melt.run) return 'The run has not begun.'
  const { feed, recorded } = melt.run.started.body
  const isHeard = lastReading?.reading != null && lastReading.id === melt.run.id
  const refusal = refusedPress(slot, moment, {
    slots: melt.planned.body.tubes.map((tube) => tube.slot),
    marks: melt.marks,
    isHeard: feed === 'by hand' || isHeard,
  })
  if (refusal !== null) return refusal
  const pressedAtS = Math.round(runSeconds(melt) * 10) / 10
  write({
    kind: 'mark made',
    subject: melt.id,
    body: {
      run: melt.run.id,
      slot,
      moment,
      pressedAtS,
      lastSample: isHeard ? (lastReading.reading?.sample ?? 0) : Math.floor(pressedAtS),
      lastProbe: recorded && isHeard ? (lastReading.reading?.probe ?? null) : null,
      from: 'key',
    },
  })
  return null
}
