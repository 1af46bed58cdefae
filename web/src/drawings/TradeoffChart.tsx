import css from './TradeoffChart.module.css'
import { useRef } from 'react'
import { millilitres } from '../format/format'
import { axisBetween } from './plot/axis'
import { pathOf } from './plot/path'
import { useWidth } from './useWidth'

const HEIGHT = 272
const TOP = 48
const BOTTOM = HEIGHT - 40
const LEFT = 38
const AFTER = 14

interface Point {
  readonly ml: number
  readonly recoveryPercent: number
  /** null when nothing is known of the impurity. */
  readonly purityPercent: number | null
}

/**
 * Recovery and purity against volume. The mark is the volume to use: dragged, or moved by the arrow keys, and
 * everything that depends on it follows.
 */
export function TradeoffChart({
  points,
  leastML,
  staysDissolvedML,
  impurity,
  product,
  volumeML,
  onChange,
}: {
  points: readonly Point[]
  leastML: number
  staysDissolvedML: number | null
  impurity: string
  product: string
  volumeML: number
  /** null when the volume is fixed. */
  onChange: ((ml: number) => void) | null
}) {
  const [frame, width] = useWidth(560)
  const drawing = useRef<SVGSVGElement>(null)
  const most = points[points.length - 1]?.ml ?? leastML * 2
  const floor = Math.max(
    0,
    Math.floor(
      Math.min(...points.flatMap((point) => [point.recoveryPercent, point.purityPercent ?? 100]), 95) / 10,
    ) * 10,
  )
  const x = (ml: number) => LEFT + (Math.min(ml, most) / most) * (width - LEFT - AFTER)
  const y = (percent: number) => BOTTOM - ((percent - floor) / (100 - floor)) * (BOTTOM - TOP)
  const path = (of: (point: Point) => number) =>
    pathOf(
      points,
      ({ ml }) => x(ml),
      (point) => y(of(point)),
    )
  const inner = stepOf(most)
  const move = (ml: number) => {
    onChange?.(Math.min(most, Math.max(ceilTo(leastML, inner), Math.round(ml / inner) * inner)))
  }
  const follow = (clientX: number) => {
    const box = drawing.current?.getBoundingClientRect()
    if (box) move(((clientX - box.left - LEFT) / (width - LEFT - AFTER)) * most)
  }
  const last = points[points.length - 1]
  // The label keeps clear of the mark, and of the edge.
  const staysLeft = staysDissolvedML !== null && volumeML >= staysDissolvedML
  const stays = staysDissolvedML !== null && staysDissolvedML < most ? staysDissolvedML : null
  return (
    <div ref={frame}>
      <svg
        ref={drawing}
        width={width}
        height={HEIGHT}
        className={css.tradeoff}
        style={onChange ? { touchAction: 'none', cursor: 'ew-resize' } : undefined}
        onPointerDown={(event) => {
          if (!onChange) return
          event.currentTarget.setPointerCapture(event.pointerId)
          follow(event.clientX)
        }}
        onPointerMove={(event) => {
          if (onChange && event.currentTarget.hasPointerCapture(event.pointerId)) follow(event.clientX)
        }}
      >
        <rect
          x={LEFT}
          y={TOP}
          width={x(leastML) - LEFT}
          height={BOTTOM - TOP}
          fill="var(--hair)"
          opacity="0.45"
        />
        {x(leastML) - LEFT > 62 && (
          <text x={(LEFT + x(leastML)) / 2} y={(TOP + BOTTOM) / 2} textAnchor="middle" className="tiny">
            will not dissolve
          </text>
        )}
        {axisBetween(floor, 100, 5).ticks.map(({ value: percent, text }) => (
          <text key={percent} x={LEFT - 7} y={y(percent) + 4} textAnchor="end" className="tiny">
            {text}
          </text>
        ))}
        {axisBetween(0, most, 5).ticks.map(({ value: ml, text }) => (
          <g key={ml}>
            <path d={`M${x(ml)} ${BOTTOM}v5`} stroke="var(--ink)" />
            <text x={x(ml)} y={BOTTOM + 18} textAnchor="middle" className="tiny">
              {text}
            </text>
          </g>
        ))}
        <path
          d={`M${LEFT} ${TOP}V${BOTTOM}H${width - AFTER}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
        {stays !== null && (
          <path d={`M${x(stays)} ${TOP}V${BOTTOM}`} stroke="var(--ice)" strokeDasharray="2 3" />
        )}
        <path d={path((point) => point.recoveryPercent)} fill="none" stroke="var(--ink)" strokeWidth="2.2" />
        {last?.purityPercent != null && (
          <path
            d={path((point) => point.purityPercent ?? 0)}
            fill="none"
            stroke="var(--teal)"
            strokeWidth="2.2"
          />
        )}
        <path d={`M${x(volumeML)} ${TOP - 26}V${BOTTOM}`} stroke="var(--teal)" strokeWidth="2" />
        {stays !== null && (
          <text
            x={x(stays) + (staysLeft ? -8 : 8)}
            y={BOTTOM - 8}
            textAnchor={staysLeft ? 'end' : 'start'}
            className="tiny label"
            style={{ fill: 'var(--ice)' }}
          >
            {impurity} just stays dissolved
          </text>
        )}
        {last && (
          <>
            <text
              x={width - AFTER - 2}
              y={y(last.recoveryPercent) + (last.recoveryPercent < (last.purityPercent ?? 100) ? 18 : -8)}
              textAnchor="end"
              className={`label ${css.onLine}`}
            >
              {product} recovered, %
            </text>
            <text
              x={width - AFTER - 2}
              y={y(last.purityPercent ?? 100) - 8}
              textAnchor="end"
              className={`label ${last.purityPercent === null ? 'tiny' : css.onLine}`}
              style={last.purityPercent === null ? undefined : { fill: 'var(--teal)' }}
            >
              {last.purityPercent === null
                ? 'purity not known: no solubility of the impurity'
                : 'purity of crystals at best, %'}
            </text>
          </>
        )}
        <g
          role={onChange ? 'slider' : undefined}
          tabIndex={onChange ? 0 : undefined}
          aria-label={onChange ? 'volume to use' : undefined}
          aria-valuemin={leastML}
          aria-valuemax={most}
          aria-valuenow={volumeML}
          aria-valuetext={`${millilitres(volumeML)} mL`}
          onKeyDown={(event) => {
            const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1, PageUp: 5, PageDown: -5 }[
              event.key
            ]
            if (by === undefined) return
            event.preventDefault()
            move(volumeML + by * inner)
          }}
        >
          <rect x={x(volumeML) - 26} y={TOP - 46} width="52" height="21" rx="3" fill="var(--teal)" />
          <text x={x(volumeML)} y={TOP - 31} textAnchor="middle" className="handle">
            {millilitres(volumeML)} mL
          </text>
        </g>
        <text x={width - AFTER} y={HEIGHT - 4} textAnchor="end" className="tiny">
          hot solvent in all, mL
        </text>
      </svg>
    </div>
  )
}

/** Steps a drag moves in: what a measuring cylinder shows. */
function stepOf(most: number): number {
  if (most < 1) return 0.02
  return most < 5 ? 0.1 : most < 60 ? 0.5 : 5
}
function ceilTo(ml: number, step: number): number {
  return Math.ceil(ml / step - 1e-9) * step
}
