import css from './PlateDrawing.module.css'
import classNames from 'classnames'
import { useState } from 'react'
import type { LaneKind } from '@ivory-crystal/core/chromatography'
import type { SpotShape } from '@ivory-crystal/core/notebook'
import { fixed } from '../format/format'

/** What is dragged or placed on the plate, in mm above the pencil line. */
export interface PlateHands {
  readonly onFront: (mm: number) => void
  /** The pencil line, mm above the lower edge. */
  readonly onLine: (mm: number) => void
  /** A lane, mm from the left edge. */
  readonly onLane: (lane: number, mm: number) => void
  readonly onSpot: (lane: number, spot: number, mm: number) => void
  readonly onNewSpot: (lane: number, mm: number) => void
}
export interface DrawnLane {
  readonly label: string
  readonly kind: LaneKind
  readonly acrossMm: number
  readonly spots: readonly { readonly mm: number; readonly shape: SpotShape; readonly rf: number | null }[]
}
export interface Photograph {
  readonly jpeg: string
  readonly left: number
  readonly right: number
  readonly top: number
  readonly bottom: number
}

/** What the pointer holds. */
type Held =
  | { readonly what: 'front' }
  | { readonly what: 'line' }
  | { readonly what: 'lane'; readonly lane: number }
  | { readonly what: 'spot'; readonly lane: number; readonly spot: number }

const PX_PER_MM = 5.4
const EDGE = { top: 22, bottom: 34, left: 16, right: 46 } as const
const FILL: Readonly<Record<LaneKind, string>> = {
  sample: 'var(--ink)',
  'co-spot': 'var(--ink-2)',
  authentic: 'var(--teal)',
}
const SPOT_MM = 2

/** A thin-layer plate to scale: line, front, lanes and the centres of their spots; dragged where hands are given. */
export function PlateDrawing({
  size,
  lineMm,
  frontMm,
  lanes,
  photograph,
  hands,
}: {
  size: { readonly widthMm: number; readonly heightMm: number }
  lineMm: number
  frontMm: number | null
  lanes: readonly DrawnLane[]
  photograph: Photograph | null
  hands: PlateHands | null
}) {
  const [held, setHeld] = useState<Held | null>(null)
  const [w, h] = [size.widthMm * PX_PER_MM, size.heightMm * PX_PER_MM]
  const x = (mm: number) => EDGE.left + mm * PX_PER_MM
  const y = (aboveLineMm: number) => EDGE.top + h - (lineMm + aboveLineMm) * PX_PER_MM
  const mmAt = (event: React.PointerEvent<SVGSVGElement>) => {
    const { top } = event.currentTarget.getBoundingClientRect()
    const mm = (EDGE.top + h - (event.clientY - top)) / PX_PER_MM - lineMm
    return Math.round(2 * Math.min(size.heightMm - lineMm, Math.max(0, mm))) / 2
  }
  const acrossAt = (event: React.PointerEvent<SVGSVGElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect()
    const mm = (event.clientX - left - EDGE.left) / PX_PER_MM
    return Math.round(2 * Math.min(size.widthMm, Math.max(0, mm))) / 2
  }
  const nearestLane = (event: React.PointerEvent<SVGSVGElement>) => {
    const across = acrossAt(event)
    const away = (i: number) => Math.abs((lanes[i]?.acrossMm ?? Infinity) - across)
    return lanes.reduce((best, _, i) => (away(i) < away(best) ? i : best), 0)
  }
  const hold = (what: Held) =>
    hands
      ? (event: React.PointerEvent<SVGGElement>) => {
          event.stopPropagation()
          event.currentTarget.ownerSVGElement?.setPointerCapture(event.pointerId)
          setHeld(what)
        }
      : undefined
  return (
    <svg
      className={hands ? classNames(css.plate, css.handled) : css.plate}
      width={w + EDGE.left + EDGE.right}
      height={h + EDGE.top + EDGE.bottom}
      role="img"
      aria-label={spoken(lanes, frontMm)}
      onPointerMove={(event) => {
        if (!held || !hands) return
        if (held.what === 'front') hands.onFront(mmAt(event))
        else if (held.what === 'line') hands.onLine(mmAt(event) + lineMm)
        else if (held.what === 'lane') hands.onLane(held.lane, acrossAt(event))
        else hands.onSpot(held.lane, held.spot, mmAt(event))
      }}
      onPointerUp={() => {
        setHeld(null)
      }}
      onPointerDown={(event) => {
        if (hands && lanes.length > 0) hands.onNewSpot(nearestLane(event), mmAt(event))
      }}
    >
      <rect x={EDGE.left} y={EDGE.top} width={w} height={h} fill="var(--paper)" stroke="var(--ink-2)" />
      {photograph && <Under photograph={photograph} width={w} height={h} />}
      <g className={css.spot} onPointerDown={hold({ what: 'line' })}>
        <path d={`M${EDGE.left} ${y(0)}h${w}`} stroke="var(--ink-2)" strokeWidth="1" />
        <path d={`M${EDGE.left} ${y(0)}h${w}`} stroke="transparent" strokeWidth="8" />
      </g>
      {lanes.map((lane, i) => (
        <g key={i}>
          <path d={`M${x(lane.acrossMm)} ${y(0) - 4}v8`} stroke="var(--ink-2)" />
          <g className={css.lane} onPointerDown={hold({ what: 'lane', lane: i })}>
            <rect x={x(lane.acrossMm) - 10} y={EDGE.top + h + 2} width={20} height={18} fill="transparent" />
            <text
              x={x(lane.acrossMm)}
              y={EDGE.top + h + 15}
              textAnchor="middle"
              fontSize="11.5"
              fill="var(--ink)"
            >
              {letter(i)}
            </text>
          </g>
          {lane.spots.map((spot, j) => (
            <g key={j} className={css.spot} onPointerDown={hold({ what: 'spot', lane: i, spot: j })}>
              <ellipse
                cx={x(lane.acrossMm)}
                cy={y(spot.mm)}
                rx={SPOT_MM * PX_PER_MM}
                ry={(spot.shape === 'streak' ? 2.4 * SPOT_MM : SPOT_MM * 0.8) * PX_PER_MM}
                fill={FILL[lane.kind]}
                fillOpacity={spot.shape === 'faint' ? 0.18 : photograph ? 0.12 : 0.5}
                stroke={FILL[lane.kind]}
                strokeDasharray={spot.shape === 'faint' ? '2 2' : undefined}
              />
              <path
                d={`M${x(lane.acrossMm) - 4} ${y(spot.mm)}h8M${x(lane.acrossMm)} ${y(spot.mm) - 4}v8`}
                stroke="var(--ground)"
                strokeWidth="1.4"
              />
              <text
                x={x(lane.acrossMm)}
                y={y(spot.mm) - SPOT_MM * PX_PER_MM - 2}
                textAnchor="middle"
                fontSize="11.5"
                fontWeight="700"
                fill="var(--ink)"
                stroke="var(--paper)"
                strokeWidth="3"
                paintOrder="stroke"
              >
                {spot.rf === null ? '' : fixed(spot.rf, 2)}
              </text>
            </g>
          ))}
        </g>
      ))}
      {frontMm !== null && (
        <g className={css.spot} onPointerDown={hold({ what: 'front' })}>
          <path
            d={`M${EDGE.left} ${y(frontMm)}h${w}`}
            stroke="var(--ice)"
            strokeWidth="2"
            strokeDasharray="6 3"
          />
          <path d={`M${EDGE.left} ${y(frontMm)}h${w}`} stroke="transparent" strokeWidth="14" />
          <text x={EDGE.left + w + 5} y={y(frontMm) + 4} fontSize="11.5" fill="var(--ice)">
            front
          </text>
        </g>
      )}
      <text x={EDGE.left + w + 5} y={y(0) + 4} fontSize="11.5" fill="var(--ink-2)">
        line
      </text>
    </svg>
  )
}

/** The part of a photograph that shows the plate, laid under the drawing. */
function Under({
  photograph: { jpeg, left, right, top, bottom },
  width,
  height,
}: {
  photograph: Photograph
  width: number
  height: number
}) {
  const [across, down] = [width / Math.max(0.05, right - left), height / Math.max(0.05, bottom - top)]
  return (
    <svg x={EDGE.left} y={EDGE.top} width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
      <image
        href={`data:image/jpeg;base64,${jpeg}`}
        x={-left * across}
        y={-top * down}
        width={across}
        height={down}
        preserveAspectRatio="none"
      />
    </svg>
  )
}

/** Lanes are lettered under the plate and named in the table. */
export function letter(lane: number): string {
  return String.fromCharCode(97 + lane)
}

function spoken(lanes: readonly DrawnLane[], frontMm: number | null): string {
  const sentences = lanes.map(
    ({ label, spots }) =>
      `${label}: ${spots.length === 0 ? 'no spot' : spots.map(({ mm }) => `a spot at ${fixed(mm, 1)} mm`).join(', ')}`,
  )
  return `Plate. ${sentences.join('. ')}. Front ${frontMm === null ? 'not marked' : `at ${fixed(frontMm, 1)} mm`}.`
}
