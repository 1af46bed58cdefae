/**
 * The golden ledger: a notebook recorded once in the app, which the demo begins with and the tests of every keeper of
 * lines rest on. `npm run golden` checks it against its view; `npm run golden -- append notebook.json` adds the lines
 * of an exported notebook that it lacks, and writes the view and the molar masses anew.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { isDeepStrictEqual } from 'node:util'
import { fold, type RawEntry, summaryOf } from '@ivory-crystal/core/notebook'
import { REFERENCE_COMPOUNDS } from '@ivory-crystal/core/reference'
import { refusalOf } from '@ivory-crystal/core/schemas'
import { structureOf } from '@ivory-crystal/core/structures'
import { linesToAppend } from '../core/golden/append'

interface GoldenFile {
  readonly nowMs: number
  readonly entries: readonly RawEntry[]
}
const file = (name: string) => new URL(`../core/golden/${name}`, import.meta.url)
const read = (where: string | URL): unknown => JSON.parse(readFileSync(where, 'utf8'))
const write = (name: string, value: unknown, indent: number) =>
  writeFileSync(file(name), `${JSON.stringify(value, null, indent)}\n`)
const viewOf = (entries: readonly RawEntry[]): unknown =>
  JSON.parse(JSON.stringify(summaryOf(fold(entries), golden.nowMs)))

const golden = read(file('ledger.v4.json')) as GoldenFile
const [verb, from] = process.argv.slice(2)

if (verb === undefined) check()
else if (verb === 'append' && from !== undefined) append(from)
else print('npm run golden [-- append notebook.json]', 2)

function check(): void {
  const refused = golden.entries.flatMap((entry) => refusalOf(entry) ?? [])
  if (refused.length > 0) print(refused.join('\n'), 1)
  else if (!isDeepStrictEqual(viewOf(golden.entries), read(file('view.v4.json'))))
    print('The golden ledger no longer comes to its view.', 1)
  else print(`${golden.entries.length} lines, and they come to their view.`)
}

function append(notebook: string): void {
  const exported = read(notebook) as { readonly exportedAt: number; readonly entries: readonly RawEntry[] }
  const lines = linesToAppend(golden.entries, exported.entries, golden.nowMs - exported.exportedAt)
  const refused = lines.flatMap((line) => refusalOf(line) ?? [])
  if (refused.length > 0) return print(`Nothing was written.\n${refused.join('\n')}`, 1)
  const entries = [...golden.entries, ...lines].sort((p, q) => (p.id < q.id ? -1 : 1))
  const each = entries.map((entry) => `  ${JSON.stringify(entry)}`).join(',\n')
  writeFileSync(
    file('ledger.v4.json'),
    `${JSON.stringify({ ...golden, entries: 0 }).replace('"entries":0', `"entries":[\n${each}\n]`)}\n`,
  )
  write('view.v4.json', viewOf(entries), 1)
  const masses = REFERENCE_COMPOUNDS.map(({ id, smiles }) => [id, structureOf(smiles).molarMassGPerMol])
  write('molarMasses.json', Object.fromEntries(masses), 2)
  print(`${lines.length} lines more: ${entries.length} in all.`)
}

function print(sentence: string, code = 0): void {
  process.stdout.write(`${sentence}\n`)
  process.exitCode = code
}
