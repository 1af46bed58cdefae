import css from './Score.module.css'
import classNames from 'classnames'
import { type KeyboardEvent, type PointerEvent, useState } from 'react'
import type { PlacedBar, Tone } from './scoreLayout'

const FONT_PX = 12
/** Steps of the keys and of dragging, min. */
const STEP_MIN = 5

const FILLED: Readonly<Record<Tone, string>> = {
  ink: 'var(--ink)',
  ember: 'var(--ember)',
  ice: 'var(--ice)',
  tan: 'var(--tan)',
}
const PALE: Readonly<Record<Tone, string>> = {
  ink: 'color-mix(in srgb, var(--ink) 30%, var(--ground))',
  ember: 'color-mix(in srgb, var(--ember) 30%, var(--ground))',
  ice: 'color-mix(in srgb, var(--ice) 34%, var(--ground))',
  tan: 'color-mix(in srgb, var(--tan) 45%, var(--ground))',
}

/** On the lane of the hands each prep has a tint of its own. */
const TINTS = ['--ink', '--teal', '--tan', '--ice'] as const
const tintOf = ({ tone, whose }: PlacedBar, isPale: boolean) => {
  const tint = TINTS[(whose?.tint ?? 0) % TINTS.length] ?? '--ink'
  if (tone !== 'ink' || whose === null) return isPale ? PALE[tone] : FILLED[tone]
  return isPale
    ? `color-mix(in srgb, var(${tint}) ${tint === '--tan' ? 55 : 32}%, var(--ground))`
    : `var(${tint})`
}

/** What can be done with a bar that has not begun. */
export interface Does {
  readonly chosen: string | null
  readonly onChoose: (id: string) => void
  /** A bar is put off by so many minutes. */
  readonly onLater: (id: string, byMin: number) => void
  readonly onAside: (id: string) => void
}

interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

/** One task on one lane. */
export function ScoreBar({
  bar,
  box,
  turnsAt,
  pxAMinute,
  axis,
  chosen,
  onChoose,
  onLater,
  onAside,
}: {
  bar: PlacedBar
  box: Box
  /** Where what was becomes what is planned, px along; null for a bar of one sort. */
  turnsAt: number | null
  pxAMinute: number
  axis: 'x' | 'y'
} & Does) {
  const [dragged, setDragged] = useState<{ readonly from: number; readonly by: number } | null>(null)
  const by = Math.max(0, dragged?.by ?? 0)
  const along = (event: PointerEvent) => (axis === 'x' ? event.clientX : event.clientY)
  const isFilled = bar.is === 'was'
  const length = axis === 'x' ? box.width : box.height
  const was = turnsAt === null ? (isFilled ? length : 0) : Math.min(length, Math.max(0, turnsAt))
  const part = (from: number, to: number): Box =>
    axis === 'x'
      ? { ...box, x: box.x + from, width: Math.max(0, to - from) }
      : { ...box, y: box.y + from, height: Math.max(0, to - from) }
  const isTan =
    bar.tone === 'tan' ||
    (bar.tone === 'ink' && bar.whose !== null && TINTS[bar.whose.tint % TINTS.length] === '--tan')
  const isDark = isFilled && !isTan
  const keys = (event: KeyboardEvent) => {
    if (!bar.movable) return
    if (event.key === 'ArrowRight' || event.key === 'ArrowDown') onLater(bar.id, STEP_MIN)
    else if (event.key === 'Delete') onAside(bar.id)
    else if (event.key === 'Enter' || event.key === ' ') onChoose(bar.id)
    else return
    event.preventDefault()
  }
  const shape = bar.rising && axis === 'x' ? rising(box) : null
  return (
    <g
      className={classNames(css.bar, bar.movable && css.movable, chosen === bar.id && css.chosen)}
      role={bar.movable ? 'button' : 'img'}
      tabIndex={bar.movable ? 0 : undefined}
      aria-label={bar.words}
      aria-pressed={bar.movable ? chosen === bar.id : undefined}
      data-task={bar.id}
      data-is={bar.is}
      transform={by > 0 ? (axis === 'x' ? `translate(${by} 0)` : `translate(0 ${by})`) : undefined}
      onKeyDown={keys}
      onPointerDown={(event) => {
        if (!bar.movable) return
        event.currentTarget.setPointerCapture(event.pointerId)
        setDragged({ from: along(event), by: 0 })
      }}
      onPointerMove={(event) => {
        if (dragged) setDragged({ from: dragged.from, by: along(event) - dragged.from })
      }}
      onPointerUp={() => {
        if (!dragged) return
        const min = STEP_MIN * Math.round(by / pxAMinute / STEP_MIN)
        setDragged(null)
        if (min > 0) onLater(bar.id, min)
        else if (Math.abs(dragged.by) < 5) onChoose(bar.id)
      }}
      onPointerCancel={() => {
        setDragged(null)
      }}
    >
      <title>{bar.words}</title>
      {shape ? (
        <path d={shape} fill={tintOf(bar, !isFilled)} />
      ) : (
        <>
          <rect {...apart(part(was, length), axis)} fill={tintOf(bar, true)} />
          <rect {...apart(part(0, was), axis)} fill={tintOf(bar, false)} />
        </>
      )}
      {bar.critical && axis === 'x' && (
        <rect x={box.x} y={box.y + box.height + 1.5} width={box.width} height="3" fill="var(--ink)" />
      )}
      {bar.critical && axis === 'y' && (
        <rect x={box.x - 3.5} y={box.y} width="3" height={box.height} fill="var(--ink)" />
      )}
      {bar.lines.map((line, i) => (
        <text
          key={line}
          x={box.x + (axis === 'x' ? bar.textAt : 4)}
          y={
            (axis === 'x' ? box.y + box.height / 2 + 4 : box.y + Math.min(box.height / 2 + 4, 15)) +
            (i - (bar.lines.length - 1) / 2) * 14
          }
          fontSize={FONT_PX}
          fontWeight="600"
          fill={isDark || (was > length / 2 && !isTan) ? 'var(--ground)' : 'var(--ink)'}
        >
          {line}
        </text>
      ))}
    </g>
  )
}

/** Bars that follow each other are told apart by a hair’s breadth. */
function apart(box: Box, axis: 'x' | 'y'): Box {
  const less = (length: number) => (length > 2 ? length - 1 : length)
  return axis === 'x' ? { ...box, width: less(box.width) } : { ...box, height: less(box.height) }
}

/** A block that heats up: low at first, high at the end. */
function rising({ x, y, width, height }: Box): string {
  return `M${x} ${y + height}L${x + width} ${y + height * 0.25}V${y + height}Z`
}
