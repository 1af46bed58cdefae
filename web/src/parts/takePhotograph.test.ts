import { expect, test } from '@jest/globals'
import { takePhotograph } from './takePhotograph'

/** The beginning of a PNG that says how large it is, and nothing after it. */
function pngOf(width: number, height: number): File {
  const head = Buffer.alloc(33)
  Buffer.from('89504e470d0a1a0a', 'hex').copy(head)
  head.writeUInt32BE(13, 8)
  head.write('IHDR', 12)
  head.writeUInt32BE(width, 16)
  head.writeUInt32BE(height, 20)
  return new File([head], 'bomb.png', { type: 'image/png' })
}

test('a picture that claims to be a mountain is not opened', async () => {
  await expect(takePhotograph(pngOf(60_000, 60_000))).rejects.toThrow('60000 by 60000 pixels')
})
test('a file larger than any photograph is not read', async () => {
  const huge = new File(['x'], 'huge.jpg')
  Object.defineProperty(huge, 'size', { value: 90_000_000 })
  await expect(takePhotograph(huge)).rejects.toThrow('larger than any photograph (90 MB)')
})
