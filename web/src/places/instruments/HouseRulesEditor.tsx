import Button from 'react-bootstrap/Button'
import type { Conventions } from '@ivory-crystal/core/conventions'
import { Choice, Field } from '../../parts/Field'
import { FieldError } from '../../parts/InlineField'
import { useShelving } from '../../parts/useShelving'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { percentUnlisted } from './percentUnlisted'

interface Named {
  readonly id: string
  readonly name: string
}
type Typed = Pick<Conventions, 'tubeIn' | 'dialUse' | 'onsetRule' | 'crudeRange' | 'boilingStones'> & {
  readonly name: string
  readonly numbers: Readonly<Record<string, string>>
  /** Names of compounds and solvents, one per line. */
  readonly closed: string
  readonly emergencyCalls: string
}

/** A set changed, or put on the shelf under a new name. */
export function HouseRulesEditor({
  set,
  things,
  onClose,
}: {
  set: Conventions
  things: readonly Named[]
  onClose: () => void
}) {
  const form = useShelving<Typed>({
    sort: 'house rules',
    start: {
      name: set.name,
      numbers: Object.fromEntries(FIELDS.map(({ label, of }) => [label, String(of(set))])),
      tubeIn: set.tubeIn,
      dialUse: set.dialUse,
      onsetRule: set.onsetRule,
      crudeRange: set.crudeRange,
      boilingStones: set.boilingStones,
      closed: (set.closed ?? []).map((id) => things.find((one) => one.id === id)?.name ?? id).join('\n'),
      emergencyCalls: set.emergencyCalls ?? '',
    },
    make({ name, numbers, closed, emergencyCalls, ...chosen }) {
      const bad = FIELDS.find(
        ({ label }) => !Number.isFinite(Number(numbers[label])) || numbers[label]?.trim() === '',
      )
      if (bad) return refuse(`“${bad.label}” is not a number.`, 'numbers')
      const shut = idsOf(closed, things)
      if (typeof shut === 'string') return refuse(shut, 'closed')
      const { closed: _, emergencyCalls: __, ...rest } = set
      const calls = emergencyCalls.trim()
      const changed = FIELDS.reduce((rules, { label, put }) => put(rules, Number(numbers[label])), {
        ...rest,
        ...chosen,
        ...(shut.length > 0 ? { closed: shut } : {}),
        ...(calls ? { emergencyCalls: calls } : {}),
        name: name.trim(),
      })
      return ok({ rows: [{ ...changed }] })
    },
    saved: onClose,
  })
  const { numbers } = form.typed
  return (
    <form className="mt-3" aria-label={`Edit ${set.name}`} onSubmit={form.onSubmit}>
      <h2>Edit “{set.name}”</h2>
      <p className="quiet mt-1">
        Under the same name it becomes a new version. Under another name it becomes a new set.
      </p>
      <div className="row-of align-items-end">
        <Field label="name" width={230} {...form.of('name')} />
        {FIELDS.map(({ label }) => (
          <Field
            key={label}
            label={label}
            width={150}
            value={numbers[label] ?? ''}
            onChange={(value) => {
              form.set({ numbers: { ...numbers, [label]: value } })
            }}
          />
        ))}
        <Choice label="tube goes in" options={['cold', 'at start temperature']} {...form.of('tubeIn')} />
        <Choice label="dial" options={['one setting, nudged', 'stepped']} {...form.of('dialUse')} />
        <Choice label="onset is the" options={['first wetness', 'distinct drop']} {...form.of('onsetRule')} />
        <Choice
          label="boiling stones"
          options={['in both flasks', 'in the solvent only']}
          {...form.of('boilingStones')}
        />
        <Choice
          label="crude’s range"
          options={['before dissolving', 'beside the product']}
          {...form.of('crudeRange')}
        />
      </div>
      <div className="row-of align-items-start mt-2">
        <Field
          label="not allowed in this lab"
          width={320}
          rows={3}
          help="compounds and solvents no plan may use, one name per line; for every set of rules"
          {...form.of('closed')}
        />
        <Field
          label="whom to call"
          width={320}
          rows={3}
          help="first aid, fire, poison advice: shown on the card under R, on every screen"
          {...form.of('emergencyCalls')}
        />
      </div>
      <div className="row-of mt-2">
        <Button type="submit" disabled={form.busy}>
          Save this set
        </Button>
        <Button variant="link" onClick={onClose}>
          Never mind
        </Button>
      </div>
      <FieldError sentence={form.message} />
    </form>
  )
}

/** Ids of what is named, a name a line, or the sentence about a name that is not on the shelf. */
function idsOf(typed: string, things: readonly Named[]): readonly string[] | string {
  const ids: string[] = []
  for (const name of typed.split(/[\n;]/).map((line) => line.trim())) {
    if (name === '') continue
    const found = things.find((one) => one.name.toLowerCase() === name.toLowerCase() || one.id === name)
    if (!found) return `“${name}” is not a compound or solvent on the shelf.`
    ids.push(found.id)
  }
  return [...new Set(ids)]
}

interface NumberOf {
  readonly label: string
  readonly of: (set: Conventions) => number
  readonly put: (set: Conventions, value: number) => Conventions
}
const plain = (
  label: string,
  key:
    | 'startBelowC'
    | 'approachRateMaxCPerMin'
    | 'stopAboveC'
    | 'sharpWidthC'
    | 'broadWidthC'
    | 'literatureWithinC'
    | 'repeatWithinC'
    | 'readingErrorC',
): NumberOf => ({ label, of: (set) => set[key], put: (set, value) => ({ ...set, [key]: value }) })
const rate = (label: string, key: keyof Conventions['meltRate']): NumberOf => ({
  label,
  of: (set) => set.meltRate[key],
  put: (set, value) => ({ ...set, meltRate: { ...set.meltRate, [key]: value } }),
})
const FIELDS: readonly NumberOf[] = [
  plain('starts below, °C', 'startBelowC'),
  rate('least, °C/min', 'min'),
  rate('wanted, °C/min', 'target'),
  rate('greatest, °C/min', 'max'),
  plain('before it, °C/min', 'approachRateMaxCPerMin'),
  plain('stops above, °C', 'stopAboveC'),
  {
    label: 'fill from, mm',
    of: ({ fillMm }) => fillMm[0],
    put: (set, value) => ({ ...set, fillMm: [value, set.fillMm[1]] }),
  },
  {
    label: 'fill to, mm',
    of: ({ fillMm }) => fillMm[1],
    put: (set, value) => ({ ...set, fillMm: [set.fillMm[0], value] }),
  },
  plain('sharp up to, °C', 'sharpWidthC'),
  plain('broad from, °C', 'broadWidthC'),
  plain('agrees within, °C', 'literatureWithinC'),
  plain('repeats within, °C', 'repeatWithinC'),
  plain('error of a reading, °C', 'readingErrorC'),
  {
    label: 'air drying, min',
    of: ({ drying }) => drying.atLeastMin,
    put: (set, value) => ({ ...set, drying: { ...set.drying, atLeastMin: value } }),
  },
  {
    label: 'not on the list, %',
    of: percentUnlisted,
    put: (set, value) => ({ ...set, unlistedPrior: value / 100 }),
  },
]
