import { once } from 'node:events'
import type { Response } from 'express'

/**
 * Answers with an object whose last value is a list, sent as it is read: no list is too long, and a slow reader holds
 * up the reading rather than filling the server.
 */
export async function sendList(
  response: Response,
  head: Readonly<Record<string, unknown>>,
  name: string,
  parts: AsyncIterable<readonly unknown[]>,
): Promise<void> {
  response.type('application/json')
  const opening = JSON.stringify({ ...head, [name]: [] }).slice(0, -2)
  let before = opening
  for await (const part of parts) {
    if (part.length === 0) continue
    const isRoom = response.write(before + part.map((one) => JSON.stringify(one)).join(','))
    before = ','
    if (!isRoom && !response.destroyed) await Promise.race([once(response, 'drain'), once(response, 'close')])
    if (response.destroyed) return
  }
  response.end(`${before === ',' ? '' : before}]}`)
}
