import type { Answer, RawEntry } from '@ivory-crystal/core/notebook'

/** The status of an answer to a request that is too large. */
const TOO_LARGE = 413

/** A request that is too large goes in parts; a line that is too large by itself is refused like any other. */
export async function answersTo(
  groups: readonly (readonly RawEntry[])[],
  post: () => Promise<readonly Answer[]>,
): Promise<readonly Answer[] | 'in parts'> {
  try {
    return await post()
  } catch (error) {
    const { status, message } = error as { status?: number; message: string }
    if (status !== TOO_LARGE) throw error
    if (groups.length > 1) return 'in parts'
    return groups.flat().map(({ id }): Answer => ({ id, outcome: 'refused', sentence: message }))
  }
}
