import type { ReactNode } from 'react'

const OIL = '#d9b860'
const GLASS = 'var(--ink)'

/** One thing at a time of the oil-filled side-arm tube: what the sentence beside it is about is drawn heavy. */
export function SetUpPicture({ of }: { of: string }) {
  const focus = PARTS[of]
  if (!focus) return null
  return (
    <svg width="200" height="170" viewBox="0 0 200 170" className="d-block mt-1" aria-hidden>
      <SideArm oilTopY={46} />
      <g opacity="0.35">{THERMOMETER}</g>
      {focus}
    </svg>
  )
}

/** A tube with a bent arm from its middle back to its foot, filled with oil. */
function SideArm({ oilTopY }: { oilTopY: number }) {
  return (
    <>
      <path d={`M52 ${oilTopY}V140a10 10 0 0 0 20 0V${oilTopY}Z`} fill={OIL} opacity="0.45" />
      <path d="M72 62L112 92L112 108L72 140V126L100 104V98L72 76Z" fill={OIL} opacity="0.45" />
      <path
        d="M52 8V140a10 10 0 0 0 20 0L112 108V92L72 62V8M72 76L100 98V104L72 126Z"
        fill="none"
        stroke={GLASS}
        strokeWidth="1.3"
      />
    </>
  )
}

const THERMOMETER = (
  <>
    <path d="M62 2V62" stroke={GLASS} strokeWidth="2.4" />
    <circle cx="62" cy="69" r="5" fill="var(--ember)" />
  </>
)
const arrow = (x: number, y: number, words: string) => (
  <>
    <path d={`M${x} ${y}H${x + 18}`} stroke="var(--teal)" strokeWidth="2" />
    <text x={x + 22} y={y + 4} fontSize="12" fill="var(--teal)">
      {words}
    </text>
  </>
)
const CAPILLARY = <path d="M66 30V72" stroke="var(--teal)" strokeWidth="3" />

const PARTS: Readonly<Record<string, ReactNode>> = {
  'oil-level-and-head-space': (
    <>
      <path d="M50 46H74" stroke="var(--teal)" strokeWidth="3" />
      <path d="M84 12V44M80 16L84 10L88 16M80 40L84 46L88 40" stroke="var(--teal)" fill="none" />
      <text x="92" y="32" fontSize="12" fill="var(--teal)">
        head space
      </text>
    </>
  ),
  'stopper-vented': (
    <>
      <path d="M48 2H76L72 16H52Z" fill="none" stroke="var(--teal)" strokeWidth="2.4" />
      <path d="M70 2V16" stroke="var(--paper)" strokeWidth="4" />
      {arrow(80, 9, 'notch')}
    </>
  ),
  'bulb-at-the-junction': (
    <>
      <circle cx="62" cy="69" r="6" fill="var(--ember)" stroke="var(--teal)" strokeWidth="2" />
      {arrow(82, 55, 'junction')}
    </>
  ),
  'sample-at-the-bulb': (
    <>
      {CAPILLARY}
      <circle cx="62" cy="69" r="5" fill="var(--ember)" />
      <path d="M66 65V73" stroke="var(--ink)" strokeWidth="3.4" />
    </>
  ),
  'band-and-open-end-above-the-oil': (
    <>
      {CAPILLARY}
      <path d="M56 36H72" stroke="var(--teal)" strokeWidth="4" />
      {arrow(80, 36, 'above the oil')}
    </>
  ),
  'rings-slid-on-safely': (
    <>
      {CAPILLARY}
      <path d="M56 22H72" stroke="var(--teal)" strokeWidth="4" />
      <path d="M46 14V34M42 30L46 36L50 30" stroke="var(--teal)" fill="none" strokeWidth="1.6" />
    </>
  ),
  'flame-at-the-arm': <path d="M114 132c-9 10-9 22 0 26c9-4 9-16 0-26Z" fill="var(--ember)" stroke="none" />,
}
