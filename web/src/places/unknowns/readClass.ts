import type { NotebookId } from '@ivory-crystal/core/ids'
import { type ClassLadder, classLadders, fold, type RawEntry, type View } from '@ivory-crystal/core/notebook'
import type { Result } from '@ivory-crystal/core/problems'
import type { NotebookRow } from '@ivory-crystal/core/wire'
import { api } from '../../ledger/api'
import { readable } from '../../ledger/older'

/** A notebook that was handed in, folded where it is: nothing of it enters the ledger. */
export async function readHandedIn(
  file: File,
): Promise<{ readonly title: string; readonly view: View } | { readonly sentence: string }> {
  const { readNotebookFile } = await import('../preps/readNotebookFile')
  const read = await readNotebookFile(file)
  if (!read.ok) return read
  const { notebook, entries } = (read.file ?? {}) as { notebook?: NotebookRow; entries?: readonly RawEntry[] }
  if (typeof notebook?.title !== 'string' || !Array.isArray(entries))
    return { sentence: `“${file.name}” holds no notebook.` }
  const { refusalOf } = await import('@ivory-crystal/core/schemas')
  const whole = (entries as readonly RawEntry[]).filter((entry) => refusalOf(entry) === null)
  if (whole.length === 0 && entries.length > 0)
    return { sentence: `None of the entries in “${file.name}” can be read.` }
  await readable(whole)
  return { title: notebook.title, view: fold(whole) }
}

async function foldedOf(id: NotebookId): Promise<View> {
  const entries = (await api.entries(id, 0)).entries.map(({ entry }) => entry)
  await readable(entries)
  return fold(entries)
}

/** Folds every notebook of the ledger, the open one as it stands on this page. */
export async function readClass(
  notebooks: readonly NotebookRow[],
  here: string,
  view: View,
  handedIn: readonly { readonly title: string; readonly view: View }[] = [],
): Promise<Result<readonly ClassLadder[]>> {
  try {
    const folded = await Promise.all(
      notebooks.map(async ({ id, title }) => ({
        title,
        view: id === here ? view : await foldedOf(id),
      })),
    )
    return { ok: true, value: classLadders([...folded, ...handedIn]) }
  } catch (error) {
    return {
      ok: false,
      problem: {
        code: 'too-few-samples',
        sentence: `${(error as Error).message} This page needs the server.`,
      },
    }
  }
}
