import { idMs } from '../src/notebook/clock'
import type { RawEntry } from '../src/notebook/entry'
import { rebase } from '../src/schemas'

/** Preps, samples, runs and whatever else has a random name of its own; lines have names of time (UUIDv7). */
const NAME = /[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/g
/** Those of the golden ledger share this head, so that copies of it can have names of their own. */
const HEAD = '0a5a1c7e-0000-4000-8000-000000000'
const TAIL_FROM = 14

/**
 * Lines of an exported notebook that the golden ledger lacks, made its own: moved to the golden moment, of its ledger
 * and notebook, and whatever they name numbered on from its last. An answer that was sealed stays on its server: a line
 * that opens one is not told what was in it.
 *
 * @param golden lines, at least one
 * @param exported lines: the demo's own, gone on with, or a notebook of another time
 * @param exportedToGoldenMs what brings the export to the golden moment, where they have no line in common
 */
export function linesToAppend(
  golden: readonly RawEntry[],
  exported: readonly RawEntry[],
  exportedToGoldenMs: number,
): RawEntry[] {
  const [first] = golden
  if (!first) throw new Error('The golden ledger has no line.')
  const byTail = new Map(golden.map((entry) => [entry.id.slice(TAIL_FROM), entry]))
  const shared = exported.find((entry) => byTail.has(entry.id.slice(TAIL_FROM)))
  const own = shared && byTail.get(shared.id.slice(TAIL_FROM))
  const moved = rebase(exported, own && shared ? idMs(own.id) - idMs(shared.id) : exportedToGoldenMs, first)
  const known = new Set(golden.map(({ id }) => id))
  return withOwnNames(
    golden,
    moved.filter(({ id }) => !known.has(id)),
  )
}

function withOwnNames(golden: readonly RawEntry[], lines: readonly RawEntry[]): RawEntry[] {
  const known = namesIn(golden)
  const numbers = [...known].map((name) =>
    name.startsWith(HEAD) ? Number.parseInt(name.slice(HEAD.length), 16) : 0,
  )
  const next = Math.max(...numbers) + 1
  const fresh = [...namesIn(lines)].filter((name) => !known.has(name))
  const own = new Map(fresh.map((name, i) => [name, HEAD + (next + i).toString(16).padStart(3, '0')]))
  return JSON.parse(JSON.stringify(lines).replace(NAME, (name) => own.get(name) ?? name)) as RawEntry[]
}

const namesIn = (lines: readonly RawEntry[]) => new Set(JSON.stringify(lines).match(NAME) ?? [])
