import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { act, cleanup, screen, waitFor, within } from '@testing-library/react'
import type { Bodies } from '@ivory-crystal/core/notebook'
import { periodAt, periodsOf } from '@ivory-crystal/core/planning'
import { golden } from '../../../../../core/golden/contract'
import { NOTEBOOK, openDemo, prepNamed, showAt, useNotebook, written } from '../../../testing/opened'
import { momentAt } from '../../../format/timeOfDay'

const { Today } = await import('../Today')
await import('./PeriodPart')
await import('../OpenCases')
const { clock } = await import('../../../clock/clock')
const { clock: shown } = await import('../../../format/format')
const { strike, write } = await import('../../../ledger/notebook')
const { nightDoubt } = await import('./typedPeriod')
const { heavy } = await import('../../../workers/heavy')

const MINUTE_MS = 60_000
const real = { ...clock }
let nowMs = golden.nowMs
// Other orders are looked for by the planner’s own tests (secondLook.test.ts); here it finds none, at once.
const lookAgain = jest.spyOn(heavy, 'lookAgain')
beforeEach(async () => {
  lookAgain.mockReset().mockReturnValue({ ok: true, value: null })
  nowMs = golden.nowMs
  clock.now = () => nowMs
  localStorage.clear()
  await openDemo()
})
afterEach(() => {
  cleanup()
  Object.assign(clock, real)
})
const today = async () => {
  const user = showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
  await screen.findByRole('region', { name: 'The timetable' })
  return user
}
const period = () => {
  const found = periodAt(useNotebook.getState().view, nowMs)
  if (!found) throw new Error('no period')
  return found
}
const bar = (words: RegExp) => screen.getByRole('button', { name: words })
const planned = () => screen.findByRole('heading', { name: /^Finished by \d\d:\d\d$/ })
const bodies = <K extends 'task noted' | 'task set aside' | 'period opened' | 'period closed'>(kind: K) =>
  written(kind).map(({ body }) => body as Bodies[K])

describe('Today with a lab period', () => {
  test('says what is now, what the hands can do, when it is over, what it hangs on and what is shared', async () => {
    await today()
    await planned()
    const now = within(screen.getByRole('region', { name: 'Now' }))
    now.getByText(`now, ${shown(nowMs)}`)
    expect(now.getAllByRole('timer')).toHaveLength(1)
    now.getByRole('heading', { name: 'While you wait' })
    screen.getByText(/^\d+ min spare/)
    within(screen.getByRole('region', { name: 'What sets your finishing time' })).getByText(
      /starts a wait that sets when you finish|Everything waits for this|Your hands set when you finish/,
    )
    const late = within(screen.getByRole('region', { name: 'If you run late' }))
    expect(await late.findAllByText(/by \d\d:\d\d\. After that, stop here: dry, weighed/)).not.toEqual([])
    const shared = within(screen.getByRole('region', { name: 'Shared' }))
    shared.getByText(`Programmable block: bench 3 until ${shown(nowMs + 8 * MINUTE_MS)}, then you.`)
    shared.getByText(/A flame is lit at bench 8 until/)
    // While nothing happens other orders are looked for, four times at most.
    await waitFor(() => {
      expect(lookAgain.mock.calls.map(([, , look]) => look)).toEqual([1, 2, 3, 4])
    })
  })
  test('the score is a table too, and says the same', async () => {
    const user = await today()
    const head = await planned()
    await user.click(screen.getByText('The timetable as a table'))
    const table = within(screen.getByRole('table', { name: 'Every task of the period, in order' }))
    const rows = table.getAllByRole('row').map((row) => row.textContent)
    expect(rows.some((text) => text.includes('Dissolve the benzil') && text.includes('as it was'))).toBe(true)
    const last = rows.at(-1) ?? ''
    expect(last).toContain('Clear up')
    expect(last).toContain(head.textContent.replace('Finished by ', ''))
  })
  test('one press begins the first task and opens where it is done', async () => {
    const user = await today()
    await planned()
    const [first] = screen.getByRole('region', { name: 'Now' }).querySelectorAll('dd')
    await user.click(screen.getByRole('button', { name: 'Start the first' }))
    const [noted] = bodies('task noted')
    expect(noted?.is).toBe('begun')
    expect(first?.textContent).toContain(noted?.words)
  })
  test('a task that nothing else tells of is said to be done by hand', async () => {
    const task = { task: 'bench/clear up', words: 'Clear up' }
    await today()
    await planned()
    act(() => {
      write({ kind: 'task noted', subject: period().id, body: { ...task, is: 'begun' } })
    })
    await waitFor(() => {
      within(screen.getByRole('region', { name: 'Now' })).getByRole('heading', { name: /^Clear up/ })
    })
    within(screen.getByRole('region', { name: 'Now' })).getByRole('button', { name: 'Take back the start' })
    screen.getByRole('button', { name: 'Done' }).click()
    expect(bodies('task noted').at(-1)).toMatchObject({ task: 'bench/clear up', is: 'done' })
  })
  test('what was begun by mistake is not begun after all', async () => {
    const user = await today()
    await planned()
    act(() => {
      write({
        kind: 'task noted',
        subject: period().id,
        body: { task: 'bench/clear up', words: 'Clear up', is: 'begun' },
      })
    })
    await user.click(await screen.findByRole('button', { name: 'Take back the start' }))
    expect(period().begun.has('bench/clear up')).toBe(false)
    expect(screen.queryByRole('button', { name: 'Take back the start' })).toBeNull()
  })
  test('a bar is chosen, put off, held and set aside, with what that costs; by keys as well', async () => {
    const user = await today()
    await planned()
    bar(/^Collect the benzil:/).focus()
    await user.keyboard('{ArrowRight}')
    expect(bodies('task set aside')).toHaveLength(1)
    expect(bodies('task set aside')[0]?.until).toBe('a time')
    await screen.findByText(/“Collect the benzil” not before \d\d:\d\d: (you finish|it costs)/)
    await user.keyboard('{Enter}')
    const panel = within(await screen.findByRole('region', { name: 'Collect the benzil' }))
    panel.getByText(/Not before \d\d:\d\d\./)
    await user.click(panel.getByRole('button', { name: 'Another day' }))
    await waitFor(() => {
      within(screen.getByRole('region', { name: 'Not in this period' })).getByText(/Collect the benzil/)
    })
    const aside = within(screen.getByRole('region', { name: 'Not in this period' }))
    const row = aside.getByText(/Collect the benzil/)
    await user.click(within(row).getByRole('button', { name: 'plan it again' }))
    expect(bodies('task set aside').at(-1)?.until).toBe('not put off')
  })
  test('is closed with what was done and what is left, and read as it was beside as planned', async () => {
    const user = await today()
    await planned()
    await user.click(screen.getByRole('button', { name: 'Close the period' }))
    await user.click(screen.getByRole('button', { name: 'Yes' }))
    const [closed] = bodies('period closed')
    expect(closed?.done.map(({ words }) => words)).toContain('Dissolve the benzil')
    expect(closed?.left).toContain('Collect the benzil')
    const before = within(await screen.findByRole('region', { name: 'The period before' }))
    before.getByText(/finished at \d\d:\d\d, \d+ (min|h).* spare/)
    // Too soon: it is opened again, and nothing of it is lost.
    await user.click(before.getByRole('button', { name: 'Open it again' }))
    await screen.findByRole('region', { name: 'The timetable' })
  })
})

describe('a period that nobody closed', () => {
  test('is told once it is long over, and closed at its end with what was done in it', async () => {
    nowMs += 12 * 60 * MINUTE_MS
    const user = showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
    const region = within(await screen.findByRole('region', { name: 'Period not closed' }))
    await user.click(region.getByRole('button', { name: /^Close the period: finished at \d\d:\d\d$/ }))
    const [closed] = bodies('period closed')
    expect(closed?.outAtMs).toBe(periodsOf(useNotebook.getState().view).at(-1)?.opened.body.endsAtMs)
    expect(closed?.done.map(({ words }) => words)).toContain('Dissolve the benzil')
    await waitFor(() => {
      expect(screen.queryByRole('region', { name: 'Period not closed' })).toBeNull()
    })
  })
})

describe('setting the period', () => {
  const setUp = async () => {
    nowMs += 12 * 60 * MINUTE_MS
    const user = showAt(Today, `/n/${NOTEBOOK}`, '/n/:notebook')
    await user.click(await screen.findByRole('button', { name: 'Set the period' }))
    return { user, form: within(screen.getByRole('form', { name: 'The lab period' })) }
  }
  const type = async (user: Awaited<ReturnType<typeof setUp>>['user'], field: HTMLElement, text: string) => {
    await user.clear(field)
    await user.type(field, text)
  }
  test('from, to and who is all it takes; how it is planned then is kept with it', async () => {
    const { user, form } = await setUp()
    await type(user, form.getByLabelText('to'), shown(nowMs + 180 * MINUTE_MS))
    await user.selectOptions(form.getByLabelText('who'), 'two of us')
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    await waitFor(() => {
      expect(bodies('period opened')).toHaveLength(1)
    })
    const [opened] = bodies('period opened')
    expect(opened).toMatchObject({ hands: 2, busy: [], isOwnPace: true })
    expect(opened?.planned.length).toBeGreaterThan(5)
    await screen.findByRole('region', { name: 'The timetable' })
  })
  test('no end, the wrong way round, and over already are each a sentence, and nothing typed is lost', async () => {
    const { user, form } = await setUp()
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    form.getByText('“to” needs a time of day, such as 13:30.')
    await type(user, form.getByLabelText('to'), shown(nowMs - 60 * MINUTE_MS))
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    form.getByText(/a period is 12 h at most\. Are the two times swapped\?$/)
    await type(user, form.getByLabelText('from'), shown(nowMs - 120 * MINUTE_MS))
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    form.getByText(/^That period ended at/)
    expect(bodies('period opened')).toHaveLength(0)
    expect(form.getByLabelText<HTMLInputElement>('to').value).toBe(shown(nowMs - 60 * MINUTE_MS))
  })
  test('past midnight is a period like any other; what others have is asked for its times', async () => {
    const { user, form } = await setUp()
    const end = nowMs + 10 * 60 * MINUTE_MS
    await type(user, form.getByLabelText('to'), shown(end))
    await user.click(form.getByText(/what others have$/))
    await user.click(form.getByRole('button', { name: 'Somebody else has something' }))
    await user.type(form.getByPlaceholderText('bench 3'), 'bench 5')
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    form.getByText(/A time when others use something needs two times of day/)
    await type(user, form.getByLabelText('until'), shown(nowMs + 60 * MINUTE_MS))
    await user.click(form.getByRole('button', { name: 'Set the period' }))
    await waitFor(() => {
      expect(bodies('period opened')).toHaveLength(1)
    })
    const [opened] = bodies('period opened')
    expect(opened?.endsAtMs).toBe(Math.floor(end / MINUTE_MS) * MINUTE_MS)
    expect(opened?.busy).toMatchObject([{ who: 'bench 5' }])
  })
})

describe('a period typed for the night', () => {
  const at = (text: string) => {
    const ms = momentAt(text, nowMs)
    if (ms === null) throw new Error(text)
    return ms
  }
  test('shows its day, and asks whether the afternoon was meant', () => {
    const from16 = at('16:05')
    expect(nightDoubt({ from: '01:00', to: '05:00' }, from16)).toMatch(
      /^That is \d+ \w+ \d{4}, 01:00 to 05:00, in the night\. Was 13:00 meant\?$/,
    )
    expect(nightDoubt({ from: '13:00', to: '17:00' }, from16)).toBeNull()
    expect(nightDoubt({ from: '16:15', to: '17:30' }, from16)).toBeNull()
    expect(nightDoubt({ from: '', to: '17:30' }, from16)).toBeNull()
  })
})

describe('a flame next door', () => {
  test('is named beside the solvent it meets, as soon as that is on the heat', async () => {
    await today()
    expect(screen.queryByText(/A flame is lit at bench 8 until \d\d:\d\d\. Take/)).toBeNull()
    cleanup()
    const prep = prepNamed('Benzil')
    const tick = prep.ticked.get('dissolve-in-portions')
    if (tick) strike(tick, 'back on the heat')
    await today()
    await screen.findByText(
      /^A flame is lit at bench 8 until \d\d:\d\d\. Take ethanol 95% off the heat.* put out: the vapour burns\. \(Benzil/,
    )
  })
})
