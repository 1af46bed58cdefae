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
    why: 'Either there is too little hot solvent, it is not hot enough, or what is left is grit.',
    remedies: [
      {
        id: 'boil-gently',
        text: 'See that it is as hot as the plan says, and swirl for two minutes.',
        caution: REHEAT,
      },
      { id: 'two-portions', text: 'Add two more small portions and watch whether the solid gets less.' },
      {
        id: 'oily-drops',
        text: 'Oily drops are not grit: they want more hot solvent.',
      },
      {
        id: 'call-it-grit',
        text: 'If neither changed anything: stop, it is grit. Take the hot liquid off it.',
      },
    ],
  },
  {
    id: 'too-much-solvent',
    title: 'Too much solvent',
    at: ['dissolve', 'crystallize'],
    why: 'Each mL keeps its share of product when it is cold.',
    remedies: [
      {
        id: 'boil-away',
        text: 'Evaporate some in the hood until a crust forms at the rim, then log what was taken off.',
        caution: `${REHEAT} An ether never toward dryness.`,
      },
      { id: 'colder-longer', text: 'Or cool it further and longer, and plan a second crop from the liquor.' },
    ],
  },
  {
    id: 'boiled-dry',
    title: 'Boiled dry',
    at: ['dissolve', 'crystallize'],
    why: 'Without solvent the solid melts, oxidizes or decomposes, and all impurity stays with it.',
    remedies: [
      {
        id: 'off-the-plate',
        text: 'Take it off the heat and let it cool where it stands. Add nothing to hot dry glass.',
        caution: 'Solvent on hot dry glass flashes into vapour or cracks it.',
      },
      {
        id: 'look-at-colour',
        text: 'Cold, look at it: if it is not darker than before, begin again with the least solvent.',
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
        text: 'Plate off at its switch if that can be reached safely; keep flames away; step back until the vapour is gone.',
        caution: 'Flammable vapour travels. Tell your neighbours and the person in charge.',
      },
      {
        id: 'wipe-cold',
        text: 'When plate and liquid are cold, wipe up with gloves; the cloth is solvent waste.',
      },
      {
        id: 'weigh-the-loss',
        text: 'Go on with what is left and write down that part was lost: the recovery will show it.',
      },
    ],
  },
  {
    id: 'colour-stays',
    title: 'A colour that should not be there',
    at: ['dissolve', 'crystallize', 'collect'],
    why: 'A coloured impurity stays dissolved, or it is taken up by the crystals.',
    remedies: [
      { id: 'is-it-the-compound', text: 'See on the shelf whether the compound itself has that colour.' },
      {
        id: 'charcoal',
        text: 'Off the boil, add a spatula tip of charcoal, heat gently, filter hot.',
        caution: 'Charcoal into a boiling solution froths over.',
      },
      { id: 'rinse-once', text: 'If it is only liquor on the crystals: one small ice-cold rinse.' },
      { id: 'again', text: 'If it is in the crystals: crystallize again, slower.' },
    ],
  },
  {
    id: 'oil',
    title: 'An oil instead of crystals',
    at: ['crystallize'],
    why: 'It came out of solution above where the impure solid melts. An oil takes the impurity along.',
    remedies: [
      {
        id: 'warm-clear',
        text: 'Warm until it is clear again and add a little hot solvent.',
        caution: REHEAT,
      },
      { id: 'cool-slower', text: 'Cool slower: insulate the flask, seed it or scratch when it just clouds.' },
      {
        id: 'swirl-cold',
        text: 'If it oils again: swirl hard while cooling, so that the drops solidify small.',
      },
      { id: 'other-solvent', text: 'Otherwise choose a solvent that boils lower, or a pair.' },
    ],
  },
  {
    id: 'nothing-comes',
    title: 'Nothing comes down',
    at: ['crystallize'],
    why: 'It is still unsaturated, or supersaturated without a place to begin.',
    remedies: [
      { id: 'scratch', text: 'Scratch the wall at the surface with a glass rod.' },
      { id: 'seed', text: 'Add a seed: a grain of pure solid, or what dries on a rod dipped in and waved.' },
      { id: 'ice', text: 'Colder, as far as the plan goes, and wait ten minutes.' },
      {
        id: 'boil-away',
        text: 'Evaporate a third of the solvent in the hood, then cool again.',
        caution: `${REHEAT} An ether never toward dryness.`,
      },
    ],
  },
  {
    id: 'all-at-once',
    title: 'It came all at once, as a fine powder',
    at: ['crystallize'],
    why: 'It was cooled too fast or too concentrated: fine crystals hold liquor and impurity.',
    remedies: [
      {
        id: 'dissolve-again',
        text: 'Warm until dissolved, add a tenth more solvent, and cool undisturbed.',
        caution: REHEAT,
      },
      { id: 'take-it', text: 'If time is short: take it, rinse once, and expect a wider melting range.' },
    ],
  },
  {
    id: 'in-the-pipette',
    title: 'Crystals in the pipette or the funnel stem',
    at: ['dissolve', 'collect'],
    why: 'Glass colder than the solution.',
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
      { id: 'stop-suction', text: 'Break the suction. The liquor is not lost.' },
      {
        id: 'seat-the-paper',
        text: 'New paper, wetted, flat over all holes, suction on, then pour the liquor through again.',
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
      { id: 'not-fresh', text: 'Not with fresh solvent: that dissolves them.' },
    ],
  },
  {
    id: 'wet-cake',
    title: 'The cake stays wet',
    at: ['collect', 'weigh'],
    why: 'A crack lets the air past, or the solvent boils too high for air alone.',
    remedies: [
      { id: 'press', text: 'Close cracks and press the cake with a clean flat stopper, suction on.' },
      { id: 'spread', text: 'Spread it thin on a weighed glass and stir it now and then.' },
      { id: 'constant-mass', text: 'Dry to constant mass before you trust a recovery or a melting range.' },
    ],
  },
  {
    id: 'tube-broke',
    title: 'A tube broke in the centrifuge',
    at: ['collect'],
    collect: ['Craig tube', 'centrifuge tube'],
    why: 'It was cracked, or unbalanced.',
    remedies: [
      { id: 'let-it-stop', text: 'Switch off and leave the lid shut until it stands still.' },
      {
        id: 'tell-someone',
        text: 'Tell the person in charge; glass and solvent are in the rotor.',
        caution: 'Never reach in with bare hands.',
      },
    ],
  },
  ...MELT_RESCUES,
  {
    id: 'over-hundred',
    title: 'More came out than went in',
    at: ['weigh'],
    why: 'Damp crystals, a stone or paper among them, or the wrong vessel subtracted.',
    remedies: [
      { id: 'look-for-stones', text: 'Look for boiling stones and fibres.' },
      { id: 'check-vessel', text: 'Weigh the same empty vessel on the same balance.' },
      { id: 'dry-on', text: 'Keep drying and weigh again until two weighings agree.' },
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
