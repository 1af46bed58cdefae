import type { SceneLines } from './mistake'

/** What is seen at the plate. */
export const PLATE: SceneLines = {
  mistakes: [
    {
      id: 'line-in-the-eluent',
      seen: 'The start line stands 3 mm above the edge, and the eluent is 5 mm deep.',
      because: 'The spots dissolve into the eluent instead of climbing.',
      instead: 'The line stands well above the eluent.',
    },
    {
      id: 'front-at-the-edge',
      seen: 'The plate was forgotten until the front stood at its upper edge.',
      because: 'How far it would have gone nobody knows: there is no Rf.',
      instead: 'Out some millimetres below the edge, and the front is marked at once.',
    },
    {
      id: 'ink-line',
      seen: 'The start line is drawn in ink.',
      because: 'Ink climbs too, and makes spots of its own.',
      instead: 'A pencil, lightly.',
    },
    {
      id: 'wide-spots',
      seen: 'The spots are as wide as a pea.',
      because: 'Wide spots run into one another.',
      instead: 'A fine capillary, touched for a moment.',
    },
  ],
  fine: [
    'The front is marked with a pencil as the plate comes out.',
    'Crude, product and authentic sample stand on one line.',
    'The wet plate lies under the hood.',
    'A lid is on the jar while the plate stands in it.',
  ],
}
