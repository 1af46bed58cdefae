/** What to do about a tube that will not be packed. */
export function PackingTrouble() {
  return (
    <details className="mt-2">
      <summary>It will not go down, or the tube is no good</summary>
      <ul className="plain-list mt-1">
        <li>
          <b>Static, powder clings:</b> drop the tube, sealed end down, through a long glass tube onto the
          bench, several times; or draw a file gently along its wall.
        </li>
        <li>
          <b>Clogged:</b> the grains are too big. Tap it out, crush finer, press less in at a time.
        </li>
        <li>
          <b>Bent or leaking at the seal:</b> glass waste. A bent one jams in the block; a leaking one lets
          the melt out.
        </li>
        <li>
          <b>Sealing your own:</b> turn the end in the edge of a flame, held level, eyes protected, no
          flammable vapour about. Let it cool on the wire gauze; look for a closed, round end in the lens.
        </li>
        <li>
          <b>Big crystals packed whole</b> take heat badly and widen the range: crush them first, on clean
          glass.
        </li>
      </ul>
    </details>
  )
}
