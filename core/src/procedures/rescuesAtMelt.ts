import type { Rescue } from './rescue'

/** What goes wrong at the melting-point instrument, and what to do, in order. */
export const MELT_RESCUES: readonly Rescue[] = [
  {
    id: 'capillary-broke',
    title: 'A capillary broke in the block',
    at: ['melt'],
    why: 'It was pushed, or the block was turned over with it in.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Heating off; let it cool to room temperature. Nothing is poked into it hot.',
      },
      {
        id: 'take-it-out',
        text: 'Ask the person in charge: the pieces come out with tweezers, into glass waste.',
        caution: 'Gloves and eye protection: the pieces are sharp and hold the sample.',
      },
      { id: 'another-tube', text: 'Pack another tube, and note on the first that it broke.' },
    ],
  },
  {
    id: 'thermometer-stuck',
    title: 'The thermometer is stuck',
    at: ['melt'],
    why: 'Glass and metal shrink unalike, or old sample holds it.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Heating off; let it cool to room temperature.',
        caution: 'Never pull or twist: it snaps, and the stump goes into the hand.',
      },
      { id: 'ask', text: 'Still stuck when cold: leave it, and show it to the person in charge.' },
    ],
  },
  {
    id: 'mercury',
    title: 'A thermometer broke and mercury ran out',
    at: ['melt'],
    why: 'Mercury gives off poisonous vapour, much more of it when warm.',
    remedies: [
      {
        id: 'away',
        text: 'Stop. Heating off if it can be reached; everyone away; tread in nothing, touch nothing.',
        caution: 'On a hot block or in a hot bath: leave the room and close the door.',
      },
      {
        id: 'tell-someone',
        text: 'Tell the person in charge at once: the lab’s mercury kit, never a brush, a vacuum cleaner or the sink.',
      },
    ],
  },
  {
    id: 'tube-in-the-oil',
    title: 'A tube is lost in the oil bath',
    at: ['melt'],
    why: 'The band slipped, or the tube stood too low.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Heating off. Leave it until the oil is cold.',
        caution: 'Oil stays hot half an hour and more, and looks the same hot or cold.',
      },
      {
        id: 'fish-it-out',
        text: 'Cold: lift it out with tongs or a wire hook. If it broke, the oil goes to waste.',
      },
    ],
  },
]
