import type { SceneLines } from './mistake'

/** What is seen packing tubes. */
export const TUBES: SceneLines = {
  mistakes: [
    {
      id: 'big-crystals',
      seen: 'Large crystals are pushed into the tube whole.',
      because: 'Large grains melt late and unevenly, so the range looks broad.',
      instead: 'Crush a little of it to a fine powder first.',
    },
    {
      id: 'too-full',
      seen: 'The tube is filled to 10 mm for a block with a lens.',
      because: 'A long column takes minutes to melt from outside to inside.',
      instead: 'Pack two or three millimetres of it.',
    },
    {
      id: 'wet-packed',
      seen: 'To save time, a tube of the product is packed straight from the funnel.',
      because: 'Solvent lowers and broadens a range like any impurity.',
      instead: 'Dry it first. Melt a tube of the crude meanwhile.',
    },
    {
      id: 'no-labels',
      seen: 'Three tubes lie side by side on the bench, none of them marked.',
      because: 'They look alike, so nobody will know which is the mixture.',
      instead: 'Give each tube a place and a name when you pack it.',
    },
    {
      id: 'side-by-side',
      seen: 'For a mixed melt the two powders are put into the tube one above the other.',
      because: 'They only mix where they touch.',
      instead: 'Grind equal parts together, then pack the tube.',
    },
    {
      id: 'cleaned-tube',
      seen: 'A used capillary is being rinsed to use it again.',
      because: 'It never gets clean, and it is sharp.',
      instead: 'Use a new tube each time. The old one is glass waste.',
    },
    {
      id: 'open-end-down',
      seen: 'The tube is in the block with its open end down.',
      because: 'The melt runs out of it into the block.',
      instead: 'Put the sealed end down, and check it before it goes in.',
    },
    {
      id: 'other-vial',
      seen: 'A white powder from the vial of the next bench is packed.',
      because: 'Two white powders look alike. The range does not belong to this prep.',
      instead: 'Read name, bench and date on the vial before you pack each tube.',
    },
  ],
  fine: [
    'The powder is tapped down to two millimetres.',
    'A pinch of dry crystals is ground fine between two watch glasses.',
    'Each tube is in a slot with its name.',
    'The open end was wiped before the tube went in.',
  ],
}
