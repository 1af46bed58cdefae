import type { SceneLines } from './mistake'

/** What is seen at the balance. */
export const BALANCE: SceneLines = {
  mistakes: [
    {
      id: 'damp-weighed',
      seen: 'The crystals are weighed straight from the funnel: 104 % recovery.',
      because: 'The solvent still in them is weighed too.',
      instead: 'Dry, weigh, and repeat until the mass stays the same.',
    },
    {
      id: 'stone-weighed',
      seen: 'A boiling stone is among the crystals in the boat.',
      because: 'It is weighed with the crystals.',
      instead: 'Pick it out before weighing, and write that down.',
    },
    {
      id: 'not-zeroed',
      seen: 'The display shows 0.014 g with nothing on the pan; the boat is put on.',
      because: 'This error is then in every reading.',
      instead: 'Clear the pan and zero the balance first.',
    },
    {
      id: 'door-open',
      seen: 'The last digit moves up and down, and the middle is written down.',
      because: 'A moving display is not a reading. The cause is a draught or warm glass.',
      instead: 'Close the doors and wait until it is at rest, with everything at room temperature.',
    },
    {
      id: 'scrap',
      seen: 'The mass is written on a paper towel, to be copied later.',
      because: 'Loose paper gets lost, and copying causes mistakes.',
      instead: 'Write it straight into the notebook, with all digits.',
    },
    {
      id: 'two-digits',
      seen: 'The balance says 1.804 g; the page says 1.8 g.',
      because: 'The digits that are left out are lost, and the recovery is less exact.',
      instead: 'Write what the balance gave: 1.804 g.',
    },
  ],
  fine: [
    'The doors are shut and the display is at rest at 0.000 g.',
    'The boat has a number, and the number is on the page.',
    'The vial was back at room temperature before it was weighed.',
    'The notebook says “1.804 g”, as the display did.',
  ],
}
