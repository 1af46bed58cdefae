import { describe, expect, test } from '@jest/globals'
import { advance, createBlock } from '../../simulator/block'
import type { BlockCommand } from '../../instruments/reading'
import { LEVELS } from '../../../golden/learners'
import { dialExercise, type DialExercise, isDialOver, scoreDial, startDial } from '../index'

describe('the dial', () => {
  const drive = (exercise: DialExercise, dialAt: (s: number, shownC: number) => number) => {
    let state = startDial(exercise)
    let [shownC, stood] = [exercise.startC, -1]
    const readings: { atS: number; shownC: number }[] = []
    do {
      const wanted = dialAt(state.sample, shownC)
      const commands: BlockCommand[] = wanted === stood ? [] : [{ kind: 'dial', setting: wanted }]
      stood = wanted
      const next = advance(state, commands, 1)
      state = next.state
      shownC = next.readings[0]?.probe.value ?? shownC
      readings.push({ atS: state.sample, shownC })
    } while (!isDialOver(exercise, state.sample, shownC))
    return scoreDial(exercise, readings)
  }
  test('the planner’s own turns are good at every level; haste, sloth and sleep are less, in that order of use', () => {
    for (const level of LEVELS)
      for (const seed of [1, 2]) {
        const exercise = dialExercise(seed, level)
        const { steps } = exercise.plan
        const perfect = drive(exercise, (s) => steps.filter(({ atMin }) => 60 * atMin <= s).at(-1)?.dial ?? 0)
        const slow = drive(exercise, (_, shownC) =>
          shownC < exercise.fromC - 30 ? 4 : (steps.at(-1)?.dial ?? 4),
        )
        const impatient = drive(exercise, () => 10)
        const asleep = drive(exercise, () => 0)
        expect(perfect.isGood).toBe(true)
        expect(slow.share).toBeLessThan(perfect.share)
        expect(impatient.share).toBeLessThan(slow.share)
        expect(impatient.sentence).toMatch(/rose at \d+\.\d °C\/min/)
        expect(asleep).toMatchObject({ isGood: false, share: 0 })
        expect(asleep.sentence).toContain('never came to')
      }
  })
})

test('a block of its own character goes on from where it was left', () => {
  const { character, startC } = dialExercise(2, 3)
  expect(startC).toBeGreaterThan(character.ambientC)
  expect(startDial(dialExercise(2, 3)).blockC).toBe(createBlock(character, 2, { blockC: startC }).blockC)
})
