import type { TubeReading } from '@ivory-crystal/core/instruments'
import type { TubeLook } from '@ivory-crystal/core/melting'

/** What is seen of a tube, in words, and no more. */
export const LOOKS_LIKE: Readonly<Record<TubeLook, string>> = {
  'not in': 'not in the block',
  powder: 'dry powder',
  shrunk: 'pulled away from the wall',
  sweating: 'wet at the wall',
  drops: 'drops in the bulk',
  slush: 'slush',
  'last crystals': 'a few crystals left',
  clear: 'clear liquid',
  bubbling: 'bubbles, darkening',
}
const POWDER = '#e9d79a'
const MELT = '#d7a93e'

/** Looks at which no melt has run together yet. */
const DRY: readonly TubeLook[] = ['not in', 'powder', 'shrunk', 'sweating']

/** A capillary as the eye at the lens would see it. */
export function TubeDrawing({ tube, name }: { tube: TubeReading; name: string }) {
  const { look, liquidFraction } = tube
  const out = look === 'not in'
  const shrink = look === 'powder' || out ? 0 : 3
  const liquid = look === 'clear' || look === 'bubbling' ? 1 : liquidFraction
  const solidTop = 22 + 36 * liquid * 0.9
  return (
    <svg
      width="72"
      height="96"
      viewBox="0 0 72 96"
      role="img"
      aria-label={`${name}: ${LOOKS_LIKE[look]}`}
      opacity={out ? 0.45 : 1}
    >
      <path d="M24 2v74q0 12 12 12t12-12V2" fill="var(--paper)" stroke="var(--ink-2)" strokeWidth="1.4" />
      {liquid > 0 && !DRY.includes(look) && (
        <path
          d={`M25.5 ${80 - 46 * Math.min(1, 0.35 + liquid * 0.4)}V76q0 10.5 10.5 10.5T46.5 76V${80 - 46 * Math.min(1, 0.35 + liquid * 0.4)}z`}
          fill={MELT}
          opacity="0.75"
        />
      )}
      {liquid < 1 && (
        <path
          d={`M${26 + shrink} ${solidTop}h${20 - 2 * shrink}V76q0 ${10 - shrink} -${10 - shrink} ${10 - shrink}t-${10 - shrink} -${10 - shrink}z`}
          fill={POWDER}
          stroke="#b79c4b"
          strokeDasharray="1.5 1.8"
          opacity={1 - 0.75 * liquid}
        />
      )}
      {look === 'sweating' && (
        <g fill={MELT}>
          <circle cx="26.5" cy="50" r="2" />
          <circle cx="45.5" cy="62" r="2" />
          <circle cx="45" cy="40" r="1.6" />
        </g>
      )}
      {look === 'drops' && (
        <g fill={MELT}>
          <circle cx="32" cy="56" r="4" />
          <circle cx="41" cy="68" r="4.5" />
          <circle cx="38" cy="45" r="3" />
        </g>
      )}
      {look === 'last crystals' && (
        <g fill={POWDER} stroke="#b79c4b" strokeWidth="0.6">
          <path d="M33 70l4-3 2 4z" />
          <path d="M39 63l3-2 1 4z" />
        </g>
      )}
      {look === 'bubbling' && (
        <g fill="none" stroke="var(--ink)">
          <circle cx="33" cy="60" r="3" />
          <circle cx="40" cy="50" r="2.4" />
        </g>
      )}
    </svg>
  )
}
