import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  addPortion,
  type Bodies,
  type Line,
  dissolvingOf,
  pipetteOf,
  PORTION_EFFECTS,
  type PrepFacts,
  seePortion,
  solventLeft,
} from '@ivory-crystal/core/notebook'
import { type Result, attempt, ok, refuse } from '@ivory-crystal/core/problems'
import type { PortionUse } from '@ivory-crystal/core/procedures'
import { dropsPerML } from '@ivory-crystal/core/solubility'
import { readReading } from '@ivory-crystal/core/weighing'
import { clock as pageClock } from '../../../clock/clock'
import { fixed, millilitres } from '../../../format/format'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { useLines } from '../../../parts/useTyped'
import { strike, useNotebook, write } from '../../../ledger/notebook'

type Unit = 'mL' | 'drops'
/** A volume or a number of drops, in words: one drop is no “drops”. */
const amount = (text: string, unit: Unit) => (unit === 'drops' && text === '1' ? '1 drop' : `${text} ${unit}`)
/** Below this volume drops are the natural measure, mL. */
const BY_DROPS_BELOW_ML = 2

/** Portions of solvent, logged with one press, in mL or in drops; of each, what it did. */
export function Portions({ prep, use }: { prep: PrepFacts; use: PortionUse }) {
  const view = useNotebook((state) => state.view)
  const plan = prep.plan?.body
  const small = (plan?.result.hotML ?? 10) < BY_DROPS_BELOW_ML
  const [unit, setUnit] = useState<Unit>(small ? 'drops' : 'mL')
  const [cold, setCold] = useState(false)
  const perML = pipetteOf(view, prep)
  const made = prep.portions.filter((portion) => portion.body.use === use)
  const last = made[made.length - 1]
  const hot = use !== 'rinse' && !cold
  const whole = unit === 'mL' ? solventLeft(prep, use) : null
  const wholeText = whole ? millilitres(whole.ml) : ''
  const make = ({ portion }: { portion: string }, isWhole = false): Result<readonly Line[], 'portion'> => {
    const read = readReading(portion, 'The portion')
    if (!read.ok) return refuse(read.problem.sentence, 'portion')
    if (read.value.value <= 0)
      return refuse('A portion is more than 0 mL. Strike out one that was logged by mistake.', 'portion')
    const isCold = isWhole && whole?.what === 'before the heat'
    const body = bodyOf(read.value, unit, perML, use, hot && !isCold)
    if (typeof body === 'string') return refuse(body, 'portion')
    if (body.volume.value > 10_000) return refuse(`${read.value.text} mL fits no flask here.`, 'portion')
    // Typed, it could be all that was left as well.
    const isAll = isWhole || (whole?.what === 'the rest' && body.volume.value === Number(wholeText))
    return ok(addPortion(view, prep, body, isAll, pageClock.now()))
  }
  const form = useLines({ start: { portion: '' }, make: (typed) => make(typed) })
  const typed = form.typed.portion
  const presets = presetsFor(use, unit, plan).filter((text) => Number(text) !== Number(wholeText))
  const press = (text: string, isWhole: boolean) => () => {
    const made = make({ portion: text }, isWhole)
    if (made.ok) write(...made.value)
    else form.say(made.problem.sentence)
  }
  if (unit === 'drops' && perML === null)
    return (
      <CountPipette
        prep={prep}
        onMillilitres={() => {
          setUnit('mL')
        }}
      />
    )
  return (
    <form
      className="row-of align-items-center mt-1"
      aria-label={`Log solvent to ${use}`}
      onSubmit={form.onSubmit}
    >
      {presets.map((text) => (
        <Button key={text} variant="outline-primary" size="sm" onClick={press(text, false)}>
          + {amount(text, unit)}
        </Button>
      ))}
      {whole && (
        <Button
          variant="outline-primary"
          size="sm"
          data-act={whole.what === 'the rest' || undefined}
          onClick={press(wholeText, true)}
        >
          {whole.what === 'the rest' ? 'add the rest' : whole.what}: {wholeText} mL
        </Button>
      )}
      <InlineField label={`other volume, ${unit}`} hint={unit} width={78} {...form.of('portion')} />
      <Button type="submit" variant="outline-primary" size="sm" disabled={typed === ''}>
        Add {typed ? amount(typed, unit) : `… ${unit}`}
      </Button>
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setUnit(unit === 'mL' ? 'drops' : 'mL')
          form.set({ portion: '' })
        }}
      >
        in {unit === 'mL' ? 'drops' : 'mL'}
      </Button>
      {use !== 'rinse' && (
        <Form.Check
          type="checkbox"
          id={`cold-${use}`}
          label="cold"
          checked={cold}
          onChange={(event) => {
            setCold(event.target.checked)
          }}
        />
      )}
      {unit === 'drops' && perML !== null && <span className="quiet">{fixed(perML, 0)} drops per mL</span>}
      {last && (
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(last, 'logged by mistake')
          }}
        >
          strike out the last{' '}
          {last.body.drops ? amount(`${last.body.drops.count}`, 'drops') : `${last.body.volume.text} mL`}
        </Button>
      )}
      <Refusal sentence={form.message} />
      {use === 'dissolve' && <Effect prep={prep} />}
    </form>
  )
}

/** What wets the crude before it goes on the heat: one press logs it and ticks its step. */
export function Wetting({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const whole = solventLeft(prep, 'dissolve')
  if (whole?.what !== 'before the heat') return null
  const text = millilitres(whole.ml)
  return (
    <Button
      variant="outline-primary"
      size="sm"
      data-act
      onClick={() => {
        const volume = { text, value: Number(text) }
        const body = { volume, drops: null, use: 'dissolve', hot: false } as const
        write(...addPortion(view, prep, body, true, pageClock.now()))
      }}
    >
      Added {text} mL
    </Button>
  )
}

function bodyOf(
  typed: { readonly text: string; readonly value: number },
  unit: Unit,
  perML: number | null,
  use: PortionUse,
  hot: boolean,
): Bodies['solvent added'] | string {
  if (unit === 'mL') return { volume: typed, drops: null, use, hot }
  if (!Number.isInteger(typed.value)) return `${typed.text} drops: count whole drops.`
  if (perML === null) return 'Count the drops of this pipette first.'
  const text = (typed.value / perML).toFixed(2)
  return { volume: { text, value: Number(text) }, drops: { count: typed.value, perML }, use, hot }
}

/** What the last portion did, seen after swirling and a pause: two that change nothing mean grit. */
function Effect({ prep }: { prep: PrepFacts }) {
  const view = useNotebook((state) => state.view)
  const { portions } = dissolvingOf(view, prep)
  const last = portions[portions.length - 1]
  if (!last) return null
  if (last.effect)
    return (
      <span className="quiet w-100">
        after {last.entry.body.volume.text} mL: {last.effect}
      </span>
    )
  return (
    <span className="w-100 row-of align-items-center" role="group" aria-label="After the last portion">
      <span className="quiet">After swirling and waiting, the last portion:</span>
      {PORTION_EFFECTS.map((effect) => (
        <Button
          key={effect}
          size="sm"
          variant="outline-primary"
          onClick={() => {
            write(...seePortion(view, prep, last.entry.id, effect, pageClock.now()))
          }}
        >
          {effect}
        </Button>
      ))}
    </span>
  )
}

function CountPipette({ prep, onMillilitres }: { prep: PrepFacts; onMillilitres: () => void }) {
  const form = useLines({
    start: { drops: '', ml: '1.00' },
    make({ drops, ml }) {
      const counted = readReading(drops, 'The number of drops')
      if (!counted.ok) return refuse(counted.problem.sentence, 'drops')
      const volume = readReading(ml, 'The volume')
      if (!volume.ok) return refuse(volume.problem.sentence, 'ml')
      const perML = attempt(() => dropsPerML(counted.value.value, volume.value.value))
      if (!perML.ok) return refuse(perML.problem.sentence)
      if (!Number.isInteger(counted.value.value)) return refuse('Count whole drops.', 'drops')
      return ok([
        {
          kind: 'pipette counted',
          subject: prep.id,
          body: { drops: counted.value.value, volume: volume.value },
        },
      ])
    },
  })
  return (
    <form
      className="row-of align-items-end mt-1"
      aria-label="Count the drops of this pipette"
      onSubmit={form.onSubmit}
    >
      <InlineField label="drops" width={90} whole {...form.of('drops')} />
      <InlineField label="came to, mL" width={90} {...form.of('ml')} />
      <Button type="submit" size="sm" variant="outline-primary" disabled={form.typed.drops.trim() === ''}>
        Use this count
      </Button>
      <Button variant="link" size="sm" onClick={onMillilitres}>
        in mL instead
      </Button>
      <span className="quiet w-100">
        Do this once for each pipette and solvent: count drops into a measuring tube. Pipettes differ, so no
        value is assumed.
      </span>
      <Refusal sentence={form.message} />
    </form>
  )
}

function presetsFor(use: PortionUse, unit: Unit, plan: Bodies['plan fixed'] | undefined): readonly string[] {
  if (unit === 'drops') return use === 'rinse' ? ['5', '10'] : ['1', '2', '5']
  const leastML = plan?.pair?.goodML ?? plan?.result.minimumHotML ?? 4
  const washML = plan?.input.washML ?? 1
  if (use === 'rinse') return washML > 0 ? [washML.toFixed(1), (washML / 2).toFixed(2)] : ['0.5']
  const small = leastML < 2 ? 0.1 : leastML < 12 ? 0.5 : leastML < 60 ? 2 : 10
  return use === 'dilute'
    ? [(2 * small).toFixed(1), (4 * small).toFixed(1)]
    : [small.toFixed(1), (2 * small).toFixed(1), (4 * small).toFixed(1)]
}
