interface Event {
  readonly atMin: number
  readonly happen: () => void
}
/** What is still to happen, the soonest next; of two at one time the one planned first. */
export function eventsInTime() {
  // The latest first, so that the next is taken from the end.
  const events: Event[] = []
  return {
    plan(atMin: number, happen: () => void) {
      let [low, high] = [0, events.length]
      while (low < high) {
        const middle = (low + high) >> 1
        if ((events[middle]?.atMin ?? 0) > atMin) low = middle + 1
        else high = middle
      }
      events.splice(low, 0, { atMin, happen })
    },
    next: () => events.pop(),
    nextMin: () => events[events.length - 1]?.atMin,
  }
}
