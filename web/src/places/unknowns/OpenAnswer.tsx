import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { UnknownFacts } from '@ivory-crystal/core/notebook'
import { capital } from '../../format/format'
import { api } from '../../ledger/api'
import { receive, useNotebook } from '../../ledger/notebook'

/** The sealed answer, once the case is signed; with whether it is the one that was sealed. */
export function OpenAnswer({ unknown, isAfter }: { unknown: UnknownFacts; isAfter: boolean }) {
  const notebook = useNotebook((state) => state.notebook)
  const waiting = useNotebook((state) => state.waiting)
  const [sentence, setSaid] = useState<string | null>(null)
  const [busy, setBusy] = useState(false)
  const { answer, sealed, signed } = unknown
  if (!sealed) return <aside />
  if (answer) {
    const isRight =
      signed?.body.answer.is === 'compound' && signed.body.answer.compound === answer.body.compound
    const isUnlisted =
      signed?.body.answer.is === 'not on the list' &&
      !unknown.candidates.some(({ compound }) => compound.id === answer.body.compound)
    return (
      <aside>
        <h3>The sealed answer</h3>
        <p className="mt-2 mb-1">
          <b data-testid="answer">{capital(answer.body.name)}.</b>{' '}
          {isRight || isUnlisted
            ? 'Your verdict agrees.'
            : 'Your verdict is different. Check which evidence was misleading: the ranges, the mixture, or the list.'}
        </p>
        <Commitment unknown={unknown} />
        {!isAfter && <p className="look">It was opened before the first verdict was signed.</p>}
      </aside>
    )
  }
  const open = async () => {
    if (!notebook) return
    setBusy(true)
    try {
      const { line } = await api.openSeal(notebook, unknown.id)
      receive([line])
    } catch (error) {
      setSaid((error as Error).message)
    } finally {
      setBusy(false)
    }
  }
  return (
    <aside>
      <h3>The sealed answer</h3>
      <p className="mt-2">It was sealed before you began. This page could not read it until now.</p>
      <Button disabled={busy || waiting > 0} onClick={() => void open()}>
        Open the sealed answer
      </Button>
      {waiting > 0 && <p className="form-text">All entries must be saved first.</p>}
      {sentence && (
        <p className="look" role="alert">
          {sentence}
        </p>
      )}
    </aside>
  )
}

/** Whether what was opened is what was sealed: the hash of salt and answer is the one on record. */
function Commitment({ unknown: { sealed, answer } }: { unknown: UnknownFacts }) {
  const [holds, setHolds] = useState<boolean | null>(null)
  const text = answer ? `${answer.body.salt} ${answer.body.compound}` : ''
  const expected = sealed?.body.commitment
  useEffect(() => {
    // Hashing is outside React and takes a moment.
    let wanted = true
    void hashed(text).then((hash) => {
      if (wanted) setHolds(hash === expected)
    })
    return () => {
      wanted = false
    }
  }, [text, expected])
  if (holds === null) return null
  return holds ? (
    <p className="quiet mb-0">This is the answer that was sealed: its hash matches the record.</p>
  ) : (
    <p className="look">This is not the answer that was sealed: its hash does not match the record.</p>
  )
}

async function hashed(text: string): Promise<string> {
  const digest = await crypto.subtle.digest('SHA-256', new TextEncoder().encode(text))
  return [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('')
}
