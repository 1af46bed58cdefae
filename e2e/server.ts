import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { freePort } from '../scripts/free-port.mjs'

const MAIN = join(import.meta.dirname, '..', 'server', 'dist', 'main.js')

/** A real server on a folder of its own. */
export class BenchServer {
  folder = mkdtempSync(join(tmpdir(), 'ivory-e2e-'))
  private process: ChildProcess | null = null
  private constructor(
    readonly port: number,
    private readonly demo: boolean,
  ) {}

  static async open(demo: boolean): Promise<BenchServer> {
    const server = new BenchServer(await freePort(), demo)
    await server.start()
    return server
  }

  get origin(): string {
    return `http://127.0.0.1:${this.port}`
  }

  async start(): Promise<void> {
    const child = spawn(process.execPath, [MAIN, ...(this.demo ? ['--demo'] : [])], {
      env: {
        ...process.env,
        PORT: String(this.port),
        IVORY_CRYSTAL_DATA: this.folder,
        IVORY_CRYSTAL_TEST: 'advance by hand',
      },
      stdio: ['ignore', 'pipe', 'inherit'],
    })
    this.process = child
    await new Promise<void>((resolve, reject) => {
      child.stdout?.on('data', (text: Buffer) => {
        if (text.toString().includes('http://')) resolve()
      })
      child.on('exit', (code) => {
        reject(new Error(`The server ended with ${code} before it was ready.`))
      })
    })
  }

  /** Another data folder at the same address, or the one before; answers with the one that was there. */
  async moveTo(folder = mkdtempSync(join(tmpdir(), 'ivory-e2e-'))): Promise<string> {
    await this.kill()
    const before = this.folder
    this.folder = folder
    await this.start()
    return before
  }

  /** Ends the server at once, as a power cut would. */
  async kill(): Promise<void> {
    const child = this.process
    if (!child || child.exitCode !== null) return
    const gone = new Promise((resolve) => child.on('exit', resolve))
    child.kill('SIGKILL')
    await gone
  }

  async close(): Promise<void> {
    await this.kill()
    rmSync(this.folder, { recursive: true, force: true })
  }
}
