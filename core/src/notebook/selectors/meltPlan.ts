import type { BlockCharacter, Conventions, RampInput, RampPlan, Result } from '../../contract'
import { planRamp } from '../../heating/planRamp'
import { rateOf } from '../../heating/rateOf'
import { eutectic } from '../../melting/eutectic'
import { attempt } from '../../problems'
import { fusionOf } from '../../reference/fusionOf'
import type { View } from '../fold'
import type { PlannedTube } from '../melt-planned/kind'
import type { SampleRole } from '../sample-named/kind'
import { readingsOf, type MeltFacts } from './melt'
import type { PrepFacts } from './prep'

export interface EutecticLine {
  readonly temperatureC: number
  readonly impurity: string
  /** True when a fusion enthalpy in it is an estimate. */
  readonly estimated: boolean
}

/** Eutectic of a prep's product with its impurity, when the impurity is known. */
export function eutecticOf(prep: PrepFacts): EutecticLine | null {
  const impurity = prep.plan?.body.impurity
  if (!impurity) return null
  const [a, b] = [fusionOf(prep.opened.body.compound), fusionOf(impurity)]
  return {
    temperatureC: eutectic(a, b).temperatureC,
    impurity: impurity.name,
    estimated: a.estimated || b.estimated,
  }
}

/** Samples that hold enough impurity to begin melting at the eutectic. */
const IMPURE: readonly SampleRole[] = ['crude', 'second crop', 'residue']

/**
 * A ramp for tubes of this prep on this block: over the literature range, begun early enough for a crude whose
 * impurity is known.
 *
 * @param blockC temperature of the block now, °C
 */
export function planMelt(
  prep: PrepFacts,
  tubes: readonly PlannedTube[],
  character: BlockCharacter,
  blockC: number,
  conventions: Conventions,
): Result<{ readonly input: RampInput; readonly plan: RampPlan }> {
  const { compound } = prep.opened.body
  const impure = prep.samples.filter(({ role }) => IMPURE.includes(role)).map(({ id }) => id)
  const line = tubes.some((tube) => impure.includes(tube.sample)) ? eutecticOf(prep) : null
  const { ambientC, heatCPerMin, coolTimeConstantMin, rates, maxC } = character
  const input: RampInput = {
    apparatus: { ambientC, blockC, heatCPerMin, coolTimeConstantMin, rates, maxC },
    conventions,
    expectedLowC: compound.meltLowC,
    expectedHighC: compound.meltHighC,
    ...(line ? { firstLiquidFromC: line.temperatureC } : {}),
  }
  return attempt(() => ({ input, plan: planRamp(input) }))
}

type CurvePoint = readonly [minutes: number, temperatureC: number]

/** A run as read, thinned for drawing, in minutes of instrument time. */
export function readCurve(view: View, melt: MeltFacts, most = 400): readonly CurvePoint[] {
  if (!melt.run) return []
  const { probeC } = readingsOf(view, melt.id, melt.run.id)
  const samples = [...probeC.entries()].sort((p, q) => p[0] - q[0])
  const every = Math.max(1, Math.ceil(samples.length / most))
  return samples.filter((_, i) => i % every === 0).map(([s, c]) => [s / 60, c])
}

/** The planned heating laid over the run: its ramp begins when the ramp of the run did. */
export function plannedCurve(melt: MeltFacts): readonly CurvePoint[] {
  const { plan } = melt.planned.body
  const preheat = melt.run?.commands.find(({ body }) => body.command.kind === 'preheat')?.body.atS ?? 0
  const ramp = melt.run?.commands.find(({ body }) => body.command.kind === 'ramp')?.body.atS
  const curve: CurvePoint[] = []
  let minute = preheat / 60
  for (const segment of plan.segments) {
    if (segment.kind === 'ramp' && ramp !== undefined) minute = ramp / 60
    curve.push([minute, segment.fromC], [minute + segment.minutes, segment.toC])
    minute += segment.minutes
  }
  return curve
}

/** Live rate of a run, °C/min, from what is on record and the latest readings heard. */
export function liveRate(
  view: View,
  melt: MeltFacts,
  heard: readonly (readonly [sample: number, temperatureC: number])[],
): number | null {
  if (!melt.run) return null
  const { probeC } = readingsOf(view, melt.id, melt.run.id)
  const last = Math.max(heard[heard.length - 1]?.[0] ?? 0, 0)
  const merged = new Map<number, number>(heard)
  for (let s = Math.max(1, last - 60); s <= last; s++) {
    const value = probeC.get(s)
    if (value !== undefined) merged.set(s, value)
  }
  return rateOf(
    [...merged.entries()].sort((p, q) => p[0] - q[0]).map(([s, c]) => [s / 60, c] as const),
    1,
  )
}
