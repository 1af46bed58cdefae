import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, jest, test } from '@jest/globals'
import { cleanup, screen, within } from '@testing-library/react'
import { NOTEBOOK, openDemo, prepNamed, server, showAt, written } from '../testing/opened'
import type { TakenPhotograph } from './takePhotograph'

const PICTURES = join(import.meta.dirname, '../../../core/golden/photographs')
const [SHOWN = ''] = readdirSync(PICTURES)
const JPEG = new Uint8Array([0xff, 0xd8, 0xff, 0xe0, 0xff, 0xd9]).buffer
const TAKEN: TakenPhotograph = { sha256: 'a'.repeat(64), jpeg: JPEG, widthPx: 800, heightPx: 600 }
const takePhotograph = jest.fn<(file: File) => Promise<TakenPhotograph>>()
jest.unstable_mockModule('./takePhotograph', () => ({ takePhotograph }))
const { Photographs } = await import('./Photographs')

beforeEach(async () => {
  await openDemo()
  takePhotograph.mockReset().mockResolvedValue(TAKEN)
})
afterEach(cleanup)
const show = () => {
  const { id } = prepNamed('Benzil, from benzoin')
  return showAt(() => <Photographs of={id} usual="crystals" />, `/n/${NOTEBOOK}/preps`, '*')
}
const file = () => new File(['x'], 'camera.jpg', { type: 'image/jpeg' })

test('a picture is looked at, named, and kept before a line speaks of it', async () => {
  const order: string[] = []
  server.sendPhotograph.mockImplementation(() => {
    order.push(`sent, ${written('photographed').length} lines`)
    return Promise.resolve()
  })
  const user = show()
  await user.upload(screen.getByLabelText('A photograph'), file())
  const form = within(await screen.findByRole('form', { name: 'The photograph just taken' }))
  expect(written('photographed')).toHaveLength(0)
  await user.selectOptions(form.getByLabelText('It shows'), 'Set-up')
  await user.type(form.getByLabelText('What does it show'), '  at the boil ')
  await user.click(form.getByRole('button', { name: 'Keep it' }))
  await screen.findByRole('button', { name: 'Add a photograph' })
  expect(order).toEqual(['sent, 0 lines'])
  expect(written('photographed').map(({ body }) => body)).toEqual([
    { sha256: TAKEN.sha256, bytes: 6, widthPx: 800, heightPx: 600, shows: 'set-up', text: 'at the boil' },
  ])
})

test('one that cannot be kept here nor sent leaves no line, and says why', async () => {
  server.sendPhotograph.mockRejectedValue(new Error('The server cannot be reached.'))
  const user = show()
  await user.upload(screen.getByLabelText('A photograph'), file())
  await user.click(await screen.findByRole('button', { name: 'Keep it' }))
  await screen.findByText('The server cannot be reached.')
  expect(written('photographed')).toHaveLength(0)
})

test('left, or no picture at all, it leaves nothing', async () => {
  const user = show()
  await user.upload(screen.getByLabelText('A photograph'), file())
  await user.click(await screen.findByRole('button', { name: 'Leave it' }))
  takePhotograph.mockRejectedValue(new Error('“notes.txt” cannot be read as a picture.'))
  await user.upload(screen.getByLabelText('A photograph'), file())
  await screen.findByText(/cannot be read as a picture/)
  expect(written('photographed')).toHaveLength(0)
  expect(server.sendPhotograph).not.toHaveBeenCalled()
})

test('what is kept is shown with when and what; one that neither place has is said, and a strike is a line', async () => {
  const user = show()
  await screen.findByText(/could still be on the device that took it/)
  screen.getByText(/crystals: needles out of the ice/)
  await user.click(screen.getByRole('button', { name: 'strike out' }))
  expect(written('struck')).toHaveLength(1)
  cleanup()
  // One that is not the picture of its name, as a cache might give, is not shown.
  await openDemo()
  server.photograph.mockResolvedValue(JPEG)
  show()
  await screen.findByText(/could still be on the device that took it/)
  cleanup()
  await openDemo()
  server.photograph.mockResolvedValue(new Uint8Array(readFileSync(join(PICTURES, SHOWN))).buffer)
  show()
  const picture = await screen.findByRole('img', { name: /needles out of the ice/ })
  expect(picture.getAttribute('src')).toMatch(/^data:image\/jpeg;base64,\/9j/)
})
