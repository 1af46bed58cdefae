import { temperatureInLine } from '@ivory-crystal/core/line'

/** What of a serial port is used here; a test gives its own. */
export interface LinePort {
  open(options: { baudRate: number }): Promise<void>
  readonly readable: ReadableStream<Uint8Array> | null
  close(): Promise<void>
}

export interface SerialReader {
  stop(): Promise<void>
}

/** Lines of a broken device may never end. */
const LINE_MOST = 400

/**
 * Reads a port that prints a number and a unit a line, as most thermometers with a serial port do, and hands on
 * each temperature with the seconds since the first byte.
 *
 * @param listener called with each line that holds a temperature, as the line protocol wants it
 * @param skip called with a line that holds none
 */
export async function readPort(
  port: LinePort,
  baudRate: number,
  elapsedMs: () => number,
  listener: (line: string) => void,
  skip: (line: string) => void,
): Promise<SerialReader> {
  await port.open({ baudRate })
  const reader = port.readable?.getReader()
  if (!reader) throw new Error('This port cannot be read.')
  const decoder = new TextDecoder()
  const beganMs = elapsedMs()
  let rest = ''
  const take = (line: string) => {
    if (line.trim() === '') return
    const found = temperatureInLine(line)
    if (!found) return skip(line.trim())
    listener(`reading ${Math.floor((elapsedMs() - beganMs) / 1000)} ${found.text}`)
  }
  const done = (async () => {
    for (;;) {
      const { value, done: isOver } = await reader.read()
      if (isOver) break
      rest += decoder.decode(value, { stream: true })
      const lines = rest.split(/\r\n|\r|\n/)
      rest = (lines.pop() ?? '').slice(-LINE_MOST)
      lines.forEach(take)
    }
    take(rest)
  })()
  return {
    async stop() {
      await reader.cancel()
      await done.catch(() => undefined)
      reader.releaseLock()
      await port.close()
    },
  }
}
