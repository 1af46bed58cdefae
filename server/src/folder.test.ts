import { execFile } from 'node:child_process'
import { chmod, mkdir, readdir, readFile, stat, writeFile } from 'node:fs/promises'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { readOptions, requireOneOf } from '../../scripts/options.mjs'
import { beginDemoFolder, makeFolder, NotADemoFolder } from './folder'
import { PROJECT } from './paths'
import { startServer } from './server'
import { serve, tempFolder } from './testing/bench'

let folder: Awaited<ReturnType<typeof tempFolder>>
beforeEach(async () => {
  folder = await tempFolder()
})
afterEach(() => folder.remove())

describe('a fresh demo', () => {
  const fresh = () =>
    startServer({
      folder: folder.path,
      port: 0,
      demo: true,
      isFresh: true,
      byHand: true,
      say: () => undefined,
    })

  test('never touches a folder that it did not make, be it one’s own notebook or anything else', async () => {
    const own = await serve(folder.path)
    await own.close()
    await writeFile(join(folder.path, 'thesis.txt'), 'mine')
    const before = await readFile(join(folder.path, 'journal.jsonl'), 'utf8')
    await expect(fresh()).rejects.toThrow(NotADemoFolder)
    expect(await readFile(join(folder.path, 'journal.jsonl'), 'utf8')).toBe(before)
    expect(await readFile(join(folder.path, 'thesis.txt'), 'utf8')).toBe('mine')
    expect(await readdir(folder.path)).not.toContain('server.lock')
  })

  test('begins anew in its own folder, and leaves there what somebody else put in', async () => {
    const first = await fresh()
    const notebook = (await first.store.notebooks())[0]?.id
    await first.close()
    await writeFile(join(folder.path, 'notes.txt'), 'mine')
    await writeFile(join(folder.path, 'photographs', 'holiday.jpg'), 'mine')
    const second = await fresh()
    expect((await second.store.notebooks()).map(({ id }) => id)).not.toContain(notebook)
    expect(await second.store.notebooks()).toHaveLength(1)
    await second.close()
    expect(await readFile(join(folder.path, 'notes.txt'), 'utf8')).toBe('mine')
    expect(await readFile(join(folder.path, 'photographs', 'holiday.jpg'), 'utf8')).toBe('mine')
  })

  test('a folder that only looks like one, without the mark, is not emptied', async () => {
    await writeFile(join(folder.path, 'journal.jsonl'), '')
    await expect(beginDemoFolder(folder.path)).rejects.toThrow('holds files that the demo did not make')
    expect(await readdir(folder.path)).toEqual(['journal.jsonl'])
  })
})

test('a folder that was there keeps its mode; one that is made is its user’s alone', async () => {
  await chmod(folder.path, 0o1777)
  await (await serve(folder.path)).close()
  expect((await stat(folder.path)).mode & 0o7777).toBe(0o1777)
  for (const name of ['database', 'journal.jsonl', 'shelf.jsonl'])
    expect({ name, mode: (await stat(join(folder.path, name))).mode & 0o077 }).toEqual({ name, mode: 0 })
  const made = join(folder.path, 'one', 'two')
  await makeFolder(made)
  expect((await stat(made)).mode & 0o777).toBe(0o700)
  await makeFolder(made)
  await mkdir(join(folder.path, 'x'))
  await writeFile(join(folder.path, 'x', 'file'), '')
  await expect(makeFolder(join(folder.path, 'x', 'file'))).rejects.toThrow()
})

describe('options', () => {
  const KNOWN = { verify: 'flag', expect: 'value', 'carry-to': 'value' } as const
  test.each([
    [['--verfy'], 'Did you mean --verify?'],
    [['--nonsense'], 'The options are: --verify, --expect=…, --carry-to=….'],
    [['--carry-to', 'postgres://x'], 'Write it as --carry-to=….'],
    [['--carry-to='], 'Write it as --carry-to=….'],
    [['--carry_to=postgres://x'], 'Did you mean --carry-to=…?'],
    [['--verify=yes'], 'takes no value'],
    [['--verify', '--verify'], 'given twice'],
    [['-v'], 'is not an option'],
    [['file'], '“file” is not understood here'],
  ])('%j is a sentence with the right spelling', (words, sentence) => {
    expect(() => readOptions(words, KNOWN)).toThrow(sentence)
  })
  test('as they are written they are read', () => {
    expect(readOptions(['--verify', '--expect=ab', 'x'], KNOWN, 1)).toEqual({
      values: { verify: true, expect: 'ab' },
      files: ['x'],
    })
    expect(() => {
      requireOneOf({ verify: true, 'carry-to': 'x' }, ['verify', 'carry-to'])
    }).toThrow('--verify and --carry-to are asked for at once')
  })
})

describe('at the command line', () => {
  const run = (words: readonly string[], env: Record<string, string> = {}) =>
    new Promise<{ code: number; said: string }>((resolve) => {
      execFile(
        process.execPath,
        ['--import', 'tsx', join(PROJECT, 'server/src/main.ts'), ...words],
        {
          cwd: PROJECT,
          timeout: 240_000,
          env: { ...process.env, NODE_OPTIONS: '', IVORY_CRYSTAL_DATA: folder.path, ...env },
        },
        (error, out, err) => {
          resolve({ code: error ? ((error.code as number | undefined) ?? -1) : 0, said: `${out}${err}` })
        },
      )
    })
  test.each([
    [['--nonsense'], {}, 'is not an option'],
    [[], { PORT: '' }, 'PORT is “”'],
    [[], { PORT: 'abc' }, 'PORT is “abc”'],
    [[], { IVORY_CRYSTAL_DATA: ' ' }, 'IVORY_CRYSTAL_DATA is empty'],
    [[], { IVORY_CRYSTAL_DATA: '/proc/x' }, 'none can be made there'],
    [
      [],
      { DATABASE_URL: 'postgres://bench@127.0.0.1:1/x', PORT: '0' },
      'named in DATABASE_URL cannot be opened',
    ],
    [['--verify'], { IVORY_CRYSTAL_DATA: '/nowhere/at/all' }, 'There is no folder'],
    [['--restore'], {}, 'Name the file to restore from'],
    [['--backup', '/tmp/x.zip'], {}, 'No server runs'],
  ] as const)('%j with %j: a sentence, code 1, and no stack', async (words, env, sentence) => {
    const { code, said: message } = await run(words, env)
    expect({ code, said: message }).toEqual({ code: 1, said: expect.stringContaining(sentence) })
    expect(message).not.toMatch(/\n\s+at /)
  })
})
