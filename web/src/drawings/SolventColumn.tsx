import { gritMarkML } from '@ivory-crystal/core/solubility'
import { fixed } from '../format/format'
import { axisUpTo } from './plot/axis'

const HEIGHT = 430
const TOP = 14
const BOTTOM = HEIGHT - 34
const LEFT = 40
const RIGHT = 96

interface Mark {
  readonly ml: number
  readonly text: readonly string[]
  readonly tone: string
  readonly bold?: boolean
}

/**
 * Solvent so far against the plan: dissolving is near the least; what comes on top is added hot afterwards.
 */
export function SolventColumn({
  addedML,
  dissolveML,
  toML,
  staysDissolvedML,
  impurity,
  second = null,
  isDoubtful = false,
}: {
  /** null while planning: the column then stands filled to the plan. */
  addedML: number | null
  dissolveML: number
  toML: number
  staysDissolvedML: number | null
  impurity: string | null
  /** Name of a second solvent, that the solution is clouded with. */
  second?: string | null
  /** The least volume may be wrong: solid is called grit later. */
  isDoubtful?: boolean
}) {
  const decimals = toML < 1 ? 2 : 1
  const gritML = gritMarkML(dissolveML, isDoubtful)
  const axis = axisUpTo(Math.max(toML * 1.35, addedML ?? 0, gritML * 1.05, (staysDissolvedML ?? 0) * 1.1), 10)
  const most = axis.to
  const y = (ml: number) => BOTTOM - (Math.min(ml, most) / most) * (BOTTOM - TOP)
  const shown = addedML ?? toML
  const wanted: Mark[] = [
    {
      ml: dissolveML,
      text: [`dissolve ${fixed(dissolveML, decimals)}`],
      tone: 'var(--ink)',
      bold: addedML === null || addedML < dissolveML,
    },
    ...(second ? [] : [{ ml: gritML, text: ['solid left here', 'is grit'], tone: 'var(--ember)' }]),
    {
      ml: toML,
      text: second
        ? [second, `clouds near ${fixed(toML, decimals)}`]
        : [`dilute to ${fixed(toML, decimals)}`],
      tone: 'var(--teal)',
      bold: true,
    },
  ]
  if (staysDissolvedML !== null && Math.abs(staysDissolvedML - toML) > 0.02 * most)
    wanted.push({
      ml: staysDissolvedML,
      text: [`${impurity ?? 'impurity'} just`, 'stays dissolved'],
      tone: 'var(--ice)',
    })
  const marks = spread(
    wanted.filter((mark) => mark.ml <= most),
    y,
  )
  return (
    <figure className="m-0">
      <svg
        width="100%"
        viewBox={`0 0 212 ${HEIGHT}`}
        role="img"
        aria-label={`Solvent column: ${fixed(shown, decimals)} mL ${addedML === null ? 'planned' : 'added so far'}; dissolve near ${fixed(dissolveML, decimals)}, ${second ? 'clouds near' : 'dilute to'} ${fixed(toML, decimals)} mL.`}
      >
        <rect
          x={LEFT + 1}
          y={y(shown)}
          width={RIGHT - LEFT - 2}
          height={BOTTOM - y(shown)}
          fill="var(--ice-wash)"
        />
        {addedML === null && (
          <path d={`M${LEFT} ${y(dissolveML)}H${RIGHT}`} stroke="var(--ice)" strokeDasharray="3 3" />
        )}
        <path d={`M${LEFT} ${y(shown)}H${RIGHT}`} stroke="var(--ice)" strokeWidth="2" />
        <path
          d={`M${LEFT} ${TOP - 8}V${BOTTOM - 4}q0 8 8 8H${RIGHT - 8}q8 0 8-8V${TOP - 8}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.6"
        />
        {axis.ticks.map(({ value, text }) => (
          <g key={text}>
            <path d={`M${LEFT} ${y(value)}h8`} stroke="var(--ink)" />
            <text x={LEFT - 7} y={y(value) + 4} fontSize="12" textAnchor="end" fill="var(--ink-2)">
              {text}
            </text>
          </g>
        ))}
        {marks.map(({ mark, at }) => (
          <g key={mark.text[0]}>
            <path d={`M${RIGHT} ${y(mark.ml)}h6L${RIGHT + 11} ${at - 4}`} fill="none" stroke={mark.tone} />
            {mark.text.map((line, i) => (
              <text
                key={line}
                x={RIGHT + 14}
                y={at + i * 14}
                fontSize="12.5"
                fontWeight={mark.bold ? 700 : 400}
                fill={mark.tone}
              >
                {line}
              </text>
            ))}
          </g>
        ))}
        <text x={(LEFT + RIGHT) / 2} y={HEIGHT - 8} fontSize="12.5" textAnchor="middle" fill="var(--ink-2)">
          mL {addedML === null ? 'planned' : 'so far'}
        </text>
      </svg>
    </figure>
  )
}

/** Labels that would overlap are moved apart, from the bottom up. */
function spread(marks: readonly Mark[], y: (ml: number) => number): { mark: Mark; at: number }[] {
  const sorted = [...marks].sort((p, q) => p.ml - q.ml)
  let floor = HEIGHT
  return sorted.map((mark) => {
    const lines = mark.text.length
    const at = Math.max(16, Math.min(y(mark.ml) + 4, floor - lines * 14 - 3))
    floor = at
    return { mark, at }
  })
}
