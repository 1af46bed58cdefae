import { solventsOf } from '../../procedures/batch'
import type { View } from '../fold'
import { linesOf } from '../read'
import type { PrepFacts } from './prep'

/** A boiling solution reads so much above its solvent by what is dissolved, and by the thermometer, °C. */
const ABOVE_BOILING_C = 6
/** A solution that cools does not warm by more between two readings, unless it was heated again, °C. */
const WARMER_C = 10
/** No bath of a bench is colder, °C. */
const COLDEST_C = -25

/**
 * What is odd about a temperature of the solution before it is kept; asked once.
 *
 * @param readC as typed, °C
 * @returns a question, or null
 */
export function solutionDoubt(view: View, prep: PrepFacts, readC: number): string | null {
  const plan = prep.plan?.body
  if (!plan) return null
  const fromF = (readC - 32) / 1.8
  const inF = `${String(readC)} °F would be ${fromF.toFixed(1)} °C. Was it typed in °F?`
  const boiling = solventsOf(plan).flatMap(({ boilingPointC }) => boilingPointC ?? [])
  const boilsC = boiling.length > 0 ? Math.max(...boiling) : null
  if (boilsC !== null && readC > boilsC + ABOVE_BOILING_C)
    return `${String(readC)} °C lies above where ${solventsOf(plan)
      .map(({ name }) => name)
      .join(' and ')} boils (${boilsC.toFixed(0)} °C). ${inF}`
  if (readC < COLDEST_C) return `A solution at ${String(readC)} °C. Is the sign right?`
  const before = linesOf(view, prep.id, 'temperature read').at(-1)?.body.temperature.value
  return before !== undefined && readC > before + WARMER_C
    ? `It was read at ${before.toFixed(1)} °C before. ${fromF < before + 1 && fromF > COLDEST_C ? inF : 'Was it heated again, or misread?'}`
    : null
}
