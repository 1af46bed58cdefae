import type { StepTemplate } from './procedure'

/** Runs of steps that several procedures have in common. */
const STONE =
  'The stone goes in before heating, never into hot liquid. A hot plate looks the same hot or cold.'

export const HEAT_SOLVENT: readonly StepTemplate[] = [
  {
    id: 'heat-solvent',
    station: 'dissolve',
    text: 'Set the hot plate to about {plate}, well above the {boiling} where {solvent} boils, and heat about {heat} of it in a flask of its own, with a boiling stone.',
    cautions: [
      {
        text: 'Flammable: in the hood, sash at the mark, no flame here or on the next bench.',
        when: 'flammable solvent',
      },
      { text: STONE },
    ],
    when: ['does not boil low'],
  },
  {
    id: 'heat-solvent-bath',
    station: 'dissolve',
    text: 'Heat about {heat} of {solvent} in a flask of its own, with a boiling stone, in a bath of warm water: it boils at {boiling}, too low for a hot plate.',
    cautions: [
      {
        text: 'Very volatile: in the hood, no flame and no bare hot plate near it.',
        when: 'flammable solvent',
      },
      { text: STONE },
    ],
    when: ['boils low'],
  },
]

export const WET_THE_CRUDE: StepTemplate = {
  id: 'wet-the-crude',
  station: 'dissolve',
  text: 'Put the {crude} of crude into {vessel} and add about {third} of solvent before it goes on the heat.',
  cautions: [
    { text: 'Dry solid on a hot plate melts to an oil.' },
    {
      text: 'A counted boiling stone goes in too, and has to be picked out later.',
      when: 'stones in both flasks',
    },
  ],
}

export const DISSOLVE: readonly StepTemplate[] = [
  {
    id: 'dissolve-in-portions',
    station: 'dissolve',
    text: 'Add hot solvent in small portions, swirl and wait after each, until it is just dissolved: near {least}. What two portions do not change is grit.',
    portions: 'dissolve',
    when: ['by portions'],
  },
  {
    id: 'dissolve-measured',
    station: 'dissolve',
    text: 'Add {volume} of hot solvent, measured, and swirl on the heat until it has dissolved. The least would be near {least}.',
    portions: 'dissolve',
    when: ['measured volume'],
  },
]

export const INSERT_STEPS: readonly StepTemplate[] = [
  {
    id: 'add-charcoal',
    station: 'dissolve',
    text: 'Take it off the heat until it no longer boils, add {charcoal} of decolourizing charcoal, swirl, and heat gently for 5 min.',
    cautions: [
      {
        text: 'Never into a boiling or overheated solution: it froths over. Charcoal also takes up some product.',
      },
      { text: 'A fresh boiling stone for the reheating.' },
    ],
    timer: { timer: 'boil', minutes: 5 },
    when: ['charcoal'],
  },
  {
    id: 'filter-hot',
    station: 'dissolve',
    text: 'Add {filterExcess} of hot solvent beyond what dissolves it, and filter through fluted paper in a warm short-stemmed funnel, into a flask with a little boiling solvent in it. Rinse the paper with a little hot solvent.',
    cautions: [
      { text: 'Keep all of it hot: it crystallizes in the stem as soon as it cools. In the hood.' },
      { text: 'A fresh boiling stone before it is heated again.' },
    ],
    portions: 'dilute',
    when: ['hot filtration'],
  },
  {
    id: 'boil-back',
    station: 'dissolve',
    text: 'Boil away what was added for the filtration, back to {volume}.',
    cautions: [{ text: 'A fresh boiling stone; in the hood; stay with it, so that it does not boil dry.' }],
    when: ['hot filtration'],
  },
  {
    id: 'leave-the-grit',
    station: 'dissolve',
    text: 'About {grit} is expected not to dissolve: add {filterExcess} of hot solvent beyond what dissolves the rest, so that nothing comes down on the way, take the hot liquid off the grit into a warm flask, and boil the excess away again.',
    cautions: [{ text: 'A fresh boiling stone before it is boiled down; in the hood; stay with it.' }],
    when: ['grit expected'],
  },
  {
    id: 'dilute-hot',
    station: 'dissolve',
    text: 'Add hot solvent up to {volume} in all, so that {impurity} stays dissolved when it is cold.',
    portions: 'dilute',
    when: ['diluted after dissolving', 'by portions'],
  },
]

export const COOL: readonly StepTemplate[] = [
  {
    id: 'off-the-heat',
    station: 'crystallize',
    text: 'Take it off the heat and cover it loosely with a watch glass.',
    cautions: [{ text: 'Never a tight stopper on a hot flask: it jumps, or sticks as the flask cools.' }],
  },
  {
    id: 'cool-undisturbed',
    station: 'crystallize',
    text: 'Leave it to cool to room temperature, undisturbed. Crystals can start near {starts}. If nothing appears: scratch the wall, seed it, or boil some solvent away.',
    cautions: [
      {
        text: 'Before any reheating: cool it a little, and a fresh boiling stone; the vapour stays in the hood.',
      },
    ],
    timer: { timer: 'cool', minutes: 15 },
    asks: 'temperature',
    meanwhile:
      'Weigh the empty watch glass. Chill {wash} of {rinse} in ice. Set up filter flask, trap and funnel. Pack a tube of the crude.',
    stop: 'At room temperature with crystals in it: cover, label, and it can stand in the hood until next week.',
  },
  {
    id: 'into-ice',
    station: 'crystallize',
    means: 'ice',
    text: 'When no more appears, stand it in ice down to about {cold}.',
    timer: { timer: 'ice', minutes: 10 },
    asks: 'temperature',
  },
]

export const SUCTION: readonly StepTemplate[] = [
  {
    id: 'set-up-suction',
    station: 'collect',
    text: 'Clamp the filter flask, fit thick hose, trap and {funnel}; wet the paper with cold solvent and turn the suction on.',
    cautions: [
      { text: 'An unclamped flask falls when the hose jumps. A trap keeps water and liquor apart.' },
    ],
  },
  {
    id: 'wipe-and-pour',
    station: 'collect',
    text: 'Wipe the outside of the flask dry, swirl, and pour onto the middle of the paper. Bring the rest over with a little of the cold liquor, not with fresh solvent.',
  },
  {
    id: 'rinse-cold',
    station: 'collect',
    text: 'Suction off, rinse with {wash} of ice-cold {rinse}, suction on: it costs at most {washLoss}.',
    portions: 'rinse',
    when: ['rinsed'],
  },
  {
    id: 'draw-air',
    station: 'collect',
    text: 'Draw air through the crystals for {air}, breaking lumps with a clean spatula.',
    timer: { timer: 'air', minutes: 'house rule' },
  },
  {
    id: 'keep-the-liquor',
    station: 'collect',
    means: 'liquor kept',
    text: 'Break the suction at the trap, then keep the mother liquor in a labelled flask until the yield is known.',
    asks: 'liquor kept',
  },
]

export const DRY: readonly StepTemplate[] = [
  {
    id: 'pick-out-stones',
    station: 'weigh',
    means: 'stones out',
    text: 'Look the crystals over and pick out every boiling stone and fibre of paper.',
    when: ['stones in both flasks'],
  },
  {
    id: 'dry-and-weigh-again',
    station: 'weigh',
    text: 'Spread the crystals on the weighed glass; weigh, dry on for {air}, weigh again, until two weighings agree.',
    timer: { timer: 'dry', minutes: 'house rule' },
    stop: 'Spread thin under a paper cover, labelled: it can dry until next week.',
    when: ['constant mass'],
  },
]

export const LIQUOR_WASTE = 'Mother liquor and rinse, once the yield is known: {liquorWaste}.'
export const ORDINARY_WASTE: readonly string[] = [
  'Filter paper and boiling stones: solid chemical waste, once dry.',
  'Capillaries: glass waste, used once and never cleaned out.',
  'Crystals: a labelled vial, or the container the person in charge names.',
]
