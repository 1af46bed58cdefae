import { useHouseRules } from './useHouseRules'
import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { useNavigate, useParams } from 'react-router'
import {
  attempt,
  BY_EYE_WITHIN,
  type Compound,
  EQUAL_BY_EYE,
  type Grinding,
  LOCAL_RULES,
  massFractionOf,
  type NamedSample,
  nextSet,
  packMixedRun,
  rackOf,
  readReading,
} from '@ivory-crystal/core'
import { fixed } from '../format/format'
import { newSubject, useNotebook, write } from '../ledger/notebook'
import { Field } from './Field'

/** Grinds a sample with one authentic sample or more, and packs the tubes of one run side by side. */
export function MixedMeltForm({
  sample,
  references,
}: {
  sample: Pick<NamedSample, 'id' | 'label'>
  references: readonly { readonly compound: Compound; readonly authentic: NamedSample | null }[]
}) {
  const { notebook } = useParams()
  const go = useNavigate()
  const view = useNotebook((state) => state.view)
  const [by, setBy] = useState<Grinding['by']>('eye')
  const [masses, setMasses] = useState<readonly [string, string]>(['', ''])
  const [beside, setBeside] = useState(true)
  const [said, setSaid] = useState<string | null>(null)
  const rules = useHouseRules()
  const tubes = 1 + references.length * (beside ? 2 : 1)
  const [first] = references
  if (!first) return null
  return (
    <form
      aria-label="Mixed melt"
      noValidate
      onSubmit={(event) => {
        event.preventDefault()
        const grinding = by === 'eye' ? EQUAL_BY_EYE : weighed(masses)
        if (typeof grinding === 'string') return setSaid(grinding)
        const { lines, tubes: packed } = packMixedRun(newSubject, {
          sample,
          references,
          grinding,
          authenticBeside: beside,
          fillMm: rules.fillMm[0],
          set: nextSet(rackOf(view).map(({ entry }) => entry.body.set)),
        })
        const ids = write(...lines).slice(-packed)
        void go(`/n/${notebook ?? ''}/melts/new?tubes=${ids.join(',')}`)
      }}
    >
      <p className="mb-2">
        Grind {sample.label} with authentic{' '}
        {references.map(({ compound }) => compound.name).join(', and with ')} until no grain of either shows.
        Clean tools between; label each tube before the next is packed.
      </p>
      <p className="caution mb-2">
        Take an unknown for harmful: eyes protected, no dust raised, nothing touched. {LOCAL_RULES}
      </p>
      <fieldset className="row-of align-items-end">
        <legend className="visually-hidden">how the parts are measured</legend>
        {(['eye', 'mass'] as const).map((one) => (
          <Form.Check
            key={one}
            type="radio"
            name="grinding"
            id={`grinding-${one}`}
            label={one === 'eye' ? 'equal parts by eye' : 'weighed'}
            checked={by === one}
            onChange={() => {
              setBy(one)
              setSaid(null)
            }}
          />
        ))}
        {by === 'mass' && (
          <>
            <Field
              label={`${sample.label}, g`}
              width={110}
              value={masses[0]}
              onChange={(value) => {
                setMasses([value, masses[1]])
              }}
            />
            <Field
              label={`authentic ${first.compound.name}, g`}
              width={210}
              value={masses[1]}
              onChange={(value) => {
                setMasses([masses[0], value])
              }}
            />
          </>
        )}
      </fieldset>
      <p className="form-text">
        {by === 'eye'
          ? `By eye the parts are equal within about ${fixed(100 * BY_EYE_WITHIN, 0)} % of the whole, and the clear point of a mixture of two is the less sure for it.`
          : 'The expected range is worked out for just these masses.'}
      </p>
      <Form.Check
        id="beside"
        className="mt-1"
        label="with the authentic sample in a tube of its own, so that the thermometer cancels"
        checked={beside}
        onChange={(event) => {
          setBeside(event.target.checked)
        }}
      />
      {said && (
        <p className="look" role="alert">
          {said}
        </p>
      )}
      <Button type="submit" className="mt-2">
        Pack {tubes} tubes and plan the run
      </Button>
    </form>
  )
}

/** Both masses read, or the sentence about what is wrong with them. */
function weighed([firstText, secondText]: readonly [string, string]): Grinding | string {
  const [first, second] = [
    readReading(firstText, 'The mass of the first part'),
    readReading(secondText, 'The mass of the second part'),
  ]
  if (!first.ok) return first.problem.sentence
  if (!second.ok) return second.problem.sentence
  const [p, q] = [first.value, second.value]
  const share = attempt(() => massFractionOf(p.value, q.value))
  return share.ok ? { massFractionFirst: share.value, by: 'mass', massesG: [p, q] } : share.problem.sentence
}
