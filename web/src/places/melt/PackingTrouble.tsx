/** What to do about a tube that will not be packed. */
export function PackingTrouble() {
  return (
    <details className="mt-2">
      <summary>The powder does not go down, or the tube is bad</summary>
      <ul className="plain-list mt-1">
        <li>
          <b>The powder clings:</b> drop the tube several times, sealed end down, through a long glass tube
          onto the bench. Or draw a file gently along its wall.
        </li>
        <li>
          <b>The tube is clogged:</b> the grains are too large. Tap the powder out, crush it finer, and fill
          less at a time.
        </li>
        <li>
          <b>The tube is bent or leaks at the seal:</b> put it into glass waste. A bent one jams in the block,
          and a leaking one lets the melt out.
        </li>
        <li>
          <b>Sealing a tube yourself:</b> wear eye protection and have no flammable vapour near. Hold the tube
          level, and turn its end in the edge of a flame. Let it cool on the wire gauze. Check with the lens
          that the end is closed and round.
        </li>
        <li>
          <b>Large whole crystals</b> heat unevenly and broaden the range: crush them first on clean glass.
        </li>
      </ul>
    </details>
  )
}
