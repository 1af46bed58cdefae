import css from '../Practice.module.css'
import { useEffect, useMemo, useState } from 'react'
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { GripVertical } from 'lucide-react'
import Button from 'react-bootstrap/Button'
import {
  type bestOrder,
  inOrder,
  orderExercise,
  type OrderExercise,
  scoreOrder,
} from '@ivory-crystal/core/practice'
import { OrderDrawing } from '../../../drawings/OrderDrawing'
import { practising } from '../../../workers/practising'
import type { PlayerProps } from '../exerciseSetup'

type Best = ReturnType<typeof bestOrder>

/** A period’s work, to be put in order by dragging or with the arrows. */
export function OrderPlayer({ put, onDone }: PlayerProps) {
  const exercise = useMemo(() => orderExercise(put.seed, put.level), [put.seed, put.level])
  const [order, setOrder] = useState(exercise.handed)
  const [best, setBest] = useState<Best | null>(null)
  const [trouble, setTrouble] = useState<string | null>(null)
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }))
  useEffect(() => {
    // The best order is looked for beside the screen while the learner tries.
    let wanted = true
    practising()
      .then((remote) => remote.bestOrder(exercise))
      .then(
        (found) => {
          if (wanted) setBest(found)
        },
        (error: unknown) => {
          if (wanted) setTrouble((error as Error).message)
        },
      )
    return () => {
      wanted = false
    }
  }, [exercise])
  const ordered = useMemo(() => inOrder(exercise, order), [exercise, order])
  const move = (id: string, by: number) => {
    setOrder((before) => {
      const at = before.indexOf(id)
      const to = Math.min(before.length - 1, Math.max(0, at + by))
      return arrayMove([...before], at, to)
    })
  }
  const dropped = ({ active, over }: DragEndEvent) => {
    if (over && active.id !== over.id)
      move(String(active.id), order.indexOf(String(over.id)) - order.indexOf(String(active.id)))
  }
  const first = ordered.movedBack[0]
  return (
    <div className={css.both}>
      <section aria-label="In your order">
        <p role="status" className="mb-1">
          In this order you finish after <strong>{ordered.endMin} minutes</strong>.{' '}
          <span className="simulated">simulated</span>
        </p>
        <OrderDrawing exercise={exercise} ordered={ordered} />
        {first !== undefined && (
          <p className="quiet">
            “{exercise.words[first]}” cannot begin at this place: it waits for a task later in the list.
          </p>
        )}
        <Button
          disabled={best === null}
          onClick={() => {
            if (best)
              onDone({
                score: scoreOrder(exercise, order, best),
                more: <BestOrder exercise={exercise} best={best} />,
              })
          }}
        >
          {best === null && trouble === null ? 'Looking for the best order …' : 'Use this order'}
        </Button>
        {trouble && (
          <p className="look" role="alert">
            {trouble}
          </p>
        )}
      </section>
      <section aria-labelledby="hands">
        <h2 id="hands">Hands-on tasks</h2>
        <DndContext sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
          <SortableContext items={[...order]} strategy={verticalListSortingStrategy}>
            <ol className={css.order}>
              {order.map((id, i) => (
                <Piece
                  key={id}
                  id={id}
                  words={exercise.words[id] ?? id}
                  minutes={exercise.session.tasks.find((task) => task.id === id)?.durationMin ?? 0}
                  beginsAtMin={ordered.starts[id] ?? 0}
                  isFirst={i === 0}
                  isLast={i === order.length - 1}
                  onMove={(by) => {
                    move(id, by)
                  }}
                />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
      </section>
    </div>
  )
}

function Piece({
  id,
  words,
  minutes,
  beginsAtMin,
  isFirst,
  isLast,
  onMove,
}: {
  id: string
  words: string
  minutes: number
  beginsAtMin: number
  isFirst: boolean
  isLast: boolean
  onMove: (by: number) => void
}) {
  const { setNodeRef, listeners, transform, transition } = useSortable({ id })
  return (
    <li ref={setNodeRef} style={{ transform: CSS.Transform.toString(transform), transition }}>
      <span className={css.grip} {...listeners} aria-hidden>
        <GripVertical size={16} />
      </span>
      <span className={css.words}>
        {words}{' '}
        <span className="quiet">
          {minutes} min, from {beginsAtMin}
        </span>
      </span>
      <button
        type="button"
        className={css.move}
        aria-label={`${words}: sooner`}
        disabled={isFirst}
        onClick={() => {
          onMove(-1)
        }}
      >
        ↑
      </button>
      <button
        type="button"
        className={css.move}
        aria-label={`${words}: later`}
        disabled={isLast}
        onClick={() => {
          onMove(1)
        }}
      >
        ↓
      </button>
    </li>
  )
}

/** The shortest order, drawn as the learner’s. */
function BestOrder({ exercise, best }: { exercise: OrderExercise; best: Best }) {
  const ordered = {
    starts: best.plan.starts,
    endMin: best.plan.makespanMin,
    movedBack: [],
    tooLate: [],
  }
  return (
    <section aria-labelledby="best" className="mt-3">
      <h2 id="best">{best.plan.proven ? 'The shortest order' : 'The shortest order found'}</h2>
      <OrderDrawing exercise={exercise} ordered={ordered} />
    </section>
  )
}
