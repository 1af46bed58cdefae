import css from './Photographs.module.css'
import { useEffect, useState } from 'react'
import type { Entry } from '@ivory-crystal/core/notebook'
import { readPhotograph } from '../ledger/pictures'
import { dataUrlOf } from './dataUrl'

/** One picture, from this device or the server. */
export function Photograph({ line }: { line: Entry<'photographed'> }) {
  const { sha256, widthPx, heightPx, shows, text } = line.body
  const [picture, setPicture] = useState<{ url: string } | { why: string } | null>(null)
  useEffect(() => {
    // Pictures are kept outside React, on this device or the server.
    let wanted = true
    readPhotograph(sha256)
      .then(
        (bytes) =>
          bytes
            ? { url: dataUrlOf(bytes) }
            : { why: 'The picture is not here: it could still be on the device that took it.' },
        (error: unknown) => ({ why: (error as Error).message }),
      )
      .then((known) => {
        if (wanted) setPicture(known)
      })
      .catch(() => undefined)
    return () => {
      wanted = false
    }
  }, [sha256])
  const name = text === '' ? `Photograph: ${shows}` : text
  if (picture && 'url' in picture)
    return <img className={css.picture} src={picture.url} alt={name} width={widthPx} height={heightPx} />
  return (
    <div
      className={css.missing}
      style={{ aspectRatio: `${widthPx} / ${heightPx}` }}
      aria-busy={picture === null}
    >
      {picture?.why}
    </div>
  )
}
