import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { NO_RANGE_REASONS, type NoRangeReason } from '@ivory-crystal/core/judging'
import { markOf, type MeltFacts, swappedSlots } from '@ivory-crystal/core/notebook'
import { write } from '../../ledger/notebook'
import { SwappedMarks } from '../../parts/SwappedMarks'
import type { Run } from './useRun'

/** Before a run ends: both numbers of every tube or a reason why not, never one number. */
export function EndPanel({ melt, run, onBack }: { melt: MeltFacts; run: Run; onBack: () => void }) {
  const open = openTubes(melt)
  const [reasons, setReasons] = useState<Readonly<Record<number, NoRangeReason | ''>>>({})
  const answered = open.every(({ slot }) => reasons[slot])
  return (
    <section aria-label="End the run" className="my-3">
      <h2>End the run</h2>
      <SwappedMarks melts={[melt]} />
      {open.length > 0 && (
        <>
          <p className="mt-1">
            One temperature is not a range. Give a reason for each tube without both ends.
          </p>
          {open.length > 1 && (
            <div className="row-of align-items-center mb-2">
              <span>All {open.length} for one reason:</span>
              <Reason
                label="reason for all tubes"
                value=""
                onChange={(reason) => {
                  setReasons(Object.fromEntries(open.map(({ slot }) => [slot, reason])))
                }}
              />
            </div>
          )}
          {open.map(({ slot, label, has }) => (
            <div key={slot} className="row-of align-items-center mb-2">
              <span>
                Tube {slot}, {label}: {has}
              </span>
              <Reason
                label={`why tube ${slot} has no range`}
                value={reasons[slot] ?? ''}
                onChange={(reason) => {
                  setReasons({ ...reasons, [slot]: reason })
                }}
              />
            </div>
          ))}
        </>
      )}
      <div className="row-of">
        <Button
          disabled={!answered || run.busy}
          onClick={() => {
            const id = melt.run?.id
            if (!id) return
            for (const { slot } of open) {
              const reason = reasons[slot]
              if (reason) write({ kind: 'range given up', subject: melt.id, body: { run: id, slot, reason } })
            }
            run.end()
          }}
        >
          {open.length > 0 ? 'End with these reasons' : 'End the run'}
        </Button>
        <Button variant="link" onClick={onBack}>
          Back to watching
        </Button>
      </div>
      <p className="caution mt-2">
        Put the tubes into the glass waste, hot ones after they have cooled. Leave the instrument to cool, and
        switch it off only if nobody waits for it.
      </p>
    </section>
  )
}

/** Why a tube has no range, of the reasons there are. */
function Reason({
  label,
  value,
  onChange,
}: {
  label: string
  value: NoRangeReason | ''
  onChange: (reason: NoRangeReason | '') => void
}) {
  return (
    <Form.Select
      style={{ width: 290 }}
      aria-label={label}
      value={value}
      onChange={(event) => {
        onChange(event.target.value as NoRangeReason | '')
      }}
    >
      <option value="">because …</option>
      {NO_RANGE_REASONS.map((reason) => (
        <option key={reason} value={reason}>
          {reason}
        </option>
      ))}
    </Form.Select>
  )
}

/** Every tube has both ends or its reason, and none of them is doubtful: ending asks nothing more. */
export function isComplete(melt: MeltFacts): boolean {
  return openTubes(melt).length === 0 && swappedSlots(melt).length === 0
}

/** Tubes with neither a whole range nor a reason. A tube whose light is read may yet be read off it. */
function openTubes(melt: MeltFacts): { slot: number; label: string; has: string }[] {
  return melt.planned.body.tubes.flatMap(({ slot, label }) => {
    const onset = markOf(melt, slot, 'first liquid')
    const clear = markOf(melt, slot, 'all liquid')
    if ((onset && clear) || melt.detected.has(slot)) return []
    if (melt.givenUp.some(({ body }) => body.slot === slot)) return []
    return [{ slot, label, has: onset ? 'onset only' : clear ? 'clear point only' : 'no mark' }]
  })
}
