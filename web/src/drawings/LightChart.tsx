import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import type { LightSample } from '@ivory-crystal/core/heating'
import type { MeltingRange } from '@ivory-crystal/core/melting'
import { axisBetween } from './plot/axis'
import { pathOf } from './plot/path'

const WIDTH = 560
const HEIGHT = 150
const LEFT = 34
const BOTTOM = 24
const NUDGE_C = 0.1

/** Light against temperature, with an end to drag on either side of the melt; arrow keys move a chosen end by 0.1 °C. */
export function LightChart({
  trace,
  ends,
  onMove,
  label,
}: {
  trace: readonly LightSample[]
  ends: MeltingRange | null
  onMove: (ends: MeltingRange) => void
  label: string
}) {
  const svg = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<keyof MeltingRange | null>(null)
  if (trace.length < 2) return null
  const temperatures = trace.map(({ temperatureC }) => temperatureC)
  const lights = trace.map(({ transmission }) => transmission)
  const [lowC, highC] = [Math.min(...temperatures), Math.max(...temperatures)]
  const [dark, bright] = [Math.min(...lights), Math.max(...lights)]
  const x = (c: number) => LEFT + ((c - lowC) / (highC - lowC || 1)) * (WIDTH - LEFT - 8)
  const y = (light: number) =>
    HEIGHT - BOTTOM - ((light - dark) / (bright - dark || 1)) * (HEIGHT - BOTTOM - 12)
  const every = Math.max(1, Math.ceil(trace.length / 400))
  const path = pathOf(
    trace.filter((_, i) => i % every === 0),
    (one) => x(one.temperatureC),
    (one) => y(one.transmission),
  )
  const move = (end: keyof MeltingRange, c: number) => {
    if (!ends) return
    const within = Math.min(highC, Math.max(lowC, c))
    const moved = { ...ends, [end]: within }
    if (moved.onsetC <= moved.clearC) onMove(moved)
  }
  const drag = (event: PointerEvent) => {
    if (!dragged || !svg.current) return
    const box = svg.current.getBoundingClientRect()
    const px = ((event.clientX - box.left) / box.width) * WIDTH
    move(dragged, lowC + ((px - LEFT) / (WIDTH - LEFT - 8)) * (highC - lowC))
  }
  return (
    <svg
      ref={svg}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: WIDTH, touchAction: 'none' }}
      role="group"
      aria-label={`Light through ${label} against temperature`}
      onPointerMove={drag}
      onPointerUp={() => {
        setDragged(null)
      }}
    >
      <path d={`M${LEFT} ${HEIGHT - BOTTOM}H${WIDTH - 8}`} stroke="var(--ink)" />
      {axisBetween(lowC, highC, 10).ticks.map(({ value: c, text }) => (
        <text key={c} x={x(c)} y={HEIGHT - 7} fontSize="12.5" textAnchor="middle" fill="var(--ink-2)">
          {text}
        </text>
      ))}
      <text x={WIDTH - 8} y={HEIGHT - BOTTOM - 4} fontSize="12.5" textAnchor="end" fill="var(--ink-2)">
        °C
      </text>
      <text x="2" y="14" fontSize="12.5" fill="var(--ink-2)">
        light
      </text>
      <path d={path} fill="none" stroke="var(--ember)" strokeWidth="1.8" />
      {ends &&
        (['onsetC', 'clearC'] as const).map((end) => (
          <g
            key={end}
            className="handle"
            role="slider"
            tabIndex={0}
            aria-label={`${end === 'onsetC' ? 'onset' : 'clear point'} of ${label}, °C`}
            aria-valuemin={lowC}
            aria-valuemax={highC}
            aria-valuenow={Number(ends[end].toFixed(2))}
            onPointerDown={(event) => {
              setDragged(end)
              event.preventDefault()
            }}
            onKeyDown={(event: KeyboardEvent) => {
              const by = event.key === 'ArrowRight' ? NUDGE_C : event.key === 'ArrowLeft' ? -NUDGE_C : 0
              if (by === 0) return
              event.preventDefault()
              move(end, ends[end] + by)
            }}
          >
            <path d={`M${x(ends[end])} 8V${HEIGHT - BOTTOM}`} stroke="var(--teal)" strokeWidth="1.6" />
            <rect x={x(ends[end]) - 6} y="2" width="12" height="12" rx="2" fill="var(--teal)" />
            <rect x={x(ends[end]) - 10} y="0" width="20" height={HEIGHT - BOTTOM} fill="transparent" />
          </g>
        ))}
    </svg>
  )
}
