import type { FlaskLook } from '@ivory-crystal/core/practice'
import { nextRandom } from '@ivory-crystal/core/math'

const WIDTH = 320
const HEIGHT = 300
/** Of a conical flask: foot and neck, half widths and heights, units of the drawing. */
const FOOT = { y: 250, half: 112 }
const NECK = { y: 92, half: 26 }
const RIM_Y = 46
/** Filled to this, mL. */
const FULL_ML = 60
const SPECKS_MOST = 160

const halfAt = (y: number) => NECK.half + ((FOOT.half - NECK.half) * (y - NECK.y)) / (FOOT.y - NECK.y)
const SEEN: Readonly<Record<Exclude<FlaskLook['looks'], 'specks'>, string>> = {
  dry: 'dry solid, no solvent',
  'melted dry': 'the dry solid has melted to an oil',
  slurry: 'much solid in the liquid',
  clear: 'a clear solution',
}

/** A flask as the eye sees it: the liquid, what is still solid in it, and whether it boils. */
export function FlaskDrawing({
  look,
  isOnPlate,
  seed,
}: {
  look: FlaskLook
  isOnPlate: boolean
  seed: number
}) {
  const depth = look.volumeML <= 0 ? 0 : 14 + 130 * Math.sqrt(Math.min(1, look.volumeML / FULL_ML))
  const top = FOOT.y - depth
  const specks = specksOf(seed, look)
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      style={{ maxWidth: 430 }}
      className="d-block mx-auto"
      role="img"
      aria-label={`Simulated flask ${isOnPlate ? 'on' : 'beside'} the hot plate: ${look.looks === 'specks' ? `${specks.length} specks in the liquid` : SEEN[look.looks]}${look.boils ? ', boiling' : ''}`}
    >
      <rect
        x="30"
        y={FOOT.y + 4}
        width={WIDTH - 60}
        height="26"
        fill={isOnPlate ? 'var(--ember)' : 'var(--hair)'}
        opacity={isOnPlate ? 0.55 : 1}
      />
      <text x={WIDTH / 2} y={FOOT.y + 46} fontSize="13" textAnchor="middle" fill="var(--ink-2)">
        {isOnPlate ? 'on the hot plate' : 'off the plate'}
      </text>
      <g transform={isOnPlate ? undefined : 'translate(0 -14)'}>
        {depth > 0 && (
          <path
            d={`M${WIDTH / 2 - halfAt(top)} ${top}L${WIDTH / 2 - FOOT.half} ${FOOT.y}H${WIDTH / 2 + FOOT.half}L${WIDTH / 2 + halfAt(top)} ${top}Z`}
            fill="var(--tan)"
            opacity={0.18 + 0.2 * (1 - look.solidShare)}
          />
        )}
        {specks.map(({ x, y, r }, i) => (
          <path
            key={i}
            d={`M${x - r} ${y}l${r * 0.7} ${-r}l${r * 1.1} ${r * 0.5}l${-r * 0.4} ${r * 1.1}z`}
            fill={look.looks === 'melted dry' ? 'var(--ember)' : '#d9bd62'}
            stroke="#8d7430"
            strokeWidth="0.7"
          />
        ))}
        {look.boils &&
          specksOf(seed + 1, { ...look, solidShare: 0.12, looks: 'slurry', isSwirling: true }).map(
            ({ x, y, r }, i) => (
              <circle
                key={i}
                cx={x}
                cy={y - 8}
                r={r * 0.8}
                fill="none"
                stroke="var(--ink-2)"
                strokeWidth="0.9"
              />
            ),
          )}
        <path
          d={`M${WIDTH / 2 - NECK.half - 5} ${RIM_Y}H${WIDTH / 2 - NECK.half}V${NECK.y}L${WIDTH / 2 - FOOT.half} ${FOOT.y - 8}q-2 10 8 10H${WIDTH / 2 + FOOT.half - 8}q10 0 8 -10L${WIDTH / 2 + NECK.half} ${NECK.y}V${RIM_Y}H${WIDTH / 2 + NECK.half + 5}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="2"
        />
        {look.isSwirling && (
          <path
            d={`M${WIDTH / 2 - 40} ${Math.max(top, NECK.y) + 6}q40 14 80 0`}
            fill="none"
            stroke="var(--teal)"
            strokeWidth="2"
          />
        )}
      </g>
    </svg>
  )
}

/** Where the solid lies: at the foot, or about the liquid while it is swirled. */
function specksOf(
  seed: number,
  { solidShare, gritShare, isSwirling, volumeML }: FlaskLook,
): readonly { readonly x: number; readonly y: number; readonly r: number }[] {
  const count = Math.min(
    SPECKS_MOST,
    Math.ceil(SPECKS_MOST * Math.max(solidShare, solidShare > 0 ? gritShare : 0)),
  )
  const depth = volumeML <= 0 ? 26 : 14 + 130 * Math.sqrt(Math.min(1, volumeML / FULL_ML))
  let state = seed
  const draw = () => {
    const next = nextRandom(state)
    state = next.state
    return next.value
  }
  return Array.from({ length: count }, () => {
    const [a, b, c] = [draw(), draw(), draw()]
    const up =
      isSwirling && volumeML > 0
        ? (depth - 10) * b
        : Math.min(depth - 8, 4 + 22 * b * b * Math.sqrt(Math.max(0.15, solidShare)))
    const y = FOOT.y - 6 - up
    return { x: WIDTH / 2 + (2 * a - 1) * (halfAt(y) - 10), y, r: 2.2 + 2.6 * c }
  })
}
