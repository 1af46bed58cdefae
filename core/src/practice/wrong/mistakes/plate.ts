import type { SceneLines } from './mistake'

/** What is seen at the plate. */
export const PLATE: SceneLines = {
  mistakes: [
    {
      id: 'line-in-the-eluent',
      seen: 'The start line is 3 mm above the edge, and the eluent is 5 mm deep.',
      because: 'The spots dissolve into the eluent instead of climbing.',
      instead: 'Draw the line well above the eluent.',
    },
    {
      id: 'front-at-the-edge',
      seen: 'The plate was forgotten until the front reached its upper edge.',
      because: 'The true height of the front is not known, so there is no Rf.',
      instead: 'Take it out some millimetres below the edge, and mark the front at once.',
    },
    {
      id: 'ink-line',
      seen: 'The start line is drawn in ink.',
      because: 'Ink climbs too and makes its own spots.',
      instead: 'Use a soft pencil.',
    },
    {
      id: 'wide-spots',
      seen: 'The spots are as wide as a pea.',
      because: 'Wide spots run into one another.',
      instead: 'Touch the plate briefly with a fine capillary.',
    },
  ],
  fine: [
    'The front is marked with a pencil as the plate comes out.',
    'Crude, product and authentic sample are spotted on one line.',
    'The wet plate dries in the hood.',
    'A lid is on the jar while the plate stands in it.',
  ],
}
