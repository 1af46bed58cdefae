import type { Page } from '@playwright/test'
import { withOwnPage } from './page'
import type { Row } from './table'

/** Counts what a person does: a press, a key, a field typed or a choice made is one each; looking and waiting are none. */
class Hand {
  readonly counts = new Map<string, number>()
  private station = ''
  constructor(
    readonly page: Page,
    private readonly at: string,
  ) {}

  /** What follows is done there. */
  goTo(station: string): void {
    this.station = station
  }
  private count(what: string | RegExp): void {
    if (process.env['TOUCHES_TOLD']) process.stderr.write(`${this.station}: ${String(what)}\n`)
    this.counts.set(this.station, (this.counts.get(this.station) ?? 0) + 1)
  }
  /** A button or link. */
  async press(name: string | RegExp): Promise<void> {
    this.count(name)
    const button = this.page.getByRole('button', { name }).or(this.page.getByRole('link', { name }))
    await button.first().click()
  }
  async key(key: string): Promise<void> {
    this.count(key)
    await this.page.keyboard.press(key)
  }
  async type(label: string | RegExp, text: string): Promise<void> {
    this.count(label)
    const field = this.page.getByLabel(label).first()
    await field.fill(text)
  }
  async choose(label: string | RegExp, value: string): Promise<void> {
    this.count(label)
    await this.page.getByRole('combobox', { name: label, exact: true }).first().selectOption(value)
  }
  async check(label: string | RegExp): Promise<void> {
    this.count(label)
    await this.page.getByLabel(label).first().check()
  }
  async wait(seconds: number, until?: object): Promise<Reading> {
    const response = await fetch(`${this.at}/api/instruments/programmable-block/advance`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ seconds, ...(until ? { until } : {}) }),
    })
    if (!response.ok) throw new Error(await response.text())
    const { reading } = (await response.json()) as { reading: Reading }
    // The page shows it before the next press.
    await this.page.getByTestId('block-temperature').filter({ hasText: reading.probe.text }).waitFor()
    return reading
  }
}
interface Reading {
  readonly probe: { readonly text: string }
  readonly phase: string
  readonly tubes: readonly { readonly look: string; readonly liquidFraction: number }[]
}

const SEEN = 0.22
const STEP_S = 5

/** Every tube of a run that has begun, marked at both ends by the fewest keys. */
async function watch(hand: Hand, tubes: number): Promise<void> {
  const keys = { 'first liquid': ['a', 's', 'd'], 'all liquid': ['z', 'x', 'c'] } as const
  const left = Array.from({ length: tubes }, (_, tube): { tube: number; moment: keyof typeof keys } => ({
    tube,
    moment: 'first liquid',
  }))
  while (left.length > 0) {
    const reading = await hand.wait(STEP_S)
    for (const one of [...left]) {
      const { look, liquidFraction } = reading.tubes[one.tube] ?? { look: '', liquidFraction: 0 }
      if (!(one.moment === 'first liquid' ? liquidFraction >= SEEN : look === 'clear')) continue
      await hand.key(keys[one.moment][one.tube] ?? '')
      left.splice(left.indexOf(one), 1)
      if (one.moment === 'first liquid') left.push({ tube: one.tube, moment: 'all liquid' })
    }
    if (reading.phase === 'cooling') throw new Error('It cooled before all was melted.')
  }
}

async function run(hand: Hand, tubes: number): Promise<void> {
  await hand.press(/^Plan this/)
  await hand.press('Start the simulated programmable block')
  // It goes up at once.
  await hand.page.waitForTimeout(1500)
  await hand.wait(3600, { phase: 'holding' })
  await hand.press(/^Tubes are in: go on at/)
  await hand.page.waitForTimeout(800)
  await watch(hand, tubes)
  await hand.press(/^End the run/)
}

/** Acetanilide from its first weighing to the signed page. */
async function prep(hand: Hand): Promise<void> {
  const { page } = hand
  const tick = () => hand.press(/^Tick: /)
  hand.goTo('begin')
  await hand.press('Begin a prep')
  await hand.type('compound to purify', 'acetanilide')
  await hand.type('bench code on every entry', 'bench 4')
  await hand.press('Begin this prep')
  hand.goTo('plan')
  await hand.type('net mass of the crude, g', '2.415')
  await hand.press(/^Record 2.415 g/)
  await hand.type('acetanilide in it, %', '92')
  await hand.choose('solvent', 'water')
  await hand.press('Use this plan')
  await hand.press('Go on to dissolve')
  hand.goTo('dissolve')
  await work(hand, tick, 'Go on to crystallize')
  hand.goTo('crystallize')
  await work(hand, tick, 'Go on to collect')
  hand.goTo('collect')
  await work(hand, tick, 'Go on to weigh')
  hand.goTo('weigh')
  await hand.type('net mass of the product, g', '1.944')
  await hand.press(/^Record 1.944 g/)
  await hand.press('Go on to melt')
  hand.goTo('melt')
  await run(hand, 2)
  hand.goTo('judge and page')
  await hand.press('Go on to judge')
  await hand.press('Sign this verdict')
  await hand.press('Go on to the page')
  await page.getByTestId('recovery').waitFor()
}

/** Less hot solvent is in than the plan needs to dissolve it: an honest hand adds on. */
async function isShort(page: Page): Promise<boolean> {
  const volumeText = await page.getByText(/mL hot, of/).innerText()
  const least = await page.locator('[data-next-step]').innerText()
  const inML = Number(/([\d.]+) mL hot, of/.exec(volumeText)?.[1])
  return inML < Number(/near ([\d.]+) mL/.exec(least)?.[1] ?? 0)
}

/** Portions, clocks and ticks of one station, in the order the screen asks for them. */
async function work(hand: Hand, tick: () => Promise<void>, onwards: string): Promise<void> {
  const { page } = hand
  for (let done = 0; done < 80; done++) {
    if (await page.getByRole('link', { name: onwards }).isVisible()) {
      await hand.press(onwards)
      return
    }
    const next = page.locator('[data-next-step]')
    const text = await next.innerText()
    const planned = next.getByRole('button', { name: /^(add the rest|Added).* mL$/ })
    const all = next.getByRole('button', { name: 'all dissolved' })
    const start = next.getByRole('button', { name: /^Start \d+ min/ })
    if ((await all.isVisible()) && !(await isShort(page))) await hand.press('all dissolved')
    else if (/in small portions/.test(text) && (await isShort(page))) {
      const name = await next
        .getByRole('button', { name: /^\+ [\d.]+ mL$/ })
        .last()
        .innerText()
      await hand.press(name)
      await next.getByRole('button', { name: 'less solid' }).waitFor()
    } else if (await planned.isVisible()) {
      const name = await planned.first().innerText()
      await hand.press(name)
      await page.getByRole('button', { name }).waitFor({ state: 'hidden' })
    } else if (await start.isVisible()) {
      await hand.press(/^Start \d+ min/)
      await start.waitFor({ state: 'hidden' })
    } else {
      const before = await page.getByRole('button', { name: /^Done at/ }).count()
      await tick()
      await page
        .getByRole('button', { name: /^Done at/ })
        .nth(before)
        .waitFor()
    }
  }
  throw new Error(`${onwards} never came.`)
}

/** An unknown from its vial to the opened answer: scouting, careful run, candidates, one mixture, signed. */
async function unknown(hand: Hand): Promise<void> {
  const { page } = hand
  hand.goTo('case')
  await hand.press('Unknowns')
  await hand.type('code on the vial', 'K-30')
  await hand.press('Open this case')
  hand.goTo('seal')
  await hand.type('what it is', 'adipic acid')
  await hand.press('Seal it')
  await page.getByText(/An answer is sealed/).waitFor()
  hand.goTo('scouting')
  await hand.press('Scouting run: pack a tube')
  await run(hand, 1)
  await hand.press(/^Back to unknown/)
  hand.goTo('careful')
  await hand.press('Careful run: pack tube')
  await run(hand, 1)
  await hand.press(/^Back to unknown/)
  hand.goTo('candidates')
  await hand.press(/^List \d+ compounds/)
  await page
    .getByText(/^Adipic acid|^adipic acid/)
    .first()
    .waitFor()
  await page
    .locator('b', { hasText: /^adipic acid$/ })
    .locator('xpath=../..')
    .getByRole('button', { name: 'I have an authentic sample' })
    .click()
  hand.counts.set('candidates', (hand.counts.get('candidates') ?? 0) + 1)
  hand.goTo('mixture')
  await hand.press('Choose a mixture')
  await hand.press(/^Pack 3 tubes/)
  await run(hand, 3)
  await hand.press(/^Back to unknown/)
  hand.goTo('sign')
  // Back from a mixture that told, the case stands at its last station.
  const asked = page.getByText('What is it?')
  await asked
    .or(page.getByRole('heading', { name: 'Results of the mixtures' }))
    .first()
    .waitFor()
  if (!(await asked.isVisible())) await hand.press('Sign')
  await hand.check(/^Adipic acid/)
  await hand.press('Sign this verdict')
  await hand.press('Open the sealed answer')
  await page.getByTestId('answer').waitFor()
}

/** The whole job by the fewest honest actions: how many presses, keys and fields each station asks for. */
export function measureTouches(): Promise<Row[]> {
  return withOwnPage(async (page, at) => {
    await page.goto(at)
    const hand = new Hand(page, at)
    const rows: Row[] = []
    for (const [job, play] of [
      ['prep to signed page', prep],
      ['unknown to opened answer', unknown],
    ] as const) {
      hand.counts.clear()
      await play(hand)
      const counts = [...hand.counts]
      const whole = counts.reduce((sum, [, count]) => sum + count, 0)
      for (const [station, count] of counts) rows.push(row(`touches, ${job}: ${station}`, count))
      rows.push(row(`touches, ${job}: in all`, whole))
    }
    return rows
  })
}

function row(what: string, count: number): Row {
  return { what, ours: String(count), bare: '', ratio: '', aim: '' }
}
