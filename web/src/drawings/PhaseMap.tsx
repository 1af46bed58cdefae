import css from './PhaseMap.module.css'
import { useMemo, useRef } from 'react'
import { type Fusion, phaseDiagram, type PhaseDiagram } from '@ivory-crystal/core/melting'
import { fixed } from '../format/format'
import { useWidth } from './useWidth'
import { Axes, Fields, HEIGHT, Labels, type MapPoint, PAD, Sample, Way } from './PhaseMapParts'
import { pathOf } from './plot/path'

export interface Probe {
  readonly moleFractionA: number
  readonly temperatureC: number
}

/** Melting against composition: both liquidus lines, the eutectic, and our samples as upright paths on it. */
export function PhaseMap({
  a,
  b,
  points,
  path = false,
  probe = null,
  onProbe,
}: {
  a: { readonly name: string; readonly fusion: Fusion }
  b: { readonly name: string; readonly fusion: Fusion }
  points: readonly MapPoint[]
  /** Draw the way from the first point to the last. */
  path?: boolean
  /** Where the hand is; null where there is none, as on paper. */
  probe?: Probe | null
  onProbe?: (probe: Probe) => void
}) {
  const [ref, width] = useWidth(480)
  const svg = useRef<SVGSVGElement>(null)
  const diagram = useMemo(() => phaseDiagram(a.fusion, b.fusion, 48), [a.fusion, b.fusion])
  const span = spanOf(diagram, a.fusion, b.fusion, points)
  const inner = { w: width - PAD.left - PAD.right, h: HEIGHT - PAD.top - PAD.bottom }
  const x = (moleFractionA: number) => PAD.left + (1 - moleFractionA) * inner.w
  const y = (c: number) => PAD.top + ((span.to - c) / (span.to - span.from)) * inner.h
  const move = (event: React.PointerEvent) => {
    const box = svg.current?.getBoundingClientRect()
    if (!box) return
    const within = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value))
    onProbe?.({
      moleFractionA: within(1 - (event.clientX - box.left - PAD.left) / inner.w, 0, 1),
      temperatureC: within(
        span.to - ((event.clientY - box.top - PAD.top) / inner.h) * (span.to - span.from),
        span.from,
        span.to,
      ),
    })
  }
  /** Our samples lie mostly on the left: what is said of them stands to the right of them. */
  const isLeft = points.reduce((sum, { moleFractionA }) => sum + moleFractionA, 0) >= points.length * 0.5
  const line = (branch: PhaseDiagram['branchA']) =>
    pathOf(
      branch,
      ([at]) => x(at),
      ([, c]) => y(c),
    )
  const meet = diagram.eutectic
  return (
    <figure className="m-0" ref={ref}>
      <svg
        ref={svg}
        className={css.phaseMap}
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={spoken(a.name, b.name, meet, points)}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId)
          move(event)
        }}
        onPointerMove={(event) => {
          if (event.buttons === 1) move(event)
        }}
      >
        <rect
          x={PAD.left}
          y={y(meet.temperatureC)}
          width={inner.w}
          height={Math.max(0, PAD.top + inner.h - y(meet.temperatureC))}
          fill="var(--hair)"
          opacity="0.35"
        />
        <path
          d={`M${PAD.left} ${y(meet.temperatureC)}h${inner.w}`}
          stroke="var(--ice)"
          strokeDasharray="2 3"
        />
        <path d={line(diagram.branchA)} fill="none" stroke="var(--ink)" strokeWidth="2" />
        <path d={line(diagram.branchB)} fill="none" stroke="var(--ink)" strokeWidth="2" />
        <Axes x={x} y={y} span={span} name={b.name} width={width} />
        {probe && (
          <path
            d={`M${x(probe.moleFractionA)} ${PAD.top}v${inner.h}M${PAD.left} ${y(probe.temperatureC)}h${inner.w}`}
            stroke="var(--teal)"
            strokeWidth="1"
            opacity="0.7"
          />
        )}
        <Fields
          diagram={diagram}
          names={[a.name, b.name]}
          x={x}
          y={y}
          span={span}
          points={points}
          isLeft={isLeft}
        />
        {path && points.length > 1 && <Way points={points} x={x} y={y} />}
        {points.map((point) => (
          <Sample key={point.key} point={point} x={x} y={y} />
        ))}
        <Labels points={points} x={x} y={y} isLeft={isLeft} inner={inner} />
        {probe && (
          <circle
            cx={x(probe.moleFractionA)}
            cy={y(probe.temperatureC)}
            r="7"
            fill="var(--ground)"
            stroke="var(--teal)"
            strokeWidth="2.5"
          />
        )}
        <text
          className="label"
          x={isLeft ? PAD.left + inner.w - 6 : PAD.left + 6}
          y={y(meet.temperatureC) + 15}
          textAnchor={isLeft ? 'end' : 'start'}
          fontSize="12"
          fill="var(--ice)"
        >
          eutectic {fixed(meet.temperatureC, 1)} °C, {fixed(100 * (1 - meet.moleFractionA), 0)} mol %
        </text>
      </svg>
    </figure>
  )
}

function spanOf(diagram: PhaseDiagram, a: Fusion, b: Fusion, points: readonly MapPoint[]) {
  const all = points.flatMap(({ range }) => [range.onsetC, range.clearC])
  const low = Math.min(diagram.eutectic.temperatureC, ...all)
  const high = Math.max(a.meltingPointC, b.meltingPointC, ...all)
  const room = Math.max(4, (high - low) * 0.12)
  return { from: Math.floor(low - room * 1.3), to: Math.ceil(high + room) }
}

function spoken(
  a: string,
  b: string,
  meet: { readonly temperatureC: number; readonly moleFractionA: number },
  points: readonly MapPoint[],
): string {
  const ours = points.map(
    ({ label, moleFractionA, range }) =>
      `${label} at ${fixed(100 * (1 - moleFractionA), 0)} mol % from ${fixed(range.onsetC, 1)} to ${fixed(range.clearC, 1)} °C.`,
  )
  return `Phase map of ${a} and ${b}: eutectic at ${fixed(meet.temperatureC, 1)} °C and ${fixed(100 * (1 - meet.moleFractionA), 0)} mol % ${b}. ${ours.join(' ')}`
}
