import { useCallback, useEffect, useRef, useState } from 'react'
import { rateOf } from '@ivory-crystal/core/heating'
import type { BlockCommand, BlockReading } from '@ivory-crystal/core/instruments'
import type { TubeTruth } from '@ivory-crystal/core/practice'
import { useHouseRules } from '../../parts/useHouseRules'
import type { Heated } from '../../workers/practice'
import { practising } from '../../workers/practising'

/** The screen follows the instrument this often, ms. */
const TICK_MS = 200
/** A live rate looks back so far, s. */
const RATE_OVER_S = 60
/** A page that was away does not make up for more, ms: the learner was not looking. */
const AWAY_MS = 1000

/** A heated thing of an exercise as it stands. */
export interface HeatedNow {
  /** null until the worker has answered once. */
  readonly reading: BlockReading | null
  readonly truth: readonly TubeTruth[]
  /** Every reading so far: s and °C as shown. */
  readonly shown: readonly { readonly atS: number; readonly shownC: number }[]
  /** Over the last minute, °C/min; null before there is one to tell. */
  readonly rateCPerMin: number | null
  /** Why nothing comes, or null. */
  readonly trouble: string | null
  readonly command: (command: BlockCommand) => void
  /** Stops the time; and where tubes are not through, lets them come to their end unseen. */
  readonly stop: (toTheEnd: boolean) => Promise<readonly TubeTruth[]>
}

/**
 * The simulated instrument of an exercise, in the worker. Its time is the learner’s times `hurry`; it never slows by
 * itself.
 */
export function useHeated(heated: Heated, hurry: number): HeatedNow {
  const { onsetRule } = useHouseRules()
  const [now, setNow] = useState<Pick<HeatedNow, 'reading' | 'truth' | 'shown'>>(NOTHING)
  const [trouble, setTrouble] = useState<string | null>(null)
  const commands = useRef<BlockCommand[]>([])
  const pace = useRef(hurry)
  const isStopped = useRef(false)
  const busy = useRef<Promise<unknown>>(Promise.resolve())
  useEffect(() => {
    pace.current = hurry
  }, [hurry])
  useEffect(() => {
    // The instrument runs outside React: it is begun with the exercise and left with it.
    isStopped.current = false
    let isLeft = false
    let dueS = 0
    let last = performance.now()
    let isAsking = false
    const begun = practising().then((remote) => remote.begin(heated, onsetRule))
    const fail = (error: unknown) => {
      if (!isLeft) setTrouble((error as Error).message)
    }
    begun.catch(fail)
    const tick = () => {
      const at = performance.now()
      dueS += (Math.min(AWAY_MS, at - last) / 1000) * pace.current
      last = at
      const seconds = Math.floor(dueS)
      if (isAsking || isStopped.current || (seconds < 1 && commands.current.length === 0)) return
      dueS -= seconds
      isAsking = true
      const given = commands.current.splice(0)
      busy.current = begun
        .then(() => practising())
        .then((remote) => remote.pass(seconds, given))
        .then(({ readings, truth }) => {
          if (isLeft || readings.length === 0) return
          setNow((before) => ({
            reading: readings.at(-1) ?? before.reading,
            truth,
            shown: [...before.shown, ...readings.map(({ atS, probe }) => ({ atS, shownC: probe.value }))],
          }))
        }, fail)
        .finally(() => {
          isAsking = false
        })
    }
    const timer = setInterval(tick, TICK_MS)
    return () => {
      isLeft = true
      clearInterval(timer)
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the rule it was begun with is the rule it is told by
  }, [heated])
  const command = useCallback((one: BlockCommand) => {
    commands.current.push(one)
  }, [])
  const stop = useCallback(async (toTheEnd: boolean) => {
    isStopped.current = true
    await busy.current
    const remote = await practising()
    const { truth } = toTheEnd ? await remote.toTheEnd() : await remote.pass(0, [])
    return truth
  }, [])
  const rateCPerMin = rateOf(
    now.shown.slice(-RATE_OVER_S).map(({ atS, shownC }) => [atS / 60, shownC] as const),
    RATE_OVER_S / 60,
  )
  return { ...now, rateCPerMin, trouble, command, stop }
}
const NOTHING: Pick<HeatedNow, 'reading' | 'truth' | 'shown'> = { reading: null, truth: [], shown: [] }
