import Button from 'react-bootstrap/Button'
import { type MeltFacts, SIGN_WORDS } from '@ivory-crystal/core/notebook'
import { SwappedMarks } from '../../parts/SwappedMarks'
import type { Marking } from './useMarking'

/** What the last press was, by word, and what keys do. */
export function UnderThePad({ melt, marking, onset }: { melt: MeltFacts; marking: Marking; onset: string }) {
  const unnamed = [...melt.marks]
    .reverse()
    .find((mark) => mark.entry.body.moment === 'early sign' && mark.word === null)
  return (
    <div className="mt-3">
      {marking.message && (
        <p className="look" role="alert">
          {marking.message}
        </p>
      )}
      <SwappedMarks melts={[melt]} />
      {unnamed && (
        <div className="row-of align-items-center mb-2" role="group" aria-label="Name the early sign">
          <span className="quiet">
            Tube {unnamed.entry.body.slot} at {unnamed.temperature?.text ?? '…'}: what was it?
          </span>
          {SIGN_WORDS.map((word) => (
            <Button
              key={word}
              size="sm"
              variant="outline-primary"
              onClick={() => {
                marking.nameSign(unnamed.entry.id, word)
              }}
            >
              {word}
            </Button>
          ))}
        </div>
      )}
      <div className="row-of">
        <Button size="sm" variant="outline-primary" onClick={marking.strikeLast}>
          Strike out last <kbd className="key ms-1">Backspace</kbd>
        </Button>
        <Button
          size="sm"
          variant="outline-primary"
          onClick={(event) => {
            fillTheScreen(event.currentTarget)
          }}
        >
          Full screen
        </Button>
        <Button
          size="sm"
          variant="outline-primary"
          aria-pressed={marking.muted}
          onClick={() => {
            marking.setMuted(!marking.muted)
          }}
        >
          {marking.muted ? 'Unmute' : 'Mute'}
        </Button>
      </div>
      <p className="quiet mb-0 mt-2">
        A key records time
        {melt.run?.started.body.recorded === false ? '; type the temperature afterwards' : ' and temperature'}
        . First liquid here means {onset}; shrinking and sweating are early signs. Nothing is erased.
      </p>
    </div>
  )
}

/** Nothing but the melt on the screen, and back. */
function fillTheScreen(from: Element): void {
  const asked = document.fullscreenElement
    ? document.exitFullscreen()
    : from.closest('[data-fills-the-screen]')?.requestFullscreen()
  asked?.catch(() => undefined)
}
