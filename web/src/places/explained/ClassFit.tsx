import css from './ClassFit.module.css'
import { useId, useState } from 'react'
import { proxy } from 'comlink'
import Form from 'react-bootstrap/Form'
import ProgressBar from 'react-bootstrap/ProgressBar'
import { Link, useParams } from 'react-router'
import { prepsOf } from '@ivory-crystal/core/notebook'
import { classTasks } from '@ivory-crystal/core/planning'
import type { Result } from '@ivory-crystal/core/problems'
import type { LabInput, LabSimulation, SessionTask } from '@ivory-crystal/core/scheduling'
import { QueueStrip } from '../../drawings/QueueStrip'
import { fixed } from '../../format/format'
import { useNotebook } from '../../ledger/notebook'
import { InlineField, FieldError } from '../../parts/InlineField'
import { Title } from '../../parts/Title'
import { RunOrStop } from '../../parts/RunOrStop'
import { useHouseRules } from '../../parts/useHouseRules'
import { type Notify, useLongRun } from '../../parts/useLongRun'
import { compute } from '../../workers/compute'

const DAYS = 200
const SEED = 20_261_128
/** A staggered start: two groups so far apart, min. */
const APART_MIN = 30
const MOST = 500

interface Way {
  readonly name: string
  readonly day: LabSimulation
}
interface Typed {
  readonly benches: string
  readonly blocks: string
  readonly balances: string
  readonly hands: string
  readonly overMin: string
  readonly spreadPercent: string
}

const whole = (text: string) => (/^\d+$/.test(text.trim()) ? Number(text) : NaN)

/** The day of a whole class, simulated many times over: queues, by when everybody is out, and what would change it. */
export function ClassFit() {
  const { notebook = '' } = useParams()
  const view = useNotebook((state) => state.view)
  const shelf = useNotebook((state) => state.shelf)
  const rules = useHouseRules()
  const id = useId()
  const planned = prepsOf(view).filter(({ plan }) => plan !== null)
  const [chosen, setChosen] = useState<string | null>(null)
  const [typed, setTyped] = useState<Typed>({
    benches: '20',
    blocks: '4',
    balances: '2',
    hands: '1',
    overMin: '10',
    spreadPercent: '20',
  })
  const [wrong, setWrong] = useState<string | null>(null)
  const { share, result, start, stop, clear } = useLongRun<readonly Way[]>()
  const prep = planned.find((one) => one.id === chosen) ?? planned[0]
  if (!prep || !shelf)
    return (
      <>
        <Title title="Will the class fit?" />
        <p className="mt-4">
          Once a prep has <Link to={`/n/${notebook}/preps`}>a fixed plan</Link>, you can simulate the day of a
          whole class that follows it.
        </p>
      </>
    )
  const tasks = classTasks(view, shelf, rules, prep)
  const field = (name: keyof Typed, label: string) => (
    <InlineField
      label={label}
      width={150}
      whole
      value={typed[name]}
      onChange={(value) => {
        setTyped({ ...typed, [name]: value })
        setWrong(null)
      }}
    />
  )
  const run = () => {
    const read = inputOf(
      typed,
      tasks,
      shelf.instruments.map((one) => one.id),
    )
    if (typeof read === 'string') setWrong(read)
    else start((notify) => simulated(read, notify))
  }
  return (
    <>
      <Title title="Will the class fit?" aside="a day of all benches, simulated" />
      <p className={css.prose}>
        Every bench does the same work at its own pace and queues for shared equipment. The minutes come from
        the plan, not from measurements here. {DAYS} days are simulated, and the mean is shown.
      </p>
      <div className={css.form}>
        <div>
          <Form.Label htmlFor={`${id}-prep`}>the procedure of</Form.Label>
          <Form.Select
            id={`${id}-prep`}
            size="sm"
            value={prep.id}
            onChange={(event) => {
              setChosen(event.target.value)
              clear()
            }}
          >
            {planned.map((one) => (
              <option key={one.id} value={one.id}>
                {one.opened.body.title}
              </option>
            ))}
          </Form.Select>
        </div>
        {field('benches', 'benches')}
        {field('hands', 'people at a bench')}
        {field('blocks', 'melting instruments')}
        {field('balances', 'balances')}
        {field('overMin', 'they come within, min')}
        {field('spreadPercent', 'paces differ by, %')}
        <RunOrStop isRunning={share !== null} onRun={run} onStop={stop}>
          Run the day
        </RunOrStop>
      </div>
      <FieldError
        sentence={wrong ?? (result && !result.ok ? result.problem.sentence : null)}
        className="look mt-2"
      />
      {share !== null && <ProgressBar className="mt-3" now={100 * share} aria-label="days simulated" />}
      {result?.ok && <ClassOutcome ways={result.value} />}
    </>
  )
}

/** What was typed, or why it cannot be run, as a sentence. */
function inputOf(
  typed: Typed,
  tasks: readonly SessionTask[],
  instruments: readonly string[],
): string | Omit<LabInput, 'seed' | 'runs'> {
  const numbers: readonly (readonly [name: string, value: number, least: number])[] = [
    ['benches', whole(typed.benches), 1],
    ['people at a bench', whole(typed.hands), 1],
    ['melting instruments', whole(typed.blocks), 1],
    ['balances', whole(typed.balances), 1],
    ['minutes in which they arrive', whole(typed.overMin), 0],
    ['per cent by which paces differ', whole(typed.spreadPercent), 0],
  ]
  const bad = numbers.find(([, value, least]) => !(value >= least && value <= MOST))
  if (bad) return `The ${bad[0]}: a whole number from ${bad[2]} to ${MOST}.`
  // Whichever instrument the plan names: here they are as many as there are.
  const named = new Set(instruments)
  return {
    tasks: tasks.map((task) => ({
      ...task,
      needs: Object.fromEntries(
        Object.entries(task.needs).map(([name, amount]) => [named.has(name) ? BLOCK : name, amount]),
      ),
      ...(task.keeps && named.has(task.keeps.thing) ? { keeps: { ...task.keeps, thing: BLOCK } } : {}),
    })),
    shared: { [BLOCK]: whole(typed.blocks), balance: whole(typed.balances) },
    benches: whole(typed.benches),
    hands: whole(typed.hands),
    arrival: { kind: 'scattered', overMin: whole(typed.overMin) },
    pace: { kind: 'log-normal', spread: whole(typed.spreadPercent) / 100 },
  }
}
const BLOCK = 'melting instrument'

/** The day as it is, and with one thing changed at a time; null when it was told to stop. */
async function simulated(
  input: Omit<LabInput, 'seed' | 'runs'>,
  notify: Notify,
): Promise<Result<readonly Way[]> | null> {
  const more = (name: string) => ({ ...input.shared, [name]: (input.shared[name] ?? 0) + 1 })
  const overMin = input.arrival.kind === 'scattered' ? input.arrival.overMin : 0
  const inputs: readonly (readonly [string, Omit<LabInput, 'seed' | 'runs'>])[] = [
    ['as it is', input],
    [`one more ${BLOCK}`, { ...input, shared: more(BLOCK) }],
    ['one more balance', { ...input, shared: more('balance') }],
    [
      `two groups, ${APART_MIN} min apart`,
      { ...input, arrival: { kind: 'staggered', groups: 2, gapMin: APART_MIN, overMin } },
    ],
  ]
  const heavy = await compute()
  const ways: Way[] = []
  for (const [i, [name, one]] of inputs.entries()) {
    const day = await heavy.classDay(
      { ...one, seed: SEED, runs: DAYS },
      proxy((done: number) => notify((i + done / DAYS) / inputs.length)),
    )
    if (!day?.ok) return day
    ways.push({ name, day: day.value })
  }
  return { ok: true, value: ways }
}

function ClassOutcome({ ways }: { ways: readonly Way[] }) {
  const [asIs] = ways
  if (!asIs) return null
  const hours = (min: number) => `${Math.floor(min / 60)} h ${String(Math.round(min % 60)).padStart(2, '0')}`
  const names = Object.keys(asIs.day.queues)
  const upToMin = Math.max(...names.map((name) => asIs.day.queues[name]?.waitingByMinute.length ?? 0))
  // Each group from its own start: a second one is out later, and in the lab for no longer.
  const best = [...ways.slice(1)].sort((p, q) => p.day.inLabMin.all - q.day.inLabMin.all)[0]
  const gainMin = best ? asIs.day.inLabMin.all - best.day.inLabMin.all : 0
  return (
    <>
      <h2 className="mt-4">All finished after {hours(asIs.day.outByMin.all)}</h2>
      <p className="mt-1">
        {best && gainMin >= 3
          ? `What helps most: ${best.name}; nobody is in the lab for longer than ${hours(best.day.inLabMin.all)}, ${fixed(gainMin, 0)} min less.`
          : 'Neither another instrument nor a staggered start saves three minutes: the work itself takes this long.'}{' '}
        An instrument is in use from loading to the last crystal, and cools before the next bench gets it.
      </p>
      <table className="lines stacks" style={{ maxWidth: 820 }}>
        <thead>
          <tr>
            <th scope="col">way</th>
            <th scope="col">half have finished after</th>
            <th scope="col">nine tenths</th>
            <th scope="col">all</th>
            <th scope="col">longest stay</th>
            {names.map((name) => (
              <th scope="col" key={name}>
                wait for a {name}, min
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {ways.map(({ name, day }) => (
            <tr key={name}>
              <td className="whole">{name}</td>
              <td data-name="half have finished after">{hours(day.outByMin.half)}</td>
              <td data-name="nine tenths">{hours(day.outByMin.nineTenths)}</td>
              <td data-name="all">{hours(day.outByMin.all)}</td>
              <td data-name="longest stay">{hours(day.inLabMin.all)}</td>
              {names.map((queue) => (
                <td key={queue} data-name={`wait for a ${queue}, min`}>
                  {fixed(day.queues[queue]?.meanWaitMin ?? 0, 1)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {names.map((name) => (
        <section key={name} className="mt-3" aria-label={`Waiting for a ${name}`}>
          <h3>Waiting for a {name}, as it is</h3>
          <QueueStrip
            waitingByMinute={asIs.day.queues[name]?.waitingByMinute ?? []}
            upToMin={upToMin}
            what={name}
          />
        </section>
      ))}
    </>
  )
}
