import { useState } from 'react'
import { clock } from '../../clock/clock'
import { useNow } from '../../clock/now'

/** Seconds as the learner has them, from when it began; told with the clock of the page. */
export function useLearnersSeconds(isOn: boolean): number {
  useNow()
  const [begunMs, setBegunMs] = useState<number | null>(null)
  if (isOn && begunMs === null) setBegunMs(clock.elapsed())
  return begunMs === null ? 0 : Math.floor((clock.elapsed() - begunMs) / 1000)
}
