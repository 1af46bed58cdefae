import type { OrderExercise, Ordered } from '@ivory-crystal/core/practice'
import { useWidth } from './useWidth'

const ROW = 30
const LEFT = 62
const TOP = 22

/** A period as bars: what the hands do, and below it what goes by itself meanwhile. */
export function OrderDrawing({ exercise, ordered }: { exercise: OrderExercise; ordered: Ordered }) {
  const [ref, width] = useWidth(620, 620)
  const { tasks } = exercise.session
  const end = Math.max(60, ordered.endMin)
  const x = (minute: number) => LEFT + (minute / end) * (width - LEFT - 10)
  const alone = tasks.filter(({ needs }) => !needs['hands'])
  const rows = packed(alone.map((task) => ({ task, from: ordered.starts[task.id] ?? 0 })))
  const height = TOP + ROW * (1 + rows.length) + 8
  const step = end > 150 ? 30 : end > 60 ? 20 : 10
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        className="d-block"
        aria-label={`Finished after ${ordered.endMin} minutes: ${tasks
          .filter(({ needs }) => needs['hands'])
          .sort((p, q) => (ordered.starts[p.id] ?? 0) - (ordered.starts[q.id] ?? 0))
          .map(({ id }) => `${exercise.words[id] ?? id} at ${ordered.starts[id] ?? 0}`)
          .join(', ')}`}
      >
        {Array.from({ length: Math.floor(end / step) + 1 }, (_, i) => i * step).map((minute) => (
          <g key={minute}>
            <path d={`M${x(minute)} ${TOP - 4}V${height - 6}`} stroke="var(--hair)" />
            <text x={x(minute)} y={12} fontSize="12" textAnchor="middle" fill="var(--ink-2)">
              {minute === 0 ? '0 min' : minute}
            </text>
          </g>
        ))}
        <text x={0} y={TOP + 19} fontSize="12.5" fill="var(--ink)">
          hands
        </text>
        <text x={0} y={TOP + ROW + 19} fontSize="12.5" fill="var(--ink)">
          by itself
        </text>
        {tasks
          .filter(({ needs }) => needs['hands'])
          .map(({ id, durationMin }) => (
            <Bar
              key={id}
              x={x(ordered.starts[id] ?? 0)}
              y={TOP}
              width={x(durationMin) - LEFT}
              words={exercise.words[id] ?? id}
              isHands
              isLate={ordered.tooLate.includes(id)}
            />
          ))}
        {rows.map((row, i) =>
          row.map(({ task: { id, durationMin }, from }) => (
            <Bar
              key={id}
              x={x(from)}
              y={TOP + ROW * (i + 1)}
              width={x(durationMin) - LEFT}
              words={exercise.words[id] ?? id}
              isLate={ordered.tooLate.includes(id)}
            />
          )),
        )}
      </svg>
    </div>
  )
}

function Bar({
  x,
  y,
  width,
  words,
  isHands = false,
  isLate,
}: {
  x: number
  y: number
  width: number
  words: string
  isHands?: boolean
  isLate: boolean
}) {
  return (
    <g>
      <title>{words}</title>
      <rect
        x={x}
        y={y + 4}
        width={Math.max(2, width - 1)}
        height={ROW - 8}
        fill={isHands ? 'var(--ink-2)' : 'var(--teal-wash)'}
        stroke={isLate ? 'var(--ember)' : isHands ? 'none' : 'var(--teal)'}
        strokeWidth={isLate ? 2.5 : 1}
      />
    </g>
  )
}

interface Placed {
  readonly task: OrderExercise['session']['tasks'][number]
  readonly from: number
}
/** As few rows as will do without one lying on another. */
function packed(bars: readonly Placed[]): readonly (readonly Placed[])[] {
  const rows: Placed[][] = []
  for (const bar of [...bars].sort((p, q) => p.from - q.from)) {
    const row = rows.find((one) => {
      const last = one.at(-1)
      return !last || last.from + last.task.durationMin <= bar.from
    })
    if (row) row.push(bar)
    else rows.push([bar])
  }
  return rows
}
