import { randomSource, shuffled } from '../../math/random'
import type { Compound, Solvent } from '../../substances/shelf'
import { type RankedSolvent, rankSolvents } from '../../solubility/rankSolvents'
import type { SolubilityPoint } from '../../solubility/solubilityAt'
import type { Level } from '../exercise'

/** One made-up solvent: a letter, its curve, and where it boils. */
export interface LetteredSolvent {
  readonly letter: string
  readonly points: readonly SolubilityPoint[]
  readonly solvent: Solvent
}

export interface SolventExercise {
  readonly seed: number
  readonly level: Level
  readonly meltsC: number
  readonly crudeG: number
  readonly solvents: readonly LetteredSolvent[]
  /** The ranking’s own order, best first. */
  readonly ranked: readonly (RankedSolvent & { readonly letter: string })[]
}

const LETTERS = ['A', 'B', 'C', 'D', 'E']

type Sort =
  | 'steep'
  | 'flat and high'
  | 'hardly any'
  | 'boils above the melting point'
  | 'freezes in the ice'
  | 'middling'

const BY_LEVEL: Readonly<Record<Level, readonly Sort[]>> = {
  1: ['steep', 'flat and high', 'hardly any'],
  2: ['steep', 'flat and high', 'hardly any', 'boils above the melting point'],
  3: ['steep', 'middling', 'flat and high', 'boils above the melting point', 'freezes in the ice'],
}

/** Curves without names; solid and solvents are made up, and ranked as any others. */
export function solventExercise(seed: number, level: Level): SolventExercise {
  const { uniform } = randomSource(seed)
  const between = (least: number, most: number) => least + (most - least) * uniform()
  const meltsC = Math.round(between(96, 135))
  const sorts = shuffled(BY_LEVEL[level], uniform)
  const solvents = sorts.map((sort, i): LetteredSolvent => {
    const letter = LETTERS[i] ?? '?'
    const boilsC = Math.round(
      sort === 'boils above the melting point'
        ? meltsC + between(8, 25)
        : between(62, Math.min(88, meltsC - 12)),
    )
    const freezesC = sort === 'freezes in the ice' ? between(4, 8) : -60
    const [cold, hot] = curveEnds(sort, between)
    return {
      letter,
      points: [
        [2, cold],
        [25, cold * (hot / cold) ** (23 / (boilsC - 2))],
        [boilsC, hot],
      ],
      solvent: {
        id: `practice-${letter}`,
        name: letter,
        boilingPointC: boilsC,
        freezingPointC: Math.round(freezesC),
        densityGPerML20: 0.85,
        flashPointC: null,
        group: 'made up for practice',
        waterMiscible: 'no',
        hazards: [],
        source: 'made up for practice',
      },
    }
  })
  const crudeG = 1.5
  const ranked = rankSolvents(
    { compound: madeUp(meltsC), impurity: null, crudeG, assay: 0.95 },
    solvents.map(({ solvent, points }) => ({ solvent, product: points, impurity: [] })),
  ).map((one) => ({ ...one, letter: one.solvent.name }))
  return { seed, level, meltsC, crudeG, solvents, ranked }
}

function curveEnds(sort: Sort, between: (least: number, most: number) => number): readonly [number, number] {
  switch (sort) {
    case 'flat and high':
      return [between(9, 14), between(22, 32)]
    case 'hardly any':
      return [between(0.01, 0.03), between(0.1, 0.3)]
    case 'middling':
      return [between(2.5, 4), between(14, 20)]
    default:
      return [between(0.3, 1), between(14, 26)]
  }
}

function madeUp(meltsC: number): Compound {
  return {
    id: 'practice-solid',
    name: 'the solid',
    smiles: '',
    formula: '',
    molarMassGPerMol: 200,
    cas: null,
    meltLowC: meltsC - 1,
    meltHighC: meltsC,
    meltConfidence: 'high',
    behaviour: 'normal',
    fusionEnthalpyKJPerMol: null,
    fusionConfidence: null,
    colour: 'white',
    hazards: [],
    synonyms: [],
    source: 'made up for practice',
  }
}
