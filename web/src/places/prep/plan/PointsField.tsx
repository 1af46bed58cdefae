import type { TypedPoint } from '@ivory-crystal/core/planning'
import Button from 'react-bootstrap/Button'
import Form from 'react-bootstrap/Form'

/** Solubility points, typed or taken from the shelf. */
export function PointsField({
  legend,
  points,
  source,
  error,
  onChange,
}: {
  legend: string
  points: readonly TypedPoint[]
  source: string
  error: string | null
  onChange: (points: readonly TypedPoint[]) => void
}) {
  const set = (i: number, change: Partial<TypedPoint>) => {
    onChange(points.map((point, j) => (i === j ? { ...point, ...change } : point)))
  }
  return (
    <fieldset>
      <legend className="form-label mb-1">{legend}</legend>
      {points.length > 0 && (
        <div className="d-flex gap-2 quiet" aria-hidden>
          <span style={{ width: 70 }}>°C</span>
          <span>g per 100 mL</span>
        </div>
      )}
      {points.map((point, i) => (
        <div key={i} className="d-flex gap-2 align-items-center mb-1">
          <Form.Control
            size="sm"
            style={{ width: 70 }}
            inputMode="decimal"
            aria-label={`${legend}, point ${i + 1}: temperature, °C`}
            value={point.temperature}
            onChange={(event) => {
              set(i, { temperature: event.target.value })
            }}
          />
          <Form.Control
            size="sm"
            style={{ width: 92 }}
            inputMode="decimal"
            aria-label={`${legend}, point ${i + 1}: g per 100 mL`}
            value={point.solubility}
            onChange={(event) => {
              set(i, { solubility: event.target.value })
            }}
          />
          <Button
            variant="link"
            size="sm"
            className="text-nowrap"
            aria-label={`Take out point ${i + 1} of ${legend}`}
            onClick={() => {
              onChange(points.filter((_, j) => j !== i))
            }}
          >
            take out
          </Button>
        </div>
      ))}
      <Button
        variant="link"
        size="sm"
        onClick={() => {
          onChange([...points, { temperature: '', solubility: '' }])
        }}
      >
        Add a point
      </Button>
      <span className="quiet ms-2">{points.length > 0 ? source : 'none known'}</span>
      {error && (
        <div className="invalid-feedback" role="alert">
          {error}
        </div>
      )}
    </fieldset>
  )
}
