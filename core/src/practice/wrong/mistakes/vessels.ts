import type { SceneLines } from './mistake'

/** What is seen at the vessels. */
export const VESSELS: SceneLines = {
  mistakes: [
    {
      id: 'loaded-lighter',
      seen: 'The page says boat empty 21.452 g, loaded 19.548 g.',
      because: 'A loaded boat cannot be lighter. The two were swapped.',
      instead: 'Read both again. Strike out the wrong one so that it can still be read.',
    },
    {
      id: 'slipped-digit',
      seen: 'The page says 15.58 g of product from 1.904 g of crude.',
      because: 'The product cannot be eight times the crude: the decimal point is in the wrong place.',
      instead: 'Read the display again, and correct the entry.',
    },
    {
      id: 'decimal-comma',
      seen: 'The page says “1,904 g”.',
      because: 'A comma can be read as thousands.',
      instead: 'Write a point: 1.904 g.',
    },
    {
      id: 'made-up-digits',
      seen: 'Four decimals are written down, but the balance shows two.',
      because: 'Digits that the balance did not show are made up.',
      instead: 'Write the digits of the display, no more and no fewer.',
    },
    {
      id: 'other-empty',
      seen: 'Vial 3 was weighed empty, but vial 5 is weighed loaded.',
      because: 'Two empty vials differ by tenths of a gram, which would count as product.',
      instead: 'Mark each vessel, and use its own empty mass.',
    },
    {
      id: 'bar-weighed',
      seen: 'The crude was weighed with the stirring bar in it.',
      because: 'Every volume is then planned for too much crude.',
      instead: 'Take the bar out, and weigh the crude again before you plan.',
    },
    {
      id: 'heavier-when-dried',
      seen: 'After ten more minutes of drying it is heavier, and it is left to dry longer.',
      because: 'Drying cannot add mass. The cause is another vessel, a warm vial or damp air.',
      instead: 'Find out what changed, and weigh it again at room temperature.',
    },
    {
      id: 'residue-of-nothing',
      seen: 'A residue of the mother liquor is weighed, but the liquor was discarded an hour ago.',
      because: 'It cannot be the residue of that liquor.',
      instead: 'Leave it out, and write down that the mother liquor was not kept.',
    },
  ],
  fine: [
    'Label and page both say “Vial 4, empty 12.307 g”.',
    'The boat is tared, and the display is at rest.',
    'Loaded minus empty is calculated beside both.',
    'The vial was cool when it was weighed.',
  ],
}
