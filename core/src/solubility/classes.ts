import {
  type ClassColumn,
  type Compound,
  SOLUBILITY_CLASS_NAMES,
  type SolubilityClass,
  type Solvent,
} from '../substances/shelf'
import { reactionOf } from '../substances/reactions'
import { capital } from '../words'
import { attempt } from '../problems'
import { solubilityAt, type SolubilityPoint } from './solubilityAt'
import { miscibilityDoubt } from './solventPair'

/** How a class is said. */
const IN_WORDS: Readonly<Record<SolubilityClass, string>> = {
  i: 'hardly (under 0.1 g in 100 mL)',
  'i to sl': 'hardly or slightly',
  sl: 'slightly (up to 1 g in 100 mL)',
  'sl to s': 'slightly or well',
  s: 'well (1 to 10 g in 100 mL)',
  's to vs': 'well or very well',
  vs: 'very well (over 10 g in 100 mL)',
}
/** Which class a solvent of the shelf is told under; solvents much like it are told under the same, the usual one first. */
const COLUMN_OF: Readonly<Record<string, Exclude<ClassColumn, 'waterHot' | 'ethanolHot'>>> = {
  water: 'water',
  'ethanol-95': 'ethanol',
  'ethanol-absolute': 'ethanol',
  'diethyl-ether': 'ether',
  toluene: 'toluene',
  heptane: 'hexane',
  'petroleum-ether-60-80': 'hexane',
  hexane: 'hexane',
}
const HOT_OF = { water: 'waterHot', ethanol: 'ethanolHot' } as const
/** Classes of handbooks are for about this temperature, °C. */
const ROOM_C = 22

/** Place of a class on the scale: 0 hardly, 2 slightly, 4 well, 6 very well, the odd ones between. */
function placeOf(solubilityClass: SolubilityClass): number {
  return SOLUBILITY_CLASS_NAMES.indexOf(solubilityClass)
}

/** The class a solubility falls in. */
export function classOf(gPer100ML: number): SolubilityClass {
  if (gPer100ML < 0.1) return 'i'
  if (gPer100ML <= 1) return 'sl'
  return gPer100ML <= 10 ? 's' : 'vs'
}

/** What handbooks tell of a compound in a solvent at room temperature and hot, by class; null where nothing. */
export function classesIn(
  { solubilityClasses = {} }: Pick<Compound, 'solubilityClasses'>,
  solvent: Pick<Solvent, 'id'>,
): { readonly cold: SolubilityClass | null; readonly hot: SolubilityClass | null } {
  const column = COLUMN_OF[solvent.id]
  if (!column) return { cold: null, hot: null }
  const hot = column === 'water' || column === 'ethanol' ? (solubilityClasses[HOT_OF[column]] ?? null) : null
  return { cold: solubilityClasses[column] ?? null, hot }
}

/** A point this many places off its class is doubted: two whole classes. */
const DOUBTED_FROM = 4

/**
 * What does not fit between solubility points and the class a handbook tells, in a sentence, or null: a figure at room
 * temperature that lies two classes off.
 */
export function classDoubt(
  compound: Pick<Compound, 'name' | 'solubilityClasses'>,
  solvent: Pick<Solvent, 'id' | 'name'>,
  points: readonly SolubilityPoint[],
  fusionEnthalpyKJPerMol?: number,
): string | null {
  const { cold } = classesIn(compound, solvent)
  if (cold === null || points.length === 0) return null
  const here = attempt(() => solubilityAt(points, ROOM_C, fusionEnthalpyKJPerMol))
  if (!here.ok || Math.abs(placeOf(classOf(here.value.gPer100ML)) - placeOf(cold)) < DOUBTED_FROM) return null
  return `${capital(compound.name)} is said to dissolve ${IN_WORDS[cold]} in ${solvent.name} at room temperature, but these points say ${Number(here.value.gPer100ML.toPrecision(2))} g. Try a little in a tube first.`
}

/** A test tube worth filling, and why. */
export interface TubeToTry {
  readonly solvents: readonly Solvent[]
  readonly because: string
  /** 3 what is wanted, by class; 1 hardly. */
  readonly promise: number
}

/**
 * Test tubes to try a compound in, by what handbooks tell of its solubility: alone where little dissolves at room
 * temperature and more hot, or where how much hot is not told; and pairs that mix, of one that dissolves it well and
 * one that hardly does. For what to try, not for amounts.
 *
 * @param solvents of the shelf, those the lab has closed left out
 * @returns the most promising first, none that reacts with it
 */
export function tubesToTry(compound: Compound, solvents: readonly Solvent[]): readonly TubeToTry[] {
  const usual = Object.keys(COLUMN_OF)
  // Of solvents told under one class, the usual one stands for all.
  const ordered = [...solvents]
    .sort((p, q) => usual.indexOf(p.id) - usual.indexOf(q.id))
    .filter((one) => reactionOf(compound, one)?.rulesOut !== true)
    .flatMap((solvent) => {
      const { cold, hot } = classesIn(compound, solvent)
      return cold === null ? [] : [{ solvent, cold, hot, column: COLUMN_OF[solvent.id] }]
    })
    .filter((one, i, all) => all.findIndex(({ column }) => column === one.column) === i)
  const alone = ordered.flatMap(({ solvent, cold, hot }): TubeToTry[] => {
    if (placeOf(cold) > placeOf('sl to s')) return []
    const coldly = `dissolves ${IN_WORDS[cold]} cold`
    if (hot === null)
      return placeOf(cold) >= placeOf('sl')
        ? [{ solvents: [solvent], because: `${coldly}; how much when hot is not known`, promise: 2 }]
        : []
    if (placeOf(hot) < placeOf('s') || placeOf(hot) - placeOf(cold) < 2) return []
    return [{ solvents: [solvent], because: `${coldly}, ${IN_WORDS[hot]} hot`, promise: 3 }]
  })
  const pairs = ordered.flatMap((good) =>
    ordered.flatMap((poor): TubeToTry[] =>
      placeOf(good.cold) >= placeOf('s') &&
      placeOf(poor.cold) <= placeOf('i to sl') &&
      miscibilityDoubt(good.solvent, poor.solvent) === null
        ? [
            {
              solvents: [good.solvent, poor.solvent],
              because: `${good.solvent.name} dissolves it ${IN_WORDS[good.cold]} and ${poor.solvent.name} ${IN_WORDS[poor.cold]}: dissolve it hot in the first, and add the second until it clouds`,
              promise: 1,
            },
          ]
        : [],
    ),
  )
  return [...alone, ...pairs].sort((p, q) => q.promise - p.promise)
}
