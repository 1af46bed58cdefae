import css from './Score.module.css'
import { useWidth } from './useWidth'
import { widthOf } from './placeLabels'
import { type Does, ScoreBar } from './ScoreBar'
import { placeScore, placeStops, type ScoreFacts } from './scoreLayout'

const FONT_PX = 12
/** Beside the longest name of a lane. */
const BESIDE_PX = 22
const TOP = 22
/** Narrower than this the score stands upright: time goes down. */
const UPRIGHT_BELOW_PX = 560
const PX_A_MINUTE_UPRIGHT = 3.4
/** Stops stand beside the last lane. */
const STOPS_PX = 6
/** The clock of now takes the place of one on the axis that is so near. */
const NEAR_PX = 18
const MINUTE_MS = 60_000
const ON_PAPER_PX = 700
/** Two clocks so near each other would cross. */
const CLOSE_PX = 145

/**
 * The lab period on its lanes: filled as it was, pale as planned, underlined what everything waits for; now, the safe
 * stops, and when it is over. A bar that has not begun can be chosen, dragged later, or moved by the arrow keys.
 */
export function Score({ facts, label, ...does }: { facts: ScoreFacts; label: string } & Does) {
  const [ref, width] = useWidth(760, ON_PAPER_PX)
  const isUpright = width < UPRIGHT_BELOW_PX
  return (
    <div ref={ref} data-score={isUpright ? 'upright' : 'lying'}>
      {isUpright ? (
        <Upright facts={facts} label={label} width={width} {...does} />
      ) : (
        <Lying facts={facts} label={label} width={width} {...does} />
      )}
    </div>
  )
}

type Drawn = { facts: ScoreFacts; label: string; width: number } & Does

function Lying({ facts, label, width, ...does }: Drawn) {
  const right = width - 26
  const left = Math.max(...facts.lanes.map(({ name }) => widthOf(name, 13))) + BESIDE_PX
  const { lanes, bars, end, along } = placeScore(facts, right - left, TOP + 12, null)
  const x = (ms: number) => left + along(ms)
  const stops = placeStops(facts, along, left, width)
  const rows = Math.max(0, ...stops.map(({ row }) => row + 1))
  const foot = end + 14
  const height = foot + 18 + rows * 17 + 35
  const outRow = foot + 14 + rows * 17 + 8
  // Where it is nearly over, now stands a row lower.
  const isNearlyOver =
    facts.nowMs !== null && facts.outMs !== null && Math.abs(x(facts.nowMs) - x(facts.outMs)) < CLOSE_PX
  const nowRow = isNearlyOver ? outRow + 15 : outRow
  return (
    <svg
      className={css.score}
      viewBox={`0 0 ${width} ${height}`}
      height={height}
      role="group"
      aria-label={label}
    >
      {facts.ticks.map(({ atMs, text }) => (
        <g key={atMs}>
          <path d={`M${x(atMs)} ${TOP}V${foot}`} stroke="var(--hair)" />
          <text x={x(atMs)} y="13" fontSize={FONT_PX} textAnchor="middle" fill="var(--ink-2)">
            {text}
          </text>
        </g>
      ))}
      {lanes.map((lane) => (
        <g key={lane.id}>
          <path d={`M${left} ${lane.across + lane.thick + 8}H${right}`} stroke="var(--hair)" />
          <text
            x={left - 10}
            y={lane.across + lane.thick / 2 + 4}
            fontSize="13"
            textAnchor="end"
            fill="var(--ink)"
          >
            {lane.name}
          </text>
        </g>
      ))}
      {facts.taken.map((one) => {
        const lane = lanes.find(({ id }) => id === one.lane)
        if (!lane || one.toMs <= facts.fromMs) return null
        const [from, to] = [x(one.fromMs), x(one.toMs)]
        return (
          <g key={`${one.lane} ${one.fromMs}`}>
            <rect
              x={from}
              y={lane.across}
              width={Math.max(2, to - from)}
              height={lane.thick}
              fill="none"
              stroke="var(--ink-3)"
              strokeDasharray="4 3"
            />
            {one.who.length * 6.5 + 10 < to - from && (
              <text
                className="label"
                x={from + 8}
                y={lane.across + 15}
                fontSize={FONT_PX}
                fill="var(--ink-2)"
              >
                {one.who}
              </text>
            )}
          </g>
        )
      })}
      {bars.map((bar) => (
        <ScoreBar
          key={`${bar.id} ${bar.lane}`}
          bar={bar}
          box={{ x: left + bar.along, y: bar.across, width: bar.length, height: bar.thick }}
          turnsAt={bar.is === 'goes on' && facts.nowMs !== null ? along(facts.nowMs) - bar.along : null}
          pxAMinute={((right - left) * MINUTE_MS) / Math.max(1, facts.toMs - facts.fromMs)}
          axis="x"
          {...does}
        />
      ))}
      <path d={`M${x(facts.endMs)} ${TOP}V${foot}`} stroke="var(--ink-3)" strokeDasharray="2 3" />
      {stops.map((stop) => (
        <g key={`${stop.text} ${stop.atX}`}>
          <path d={`M${stop.atX} ${foot - 2}l5 8h-10z`} fill="var(--teal)" />
          <text
            className="label"
            x={stop.x}
            y={foot + 14 + stop.row * 17}
            fontSize={FONT_PX}
            fill="var(--teal)"
          >
            {stop.text}
          </text>
        </g>
      ))}
      {facts.outMs !== null && (
        <g>
          <path d={`M${x(facts.outMs)} ${TOP}V${outRow - 12}`} stroke="var(--ink)" strokeWidth="1.6" />
          <text
            className="label"
            x={Math.min(x(facts.outMs) + 4, width - 2)}
            y={outRow}
            fontSize={FONT_PX}
            fontWeight="700"
            textAnchor="end"
            fill="var(--ink)"
          >
            {facts.outText}
          </text>
        </g>
      )}
      {facts.nowMs !== null && (
        <g>
          <path d={`M${x(facts.nowMs)} ${TOP - 2}V${outRow - 12}`} stroke="var(--ember)" strokeWidth="1.8" />
          <text
            className="label"
            x={x(facts.nowMs)}
            y={nowRow}
            fontSize={FONT_PX}
            fontWeight="700"
            textAnchor="middle"
            fill="var(--ember)"
          >
            {facts.nowText}
          </text>
        </g>
      )}
    </svg>
  )
}

function Upright({ facts, label, width, ...does }: Drawn) {
  const left = 44
  const top = 96
  const length = ((facts.toMs - facts.fromMs) / MINUTE_MS) * PX_A_MINUTE_UPRIGHT
  const { lanes, bars, end, along } = placeScore(facts, length, left, width - left - STOPS_PX)
  const y = (ms: number) => top + along(ms)
  const height = top + length + 24
  return (
    <svg
      className={css.score}
      viewBox={`0 0 ${width} ${height}`}
      height={height}
      role="group"
      aria-label={label}
    >
      {facts.ticks.map(({ atMs, text }) => (
        <g key={atMs}>
          <path d={`M${left} ${y(atMs)}H${end}`} stroke="var(--hair)" />
          {(facts.nowMs === null || Math.abs(y(atMs) - y(facts.nowMs)) > NEAR_PX) && (
            <text x={left - 6} y={y(atMs) + 4} fontSize={FONT_PX} textAnchor="end" fill="var(--ink-2)">
              {text}
            </text>
          )}
        </g>
      ))}
      {lanes.map((lane, i) =>
        i === 0 ? (
          <text key={lane.id} x={lane.across} y={top - 8} fontSize={FONT_PX} fill="var(--ink)">
            {lane.name}
          </text>
        ) : (
          <text
            key={lane.id}
            x={lane.across + lane.thick / 2 + 4}
            y={top - 8}
            fontSize={FONT_PX}
            fill="var(--ink)"
            transform={`rotate(-90 ${lane.across + lane.thick / 2 + 4} ${top - 8})`}
          >
            {lane.name.length > 13 ? lane.name.replace(/ block| stage| tube/, '') : lane.name}
          </text>
        ),
      )}
      {facts.taken.map((one) => {
        const lane = lanes.find(({ id }) => id === one.lane)
        if (!lane || one.toMs <= facts.fromMs) return null
        return (
          <rect
            key={`${one.lane} ${one.fromMs}`}
            x={lane.across}
            y={y(one.fromMs)}
            width={lane.thick}
            height={Math.max(2, y(one.toMs) - y(one.fromMs))}
            fill="none"
            stroke="var(--ink-3)"
            strokeDasharray="4 3"
          >
            <title>{one.who}</title>
          </rect>
        )
      })}
      {bars.map((bar) => (
        <ScoreBar
          key={`${bar.id} ${bar.lane}`}
          bar={bar}
          box={{ x: bar.across, y: top + bar.along, width: bar.thick, height: bar.length }}
          turnsAt={bar.is === 'goes on' && facts.nowMs !== null ? along(facts.nowMs) - bar.along : null}
          pxAMinute={PX_A_MINUTE_UPRIGHT}
          axis="y"
          {...does}
        />
      ))}
      {facts.stops
        .filter(({ atMs }) => atMs <= facts.toMs)
        .map(({ atMs, words }) => (
          <path key={`${words} ${atMs}`} d={`M${end + 1} ${y(atMs)}l-8 -5v10z`} fill="var(--teal)">
            <title>{words}</title>
          </path>
        ))}
      {facts.outMs !== null && (
        <g>
          <path d={`M${left} ${y(facts.outMs)}H${end}`} stroke="var(--ink)" strokeWidth="1.6" />
          <text
            className="label"
            x={end}
            y={y(facts.outMs) + 15}
            fontSize={FONT_PX}
            fontWeight="700"
            textAnchor="end"
            fill="var(--ink)"
          >
            {facts.outText}
          </text>
        </g>
      )}
      {facts.nowMs !== null && (
        <g>
          <path d={`M${left - 40} ${y(facts.nowMs)}H${end}`} stroke="var(--ember)" strokeWidth="1.8" />
          <text
            className="label"
            x={left - 6}
            y={y(facts.nowMs) - 4}
            fontSize={FONT_PX}
            fontWeight="700"
            textAnchor="end"
            fill="var(--ember)"
          >
            {facts.nowText}
          </text>
        </g>
      )}
    </svg>
  )
}
