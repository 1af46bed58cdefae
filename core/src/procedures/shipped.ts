import type { Procedure, StepTemplate } from './procedure'
import {
  COOL,
  GUARD,
  DISSOLVE,
  DRY,
  HEAT_SOLVENT,
  INTO_ICE,
  KEEP_BACK,
  NOT_HOTTER,
  SPLITS,
  SUCTION,
  WET_THE_CRUDE,
} from './shared'
import { INSERT_STEPS } from './insertSteps'
import { LIQUOR_WASTE, ORDINARY_WASTE } from './waste'

const CHARCOAL_WASTE =
  'Put charcoal and its paper, still wet with solvent, into the solid waste in the hood, never into the paper bin.'
const FLASK_STEPS: readonly StepTemplate[] = [
  KEEP_BACK,
  HEAT_SOLVENT,
  WET_THE_CRUDE,
  ...DISSOLVE,
  ...INSERT_STEPS,
  ...COOL,
  ...SUCTION,
  ...DRY,
]

const LID =
  'Use a thick-walled centrifuge tube without cracks, within its rated speed. Keep the lid shut until the rotor stands still. Never run it unbalanced.'

const BY_DROPS: StepTemplate = {
  id: 'dissolve-by-drops',
  station: 'dissolve',
  text: 'Add hot {solvent} by drops until it has just dissolved, near {least} in total. Stir with a fine spatula in the heat after every few drops. Oily drops are not grit: they need more hot solvent.',
  cautions: [
    {
      text: 'Stirring replaces the boiling stone: an unstirred narrow tube throws its contents out. Point its mouth away from faces.',
    },
    SPLITS,
    NOT_HOTTER,
  ],
  portions: 'dissolve',
}

const HOT_PIPETTE = {
  text: 'A hot pipette squirts, and a cold one fills with crystals. Draw hot solvent up and down in it first, hold it upright, and keep your face away.',
} as const

const TOP_UP_HOT: StepTemplate = {
  id: 'top-up-hot',
  station: 'dissolve',
  text: 'Add hot solvent to {volume} in total, {dilutedFor}.',
  portions: 'dilute',
  cautions: [NOT_HOTTER],
  when: ['diluted after dissolving'],
}

const PARTNER_CAUTIONS = [
  {
    text: 'Balance by mass, not by height of liquid, within the limit in the manual of the centrifuge. Put the two tubes in opposite places in the rotor.',
  },
]
const SPIN: StepTemplate = {
  id: 'spin',
  station: 'collect',
  text: 'Spin for 3 min.',
  timer: { timer: 'spin', minutes: 3 },
  cautions: [{ text: LID }],
}

const CRAIG_STEPS: readonly StepTemplate[] = [
  KEEP_BACK,
  {
    ...HEAT_SOLVENT,
    text: 'Put about {heat} of {solvent} into a test tube{withStone}. Heat it {onHeatTube}.',
  },
  {
    ...WET_THE_CRUDE,
    text: 'Put the {crude} of crude into the Craig tube and wet it with a drop or two of solvent before it goes into the heat.',
    cautions: [
      GUARD,
      { text: 'Dry solid in the heat melts to an oil.', when: 'melts on the heat' },
      { text: 'Wear heat-resistant gloves: you hold the tube close to the heat.' },
    ],
  },
  BY_DROPS,
  {
    id: 'grit-in-craig',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve, and a Craig tube cannot filter it off. Draw the hot liquid through a filter-tip pipette into a clean Craig tube.',
    cautions: [HOT_PIPETTE],
    when: ['grit expected'],
  },
  TOP_UP_HOT,
  {
    id: 'plunger-in',
    station: 'crystallize',
    text: 'Set the plunger in loosely, stand the tube in a small flask, and leave it to cool to room temperature, undisturbed. Crystals can start near {starts}. {seeding}If no crystals appear, scratch the wall.',
    cautions: [SPLITS, { text: 'Set it loosely: a tight plunger on a hot tube jumps or sticks.' }],
    timer: { timer: 'cool', minutes: 10 },
    asks: 'temperature',
    meanwhile: 'Bend the wire. Weigh the empty vial. Prepare the partner tube for the centrifuge.',
    stop: 'Once it is cold and holds crystals, you can stopper it, label it and leave it upright in {store} until next week.',
    stopWhen: 'may stand',
  },
  ...INTO_ICE.map((step): StepTemplate => ({ ...step, timer: { timer: 'ice', minutes: 5 } })),
  {
    id: 'turn-over',
    station: 'collect',
    text: 'Loop a thin wire around the neck of the plunger and leave its end free. Slip the centrifuge tube over both, and turn everything over together.',
    cautions: [{ text: 'Hold the plunger in while you turn it. You pull it out again by the wire.' }],
  },
  {
    id: 'balance-partner',
    station: 'collect',
    text: 'Weigh it, and fill a partner tube with water to the same mass.',
    asks: 'centrifuge partner',
    cautions: PARTNER_CAUTIONS,
  },
  { ...SPIN, text: 'Spin for 3 min. The mother liquor runs past the plunger into the tip.' },
  {
    id: 'pull-out',
    station: 'collect',
    text: 'Pull the Craig tube out upright by the wire, and scrape the crystals from plunger and wall into the weighed vial.',
    cautions: [GUARD],
  },
  {
    id: 'dry-in-vial',
    station: 'collect',
    text: 'Leave the crystals spread in the open vial under a paper cover for {air}.',
    timer: { timer: 'air', minutes: 'house rule' },
  },
  {
    id: 'keep-the-liquor',
    station: 'collect',
    means: 'liquor kept',
    text: 'Keep the mother liquor in the tip of the centrifuge tube, labelled and dated, until the recovery is known.',
    asks: 'liquor kept',
  },
  ...DRY,
]

const TUBE_STEPS: readonly StepTemplate[] = [
  ...CRAIG_STEPS.slice(0, 2),
  {
    ...WET_THE_CRUDE,
    text: 'Weigh the empty centrifuge tube, put the {crude} of crude into it, and wet it with a few drops of solvent before it goes into the heat.',
    cautions: [GUARD, { text: 'Dry solid in the heat melts to an oil.', when: 'melts on the heat' }],
  },
  BY_DROPS,
  {
    id: 'draw-off-grit',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve. Let it settle while hot, and draw the hot liquid off it with a warmed pipette into a second, weighed tube. Rinse the grit with a few drops of hot solvent.',
    cautions: [HOT_PIPETTE],
    when: ['grit expected'],
  },
  {
    id: 'second-dissolving',
    station: 'dissolve',
    text: 'If crystals formed on the way, warm it again and add hot solvent by drops until it is clear.',
    portions: 'dissolve',
    when: ['grit expected'],
  },
  TOP_UP_HOT,
  {
    id: 'cool-undisturbed',
    station: 'crystallize',
    text: 'Take it out of the heat, cap it loosely, and let it cool to room temperature in a beaker, undisturbed. Crystals can start near {starts}. {seeding}If no crystals appear, scratch the wall, {orLessSolvent}.',
    cautions: [SPLITS, { text: 'Cap it loosely: a tight cap on a hot tube jumps, or sticks as it cools.' }],
    timer: { timer: 'cool', minutes: 10 },
    asks: 'temperature',
    meanwhile: '{getRinse}Prepare the partner tube for the centrifuge. Pack a tube of the crude.',
    stop: 'Once it is cold and holds crystals, you can cap it, label it and leave it upright in {store} until next week.',
    stopWhen: 'may stand',
  },
  ...INTO_ICE.map((step): StepTemplate => ({ ...step, timer: { timer: 'ice', minutes: 5 } })),
  {
    id: 'balance-partner',
    station: 'collect',
    text: 'Wipe the tube dry, weigh it, and fill a partner tube with water to the same mass.',
    asks: 'centrifuge partner',
    cautions: PARTNER_CAUTIONS,
  },
  SPIN,
  {
    id: 'draw-off-liquor',
    station: 'collect',
    text: 'Squeeze the bulb, push the tip of the pipette slowly to the bottom, and draw the liquor off the crystals.',
  },
  {
    id: 'rinse-cold',
    station: 'collect',
    text: 'Stir the crystals up with {wash} of {coldly} {rinse}. This costs at most {washLoss}.',
    portions: 'rinse',
    when: ['rinsed'],
  },
  {
    id: 'balance-again',
    station: 'collect',
    text: 'The tube is lighter now: balance it again.',
    asks: 'centrifuge partner',
    when: ['rinsed'],
  },
  { ...SPIN, id: 'spin-again', text: 'Spin for 3 min, and draw the rinse off.', when: ['rinsed'] },
  {
    id: 'keep-the-liquor',
    station: 'collect',
    means: 'liquor kept',
    text: 'Keep mother liquor and rinse in labelled, dated vials until the recovery is known.',
    asks: 'liquor kept',
  },
  {
    id: 'dry-in-tube',
    station: 'collect',
    text: 'Let it dry in the open tube for {air}, lying on its side under a paper cover.',
    timer: { timer: 'air', minutes: 'house rule' },
  },
  ...DRY,
]

const PAIR_STEPS: readonly StepTemplate[] = [
  KEEP_BACK,
  HEAT_SOLVENT,
  {
    id: 'heat-second',
    station: 'dissolve',
    text: 'Heat about {heatSecond} of {second} in {secondFlask} of its own{withStone}, in the same bath.',
    cautions: [NOT_HOTTER],
  },
  {
    ...WET_THE_CRUDE,
    text: 'Put the {crude} of crude into {vessel}{underCondenser} and add about {third} of {solvent} before it goes on the heat.',
  },
  {
    id: 'dissolve-in-good',
    station: 'dissolve',
    text: 'Dissolve it hot in {good} of {solvent}, added in portions. It can be clear before that: still add the rest, so that there is room for the second solvent. What two more portions do not change is grit. Oily drops are not grit: they need more hot solvent.',
    cautions: [
      { text: 'Hold it with a clamp or tongs. Do not lean over it. Swirl it, and never leave it.' },
      SPLITS,
      NOT_HOTTER,
    ],
    portions: 'dissolve',
  },
  ...INSERT_STEPS.filter((step) => step.id !== 'dilute-hot'),
  {
    id: 'cloud-with-second',
    station: 'dissolve',
    text: 'Keep it hot and add hot {second} by drops, swirling, until a cloud stays: roughly {poor}.',
    cautions: [
      {
        text: 'Use it hot: cold drops make it crystallize at once. Wet the pipette with it first, and hold it upright.',
      },
      NOT_HOTTER,
    ],
    portions: 'second',
  },
  {
    id: 'clear-again',
    station: 'dissolve',
    text: 'Clear it again with a few drops of hot {solvent}.',
    portions: 'dissolve',
  },
  ...COOL,
  ...SUCTION,
  ...DRY,
]

const EVAPORATION_STEPS: readonly StepTemplate[] = [
  KEEP_BACK,
  {
    id: 'dissolve-warm',
    station: 'dissolve',
    text: 'Dissolve the {crude} of crude in water of about {hot}, near {least}.',
    portions: 'dissolve',
    cautions: [{ text: 'Use water only. Never evaporate a flammable solvent over steam on an open glass.' }],
  },
  {
    id: 'leave-the-grit',
    station: 'dissolve',
    text: 'About {grit} will probably not dissolve. Pour the warm liquid off it.',
    when: ['grit expected'],
  },
  {
    id: 'onto-the-glass',
    station: 'crystallize',
    text: 'Pour it onto the weighed watch glass and set that on a beaker of boiling water.',
    cautions: [
      { text: 'Steam burns skin and is hard to see. Put a boiling stone in the beaker before you heat it.' },
    ],
    timer: { timer: 'boil', minutes: 20 },
    meanwhile: 'Check that you weighed the empty watch glass. Pack a tube of the crude.',
  },
  {
    id: 'off-before-dry',
    station: 'crystallize',
    text: 'Take it off with tongs while the last of the water is still there, and let that dry in air.',
    cautions: [{ text: 'It is not purified: everything that was dissolved is still on the glass.' }],
    stop: 'On the covered, labelled glass it can dry until next week.',
  },
  {
    id: 'scrape-together',
    station: 'collect',
    text: 'Leave the solid on its weighed glass, or scrape all of it together. No mother liquor holds any back.',
  },
  ...DRY,
]

/** The procedures the app ships with. A lab copies one and edits the copy. */
export const PROCEDURES: readonly Procedure[] = [
  {
    id: 'large-funnel',
    name: 'Flask and large suction funnel',
    collect: 'large funnel',
    solvents: 'one',
    scaleG: [2, 200],
    suits: 'about 2 g and more',
    steps: FLASK_STEPS,
    waste: [LIQUOR_WASTE, ...ORDINARY_WASTE, CHARCOAL_WASTE],
  },
  {
    id: 'small-funnel',
    name: 'Small flask and suction funnel',
    collect: 'small funnel',
    solvents: 'one',
    scaleG: [0.2, 2],
    suits: 'about 0.2 to 2 g',
    steps: FLASK_STEPS,
    waste: [LIQUOR_WASTE, ...ORDINARY_WASTE, CHARCOAL_WASTE],
  },
  {
    id: 'craig-tube',
    name: 'Craig tube in the centrifuge',
    collect: 'Craig tube',
    solvents: 'one',
    scaleG: [0.02, 0.2],
    suits: 'about 100 mg that dissolves without grit',
    steps: CRAIG_STEPS,
    waste: [LIQUOR_WASTE, ...ORDINARY_WASTE],
  },
  {
    id: 'centrifuge-tube',
    name: 'Centrifuge tube and pipette',
    collect: 'centrifuge tube',
    solvents: 'one',
    scaleG: [0.05, 0.5],
    suits: 'about 50 to 500 mg, grit or not',
    steps: TUBE_STEPS,
    waste: [LIQUOR_WASTE, ...ORDINARY_WASTE],
  },
  {
    id: 'solvent-pair',
    name: 'Two solvents, suction funnel',
    collect: 'small funnel',
    solvents: 'pair',
    scaleG: [0.2, 20],
    suits: 'when no single solvent is suitable',
    steps: PAIR_STEPS,
    waste: [LIQUOR_WASTE, ...ORDINARY_WASTE, CHARCOAL_WASTE],
  },
  {
    id: 'evaporation',
    name: 'Evaporation on a watch glass',
    collect: 'watch glass',
    solvents: 'water only',
    scaleG: [0.02, 2],
    suits: 'removes water only; everything dissolved stays with the solid',
    steps: EVAPORATION_STEPS,
    waste: ORDINARY_WASTE,
  },
]
