import type { ReadLane } from '@ivory-crystal/core/chromatography'
import { fixed } from '../../format/format'
import { letter } from '../../drawings/PlateDrawing'
import { Term } from '../../parts/Term'

/** Every spot with its retention factor and what reading leaves open in it (95 %). */
export function LaneTable({ lanes, frontText }: { lanes: readonly ReadLane[]; frontText: string }) {
  return (
    <table className="lines mt-2">
      <thead>
        <tr>
          <th>lane</th>
          <th className="num">spot, mm</th>
          <th className="num">
            <Term of="retentionFactor">Rf</Term> (front {frontText} mm)
          </th>
          <th />
        </tr>
      </thead>
      <tbody>
        {lanes.flatMap((lane, i) =>
          lane.spots.length === 0
            ? [
                <tr key={i}>
                  <td>
                    {letter(i)}: {lane.label}
                  </td>
                  <td className="num" colSpan={2}>
                    nothing seen
                  </td>
                  <td />
                </tr>,
              ]
            : lane.spots.map((spot, j) => (
                <tr key={`${i} ${j}`}>
                  <td>{j === 0 ? `${letter(i)}: ${lane.label}` : ''}</td>
                  <td className="num">{fixed(lane.spotsMm[j] ?? 0, 1)}</td>
                  <td className="num">
                    {fixed(spot.rf, 2)} ± {fixed(2 * spot.standardUncertainty, 2)}
                  </td>
                  <td className={spot.poor ? 'trouble' : undefined}>{spot.poor}</td>
                </tr>
              )),
        )}
      </tbody>
    </table>
  )
}
