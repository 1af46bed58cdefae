import { useEffect, useState } from 'react'
import type { Result } from '@ivory-crystal/core/problems'

/** A worker that broke, or could not be had: that is said, and nothing else. */
export function failed(error: unknown): Result<never> {
  return { ok: false, problem: { code: 'not-worked-out', sentence: (error as Error).message } }
}

/** The answer of a heavy computation; null while it is worked out. The key says when to ask anew. */
export function useComputed<T>(key: string, ask: () => Promise<Result<T>>): Result<T> | null {
  const [answer, setAnswer] = useState<{ readonly key: string; readonly result: Result<T> } | null>(null)
  useEffect(() => {
    // Asks outside React; an answer that comes after the next question is dropped.
    let wanted = true
    ask().then(
      (result) => {
        if (wanted) setAnswer({ key, result })
      },
      (error: unknown) => {
        if (wanted) setAnswer({ key, result: failed(error) })
      },
    )
    return () => {
      wanted = false
    }
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for what is asked
  }, [key])
  return answer?.key === key ? answer.result : null
}
