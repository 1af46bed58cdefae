import { afterAll, beforeAll } from '@jest/globals'
import type { Answer, StoredEntry } from '@ivory-crystal/core/notebook'
import type { About, NotebookRow } from '@ivory-crystal/core/wire'
import { serverContract } from '../../../core/golden/serverContract'
import type { RunningServer } from '../server'
import { serve, tempFolder } from '../testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
let server: RunningServer
beforeAll(async () => {
  folder = await tempFolder()
  server = await serve(folder.path, { demo: true })
})
afterAll(async () => {
  await server.close()
  await folder.remove()
})

async function call<T>(path: string, body?: object): Promise<T> {
  const response = await fetch(`http://127.0.0.1:${server.port}/api${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { 'Content-Type': 'application/json' },
    ...(body && { body: JSON.stringify(body) }),
  })
  const answer = (await response.json()) as T & { readonly detail?: string }
  if (!response.ok) throw new Error(answer.detail)
  return answer
}

serverContract('the server', () => ({
  about: () => call<About>('/about'),
  notebooks: () => call<{ notebooks: NotebookRow[] }>('/notebooks'),
  entries: (notebook, after) =>
    call<{ entries: StoredEntry[] }>(`/notebooks/${notebook}/entries?after=${after}`),
  post: (notebook, groups) => call<{ answers: Answer[] }>(`/notebooks/${notebook}/entries`, { groups }),
}))
