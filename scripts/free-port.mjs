import { createServer } from 'node:net'

/** A port of 127.0.0.1 that nothing listens on now. */
export function freePort() {
  return new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address()
      probe.close(() => resolve(port))
    })
  })
}
