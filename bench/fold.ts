import { fold, nextId, type RawEntry, type View } from '@ivory-crystal/core/notebook'
import { ms, type Row } from './table'

const LINES = 5000
const SUBJECTS = 40
const ROUNDS = 200

/** Appending one line to a view of 5,000, and folding all of them anew. */
export function measureFold(): Row[] {
  let latest: string | null = null
  const line = (i: number): RawEntry => {
    const id = nextId(latest, 1_790_000_000_000 + i, new Uint8Array(8))
    latest = id
    const subject = `0a5a1c7e-0000-4000-8000-${String(i % SUBJECTS).padStart(12, '0')}` as RawEntry['subject']
    const home = { ledger: 'l' as RawEntry['ledger'], notebook: 'n' as RawEntry['notebook'] }
    return {
      id,
      v: 1,
      ...home,
      subject,
      kind: 'observed',
      body: { station: 'plan', text: `${i}` },
      at: i,
      author: 'a',
      device: 'd',
    }
  }
  const lines = Array.from({ length: LINES }, (_, i) => line(i))
  const full = Array.from({ length: 15 }, () => timed(() => fold(lines)))
  const view: View = fold(lines)
  const inOrder = Array.from({ length: ROUNDS }, (_, i) => timed(() => fold([line(LINES + i)], view)))
  const late = Array.from({ length: ROUNDS }, (_, i) => {
    const early = { ...line(0), id: nextId(null, 1_780_000_000_000 + i, new Uint8Array(8)) }
    return timed(() => fold([early], view))
  })
  return [
    { what: `one line onto ${LINES}, in order`, ours: ms(inOrder), bare: '', ratio: '', aim: 'at most 1 ms' },
    {
      what: `one line onto ${LINES}, out of order`,
      ours: ms(late),
      bare: '',
      ratio: '',
      aim: 'at most 1 ms',
    },
    { what: `all ${LINES} lines folded anew`, ours: ms(full), bare: '', ratio: '', aim: 'reported' },
  ]
}

function timed(run: () => unknown): number {
  const from = performance.now()
  run()
  return performance.now() - from
}
