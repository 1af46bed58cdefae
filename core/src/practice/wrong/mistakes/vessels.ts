import type { SceneLines } from './mistake'

/** What is seen at the vessels. */
export const VESSELS: SceneLines = {
  mistakes: [
    {
      id: 'loaded-lighter',
      seen: 'The page has the boat empty at 21.452 g and loaded at 19.548 g.',
      because: 'A loaded boat cannot be lighter: the two were exchanged.',
      instead: 'Read both again, and strike out what is wrong so that it can still be read.',
    },
    {
      id: 'slipped-digit',
      seen: 'From 1.904 g of crude the page has 15.58 g of product.',
      because: 'Eight times what went in cannot come out: the point slipped.',
      instead: 'Read the display again and correct the line.',
    },
    {
      id: 'decimal-comma',
      seen: '“1,904 g” stands on the page.',
      because: 'With a comma it can be taken for thousands.',
      instead: 'A point: 1.904 g.',
    },
    {
      id: 'made-up-digits',
      seen: 'Four decimals are written; the balance shows two.',
      because: 'Digits that it did not show are made up.',
      instead: 'The digits of the display, no more and no fewer.',
    },
    {
      id: 'other-empty',
      seen: 'Vial 3 was weighed empty; vial 5 stands on the pan, loaded.',
      because: 'Two empty vials differ by tenths of a gram, and that counts as product.',
      instead: 'Each vessel has a mark, and its own empty mass.',
    },
    {
      id: 'bar-weighed',
      seen: 'The crude was weighed with the stirring bar in it.',
      because: 'Every volume is planned for crude that is not there.',
      instead: 'The bar comes out, and it is weighed again before anything is planned.',
    },
    {
      id: 'heavier-when-dried',
      seen: 'After ten more minutes of drying it is heavier; it is left to dry longer.',
      because: 'Drying takes mass away: heavier is another vessel, a warm vial or damp air.',
      instead: 'Find out what changed, and weigh again at room temperature.',
    },
    {
      id: 'residue-of-nothing',
      seen: 'A residue of the liquor is weighed; the liquor was poured away an hour ago.',
      because: 'It cannot be its residue.',
      instead: 'The line is left out, and the page says that the liquor was not kept.',
    },
  ],
  fine: [
    '“Vial 4, empty 12.307 g” stands on its label and on the page.',
    'The boat is tared, and the display at rest.',
    'Loaded less empty is worked out beside both.',
    'The vial was cool when it was weighed.',
  ],
}
