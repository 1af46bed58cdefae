import { useEffect, useState } from 'react'
import Button from 'react-bootstrap/Button'
import { type Compound, compoundsToAsk } from '@ivory-crystal/core/substances'
import { useNotebook } from '../ledger/notebook'

/** Names offered at once, at most. */
const AT_MOST = 4
/** How unlike a name may be that is still offered: 0 is the same, 1 anything. */
const UNLIKE = 0.3

/**
 * What was typed is no name of the shelf: those it could have meant, each at a press. None is taken unasked, for two
 * compounds are often one letter apart.
 */
export function NamesNear({ typed, onTake }: { typed: string; onTake: (name: string) => void }) {
  const compounds = useNotebook((state) => state.shelf?.compounds)
  const [near, setNear] = useState<{ typed: string; names: readonly string[] }>()
  const alike = compounds ? compoundsToAsk(compounds, typed).map(({ name }) => name) : []
  const isAlike = alike.length > 0
  useEffect(() => {
    if (!compounds || isAlike || typed.trim().length < 3) return
    let isOld = false
    // Without its search nothing is offered: the name can still be typed out.
    namesLike(compounds, typed.trim()).then(
      (names) => {
        if (!isOld) setNear({ typed, names })
      },
      () => undefined,
    )
    return () => {
      isOld = true
    }
  }, [compounds, typed, isAlike])
  const names = isAlike ? alike : near?.typed === typed ? near.names : []
  if (names.length === 0) return null
  return (
    <div className="form-text" role="status">
      {names.length > 1 && isAlike ? 'Which of them do you mean? ' : 'Do you mean '}
      {names.slice(0, isAlike ? 8 : AT_MOST).map((name) => (
        <Button
          key={name}
          size="sm"
          variant="link"
          className="p-0 me-2"
          onClick={() => {
            onTake(name)
          }}
        >
          {name}
        </Button>
      ))}
      {names.length > 1 && isAlike ? null : '?'}
    </div>
  )
}

async function namesLike(compounds: readonly Compound[], typed: string): Promise<readonly string[]> {
  const { default: Fuse } = await import('fuse.js')
  const fuse = new Fuse(compounds, {
    keys: ['name', 'synonyms'],
    threshold: UNLIKE,
    // A name that begins alike is nearer than one that holds it somewhere.
    distance: 40,
  })
  return fuse.search(typed, { limit: AT_MOST }).map(({ item }) => item.name)
}
