import type { Conventions } from '../../conventions/conventions'
import { behaviourOf } from '../../substances/behaviour'
import type { SampleId } from '../../ids'
import { capital, listed } from '../../words'
import type { View } from '../fold'
import { sampleNamedAs } from './samples'

/** How tubes are to be packed and heated because of what their solids do when they are hot. */
export interface HeatedAsItBehaves {
  /** House rules, changed where a solid asks for it. */
  readonly conventions: Conventions
  /** What to do, before a tube is packed: sentences. */
  readonly notes: readonly string[]
  /** Some solid decomposes: it is not heated slowly from far below for an impure tube’s sake. */
  readonly decomposes: boolean
}

/** A sealed tube of what sublimes goes in this far below where it melts, °C. */
const SUBLIMES_START_BELOW_C = 10
/** A tube of what decomposes goes in this far below, °C: 10 to 15. */
const DECOMPOSES_START_BELOW_C = 12
/** Heated slowly it decomposes before it melts, °C/min; the rate is reported with the range. */
const DECOMPOSES_RATE = { min: 3, target: 4, max: 5 } as const

/**
 * What the solids of a melt ask for beyond house rules: one that sublimes a sealed tube, put in late (10 °C below, unless an impure tube beside it begins earlier); one that
 * decomposes a tube put in 12 °C below and 3 to 5 °C/min, which is reported. The same for any mixture they are in.
 */
export function heatedAsItBehaves(
  view: View,
  tubes: readonly { readonly sample: SampleId; readonly label: string }[],
  conventions: Conventions,
): HeatedAsItBehaves {
  const labels = (does: 'sublimes' | 'decomposes') =>
    tubes
      .filter(({ sample }) => compoundsIn(view, sample).some((one) => does === one))
      .map(({ label }) => label)
  const [sublimes, decomposes] = [labels('sublimes'), labels('decomposes')]
  if (sublimes.length === 0 && decomposes.length === 0) return { conventions, notes: [], decomposes: false }
  const startBelowC = Math.min(
    conventions.startBelowC,
    sublimes.length > 0 ? SUBLIMES_START_BELOW_C : Infinity,
    decomposes.length > 0 ? DECOMPOSES_START_BELOW_C : Infinity,
  )
  const { min, target, max } = DECOMPOSES_RATE
  return {
    conventions: {
      ...conventions,
      startBelowC,
      tubeIn: 'at start temperature',
      ...(decomposes.length > 0
        ? {
            meltRate: DECOMPOSES_RATE,
            approachRateMaxCPerMin: Math.max(conventions.approachRateMaxCPerMin, max),
          }
        : {}),
    },
    decomposes: decomposes.length > 0,
    notes: [
      ...(sublimes.length > 0
        ? [
            `${capital(listed(sublimes))} ${sublimes.length === 1 ? 'sublimes' : 'sublime'}: seal the open end of the tube, away from any solvent and with eye protection. Put it in only at the planned start.`,
          ]
        : []),
      ...(decomposes.length > 0
        ? [
            `${capital(listed(decomposes))} ${decomposes.length === 1 ? 'decomposes' : 'decompose'} as ${decomposes.length === 1 ? 'it melts' : 'they melt'}: put the tube in only ${startBelowC} °C below, heat at ${min} to ${max} °C/min (planned: ${target}), and report the rate with the range.`,
          ]
        : []),
    ],
  }
}

/** How the parts of a sample behave when they are heated, its own or those it is a mixture of. */
function compoundsIn(view: View, id: SampleId, depth = 0): readonly string[] {
  const sample = sampleNamedAs(view, id)
  if (!sample || depth > 4) return []
  return [
    ...(sample.compound ? [behaviourOf(sample.compound, false)] : []),
    ...sample.of.flatMap((part) => compoundsIn(view, part, depth + 1)),
  ]
}
