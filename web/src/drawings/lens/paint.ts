import { nextRandom } from '@ivory-crystal/core/math'
import { FIELD, TUBE } from './powder'
import type { Scene } from './scene'
import { css, deepened, mix, type Tint } from './tint'

/** Shapes a grain can have, in so many shades from behind to in front. */
const SHAPES = 10
const SHADES = 3
/** A drawn shape has this radius, units; grains are drawn smaller or larger from it. */
const SPRITE_RADIUS = 10
const SPRITE_CELL = 26

const BROWN: Tint = [74, 44, 20]
const SHADOW: Tint = [92, 74, 44]

/** A canvas apart from the page, drawn once and copied from. */
type Plate = HTMLCanvasElement

function plate(width: number, height: number): readonly [Plate, CanvasRenderingContext2D] {
  const canvas = document.createElement('canvas')
  canvas.width = Math.ceil(width)
  canvas.height = Math.ceil(height)
  return [canvas, canvas.getContext('2d') as CanvasRenderingContext2D]
}

/** Light from the middle, dimmer towards the rim, the block's shoulders on both sides. */
export function groundPlate(scale: number): Plate {
  const [canvas, draw] = plate(FIELD.width * scale, FIELD.height * scale)
  draw.scale(scale, scale)
  ellipse(draw)
  draw.clip()
  const [x, y] = [FIELD.width / 2, FIELD.height / 2]
  const light = draw.createRadialGradient(x, y - 20, 30, x, y, FIELD.width / 2)
  light.addColorStop(0, '#fffefa')
  light.addColorStop(0.45, '#fbf5e6')
  light.addColorStop(1, '#e4d3b4')
  draw.fillStyle = light
  draw.fillRect(0, 0, FIELD.width, FIELD.height)
  draw.fillStyle = 'rgba(74, 58, 34, 0.22)'
  draw.fillRect(0, 0, 72, FIELD.height)
  draw.fillRect(FIELD.width - 72, 0, 72, FIELD.height)
  return canvas
}

/** Outline of the lens, over everything. */
export function paintRim(draw: CanvasRenderingContext2D): void {
  ellipse(draw)
  draw.lineWidth = 1.6
  draw.strokeStyle = '#5b4f3f'
  draw.stroke()
}

function ellipse(draw: CanvasRenderingContext2D): void {
  draw.beginPath()
  draw.ellipse(
    FIELD.width / 2,
    FIELD.height / 2,
    FIELD.width / 2 - 1,
    FIELD.height / 2 - 1,
    0,
    0,
    2 * Math.PI,
  )
}

/** The shapes of one powder's grains, drawn once: small irregular polygons with a darker edge. */
export function grainPlate(tint: Tint, scale: number): Plate {
  const [canvas, draw] = plate(SPRITE_CELL * SHAPES * scale, SPRITE_CELL * SHADES * scale)
  draw.scale(scale, scale)
  let state = 7
  const random = () => {
    const drawn = nextRandom(state)
    state = drawn.state
    return drawn.value
  }
  const corners = Array.from({ length: SHAPES }, () => {
    const count = 5 + Math.floor(3 * random())
    const turn = random() * Math.PI
    return Array.from({ length: count }, (_, i) => {
      const angle = turn + ((i + 0.4 * (random() - 0.5)) * 2 * Math.PI) / count
      const radius = SPRITE_RADIUS * (0.72 + 0.28 * random())
      return [radius * Math.cos(angle), radius * Math.sin(angle)] as const
    })
  })
  for (let shade = 0; shade < SHADES; shade++)
    corners.forEach((points, shape) => {
      const lit = mix(mix(tint, SHADOW, 0.2), mix(tint, [255, 255, 250], 0.3), shade / (SHADES - 1))
      draw.save()
      draw.translate((shape + 0.5) * SPRITE_CELL, (shade + 0.5) * SPRITE_CELL)
      draw.beginPath()
      points.forEach(([x, y], i) => {
        if (i === 0) draw.moveTo(x, y)
        else draw.lineTo(x, y)
      })
      draw.closePath()
      draw.fillStyle = css(mix(lit, [255, 255, 250], 0.12 * (shape % 3)))
      draw.fill()
      draw.lineWidth = 1.3
      draw.strokeStyle = css(mix(tint, SHADOW, 0.55), 0.75)
      draw.stroke()
      draw.restore()
    })
  return canvas
}

/** The bore of a tube up to a height: straight, and round at the bottom. */
function bore(draw: CanvasRenderingContext2D, x: number, up: number, meniscus: number): void {
  const half = TUBE.halfWidth - 2
  const base = TUBE.bottomY - 3
  const top = base - up
  draw.beginPath()
  draw.moveTo(x - half, top)
  draw.quadraticCurveTo(x, top + 2 * meniscus, x + half, top)
  if (up > half) draw.lineTo(x + half, base - half)
  draw.arc(x, base - half, half, 0, Math.PI)
  draw.closePath()
}

/** What is in a tube. */
export function paintTube(
  draw: CanvasRenderingContext2D,
  x: number,
  scene: Scene,
  tint: Tint,
  grains: Plate,
  scale: number,
): void {
  const base = TUBE.bottomY - 3
  const melt = mix(deepened(tint), BROWN, 0.8 * scene.dark)
  if (scene.pool) {
    bore(draw, x, scene.pool.up, scene.pool.meniscus)
    draw.fillStyle = css(melt, 0.78 * scene.pool.opacity)
    draw.fill()
  }
  const cell = SPRITE_CELL * scale
  for (const { grain, x: across, up, opacity } of scene.grains) {
    const size = (SPRITE_CELL * grain.size) / (2 * SPRITE_RADIUS)
    const shade = Math.min(SHADES - 1, Math.floor(((grain.z + 1) / 2) * SHADES))
    const shape = Math.min(SHAPES - 1, Math.floor(grain.shape * SHAPES))
    draw.globalAlpha = opacity
    draw.drawImage(
      grains,
      shape * cell,
      shade * cell,
      cell,
      cell,
      x + across - size,
      base - up - size,
      2 * size,
      2 * size,
    )
  }
  draw.globalAlpha = 1
  if (scene.pool) {
    // What is afloat is seen through the melt.
    bore(draw, x, scene.pool.up, scene.pool.meniscus)
    draw.fillStyle = css(melt, 0.18 * scene.pool.opacity)
    draw.fill()
    paintMeniscus(draw, x, base - scene.pool.up, scene.pool.meniscus)
  }
  for (const { side, up, length } of scene.wets) {
    draw.beginPath()
    draw.ellipse(x + side * (TUBE.halfWidth - 4.5), base - up, 1.7, length, 0, 0, 2 * Math.PI)
    draw.fillStyle = css(melt, 0.75)
    draw.fill()
    draw.beginPath()
    draw.arc(x + side * (TUBE.halfWidth - 5), base - up - length * 0.35, 0.9, 0, 2 * Math.PI)
    draw.fillStyle = 'rgba(255, 255, 255, 0.9)'
    draw.fill()
  }
  for (const drop of scene.drops) paintDrop(draw, x + drop.x, base - drop.up, drop.radius, melt)
  for (const bubble of scene.bubbles) {
    draw.beginPath()
    draw.arc(x + bubble.x, base - bubble.up, bubble.radius, 0, 2 * Math.PI)
    draw.fillStyle = 'rgba(255, 250, 238, 0.35)'
    draw.fill()
    draw.lineWidth = 1
    draw.strokeStyle = 'rgba(40, 26, 12, 0.6)'
    draw.stroke()
  }
}

function paintMeniscus(draw: CanvasRenderingContext2D, x: number, y: number, depth: number): void {
  if (depth <= 0) return
  const half = TUBE.halfWidth - 2
  draw.beginPath()
  draw.moveTo(x - half, y)
  draw.quadraticCurveTo(x, y + 2 * depth, x + half, y)
  draw.lineWidth = 1.6
  draw.strokeStyle = 'rgba(70, 52, 24, 0.55)'
  draw.stroke()
}

/** A drop: the melt's colour gathered to a ball, with one highlight. */
function paintDrop(draw: CanvasRenderingContext2D, x: number, y: number, radius: number, melt: Tint): void {
  draw.beginPath()
  draw.arc(x, y, radius, 0, 2 * Math.PI)
  const ball = draw.createRadialGradient(x - radius * 0.3, y - radius * 0.35, radius * 0.1, x, y, radius)
  ball.addColorStop(0, css(mix(melt, [255, 255, 250], 0.55), 0.97))
  ball.addColorStop(0.65, css(melt, 0.97))
  ball.addColorStop(1, css(mix(melt, SHADOW, 0.6), 0.97))
  draw.fillStyle = ball
  draw.fill()
  draw.beginPath()
  draw.ellipse(x - radius * 0.32, y - radius * 0.38, radius * 0.26, radius * 0.17, -0.6, 0, 2 * Math.PI)
  draw.fillStyle = 'rgba(255, 255, 255, 0.95)'
  draw.fill()
}

/** The glass in front of it: two grey strokes and one glint. */
export function paintGlass(draw: CanvasRenderingContext2D, x: number): void {
  const half = TUBE.halfWidth
  draw.beginPath()
  draw.moveTo(x - half, TUBE.topY)
  draw.lineTo(x - half, TUBE.bottomY - half)
  draw.arc(x, TUBE.bottomY - half, half, Math.PI, 0, true)
  draw.lineTo(x + half, TUBE.topY)
  draw.lineWidth = 4.5
  draw.strokeStyle = 'rgba(140, 130, 116, 0.85)'
  draw.stroke()
  draw.beginPath()
  draw.moveTo(x - half + 6, TUBE.topY + 4)
  draw.lineTo(x - half + 6, TUBE.bottomY - half - 6)
  draw.lineWidth = 2
  draw.strokeStyle = 'rgba(255, 255, 255, 0.6)'
  draw.stroke()
}

/** Which slot it is, in letters of a size in units. */
export function paintSlot(
  draw: CanvasRenderingContext2D,
  x: number,
  slot: number,
  isIn: boolean,
  size: number,
): void {
  draw.font = `700 ${Math.max(15, size)}px 'Atkinson Hyperlegible Next Variable', sans-serif`
  draw.textAlign = 'center'
  draw.fillStyle = isIn ? '#211c16' : '#8a7c68'
  draw.fillText(String(slot), x, TUBE.bottomY + 30)
}
