import type { MeltId } from '../ids'
import { latestLine, linesOf, memoize } from '../notebook/read'
import type { Heating } from '../heating/heatingPlan'
import { modelledC } from '../heating/dial'
import type { View } from '../notebook/fold'
import { readingsOf } from '../notebook/views/readings'

/** A point of a heating curve. */
export type CurvePoint = readonly [minutes: number, temperatureC: number]

/** More points than this no drawing of a run shows. */
const DRAWN_MOST = 400

/** The run of a melt that counts: the last begun. */
const runIdOf = (view: View, melt: MeltId) => latestLine(view, melt, 'run started')?.body.run ?? null

/** A run as read, thinned for drawing, in minutes of instrument time; the same object until more is read. */
export const readCurve = memoize((view: View, melt: MeltId): readonly CurvePoint[] => {
  const run = runIdOf(view, melt)
  if (!run) return []
  const { probeC } = readingsOf(view, melt, run)
  const samples = [...probeC.entries()].sort((p, q) => p[0] - q[0])
  const every = Math.max(1, Math.ceil(samples.length / DRAWN_MOST))
  return samples.filter((_, i) => i % every === 0).map(([s, c]) => [s / 60, c])
})

/** The planned heating laid over the run: its ramp begins when the ramp of the run did. */
export const plannedCurve = memoize((view: View, melt: MeltId): readonly CurvePoint[] => {
  const heating = latestLine(view, melt, 'melt planned')?.body.heating
  if (!heating) return []
  const run = runIdOf(view, melt)
  const commands = linesOf(view, melt, 'run command').filter(({ body }) => body.run === run)
  const atS = (kind: string) => commands.find(({ body }) => body.command.kind === kind)?.body.atS
  if (heating.by === 'dial') return dialCurve(heating, (atS('dial') ?? 0) / 60)
  if (heating.by === 'hand') return []
  const ramp = atS('ramp')
  const curve: CurvePoint[] = []
  let minute = (atS('preheat') ?? 0) / 60
  for (const segment of heating.plan.segments) {
    if (segment.kind === 'ramp' && ramp !== undefined) minute = ramp / 60
    curve.push([minute, segment.fromC], [minute + segment.minutes, segment.toC])
    minute += segment.minutes
  }
  return curve
})

const CURVE_POINTS = 80

/** A plan for the dial as its model draws it, from the minute it was begun. */
export function dialCurve({ input, plan }: Heating & { by: 'dial' }, fromMin = 0): readonly CurvePoint[] {
  return Array.from({ length: CURVE_POINTS + 1 }, (_, i) => {
    const minute = (plan.totalMin * i) / CURVE_POINTS
    return [fromMin + minute, modelledC(input.model, input.startC, plan.steps, minute)] as const
  })
}
