import type { TubeRunPlan } from '@ivory-crystal/core/scheduling'

const WIDTH = 560
const HEIGHT = 150
const LEFT = 34
const BOTTOM = 24
const COLOUR: Readonly<Record<TubeRunPlan['timeline'][number]['phase'], string>> = {
  load: 'var(--ink-2)',
  heat: 'var(--ember)',
  fast: 'var(--ember)',
  cool: 'var(--ice)',
  slow: 'var(--teal)',
}

/** Temperature against time over all the runs: loading flat, fast in ember, slow in teal, cooling in ice blue. */
export function RunStrip({ timeline, runs }: { timeline: TubeRunPlan['timeline']; runs: number }) {
  const totalMin = timeline[timeline.length - 1]?.toMin ?? 1
  const mostC = Math.ceil(Math.max(...timeline.flatMap(({ fromC, toC }) => [fromC, toC])) / 20) * 20
  const x = (minute: number) => LEFT + (minute / totalMin) * (WIDTH - LEFT - 10)
  const y = (c: number) => HEIGHT - BOTTOM - (c / mostC) * (HEIGHT - BOTTOM - 18)
  const step = totalMin > 120 ? 30 : totalMin > 50 ? 10 : 5
  const ticks = Array.from({ length: Math.floor(totalMin / step) + 1 }, (_, i) => i * step)
  const startOf = (run: number) => timeline.find((phase) => phase.run === run)?.fromMin ?? 0
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: WIDTH }}
      className="d-block mt-2"
      role="img"
      aria-label={`${runs} runs over ${totalMin.toFixed(0)} minutes, up to ${mostC} °C`}
    >
      {Array.from({ length: runs }, (_, run) => (
        <g key={run}>
          <path d={`M${x(startOf(run))} 14V${HEIGHT - BOTTOM}`} stroke="var(--hair)" />
          <text x={x(startOf(run)) + 4} y="12" fontSize="12.5" fill="var(--ink-2)">
            run {run + 1}
          </text>
        </g>
      ))}
      <path d={`M${LEFT} ${HEIGHT - BOTTOM}H${WIDTH - 8}`} stroke="var(--ink)" />
      {[0, mostC / 2, mostC].map((c) => (
        <text key={c} x={LEFT - 6} y={y(c) + 4} fontSize="12.5" textAnchor="end" fill="var(--ink-2)">
          {c}
        </text>
      ))}
      {ticks.map((minute) => (
        <text
          key={minute}
          x={x(minute)}
          y={HEIGHT - 7}
          fontSize="12.5"
          textAnchor="middle"
          fill="var(--ink-2)"
        >
          {minute}
        </text>
      ))}
      <text x={WIDTH - 8} y={HEIGHT - BOTTOM - 4} fontSize="12.5" textAnchor="end" fill="var(--ink-2)">
        min
      </text>
      {timeline.map(({ phase, fromMin, toMin, fromC, toC }) => (
        <path
          key={`${fromMin} ${phase}`}
          d={`M${x(fromMin)} ${y(fromC)}L${x(toMin)} ${y(toC)}`}
          stroke={COLOUR[phase]}
          strokeWidth={phase === 'slow' ? 3.4 : 2.2}
          strokeDasharray={phase === 'load' ? '3 3' : undefined}
        />
      ))}
    </svg>
  )
}
