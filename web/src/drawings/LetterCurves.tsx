import { solubilityAt } from '@ivory-crystal/core/solubility'
import { boilsFromC } from '@ivory-crystal/core/substances'
import type { LetteredSolvent } from '@ivory-crystal/core/practice'
import { axisUpTo } from './plot/axis'
import { pathOf } from './plot/path'
import { useWidth } from './useWidth'

const HEIGHT = 380
const LEFT = 52
const RIGHT = 30
const TOP = 26
const BOTTOM = 40
const DASHES = ['', '7 4', '2 4', '10 3 2 3', '4 2']

/** Solubility curves that are told apart by a letter at their end, each up to where its solvent boils. */
export function LetterCurves({ solvents }: { solvents: readonly LetteredSolvent[] }) {
  const [ref, width] = useWidth(620, 620)
  const boils = solvents.map(({ solvent }) => boilsFromC(solvent) ?? 80)
  const across = axisUpTo(Math.max(...boils), 8)
  const most = Math.max(...solvents.flatMap(({ points }) => points.map(([, s]) => s)))
  const up = axisUpTo(most, 6)
  const x = (c: number) => LEFT + (c / across.to) * (width - LEFT - RIGHT)
  const y = (s: number) => HEIGHT - BOTTOM - (s / up.to) * (HEIGHT - TOP - BOTTOM)
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        className="d-block"
        aria-label={`Solubility, g per 100 mL: ${solvents
          .map(
            ({ letter, points }) =>
              `${letter} ${points.map(([c, s]) => `${s.toFixed(1)} at ${c} °C`).join(', ')}`,
          )
          .join('; ')}`}
      >
        {across.ticks.map(({ value: c, text }) => (
          <g key={c}>
            <path d={`M${x(c)} ${TOP}V${HEIGHT - BOTTOM}`} stroke="var(--hair)" />
            <text x={x(c)} y={HEIGHT - BOTTOM + 17} fontSize="12" textAnchor="middle" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        {up.ticks.map(({ value: s, text }) => (
          <g key={s}>
            <path d={`M${LEFT} ${y(s)}H${width - RIGHT}`} stroke="var(--hair)" />
            <text x={LEFT - 7} y={y(s) + 4} fontSize="12" textAnchor="end" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        <text x={width - RIGHT} y={HEIGHT - 6} fontSize="12" textAnchor="end" fill="var(--ink-2)">
          temperature, °C
        </text>
        <text x={0} y={14} fontSize="12" fill="var(--ink-2)">
          g per 100 mL of solvent
        </text>
        {solvents.map(({ letter, points, solvent }, i) => {
          const toC = boilsFromC(solvent) ?? 80
          const along = Array.from({ length: 49 }, (_, at) => 2 + ((toC - 2) * at) / 48)
          const end = solubilityAt(points, toC).gPer100ML
          return (
            <g key={letter}>
              <path
                d={pathOf(along, x, (c) => y(solubilityAt(points, c).gPer100ML))}
                fill="none"
                stroke="var(--ink)"
                strokeWidth="2.2"
                strokeDasharray={DASHES[i]}
              />
              <circle cx={x(toC)} cy={y(end)} r="4" fill="var(--ember)" />
              <text
                x={x(toC) + 9}
                y={y(end) + 5}
                fontSize="17"
                fontWeight="700"
                className="label"
                fill="var(--ink)"
              >
                {letter}
              </text>
            </g>
          )
        })}
      </svg>
      <p className="quiet">The dot at the end of a curve is where its solvent boils.</p>
    </div>
  )
}
