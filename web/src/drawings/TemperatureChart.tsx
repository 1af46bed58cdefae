import { useMemo } from 'react'
import type { CurvePoint } from '@ivory-crystal/core/planning'
import { fixed } from '../format/format'
import { evenAxis } from './plot/axis'
import { LineChart } from './plot/LineChart'

const PARTS_MOST = 9

/** Block temperature against instrument time: as planned, dashed, and as read. */
export function TemperatureChart({
  planned,
  read,
  watchFromC,
  stopC,
}: {
  planned: readonly CurvePoint[]
  read: readonly CurvePoint[]
  watchFromC: number
  stopC: number
}) {
  const time = evenAxis(0, Math.max(planned.at(-1)?.[0] ?? 0, read.at(-1)?.[0] ?? 0, 10), PARTS_MOST)
  const lines = useMemo(
    () =>
      [
        { name: 'planned', points: planned, tone: '--ink-2', width: 1.5, dash: 5 },
        { name: 'read', points: read, tone: '--ember', width: 2.5 },
      ] as const,
    [planned, read],
  )
  return (
    <figure className="m-0">
      <LineChart
        height={250}
        lines={lines}
        x={{ title: 'minutes', from: 0, to: time.to, parts: time.parts, decimals: 0 }}
        y={{ ...evenAxis(20, stopC + 5, PARTS_MOST), decimals: 0 }}
        band={[watchFromC, stopC]}
        // A mark makes the pad beside it grow.
        isStill
      />
      <figcaption className="quiet">
        <svg width="18" height="12" aria-hidden>
          <rect width="18" height="12" fill="var(--ember)" opacity="0.18" />
        </svg>{' '}
        watch from {fixed(watchFromC, 0)} to {fixed(stopC, 0)} °C
      </figcaption>
    </figure>
  )
}
