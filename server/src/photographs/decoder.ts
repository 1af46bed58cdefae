import { createRequire } from 'node:module'
import { Worker } from 'node:worker_threads'

/** A picture that takes longer than this to decode is none, ms. */
const DECODE_MOST_MS = 20_000
/** A worker with nothing to do for this long is let go, ms. */
const IDLE_MS = 10_000

/** What the worker does: it decodes one picture after the other, and says whether it could. */
const WORK = `
const { parentPort, workerData } = require('node:worker_threads')
const { decode } = require(workerData)
const most = { useTArray: true, formatAsRGBA: false, tolerantDecoding: false, maxResolutionInMP: 8, maxMemoryUsageInMB: 256 }
parentPort.on('message', ({ turn, bytes }) => {
  let isPicture = false
  try {
    const { width, height, data } = decode(bytes, most)
    isPicture = width > 0 && height > 0 && data.length === width * height * 3
  } catch {}
  parentPort.postMessage({ turn, isPicture })
})
`

export interface Decoder {
  /** Whether these bytes of a JPEG decode to a picture. */
  decodes(bytes: Uint8Array): Promise<boolean>
  close(): Promise<void>
}

/** Decodes pictures beside the server’s own thread: a large one takes half a second. */
export function openDecoder(): Decoder {
  const waiting = new Map<number, (isPicture: boolean) => void>()
  let worker: Worker | null = null
  let turn = 0
  let idle: NodeJS.Timeout | undefined
  async function end(): Promise<void> {
    clearTimeout(idle)
    const ending = worker
    worker = null
    // What it had not answered is no picture: it failed over it, or was ended over it.
    for (const answer of waiting.values()) answer(false)
    waiting.clear()
    await ending?.terminate()
  }
  function begin(): Worker {
    const begun = new Worker(WORK, {
      eval: true,
      workerData: createRequire(import.meta.url).resolve('jpeg-js'),
    })
    begun.unref()
    begun.on('message', ({ turn: of, isPicture }: { turn: number; isPicture: boolean }) => {
      waiting.get(of)?.(isPicture)
      waiting.delete(of)
      if (waiting.size > 0) return
      clearTimeout(idle)
      idle = setTimeout(() => void end(), IDLE_MS)
      idle.unref()
    })
    begun.on('error', () => void end())
    return begun
  }
  return {
    async decodes(bytes) {
      clearTimeout(idle)
      worker ??= begin()
      const mine = turn++
      let late: NodeJS.Timeout | undefined
      const answered = new Promise<boolean>((resolve) => {
        waiting.set(mine, resolve)
        late = setTimeout(() => void end(), DECODE_MOST_MS)
      })
      worker.postMessage({ turn: mine, bytes })
      try {
        return await answered
      } finally {
        clearTimeout(late)
      }
    },
    close: end,
  }
}
