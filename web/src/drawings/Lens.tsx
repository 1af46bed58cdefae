import css from './Lens.module.css'
import { useEffect, useMemo, useRef } from 'react'
import type { TubeReading } from '@ivory-crystal/core/instruments'
import { grainPlate, groundPlate, paintGlass, paintRim, paintSlot, paintTube } from './lens/paint'
import { FIELD, type Grain, packPowder, type Powder, seedOf, TUBE } from './lens/powder'
import { isStill, sceneOf, type Shown, shownAs, towards } from './lens/scene'
import { type Tint, tintOf } from './lens/tint'
import { LOOKS_LIKE } from './TubeDrawing'
import { useWidth } from './useWidth'

/** What is packed in a slot of the block. */
export interface LensTube {
  readonly slot: number
  /** Of the sample and its slot: the same tube looks the same again. */
  readonly seed: string
  readonly fillMm: number
  readonly grain: Grain
  /** Colour of the powder, in the words of its row; null where nobody has said. */
  readonly colour: string | null
}
const SLOTS = [1, 2, 3] as const

/**
 * The simulated tubes as the eye at the lens sees them now. It shows; it does not name or foretell. All it draws
 * follows from the tubes' state as read; between two readings it moves from the one to the other.
 */
export function Lens({ tubes, readings }: { tubes: readonly LensTube[]; readings: readonly TubeReading[] }) {
  const [frame, width] = useWidth(FIELD.width)
  return (
    <div className={css.lens} ref={frame}>
      <LensCanvas tubes={tubes} readings={readings} width={Math.min(width, MOST_WIDE)} />
      {readings.every(({ look }) => look === 'not in') && <p className={css.empty}>No tube is in yet.</p>}
      {SLOTS.map((slot) => {
        const index = tubes.findIndex((tube) => tube.slot === slot)
        const reading = index >= 0 ? readings[index] : undefined
        return (
          <span
            key={slot}
            className={'visually-hidden'}
            {...(reading ? { role: 'img' } : {})}
            {...(reading ? { 'aria-label': `Simulated tube ${slot}: ${LOOKS_LIKE[reading.look]}` } : {})}
          >
            {reading ? null : `no tube in slot ${slot}`}
          </span>
        )
      })}
    </div>
  )
}
/** Slots are numbered in letters of this size at least, px. */
const SLOT_PX = 13
/** Larger than this a lens shows no more, units of the page. */
const MOST_WIDE = 1100

interface Packed {
  readonly slot: number
  readonly powder: Powder
  readonly tint: Tint
}

function LensCanvas({
  tubes,
  readings,
  width,
}: {
  tubes: readonly LensTube[]
  readings: readonly TubeReading[]
  width: number
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const packed = useMemo(
    () =>
      tubes.map(({ slot, seed, fillMm, grain, colour }): Packed => ({
        slot,
        powder: packPowder(seedOf(seed), fillMm, grain),
        tint: tintOf(colour),
      })),
    [tubes],
  )
  const shown = useRef<readonly Shown[]>([])
  const height = (width * FIELD.height) / FIELD.width
  const dots = Math.min(2, globalThis.devicePixelRatio || 1)
  const scale = (width * dots) / FIELD.width
  const plates = useMemo(
    () =>
      typeof CanvasRenderingContext2D === 'undefined' || width === 0
        ? null
        : { ground: groundPlate(scale), grains: packed.map(({ tint }) => grainPlate(tint, scale)) },
    [packed, scale, width],
  )
  useEffect(() => {
    // The canvas is outside React: it is painted at every frame until it has come to what was read last.
    const draw = canvas.current?.getContext('2d')
    if (!draw || !plates) return
    const read = readings.map(shownAs)
    if (shown.current.length !== read.length || isMotionReduced()) shown.current = read
    let last = performance.now()
    let next = 0
    const paint = (now: number) => {
      const seconds = Math.min(0.25, Math.max(0, (now - last) / 1000))
      last = now
      shown.current = read.map((goal, i) => towards(shown.current[i] ?? goal, goal, seconds))
      draw.setTransform(1, 0, 0, 1, 0, 0)
      draw.clearRect(0, 0, draw.canvas.width, draw.canvas.height)
      draw.drawImage(plates.ground, 0, 0)
      draw.setTransform(scale, 0, 0, scale, 0, 0)
      for (const slot of SLOTS) {
        const x = TUBE.xs[slot - 1] ?? 0
        const i = packed.findIndex((one) => one.slot === slot)
        const [one, now_, grains] = [packed[i], shown.current[i], plates.grains[i]]
        const isIn = one !== undefined && now_ !== undefined && now_.look !== 'not in'
        paintSlot(draw, x, slot, isIn, (SLOT_PX * dots) / scale)
        if (!isIn || !grains) continue
        paintTube(draw, x, sceneOf(one.powder, now_, now / 1000), one.tint, grains, scale)
        paintGlass(draw, x)
      }
      paintRim(draw)
      const moves = read.some(
        (goal, i) => goal.look === 'bubbling' || !isStill(shown.current[i] ?? goal, goal),
      )
      if (moves && !isMotionReduced()) next = requestAnimationFrame(paint)
    }
    next = requestAnimationFrame(paint)
    return () => {
      cancelAnimationFrame(next)
    }
  }, [readings, packed, plates, scale, dots])
  return (
    <canvas
      ref={canvas}
      className={css.canvas}
      aria-hidden
      width={Math.round(width * dots)}
      height={Math.round(height * dots)}
      style={{ width, height }}
    />
  )
}

function isMotionReduced(): boolean {
  return globalThis.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false
}
