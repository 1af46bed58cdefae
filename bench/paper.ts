import { statSync } from 'node:fs'
import { withDemoPage } from './page'
import { ms, type Row } from './table'

const ROUNDS = 5

/** A page as a PDF, from the press of the button to the file; and the app opened again with its server gone. */
export function measurePaper(): Promise<Row[]> {
  return withDemoPage(async (page, at) => {
    const row = (what: string, ours: string, aim: string): Row => ({ what, ours, bare: '', ratio: '', aim })
    const { notebooks } = (await (await page.request.get(`${at}/api/notebooks`)).json()) as {
      notebooks: { id: string }[]
    }
    await page.goto(`${at}/n/${notebooks[0]?.id ?? ''}/preps`)
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null)
    await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
    await page.getByRole('link', { name: /^Page/ }).click()
    await page.getByText(/^Line \d+ is the last stored/).waitFor()
    const rows: Row[] = []
    for (const layout of ['One page to hand in', 'Everything, with all that was drawn']) {
      const took: number[] = []
      let bytes = 0
      for (let round = 0; round < ROUNDS; round++) {
        await page.getByRole('button', { name: 'As a PDF' }).click()
        const saved = page.waitForEvent('download')
        const began = performance.now()
        await page.getByRole('button', { name: layout }).click()
        const path = await (await saved).path()
        took.push(performance.now() - began)
        bytes = statSync(path).size
      }
      rows.push(
        row(
          `PDF of the demo page: ${layout.toLowerCase()}, the first`,
          ms(took.slice(0, 1)),
          'under 1500 ms',
        ),
        row('… and after it', ms(took.slice(1)), 'under 1500 ms'),
        row('… its size', `${Math.ceil(bytes / 1000)} kB`, 'under 300 kB'),
      )
    }
    // No request reaches a server: what opens comes from this device.
    await page.context().setOffline(true)
    const opened: number[] = []
    for (let round = 0; round < ROUNDS; round++) {
      const began = performance.now()
      await page.reload({ waitUntil: 'commit' })
      await page.getByRole('heading', { name: 'Melting ranges' }).waitFor()
      opened.push(performance.now() - began)
    }
    rows.push(row('reload with the server gone, to the page', ms(opened), 'under 1000 ms'))
    return rows
  })
}
