import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'
import { type PhotographShows, type PrepFacts, sampleOf } from '@ivory-crystal/core/notebook'
import { type Station, STATION_ABOUT } from '@ivory-crystal/core/stations'
import { clock } from '../format/format'
import { Refusal } from './InlineField'
import { Photographs } from './Photographs'
import { useLines } from './useTyped'
import { ok } from '@ivory-crystal/core/problems'
import { strike } from '../ledger/notebook'

/** A line for what is seen, and the lines written at this station so far. */
export function ObservationLine({ prep, station }: { prep: PrepFacts; station: Station }) {
  const form = useLines({
    start: { text: '' },
    make: ({ text }) => ok([{ kind: 'observed', subject: prep.id, body: { station, text: text.trim() } }]),
  })
  const { text } = form.typed
  const lines = prep.observations.filter((line) => line.body.station === station)
  return (
    <section className="mt-4" aria-label="Observations">
      <h3>Observed</h3>
      {lines.map((line) => (
        <p key={line.id} className="mb-1">
          <span className="quiet">{clock(line.at)}</span> {line.body.text}{' '}
          <Button
            variant="link"
            size="sm"
            onClick={() => {
              strike(line, 'written by mistake')
            }}
          >
            strike out
          </Button>
        </p>
      ))}
      {CAME_OUT_AS_OIL.test(lines.at(-1)?.body.text ?? '') && station === 'crystallize' && (
        <p className="look mb-1" role="note">
          If it came out as an oil, warm it again until the oil is gone and let it cool more slowly. The card
          “An oil instead of crystals” under <kbd className="key">R</kbd> says how.
        </p>
      )}
      <form className="row-of flex-nowrap mt-1" onSubmit={form.onSubmit}>
        <Form.Control
          aria-label="What do you see?"
          placeholder="Colour, crystals: what do you see?"
          maxLength={2000}
          value={text}
          onChange={(event) => {
            form.set({ text: event.target.value })
          }}
        />
        <Button type="submit" variant="outline-primary" disabled={text.trim() === ''} className="text-nowrap">
          Write it down
        </Button>
        <Refusal sentence={form.message} />
      </form>
      <Photographs of={prep.id} usual={usualAt(prep, station)} />
    </section>
  )
}

/** Words for an oil in the flask; never “oil bath”, “boil” or “foil”. */
const CAME_OUT_AS_OIL = /\boil(?!\s*bath)(?:s|ed|y|ing)?\b/i

/** What is likeliest to be photographed at a station. */
function usualAt(prep: PrepFacts, station: Station): PhotographShows {
  return STATION_ABOUT[station].photograph ?? (sampleOf(prep, 'product')?.weighing ? 'crystals' : 'crude')
}
