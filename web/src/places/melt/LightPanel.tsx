import { useState } from 'react'
import Button from 'react-bootstrap/Button'
import { detectMelt, type LightSample } from '@ivory-crystal/core/heating'
import type { MeltingRange } from '@ivory-crystal/core/melting'
import { type MeltFacts, readingsOf } from '@ivory-crystal/core/notebook'
import { attempt } from '@ivory-crystal/core/problems'
import { fixed } from '../../format/format'
import { LightChart } from '../../drawings/LightChart'
import { useNotebook, write } from '../../ledger/notebook'

const SHARES = { onsetAt: 0.05, clearAt: 0.95 } as const

/** The light through each tube of a run, with the ends found in it; they can be moved before they are taken. */
export function LightPanel({ melt }: { melt: MeltFacts }) {
  const view = useNotebook((state) => state.view)
  const { run } = melt
  if (!run) return null
  const { probeC, light, decimals } = readingsOf(view, melt.id, run.id)
  if (light.size < 30) return null
  const from = rampBegan(melt)
  return (
    <section aria-label="Light through the tubes" className="mt-3">
      <h2>Light through the tubes</h2>
      {melt.planned.body.tubes.map((tube, index) => {
        const trace = [...light.entries()]
          .filter(([sample]) => sample >= from)
          .flatMap(([sample, values]): LightSample[] => {
            const temperatureC = probeC.get(sample)
            const transmission = values[index]
            return temperatureC === undefined || transmission === undefined
              ? []
              : [{ temperatureC, transmission }]
          })
        return (
          <LightOfTube
            key={tube.slot}
            melt={melt}
            slot={tube.slot}
            label={tube.label}
            trace={trace}
            decimals={decimals}
            file={false}
          />
        )
      })}
    </section>
  )
}

/** One tube's light, from a run or a file. */
export function LightOfTube({
  melt,
  slot,
  label,
  trace,
  decimals,
  file,
  rateCPerMin = null,
}: {
  melt: MeltFacts
  slot: number
  label: string
  trace: readonly LightSample[]
  decimals: number
  /** The trace came from a file and is kept with the ends. */
  file: boolean
  rateCPerMin?: number | null
}) {
  const [moved, setMoved] = useState<MeltingRange | null>(null)
  const found = attempt(() => detectMelt(trace, SHARES))
  const ends = moved ?? (found.ok ? found.value : null)
  const detected = melt.detected.get(slot)?.body
  const isWatched = !file && melt.run !== null && melt.run.ended === null
  return (
    <div className="mt-2">
      <p className="mb-1">
        <b>{label}</b>{' '}
        {ends ? (
          <>
            {fixed(ends.onsetC, decimals)} to {fixed(ends.clearC, decimals)} °C by its light
            {moved ? ', moved by hand' : ''}
          </>
        ) : (
          <span className={isWatched ? 'quiet' : 'look m-0'}>
            {isWatched ? 'no rise in its light yet' : found.ok ? '' : found.problem.sentence}
          </span>
        )}
      </p>
      <LightChart trace={trace} ends={ends} onMove={setMoved} label={label} />
      {ends && (
        <Button
          size="sm"
          variant="outline-primary"
          onClick={() => {
            const round = (c: number) => Number(c.toFixed(decimals))
            write({
              kind: 'melt detected',
              subject: melt.id,
              body: {
                run: file ? null : (melt.run?.id ?? null),
                slot,
                onsetC: round(ends.onsetC),
                clearC: round(ends.clearC),
                shares: moved ? null : SHARES,
                decimals,
                light: file ? trace.map((one) => [one.temperatureC, one.transmission] as const) : [],
                rateCPerMin: rateCPerMin ?? (file ? null : melt.planned.body.window.rateCPerMin),
              },
            })
          }}
        >
          {detected ? 'Take these ends instead' : 'Take these ends'}
        </Button>
      )}
      {detected && (
        <span className="quiet ms-2">
          Taken: {fixed(detected.onsetC, decimals)} to {fixed(detected.clearC, decimals)} °C.
        </span>
      )}
    </div>
  )
}

function rampBegan(melt: MeltFacts): number {
  const ramp = melt.run?.commands.find(
    ({ body }) => body.command.kind === 'ramp' || body.command.kind === 'dial',
  )
  return (ramp?.body.atS ?? 0) + 20
}
