import { describe, expect, test } from '@jest/globals'
import { evidenceOf, rulesOf, SITUATIONS } from '../../golden/situations'
import { decideVerdict } from './decideVerdict'

describe('what a careful supervisor would say', () => {
  const judged = SITUATIONS.map((one) => ({ one, outcome: decideVerdict(evidenceOf(one), rulesOf(one)) }))
  const count = (is: (of: (typeof judged)[number]) => boolean) => judged.filter(is).length
  test('of the situations on record', () => {
    const missed = judged.filter(
      ({ one: { expected }, outcome }) =>
        !expected.acceptableVerdicts.includes(outcome.verdict) ||
        !expected.acceptableActions.includes(outcome.next[0] ?? ''),
    )
    const counts = {
      of: judged.length,
      acceptableVerdict: count(({ one, outcome }) =>
        one.expected.acceptableVerdicts.includes(outcome.verdict),
      ),
      acceptableAction: count(({ one, outcome }) =>
        one.expected.acceptableActions.includes(outcome.next[0] ?? ''),
      ),
      verdict: count(({ one, outcome }) => one.expected.verdict === outcome.verdict),
      action: count(({ one, outcome }) => one.expected.firstAction === outcome.next[0]),
    }
    process.stdout.write(
      `${JSON.stringify(counts)}\n${missed.map(({ one, outcome }) => `  ${one.id}: ${outcome.verdict}, ${outcome.next[0] ?? ''} (${one.expected.verdict}, ${one.expected.firstAction})`).join('\n')}\n`,
    )
    expect(counts.acceptableVerdict).toBeGreaterThanOrEqual(46)
    expect(counts.acceptableAction).toBeGreaterThanOrEqual(45)
    expect(counts.verdict).toBeGreaterThanOrEqual(42)
    expect(counts.action).toBeGreaterThanOrEqual(38)
  })
})
