import Button from 'react-bootstrap/Button'
import type { Conventions } from '@ivory-crystal/core/conventions'
import { compareSchools, type Packing } from '@ivory-crystal/core/heating'
import type { Instrument } from '@ivory-crystal/core/instruments'
import type { MeltPlanned } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { fixed } from '../../format/format'
import { Why } from '../../parts/Why'

/** What each school costs and risks for this sample on this instrument; one press takes one for this melt alone. */
export function Schools({
  schools,
  inForce,
  ofNotebook,
  instrument,
  blockC,
  literature,
  firstLiquidFromC,
  packing,
  minutesBy,
  onTake,
}: {
  schools: readonly Conventions[]
  inForce: Conventions
  /** What the notebook goes by: another melt is planned by it again. */
  ofNotebook: Conventions
  instrument: Instrument
  blockC: number
  literature: MeltPlanned['literature']
  firstLiquidFromC: number | null
  packing: Packing
  /** How long the plan made here would take by a school, min; null where that is not known. */
  minutesBy: (school: Conventions) => number | null
  /** null goes back to the notebook’s own. */
  onTake: (school: Conventions | null) => void
}) {
  const { ambientC, heatCPerMin, coolTimeConstantMin, rates, maxC, sampleLagMin, probeLagMin } =
    instrument.character
  const rows = schools.map((school) => ({
    school,
    minutes: minutesBy(school),
    cost: attempt(
      () =>
        compareSchools(
          {
            low: literature.lowC,
            high: literature.highC,
            ...(firstLiquidFromC === null ? {} : { firstLiquidFromC }),
            packing,
          },
          {
            ambientC,
            blockC,
            heatCPerMin,
            coolTimeConstantMin,
            rates,
            maxC,
            lags: { sampleLagMin, probeLagMin },
          },
          [school],
        )[0],
    ),
  }))
  return (
    <>
      {inForce.name !== ofNotebook.name && (
        <p className="look mt-3 mb-0" role="status">
          This melt alone uses “{inForce.name}”; the notebook still uses “{ofNotebook.name}”.{' '}
          <Button
            size="sm"
            variant="link"
            onClick={() => {
              onTake(null)
            }}
          >
            back to “{ofNotebook.name}”
          </Button>
        </p>
      )}
      <details className="mt-3">
        <summary>
          House rules: <b>{inForce.name}</b>. How would other ways of heating compare?
        </summary>
        <div className="scroll mt-2">
          <table className="lines">
            <thead>
              <tr>
                <th>school</th>
                <th className="num">minutes in all</th>
                <th className="num">would read, °C</th>
                <th className="num">widened by</th>
                <th>risk</th>
                <th />
              </tr>
            </thead>
            <tbody>
              {rows.map(({ school, minutes, cost }) => (
                <tr key={school.name} className={school.name === inForce.name ? 'chosen' : undefined}>
                  <td>{school.name}</td>
                  {cost.ok && cost.value ? (
                    <>
                      <td className="num">{minutes === null ? '–' : fixed(minutes, 0)}</td>
                      <td className="num">
                        {fixed(cost.value.predicted.onsetC, 1)} to {fixed(cost.value.predicted.clearC, 1)}
                      </td>
                      <td className="num">{fixed(cost.value.wideningC, 1)} °C</td>
                      <td>
                        {cost.value.meltsOnBeingPutIn
                          ? 'an impure sample would melt as it goes in'
                          : cost.value.onsetBelowStart
                            ? 'the first liquid comes before the slow part'
                            : 'none seen'}
                      </td>
                    </>
                  ) : (
                    <td colSpan={4}>{cost.ok ? '' : cost.problem.sentence}</td>
                  )}
                  <td>
                    {school.name !== inForce.name && (
                      <Button
                        size="sm"
                        variant="link"
                        aria-label={`Use ${school.name} for this melt`}
                        onClick={() => {
                          onTake(school.name === ofNotebook.name ? null : school)
                        }}
                      >
                        for this melt
                      </Button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <p className="quiet mt-1">
          The minutes are those of the plan made here, which starts early enough for an impure sample. The
          reading and the risk belong to the start temperature of each set of rules, for a sample that melts
          in its literature range, packed {packing.fillMm} mm. <Why of="compareSchools" />
        </p>
      </details>
    </>
  )
}
