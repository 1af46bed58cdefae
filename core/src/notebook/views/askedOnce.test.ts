import { describe, expect, test } from '@jest/globals'
import { golden } from '../../../golden/contract'
import type { SampleId } from '../../ids'
import { nextId } from '../clock'
import type { Entry, Line, RawEntry } from '../entry'
import { fold } from '../fold'
import { type Bodies, type Kind, KINDS } from '../kinds/list'
import { askedOnce } from './askedOnce'
import { putAsideOf, prepOf, type PrepFacts, prepsOf, recoveryOf } from './prep'
import { weighingDoubts } from './weighingDoubts'
import '../../../golden/older'

const demo = fold(golden.entries)
const [home] = golden.entries as [RawEntry]
let made = 0
function more(view: ReturnType<typeof fold>, lines: readonly (readonly [Kind, string, Bodies[Kind]])[]) {
  return fold(
    lines.map(([kind, subject, body]): RawEntry => {
      made += 1
      const at = golden.nowMs + 1000 * made
      const id = nextId(null, at, new Uint8Array(8).fill(made))
      return { ...home, id, kind, v: KINDS[kind].version, subject, body, at } as RawEntry
    }),
    view,
  )
}
const all = prepsOf(demo)
/** The demo’s preps: one half-way with ethanol, one in a tube that is spun, one that is finished. */
const named = (title: string) => {
  const prep = all.find(({ opened }) => opened.body.title.toLowerCase().includes(title))
  if (!prep) throw new Error(all.map(({ opened }) => opened.body.title).join())
  return prep
}
const again = (view: ReturnType<typeof fold>, { id }: PrepFacts) => prepOf(view, id) as PrepFacts
const questions = (view: ReturnType<typeof fold>, prep: PrepFacts) =>
  askedOnce(view, again(view, prep)).map(({ question }) => question)
/** The notebook with the tick of a step struck. */
function without(prep: PrepFacts, step: string) {
  const tick = prep.ticked.get(step)
  if (!tick) throw new Error(step)
  return more(demo, [['struck', prep.id, { target: tick.id, reason: 'never done' }]])
}

describe('what is asked of the steps, once', () => {
  test('nothing, of a prep done in order', () => {
    for (const prep of all)
      expect([prep.opened.body.title, questions(demo, prep)]).toEqual([prep.opened.body.title, []])
  })
  test('a step that was passed by: done, or left out, and then not again', () => {
    const finished = all.find(({ verdict }) => verdict !== null) as PrepFacts
    const step = finished.steps.find(({ portions }) => portions === 'dissolve')?.id ?? ''
    const view = without(finished, step)
    const [asked] = askedOnce(view, again(view, finished))
    expect(asked?.question).toMatch(/^Dissolve: “.*[^.:]” is not ticked, but a later step is\./)
    expect(asked?.answers.map(({ says }) => says)).toEqual(['It was done', 'It was left out'])
    for (const { line } of asked?.answers ?? []) {
      const after = more(view, [[line.kind, line.subject, line.body]])
      expect(questions(after, finished)).toEqual([])
      expect(again(after, finished).ticked.get(step)?.body.isLeftOut ?? false).toBe(
        (line.body as Bodies['step ticked']).isLeftOut ?? false,
      )
    }
  })
  test('none put aside: it is said what that costs, and nothing is taken off the crude', () => {
    const [finished] = all.filter(({ verdict }) => verdict !== null) as [PrepFacts]
    const plan = finished.plan && { ...finished.plan, body: { ...finished.plan.body, keptBackG: 0.025 } }
    const aside = { id: 'keep-back', station: 'dissolve' as const, text: 'First of all put 25 mg aside.' }
    const prep = { ...finished, plan, steps: [aside, ...finished.steps] }
    const [asked] = askedOnce(demo, prep)
    expect(asked?.question).toContain('all of it counts as dissolved')
    const left = asked?.answers[1]?.line as Line<'step ticked'>
    const tick = { ...([...finished.ticked.values()][0] as Entry<'step ticked'>), body: left.body }
    const leftOut = { ...prep, ticked: new Map([...prep.ticked, ['keep-back', tick]]) }
    expect(askedOnce(demo, leftOut)).toEqual([])
    expect([putAsideOf(prep)?.keptBackG, putAsideOf(leftOut)]).toEqual([0.025, null])
    const [taken, whole] = [recoveryOf(prep), recoveryOf(leftOut)]
    if (!taken.ok || !whole.ok) throw new Error('no recovery')
    expect(whole.value.percent.value).toBeCloseTo(100 * (1.3914 / 1.804), 1)
    expect(taken.value.percent.value).toBeCloseTo(100 * (1.3914 / 1.779), 1)
  })
  test('solid on the heat with no solvent logged, and a spin with no partner weighed', () => {
    const prep = named('benzil')
    const dry = more(
      demo,
      prep.portions.map(({ id }) => ['struck', prep.id, { target: id, reason: 'never poured' }] as const),
    )
    expect(questions(dry, prep)[0]).toContain('Dry solid on a hot plate melts to an oil')
    const spun = all.find(({ steps }) => steps.some(({ asks }) => asks === 'centrifuge partner'))
    if (!spun) throw new Error('nothing is spun')
    const pairs = golden.entries.filter(({ kind, subject }) => kind === 'balanced' && subject === spun.id)
    const unbalanced = more(
      demo,
      pairs.map(({ id }) => ['struck', spun.id, { target: id, reason: 'not so' }] as const),
    )
    const asked = askedOnce(unbalanced, again(unbalanced, spun))
    expect(asked[0]?.question).toContain('No balanced pair is written down')
    const line = asked[0]?.answers[0]?.line
    const answered = line ? more(unbalanced, [[line.kind, line.subject, line.body]]) : unbalanced
    expect(questions(answered, spun)).toEqual(questions(unbalanced, spun).slice(1))
  })
})

describe('a mass is asked about before it is kept', () => {
  const prep = named('benzil')
  const idOf = (role: string) => (prep.samples.find((sample) => sample.role === role)?.id ?? '') as SampleId
  const tared = (text: string, readabilityG = 0.001): Bodies['weighed'] => ({
    method: 'tared',
    net: { text, value: Number(text) },
    readabilityG,
    from: 'typed',
  })
  const doubts = (role: string, body: Bodies['weighed'], view = demo, isCorrection = false) =>
    weighingDoubts(view, { sample: idOf(role), what: `the ${role}`, body, isCorrection })
  test('as it should be, nothing', () => {
    expect(doubts('crude', tared('1.904'))).toEqual([])
    expect(doubts('product', tared('1.391'))).toEqual([])
  })
  test('a crude ten times that of the other preps, or beyond any flask', () => {
    expect(doubts('crude', tared('303.463'))[0]).toContain('303.463 g of crude. Is there a digit too many')
    expect(doubts('crude', tared('39.040'))[0]).toContain('the other preps of this notebook began with')
  })
  test('a product a tenth of the plan, or ten times the crude', () => {
    expect(doubts('product', tared('0.156'))[0]).toContain('a digit too few')
    expect(doubts('product', tared('303.463'))[0]).toContain('a digit too many')
  })
  test('digits the balance shows and nobody wrote', () => {
    expect(doubts('product', tared('1.3'))[0]).toBe(
      '1.3 g from a balance that reads to 0.001 g: it showed 3 decimals. Were the last digits left out?',
    )
  })
  test('a product that grew, unless a reading is put right', () => {
    const once = more(demo, [['weighed', idOf('product'), tared('1.391')]])
    expect(doubts('product', tared('1.471'), once)[0]).toContain(
      'That is 0.080 g more than at the weighing before',
    )
    expect(doubts('product', tared('1.393'), once)).toEqual([])
    expect(doubts('product', tared('1.471'), once, true)).toEqual([])
  })
  test('a vessel that is known by another empty mass', () => {
    const by = (empty: string, loaded: string): Bodies['weighed'] => ({
      method: 'difference',
      empty: { text: empty, value: Number(empty) },
      loaded: { text: loaded, value: Number(loaded) },
      vessel: 'Glass 3',
      readabilityG: 0.001,
      from: 'typed',
    })
    const known = more(demo, [['weighed', idOf('crude'), by('18.031', '19.935')]])
    expect(doubts('product', by('19.301', '20.692'), known)).toEqual([
      'Glass 3 weighed 18.031 g empty before, and 19.301 g now. Is it the same vessel, clean and dry?',
    ])
    expect(doubts('product', by('18.030', '19.421'), known)).toEqual([])
  })
})
