import type { Confidence, SolubilityRow } from '../substances/shelf'

type Row = Omit<SolubilityRow, 'source' | 'confidence'> & { readonly confidence: Confidence }
/** A point that was not taken in, and why. */
interface LeftOut {
  readonly row: Row
  readonly because: string
}
export interface TakenIn {
  readonly taken: readonly Row[]
  readonly leftOut: readonly LeftOut[]
}

/** Points this near each other tell of the same temperature, °C. */
const SAME_WITHIN_C = 3
/** Two figures for one temperature that differ by more than this contradict each other. */
const CONTRADICTS_FROM = 1.8
/** A point this far outside what is held extends it, °C. */
const EXTENDS_BY_C = 5

/**
 * What a second set of points adds to a first. A pair of compound and solvent that the first does not have is taken in
 * where its points rise with the temperature; points that fall against each other are left out, both. Where the first
 * has the pair, its points win: of the second, only those that reach beyond them and continue their rise are taken,
 * and none of low confidence.
 *
 * @param first points held already
 * @param second points to take in
 * @returns what is taken, and what contradicts, with why; a repetition of what is held is neither
 */
export function takeIn(first: readonly Omit<SolubilityRow, 'source'>[], second: readonly Row[]): TakenIn {
  const taken: Row[] = []
  const leftOut: LeftOut[] = []
  const pairOf = (row: { readonly compound: string; readonly solvent: string }) =>
    `${row.compound} ${row.solvent}`
  const held = grouped(first, pairOf)
  for (const [pair, rows] of grouped(second, pairOf)) {
    const sorted = [...rows].sort((p, q) => p.temperatureC - q.temperatureC)
    const known = held.get(pair)
    if (known === undefined) {
      const falling = sorted.filter((row, i) => {
        const [before, after] = [sorted[i - 1], sorted[i + 1]]
        return (before && before.gPer100ML >= row.gPer100ML) || (after && after.gPer100ML <= row.gPer100ML)
      })
      taken.push(...sorted.filter((row) => !falling.includes(row)))
      leftOut.push(
        ...falling.map((row) => ({
          row,
          because: 'falls while the temperature rises, against its neighbour',
        })),
      )
      continue
    }
    for (const row of sorted) {
      const because = contradiction(row, known)
      if (because) leftOut.push({ row, because })
      else if (row.confidence !== 'low' && extendsBeyond(row, known)) taken.push(row)
    }
  }
  return { taken, leftOut }
}

function grouped<T>(rows: readonly T[], keyOf: (row: T) => string): ReadonlyMap<string, readonly T[]> {
  const groups = new Map<string, T[]>()
  for (const row of rows) {
    const key = keyOf(row)
    groups.set(key, [...(groups.get(key) ?? []), row])
  }
  return groups
}

function extendsBeyond(row: Row, known: readonly Omit<SolubilityRow, 'source'>[]): boolean {
  const temperatures = known.map(({ temperatureC }) => temperatureC)
  return (
    row.temperatureC <= Math.min(...temperatures) - EXTENDS_BY_C ||
    row.temperatureC >= Math.max(...temperatures) + EXTENDS_BY_C
  )
}

function contradiction(row: Row, known: readonly Omit<SolubilityRow, 'source'>[]): string | null {
  for (const one of known) {
    const ratio = row.gPer100ML / one.gPer100ML
    const apartC = row.temperatureC - one.temperatureC
    if (Math.abs(apartC) <= SAME_WITHIN_C) {
      if (Math.max(ratio, 1 / ratio) > CONTRADICTS_FROM)
        return `the first set has ${one.gPer100ML} g per 100 mL at ${one.temperatureC} °C`
    } else if (apartC > 0 ? ratio <= 1 : ratio >= 1)
      return `the first set has ${one.gPer100ML} g per 100 mL at ${one.temperatureC} °C, against the rise`
  }
  return null
}

/** The two ethanols, which handbooks do not always tell apart. */
const ETHANOLS = ['ethanol-95', 'ethanol-absolute'] as const

/** Points of the one ethanol taken for the other where that has none, at low confidence. */
export function takenForTheOther(rows: readonly Omit<SolubilityRow, 'source'>[]): readonly Row[] {
  const has = new Set(rows.map(({ compound, solvent }) => `${compound} ${solvent}`))
  return ETHANOLS.flatMap((of, i) => {
    const solvent = ETHANOLS[1 - i] ?? of
    return rows
      .filter((row) => row.solvent === of && !has.has(`${row.compound} ${solvent}`))
      .map((row) => ({ ...row, solvent, confidence: 'low' as const }))
  })
}
