import { up } from './zz-lib.mjs'
const { page, at, down, shot } = await up()
await page.goto(at)
await page.getByRole('link', { name: 'Preps' }).click()
await page
  .getByRole('link', { name: /Benzil, from benzoin/ })
  .first()
  .click()
await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Page' }).click()
await page.waitForTimeout(1500)
console.log(await page.getByRole('article').innerText())
for (const [layout, name] of [
  ['One page to hand in', 'one'],
  ['Everything, with all that was drawn', 'full'],
]) {
  const menu = page.getByRole('button', { name: 'As a PDF' })
  if (!(await page.getByRole('button', { name: layout }).isVisible())) await menu.click()
  const saved = page.waitForEvent('download')
  await page.getByRole('button', { name: layout }).click()
  await (await saved).saveAs(`/dev/shm/shots/${name}.pdf`)
}
await down()
