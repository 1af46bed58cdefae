import type { SceneLines } from './mistake'

/** What is seen at the funnel. */
export const FUNNEL: SceneLines = {
  mistakes: [
    {
      id: 'no-clamp',
      seen: 'The filter flask stands free, held by its thick hose.',
      because: 'A thick hose tips it as the suction comes on.',
      instead: 'Clamp the filter flask.',
    },
    {
      id: 'no-trap',
      seen: 'The flask is joined straight to the tap, no trap between.',
      because: 'As pressure drops water runs back into the liquor.',
      instead: 'A trap between, and the hose off before the water.',
    },
    {
      id: 'dry-paper',
      seen: 'The slurry is poured on dry paper.',
      because: 'Crystals go under the paper before it lies flat.',
      instead: 'Wet the paper with cold solvent, suction on, then pour.',
    },
    {
      id: 'warm-rinse',
      seen: 'The crystals are rinsed with solvent that stood on the bench.',
      because: 'At room temperature it dissolves several times what it does from ice.',
      instead: 'Rinse with very little, ice-cold.',
    },
    {
      id: 'much-rinse',
      seen: 'Twenty millilitres of cold solvent went over one gram of crystals.',
      because: 'Even cold, so much dissolves a good part of it.',
      instead: 'One or two millilitres, just to wet them, suction off meanwhile.',
    },
    {
      id: 'liquor-away',
      seen: 'The mother liquor went into the waste as soon as the funnel was dry.',
      because: 'If the yield is poor the product is in it.',
      instead: 'Keep it until the yield is known.',
    },
    {
      id: 'wet-outside',
      seen: 'The flask comes dripping out of the ice and is tipped over the funnel.',
      because: 'Water from outside runs into the crystals.',
      instead: 'Wipe it dry first.',
    },
    {
      id: 'short-air',
      seen: 'The suction was shut off as soon as no drop fell.',
      because: 'The cake still holds much liquor, and what is in it.',
      instead: 'Draw air through for some minutes, and press.',
    },
  ],
  fine: [
    'The paper lies flat and covers every hole.',
    'A little of the cold liquor brought the flask’s rest over.',
    'The liquor stands labelled in its flask beside the funnel.',
    'The suction is on and the paper is wet before anything is poured.',
  ],
}
