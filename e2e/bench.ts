import { expect, type Locator, test as base, type Page } from '@playwright/test'
import { BenchServer } from './server'

interface Reading {
  readonly sample: number
  readonly probe: { readonly text: string; readonly value: number }
  readonly phase: string
  readonly tubes: readonly { readonly look: string; readonly liquidFraction: number }[]
}

/** Whichever of these comes first; `tube` counts the planned tubes from 0. */
interface Until {
  readonly phase?: string
  readonly probeC?: number
  readonly tube?: number
  readonly liquid?: number
  readonly look?: string
  readonly not?: string
}

/** A fresh notebook on a server, with its instruments cold. */
export class Bench {
  private constructor(
    private readonly server: BenchServer,
    readonly notebook: string,
  ) {}

  /** The notebook a server starts with. */
  static async first(server: BenchServer): Promise<Bench> {
    const { notebooks } = (await (await fetch(`${server.origin}/api/notebooks`)).json()) as {
      notebooks: { id: string }[]
    }
    return new Bench(server, notebooks[0]?.id ?? '')
  }

  static async fresh(server: BenchServer, demo: boolean): Promise<Bench> {
    const response = await fetch(`${server.origin}/api/testing/notebooks`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ demo }),
    })
    if (!response.ok) throw new Error(await response.text())
    return new Bench(server, ((await response.json()) as { id: string }).id)
  }

  /** Where the server answers. */
  get origin(): string {
    return this.server.origin
  }
  /** Where the notebook is. */
  get url(): string {
    return `${this.origin}/n/${this.notebook}`
  }
  kill(): Promise<void> {
    return this.server.kill()
  }
  start(): Promise<void> {
    return this.server.start()
  }
  moveTo(folder?: string): Promise<string> {
    return this.server.moveTo(folder)
  }

  /** Lets instrument time pass, and gives the last reading. */
  async pass(seconds: number, instrument = 'programmable-block', until?: Until): Promise<Reading> {
    const response = await fetch(`${this.origin}/api/instruments/${instrument}/advance`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ seconds, ...(until ? { until } : {}) }),
    })
    if (!response.ok) throw new Error(await response.text())
    return ((await response.json()) as { reading: Reading }).reading
  }

  /** Lets time pass until something has come, an hour at most. */
  async passUntil(until: Until, instrument = 'programmable-block'): Promise<Reading> {
    const reading = await this.pass(3600, instrument, until)
    const tube = until.tube === undefined ? undefined : reading.tubes[until.tube]
    const come =
      reading.phase === until.phase ||
      (until.probeC !== undefined && reading.probe.value >= until.probeC) ||
      (tube !== undefined &&
        (tube.look === until.look ||
          (until.not !== undefined && tube.look !== until.not) ||
          (until.liquid !== undefined && tube.liquidFraction >= until.liquid)))
    if (!come) throw new Error(`It did not come to ${JSON.stringify(until)}: ${JSON.stringify(reading)}`)
    return reading
  }

  /** Lets the simulated balance come to rest, and gives what it shows. */
  async settleBalance(): Promise<string> {
    for (let waited = 0; waited < 120; waited += 6) {
      const response = await fetch(`${this.origin}/api/balance/advance`, {
        method: 'POST',
        headers: { 'Content-Type': 'application/json' },
        body: JSON.stringify({ seconds: 6 }),
      })
      const { reading } = (await response.json()) as {
        reading: { stable: boolean; display: { text: string } }
      }
      if (reading.stable) return reading.display.text
    }
    throw new Error('The balance did not come to rest.')
  }

  async entries(): Promise<
    { seq: number; entry: { id: string; kind: string; body: Record<string, unknown> } }[]
  > {
    const path = `/api/notebooks/${this.notebook}/entries`
    return ((await (await fetch(this.origin + path)).json()) as { entries: never[] }).entries
  }
}

/**
 * Tests get a fresh notebook, the demo's or an empty one, on the server of their worker. One that kills its server,
 * or changes the shelf, says `test.use({ apart: true })` and gets a server of its own.
 */
export const test = base.extend<
  { apart: boolean; demo: Bench; own: Bench },
  { demoServer: BenchServer; ownServer: BenchServer }
>({
  apart: [false, { option: true }],
  // eslint-disable-next-line no-empty-pattern -- Playwright reads what a fixture needs from its first parameter
  demoServer: [({}, use) => serving(true, use), { scope: 'worker' }],
  // eslint-disable-next-line no-empty-pattern -- as above
  ownServer: [({}, use) => serving(false, use), { scope: 'worker' }],
  demo: async ({ apart, demoServer }, use) => {
    if (apart) await serving(true, async (server) => use(await Bench.first(server)))
    else await use(await Bench.fresh(demoServer, true))
  },
  own: async ({ apart, ownServer }, use) => {
    if (apart) await serving(false, async (server) => use(await Bench.first(server)))
    else await use(await Bench.fresh(ownServer, false))
  },
})

async function serving(demo: boolean, use: (server: BenchServer) => Promise<void>): Promise<void> {
  const server = await BenchServer.open(demo)
  await use(server)
  await server.close()
}
export { expect }

/** Opens a prep of the list; a click that fell between two layouts of a page still being drawn is made again. */
export async function openPrepNamed(page: Page, name: string): Promise<void> {
  const isThere = (url: URL) => url.pathname.includes('/preps/')
  await expect(async () => {
    if (isThere(new URL(page.url()))) return
    // Short looks of one try: the tries go on.
    await page.getByRole('link', { name }).click({ timeout: 10_000 })
    await page.waitForURL(isThere, { timeout: 10_000 })
  }).toPass()
}

/** Goes to a station; the one before stands until the chunk of this one is there. */
export async function station(page: Page, name: string): Promise<void> {
  const link = page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name })
  await link.click()
  await page.waitForURL(`**/${name.toLowerCase()}`)
  await expect(link).toHaveAttribute('aria-current', 'step')
}

/** Nothing is being fetched or worked out any more, and what stands has been drawn. */
export async function idle(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy="true"]')).toHaveCount(0)
  await page.evaluate(
    () =>
      new Promise((drawn) => {
        requestAnimationFrame(() => requestAnimationFrame(drawn))
      }),
  )
}

/** Ticks the step that is next. */
export const tickNext = (page: Page) =>
  page
    .getByRole('button', { name: /^Tick: / })
    .first()
    .click()

/** How many commands the runs of this notebook were given. */
const commandsOf = async (bench: Bench) =>
  (await bench.entries()).filter(({ entry }) => entry.kind === 'run command').length

/** Starts the planned melt on the simulated programmable block, which goes up at once, and waits until it holds. */
export async function heatUp(page: Page, bench: Bench): Promise<void> {
  const before = await commandsOf(bench)
  await page.getByRole('button', { name: 'Start the simulated programmable block' }).press('Enter')
  await expect.poll(() => commandsOf(bench)).toBe(before + 1)
  await bench.passUntil({ phase: 'holding' })
}

/** The tubes go in, and with them the slow part begins. */
export async function tubesIn(page: Page, bench: Bench): Promise<void> {
  const before = await commandsOf(bench)
  await page.getByRole('button', { name: /^Tubes are in: go on at/ }).press('Enter')
  await expect.poll(() => commandsOf(bench)).toBe(before + 2)
}

/** Plans a melt of the demo's finished prep, with default tubes, and brings the block to the start of its ramp. */
export async function rampDemo(page: Page, bench: Bench): Promise<void> {
  await page.goto(bench.url)
  await openPrepNamed(page, 'Benzil, from benzoin')
  await station(page, 'Melt')
  await page.getByRole('button', { name: 'Plan this melt' }).click()
  await heatUp(page, bench)
  await tubesIn(page, bench)
}

/** Until the app has all its places: they are fetched once the first screen stands, some seconds after it was opened. */
export async function everyPlaceFetched(page: Page): Promise<void> {
  await expect
    .poll(() =>
      page.evaluate(() =>
        performance.getEntriesByType('resource').some(({ name }) => /Instruments-/.test(name)),
      ),
    )
    .toBe(true)
  await idle(page)
}

export const temperature = (page: Page) => page.getByTestId('block-temperature')
/** A cell of the pad: what is pressed, and what is written in it. */
export const cell = (page: Page, moment: string, slot: number) =>
  page.getByRole('button', { name: new RegExp(`^${moment}, tube ${slot}`) }).locator('..')

/** Opens a prep of a compound with its crude weighed, at Plan. */
export async function begin(page: Page, bench: Bench, compound: string, crude: string): Promise<void> {
  await page.goto(`${bench.url}/preps`)
  await page.getByLabel('compound to purify').fill(compound)
  await page.getByLabel('title, if you like').fill(`${compound} ${crude}`)
  await page.getByRole('button', { name: 'Begin this prep' }).click()
  const decimals = crude.split('.')[1]?.length ?? 0
  await page.getByLabel('balance reads to, g').selectOption((10 ** -decimals).toFixed(decimals))
  await page.getByLabel('net mass of the crude, g').fill(crude)
  await page.getByRole('button', { name: `Record ${crude} g` }).click()
}

/** Counts the drops of a pipette once. */
export async function countDrops(page: Page, drops: string): Promise<void> {
  const count = page.getByRole('form', { name: 'Count the drops of this pipette' }).first()
  await count.getByLabel('drops').fill(drops)
  await count.getByRole('button', { name: 'Use this count' }).click()
}
/** Where hot solvent is logged while dissolving, and what each portion did. */
export const dissolving = (page: Page) => ({
  portions: page.getByRole('form', { name: 'Log solvent to dissolve' }),
  did: page.getByRole('group', { name: 'After the last portion' }),
})

/** Chooses a sample by its name alone; whose it is and of which day stands behind it. The first of that name is taken. */
export async function chooseSample(select: Locator, name: string): Promise<void> {
  if (name === '') return void (await select.selectOption(''))
  const option = select
    .locator('option')
    .filter({ hasText: new RegExp(`^${name} ·`) })
    .first()
  await select.selectOption((await option.getAttribute('value')) ?? name)
}
