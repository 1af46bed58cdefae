/** Groups of a structure that react with what it is dissolved in. */
export type ReactiveGroup = 'anhydride' | 'acid halide' | 'aryl ester'

interface Atom {
  readonly symbol: string
  readonly aromatic: boolean
  readonly bonds: { to: number; order: number }[]
}
const HALOGENS = ['F', 'Cl', 'Br', 'I']
const ORDERS: Readonly<Record<string, number>> = { '=': 2, '#': 3 }
const TOKEN = /\[[^\]]*\]|Cl|Br|[BCNOPSFIbcnops]|%\d\d|\d|[-=#:/\\().]/g

/**
 * Reactive groups of a structure: anhydrides, acid halides, and esters of phenols.
 *
 * @param smiles a structure; empty where there is none
 * @returns no more than is plain from the atoms; nothing for an empty text
 * @example reactiveGroupsOf('O=C1OC(=O)c2ccccc12') // ['anhydride']
 */
export function reactiveGroupsOf(smiles: string): readonly ReactiveGroup[] {
  const atoms = atomsOf(smiles)
  const isCarbonyl = (i: number): boolean =>
    atoms[i]?.symbol === 'C' &&
    atoms[i].bonds.some(({ to, order }) => order === 2 && atoms[to]?.symbol === 'O')
  const isSulfonyl = (i: number): boolean =>
    atoms[i]?.symbol === 'S' &&
    atoms[i].bonds.filter(({ to, order }) => order === 2 && atoms[to]?.symbol === 'O').length === 2
  const found = new Set<ReactiveGroup>()
  atoms.forEach(({ symbol, bonds }, i) => {
    if (
      (isCarbonyl(i) || isSulfonyl(i)) &&
      bonds.some(({ to }) => HALOGENS.includes(atoms[to]?.symbol ?? ''))
    )
      found.add('acid halide')
    if (symbol !== 'O' || bonds.length !== 2) return
    const ends = bonds.map(({ to }) => to)
    const acyl = ends.filter(isCarbonyl).length
    if (acyl === 2) found.add('anhydride')
    // A lactone of a phenol, as coumarin, stands hot water: only an open ester is counted.
    if (
      acyl === 1 &&
      !isInRing(atoms, i) &&
      ends.some((to) => atoms[to]?.aromatic === true && !isCarbonyl(to))
    )
      found.add('aryl ester')
  })
  return [...found]
}

/** Whether an atom with two bonds lies in a ring: its one neighbour is reached from the other without it. */
function isInRing(atoms: readonly Atom[], at: number): boolean {
  const [first, second] = atoms[at]?.bonds ?? []
  if (!first || !second) return false
  const seen = new Set([at, first.to])
  const next = [first.to]
  for (let from = next.pop(); from !== undefined; from = next.pop())
    for (const { to } of atoms[from]?.bonds ?? []) {
      if (to === second.to) return true
      if (seen.has(to)) continue
      seen.add(to)
      next.push(to)
    }
  return false
}

/** Whether a formula holds a halogen: its liquor is then halogenated waste. */
export function isHalogenated(formula: string): boolean {
  return /(F|Cl|Br|I)(?![a-z])/.test(formula)
}

/** Atoms and bonds of a SMILES, as far as the groups need them. */
function atomsOf(smiles: string): readonly Atom[] {
  const atoms: Atom[] = []
  const branches: number[] = []
  const rings = new Map<string, { at: number; order: number }>()
  let last = -1
  let order = 1
  const join = (a: number, b: number, of: number) => {
    atoms[a]?.bonds.push({ to: b, order: of })
    atoms[b]?.bonds.push({ to: a, order: of })
  }
  for (const [token] of smiles.matchAll(TOKEN)) {
    if (token === '(') branches.push(last)
    else if (token === ')') last = branches.pop() ?? -1
    else if (token === '.') last = -1
    else if (/^(%\d\d|\d)$/.test(token)) {
      const open = rings.get(token)
      if (open) {
        join(open.at, last, Math.max(order, open.order))
        rings.delete(token)
      } else rings.set(token, { at: last, order })
      order = 1
    } else if (/^[-=#:/\\]$/.test(token)) order = ORDERS[token] ?? 1
    else {
      const symbol = token.startsWith('[') ? (/^\[\d*([A-Z][a-z]?|[a-z])/.exec(token)?.[1] ?? '?') : token
      atoms.push({
        symbol: symbol.charAt(0).toUpperCase() + symbol.slice(1),
        aromatic: /^[a-z]/.test(symbol),
        bonds: [],
      })
      if (last >= 0) join(last, atoms.length - 1, order)
      last = atoms.length - 1
      order = 1
    }
  }
  return atoms
}
