import { describe, expect, test } from '@jest/globals'
import { fold } from '../fold'
import { labelsOf } from './labels'
import { type PrepFacts, prepsOf } from './prep'
import { golden } from '../../../golden/contract'
import '../../../golden/older'

const view = fold(golden.entries)
const prep = (title: string): PrepFacts => {
  const found = prepsOf(view).find(({ opened }) => opened.body.title.startsWith(title))
  if (!found) throw new Error(title)
  return found
}
const of = (title: string) => labelsOf(view, prep(title))

describe('labels of a prep', () => {
  test('a finished one: its crystals with the mass they were weighed at, and nothing left to do', () => {
    const crystals = of('Benzil, from benzoin').find(({ what }) => what === 'crystals')
    expect(crystals).toMatchObject({ name: 'Benzil, crystals', notFinished: null })
    const { weighing } = prep('Benzil, from benzoin').samples.find(({ role }) => role === 'product') ?? {}
    expect(crystals?.mass).toEqual(weighing?.body)
    expect(crystals?.atMs).toBe(weighing?.at)
  })
  test('one under way says where it may stand, and its liquor what is in it with the hazards of both', () => {
    const labels = of('Second half of the benzil')
    const crystals = labels.find(({ what }) => what === 'crystals')
    expect(crystals?.mass).toBeNull()
    expect(crystals?.notFinished).toMatch(/^Not finished\. Stop: .*holds crystals.*stopper it, label it/)
    // Printed another day it is still of the day the work was done.
    const ticks = [...prep('Second half of the benzil').ticked.values()].map(({ at }) => at)
    expect(crystals?.atMs).toBe(Math.max(...ticks))
    const liquor = labels.find(({ what }) => what === 'mother liquor')
    expect(liquor?.name).toMatch(/^Mother liquor of benzil in ethanol/)
    expect(liquor?.hazards.toLowerCase()).toContain('flammable')
    expect(liquor?.notFinished).toBe('Keep until the recovery is known.')
  })
  test('dry and weighed it is not unfinished, judged or not', () => {
    const done = { ...prep('Benzil, from benzoin'), verdict: null }
    expect(labelsOf(view, done).find(({ what }) => what === 'crystals')?.notFinished).toBeNull()
    const residue = labelsOf(view, done).find(({ what }) => what === 'residue')
    expect(residue?.name).toBe('Residue of the liquor of benzil')
    expect(residue?.mass).not.toBeNull()
  })
  test('what was kept back is labelled with what was planned; a liquor that is gone is not', () => {
    const all = prepsOf(view)
    for (const one of all) {
      const whats = labelsOf(view, one).map(({ what }) => what)
      const isWeighed = one.samples.some(({ role, weighing }) => role === 'residue' && weighing !== null)
      expect(whats.includes('residue')).toBe(isWeighed)
      expect(whats.includes('mother liquor')).toBe(one.plan !== null && one.discarded === null && !isWeighed)
      expect(whats.includes('crude kept back')).toBe((one.plan?.body.keptBackG ?? 0) > 0)
      expect(new Set(whats).size).toBe(whats.length)
    }
    const one = prep('Second half of the benzil')
    if (!one.plan) throw new Error('It has a plan.')
    const withCrude = { ...one, plan: { ...one.plan, body: { ...one.plan.body, keptBackG: 0.0252 } } }
    expect(labelsOf(view, withCrude).find(({ what }) => what === 'crude kept back')?.about).toBe(
      'about 25 mg',
    )
  })
})
