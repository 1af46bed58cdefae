import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react'
import { SCHOOLS } from '@ivory-crystal/core/conventions'
import type { InstrumentId, RunId } from '@ivory-crystal/core/ids'
import { type BlockReading, SIMULATED_INSTRUMENTS, type Instrument } from '@ivory-crystal/core/instruments'
import { type Bodies, meltsOf, rackOf, rangesOf } from '@ivory-crystal/core/notebook'
import {
  NOTEBOOK,
  openDemo,
  prepNamed,
  restingAt,
  server,
  SHELF,
  show,
  showAt,
  stream,
  useNotebook,
  written,
} from '../../testing/opened'

const { Melt } = await import('../prep/Melt')
const { MeltPage } = await import('./MeltPage')
const { receiveReading } = await import('../../ledger/notebook')
const { clock } = await import('../../clock/clock')
// What the screen would load when it is opened.
await import('./Watch')

const realNow = clock.now
beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(() => {
  cleanup()
  clock.now = realNow
})
const planned = () => written('melt planned').map(({ body }) => body as Bodies['melt planned'])
const planOn = async (instrument: string) => {
  const user = show(Melt, prepNamed('Benzil'), 'melt')
  await user.selectOptions(screen.getByRole('combobox', { name: 'instrument' }), instrument)
  return user
}
const press = (name: string | RegExp) => screen.getByRole('button', { name })

describe('planning the heating', () => {
  test('a programmable block ramps, begun early enough for the crude', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    screen.getByText(/An impure sample may show liquid from 78\.4 °C/)
    screen.getByText('This thermometer has not been calibrated here: ranges stay raw and are labelled so.')
    await user.click(press('Plan this melt'))
    const [body] = planned()
    expect(body).toMatchObject({
      instrument: 'programmable-block',
      purpose: 'careful',
      heating: { by: 'ramp' },
      calibration: null,
      window: { stopC: 104, rateCPerMin: 1 },
    })
    expect(body?.tubes.map(({ label, slot }) => `${slot} ${label}`)).toEqual(['1 Crude benzil', '2 Benzil'])
  })
  test('a dial block turns its dial as it was learned, and corrects by its calibration', async () => {
    const user = await planOn('dial-block')
    expect(screen.getAllByText(/^Turn the dial to/).length).toBeGreaterThan(3)
    screen.getByText(/Readings are corrected by 3 standards of today, to about 0\.1 °C/)
    await user.click(press('Plan this melt'))
    const [body] = planned()
    expect(body?.heating.by).toBe('dial')
    expect(body?.calibration?.points).toHaveLength(3)
    // Prep, learned dial and calibration.
    expect(body?.restsOn).toHaveLength(3)
  })
  test('a flame nobody has learned is heated by hand, and says so', async () => {
    const user = await planOn('oil-bath-tube')
    screen.getByText(/What this flame does has not been measured yet/)
    screen.getByText('how long is not known')
    await user.click(press('Plan this melt'))
    expect(planned()[0]?.heating.by).toBe('hand')
  })
  test('a block still hot is planned as it is', async () => {
    server.instruments.mockResolvedValue({ instruments: restingAt({ 'programmable-block': 150 }) })
    show(Melt, prepNamed('Benzil'), 'melt')
    await screen.findByText('It is at 150.0 °C now.')
    screen.getByText(/Let it cool for about/)
  })
  test('an instrument with one slot says what waits', async () => {
    await planOn('hot-stage')
    screen.getByText(/This instrument has one slot: the samples in the other slots wait/)
  })
  test('a filling that cannot be is answered, and the plan waits', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    const fill = screen.getByRole('textbox', { name: 'fill height in slot 1, mm' })
    await user.clear(fill)
    await user.type(fill, '200')
    expect(screen.getByRole('alert').textContent).toContain('A fill height of 200 mm in slot 1 cannot be')
    expect(press('Plan this melt').hasAttribute('disabled')).toBe(true)
    await user.clear(fill)
    await user.type(fill, '8')
    // 6 mm more than two: 0.72 min of melting at 1 °C/min.
    screen.getByText(/makes the range about 0\.7 °C wider than 2 mm of fine powder/)
  })
  test('the gauge is made true to size once, against a card', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    await user.click(press('Make it true to size'))
    fireEvent.change(screen.getByRole('slider'), { target: { value: '428' } })
    await user.click(press('They are as long'))
    screen.getByText(/True to size on this screen/)
    expect(Number(localStorage.getItem('ivory-crystal pixels per mm'))).toBeCloseTo(428 / 85.6, 9)
  })
  test('the minutes of a school beside a plan are those of the plan it would make', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    await user.click(screen.getByText(/How would other ways of heating compare/))
    const minutesOf = (row: HTMLElement) => within(row).getAllByRole('cell')[1]?.textContent
    const inAll = () => /(\d+) min in total/.exec(document.body.textContent)?.[1]
    const rows = screen
      .getAllByRole('row')
      .filter((row) => SCHOOLS.some(({ name }) => row.textContent.startsWith(name)))
    expect(rows).toHaveLength(SCHOOLS.length)
    const seen = new Set<string>()
    for (const { name } of SCHOOLS) {
      const take = screen.queryByRole('button', { name: `Use ${name} for this melt` })
      if (take) await user.click(take)
      const row = screen.getAllByRole('row').find((one) => one.textContent.startsWith(name))
      expect(minutesOf(row as HTMLElement)).toBe(inAll())
      seen.add(inAll() ?? '')
    }
    expect(seen.size).toBeGreaterThan(2)
  })
  test('another school is taken for this melt alone, the plan follows, and the notebook’s rules stay', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    const row = screen.getByRole('row', { name: /^Quick look/ })
    expect(within(row).getByText('2.5 °C')).toBeTruthy()
    await user.click(within(row).getByRole('button', { name: 'Use Quick look for this melt' }))
    screen.getByText(/This melt alone uses “Quick look”; the notebook still uses “Slow through the range”/)
    await user.click(press('back to “Slow through the range”'))
    expect(screen.queryByText(/This melt alone/)).toBeNull()
    await user.click(within(row).getByRole('button', { name: 'Use Quick look for this melt' }))
    await user.click(press('Plan this melt'))
    expect(planned()[0]).toMatchObject({ window: { rateCPerMin: 5 }, conventions: { name: 'Quick look' } })
    // The notebook’s own rules are another act, elsewhere.
    expect(written('rules taken')).toEqual([])
  })
})

describe('samples no prep made', () => {
  test('an unknown wants a scouting run, offered at once', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    await user.click(press('an unknown'))
    await user.click(press('Name it'))
    expect(screen.getByText('An unknown has a code, such as K-14.')).toBeTruthy()
    await user.type(screen.getByRole('textbox', { name: 'code' }), 'K-14')
    await user.click(press('Name it'))
    screen.getByText(/It is not known yet where K-14 melts/)
    await user.click(press('Make it scouting'))
    await user.click(press('Plan this scouting run'))
    expect(planned()[0]).toMatchObject({ purpose: 'scouting', window: { rateCPerMin: 10 } })
  })
  test('an authentic sample and a mixture are named with what they are', async () => {
    const user = show(Melt, prepNamed('Benzil'), 'melt')
    await user.click(press('an authentic one'))
    await user.type(screen.getByRole('combobox', { name: 'of' }), 'sugar')
    await user.click(press('Name it'))
    screen.getByText(/No compound on the shelf is called “sugar”/)
    await user.clear(screen.getByRole('combobox', { name: 'of' }))
    await user.type(screen.getByRole('combobox', { name: 'of' }), 'benzoin')
    await user.click(press('Name it'))
    await user.click(press('a mixture'))
    await user.click(press('Name it'))
    screen.getByText('A mixture needs two different samples.')
    const choose = async (part: string, option: RegExp) => {
      const field = screen.getByRole('combobox', { name: part })
      await user.selectOptions(field, within(field).getByRole('option', { name: option }))
    }
    await choose('part 1 of the mixture', /^Benzil ·/)
    await choose('part 2 of the mixture', /^Authentic benzoin ·/)
    await user.click(press('Name it'))
    const named = written('sample named').map(({ body }) => body as Bodies['sample named'])
    expect(
      named.map(({ label, role, of, compound }) => [label, role, of.length, compound?.id ?? null]),
    ).toEqual([
      ['Authentic benzoin', 'authentic', 0, 'benzoin'],
      ['Benzil + Authentic benzoin', 'mixture', 2, null],
    ])
  })
})

// ── an instrument of the lab's own ──────────────────────────────────────────────────────────────
const OWN: Instrument = {
  ...(SIMULATED_INSTRUMENTS.find(({ id }) => id === 'oil-bath-tube') as Instrument),
  id: 'own-tube' as InstrumentId,
  name: 'Own tube',
  simulated: false,
}
async function ownRun() {
  await openDemo({ ...SHELF, instruments: [OWN, ...SHELF.instruments] })
  server.instruments.mockResolvedValue({
    instruments: [{ instrument: OWN, blockC: null, run: null }, ...restingAt()],
  })
  let now = realNow()
  clock.now = () => now
  const user = show(Melt, prepNamed('Benzil'), 'melt')
  await user.click(press('Plan this melt'))
  await screen.findByRole('button', { name: 'Start, its thermometer is read by eye' })
  return {
    user,
    pass: (seconds: number) => {
      now += seconds * 1000
    },
  }
}
const type = async (user: Awaited<ReturnType<typeof ownRun>>['user'], text: string) => {
  const field = screen.getByRole('textbox', { name: 'read off the thermometer, °C' })
  await user.clear(field)
  await user.type(field, `${text}{Enter}`)
}

describe('before the start', () => {
  test('checks are told or ticked, one picture at a time, and what is ticked is written', async () => {
    const { user } = await ownRun()
    screen.getByText(/It is below 73 °C now\. Read the display/)
    await user.click(press(/^Check: You have read the label of the oil/))
    expect(written('check made').map(({ body }) => body)).toEqual([{ check: 'oil-label-read' }])
    expect(document.querySelectorAll('.steps svg')).toHaveLength(0)
    for (const open of [/below 73 °C now/, /moves freely/, /is sealed at the bottom/])
      await user.click(press(open))
    expect(document.querySelectorAll('.steps svg')).toHaveLength(1)
  })
  test('a turn is asked for by name, and ends with the glass cleared', async () => {
    const { user } = await ownRun()
    await user.click(press('Join the queue'))
    screen.getByText('Enter who it is: a bench code is enough.')
    await user.type(screen.getByRole('textbox', { name: 'who' }), 'bench 7')
    await user.click(press('Join the queue'))
    await user.click(press('hand over'))
    await user.click(press('Yes, and switched off'))
    screen.getByText('Nobody. The instrument is free.')
    expect(written('turn ended').map(({ body }) => body)).toMatchObject([{ switchedOff: true }])
  })
  test('marks an instrument kept are copied in, both or none', async () => {
    const { user } = await ownRun()
    const onset = screen.getAllByRole('textbox', { name: 'onset, °C' })
    const clear = screen.getAllByRole('textbox', { name: 'clear point, °C' })
    await user.click(press('Copy these marks'))
    screen.getByText('Copy both ends of one tube at least.')
    await user.type(onset[1] as HTMLElement, '95.2')
    await user.click(press('Copy these marks'))
    screen.getByText(/Benzil has only one temperature/)
    await user.type(clear[1] as HTMLElement, '94.1')
    await user.click(press('Copy these marks'))
    screen.getByText(/lies above its clear point\. Were the two swapped/)
    await user.clear(clear[1] as HTMLElement)
    await user.type(clear[1] as HTMLElement, '96.0')
    await user.click(press('Copy these marks'))
    const { view } = useNotebook.getState()
    const row = rangesOf(view, prepNamed('Benzil').id).at(-1)
    expect(row).toMatchObject({
      by: 'the instrument',
      onset: { text: '95.2' },
      clear: { text: '96.0' },
      trouble: null,
    })
  })
  test('a light trace is brought in from a file, its ends found, moved and taken', async () => {
    const { user } = await ownRun()
    const input = screen.getByLabelText('file of temperature and light')
    await user.upload(input, new File(['a,b\n1,2\nnone,3'], 'bad.csv', { type: 'text/csv' }))
    await screen.findByText(/Line 3 is not a temperature and a light value/)
    const rows = Array.from({ length: 200 }, (_, i) => {
      const c = 90 + i / 20
      return `${c.toFixed(2)};${c < 94 ? 0.1 : c > 96 ? 0.9 : 0.1 + 0.4 * (c - 94)}`
    })
    await user.upload(
      input,
      new File([['temperature;light', ...rows].join('\n')], 'light.csv', { type: 'text/csv' }),
    )
    await screen.findByText(/94\.10 to 95\.90 °C by its light/)
    fireEvent.keyDown(screen.getByRole('slider', { name: /^onset of Crude benzil/ }), { key: 'ArrowRight' })
    screen.getByText(/94\.20 to 95\.90 °C by its light, moved by hand/)
    await user.click(press('Take these ends'))
    expect(written('melt detected').map(({ body }) => body)).toMatchObject([
      { run: null, slot: 1, onsetC: 94.2, clearC: 95.9, shares: null },
    ])
    expect((written('melt detected')[0]?.body as Bodies['melt detected']).light).toHaveLength(200)
  })
})

/** Begins by eye; with a flame and hot oil, what nobody has ticked is asked about first. */
async function startByEye(user: ReturnType<typeof showAt>): Promise<void> {
  await user.click(press('Start, its thermometer is read by eye'))
  screen.getByText(/checks are not ticked, and you will have hot oil and a flame/)
  await user.click(press('Yes'))
}

describe('a thermometer read by eye', () => {
  test('each press is kept with its time, and what is typed after is taken back to it', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    await user.click(press('Tubes are in'))
    for (const [seconds, text] of [
      [60, '88.0'],
      [60, '89.5'],
      [60, '91.0'],
    ] as const) {
      pass(seconds)
      await type(user, text)
    }
    pass(170)
    act(() => {
      fireEvent.keyDown(document.body, { key: 's' })
    })
    pass(12)
    screen.getByText(/Tube 2, first liquid, pressed .* ago: what does it read\?/)
    await type(user, '95.5')
    // 12 s late at about 1.5 °C/min.
    const { view } = useNotebook.getState()
    const melt = meltsOf(view, prepNamed('Benzil').id).at(-1)
    expect(melt?.marks[0]?.temperature).toEqual({ text: '95.2', value: 95.2 })
    expect(melt?.marks[0]?.typed).toMatchObject({ reading: { text: '95.5' }, lateS: 12 })
    expect(written('mark made').map(({ body }) => body)).toMatchObject([
      { lastProbe: null, from: 'key', slot: 2 },
    ])
  })
  test('is asked for first; what it was last read at stands large, and about where it is by now', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    screen.getByText('Read the thermometer first, and type the temperature.')
    screen.getByText('Read the thermometer.')
    screen.getByText('nothing read yet')
    pass(5)
    await type(user, '60.0')
    screen.getByText('60.0', { selector: '.block-c' })
    expect(screen.queryByText(/Read the thermometer first/)).toBeNull()
    pass(60)
    await type(user, '62.0')
    pass(30)
    await screen.findByText('read 0:30 ago; about 63 °C now')
  })
  test('a moment that comes while a number is being typed is not lost to the field', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    pass(60)
    await type(user, '88.0')
    act(() => {
      fireEvent.keyDown(document.body, { key: 's' })
    })
    const field = screen.getByRole('textbox', { name: 'read off the thermometer, °C' })
    expect(document.activeElement).toBe(field)
    pass(20)
    await user.type(field, '95x')
    expect(field).toHaveProperty('value', '95')
    expect(written('mark made').map(({ body }) => (body as Bodies['mark made']).moment)).toEqual([
      'first liquid',
      'all liquid',
    ])
  })
  test('a press nobody read for two minutes gets no reading that is not its own', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    pass(60)
    await type(user, '88.0')
    act(() => {
      fireEvent.keyDown(document.body, { key: 's' })
    })
    pass(180)
    await type(user, '95.0')
    expect(
      written('temperature typed').map(({ body }) => (body as Bodies['temperature typed']).mark),
    ).toEqual([null, null])
  })
  test('a reading far from where the heating should be is kept, asked about, and struck with one press', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    for (const text of ['88.0', '89.5', '91.0']) {
      pass(60)
      await type(user, text)
    }
    // Ten high, and the right one after it: only the wrong one is asked about, and the rate does not follow it.
    pass(60)
    await type(user, '102.4')
    screen.getByText(
      /102\.4 °C is saved: 10 °C above the expected temperature \(92\.5 °C\)\. Check the scale/,
    )
    pass(60)
    await type(user, '94.0')
    screen.getByText(/102\.4 °C is saved:/)
    expect(screen.queryByText(/too fast/)).toBeNull()
    expect(screen.queryByText(/94\.0 °C is saved/)).toBeNull()
    await user.click(press('it is correct'))
    expect(screen.queryByText(/°C is saved:/)).toBeNull()
    pass(60)
    await type(user, '204')
    screen.getByText(/204 °C is saved: .* 204 °F would be 95\.6 °C\. Is the scale in °F\?/)
    expect(written('temperature typed')).toHaveLength(6)
    await user.click(press('strike it out'))
    expect(written('struck')).toHaveLength(1)
    expect(screen.queryByText(/°C is saved:/)).toBeNull()
    await type(user, 'ninety')
    screen.getByText(/The reading/, { selector: '.invalid-feedback' })
    expect(written('temperature typed')).toHaveLength(6)
  })
  test('two keys pressed the wrong way round are asked about at once, and exchanged with what was read for them', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    await user.click(press('Tubes are in'))
    for (const text of ['92.0', '93.5']) {
      pass(60)
      await type(user, text)
    }
    const mark = async (key: string, text: string) => {
      act(() => {
        fireEvent.keyDown(document.body, { key })
      })
      await type(user, text)
      pass(60)
    }
    await mark('x', '94.0')
    await mark('s', '95.5')
    screen.getByText(/Tube 2 is all liquid before its first liquid\. Were the two keys swapped\?/)
    await user.click(press('Exchange the two marks of tube 2'))
    expect(screen.queryByText(/were the two keys swapped/)).toBeNull()
    const { view } = useNotebook.getState()
    const row = rangesOf(view, prepNamed('Benzil').id).at(-1)
    expect(row).toMatchObject({ slot: 2, onset: { text: '94.0' }, clear: { text: '95.5' }, trouble: null })
  })
  test('what melted as it went in has no onset, and says below what it began', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    await user.click(press('Tubes are in'))
    pass(60)
    await type(user, '76.0')
    for (const [key, text] of [
      ['a', '76.6'],
      ['z', '88.0'],
    ] as const) {
      act(() => {
        fireEvent.keyDown(document.body, { key })
      })
      await type(user, text)
      pass(60 * 10)
    }
    await user.click(press('melted as it went in'))
    const row = rangesOf(useNotebook.getState().view, prepNamed('Benzil').id).find(
      ({ onsetBelow }) => onsetBelow !== null,
    )
    expect(row).toMatchObject({
      onset: null,
      onsetBelow: { text: '76.6' },
      clear: { text: '88.0' },
      givenUp: 'it melted as it went in',
    })
    expect(row?.trouble).toMatch(/^Liquid as it went in, at 76\.6 °C: its onset is lower and not known/)
  })
  test('the run ends with both numbers of each tube or a reason', async () => {
    const { user, pass } = await ownRun()
    await startByEye(user)
    pass(30)
    act(() => {
      fireEvent.keyDown(document.body, { key: 'a' })
    })
    await user.click(press('End and cool'))
    screen.getByText(/Tube 1, Crude benzil: onset only/)
    expect(press('End with these reasons').hasAttribute('disabled')).toBe(true)
    await user.selectOptions(
      screen.getByRole('combobox', { name: 'why tube 1 has no range' }),
      'the clear point was missed',
    )
    await user.selectOptions(
      screen.getByRole('combobox', { name: 'why tube 2 has no range' }),
      'not melted at the stop temperature',
    )
    await user.click(press('End with these reasons'))
    expect(written('range given up')).toHaveLength(2)
    expect(written('run ended')).toHaveLength(1)
    screen.getByText(/No range: the clear point was missed/)
  })
  test('a setting of one’s own is written, and a note of a tube too', async () => {
    const { user } = await ownRun()
    await startByEye(user)
    const setting = screen.getByRole('textbox', { name: 'setting of the flame' })
    await user.type(setting, 'half{Enter}')
    expect(press('Set the flame').hasAttribute('disabled')).toBe(true)
    await user.clear(setting)
    await user.type(setting, '60{Enter}')
    screen.getByText('The flame goes from 0 to 6.')
    expect(written('run command')).toHaveLength(0)
    await user.clear(setting)
    await user.type(setting, '3.5')
    // Typed and set, with nothing between.
    await user.click(press('Set the flame to 3.5'))
    expect(written('run command').map(({ body }) => body)).toMatchObject([
      { command: { kind: 'dial', setting: 3.5 } },
    ])
    await user.click(press('tube 2'))
    await user.click(press('slush'))
    expect(written('tube noted').map(({ body }) => body)).toMatchObject([{ slot: 2, note: 'slush' }])
  })
})

describe('the dial while it runs', () => {
  async function dialRun() {
    const user = await planOn('dial-block')
    await user.click(press('Plan this melt'))
    const melt = meltsOf(useNotebook.getState().view).at(-1)
    const run = '0a5a1c7e-0000-4000-8000-0000000000f7' as RunId
    const standing = (reading: BlockReading | null) => ({
      id: run,
      melt: melt?.id as never,
      notebook: NOTEBOOK,
      pace: 1,
      reading,
    })
    server.command.mockResolvedValue(standing(null))
    const { write } = await import('../../ledger/notebook')
    const instrument = 'dial-block' as InstrumentId
    act(() => {
      stream.events?.connected(true)
      write({
        kind: 'run started',
        subject: melt?.id as never,
        body: { run, instrument, feed: 'simulated', simulation: null, blockC: 22, recorded: true },
      })
    })
    const listener = (sample: number, value: number, dial: number) => {
      act(() => {
        receiveReading({
          instrument: 'dial-block',
          ...standing({
            sample,
            atS: sample,
            probe: { text: value.toFixed(1), value },
            phase: 'heating',
            tubes: [],
            dial,
          }),
        })
      })
    }
    const turn = (atS: number, setting: number) => {
      act(() => {
        write({
          kind: 'run command',
          subject: melt?.id as never,
          body: { run, atS, command: { kind: 'dial', setting } },
        })
      })
    }
    return { user, hear: listener, turn, melt }
  }
  test('each turn is announced, and asked for when it is due; a press gives it to the instrument', async () => {
    const { user, hear: receive, turn } = await dialRun()
    receive(1, 22, 0)
    await screen.findByText('Turn the dial to 6 now.')
    await user.click(press('Turned the dial to 6'))
    expect(server.command.mock.calls[0]?.[2]).toEqual({ kind: 'dial', setting: 6 })
    turn(1, 6)
    for (let s = 2; s <= 62; s++) receive(s, 22 + (14 * s) / 60, 6)
    const next = screen.getByText(/^Next: [\d.]+ at \d+ °C, in about 1 min\.$/).textContent
    for (let s = 63; s <= 140; s++) receive(s, 22 + (14 * s) / 60, 6)
    screen.getByText(`Turn the dial to ${/[\d.]+/.exec(next)?.[0] ?? ''} now.`)
  })
  test('too fast in the window is said with the setting that mends it, and the corrected reading stands beside', async () => {
    const { hear, turn } = await dialRun()
    turn(1, 6)
    for (let s = 1; s <= 80; s++) hear(s, 88 + (4 * s) / 60, 6)
    await screen.findByText(/4\.0 °C\/min is too fast in the watch band: turn down to 3\.\d+ now\./)
    screen.getByText(/corrected 94\.\d °C/)
  })
})

test('tubes of the rack are planned together on the instrument chosen there', async () => {
  const tubes = rackOf(useNotebook.getState().view)
  const ids = tubes.map(({ entry }) => entry.id)
  const user = showAt(
    () => <MeltPage />,
    `/n/${NOTEBOOK}/melts/new?on=dial-block&tubes=${ids.slice(0, 2).join(',')}`,
    '/n/:notebook/melts/:melt',
  )
  expect(screen.getByRole('combobox', { name: 'instrument' })).toHaveProperty('value', 'dial-block')
  await user.click(press('Plan this melt'))
  expect(planned()[0]?.tubes.map(({ tube }) => tube)).toEqual(ids.slice(0, 2))
  // Planned, they have left the rack.
  expect(rackOf(useNotebook.getState().view).map(({ entry }) => entry.id)).toEqual(ids.slice(2))
  // Struck, the same tubes are planned anew where they were.
  await user.click(await screen.findByRole('button', { name: 'Strike out this plan' }))
  expect(await screen.findByRole('combobox', { name: 'instrument' })).toHaveProperty('value', 'dial-block')
  await user.click(press('Plan this melt'))
  expect(
    planned()
      .at(-1)
      ?.tubes.map(({ tube }) => tube),
  ).toEqual(ids.slice(0, 2))
})

test('a melt that is over leads back to where its tubes belong, and its marks can be struck still', async () => {
  const over = meltsOf(useNotebook.getState().view).find(({ run, marks }) => run?.ended && marks.length > 3)
  if (!over) throw new Error('The demo has a finished melt.')
  const user = showAt(() => <MeltPage />, `/n/${NOTEBOOK}/melts/${over.id}`, '/n/:notebook/melts/:melt')
  screen.getByRole('heading', { name: 'The result' })
  expect(screen.getByRole('link', { name: 'Back to Benzil, from benzoin' }).getAttribute('href')).toBe(
    `/n/${NOTEBOOK}/preps/${prepNamed('Benzil').id}`,
  )
  await user.click(press(/^Strike out all liquid of tube 2 at 96\.5 °C$/))
  expect(written('struck').map(({ body }) => body)).toMatchObject([{ reason: 'pressed by mistake' }])
  expect(screen.queryByRole('button', { name: /^Strike out all liquid of tube 2/ })).toBeNull()
})
