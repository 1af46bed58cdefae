import { fold, type RawEntry } from '@ivory-crystal/core/notebook'
import { copiesOf } from '../core/golden/copies'
import { crate } from '../web/src/workers/crate'
import { GOLDEN } from './screens'
import { ms, type Row } from './table'

const NOW = Date.UTC(2026, 10, 24, 14, 0)
const LINES = 10_000

/** A long notebook out as a zip and in again, to where it is folded. */
export async function measureCrate(): Promise<Row[]> {
  const copies = Math.ceil(LINES / GOLDEN.entries.length)
  const entries = copiesOf(GOLDEN.entries, copies).slice(0, LINES)
  const exported = JSON.stringify({
    format: 'ivory-crystal notebook',
    version: 1,
    coreVersion: '1',
    exportedAt: NOW,
    notebook: { id: entries[0]?.notebook, title: 'a long notebook' },
    entries,
  })
  const began = performance.now()
  const zip = await crate.pack(exported, { pictures: [], pages: [], schema: null }, NOW, () => true)
  const out = performance.now() - began
  if (!zip) throw new Error('It was not packed.')
  const back = performance.now()
  const held = crate.unpack('a.zip', zip)
  if (!held.ok) throw new Error(held.sentence)
  fold((JSON.parse(held.text) as { entries: readonly RawEntry[] }).entries)
  const into = performance.now() - back
  const row = (what: string, ours: string): Row => ({ what, ours, bare: '', ratio: '', aim: 'under 5 s' })
  return [
    row(`${entries.length} lines out as a zip, ${(zip.length / 1e6).toFixed(1)} MB`, ms([out])),
    row('… and in again, folded', ms([into])),
  ]
}
