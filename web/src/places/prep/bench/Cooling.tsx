import { linesOf, type PlanFixed, type PrepFacts } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { crystallizedFraction, depositsFromC } from '@ivory-crystal/core/solubility'
import { clock, fixed } from '../../../format/format'
import { pathOf } from '../../../drawings/plot/path'
import { useWidth } from '../../../drawings/useWidth'
import { Why } from '../../../parts/Why'
import { strike, useNotebook } from '../../../ledger/notebook'
import Button from 'react-bootstrap/Button'

const HEIGHT = 190
const TOP = 12
const BOTTOM = HEIGHT - 36
const LEFT = 34
const POINTS = 60

/** How much should have crystallized by now: predicted against temperature, the readings on it. */
export function Cooling({ prep, plan }: { prep: PrepFacts; plan: PlanFixed }) {
  const view = useNotebook((state) => state.view)
  const read = linesOf(view, prep.id, 'temperature read')
  const starts = attempt(() => depositsFromC(plan.input))
  if (plan.procedure.collect === 'watch glass' || !starts.ok) return null
  const last = read[read.length - 1]
  return (
    <div>
      <h3>
        Crystallizing <Why of="cooling" />
      </h3>
      <Curve plan={plan} readC={read.map(({ body }) => body.temperature.value)} />
      <p className="quiet mb-0">
        Crystals can start near {fixed(starts.value, 0)} °C, often later. The line shows how much crystallizes
        in the end.
      </p>
      {read.map((one) => (
        <p key={one.id} className={one === last ? 'mb-0 mt-1' : 'quiet mb-0 mt-1'}>
          {one.body.temperature.text} °C at {clock(one.at)}
          {one === last && <>: {predicted(plan, one.body.temperature.value)}</>}{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(one, 'read again')
            }}
          >
            strike out
          </Button>
        </p>
      ))}
    </div>
  )
}

function predicted(plan: PlanFixed, c: number): string {
  const fraction = attempt(() => crystallizedFraction(plan.input, c))
  return fraction.ok ? `up to ${fixed(100 * fraction.value, 0)} % of the ${plan.compound.name} by now.` : ''
}

function Curve({ plan, readC }: { plan: PlanFixed; readC: readonly number[] }) {
  const [frame, width] = useWidth(280)
  const { hotC, coldC } = plan.input
  const fraction = (c: number) => {
    const value = attempt(() => crystallizedFraction(plan.input, c))
    return value.ok ? value.value : 0
  }
  // Cooling runs from left to right.
  const x = (c: number) => LEFT + ((hotC - c) / (hotC - coldC)) * (width - LEFT - 12)
  const y = (share: number) => BOTTOM - share * (BOTTOM - TOP)
  const along = Array.from({ length: POINTS + 1 }, (_, i) => hotC - ((hotC - coldC) * i) / POINTS)
  const path = pathOf(along, x, (c) => y(fraction(c)))
  const ticks = [hotC, (hotC + coldC) / 2, coldC].map(Math.round)
  return (
    <div ref={frame}>
      <svg
        width={width}
        height={HEIGHT}
        role="img"
        aria-label={`Predicted share of ${plan.compound.name} crystallized: ${[60, 40, 20, coldC].map((c) => `${fixed(100 * fraction(c), 0)} % at ${c} °C`).join(', ')}`}
      >
        <rect
          x={x(Math.min(20, hotC))}
          y={TOP}
          width={width - 12 - x(Math.min(20, hotC))}
          height={BOTTOM - TOP}
          fill="var(--ice-wash)"
        />
        <path
          d={`M${LEFT} ${TOP}V${BOTTOM}H${width - 12}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth="1.2"
        />
        {[0, 50, 100].map((percent) => (
          <text key={percent} x={LEFT - 6} y={y(percent / 100) + 4} textAnchor="end" className="tiny">
            {percent}
          </text>
        ))}
        {ticks.map((c) => (
          <text
            key={c}
            x={x(c)}
            y={BOTTOM + 16}
            textAnchor={c === ticks[0] ? 'start' : c === ticks[2] ? 'end' : 'middle'}
            className="tiny"
          >
            {c} °C
          </text>
        ))}
        <path d={path} fill="none" stroke="var(--ice)" strokeWidth="2.2" />
        {readC
          .filter((c) => c <= hotC && c >= coldC - 3)
          .map((c, i) => (
            <circle key={i} cx={x(Math.max(c, coldC))} cy={y(fraction(c))} r="4" fill="var(--ink)" />
          ))}
        <text x={width - 12} y={HEIGHT - 2} textAnchor="end" className="tiny">
          % crystallized, while it cools →
        </text>
      </svg>
    </div>
  )
}
