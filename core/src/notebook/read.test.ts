import { describe, expect, jest, test } from '@jest/globals'
import fc from 'fast-check'
import { golden } from '../../golden/contract'
import { copiesOf } from '../../golden/copies'
import { nextId } from './clock'
import type { KnownEntry, RawEntry } from './entry'
import { EMPTY_VIEW, fold, type View } from './fold'
import { judgementOf } from './views/judgement'
import { meltsOf } from './views/melt'
import { rowsOfSample } from './views/mixtures'
import { prepsOf } from './views/prep'
import { rangesOf } from './views/ranges'
import { summaryOf } from './views/summary'
import { unknownsOf } from './views/unknowns'
import { latestLine, linesOf, memoize, subjectsWith } from './read'
import '../../golden/older'

const whole = fold(golden.entries)
const lines = [...whole.subjects.values()].flatMap((record) => record.lines)
/** One more line like the last of a kind, written after everything. */
function another(kind: KnownEntry['kind'], view: View, subject?: string): RawEntry {
  const like = lines.findLast((line) => line.kind === kind && (!subject || line.subject === subject))
  if (!like) throw new Error(`No line of kind ${kind}.`)
  return { ...like, id: nextId(view.latestId, golden.nowMs, new Uint8Array(8)) }
}

describe('a view folded onto', () => {
  test('is the very same when nothing of it is new', () => {
    expect(fold(golden.entries, whole)).toBe(whole)
    expect(fold([], whole)).toBe(whole)
  })
  test('knows which subjects hold lines of a kind, strikes taken into account', () => {
    const [prep] = subjectsWith(whole, 'prep opened')
    const opened = latestLine(whole, prep ?? '', 'prep opened')
    if (!opened) throw new Error('The golden ledger has a prep.')
    const struck: RawEntry = {
      ...another('struck', whole),
      subject: opened.subject,
      body: { target: opened.id, reason: 'opened twice' },
    }
    const after = fold([struck], whole)
    expect(subjectsWith(after, 'prep opened')).toEqual(
      subjectsWith(whole, 'prep opened').filter((subject) => subject !== prep),
    )
    expect(subjectsWith(fold([struck, ...golden.entries].reverse()), 'prep opened')).toEqual(
      subjectsWith(after, 'prep opened'),
    )
  })
})

describe('what is worked out from a view', () => {
  const melt = meltsOf(whole).find(({ marks }) => marks.length > 0)
  const meltId = melt?.id ?? ''

  test('is worked out again only when something it read has changed', () => {
    const compute = jest.fn((view: View, subject: string) => linesOf(view, subject, 'mark made').length)
    const marksOf = memoize(compute)
    const before = marksOf(whole, meltId)
    const elsewhere = fold([another('weighed', whole)], whole)
    expect(marksOf(elsewhere, meltId)).toBe(before)
    expect(compute).toHaveBeenCalledTimes(1)
    const marked = fold([another('mark made', elsewhere, meltId)], elsewhere)
    expect(marksOf(marked, meltId)).toBe(before + 1)
    expect(compute).toHaveBeenCalledTimes(2)
  })
  test('rests on answers, not on how they came about', () => {
    const lineCount = memoize((view: View) => linesOf(view, meltId, 'mark made').length > 0)
    const compute = jest.fn((view: View) => ({ isMarked: lineCount(view) }))
    const memoized = memoize(compute)
    const first = memoized(whole)
    const marked = fold([another('mark made', whole, meltId)], whole)
    expect(memoized(marked)).toBe(first)
    expect(compute).toHaveBeenCalledTimes(1)
  })
  test('follows when an older view is asked again', () => {
    const count = memoize((view: View) => linesOf(view, meltId, 'mark made').length)
    const marked = fold([another('mark made', whole, meltId)], whole)
    const before = count(whole)
    expect([count(marked), count(whole), count(marked)]).toEqual([before + 1, before, before + 1])
  })
  test('of one notebook is not that of another', () => {
    const count = memoize((view: View) => subjectsWith(view, 'prep opened').length)
    expect([count(whole), count(EMPTY_VIEW), count(fold([]))]).toEqual([count(whole), 0, 0])
  })

  test('of other preps stays the very object when a line is written about one', () => {
    const view = fold(copiesOf(golden.entries, 3))
    const preps = prepsOf(view)
    const summaryNow = (of: View) =>
      preps.map(({ id }) => ({ ranges: rangesOf(of, id), judgement: judgementOf(of, id) }))
    const before = summaryNow(view)
    const unknowns = unknownsOf(view)
    const melts = meltsOf(view)
    const after = fold([another('trace', view, meltId)], view)
    const now = summaryNow(after)
    const changed = preps.filter((_, i) => now[i]?.ranges !== before[i]?.ranges)
    expect(changed.length).toBeLessThanOrEqual(1)
    expect(preps.filter((_, i) => now[i]?.judgement !== before[i]?.judgement).length).toBeLessThanOrEqual(1)
    expect(meltsOf(after).filter((one, i) => one !== melts[i]).length).toBeLessThanOrEqual(1)
    const others = unknowns.filter(({ rows }) => rows.every((row) => row.melt !== meltId))
    for (const unknown of others) expect(unknownsOf(after)).toContain(unknown)
  })
  test('of a sample takes only the melts it is in', () => {
    const sample = melt?.planned.body.tubes[0]?.sample
    if (!sample) throw new Error('The melt has tubes.')
    const expected = meltsOf(whole).filter(({ planned }) =>
      planned.body.tubes.some((tube) => tube.sample === sample),
    )
    expect([...new Set(rowsOfSample(whole, sample).map((row) => row.melt))]).toEqual(
      expected.map(({ id }) => id),
    )
  })

  test('is the same after every line, asked all along, as from a fold of all lines at once', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray([...golden.entries], { minLength: golden.entries.length }),
        fc.integer({ min: 20, max: 90 }),
        (shuffled, size) => {
          let view = EMPTY_VIEW
          for (let i = 0; i < shuffled.length; i += size) {
            view = fold(shuffled.slice(i, i + size), view)
            const anew = fold(shuffled.slice(0, i + size))
            expect(summaryOf(view, golden.nowMs)).toEqual(summaryOf(anew, golden.nowMs))
          }
        },
      ),
      { numRuns: 6 },
    )
  })
})
