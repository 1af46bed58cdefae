import type { Station } from '../stations/stations'
import type { Procedure } from './procedure'
import type { Rescue } from './rescue'
import { MELT_RESCUES } from './rescuesAtMelt'

const REHEAT =
  'Before reheating: off the boil, a fresh boiling stone, in the hood, no flame, and no hotter than the plan says.'

/** What goes wrong at the bench, and what to try, in order. */
export const RESCUES: readonly Rescue[] = [
  {
    id: 'will-not-dissolve',
    title: 'It will not dissolve',
    at: ['dissolve'],
    why: 'There is too little hot solvent, or it is not hot enough, or what is left is grit.',
    remedies: [
      {
        id: 'boil-gently',
        text: 'Check that it is as hot as the plan says, and swirl for two minutes.',
        caution: REHEAT,
      },
      { id: 'two-portions', text: 'Add two more small portions and watch whether less solid is left.' },
      {
        id: 'oily-drops',
        text: 'Oily drops are not grit: they need more hot solvent.',
      },
      {
        id: 'call-it-grit',
        text: 'If neither changed anything, stop: it is grit. Filter the hot liquid off it.',
      },
    ],
  },
  {
    id: 'too-much-solvent',
    title: 'Too much solvent',
    at: ['dissolve', 'crystallize'],
    why: 'Each extra mL keeps some product dissolved when it is cold.',
    remedies: [
      {
        id: 'boil-away',
        text: 'Evaporate some of it in the hood until a crust forms at the rim, then log how much you took off.',
        caution: `${REHEAT} Never evaporate an ether toward dryness.`,
      },
      {
        id: 'colder-longer',
        text: 'Or cool it further and longer, and plan a second crop from the mother liquor.',
      },
    ],
  },
  {
    id: 'boiled-dry',
    title: 'Boiled dry',
    at: ['dissolve', 'crystallize'],
    why: 'Without solvent the solid melts, oxidizes or decomposes, and all the impurity stays in it.',
    remedies: [
      {
        id: 'off-the-plate',
        text: 'Take it off the heat and let it cool where it stands. Add nothing to hot dry glass.',
        caution: 'Solvent on hot dry glass flashes into vapour or cracks the glass.',
      },
      {
        id: 'look-at-colour',
        text: 'Look at it when it is cold. If it is not darker than before, begin again with the least solvent.',
      },
      {
        id: 'tell-someone',
        text: 'If it is dark or smells burnt, show it to the person in charge before going on.',
      },
    ],
  },
  {
    id: 'boiled-over',
    title: 'Boiled over',
    at: ['dissolve'],
    why: 'It was overheated without a stone, or the stone went in late.',
    remedies: [
      {
        id: 'switch-off',
        text: 'Switch the plate off if you can reach it safely. Keep flames away, and step back until the vapour is gone.',
        caution: 'Flammable vapour travels. Tell your neighbours and the person in charge.',
      },
      {
        id: 'wipe-cold',
        text: 'When plate and liquid are cold, wipe it up with gloves on. The cloth is solvent waste.',
      },
      {
        id: 'weigh-the-loss',
        text: 'Go on with what is left, and write down that some was lost: the recovery will be lower.',
      },
    ],
  },
  {
    id: 'colour-stays',
    title: 'A colour that should not be there',
    at: ['dissolve', 'crystallize', 'collect'],
    why: 'A coloured impurity stays dissolved, or it is taken up by the crystals.',
    remedies: [
      { id: 'is-it-the-compound', text: 'Check on the shelf whether the compound itself has that colour.' },
      {
        id: 'charcoal',
        text: 'Take it off the boil, add a spatula tip of charcoal, heat gently, and filter hot.',
        caution: 'Charcoal makes a boiling solution froth over.',
      },
      {
        id: 'rinse-once',
        text: 'If only the liquor on the crystals is coloured, rinse once with a little ice-cold solvent.',
      },
      { id: 'again', text: 'If the crystals are coloured, recrystallize them more slowly.' },
    ],
  },
  {
    id: 'oil',
    title: 'An oil instead of crystals',
    at: ['crystallize'],
    why: 'It came out of solution above the melting range of the impure solid. An oil takes impurities with it.',
    remedies: [
      {
        id: 'warm-clear',
        text: 'Warm it until it is clear again, and add a little hot solvent.',
        caution: REHEAT,
      },
      {
        id: 'cool-slower',
        text: 'Cool it more slowly: insulate the flask, and seed or scratch when it just turns cloudy.',
      },
      {
        id: 'swirl-cold',
        text: 'If it oils again, swirl hard while it cools, so that the drops solidify small.',
      },
      { id: 'other-solvent', text: 'Otherwise choose a solvent that boils lower, or a pair.' },
    ],
  },
  {
    id: 'nothing-comes',
    title: 'No crystals appear',
    at: ['crystallize'],
    why: 'It is not saturated yet, or it is supersaturated and no crystal has started.',
    remedies: [
      { id: 'scratch', text: 'Scratch the wall at the surface with a glass rod.' },
      {
        id: 'seed',
        text: 'Add a seed crystal: a grain of pure solid, or what dries on a glass rod dipped in and waved.',
      },
      { id: 'ice', text: 'Cool it further, as far as the plan says, and wait ten minutes.' },
      {
        id: 'boil-away',
        text: 'Evaporate a third of the solvent in the hood, then cool again.',
        caution: `${REHEAT} Never evaporate an ether toward dryness.`,
      },
    ],
  },
  {
    id: 'all-at-once',
    title: 'It came all at once, as a fine powder',
    at: ['crystallize'],
    why: 'It cooled too fast or was too concentrated. Fine crystals hold mother liquor and impurity.',
    remedies: [
      {
        id: 'dissolve-again',
        text: 'Warm it until it dissolves, add a tenth more solvent, and let it cool undisturbed.',
        caution: REHEAT,
      },
      {
        id: 'take-it',
        text: 'If time is short, collect it, rinse it once, and expect a broader melting range.',
      },
    ],
  },
  {
    id: 'in-the-pipette',
    title: 'Crystals in the pipette or the funnel stem',
    at: ['dissolve', 'collect'],
    why: 'The glass was colder than the solution.',
    remedies: [
      { id: 'hot-solvent', text: 'Draw or pour a little hot solvent through, back into the flask.' },
      { id: 'warm-the-glass', text: 'Warm the pipette or funnel before the next time, and dilute a little.' },
    ],
  },
  {
    id: 'through-the-paper',
    title: 'Crystals go through the paper',
    at: ['collect'],
    collect: ['large funnel', 'small funnel'],
    why: 'The paper lay dry, folded or off centre, or the crystals are very fine.',
    remedies: [
      { id: 'stop-suction', text: 'Release the suction. The mother liquor is not lost.' },
      {
        id: 'seat-the-paper',
        text: 'Lay a new wetted paper flat over all holes, turn the suction on, and pour the liquor through again.',
      },
    ],
  },
  {
    id: 'stays-in-the-flask',
    title: 'Crystals stay in the flask',
    at: ['collect'],
    collect: ['large funnel', 'small funnel'],
    why: 'They cling to the glass.',
    remedies: [
      { id: 'own-liquor', text: 'Swirl them out with the cold mother liquor, more than once.' },
      { id: 'not-fresh', text: 'Do not use fresh solvent: it dissolves them.' },
    ],
  },
  {
    id: 'wet-cake',
    title: 'The cake stays wet',
    at: ['collect', 'weigh'],
    why: 'Air passes through a crack, or the solvent boils too high to dry in air.',
    remedies: [
      {
        id: 'press',
        text: 'Close the cracks and press the cake with a clean flat stopper, with suction on.',
      },
      { id: 'spread', text: 'Spread it thin on a weighed glass and stir it now and then.' },
      {
        id: 'constant-mass',
        text: 'Dry it to constant mass before you trust a recovery or a melting range.',
      },
    ],
  },
  {
    id: 'tube-broke',
    title: 'A tube broke in the centrifuge',
    at: ['collect'],
    collect: ['Craig tube', 'centrifuge tube'],
    why: 'The tube was cracked, or the rotor was not balanced.',
    remedies: [
      { id: 'let-it-stop', text: 'Switch it off and leave the lid shut until the rotor stands still.' },
      {
        id: 'tell-someone',
        text: 'Tell the person in charge: there is glass and solvent in the rotor.',
        caution: 'Never reach in with bare hands.',
      },
    ],
  },
  ...MELT_RESCUES,
  {
    id: 'over-hundred',
    title: 'More came out than went in',
    at: ['weigh'],
    why: 'The crystals are damp, a boiling stone or paper is among them, or the wrong empty vessel was subtracted.',
    remedies: [
      { id: 'look-for-stones', text: 'Look for boiling stones and fibres.' },
      { id: 'check-vessel', text: 'Weigh the same empty vessel on the same balance.' },
      { id: 'dry-on', text: 'Keep drying, and weigh again until two weighings agree.' },
    ],
  },
]

/** Rescues for one station and way of collecting, in the order they are likely there. */
export function rescuesAt(station: Station, collect: Procedure['collect'] | null = null): readonly Rescue[] {
  return RESCUES.filter(
    (rescue) =>
      rescue.at.includes(station) &&
      (collect === null || !rescue.collect || rescue.collect.includes(collect)),
  )
}
