const WIDTH = 430
const PX_PER_C = 24
const MIDDLE = WIDTH / 2
const TICKS_EACH_WAY = 9

/**
 * A stretch of a glass thermometer as the eye has it before it: scale and thread, and no number but those on the
 * scale. It is read, not told.
 */
export function Thermometer({
  valueC,
  lowC,
  highC,
}: {
  /** null while nothing is known of it: the scale from its lower end, and no thread. */
  valueC: number | null
  lowC: number
  highC: number
}) {
  const centre = Math.round((valueC ?? Math.max(lowC, 0) + TICKS_EACH_WAY) / 5) * 5
  const x = (c: number) => MIDDLE + (c - centre) * PX_PER_C
  const ticks = Array.from({ length: 2 * TICKS_EACH_WAY + 1 }, (_, i) => centre - TICKS_EACH_WAY + i).filter(
    (c) => c >= lowC && c <= highC,
  )
  return (
    <svg
      width="100%"
      viewBox={`0 0 ${WIDTH} 74`}
      style={{ maxWidth: WIDTH }}
      className="d-block"
      role="img"
      aria-label={`Thermometer from ${lowC} to ${highC} °C, to be read by eye${valueC === null ? '; nothing has been read yet' : ''}`}
    >
      <rect
        x="1"
        y="8"
        width={WIDTH - 2}
        height="22"
        rx="11"
        fill="var(--paper-2, transparent)"
        stroke="var(--ink)"
      />
      {valueC !== null && (
        <>
          <rect
            x="3"
            y="16"
            width={Math.max(0, Math.min(WIDTH - 6, x(valueC) - 3))}
            height="6"
            fill="var(--ember)"
          />
          {/* It clings to the glass, and is read at its middle. */}
          <path d={`M${x(valueC)} 16h1.8q-3.6 3 0 6h-1.8Z`} fill="var(--ember)" />
        </>
      )}
      {ticks.map((c) => (
        <g key={c}>
          <path
            d={`M${x(c)} 30v${c % 5 === 0 ? 16 : 9}`}
            stroke="var(--ink)"
            strokeWidth={c % 5 === 0 ? 1.6 : 1}
          />
          {c % 5 === 0 && (
            <text x={x(c)} y="64" fontSize="15" textAnchor="middle" fill="var(--ink)">
              {c}
            </text>
          )}
        </g>
      ))}
    </svg>
  )
}
