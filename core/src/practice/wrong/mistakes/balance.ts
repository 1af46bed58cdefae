import type { SceneLines } from './mistake'

/** What is seen at the balance. */
export const BALANCE: SceneLines = {
  mistakes: [
    {
      id: 'damp-weighed',
      seen: 'The crystals are weighed as they come from the funnel: 104 % recovery.',
      because: 'What it holds of solvent is weighed with it.',
      instead: 'Dry, weigh, dry again until it stays.',
    },
    {
      id: 'stone-weighed',
      seen: 'A boiling stone lies among the crystals in the boat.',
      because: 'It is weighed with them.',
      instead: 'Pick it out before weighing, and say so on the page.',
    },
    {
      id: 'not-zeroed',
      seen: 'The display shows 0.014 g with nothing on the pan; the boat is put on.',
      because: 'What stands there at the start is in the reading.',
      instead: 'Clear the pan and zero it first.',
    },
    {
      id: 'door-open',
      seen: 'The last digit runs up and down; the middle of it is written down.',
      because: 'A reading that moves is not one: a draught, or warm glass.',
      instead: 'Wait until it is at rest, doors shut, at room temperature.',
    },
    {
      id: 'scrap',
      seen: 'The mass is written on a paper towel, to be copied later.',
      because: 'Scraps get lost, and copying makes slips.',
      instead: 'Straight into the notebook, all digits.',
    },
    {
      id: 'two-digits',
      seen: 'The balance says 1.804 g; the page says 1.8 g.',
      because: 'The digits left off cannot be had back, and the recovery loses its worth.',
      instead: 'Write what the balance gave: 1.804 g.',
    },
  ],
  fine: [
    'Doors shut, the display at rest at 0.000 g.',
    'The boat has a number, and the number is on the page.',
    'The vial was back at room temperature before it was weighed.',
    '“1.804 g” stands in the notebook, as on the display.',
  ],
}
