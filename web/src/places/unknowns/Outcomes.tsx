import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { useHouseRules } from '../../parts/useHouseRules'
import { depressionDoubt, type NextMixture, outcomeWords } from '@ivory-crystal/core/identity'
import type { UnknownFacts } from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import type { LadderRow } from '../../drawings/LadderRung'
import { RangeLadder } from '../../drawings/RangeLadder'

/** Outcomes shown at once, the likely ones: what is to be done with them stays in view. */
const SHOWN = 5

/** What the mixture's range would look like, candidate by candidate. */
export function Outcomes({ mixture, unknown }: { mixture: NextMixture; unknown: UnknownFacts }) {
  const reference = unknown.candidates.find(({ compound }) => compound.id === mixture.reference)?.compound
  const rules = useHouseRules()
  const [isWhole, setWhole] = useState(false)
  const isReference = ({ id }: { id: string | null }) => id === mixture.reference
  const outcomes = [
    ...mixture.outcomes.filter(isReference),
    ...mixture.outcomes.filter((one) => !isReference(one)),
  ]
  const likely = [...outcomes.slice(0, SHOWN), ...outcomes.slice(SHOWN).filter(({ id }) => id === null)]
  const isLong = outcomes.length > likely.length + 1
  const rows = (isLong && !isWhole ? likely : outcomes).map(({ id, onsetC, clearC }): LadderRow => {
    const name = unknown.candidates.find(({ compound }) => compound.id === id)?.compound.name
    return {
      key: id ?? 'none',
      label: name ? name : 'another',
      note: outcomeWords({ id, onsetC, clearC }, mixture.reference, rules),
      onset: { text: fixed(onsetC, 0), value: onsetC },
      clear: { text: fixed(clearC, 0), value: clearC },
      signs: [],
      tone: id === mixture.reference ? 'product' : 'crude',
    }
  })
  const byEyeC = Math.max(
    ...mixture.outcomes.filter((one) => !isReference(one)).map(({ clearByEyeC }) => clearByEyeC[1]),
  )
  const doubt = depressionDoubt(mixture)
  return (
    <>
      <RangeLadder
        rows={rows}
        literature={reference ? { lowC: reference.meltLowC, highC: reference.meltHighC } : null}
        note={`if the unknown is …, equal parts; parts by eye may clear as high as ${fixed(byEyeC, 0)} °C`}
      />
      {isLong && (
        <Button
          size="sm"
          variant="link"
          className="p-0"
          onClick={() => {
            setWhole(!isWhole)
          }}
        >
          {isWhole
            ? 'Only the likely ones'
            : `Show the ${outcomes.length - likely.length} less likely ones too`}
        </Button>
      )}
      {doubt && <p className="look">{doubt}</p>}
    </>
  )
}
