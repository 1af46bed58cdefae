import type { Caution, StepTemplate } from './procedure'

/** Runs of steps that several procedures have in common. */
const STONE = 'Add the boiling stone before heating, never to hot liquid.'
/** On every step at the heat: the temperature of the plan, where it is short of boiling. */
export const NOT_HOTTER: Caution = {
  text: 'Keep bath and solution at {hot} or below.',
  when: 'held below boiling',
}
const PEROXIDES: Caution = {
  text: 'Before you heat it, check the date of opening and test for peroxides. Never evaporate it toward dryness.',
  when: 'forms peroxides',
}
export const NEVER_DRY: Caution = {
  text: 'Never evaporate it toward dryness: it can hold peroxides.',
  when: 'forms peroxides',
}
export const OIL_BATH =
  'Oil bath: keep water out of it, and never heat it until it smokes or past its limit. It burns skin, and stays hot for half an hour.'
const OIL: Caution = { text: OIL_BATH, when: 'oil bath' }

/** On the steps at which the solvent is heated, poured or drawn off. */
const SOLVENT_GUARD: Caution = { text: 'The solvent: {solventGuard}', when: 'solvent guarded' }

/** On every step at which the solid is handled. */
export const GUARD: Caution = { text: '{guard}', when: 'guarded' }

export const KEEP_BACK: StepTemplate = {
  id: 'keep-back',
  station: 'dissolve',
  means: 'put aside',
  text: 'First, keep back {kept} of the crude in a labelled vial, for its melting range, a plate (TLC) and a seed crystal.',
  cautions: [GUARD],
  when: ['kept back'],
}

const HEATING_CAUTIONS: readonly Caution[] = [
  {
    text: 'Flammable: work in the hood with the sash at the mark, and have no flame here or on the next bench.',
    when: 'flammable solvent',
  },
  SOLVENT_GUARD,
  PEROXIDES,
  OIL,
  { text: STONE, when: 'boils' },
  { text: 'A hot plate looks like a cold one.', when: 'does not boil low' },
]

export const HEAT_SOLVENT: StepTemplate = {
  id: 'heat-solvent',
  station: 'dissolve',
  text: 'Put about {heat} of {solvent} into {solventFlask} of its own{withStone}{solventCondenser}. Heat it {onHeat}.',
  cautions: HEATING_CAUTIONS,
}

export const WET_THE_CRUDE: StepTemplate = {
  id: 'wet-the-crude',
  station: 'dissolve',
  text: 'Put the {crude} of crude into {vessel}{underCondenser} and add about {third} of solvent before it goes on the heat.',
  cautions: [
    GUARD,
    { text: 'Dry solid melts to an oil on the heat.', when: 'melts on the heat' },
    {
      text: '{toBoilOn} in too before you heat it, and out again later.',
      when: 'stones in both flasks',
    },
  ],
}

/** On the steps at which it is hot in what splits it. */
export const SPLITS: Caution = { text: '{splits}', when: 'split hot' }

const AT_THE_FLASK: readonly Caution[] = [
  SPLITS,
  {
    text: 'Hold it with a clamp or tongs. Do not lean over it. Swirl it, and never leave it.',
    when: 'open flask',
  },
  {
    text: 'Turn the condenser water on before the heat, and never leave it while it is hot. Lower the heat (the jack down){toSettle} before you add anything from above, and leave the clamps as they are.',
    when: 'reflux',
  },
  NOT_HOTTER,
]

export const DISSOLVE: readonly StepTemplate[] = [
  {
    id: 'dissolve-in-portions',
    station: 'dissolve',
    text: 'Add hot solvent in small portions until it has just dissolved, near {least}. Swirl and wait after each portion. What two more portions do not change is grit. Oily drops are not grit: they need more hot solvent.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['by portions', 'open flask'],
  },
  {
    id: 'dissolve-under-reflux',
    station: 'dissolve',
    text: 'Add hot solvent in portions of at most 50 mL through the condenser or a dropping funnel until it has just dissolved, near {least}. After each portion, {gently}. What two more portions do not change is grit. Oily drops are not grit: they need more hot solvent.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['by portions', 'reflux'],
  },
  {
    id: 'dissolve-measured',
    station: 'dissolve',
    text: 'Add {volume} of hot solvent, measured, and swirl on the heat until it has dissolved. The least hot volume is about {least}.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['measured volume', 'open flask'],
  },
  {
    id: 'dissolve-measured-under-reflux',
    station: 'dissolve',
    text: 'Add {volume} of hot solvent, measured, in portions of at most 50 mL through the condenser or a dropping funnel, until it has dissolved. After each portion, {gently}. The least hot volume is about {least}.',
    portions: 'dissolve',
    cautions: AT_THE_FLASK,
    when: ['measured volume', 'reflux'],
  },
]

const TIGHT = 'Never put a tight stopper on a hot flask: it jumps, or sticks as the flask cools.'

/** How a flask is left until next week; never with an ether in it. */
const LEFT_IN_THE_FLASK =
  'Once it is cold and holds crystals, you can stopper it, label it and leave it in {store} until next week.'

export const INTO_ICE: readonly StepTemplate[] = [
  {
    id: 'into-ice',
    station: 'crystallize',
    means: 'ice',
    text: 'When no more crystals appear, stand it in {ice} down to about {cold}.',
    timer: { timer: 'ice', minutes: { small: 10 } },
    asks: 'temperature',
    when: ['in ice'],
  },
  {
    id: 'into-cool-water',
    station: 'crystallize',
    means: 'ice',
    text: 'When no more crystals appear, stand it in water of about {cold}{whyNotIce}.',
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
    text: 'Leave it to cool to room temperature, undisturbed. Crystals can start near {starts}. {seeding}If no crystals appear, scratch the wall, {orLessSolvent}.',
    cautions: [
      SPLITS,
      {
        text: 'Before you reheat it, let it cool a little and add a fresh boiling stone. Keep the vapour in the hood.',
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
        text: 'Use only a thick-walled filter flask without star cracks: any other can burst inwards. An unclamped flask falls when the hose jumps. A trap keeps water and liquor apart.',
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
    text: 'Turn the suction off, rinse with {wash} of {coldly} {rinse}, and turn it on again. This costs at most {washLoss}.',
    portions: 'rinse',
    cautions: [
      {
        text: 'The volume is small because it dissolves the crystals well. Press them hard with a clean stopper first, then drop it on evenly.',
        when: 'sparing rinse',
      },
    ],
    when: ['rinsed'],
  },
  {
    id: 'press-dry',
    station: 'collect',
    text: 'Press the crystals hard with a clean stopper, with suction on, until nothing drips. No rinse is planned.',
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
      { text: '{dryNever} Drawing air through it for long also carries it off.', when: 'never dried so' },
    ],
    timer: { timer: 'air', minutes: 'house rule' },
    when: ['goes off'],
  },
  {
    id: 'keep-the-liquor',
    station: 'collect',
    means: 'liquor kept',
    text: 'Release the suction at the trap. Keep the mother liquor in a labelled, dated flask until the recovery is known.',
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
    text: '{spreadOn} and {dryIn}. Weigh them, dry them again for {between} and weigh them again, until two weighings agree.',
    cautions: [
      { text: '{dryNever}', when: 'never dried so' },
      GUARD,
      {
        text: 'Let it cool before you weigh it. Never put anything wet with solvent into this oven.',
        when: 'oven',
      },
    ],
    timer: { timer: 'dry', minutes: 'house rule' },
    stop: 'Spread thin and labelled under a paper cover, it can dry until next week.',
    when: ['constant mass'],
  },
  {
    id: 'spread-to-dry',
    station: 'weigh',
    text: '{spreadOn} under a paper cover in the hood, for {spread} more before they are weighed or melted.',
    cautions: [GUARD, { text: '{dryNever}', when: 'never dried so' }],
    timer: { timer: 'dry', minutes: 'rest of the air' },
    stop: 'Spread thin and labelled under a paper cover, it can dry until next week.',
    when: ['spread on'],
  },
]
