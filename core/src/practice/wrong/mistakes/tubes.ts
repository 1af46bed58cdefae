import type { SceneLines } from './mistake'

/** What is seen packing tubes. */
export const TUBES: SceneLines = {
  mistakes: [
    {
      id: 'big-crystals',
      seen: 'Large crystals are pushed into the tube whole.',
      because: 'Big grains melt late and unevenly: the range comes out wide.',
      instead: 'Crush a little to a fine powder first.',
    },
    {
      id: 'too-full',
      seen: 'The tube is filled to 10 mm for a block with a lens.',
      because: 'A long column melts from outside in over minutes.',
      instead: 'Two or three millimetres, packed down.',
    },
    {
      id: 'wet-packed',
      seen: 'A tube of the product is packed straight from the funnel, for speed.',
      because: 'Solvent lowers and widens a range like any impurity.',
      instead: 'Dry first; a tube of the crude can go meanwhile.',
    },
    {
      id: 'no-labels',
      seen: 'Three tubes lie side by side on the bench, none of them marked.',
      because: 'They look alike: which was the mixture nobody will know.',
      instead: 'A place and a name for each as it is packed.',
    },
    {
      id: 'side-by-side',
      seen: 'For a mixed test the two powders are put into the tube one above the other.',
      because: 'They only melt each other where they touch.',
      instead: 'Equal parts, ground together, then packed.',
    },
    {
      id: 'cleaned-tube',
      seen: 'A used capillary is being rinsed to use it again.',
      because: 'It is never clean, and it is sharp.',
      instead: 'A new tube each time; the old one is glass waste.',
    },
    {
      id: 'open-end-down',
      seen: 'The tube stands in the block with its open end down.',
      because: 'What melts runs out of it, into the block.',
      instead: 'The sealed end down, looked at before it goes in.',
    },
    {
      id: 'other-vial',
      seen: 'A vial from the bench beside is packed: it is white too.',
      because: 'Two white powders look alike: the range says nothing of this prep.',
      instead: 'Name, bench and date are read on the vial before each tube.',
    },
  ],
  fine: [
    'The powder is tapped down to two millimetres.',
    'A pinch of dry crystals is ground fine between two watch glasses.',
    'Each tube stands in a slot with its name.',
    'The open end was wiped before the tube went in.',
  ],
}
