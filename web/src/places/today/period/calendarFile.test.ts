import { expect, test } from '@jest/globals'
import { SCHOOLS } from '@ivory-crystal/core/conventions'
import { SIMULATED_INSTRUMENTS } from '@ivory-crystal/core/instruments'
import { fold, houseRulesOf } from '@ivory-crystal/core/notebook'
import { replanPeriod, periodAt, tasksOf } from '@ivory-crystal/core/planning'
import type { Shelf } from '@ivory-crystal/core/wire'
import { golden } from '../../../../../core/golden/contract'
import { calendarEvents, calendarFile } from './calendarFile'

test('the calendar file holds each start not to be missed, the stops and the end, in UTC', async () => {
  const { nowMs } = golden
  const view = fold(golden.entries)
  const shelf = { instruments: SIMULATED_INSTRUMENTS, compounds: [] } as unknown as Shelf
  const tasks = tasksOf(view, shelf, houseRulesOf(view, SCHOOLS), nowMs)
  const period = periodAt(view, nowMs)
  if (!period) throw new Error('no period')
  const { opened, putOff } = period
  const plan = replanPeriod(tasks, opened.body, putOff, nowMs, null)
  const file = await calendarFile(calendarEvents(tasks, plan, opened.body, 'bench 7'))
  const lines = file.split('\r\n')
  expect(lines[0]).toBe('BEGIN:VCALENDAR')
  const starts = plan.criticalPath
    .flatMap((id) => tasks.find((task) => task.id === id) ?? [])
    .filter(({ state, isAlone }) => state.is === 'open' && !isAlone)
  expect(starts.length).toBeGreaterThan(3)
  for (const { words } of starts) expect(file.replaceAll('\r\n\t', '')).toContain(words.split(',')[0])
  // A bell only where a wait ends, and when the lab closes.
  const ends = starts.filter(({ after }) =>
    after.some(({ task }) => tasks.find(({ id }) => id === task)?.isAlone),
  )
  expect(ends.length).toBeGreaterThan(0)
  expect(ends.length).toBeLessThan(starts.length)
  expect(lines.filter((line) => line === 'BEGIN:VALARM')).toHaveLength(ends.length + 1)
  // RFC 5545: a moment in UTC, or a duration with at least one number in it.
  const triggers = lines.filter((line) => line.startsWith('TRIGGER'))
  expect(triggers).toHaveLength(ends.length + 1)
  for (const trigger of triggers)
    expect(trigger).toMatch(
      /^TRIGGER(;VALUE=DATE-TIME:\d{8}T\d{6}Z|(;VALUE=DURATION)?:[+-]?P(\d+W|(\d+D)?(T(?=\d)(\d+H)?(\d+M)?(\d+S)?)?))$/,
    )
  // Commas and semicolons of a text stand escaped.
  const texts = file.replaceAll('\r\n\t', '').split('\r\n')
  for (const line of texts.filter((one) => /^(SUMMARY|DESCRIPTION):/.test(one)))
    expect(line).not.toMatch(/(?<!\\)[,;]/)
  const end = new Date(opened.body.endsAtMs).toISOString().replaceAll(/[-:]|\.\d+/g, '')
  expect(lines).toContain(`DTSTART:${end.slice(0, 13)}00Z`)
  expect(file).toContain('SUMMARY:The lab closes')
  expect(file).toContain('SUMMARY:Safe stop: benzil\\, cold crystals')
})
