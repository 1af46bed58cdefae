import css from '../../../parts/steps.module.css'
import classNames from 'classnames'
import { drynessOf, type PrepFacts } from '@ivory-crystal/core/notebook'
import { clock, fixed } from '../../../format/format'
import { pathOf } from '../../../drawings/plot/path'
import { useNotebook } from '../../../ledger/notebook'
import { AskedOnce } from '../../../parts/AskedOnce'
import { StepLine } from '../bench/StepLine'
import { TimerPanel } from '../bench/TimerPanel'

/** How dry it is by house rules, the weighings so far as a trend, and the steps that are left. */
export function Drying({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const { rule, isDry, trend, sentence } = drynessOf(view, prep)
  const steps = prep.steps.filter((step) => step.station === 'weigh')
  const next = steps.find((step) => !prep.ticked.has(step.id))
  const decimals = Math.max(3, ...trend.map(({ readabilityG }) => Math.round(-Math.log10(readabilityG))))
  return (
    <section aria-label="Drying">
      <h3>{isDry ? 'Dry, by house rules' : 'How dry it is'}</h3>
      <p className={isDry ? 'quiet mt-1 mb-1' : 'mt-1 mb-1'}>{sentence}</p>
      {trend.length > 1 && (
        <>
          <Trend trend={trend} />
          <table className="lines">
            <tbody>
              {trend.map(({ at, massG }, i) => {
                const before = trend[i - 1]
                return (
                  <tr key={at}>
                    <td className="quiet">{clock(at)}</td>
                    <td className="num">{fixed(massG, decimals)} g</td>
                    <td className="num quiet">
                      {before
                        ? `${fixed(massG - before.massG, decimals)} g in ${Math.round((at - before.at) / 60_000)} min`
                        : ''}
                    </td>
                  </tr>
                )
              })}
            </tbody>
          </table>
        </>
      )}
      <TimerPanel prep={prep} only={['air', 'dry']} />
      <AskedOnce prep={prep} />
      {steps.length > 0 && (
        <ol className={classNames(css.steps, 'mt-2')}>
          {steps.map((step) => (
            <StepLine key={step.id} step={step} prep={prep} isNext={step === next} />
          ))}
        </ol>
      )}
      {rule.by === 'minutes of air' && trend.length === 1 && (
        <p className="quiet mb-0">
          Weigh it again after more drying. The trend shows whether it still loses solvent.
        </p>
      )}
    </section>
  )
}

const HEIGHT = 64

function Trend({ trend }: { trend: readonly { readonly at: number; readonly massG: number }[] }) {
  const masses = trend.map(({ massG }) => massG)
  const [low, high] = [Math.min(...masses), Math.max(...masses)]
  const first = trend[0]?.at ?? 0
  const spanMs = Math.max(1, (trend[trend.length - 1]?.at ?? first) - first)
  const x = (at: number) => 6 + ((at - first) / spanMs) * 288
  const y = (massG: number) => HEIGHT - 8 - ((massG - low) / Math.max(1e-6, high - low)) * (HEIGHT - 16)
  return (
    <svg
      viewBox={`0 0 300 ${HEIGHT}`}
      width="100%"
      height={HEIGHT}
      role="img"
      aria-label={`Mass while drying: ${masses.map((g) => fixed(g, 4)).join(', ')} g`}
    >
      <path d={`M0 ${HEIGHT - 2}H300`} stroke="var(--hair)" />
      <path
        d={pathOf(
          trend,
          ({ at }) => x(at),
          ({ massG }) => y(massG),
        )}
        fill="none"
        stroke="var(--ink)"
        strokeWidth="1.8"
      />
      {trend.map(({ at, massG }) => (
        <circle key={at} cx={x(at)} cy={y(massG)} r="3.5" fill="var(--ink)" />
      ))}
    </svg>
  )
}
