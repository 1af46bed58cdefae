import {
  type ClassLadder,
  classLadders,
  fold,
  type NotebookRow,
  type Result,
  type View,
} from '@ivory-crystal/core'
import { api } from '../../ledger/api'

/** Folds every notebook of the ledger, the open one as it stands on this page. */
export async function readClass(
  notebooks: readonly NotebookRow[],
  here: string,
  view: View,
): Promise<Result<readonly ClassLadder[]>> {
  try {
    const folded = await Promise.all(
      notebooks.map(async ({ id, title }) => ({
        title,
        view: id === here ? view : fold((await api.entries(id, 0)).entries.map(({ entry }) => entry)),
      })),
    )
    return { ok: true, value: classLadders(folded) }
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
