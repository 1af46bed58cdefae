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
  const found = new Set<ReactiveGroup>()
  atoms.forEach(({ symbol, bonds }, i) => {
    if (isCarbonyl(i) && bonds.some(({ to }) => HALOGENS.includes(atoms[to]?.symbol ?? '')))
      found.add('acid halide')
    if (symbol !== 'O' || bonds.length !== 2) return
    const ends = bonds.map(({ to }) => to)
    const acyl = ends.filter(isCarbonyl).length
    if (acyl === 2) found.add('anhydride')
    if (acyl === 1 && ends.some((to) => atoms[to]?.aromatic === true && !isCarbonyl(to)))
      found.add('aryl ester')
  })
  return [...found]
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
