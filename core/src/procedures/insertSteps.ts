import type { Caution, StepTemplate } from './procedure'
import { NEVER_DRY, NOT_HOTTER } from './shared'

const FILTERING: readonly Caution[] = [
  {
    text: 'Keep everything hot: crystals form in the stem as soon as it cools. Work in the hood. A bent clip between funnel and flask lets the air out.',
    when: 'by paper',
  },
  {
    text: 'Keep pipette and plug as hot as the solution, and upright: otherwise it squirts or fills with crystals. Keep your face away from it.',
    when: 'by pipette filter',
  },
  {
    text: 'Take it off the boil first, and have no flame near: the vapour burns.',
    when: 'flammable solvent',
  },
  {
    text: 'If the filtrate is grey, filter it again through a fresh filter with filter aid.',
    when: 'charcoal',
  },
  { text: 'Add a fresh boiling stone before you heat it again.', when: 'boils' },
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
        text: 'Never add it to a boiling or overheated solution: it froths over. Charcoal also adsorbs some product.',
      },
      { text: 'Add a fresh boiling stone before you reheat it.', when: 'boils' },
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
    text: 'Evaporate the solvent added for the filtration, {atHeat}, back to {backTo}.',
    cautions: [
      { text: 'Add a fresh boiling stone. Work in the hood and stay with it, so that it does not boil dry.' },
      NEVER_DRY,
    ],
    when: ['hot filtration', 'no room to filter', 'open flask'],
  },
  {
    id: 'distil-back',
    station: 'dissolve',
    text: 'Distil off the solvent added for the filtration, back to {backTo}, from a round flask with the condenser turned downwards.',
    cautions: [
      { text: 'Add fresh boiling stones. Work in the hood and stay with it, so that it does not boil dry.' },
      NEVER_DRY,
    ],
    when: ['hot filtration', 'no room to filter', 'reflux'],
  },
  {
    id: 'leave-the-grit',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve. Add {filterExcess} more hot solvent than planned, so that nothing crystallizes on the way. Filter the hot liquid off the grit into a warm flask, and {awayAgain} back to {backTo}.',
    cautions: [
      { text: 'Add a fresh boiling stone before you evaporate it. Work in the hood and stay with it.' },
      NEVER_DRY,
    ],
    portions: 'dilute',
    when: ['grit expected', 'no room to filter'],
  },
  {
    id: 'leave-the-grit-as-planned',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve. Add hot solvent to {volume} in total, which keeps the rest dissolved on the way. Filter the hot liquid off the grit into a warm flask.',
    cautions: [NOT_HOTTER],
    portions: 'dilute',
    when: ['grit expected', 'room to filter', 'by portions'],
  },
  {
    id: 'leave-the-grit-measured',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve. Filter the hot liquid off it into a warm flask.',
    cautions: [NOT_HOTTER],
    when: ['grit expected', 'room to filter', 'measured volume'],
  },
  {
    id: 'dilute-hot',
    station: 'dissolve',
    text: 'Add hot solvent to {volume} in total, {dilutedFor}.',
    portions: 'dilute',
    cautions: [NOT_HOTTER],
    when: ['diluted after dissolving', 'by portions', 'nothing taken off hot'],
  },
]
