import type { Caution, StepTemplate } from './procedure'
import { NEVER_DRY, NOT_HOTTER } from './shared'

const FILTERING: readonly Caution[] = [
  {
    text: 'Keep all of it hot: it crystallizes in the stem as soon as it cools. In the hood; a bent clip between funnel and flask lets the air out.',
    when: 'by paper',
  },
  {
    text: 'Pipette and plug as hot as the solution, upright, never mouth over it: it squirts, or fills with crystals.',
    when: 'by pipette filter',
  },
  { text: 'Off the boil first, and no flame: the vapour burns.', when: 'flammable solvent' },
  { text: 'A grey filtrate goes through a fresh filter with filter aid again.', when: 'charcoal' },
  { text: 'A fresh boiling stone before it is heated again.', when: 'boils' },
  NOT_HOTTER,
]

/** What goes in between dissolving and cooling, where a batch asks for it. */
export const INSERT_STEPS: readonly StepTemplate[] = [
  {
    id: 'add-charcoal',
    station: 'dissolve',
    text: 'Take it off the heat until it no longer boils, add {charcoal} of decolourizing charcoal, swirl, and heat gently for 5 min.',
    cautions: [
      {
        text: 'Never into a boiling or overheated solution: it froths over. Charcoal also takes up some product.',
      },
      { text: 'A fresh boiling stone for the reheating.', when: 'boils' },
      NOT_HOTTER,
    ],
    timer: { timer: 'boil', minutes: 5 },
    when: ['charcoal'],
  },
  {
    id: 'filter-hot-as-planned',
    station: 'dissolve',
    text: 'Make it up with hot solvent to {volume} in all, which keeps it dissolved on the way, and {filterThrough}',
    cautions: FILTERING,
    portions: 'dilute',
    when: ['hot filtration', 'room to filter', 'by portions'],
  },
  {
    id: 'filter-hot-measured',
    station: 'dissolve',
    text: 'Keep it hot, {volume} keeps it dissolved on the way, and {filterThrough}',
    cautions: FILTERING,
    portions: 'dilute',
    when: ['hot filtration', 'room to filter', 'measured volume'],
  },
  {
    id: 'filter-hot',
    station: 'dissolve',
    text: 'Add {filterExcess} of hot solvent beyond the plan, and {filterThrough}',
    cautions: FILTERING,
    portions: 'dilute',
    when: ['hot filtration', 'no room to filter'],
  },
  {
    id: 'boil-back',
    station: 'dissolve',
    text: 'Evaporate what was added for the filtration, {atHeat}, back to {backTo}.',
    cautions: [
      { text: 'A fresh boiling stone; in the hood; stay with it, so that it does not go dry.' },
      NEVER_DRY,
    ],
    when: ['hot filtration', 'no room to filter', 'open flask'],
  },
  {
    id: 'distil-back',
    station: 'dissolve',
    text: 'Distil off what was added for the filtration, from a round flask with the condenser turned downwards, back to {backTo}.',
    cautions: [
      { text: 'Fresh boiling stones; in the hood; stay with it, so that it does not go dry.' },
      NEVER_DRY,
    ],
    when: ['hot filtration', 'no room to filter', 'reflux'],
  },
  {
    id: 'leave-the-grit',
    station: 'dissolve',
    text: 'About {grit} is expected not to dissolve: add {filterExcess} of hot solvent beyond the plan, so that nothing comes down on the way, take the hot liquid off the grit into a warm flask, and {awayAgain} back to {backTo}.',
    cautions: [
      { text: 'A fresh boiling stone before it is evaporated; in the hood; stay with it.' },
      NEVER_DRY,
    ],
    portions: 'dilute',
    when: ['grit expected', 'no room to filter'],
  },
  {
    id: 'leave-the-grit-as-planned',
    station: 'dissolve',
    text: 'About {grit} is expected not to dissolve: make it up with hot solvent to {volume} in all, which keeps the rest dissolved on the way, and take the hot liquid off the grit into a warm flask.',
    cautions: [NOT_HOTTER],
    portions: 'dilute',
    when: ['grit expected', 'room to filter', 'by portions'],
  },
  {
    id: 'leave-the-grit-measured',
    station: 'dissolve',
    text: 'About {grit} is expected not to dissolve: take the hot liquid off it into a warm flask.',
    cautions: [NOT_HOTTER],
    when: ['grit expected', 'room to filter', 'measured volume'],
  },
  {
    id: 'dilute-hot',
    station: 'dissolve',
    text: 'Add hot solvent up to {volume} in all, {dilutedFor}.',
    portions: 'dilute',
    cautions: [NOT_HOTTER],
    when: ['diluted after dissolving', 'by portions', 'nothing taken off hot'],
  },
]
