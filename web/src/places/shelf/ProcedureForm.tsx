import { ok, refuse } from '@ivory-crystal/core/problems'
import { STEP_STATIONS } from '@ivory-crystal/core/stations'
import { useShelving } from '../../parts/useShelving'
import { FieldError } from '../../parts/InlineField'
import css from './ProcedureForm.module.css'
import Button from 'react-bootstrap/Button'
import { AMOUNTS, type Minutes, type Procedure, type StepTemplate } from '@ivory-crystal/core/procedures'
import { shortNameOf } from '../../parts/shortName'
import { Choice, Field } from '../../parts/Field'

interface Typed {
  name: string
  suits: string
  from: string
  to: string
  steps: readonly StepTemplate[]
  waste: string
}

/** A house procedure: the steps of a shipped one, in the lab's words and order. */
export function ProcedureForm({
  procedure,
  onDone,
}: {
  procedure: Procedure
  onDone: (id: string | null) => void
}) {
  const form = useShelving<Typed>({
    sort: 'procedure',
    start: {
      name: procedure.name,
      suits: procedure.suits,
      from: String(procedure.scaleG[0]),
      to: String(procedure.scaleG[1]),
      steps: procedure.steps,
      waste: procedure.waste.join('\n'),
    },
    make({ name, suits, from, to, steps, waste }) {
      const scaleG = [Number(from), Number(to)] as const
      if (name.trim() === '') return refuse('Enter its name.', 'name')
      if (!(scaleG[0] >= 0 && scaleG[1] > scaleG[0]))
        return refuse('Enter the scale from the smaller mass to the larger, in g.', 'from')
      const empty = steps.findIndex((step) => step.text.trim() === '')
      if (empty >= 0) return refuse(`Step ${empty + 1} is still empty.`)
      const streams = waste.split('\n').map((line) => line.trim())
      return ok({
        rows: [
          {
            ...procedure,
            name: name.trim(),
            suits: suits.trim(),
            scaleG,
            steps: steps.map(trimmed),
            waste: streams.filter((line) => line !== ''),
          },
        ],
      })
    },
    saved() {
      onDone(procedure.id)
    },
  })
  const { steps } = form.typed
  const setSteps = (changed: readonly StepTemplate[]) => {
    form.set({ steps: changed })
  }
  const change = (at: number, step: StepTemplate | null) => {
    setSteps(step ? steps.map((one, i) => (i === at ? step : one)) : steps.filter((_, i) => i !== at))
  }
  const move = (at: number, by: number) => {
    const moved = [...steps]
    const [step] = moved.splice(at, 1)
    if (step) moved.splice(at + by, 0, step)
    setSteps(moved)
  }
  const insert = (at: number) => {
    const { station } = steps[at] ?? { station: 'dissolve' as const }
    const id = `our-step-${steps.filter((step) => step.id.startsWith('our-step')).length + 1}`
    setSteps([
      ...steps.slice(0, at + 1),
      { id: uniqueId(id, steps), station, text: '' },
      ...steps.slice(at + 1),
    ])
  }
  return (
    <form className="stack" aria-label="House procedure" onSubmit={form.onSubmit}>
      <h2>House procedure</h2>
      <div className="row-of align-items-start">
        <Field label="name" width={280} {...form.of('name')} />
        <Field label="suits" width={280} {...form.of('suits')} />
        <Field label="from, g" width={80} {...form.of('from')} />
        <Field label="to, g" width={80} {...form.of('to')} />
      </div>
      <details className="quiet">
        <summary>The app fills in amounts in braces. The names are:</summary>
        <ul className="mb-0">
          {Object.entries(AMOUNTS).map(([amount, meaning]) => (
            <li key={amount}>
              {`{${amount}}`} {meaning}
            </li>
          ))}
        </ul>
      </details>
      <ol className={css.editor}>
        {steps.map((step, i) => (
          <li key={step.id}>
            <div className="row-of align-items-end">
              <Choice
                label={`step ${i + 1}, at`}
                value={step.station}
                options={STEP_STATIONS}
                onChange={(station) => {
                  change(i, { ...step, station })
                }}
              />
              {step.timer && (
                <Field
                  label="timer, min"
                  width={110}
                  value={minutesText(step.timer.minutes)}
                  onChange={(typed) => {
                    if (!step.timer) return
                    change(i, { ...step, timer: { ...step.timer, minutes: readMinutes(typed) } })
                  }}
                />
              )}
              <Button
                variant="link"
                size="sm"
                disabled={i === 0}
                onClick={() => {
                  move(i, -1)
                }}
              >
                up
              </Button>
              <Button
                variant="link"
                size="sm"
                disabled={i === steps.length - 1}
                onClick={() => {
                  move(i, 1)
                }}
              >
                down
              </Button>
              <Button
                variant="link"
                size="sm"
                onClick={() => {
                  insert(i)
                }}
              >
                add a step below
              </Button>
              <Button
                variant="link"
                size="sm"
                disabled={steps.length === 1}
                onClick={() => {
                  change(i, null)
                }}
              >
                take out
              </Button>
              {step.when && <span className="quiet">only with: {step.when.join(', ')}</span>}
            </div>
            <Field
              label={`what is done in step ${i + 1}`}
              rows={2}
              value={step.text}
              onChange={(text) => {
                change(i, { ...step, text })
              }}
            />
            <Field
              label={`cautions of step ${i + 1}, one per line`}
              rows={Math.max(1, step.cautions?.length ?? 1)}
              value={(step.cautions ?? []).map(({ text }) => text).join('\n')}
              onChange={(text) => {
                change(i, withCautions(step, text))
              }}
            />
          </li>
        ))}
      </ol>
      <Field label="waste, one stream per line" rows={4} {...form.of('waste')} />
      <FieldError sentence={form.message} className="trouble mb-0" />
      <div className="row-of">
        <Button type="submit" disabled={form.busy}>
          Save this house procedure
        </Button>
        <Button
          variant="outline-primary"
          onClick={() => {
            onDone(null)
          }}
        >
          Leave it
        </Button>
      </div>
    </form>
  )
}

function uniqueId(wanted: string, steps: readonly StepTemplate[]): string {
  const taken = new Set(steps.map(({ id }) => id))
  let id = shortNameOf(wanted)
  for (let n = 2; taken.has(id); n++) id = `${shortNameOf(wanted)}-${n}`
  return id
}

/** A caution keeps its condition while its line keeps its words. */
function withCautions(step: StepTemplate, text: string): StepTemplate {
  const known = new Map((step.cautions ?? []).map((caution) => [caution.text, caution]))
  const lines = text.split('\n')
  const cautions = lines.map((line) => known.get(line) ?? { text: line })
  return { ...step, cautions }
}

function trimmed(step: StepTemplate): StepTemplate {
  const cautions = (step.cautions ?? []).filter(({ text }) => text.trim() !== '')
  const { cautions: _, ...rest } = step
  return { ...rest, text: step.text.trim(), ...(cautions.length > 0 ? { cautions } : {}) }
}

/** Minutes as they stand in the field; those of a small batch grow with the volume. */
function minutesText(minutes: Minutes): string {
  return typeof minutes === 'object' ? `${minutes.small} and more` : String(minutes)
}
function readMinutes(typed: string): Minutes {
  const read = /^\s*(\d+(?:\.\d+)?)\s*(and more)?\s*$/.exec(typed)
  const minutes = Number(read?.[1])
  if (!(minutes > 0)) return 'house rule'
  return read?.[2] ? { small: minutes } : minutes
}
