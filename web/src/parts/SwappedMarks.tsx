import Button from 'react-bootstrap/Button'
import { exchangeMarks, type MeltFacts, swappedSlots } from '@ivory-crystal/core/notebook'
import { strike, useNotebook, write } from '../ledger/notebook'

/** Asked of each tube whose two marks stand the wrong way round, with the way to exchange them: neither is lost. */
export function SwappedMarks({ melts }: { melts: readonly MeltFacts[] }) {
  return melts.flatMap((melt) =>
    swappedSlots(melt).map((slot) => (
      <SwappedTube
        key={`${melt.id} ${slot}`}
        slot={slot}
        onExchange={() => {
          exchange(melt, slot)
        }}
      />
    )),
  )
}

/** The question, and the way out of it. */
export function SwappedTube({ slot, onExchange }: { slot: number; onExchange: () => void }) {
  return (
    <p className="look" role="alert">
      Tube {slot} is all liquid before its first liquid. Were the two keys swapped?{' '}
      <Button size="sm" variant="outline-primary" onClick={onExchange}>
        Exchange the two marks of tube {slot}
      </Button>
    </p>
  )
}

function exchange(melt: MeltFacts, slot: number): void {
  const exchanged = exchangeMarks(useNotebook.getState().view, melt, slot)
  if (!exchanged) return
  for (const mark of exchanged.struck) strike(mark, 'the two keys were swapped')
  write(...exchanged.typed(write(...exchanged.marks)))
}
