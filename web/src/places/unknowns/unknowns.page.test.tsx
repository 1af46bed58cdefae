import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, screen, within } from '@testing-library/react'
import type { MeltId, RunId, SampleId } from '@ivory-crystal/core/ids'
import {
  type Bodies,
  type Entry,
  nextId,
  openCase,
  type RawEntry,
  samplesNamed,
  type UnknownFacts,
  unknownOf,
  unknownsOf,
} from '@ivory-crystal/core/notebook'
import { NOTEBOOK, openDemo, server, showAt, useNotebook, written } from '../../testing/opened'

const { Unknowns } = await import('./Unknowns')
const { Case } = await import('./Case')
const { newSubject, write } = await import('../../ledger/notebook')
// The worker is not there: the page computes itself.
await import('../../workers/heavy')

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)

const press = (name: string | RegExp) => screen.getByRole('button', { name })
const k14 = () =>
  unknownsOf(useNotebook.getState().view).find(({ opened }) => opened.body.code === 'K-14') as UnknownFacts
const k9 = () =>
  unknownsOf(useNotebook.getState().view).find(({ opened }) => opened.body.code === 'K-9') as UnknownFacts
const showCase = (unknown: UnknownFacts, station: string) =>
  showAt(Case, `/n/${NOTEBOOK}/unknowns/${unknown.id}/${station}`, '/n/:notebook/unknowns/:unknown/:station?')
const authentic = (id: string) =>
  samplesNamed(useNotebook.getState().view).find(
    ({ role, compound }) => role === 'authentic' && compound?.id === id,
  )?.id as SampleId

/** A careful run of these samples, its marks copied in. */
function melted(
  tubes: readonly (readonly [SampleId, string, string])[],
  n = 1,
  calibration: Bodies['melt planned']['calibration'] = null,
): void {
  const [planned] = [...useNotebook.getState().view.subjects.values()].flatMap(
    ({ live }) => live['melt planned'] ?? [],
  )
  const body = planned?.body as Bodies['melt planned']
  const subject = `0a5a1c7e-0000-4000-8000-00000000080${n}` as MeltId
  const run = `0a5a1c7e-0000-4000-8000-00000000081${n}` as RunId
  write(
    {
      kind: 'melt planned',
      subject,
      body: {
        ...body,
        prep: null,
        calibration,
        tubes: tubes.map(([sample], i) => ({
          slot: i + 1,
          sample,
          label: `t${i}`,
          fillMm: 2,
          grain: 'fine',
        })),
      },
    },
    {
      kind: 'run started',
      subject,
      body: {
        run,
        instrument: body.instrument,
        feed: 'by hand',
        simulation: null,
        blockC: null,
        recorded: true,
      },
    },
    ...tubes.flatMap(([, onset, clear], i) =>
      (
        [
          ['first liquid', onset],
          ['all liquid', clear],
        ] as const
      ).map(([moment, text]) => ({
        kind: 'mark made' as const,
        subject,
        body: {
          run,
          slot: i + 1,
          moment,
          pressedAtS: 0,
          lastSample: 0,
          lastProbe: { text, value: Number(text) },
          from: 'instrument' as const,
        },
      })),
    ),
    { kind: 'run ended', subject, body: { run, atS: 0 } },
  )
}

describe('the cases', () => {
  test('each says what is next, and a new one needs a code', async () => {
    const user = showAt(Unknowns, `/n/${NOTEBOOK}/unknowns`, '/n/:notebook/unknowns')
    screen.getByText('Do a scouting run: heat fast for a rough value.')
    screen.getByText('Signed: Benzil')
    await user.click(press('Open this case'))
    expect(screen.getByRole('alert').textContent).toContain('such as K-14')
    await user.type(screen.getByLabelText('code on the vial'), ' K-20 ')
    await user.click(press('Open this case'))
    const [opened] = written('unknown opened').map(({ body }) => body as Bodies['unknown opened'])
    const [named] = written('sample named')
    expect(opened?.code).toBe('K-20')
    expect(opened?.sample).toBe(named?.subject)
  })
})

describe('what it could be', () => {
  test('before anything is melted the list stands without numbers, and a scouting run is the way on', async () => {
    showCase(k14(), 'candidates')
    screen.getByText(/no melting range yet/)
    expect(screen.getByTestId('chance of 1-naphthol').textContent).toBe('–')
    cleanup()
    const user = showCase(k14(), 'melt')
    screen.getByText('First a scouting run')
    await user.click(press('Scouting run: pack a tube'))
    expect(written('tube packed').map(({ subject }) => subject)).toEqual([k14().sample.id])
  })
  test('what it melts near is the corrected range, which stands in the ladder above', async () => {
    const calibrated = [...useNotebook.getState().view.subjects.values()].flatMap(
      ({ live }) => live['thermometer calibrated'] ?? [],
    )[0] as Entry<'thermometer calibrated'>
    const { coreVersion: _, restsOn: __, ...calibration } = calibrated.body
    melted([[k14().sample.id, '94.1', '95.4']], 1, {
      ...calibration,
      entry: calibrated.id,
      at: calibrated.at,
    })
    showCase(k14(), 'candidates')
    // 95.4 lies 3.4 of 58.8 past 92.0: 1 + 0.7·3.4/58.8 = 1.04, so 96.4.
    screen.getByText(/It was all liquid near 96 °C, corrected\./)
    expect(await screen.findAllByText('96.4')).not.toEqual([])
  })
  test('each candidate with its chance and why; one struck out by hand changes the others', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'candidates')
    const chance = () => screen.findByRole('img', { name: /^methyl 4-nitrobenzoate: [\d.]+ %$/ })
    const before = (await chance()).textContent
    expect(screen.getAllByText(/below that in the literature/).length).toBeGreaterThan(1)
    await user.click(press('Rule out 1-naphthol'))
    const button = screen.getAllByRole('button', { name: 'Rule out 1-naphthol' }).at(-1)
    expect(button).toHaveProperty('disabled', true)
    await user.type(screen.getByLabelText('reason to rule out'), 'ours is snow white')
    await user.click(screen.getAllByRole('button', { name: 'Rule out 1-naphthol' }).at(-1) as HTMLElement)
    screen.getByText('Ruled out: ours is snow white')
    expect((await chance()).textContent).not.toBe(before)
    expect(screen.queryByTestId('chance of 1-naphthol')).toBeNull()
    await user.click(press('Take it back'))
    expect(written('struck')).toHaveLength(1)
    await screen.findByTestId('chance of 1-naphthol')
  })
  test('an authentic sample comes to hand; the shelf’s window lists and refuses with a sentence', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'candidates')
    await user.click(press('I have an authentic sample'))
    expect(authentic('glutaric-acid')).toBeDefined()
    const from = screen.getByLabelText('from, °C')
    expect(from).toHaveProperty('value', '92')
    await user.clear(from)
    await user.type(from, '300')
    await user.click(press(/^List 0 compounds/))
    screen.getByText(/The lower end lies above the upper end/)
    await user.clear(from)
    await user.type(from, '95')
    await user.click(press(/^List \d+ compounds/))
    const [listed] = written('candidates listed').map(({ body }) => body as Bodies['candidates listed'])
    expect(listed?.from).toBe('the shelf')
    expect(listed?.candidates.every(({ meltHighC }) => meltHighC >= 95)).toBe(true)
  })
  test('an answer is sealed by the server; what it is stays out of the notebook', async () => {
    const made = openCase(newSubject, 'K-3', '')
    act(() => {
      write(...made.lines)
    })
    const opened = useNotebook.getState().view.subjects.get(made.id)?.lines[0] as RawEntry
    server.seal.mockResolvedValue({
      line: {
        ...opened,
        id: nextId(useNotebook.getState().view.latestId, opened.at, new Uint8Array(8)),
        kind: 'answer sealed',
        v: 1,
        body: { seal: '0a5a1c7e-0000-4000-9000-0000000000aa', commitment: 'ab'.repeat(32) },
      },
    })
    const fresh = () => unknownOf(useNotebook.getState().view, made.id) as UnknownFacts
    const user = showCase(fresh(), 'candidates')
    await user.click(press('Seal an answer (whoever hands it out)'))
    await user.type(screen.getByLabelText('what it is'), 'unobtainium')
    await user.click(press('Seal it'))
    screen.getByText('No compound on the shelf is called “unobtainium”.')
    await user.clear(screen.getByLabelText('what it is'))
    await user.type(screen.getByLabelText('what it is'), 'glutaric acid')
    await user.clear(screen.getByLabelText('purity, mol %'))
    await user.type(screen.getByLabelText('purity, mol %'), '12')
    await user.click(press('Seal it'))
    screen.getByText('Enter a purity from 50 to 100 mol %.')
    await user.clear(screen.getByLabelText('purity, mol %'))
    await user.type(screen.getByLabelText('purity, mol %'), '97')
    await user.click(press('Seal it'))
    expect(server.seal).toHaveBeenCalledWith(NOTEBOOK, made.id, 'glutaric-acid', 0.97)
    const [line] = written('answer sealed')
    expect(Object.keys(line?.body as object)).toEqual(['seal', 'commitment'])
    // The first stands: no second is offered.
    expect(screen.queryByRole('button', { name: /^Seal/ })).toBeNull()
  })
})

describe('mixtures', () => {
  test('the one that tells most is proposed with its outcomes, ground, packed as one set', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'mixtures')
    const form = await screen.findByRole('form', { name: 'Mixed melt' })
    expect(screen.getByText('most informative').getAttribute('title')).toMatch(/^\d\.\d\d bits$/)
    screen.getByRole('img', { name: /1-naphthol: \d+ to \d+ °C/ })
    await user.click(within(form).getByLabelText('weighed'))
    await user.click(within(form).getByRole('button', { name: 'Pack 3 tubes and plan the run' }))
    screen.getByRole('alert')
    expect(written('tube packed')).toHaveLength(0)
    await user.click(within(form).getByLabelText('equal parts by eye'))
    await user.click(within(form).getByRole('button', { name: 'Pack 3 tubes and plan the run' }))
    const sets = written('tube packed').map(({ body }) => (body as Bodies['tube packed']).set)
    expect(new Set(sets).size).toBe(1)
    expect(sets).toHaveLength(3)
    expect(written('mixture ground').map(({ body }) => body)).toEqual([
      { massFractionFirst: 0.5, by: 'eye', massesG: null },
    ])
  })
  test('two mixtures share a run when the authentic samples are left out', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'mixtures')
    await screen.findByRole('form', { name: 'Mixed melt' })
    for (const box of screen.getAllByRole('checkbox', { name: /^with (1-naphthol|methyl|triphenyl)/ })) {
      const wanted = !box.id.includes('triphenyl')
      if ((box as HTMLInputElement).checked !== wanted) await user.click(box)
    }
    await user.click(screen.getByLabelText(/^authentic sample beside it/))
    await user.click(press('Pack 3 tubes and plan the run'))
    expect(written('mixture ground')).toHaveLength(2)
  })
  test('what they said stands beside the probability; a disagreement is explained', async () => {
    const [sample, naphthol, mixture] = [
      k14().sample.id,
      authentic('1-naphthol'),
      '0a5a1c7e-0000-4000-8000-000000000899' as SampleId,
    ]
    write(
      {
        kind: 'sample named',
        subject: mixture,
        body: {
          prep: null,
          role: 'mixture',
          label: 'K-14 + 1-naphthol',
          compound: null,
          of: [sample, naphthol],
        },
      },
      {
        kind: 'mixture ground',
        subject: mixture,
        body: { massFractionFirst: 0.5, by: 'eye', massesG: null },
      },
    )
    melted([
      [sample, '93.6', '94.8'],
      [naphthol, '95.0', '96.1'],
      [mixture, '58.0', '76.0'],
    ])
    showCase(k14(), 'mixtures')
    expect(screen.getByTestId('mixed with 1-naphthol').textContent).toBe('A different compound.')
    await screen.findByText(/With all the evidence, the probability of 1-naphthol is/)
  })
})

describe('signing', () => {
  test('what was not mixed is asked about; the verdict keeps what it rests on', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'sign')
    await user.click(await screen.findByLabelText(/^1-naphthol/))
    screen.getByText(/No mixed melt with this one has been made/)
    screen.getByText(/With everything measured, its probability is only/)
    await user.click(screen.getByLabelText(/^Cannot be decided/))
    await user.click(press('Sign this verdict'))
    const [signed] = written('unknown signed').map(({ body }) => body as Bodies['unknown signed'])
    expect(signed?.answer).toEqual({ is: 'cannot tell' })
    expect(signed?.ranked).toHaveLength(5)
    expect(signed?.restsOn.length).toBeGreaterThan(3)
    expect(screen.getByTestId('verdict').textContent).toBe('Cannot be decided')
    // The case is a page of its own to hand in: its candidates as they stood, and all that was done.
    press('Print this case')
    expect(screen.getAllByRole('row', { name: /^methyl 4-nitrobenzoate / })).toHaveLength(1)
    screen.getByRole('heading', { name: 'What was done' })
    const log = screen.getAllByRole('listitem').map(({ textContent }) => textContent ?? '')
    expect(log.some((line) => line.includes('K-14'))).toBe(true)
    expect(log.at(-1)).toMatch(/Signed|signed/)
  })
  test('the answer of a signed case opens, and one that disagrees says where to look', async () => {
    melted([[k14().sample.id, '93.6', '94.8']])
    const user = showCase(k14(), 'sign')
    await user.click(await screen.findByLabelText(/^Not on the list/))
    await user.click(press('Sign this verdict'))
    act(() => {
      useNotebook.setState({ waiting: 0 })
    })
    server.openSeal.mockRejectedValueOnce(new Error('The server cannot be reached.'))
    await user.click(await screen.findByRole('button', { name: 'Open the sealed answer' }))
    expect(screen.getByRole('alert').textContent).toContain('cannot be reached')
    const sealed = k14().sealed as Entry<'answer sealed'>
    server.openSeal.mockResolvedValue({
      line: {
        ...sealed,
        id: nextId(useNotebook.getState().view.latestId, sealed.at, new Uint8Array(8)),
        kind: 'answer opened',
        v: 1,
        body: {
          seal: sealed.body.seal,
          compound: 'methyl-4-nitrobenzoate',
          name: 'methyl 4-nitrobenzoate',
          salt: '00'.repeat(32),
        },
      },
    })
    act(() => {
      useNotebook.setState({ waiting: 0 })
    })
    await user.click(press('Open the sealed answer'))
    expect((await screen.findByTestId('answer')).textContent).toBe('Methyl 4-nitrobenzoate.')
    screen.getByText(/Your verdict is different/)
  })
  test('the solved one of the demo: signed, agreed, and struck again if need be', async () => {
    const user = showCase(k9(), 'sign')
    screen.getByText('Your verdict agrees.')
    await user.click(press('Strike out this verdict'))
    expect(k9().signed).toBeNull()
  })
})

describe('two standards', () => {
  test('a proportion is ground by mass, laid on the map, and packed', async () => {
    const user = showAt(Unknowns, `/n/${NOTEBOOK}/unknowns?show=Two+standards`, '/n/:notebook/unknowns')
    screen.getByText('Choose two authentic samples to begin.')
    await user.selectOptions(screen.getByLabelText('standard A'), authentic('1-naphthol'))
    await user.selectOptions(screen.getByLabelText('standard B'), authentic('methyl-4-nitrobenzoate'))
    await user.type(screen.getByLabelText('1-naphthol, g'), '0.010')
    await user.click(press('Grind it'))
    expect(screen.getByRole('alert').textContent).toContain('The mass of methyl 4-nitrobenzoate')
    await user.type(screen.getByLabelText('methyl 4-nitrobenzoate, g'), '0.030')
    await user.click(press('Grind it'))
    screen.getByText('25 : 75 by mass')
    screen.getByRole('img', {
      name: /^Phase map of 1-naphthol and methyl 4-nitrobenzoate: eutectic at 63\.\d/,
    })
    await user.click(press('Pack 3 tubes for the rack'))
    expect(written('tube packed')).toHaveLength(3)
  })
})

test('the class shows this notebook alone until another is imported', async () => {
  showAt(Unknowns, `/n/${NOTEBOOK}/unknowns?show=The+class`, '/n/:notebook/unknowns')
  await screen.findByText(/Mean of 3/)
  screen.getByText(/Only this notebook is here/)
})

test('a case that is not there says so', () => {
  showAt(Case, `/n/${NOTEBOOK}/unknowns/nowhere/melt`, '/n/:notebook/unknowns/:unknown/:station?')
  screen.getByText('No such case')
})
