import classNames from 'classnames'
import type { Score } from '@ivory-crystal/core/practice'

/** What was said or done beside what it was. */
export function Compared({ score }: { score: Score }) {
  return (
    <table className="lines">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">what</span>
          </th>
          <th scope="col" className="num">
            you
          </th>
          <th scope="col" className="num">
            it was
          </th>
          <th scope="col">
            <span className="visually-hidden">right or not</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {score.compared.map(({ what, you, was, isRight }) => (
          <tr key={what}>
            <td>{what}</td>
            <td className={classNames('num fw-bold', !isRight && 'trouble')}>{you}</td>
            <td className="num">{was}</td>
            <td className="quiet">{isRight ? 'right' : 'off'}</td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
