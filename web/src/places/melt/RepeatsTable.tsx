import { type RangeRow, repeatsOf } from '@ivory-crystal/core/notebook'
import { fixed } from '../../format/format'
import { Why } from '../../parts/Why'

/** Several determinations of one sample: mean, spread, and what no heating at all would show. */
export function RepeatsTable({ rows }: { rows: readonly RangeRow[] }) {
  const repeats = repeatsOf(rows)
  if (repeats.length === 0) return null
  return (
    <section className="mt-3" aria-label="Repeats">
      <h3>
        Measured more than once <Why of="zeroRateRange" />
      </h3>
      <table className="lines stacks mt-1">
        <thead>
          <tr>
            <th>sample</th>
            <th className="num">times</th>
            <th className="num">mean range, °C</th>
            <th className="num">spread of onset, clear</th>
            <th className="num">at no heating rate</th>
          </tr>
        </thead>
        <tbody>
          {repeats.map((one) => (
            <tr key={`${one.sample} ${one.instrumentName}`}>
              <td className="whole">
                {one.label}, {one.instrumentName.toLowerCase()}
              </td>
              <td className="num" data-name="times">
                {one.count}
              </td>
              <td className="num" data-name="mean range, °C">
                {fixed(one.mean.onsetC, 1)} to {fixed(one.mean.clearC, 1)}
              </td>
              <td className={one.repeats ? 'num' : 'num trouble'} data-name="spread of onset, clear">
                {fixed(one.spreadC.onset, 1)}, {fixed(one.spreadC.clear, 1)}
                {one.repeats ? '' : ': does not repeat'}
                {one.outliers.length > 0 && (
                  <span className="d-block">
                    {one.outliers.join(' and ')} does not agree with the others; it stays in the mean
                  </span>
                )}
              </td>
              <td className="num" data-name="at no heating rate">
                {one.zeroRate
                  ? `${fixed(one.zeroRate.onsetC, 1)} to ${fixed(one.zeroRate.clearC, 1)}`
                  : 'cannot be decided'}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  )
}
