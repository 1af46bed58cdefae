import { useEffect, useState } from 'react'
import type { InstrumentState } from '@ivory-crystal/core/wire'
import { api } from './api'
import { useNotebook } from './notebook'

const ASK_EVERY_MS = 5000

export interface InstrumentsAnswer {
  /** null until the server has answered. */
  readonly states: readonly InstrumentState[] | null
  readonly trouble: string | null
}

/** The instruments as they stand, asked again every few seconds (one at rest sends nothing), and when there is a new one. */
export function useInstruments(): InstrumentsAnswer {
  const [asked, setAsked] = useState<InstrumentsAnswer>({ states: null, trouble: null })
  const shelved = useNotebook((state) => state.shelf?.instruments)
  useEffect(() => {
    // A resting block sends nothing, so it is asked.
    let wanted = true
    const ask = () => {
      api.instruments().then(
        ({ instruments }) => {
          if (wanted) setAsked({ states: instruments, trouble: null })
        },
        (error: unknown) => {
          if (wanted) setAsked(({ states }) => ({ states, trouble: (error as Error).message }))
        },
      )
    }
    ask()
    const timer = setInterval(ask, ASK_EVERY_MS)
    return () => {
      wanted = false
      clearInterval(timer)
    }
  }, [shelved])
  return asked
}
