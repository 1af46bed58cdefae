import type { SceneLines } from './mistake'

/** What is seen at the funnel. */
export const FUNNEL: SceneLines = {
  mistakes: [
    {
      id: 'no-clamp',
      seen: 'The filter flask is not clamped, only held by its thick hose.',
      because: 'The hose tips it over when the suction comes on.',
      instead: 'Clamp the filter flask.',
    },
    {
      id: 'no-trap',
      seen: 'The flask is connected straight to the tap, without a trap.',
      because: 'When the pressure changes, water runs back into the mother liquor.',
      instead: 'Put a trap between them, and pull the hose off before you turn off the water.',
    },
    {
      id: 'dry-paper',
      seen: 'The slurry is poured onto dry paper.',
      because: 'Crystals get under the paper because it does not lie flat.',
      instead: 'Wet the paper with cold solvent, turn the suction on, then pour.',
    },
    {
      id: 'warm-rinse',
      seen: 'The crystals are rinsed with solvent at room temperature.',
      because: 'It dissolves several times as much as ice-cold solvent.',
      instead: 'Rinse with very little ice-cold solvent.',
    },
    {
      id: 'much-rinse',
      seen: 'Twenty millilitres of cold solvent went over one gram of crystals.',
      because: 'Even when cold, so much solvent dissolves a large part of the crystals.',
      instead: 'Use one or two millilitres, just enough to wet them, with the suction off.',
    },
    {
      id: 'liquor-away',
      seen: 'The mother liquor went into the waste as soon as the funnel was dry.',
      because: 'If the recovery is poor, the product is in it.',
      instead: 'Keep it until the recovery is known.',
    },
    {
      id: 'wet-outside',
      seen: 'The flask comes dripping out of the ice and is poured over the funnel.',
      because: 'Water from outside runs into the crystals.',
      instead: 'Wipe the flask dry first.',
    },
    {
      id: 'short-air',
      seen: 'The suction was turned off as soon as no more drops fell.',
      because: 'The cake still holds much mother liquor and its impurities.',
      instead: 'Draw air through it for some minutes, and press it.',
    },
  ],
  fine: [
    'The paper lies flat and covers every hole.',
    'The rest was brought over with a little of the cold mother liquor.',
    'The mother liquor is in a labelled flask beside the funnel.',
    'The suction is on and the paper is wet before anything is poured.',
  ],
}
