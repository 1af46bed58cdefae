import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import {
  attempt,
  type Bodies,
  dissolvingOf,
  dropsPerML,
  pipetteOf,
  PORTION_EFFECTS,
  type PortionUse,
  type PrepFacts,
  readReading,
} from '@ivory-crystal/core'
import { fixed } from '../../../format/format'
import { InlineField, Refusal } from '../../../parts/InlineField'
import { strike, useNotebook, write } from '../../../ledger/notebook'

type Unit = 'mL' | 'drops'
/** Below this volume drops are the natural measure, mL. */
const BY_DROPS_BELOW_ML = 2

/** Portions of solvent, logged with one press, in mL or in drops; of each, what it did. */
export function Portions({ prep, use }: { prep: PrepFacts; use: PortionUse }) {
  const view = useNotebook((state) => state.view)
  const plan = prep.plan?.body
  const small = (plan?.result.hotML ?? 10) < BY_DROPS_BELOW_ML
  const [unit, setUnit] = useState<Unit>(small ? 'drops' : 'mL')
  const [cold, setCold] = useState(false)
  const [typed, setTyped] = useState('')
  const [refusal, setRefusal] = useState<string | null>(null)
  const perML = pipetteOf(view, prep)
  const made = prep.portions.filter((portion) => portion.body.use === use)
  const last = made[made.length - 1]
  const hot = use !== 'rinse' && !cold
  const add = (text: string): string | null => {
    const read = readReading(text, 'The portion')
    if (!read.ok) return read.problem.sentence
    if (read.value.value <= 0) return 'A portion is more than nothing. Strike one that was logged by mistake.'
    const body = bodyOf(read.value, unit, perML, use, hot)
    if (typeof body === 'string') return body
    if (body.volume.value > 10_000) return `${read.value.text} mL fits no flask here.`
    write({ kind: 'solvent added', subject: prep.id, body })
    return null
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
      onSubmit={(event) => {
        event.preventDefault()
        const said = add(typed)
        setRefusal(said)
        if (said === null) setTyped('')
      }}
    >
      {presetsFor(use, unit, plan).map((text) => (
        <Button
          key={text}
          variant="outline-primary"
          size="sm"
          onClick={() => {
            setRefusal(add(text))
          }}
        >
          + {text} {unit}
        </Button>
      ))}
      <InlineField
        label={`other volume, ${unit}`}
        hint={unit}
        width={78}
        value={typed}
        invalid={refusal !== null}
        onChange={(text) => {
          setTyped(text)
          setRefusal(null)
        }}
      />
      <Button type="submit" variant="outline-primary" size="sm" disabled={typed === ''}>
        Add {typed || '…'} {unit}
      </Button>
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          setUnit(unit === 'mL' ? 'drops' : 'mL')
          setTyped('')
          setRefusal(null)
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
      {unit === 'drops' && perML !== null && <span className="quiet">{fixed(perML, 0)} drops a mL</span>}
      {last && (
        <Button
          variant="link"
          size="sm"
          onClick={() => {
            strike(last, 'logged by mistake')
          }}
        >
          strike the last {last.body.drops ? `${last.body.drops.count} drops` : `${last.body.volume.text} mL`}
        </Button>
      )}
      <Refusal sentence={refusal} />
      {use === 'dissolve' && <Effect prep={prep} />}
    </form>
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
  if (!Number.isInteger(typed.value)) return `${typed.text} drops: drops are counted whole.`
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
    <span className="w-100 row-of align-items-center" role="group" aria-label="What did the last portion do?">
      <span className="quiet">Swirled and waited, the last portion:</span>
      {PORTION_EFFECTS.map((effect) => (
        <Button
          key={effect}
          size="sm"
          variant="outline-primary"
          onClick={() => {
            write({ kind: 'portion seen', subject: prep.id, body: { portion: last.entry.id, effect } })
          }}
        >
          {effect}
        </Button>
      ))}
    </span>
  )
}

function CountPipette({ prep, onMillilitres }: { prep: PrepFacts; onMillilitres: () => void }) {
  const [drops, setDrops] = useState('')
  const [ml, setMl] = useState('1.00')
  const [refusal, setRefusal] = useState<string | null>(null)
  return (
    <form
      className="row-of align-items-end mt-1"
      aria-label="Count the drops of this pipette"
      onSubmit={(event) => {
        event.preventDefault()
        const counted = readReading(drops, 'The number of drops')
        const volume = readReading(ml, 'The volume')
        if (!counted.ok) return setRefusal(counted.problem.sentence)
        if (!volume.ok) return setRefusal(volume.problem.sentence)
        const perML = attempt(() => dropsPerML(counted.value.value, volume.value.value))
        if (!perML.ok) return setRefusal(perML.problem.sentence)
        if (!Number.isInteger(counted.value.value)) return setRefusal('Drops are counted whole.')
        write({
          kind: 'pipette counted',
          subject: prep.id,
          body: { drops: counted.value.value, volume: volume.value },
        })
      }}
    >
      <InlineField
        label="drops"
        width={90}
        whole
        value={drops}
        onChange={(text) => {
          setDrops(text)
          setRefusal(null)
        }}
      />
      <InlineField
        label="came to, mL"
        width={90}
        value={ml}
        onChange={(text) => {
          setMl(text)
          setRefusal(null)
        }}
      />
      <Button type="submit" size="sm" variant="outline-primary" disabled={drops.trim() === ''}>
        This pipette counts so
      </Button>
      <Button variant="link" size="sm" onClick={onMillilitres}>
        in mL instead
      </Button>
      <span className="quiet w-100">
        Once for each pipette and solvent: count drops into a measuring tube. Pipettes differ, so none is
        assumed.
      </span>
      <Refusal sentence={refusal} />
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
    : [small.toFixed(1), (2 * small).toFixed(1)]
}
