import css from './TubeRows.module.css'
import { GrainField } from '../../parts/GrainField'
import Form from 'react-bootstrap/Form'
import type { SampleId } from '@ivory-crystal/core/ids'
import type { NamedSample } from '@ivory-crystal/core/notebook'
import { originOf } from '../../parts/SampleOrigin'
import { useNotebook } from '../../ledger/notebook'
import { NewSample } from './NewSample'
import { EMPTY_SLOT, type SlotDraft } from './tubes'

/** The slots of the instrument and what goes into each. */
export function TubeRows({
  slots,
  samples,
  prep,
  onChange,
}: {
  slots: readonly SlotDraft[]
  samples: readonly NamedSample[]
  prep: string | null
  onChange: (slots: readonly SlotDraft[]) => void
}) {
  const set = (i: number, change: Partial<SlotDraft>) => {
    onChange(slots.map((slot, j) => (i === j ? { ...slot, ...change } : slot)))
  }
  const view = useNotebook((state) => state.view)
  const mine = samples.filter((sample) => sample.prep === prep)
  const others = samples.filter((sample) => sample.prep !== prep)
  return (
    <>
      <table className="lines stacks">
        <thead>
          <tr>
            <th>slot</th>
            <th>sample</th>
            <th>fill, mm</th>
            <th>grain</th>
          </tr>
        </thead>
        <tbody>
          {slots.map((slot, i) => (
            <tr key={i}>
              <td className="pt-3">{i + 1}</td>
              <td className={css.sample}>
                <Form.Select
                  aria-label={`sample in slot ${i + 1}`}
                  value={slot.sample}
                  onChange={(event) => {
                    set(i, { sample: event.target.value as SampleId | '', tube: null })
                  }}
                >
                  <option value="">empty</option>
                  {mine.length > 0 && others.length > 0 ? (
                    <>
                      <optgroup label="of this prep">
                        <Options of={mine} />
                      </optgroup>
                      <optgroup label="others">
                        <Options of={others} />
                      </optgroup>
                    </>
                  ) : (
                    <Options of={samples} />
                  )}
                </Form.Select>
              </td>
              <td data-name="fill, mm">
                <Form.Control
                  style={{ width: 74 }}
                  inputMode="decimal"
                  aria-label={`fill height in slot ${i + 1}, mm`}
                  value={slot.fillMm}
                  disabled={slot.sample === ''}
                  onChange={(event) => {
                    set(i, { fillMm: event.target.value })
                  }}
                />
              </td>
              <td data-name="grain">
                <GrainField
                  name={`grain in slot ${i + 1}`}
                  value={slot.grain}
                  disabled={slot.sample === ''}
                  onChange={(grain) => {
                    set(i, { grain })
                  }}
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {slots.map(({ sample }, i) => {
        const other = prep !== null && others.find(({ id, prep: of }) => id === sample && of !== null)
        return (
          other && (
            <p key={i} className="look mb-1" role="note">
              Slot {i + 1} holds {other.label} of {originOf(view, other.id)}, which is not this prep.
            </p>
          )
        )
      })}
      <NewSample
        samples={samples}
        onNamed={(id) => {
          const free = slots.findIndex(({ sample }) => sample === '')
          const at = free === -1 ? slots.length - 1 : free
          onChange(slots.map((slot, i) => (i === at ? { ...EMPTY_SLOT, sample: id } : slot)))
        }}
      />
    </>
  )
}

function Options({ of }: { of: readonly NamedSample[] }) {
  const view = useNotebook((state) => state.view)
  return of.map(({ id, label }) => (
    <option key={id} value={id}>
      {label} · {originOf(view, id)}
    </option>
  ))
}
