import { describe, expect, test } from '@jest/globals'
import { evidenceOf, rulesOf, SITUATIONS } from '../../golden/situations'
import { decideVerdict } from './decideVerdict'

describe('what a careful supervisor would say', () => {
  const judged = SITUATIONS.map((one) => ({ one, said: decideVerdict(evidenceOf(one), rulesOf(one)) }))
  const count = (is: (of: (typeof judged)[number]) => boolean) => judged.filter(is).length
  test('of the situations on record', () => {
    const missed = judged.filter(
      ({ one: { expected }, said }) =>
        !expected.acceptableVerdicts.includes(said.verdict) ||
        !expected.acceptableActions.includes(said.next[0] ?? ''),
    )
    const told = {
      of: judged.length,
      acceptableVerdict: count(({ one, said }) => one.expected.acceptableVerdicts.includes(said.verdict)),
      acceptableAction: count(({ one, said }) => one.expected.acceptableActions.includes(said.next[0] ?? '')),
      verdict: count(({ one, said }) => one.expected.verdict === said.verdict),
      action: count(({ one, said }) => one.expected.firstAction === said.next[0]),
    }
    process.stdout.write(
      `${JSON.stringify(told)}\n${missed.map(({ one, said }) => `  ${one.id}: ${said.verdict}, ${said.next[0] ?? ''} (${one.expected.verdict}, ${one.expected.firstAction})`).join('\n')}\n`,
    )
    expect(told.acceptableVerdict).toBeGreaterThanOrEqual(46)
    expect(told.acceptableAction).toBeGreaterThanOrEqual(45)
    expect(told.verdict).toBeGreaterThanOrEqual(42)
    expect(told.action).toBeGreaterThanOrEqual(38)
  })
})
