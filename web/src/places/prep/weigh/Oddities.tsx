import { Link } from 'react-router'
import type { Oddity } from '@ivory-crystal/core/notebook'
import { useHere } from '../useHere'

/** What is odd about the numbers, with its likely causes in order and where to look at each. */
export function Oddities({ oddities }: { oddities: readonly Oddity[] }) {
  const { base } = useHere()
  return oddities.map(({ code, sentence, causes }) => (
    <div key={code} className="look" role="alert">
      {sentence}
      <span className="quiet d-block mt-1">Likely causes, in this order:</span>
      <ol className="mb-0 ps-3">
        {causes.map((cause) => (
          <li key={cause.sentence}>
            {cause.sentence} {cause.station !== 'weigh' && <Link to={`${base}/${cause.station}`}>look</Link>}
          </li>
        ))}
      </ol>
    </div>
  ))
}
