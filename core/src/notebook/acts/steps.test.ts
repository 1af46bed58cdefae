import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import type { EntryId } from '../../ids'
import { nextId } from '../clock'
import type { Line, RawEntry } from '../entry'
import { fold, type View } from '../fold'
import { KINDS } from '../kinds/list'
import { type PrepFacts, prepOf, prepsOf } from '../views/prep'
import { timersOf } from '../views/timers'
import { addPortion, nextActOf, seePortion, tickStep } from './steps'
import '../../../golden/older'

const demo = fold(golden.entries)
const [home] = golden.entries as [RawEntry]
const benzil = prepsOf(demo).find(({ opened }) => opened.body.title.startsWith('Benzil')) as PrepFacts
/** The demo’s benzil as its plan was fixed, with nothing done. */
const planned = fold(
  golden.entries.slice(0, 1 + golden.entries.findIndex(({ id }) => id === benzil.plan?.id)),
)
const NOW = golden.nowMs

/** A bench where every step is done as the screen offers it. */
function bench() {
  let view = planned
  const write = (lines: readonly Line[]) => {
    for (const { kind, subject, body } of lines) {
      const id = nextId(view.latestId, NOW, new Uint8Array(8))
      view = fold([{ ...home, id, kind, v: KINDS[kind].version, subject, body, at: NOW }], view)
    }
    return lines.map(({ kind }) => kind)
  }
  const prep = () => prepOf(view, benzil.id) as PrepFacts
  const upTo = (step: string) => {
    for (const { id } of prep().steps) {
      if (id === step) return
      if (!prep().ticked.has(id)) write(tickStep(view, prep(), id, NOW))
    }
    throw new Error(step)
  }
  const portion = (ml: number, use: 'dissolve' | 'dilute' | 'rinse', isWhole: boolean) =>
    write(
      addPortion(
        view,
        prep(),
        { volume: { text: ml.toFixed(1), value: ml }, drops: null, use, hot: use !== 'rinse' },
        isWhole,
        NOW,
      ),
    )
  return { write, prep, upTo, portion, view: (): View => view }
}
const clocks = (view: View) => timersOf(view, benzil.id, NOW).map(({ timer }) => timer)

describe('one press for what belongs together', () => {
  test.each([
    ['off-the-heat', 'cool'],
    ['rinse-cold', 'air'],
  ] as const)('%s is ticked, and the clock of the %s begins with it', (step, clock) => {
    const { view, prep, upTo, write } = bench()
    upTo(step)
    expect(clocks(view())).not.toContain(clock)
    expect(write(tickStep(view(), prep(), step, NOW))).toEqual(['step ticked', 'timer started'])
    expect(clocks(view())).toContain(clock)
  })

  test('no clock begins with what has to be set up first', () => {
    // Ice is fetched, crystals are spread, a tube still stands in the heat.
    for (const step of ['cool-undisturbed', 'keep-the-liquor', 'dilute-hot', 'dissolve-in-portions']) {
      const { view, prep, upTo, write } = bench()
      upTo(step)
      expect([step, write(tickStep(view(), prep(), step, NOW))]).toEqual([step, ['step ticked']])
    }
  })

  test('one key goes through a prep, and past nothing that is waited for, weighed or seen', () => {
    const { view, prep, upTo, portion, write } = bench()
    const actAt = (id: string, now = NOW) => {
      const step = prep().steps.find((one) => one.id === id)
      if (!step) throw new Error(id)
      return nextActOf(view(), prep(), step, now)
    }
    upTo('wet-the-crude')
    expect(actAt('wet-the-crude')).toBe('log its solvent')
    portion(1.2, 'dissolve', true)
    expect(actAt('dissolve-in-portions')).toBe('nothing yet')
    portion(2.5, 'dissolve', false)
    expect(actAt('dissolve-in-portions')).toBe('nothing yet')
    const last = prep().portions.at(-1)?.id as EntryId
    write(seePortion(view(), prep(), last, 'all dissolved', NOW))
    expect(actAt('dilute-hot')).toBe('log its solvent')
    portion(20, 'dilute', false)
    // Past the plan's volume nothing is left to be logged.
    expect(actAt('dilute-hot')).toBe('tick')
    upTo('cool-undisturbed')
    expect(actAt('cool-undisturbed')).toBe('nothing yet')
    expect(actAt('cool-undisturbed', NOW + 3_600_000)).toBe('tick')
    write(tickStep(view(), prep(), 'cool-undisturbed', NOW))
    expect(actAt('into-ice')).toBe('start its clock')
    const spun = { id: 'balance-partner', station: 'collect', text: '', asks: 'centrifuge partner' } as const
    expect(nextActOf(view(), prep(), spun, NOW)).toBe('nothing yet')
  })

  test('a clock that runs already goes on as it is', () => {
    const { view, prep, upTo, write } = bench()
    upTo('off-the-heat')
    const { timer } = prep().steps.find(({ id }) => id === 'cool-undisturbed') as { timer: { timer: 'cool' } }
    write([{ kind: 'timer started', subject: benzil.id, body: timer as never }])
    expect(write(tickStep(view(), prep(), 'off-the-heat', NOW))).toEqual(['step ticked'])
    expect(clocks(view())).toEqual(['cool'])
  })

  test('what wets the crude, the rest of the solvent and the rinse tick their steps; less of it does not', () => {
    for (const [step, use, kinds] of [
      ['wet-the-crude', 'dissolve', ['solvent added', 'step ticked']],
      ['dilute-hot', 'dilute', ['solvent added', 'step ticked']],
      ['rinse-cold', 'rinse', ['solvent added', 'step ticked', 'timer started']],
    ] as const) {
      const { upTo, portion, prep } = bench()
      upTo(step)
      expect(portion(0.5, use, false)).toEqual(['solvent added'])
      expect(prep().ticked.has(step)).toBe(false)
      expect(portion(1, use, true)).toEqual(kinds)
      expect(prep().ticked.has(step)).toBe(true)
    }
  })

  test('the rest fulfils only the step whose turn it is', () => {
    const { portion, prep, upTo } = bench()
    upTo('dissolve-in-portions')
    expect(portion(1, 'dilute', true)).toEqual(['solvent added'])
    expect(prep().ticked.has('dilute-hot')).toBe(false)
  })

  test('all dissolved is the end of dissolving, and nothing less is', () => {
    const { view, prep, upTo, portion, write } = bench()
    upTo('dissolve-in-portions')
    portion(2, 'dissolve', false)
    const last = () => prep().portions.at(-1)?.id as EntryId
    expect(write(seePortion(view(), prep(), last(), 'less solid', NOW))).toEqual(['portion seen'])
    portion(2, 'dissolve', false)
    expect(write(seePortion(view(), prep(), last(), 'all dissolved', NOW))).toEqual([
      'portion seen',
      'step ticked',
    ])
  })
})
