import { describe, expect, test } from '@jest/globals'
import { madePeriod } from '../../../golden/periods/madePeriods'
import { atTodaysPace, todaysPace } from './todaysPace'
import { MINUTE_MS, type PeriodTask } from './task'

const { tasks } = madePeriod(2)
const hands = tasks.filter(({ isAlone, run }) => !isAlone && run?.does !== 'ends')
/** The first so many hands’ tasks took so many times their minutes, one after the other. */
function after(many: number, factor: number): readonly PeriodTask[] {
  return tasks.map((task) => {
    const i = hands.indexOf(task)
    if (i < 0 || i >= many) return task
    const fromMs = 1_000_000 * i
    return { ...task, state: { is: 'done', fromMs, toMs: fromMs + factor * task.durationMin * MINUTE_MS } }
  })
}
const all = new Set(tasks.map(({ id }) => id))

describe('the pace of this period', () => {
  test('is known after five tasks whose beginning was noted, drawn toward the plan’s minutes', () => {
    expect(todaysPace(after(4, 1.8), all)).toBeNull()
    // Five at 1.8 and the plan for one: 10 sixths.
    expect(todaysPace(after(5, 1.8), all)?.factor).toBeCloseTo((5 * 1.8 + 1) / 6, 10)
    expect(todaysPace(after(10, 0.7), all)).toMatchObject({ tasks: 10 })
    expect(todaysPace(after(10, 0.7), all)?.factor).toBeCloseTo((10 * 0.7 + 1) / 11, 10)
    expect(todaysPace(after(10, 1.8), new Set())).toBeNull()
  })
  test('does not count what was left lying', () => {
    expect(todaysPace(after(10, 4.1), all)).toBeNull()
  })
  test('makes what hands still do longer; melts and clocks keep their own time', () => {
    const left = atTodaysPace(after(5, 1.8), all)
    let longer = 0
    left.forEach((task, i) => {
      const planned = tasks[i]
      if (!planned) throw new Error(task.id)
      const keepsPace = hands.includes(planned) && hands.indexOf(planned) >= 5
      const wanted = keepsPace ? Math.max(1, Math.round((planned.durationMin * 10) / 6)) : planned.durationMin
      expect([task.id, task.durationMin]).toEqual([task.id, wanted])
      if (task.pace) {
        expect(task.pace).toMatchObject({ isToday: true, times: 5, minutes: wanted })
        longer++
      }
    })
    expect(longer).toBeGreaterThan(10)
    expect(atTodaysPace(tasks, all)).toBe(tasks)
  })
})
