import type { Caution, StepTemplate } from './procedure'

/** Runs of steps that several procedures have in common. */
const STONE = 'The stone goes in before heating, never into hot liquid.'
/** On every step at the heat: the temperature of the plan, where it is short of boiling. */
export const NOT_HOTTER: Caution = { text: 'Bath and solution not above {hot}.', when: 'held below boiling' }
const PEROXIDES: Caution = {
  text: 'Before it is heated: the date of opening, and a peroxide test. Never evaporated toward dryness.',
  when: 'forms peroxides',
}
export const NEVER_DRY: Caution = {
  text: 'Never toward dryness: it can hold peroxides.',
  when: 'forms peroxides',
}
export const OIL_BATH =
  'Oil bath: no drop of water in it, never to smoking or past its limit; it burns, and stays hot half an hour.'
const OIL: Caution = { text: OIL_BATH, when: 'oil bath' }

/** On the steps at which the solvent is heated, poured or drawn off. */
const SOLVENT_GUARD: Caution = { text: 'The solvent: {solventGuard}', when: 'solvent guarded' }

/** On every step at which the solid is handled. */
export const GUARD: Caution = { text: '{guard}', when: 'guarded' }

export const KEEP_BACK: StepTemplate = {
  id: 'keep-back',
  station: 'dissolve',
  means: 'put aside',
  text: 'First of all put {kept} of the crude aside in a labelled vial: for its melting range, a plate and a seed.',
  cautions: [GUARD],
  when: ['kept back'],
}

const HEATING_CAUTIONS: readonly Caution[] = [
  {
    text: 'Flammable: in the hood, sash at the mark, no flame here or on the next bench.',
    when: 'flammable solvent',
  },
  SOLVENT_GUARD,
  PEROXIDES,
  OIL,
  { text: STONE, when: 'boils' },
  { text: 'A hot plate looks the same hot or cold.', when: 'does not boil low' },
]

export const HEAT_SOLVENT: StepTemplate = {
  id: 'heat-solvent',
  station: 'dissolve',
  text: 'Heat about {heat} of {solvent} in {solventFlask} of its own{solventCondenser}{withStone} {onHeat}.',
  cautions: HEATING_CAUTIONS,
}

export const WET_THE_CRUDE: StepTemplate = {
  id: 'wet-the-crude',
  station: 'dissolve',
  text: 'Put the {crude} of crude into {vessel}{underCondenser} and add about {third} of solvent before it goes on the heat.',
  cautions: [
    GUARD,
    { text: 'Dry solid on the heat melts to an oil.', when: 'melts on the heat' },
    {
      text: '{toBoilOn} in too, before it is heated, and out again later.',
      when: 'stones in both flasks',
    },
  ],
}

/** On the steps at which it is hot in what splits it. */
export const SPLITS: Caution = { text: '{splits}', when: 'split hot' }

const AT_THE_FLASK: readonly Caution[] = [
  SPLITS,
  { text: 'Clamp or tongs; nobody leans over it; swirl it, and never leave it.', when: 'open flask' },
  {
    text: 'The condenser water runs before the heat goes on; never leave it while it is hot. Lower the heat (the jack down){toSettle} before anything goes in from above, and clamps stay as they are.',
    when: 'reflux',
  },
  NOT_HOTTER,
]

export const DISSOLVE: readonly StepTemplate[] = [
  {
    id: 'dissolve-in-portions',
    station: 'dissolve',
    text: 'Add hot solvent in small portions, swirl and wait after each, until it is just dissolved: near {least}. What two portions past that do not change is grit; oily drops are not grit, they want more hot solvent.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['by portions', 'open flask'],
  },
  {
    id: 'dissolve-under-reflux',
    station: 'dissolve',
    text: 'Add hot solvent in portions of at most 50 mL through the condenser or a dropping funnel, {gently}, until it is just dissolved: near {least}. What two portions past that do not change is grit; oily drops are not grit, they want more hot solvent.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['by portions', 'reflux'],
  },
  {
    id: 'dissolve-measured',
    station: 'dissolve',
    text: 'Add {volume} of hot solvent, measured, and swirl on the heat until it has dissolved. The least would be near {least}.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['measured volume', 'open flask'],
  },
  {
    id: 'dissolve-measured-under-reflux',
    station: 'dissolve',
    text: 'Add {volume} of hot solvent, measured, in portions of at most 50 mL through the condenser or a dropping funnel; {gently}, until it has dissolved. The least would be near {least}.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['measured volume', 'reflux'],
  },
]

const TIGHT = 'Never a tight stopper on a hot flask: it jumps, or sticks as the flask cools.'

/** How a flask is left until next week; never with an ether in it. */
const LEFT_IN_THE_FLASK =
  'Once it is cold and has crystals in it: stoppered, labelled, it can stand in {store} until next week.'

export const INTO_ICE: readonly StepTemplate[] = [
  {
    id: 'into-ice',
    station: 'crystallize',
    means: 'ice',
    text: 'When no more appears, stand it in {ice} down to about {cold}.',
    timer: { timer: 'ice', minutes: { small: 10 } },
    asks: 'temperature',
    when: ['in ice'],
  },
  {
    id: 'into-cool-water',
    station: 'crystallize',
    means: 'ice',
    text: 'When no more appears, stand it in water of about {cold}{whyNotIce}.',
    timer: { timer: 'ice', minutes: { small: 10 } },
    asks: 'temperature',
    when: ['in cool water'],
  },
]

export const COOL: readonly StepTemplate[] = [
  {
    id: 'off-the-heat',
    station: 'crystallize',
    text: 'Take it off the heat and cover it loosely with a watch glass.',
    cautions: [{ text: TIGHT }],
    when: ['open flask'],
  },
  {
    id: 'heat-away',
    station: 'crystallize',
    text: 'Take the heat away and leave the condenser on {untilQuiet}, then cover the neck loosely with a watch glass.',
    cautions: [{ text: TIGHT }],
    when: ['reflux', 'nothing taken off hot'],
  },
  {
    id: 'cover-the-filtrate',
    station: 'crystallize',
    text: 'Take the flask with the clear solution off the heat and cover its neck loosely with a watch glass.',
    cautions: [{ text: TIGHT }],
    when: ['reflux', 'taken off hot'],
  },
  {
    id: 'cool-undisturbed',
    station: 'crystallize',
    text: 'Leave it to cool to room temperature, undisturbed. Crystals can start near {starts}. {seeding}If nothing appears: scratch the wall, {orLessSolvent}.',
    cautions: [
      SPLITS,
      {
        text: 'Before any reheating: cool it a little, and a fresh boiling stone; the vapour stays in the hood.',
      },
      NEVER_DRY,
    ],
    timer: { timer: 'cool', minutes: { small: 15 } },
    asks: 'temperature',
    meanwhile:
      'Weigh the empty glass. {getRinse}Set up filter flask, trap and funnel. Pack a tube of the crude.',
    stop: LEFT_IN_THE_FLASK,
    stopWhen: 'may stand',
  },
  ...INTO_ICE,
]

export const SUCTION: readonly StepTemplate[] = [
  {
    id: 'set-up-suction',
    station: 'collect',
    text: 'Clamp the filter flask, fit thick hose, trap and {funnel}; wet the paper with cold solvent and turn the suction on.',
    cautions: [
      {
        text: 'Thick-walled filter flask only, looked over for star cracks: any other can burst inwards. An unclamped flask falls when the hose jumps. A trap keeps water and liquor apart.',
      },
    ],
  },
  {
    id: 'wipe-and-pour',
    station: 'collect',
    text: 'Wipe the outside of the flask dry, swirl, and pour onto the middle of the paper. Bring the rest over with a little of the cold liquor, not with fresh solvent.',
    cautions: [SOLVENT_GUARD],
  },
  {
    id: 'rinse-cold',
    station: 'collect',
    text: 'Suction off, rinse with {wash} of {coldly} {rinse}, suction on: it costs at most {washLoss}.',
    portions: 'rinse',
    cautions: [
      {
        text: 'So little because it dissolves the crystals well: press them hard with a clean stopper first, then drop it on evenly.',
        when: 'sparing rinse',
      },
    ],
    when: ['rinsed'],
  },
  {
    id: 'press-dry',
    station: 'collect',
    text: 'Press the crystals hard with a clean stopper, suction on, until nothing drips: no rinse is planned.',
    when: ['not rinsed'],
  },
  {
    id: 'draw-air',
    station: 'collect',
    text: 'Draw air through the crystals for {air}, breaking lumps with a clean spatula.',
    cautions: [GUARD, SOLVENT_GUARD],
    timer: { timer: 'air', minutes: 'house rule' },
    when: ['stays'],
  },
  {
    id: 'draw-air-briefly',
    station: 'collect',
    text: 'Draw air through the crystals for 2 min only, breaking lumps with a clean spatula, then spread them in the hood, covered with paper, for {air}.',
    cautions: [
      GUARD,
      { text: '{dryNever} Drawn with air for long, it goes off too.', when: 'never dried so' },
    ],
    timer: { timer: 'air', minutes: 'house rule' },
    when: ['goes off'],
  },
  {
    id: 'keep-the-liquor',
    station: 'collect',
    means: 'liquor kept',
    text: 'Break the suction at the trap, then keep the mother liquor in a flask, labelled and dated, until the yield is known.',
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
    text: '{spreadOn} and {dryIn}; weigh, dry for another {between}, weigh again, until two weighings agree.',
    cautions: [
      { text: '{dryNever}', when: 'never dried so' },
      GUARD,
      { text: 'Weigh it cold. Nothing wet with solvent ever goes into this oven.', when: 'oven' },
    ],
    timer: { timer: 'dry', minutes: 'house rule' },
    stop: 'Spread thin under a paper cover, labelled: it can dry until next week.',
    when: ['constant mass'],
  },
  {
    id: 'spread-to-dry',
    station: 'weigh',
    text: '{spreadOn} under a paper cover in the hood, for {spread} more before they are weighed or melted.',
    cautions: [GUARD, { text: '{dryNever}', when: 'never dried so' }],
    timer: { timer: 'dry', minutes: 'rest of the air' },
    stop: 'Spread thin under a paper cover, labelled: it can dry until next week.',
    when: ['spread on'],
  },
]
