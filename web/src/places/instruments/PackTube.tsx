import { originOf } from '../../parts/SampleOrigin'
import { GrainField } from '../../parts/GrainField'
import { useLines } from '../../parts/useTyped'
import { ok, refuse } from '@ivory-crystal/core/problems'
import { InlineField, FieldError } from '../../parts/InlineField'
import { useHouseRules } from '../../parts/useHouseRules'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import type { Grain } from '@ivory-crystal/core/heating'
import type { SampleId } from '@ivory-crystal/core/ids'
import { samplesNamed } from '@ivory-crystal/core/notebook'
import { readReading } from '@ivory-crystal/core/weighing'
import { FillGauge } from '../../drawings/FillGauge'
import { useNotebook } from '../../ledger/notebook'
import { NewSample } from '../melt/NewSample'
import { PackingTrouble } from '../melt/PackingTrouble'

export function PackTube() {
  const view = useNotebook((state) => state.view)
  const conventions = useHouseRules()
  const samples = samplesNamed(view)
  const form = useLines<{ sample: SampleId | ''; fill: string; grain: Grain; set: string }>({
    start: { sample: '', fill: String(conventions.fillMm[0]), grain: 'fine', set: '' },
    make({ sample, fill, grain, set }) {
      if (sample === '') return refuse('Choose the sample you pack.', 'sample')
      const read = readReading(fill, 'The fill height')
      if (!read.ok) return refuse(read.problem.sentence, 'fill')
      if (!(read.value.value > 0 && read.value.value <= 50))
        return refuse(`A fill height of ${read.value.text} mm is impossible; most labs pack 2 to 3.`, 'fill')
      return ok([
        {
          kind: 'tube packed',
          subject: sample,
          body: {
            sample,
            label: samples.find(({ id }) => id === sample)?.label ?? 'sample',
            fillMm: read.value.value,
            grain,
            set: set.trim() === '' ? null : set.trim().slice(0, 10),
          },
        },
      ])
    },
    stays: ['fill', 'grain', 'set'],
  })
  const { sample, grain } = form.typed
  const fillMm = Number(form.typed.fill)
  return (
    <form className="mt-3" aria-label="Pack a tube" onSubmit={form.onSubmit}>
      <h3>Pack a tube</h3>
      <div className="row-of align-items-end mt-1">
        <Form.Select
          style={{ width: 200 }}
          aria-label="sample of the tube"
          value={sample}
          onChange={(event) => {
            form.set({ sample: event.target.value as SampleId | '' })
          }}
        >
          <option value="">a sample …</option>
          {samples.map(({ id, label }) => (
            <option key={id} value={id}>
              {label} · {originOf(view, id)}
            </option>
          ))}
        </Form.Select>
        <InlineField label="fill, mm" width={80} {...form.of('fill')} />
        <GrainField name="grain of the tube" {...form.of('grain')} />
        <InlineField label="set" width={70} {...form.of('set')} />
        <Button type="submit" size="sm">
          Into the rack
        </Button>
      </div>
      <p className="quiet mt-1 mb-1">
        Tubes of one set go into one run. Give an unknown, its authentic sample and their mixture the same
        letter.
      </p>
      <FieldError sentence={form.message} />
      <NewSample
        samples={samples}
        onNamed={(id) => {
          form.set({ sample: id })
        }}
      />
      <PackingTrouble />
      {fillMm > 0 && fillMm <= 14 && (
        <FillGauge
          fillMm={fillMm}
          grain={grain}
          rateCPerMin={conventions.meltRate.target}
          wished={conventions.fillMm}
        />
      )}
    </form>
  )
}
