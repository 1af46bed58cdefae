import type { Candidate, MixtureRun } from '../../identity/likelihood'
import { randomSource } from '../../math/random'
import { moleFractionFromMassFraction } from '../../melting/eutectic'
import { type MeltingRange, meltingRange } from '../../melting/meltingRange'
import { fusionOf } from '../../substances/fusionOf'
import type { Compound } from '../../substances/shelf'
import type { Level } from '../exercise'

/** An unknown among six that melt where it does. */
export interface MixtureExercise {
  readonly seed: number
  readonly level: Level
  readonly candidates: readonly (Candidate & { readonly name: string })[]
  /** Which it is; told with the answer. */
  readonly answer: string
  readonly unknown: MeltingRange
}

const COUNT = 6

/** How far apart they melt at most, °C, by level. */
const SPAN_C: Readonly<Record<Level, number>> = { 1: 14, 2: 9, 3: 6 }

/** Reading and packing scatter a range’s ends by, °C. */
const SCATTER_C = 0.25

/** The thermometer of these runs has not been checked: it could be off by so much, one standard deviation, °C. */
const UNCHECKED_C = 1.5

/**
 * @param compounds to draw from
 * @returns null where fewer than six of them melt near each other
 */
export function mixtureExercise(
  compounds: readonly Compound[],
  seed: number,
  level: Level,
): MixtureExercise | null {
  const { uniform, normal } = randomSource(seed)
  const near = (one: Compound) =>
    [...compounds]
      .filter(({ meltHighC }) => Math.abs(meltHighC - one.meltHighC) <= SPAN_C[level])
      .sort((p, q) => Math.abs(p.meltHighC - one.meltHighC) - Math.abs(q.meltHighC - one.meltHighC))
  const possible = compounds.filter((one) => near(one).length >= COUNT)
  const answer = possible[Math.floor(uniform() * possible.length)]
  if (!answer) return null
  const chosen = near(answer)
    .slice(0, COUNT)
    .sort((p, q) => p.name.localeCompare(q.name, 'en'))
  const top = answer.meltHighC + UNCHECKED_C * normal()
  return {
    seed,
    level,
    candidates: chosen.map((one) => ({
      id: one.id,
      name: one.name,
      meltLowC: one.meltLowC,
      meltHighC: one.meltHighC,
      fusion: fusionOf(one),
    })),
    answer: answer.id,
    unknown: ordered(top - 0.8 + SCATTER_C * normal(), top + 0.2 + SCATTER_C * normal()),
  }
}

const tenth = (c: number) => Math.round(10 * c) / 10

function ordered(onsetC: number, clearC: number): MeltingRange {
  return { onsetC: tenth(Math.min(onsetC, clearC)), clearC: tenth(Math.max(onsetC, clearC)) }
}

/** Equal masses of the unknown and a candidate, ground and melted: the same pair the same range, °C. */
export function mixtureRun(
  { candidates, answer, unknown, seed }: MixtureExercise,
  reference: string,
): MixtureRun {
  const [is, other] = [answer, reference].map((id) => candidates.find((one) => one.id === id))
  if (!is || !other) throw new Error(`“${reference}” is not on the list.`)
  const { normal } = randomSource(seed ^ ((1 + candidates.indexOf(other)) * 7919))
  const scatter = () => SCATTER_C * normal()
  if (is.id === other.id)
    return {
      reference: other,
      ...ordered(unknown.onsetC + scatter(), unknown.clearC + scatter()),
    }
  const x = moleFractionFromMassFraction(0.5, is.fusion.molarMassGPerMol, other.fusion.molarMassGPerMol)
  const range = meltingRange(is.fusion, other.fusion, x)
  return { reference: other, ...ordered(range.onsetC + scatter(), range.clearC + scatter()) }
}
