import 'fake-indexeddb/auto'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { openPhotographs, type Photographs } from './photographs'

const bytes = (...values: number[]) => new Uint8Array(values).buffer

describe('pictures kept on this device', () => {
  let here: Photographs
  beforeEach(async () => {
    here = await openPhotographs()
  })
  afterEach(() => {
    here.close()
    indexedDB.deleteDatabase('ivory-crystal-photographs')
  })
  test('wait until the server has them, and stay to be looked at', async () => {
    await here.put('a', bytes(1, 2))
    await here.put('b', bytes(3))
    expect(await here.waiting()).toEqual({ count: 2, bytes: 3 })
    const sent: string[] = []
    await here.send((sha256) => Promise.resolve(sent.push(sha256)))
    expect(sent).toEqual(['a', 'b'])
    expect(await here.waiting()).toEqual({ count: 0, bytes: 0 })
    expect(await here.usage()).toEqual({ count: 2, bytes: 3 })
    expect(new Uint8Array((await here.read('a')) ?? bytes())).toEqual(new Uint8Array([1, 2]))
    expect(await here.read('c')).toBeNull()
  })
  test('what was not answered stays, with everything behind it', async () => {
    await here.put('a', bytes(1))
    await here.put('b', bytes(2))
    const gone = new Error('The server cannot be reached.')
    await expect(
      here.send((sha256) => (sha256 === 'b' ? Promise.reject(gone) : Promise.resolve())),
    ).rejects.toBe(gone)
    expect(await here.waiting()).toEqual({ count: 1, bytes: 1 })
  })
  test('taken twice, a picture that was sent does not wait again', async () => {
    await here.put('a', bytes(1))
    await here.send(() => Promise.resolve())
    await here.put('a', bytes(1))
    expect(await here.waiting()).toEqual({ count: 0, bytes: 0 })
  })
  test('outlives the page', async () => {
    await here.put('a', bytes(7))
    here.close()
    here = await openPhotographs()
    expect(await here.waiting()).toEqual({ count: 1, bytes: 1 })
  })
})
