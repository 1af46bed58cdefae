import { describe, expect, test } from '@jest/globals'
import type { NotebookId, SubjectId } from '../src/ids'
import { nextId } from '../src/notebook/clock'
import type { Answer, RawEntry, StoredEntry } from '../src/notebook/entry'
import type { About, NotebookRow } from '../src/wire'

/** What a page asks of a server that keeps its notebook. */
interface Keeper {
  about(): Promise<About>
  notebooks(): Promise<{ readonly notebooks: readonly NotebookRow[] }>
  entries(notebook: NotebookId, after: number): Promise<{ readonly entries: readonly StoredEntry[] }>
  post(
    notebook: NotebookId,
    groups: readonly (readonly unknown[])[],
  ): Promise<{ readonly answers: readonly Answer[] }>
}

/**
 * What a page may count on, held to the real server and to whatever stands in for it in the tests of pages.
 *
 * @param open one with a notebook that holds lines
 */
export function serverContract(name: string, open: () => Promise<Keeper> | Keeper): void {
  async function home() {
    const server = await open()
    const about = await server.about()
    const { notebooks } = await server.notebooks()
    const notebook = notebooks[0]?.id as NotebookId
    const { entries } = await server.entries(notebook, 0)
    let latest: string | null = null
    const line = (text: string): RawEntry => {
      const id = nextId(latest, about.now ?? 0, crypto.getRandomValues(new Uint8Array(8)))
      latest = id
      return {
        id,
        v: 1,
        ledger: about.ledger,
        notebook,
        subject: entries.find(({ entry }) => entry.kind === 'prep opened')?.entry.subject as SubjectId,
        kind: 'observed',
        body: { station: 'plan', text },
        at: about.now ?? 0,
        author: 'bench 7',
        device: 'tablet',
      }
    }
    return { server, about, notebook, entries, line, last: entries.at(-1)?.seq ?? 0 }
  }

  describe(`what a page counts on, kept by ${name}`, () => {
    test('it says whose ledger it is, since which start, and what time it has', async () => {
      const { about, entries } = await home()
      expect(about).toMatchObject({ ledger: entries[0]?.entry.ledger, run: expect.any(String) as unknown })
      expect(about.now).toBeGreaterThan(0)
    })
    test('lines are numbered from one on, and given from any number on', async () => {
      const { server, notebook, entries, last } = await home()
      expect(entries.map(({ seq }) => seq)).toEqual(entries.map((_, i) => i + 1))
      const { entries: late } = await server.entries(notebook, last - 3)
      expect(late.map(({ entry }) => entry.id)).toEqual(entries.slice(-3).map(({ entry }) => entry.id))
      expect((await server.entries(notebook, last)).entries).toEqual([])
    })
    test('a line is stored once, with the next number, and comes back as it was', async () => {
      const { server, notebook, line, last } = await home()
      const [one, other] = [line('one'), line('other')]
      const { answers } = await server.post(notebook, [[one], [other]])
      expect(answers).toMatchObject([
        { id: one.id, outcome: 'stored', seq: last + 1 },
        { id: other.id, outcome: 'stored', seq: last + 2 },
      ])
      const again = await server.post(notebook, [[one]])
      expect(again.answers).toMatchObject([{ id: one.id, outcome: 'duplicate', seq: last + 1 }])
      const { entries } = await server.entries(notebook, last)
      expect(entries.map(({ entry }) => entry)).toEqual([one, other])
    })
    test('another line under a known id is a conflict, and changes nothing', async () => {
      const { server, notebook, line, last } = await home()
      const one = line('one')
      await server.post(notebook, [[one]])
      const { answers } = await server.post(notebook, [[{ ...one, body: { station: 'plan', text: 'else' } }]])
      expect(answers).toMatchObject([
        { id: one.id, outcome: 'conflict', sentence: expect.any(String) as unknown },
      ])
      const { entries } = await server.entries(notebook, last)
      expect(entries.map(({ entry }) => entry)).toEqual([one])
    })
    test('a notebook it has not is refused, with a sentence', async () => {
      const { server, line } = await home()
      const none = crypto.randomUUID() as NotebookId
      await expect(server.entries(none, 0)).rejects.toThrow(/notebook/)
      await expect(server.post(none, [[line('lost')]])).rejects.toThrow(/notebook/)
    })
  })
}
