import { useState } from 'react'
import Button from 'react-bootstrap/Button'

/** What of a notebook is kept elsewhere: by it anybody can tell later whether an entry up to then was rewritten. */
export interface Head {
  readonly seq: number
  readonly hash: string
}

/** The hash of a notebook's last line, to be kept where nobody who can change the notebook can change it. */
export function KeepHash({ title, head }: { title: string; head: Head }) {
  const [sentence, setSaid] = useState<string | null>(null)
  const text = `${title}: ${head.seq} entries, hash ${head.hash}`
  const copy = () => {
    const done = navigator.clipboard?.writeText(text) ?? Promise.reject(new Error('There is no clipboard.'))
    done.then(
      () => {
        setSaid('Copied. Paste it into a mail or a message.')
      },
      () => {
        setSaid(`Copy it by hand: ${head.hash}`)
      },
    )
  }
  const mail = `mailto:?subject=${encodeURIComponent(`Hash of ${title}`)}&body=${encodeURIComponent(text)}`
  return (
    <span className="no-print d-block mt-1">
      Save this hash elsewhere. Later it shows that no entry up to now was rewritten.{' '}
      <Button size="sm" variant="link" onClick={copy}>
        Copy it
      </Button>{' '}
      <a href={mail}>Mail it</a>
      {sentence !== null && (
        <span role="status" className="d-block text-break">
          {sentence}
        </span>
      )}
    </span>
  )
}
