import { describe, expect, test } from '@jest/globals'
import { passBalance } from '../../simulator/balance'
import { LEVELS, SEEDS } from '../../../golden/learners'
import { onThePanG, scoreWeighing, startBalance, weighExercise } from '../index'

describe('the balance', () => {
  const exercise = weighExercise(5, 3)
  test('the right way comes to the mass, at every level', () => {
    for (const level of LEVELS)
      for (const seed of SEEDS) {
        const one = weighExercise(seed, level)
        let state = startBalance(one)
        const rest = (item: Parameters<typeof onThePanG>[1]) => {
          const next = passBalance(state, [{ kind: 'load', g: onThePanG(one, item) }], 8)
          state = next.state
          return next.reading.display.value
        }
        const empty = rest('boat 2 empty')
        const net = rest('boat 2 with crystals') - empty
        expect(scoreWeighing(one, net.toFixed(3), false)).toMatchObject({ isGood: true, share: 1 })
      }
  })
  test('each slip is told for what it is', () => {
    const { crystalsG, boat1G, boat2G, leftAtG } = exercise
    const sentenceOf = (g: number) => scoreWeighing(exercise, g.toFixed(3), false).sentence
    expect(sentenceOf(crystalsG + boat2G - boat1G)).toContain('other boat')
    expect(sentenceOf(crystalsG + boat2G)).toContain('boat and crystals')
    expect(sentenceOf(crystalsG + leftAtG)).toContain('nothing on it')
    expect(scoreWeighing(exercise, crystalsG.toFixed(1), false).isGood).toBe(false)
    expect(scoreWeighing(exercise, '1,204', false).sentence).toContain('with a point')
    expect(scoreWeighing(exercise, (crystalsG + 0.2).toFixed(3), true).sentence).toContain('still moved')
    expect(scoreWeighing(exercise, (crystalsG + 0.2).toFixed(3), false).sentence).toContain('subtraction')
    expect(
      scoreWeighing(weighExercise(5, 1), weighExercise(5, 1).crystalsG.toFixed(2), false).sentence,
    ).toMatch(/digits|less|more/)
  })
})
