import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import {
  codeOf,
  forTubes,
  type MadeExercise,
  type PracticeDone,
  solventExercise,
  verdictExercise,
  weighExercise,
  wrongExercise,
} from '@ivory-crystal/core/practice'
import { DEFAULT_HOUSE_RULES } from '@ivory-crystal/core/conventions'
import { houseRulesOf } from '@ivory-crystal/core/notebook'
import { practiceFileText } from '@ivory-crystal/core/practice/files'
import { NOTEBOOK, openDemo, SHELF, showAt, useNotebook, written } from '../../testing/opened'

const { Practice } = await import('./Practice')
const { Exercise } = await import('./Exercise')
const { GivenExercise } = await import('./GivenExercise')
const { PracticalPage } = await import('./PracticalPage')
const { ForInstructors } = await import('./ForInstructors')
const { keepPractical } = await import('./practicals')
// Every player is fetched before the first is wanted.
await import('./players/LensPlayer')
await import('./players/DialPlayer')
await import('./players/FlamePlayer')
await import('./players/DissolvePlayer')
await import('./players/BalancePlayer')
await import('./players/VerdictPlayer')
await import('./players/MixturePlayer')
await import('./players/OrderPlayer')
await import('./players/WrongPlayer')
await import('./players/SolventPlayer')

beforeEach(async () => {
  localStorage.clear()
  await openDemo()
})
afterEach(cleanup)

const at = `/n/${NOTEBOOK}/practice`
const exercise = (slug: string, asked = '') =>
  showAt(Exercise, `${at}/${slug}${asked}`, '/n/:notebook/practice/:exercise')
const done = () => written('practice done').map(({ body }) => body as PracticeDone)
const answer = (name: 'Good' | 'Not yet') => screen.findByRole('heading', { name })
const button = (name: string | RegExp) => screen.getByRole('button', { name })
const rules = () => houseRulesOf(useNotebook.getState().view, SHELF.houseRules) ?? DEFAULT_HOUSE_RULES
/** Until the simulated instrument has been heard. */
const heardSounds = () =>
  waitFor(() => {
    expect(screen.getByTestId('block-temperature').textContent).toMatch(/^\d+\.\d°C$/)
  })

describe('the place', () => {
  test('says what is next and why, one’s own eye, and how every exercise stands', async () => {
    showAt(Practice, at, '/n/:notebook/practice')
    const next = within(await screen.findByRole('region', { name: 'It starts early' }))
    next.getByText(/fifth of five before the first real prep/)
    expect(next.getByRole('link', { name: 'Begin' }).getAttribute('href')).toBe(`${at}/it-starts-early`)
    screen.getByText(/nothing here enters a prep, an unknown or a page/)
    const eye = within(screen.getByRole('region', { name: /^Your eye, over 13 tubes$/ }))
    expect(eye.getByRole('img').getAttribute('aria-label')).toMatch(
      /13 tubes; first liquid \d\.\d °C early on average/,
    )
    expect(screen.getAllByRole('listitem').length).toBeGreaterThanOrEqual(14)
    within(screen.getByRole('link', { name: 'The flame' }).closest('li') as HTMLElement).getByText(
      'not tried',
    )
  })
  test('an address that is none says so', () => {
    exercise('nothing-of-the-sort')
    screen.getByText(/no exercise with that name/)
  })
})

describe('at the lens', () => {
  test('keys mark, one can be struck, and what was pressed too early is told beside what it was', async () => {
    const user = exercise('three-at-once', '?seed=11')
    await screen.findByRole('group', { name: 'Mark pad' })
    await heardSounds()
    await user.keyboard('asx')
    expect(screen.getAllByText('strike out')).toHaveLength(3)
    await user.keyboard('a')
    screen.getByText(/“first liquid” of tube 1 is marked at/)
    await user.keyboard('{Backspace}')
    expect(screen.getAllByText('strike out')).toHaveLength(2)
    await user.click(button('I have seen enough'))
    await answer('Not yet')
    screen.getByText(/^Tube \d: /, { selector: '[role=status]' })
    expect(screen.getAllByRole('row')).toHaveLength(7)
    const [line] = done()
    expect(line).toMatchObject({ exercise: 'three at once', seed: 11, level: 1, isGood: false, code: null })
    expect(line?.tubes).toHaveLength(3)
    expect(line?.tubes[0]?.firstErrorC).toBeLessThan(-2)
    expect(line?.tubes[2]).toEqual({ firstErrorC: null, allErrorC: null })
    await user.click(button('The same again'))
    await heardSounds()
    screen.getByRole('heading', { name: 'Last time' })
    screen.getByRole('heading', { name: 'Your eye, over 16 tubes' })
  })
  test('two keys pressed the wrong way round are asked about, and exchanged', async () => {
    const user = exercise('three-at-once', '?seed=11')
    await screen.findByRole('group', { name: 'Mark pad' })
    await heardSounds()
    const shownC = () => screen.getByTestId('block-temperature').textContent
    await user.keyboard('z')
    const before = shownC()
    await waitFor(() => {
      expect(shownC()).not.toBe(before)
    })
    await user.keyboard('a')
    await user.click(button('Exchange the two marks of tube 1'))
    expect(screen.queryByText(/were the two keys swapped/)).toBeNull()
    await user.click(button('I have seen enough'))
    await screen.findByRole('heading', { name: /^(Good|Not yet)$/ })
    const { firstErrorC, allErrorC } = done()[0]?.tubes[0] ?? {}
    expect(typeof firstErrorC).toBe('number')
    expect(typeof allErrorC).toBe('number')
  })
  test('small jobs come while a crude is watched, and are answered beside it', async () => {
    const user = exercise('it-starts-early', '?seed=4')
    const asked = await screen.findByLabelText(/in g\?|all digits/)
    // A moment that comes while a number is being typed is not lost to the field.
    await user.type(asked, 's')
    expect(asked).toHaveProperty('value', '')
    screen.getByText('strike out')
    await user.type(asked, '1.000')
    await user.click(button('Write it down'))
    await screen.findByText('No other work just now.')
    await user.click(button('I have seen enough'))
    await answer('Not yet')
    expect(screen.getByRole('row', { name: /small jobs right/ }).textContent).toContain('off')
  })
})

describe('heated by hand', () => {
  test('the dial turns by key and button, and a block that never came there is told', async () => {
    const user = exercise('the-dial', '?seed=2')
    await screen.findByRole('group', { name: 'dial' })
    await user.keyboard('{ArrowRight}{ArrowUp}')
    expect(screen.getByLabelText('setting of the dial')).toHaveProperty('value', '1.25')
    await user.click(button('dial down by 0.25'))
    expect(screen.getByLabelText('setting of the dial')).toHaveProperty('value', '1')
    await user.clear(screen.getByLabelText('setting of the dial'))
    await user.type(screen.getByLabelText('setting of the dial'), '99{Enter}')
    expect(screen.getByRole('alert').textContent).toBe('The dial goes from 0 to 10.')
    await user.clear(screen.getByLabelText('setting of the dial'))
    await user.type(screen.getByLabelText('setting of the dial'), '1{Enter}')
    await heardSounds()
    await user.click(button('Stop here'))
    await answer('Not yet')
    screen.getByText(/never came to 87 °C/)
  })
  test('the flame: pressed, read late and taken back; what is no temperature is refused with nothing lost', async () => {
    const user = exercise('the-flame', '?seed=3')
    await screen.findByRole('group', { name: 'flame' })
    await waitFor(() => {
      expect(button(/^first liquid/).hasAttribute('disabled')).toBe(false)
    })
    await user.keyboard('s')
    screen.getByText(/^first liquid, pressed \d+:\d\d ago: what does it read\?$/)
    const field = screen.getByLabelText('read off the thermometer, °C')
    await waitFor(() => {
      expect(document.activeElement).toBe(field)
    })
    await user.keyboard('hot')
    await user.click(button(/^Record/))
    await screen.findByRole('alert')
    expect(field).toHaveProperty('value', 'hot')
    await user.clear(field)
    await user.type(field, '860{Enter}')
    await screen.findByText('The thermometer goes from 0 to 200 °C.')
    await user.clear(field)
    await user.type(field, '86.5')
    await user.click(button('Record 86.5 °C'))
    await screen.findByText(/first liquid: 86.5 °C, read \d+ s after the press/)
    // The cursor stands in the field, and the moment is not lost to it; what was pressed too soon is struck.
    field.focus()
    await user.keyboard('x')
    await screen.findByText(/^all liquid, pressed/)
    screen.getByLabelText('read off the thermometer, °C').blur()
    await user.keyboard('{Backspace}')
    await waitFor(() => {
      expect(screen.queryByText(/^all liquid, pressed/)).toBeNull()
    })
    await user.click(button('I have seen enough'))
    await answer('Not yet')
    expect(
      screen.getByRole('row', { name: /all liquid, corrected back to the press/ }).textContent,
    ).toContain('not read')
    expect(done()[0]?.tubes).toEqual([])
  })
})

describe('hands', () => {
  test('hot portions: poured by key, called too soon, told what was still solid', async () => {
    const user = exercise('just-dissolved', '?seed=2')
    await screen.findByRole('region', { name: 'Flask' })
    expect(button('All is dissolved').hasAttribute('disabled')).toBe(true)
    await user.keyboard('3p')
    screen.getByText('2.0 mL')
    screen.getByRole('img', { name: /^Simulated flask on the hot plate: / })
    await user.click(button('All is dissolved'))
    await answer('Not yet')
    screen.getByText(/was still solid when you stopped/, { selector: '[role=status]' })
  })
  test('the balance: what lies in the boat, with all its digits', async () => {
    const { crystalsG, boat2G } = weighExercise(5, 3)
    const user = exercise('the-balance', '?seed=5&level=3')
    await screen.findByRole('region', { name: 'Simulated balance' })
    await user.click(button('boat 2 with crystals'))
    await waitFor(() => {
      expect(Number(screen.getByTestId('practice-balance').textContent)).toBeGreaterThan(
        boat2G + crystalsG - 0.01,
      )
    })
    await user.keyboard('b')
    screen.getByText('boat 2 with crystals', { selector: 'li *' })
    await user.type(screen.getByLabelText('Crystals, in g'), crystalsG.toFixed(3))
    await user.click(button('Write it down'))
    await answer('Good')
    expect(done()[0]).toMatchObject({ isGood: true, share: 1, level: 3, seed: 5 })
  })
})

describe('heads', () => {
  test('a range: verdict, cause and next step, then the judge’s reasoning beside it', async () => {
    const { judgement, cause } = verdictExercise(forTubes(SHELF.compounds), 8, 2, rules())
    const user = exercise('what-does-it-say', '?seed=8&level=2')
    await screen.findByRole('group', { name: 'Verdict' })
    expect(button('This is my verdict').hasAttribute('disabled')).toBe(true)
    await user.click(screen.getByRole('radio', { name: judgement.verdict }))
    await user.click(screen.getByRole('radio', { name: cause }))
    await user.click(screen.getByRole('radio', { name: judgement.actions[0]?.code ?? 'sign' }))
    await user.click(button('This is my verdict'))
    await answer('Good')
    screen.getByRole('heading', { name: 'How the judge reasons' })
    for (const { sentence } of judgement.budget) expect(screen.getAllByText(sentence)).not.toHaveLength(0)
  })
  test('an unknown among six is not asked of a shelf that has not six', async () => {
    exercise('which-mixture', '?seed=1')
    await screen.findByText(/does not have six compounds that melt near each other/)
  })
  test('a period is put in order by its arrows, and held against the best', async () => {
    const user = exercise('out-on-time', '?seed=2&level=1')
    await screen.findByRole('heading', { name: 'Hands-on tasks' })
    const finishText = () => screen.getByText(/In this order you finish after/).textContent
    const before = finishText()
    for (let i = 0; i < 3; i++) await user.click(button('Set up the suction for benzil: sooner'))
    expect(finishText()).not.toBe(before)
    await user.click(await screen.findByRole('button', { name: 'Use this order' }))
    await answer('Not yet')
    screen.getByRole('heading', { name: 'The shortest order' })
    expect(done()[0]?.share).toBeLessThan(1)
  })
  test('what is wrong: each found for its reason', async () => {
    const { lines } = wrongExercise(1, 2)
    const user = exercise('what-is-wrong-here', '?seed=1&level=2')
    await screen.findByText(/Mark what is wrong/)
    button('Nothing is wrong here')
    for (const { text, mistake } of lines) {
      if (!mistake) continue
      await user.click(button(new RegExp(text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&'))))
      const [because, instead] = [
        screen.getAllByRole('radio', { name: mistake.because }),
        screen.getAllByRole('radio', { name: mistake.instead }),
      ]
      // The line just opened is the one whose choice is not made yet.
      for (const radio of [...because, ...instead]) await user.click(radio)
    }
    for (const { text, mistake } of lines) {
      if (!mistake) continue
      const line = button(new RegExp(text.replaceAll(/[.*+?^${}()|[\]\\]/g, '\\$&')))
        .parentElement as HTMLElement
      await user.click(within(line).getByRole('radio', { name: mistake.because }))
      await user.click(within(line).getByRole('radio', { name: mistake.instead }))
    }
    await user.click(button('Those are all'))
    await answer('Good')
  })
  test('a solvent by its letter, and how the ranking has them', async () => {
    const best = solventExercise(1, 3).ranked[0]?.letter ?? ''
    const user = exercise('choose-the-solvent', '?seed=1&level=3')
    await screen.findByRole('region', { name: 'Curves' })
    await user.keyboard(best.toLowerCase())
    await answer('Good')
    screen.getByRole('heading', { name: 'The ranking' })
  })
})

describe('made by an instructor', () => {
  const BENZIL: MadeExercise = {
    compound: 'benzil',
    impurity: null,
    impurityPercent: 0,
    fillMm: 2,
    grain: 'fine',
    instrument: 'programmable block',
    rateCPerMin: 1,
    minutes: 0,
    seed: 77,
  }
  test('a code is opened, done, and counts for the eye alone; a damaged one gets a sentence', async () => {
    const user = showAt(GivenExercise, `${at}/made/${codeOf(BENZIL)}`, '/n/:notebook/practice/made/:code')
    await heardSounds()
    await user.keyboard('s')
    await user.click(button('I have seen enough'))
    await answer('Not yet')
    screen.getByText('Tube 2: benzil, pure', { exact: false })
    expect(done()[0]).toMatchObject({ code: codeOf(BENZIL), practical: null })
    cleanup()
    showAt(GivenExercise, `${at}/made/ABC`, '/n/:notebook/practice/made/:code')
    expect((await screen.findByRole('alert')).textContent).toContain('this has 3')
  })
  test('a practical: one try a tube, sealed until all is handed in, then a sheet', async () => {
    const practical = {
      id: 'week-3',
      title: 'Week 3',
      tubes: [codeOf(BENZIL), codeOf({ ...BENZIL, seed: 78 })],
    }
    keepPractical(practical)
    const user = showAt(
      PracticalPage,
      `${at}/practicals/week-3`,
      '/n/:notebook/practice/practicals/:practical',
    )
    await user.click((await screen.findAllByRole('button', { name: 'Begin its one try' }))[0] as HTMLElement)
    await heardSounds()
    await user.keyboard('s')
    await user.click(button('I have seen enough'))
    await screen.findByText('done, sealed')
    expect(screen.queryByText(/°C later/)).toBeNull()
    await user.click(button('Hand in anyway'))
    screen.getByText('Hand it in? 1 of 2 tubes count as not marked.')
    await user.click(button('Yes'))
    await user.click(await screen.findByRole('button', { name: 'Make the sheet' }))
    screen.getByText(/Enter who hands it in/)
    await user.type(screen.getByLabelText('bench or number'), 'bench 7')
    await user.click(button('Make the sheet'))
    const rows = await screen.findAllByRole('row')
    expect(rows).toHaveLength(3)
    expect(rows[1]?.textContent).toMatch(/Week 3bench 7.*1\d\d\.\d\d\d\.\d-\d\.\d/)
    expect(done().map(({ practical: of }) => of)).toEqual([
      { id: 'week-3', tube: 0, of: 2 },
      { id: 'week-3', tube: 1, of: 2 },
    ])
    expect(screen.queryByRole('button', { name: 'Begin its one try' })).toBeNull()
  })
  test('a try that was left is not begun again', async () => {
    const practical = { id: 'week-4', title: 'Week 4', tubes: [codeOf(BENZIL)] }
    keepPractical(practical)
    const open = () =>
      showAt(PracticalPage, `${at}/practicals/week-4`, '/n/:notebook/practice/practicals/:practical')
    await open().click(await screen.findByRole('button', { name: 'Begin its one try' }))
    await heardSounds()
    cleanup()
    open()
    await screen.findByText('begun and left: not marked')
    expect(screen.queryByRole('button', { name: 'Begin its one try' })).toBeNull()
  })
  test('a shelf without the compounds of the exercises says so, and breaks nothing', async () => {
    cleanup()
    await openDemo({ ...SHELF, compounds: SHELF.compounds.slice(0, 1) })
    exercise('three-at-once', '?seed=11')
    screen.getByText(/too few of the compounds that the exercises use/)
  })
  test('an exercise is made, and what the class handed in is drawn and listed', async () => {
    const user = showAt(ForInstructors, `${at}/for-instructors`, '/n/:notebook/practice/for-instructors')
    await user.selectOptions(screen.getByLabelText('impurity'), 'benzoin')
    fireEvent.change(screen.getByLabelText('mol %'), { target: { value: '90' } })
    await user.click(button('Make its code'))
    expect((await screen.findByRole('alert')).textContent).toContain('up to 50')
    fireEvent.change(screen.getByLabelText('mol %'), { target: { value: '8' } })
    await user.click(button('Make its code'))
    expect((await screen.findByTestId('made-code')).textContent).toMatch(/^(\w{5}-){3}\w{5}$/)
    screen.getByText('benzil with 8 mol % of benzoin', { exact: false })
    const sheet = (learner: string, firstErrorC: number) =>
      new File(
        [
          practiceFileText({
            kind: 'results',
            results: {
              practical: 'week-3',
              title: 'Week 3',
              learner,
              handedInAtMs: 1_795_528_800_000,
              tubes: [
                {
                  firstC: 94,
                  allC: 95,
                  wasFirstC: 94 - firstErrorC,
                  wasAllC: 95,
                  firstErrorC,
                  allErrorC: 0,
                  tookS: 60,
                },
              ],
            },
          }),
        ],
        `${learner}.json`,
      )
    await user.upload(screen.getByLabelText('Results handed in'), [
      sheet('bench 10', -1),
      sheet('bench 7', -0.5),
      new File(['{'], 'broken.json'),
    ])
    await screen.findByRole('heading', { name: 'The class, 2 sheets' })
    expect(screen.getByRole('img', { name: /^The class: 2 tubes/ })).toBeTruthy()
    expect(screen.getAllByRole('row').map((row) => row.textContent?.includes('bench'))).toEqual([
      false,
      true,
      true,
    ])
    expect(screen.getByRole('alert').textContent).toContain('“broken.json” cannot be read')
  })
})
