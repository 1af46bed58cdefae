import Button from 'react-bootstrap/Button'
import type { BlockCommand } from '@ivory-crystal/core/instruments'
import { fixed } from '../../format/format'
import type { Run } from './useRun'

/** The tubes stand in the instrument; with what is commanded at the same moment, where something is. */
export function TubesIn({ run, then = null }: { run: Run; then?: (BlockCommand & { kind: 'ramp' }) | null }) {
  return (
    <Button
      disabled={run.busy}
      onClick={() => {
        run.command({ kind: 'tubes in' }, ...(then ? [then] : []))
      }}
    >
      {then ? `Tubes are in: go on at ${fixed(then.rateCPerMin, 1)} °C/min` : 'Tubes are in'}
    </Button>
  )
}
