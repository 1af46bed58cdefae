import Button from 'react-bootstrap/Button'
import { download } from '../../device/download'
import { csvOf } from '../../format/csv'

/** A sheet of results, and the same as CSV. */
export function ResultsTable({ table }: { table: readonly (readonly string[])[] }) {
  const [head = [], ...rows] = table
  return (
    <>
      <div className="scroll" tabIndex={0} role="region" aria-label="Results">
        <table className="lines">
          <thead>
            <tr>
              {head.map((cell) => (
                <th key={cell} scope="col">
                  {cell}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map((row, i) => (
              <tr key={i}>
                {row.map((cell, at) => (
                  <td key={at} className={at > 2 ? 'num' : undefined}>
                    {cell}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <Button
        variant="link"
        className="p-0 mt-2"
        onClick={() => {
          download('practical-results.csv', csvOf(table), 'text/csv;charset=utf-8')
        }}
      >
        The sheet as CSV
      </Button>
    </>
  )
}
