import type { Rescue } from './rescue'

/** What goes wrong at the melting-point instrument, and what to do, in order. */
export const MELT_RESCUES: readonly Rescue[] = [
  {
    id: 'capillary-broke',
    title: 'A capillary broke in the block',
    at: ['melt'],
    why: 'It was forced, or the block was turned over with the tube in it.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Turn the heating off and let the block cool to room temperature. Never poke anything into a hot block.',
      },
      {
        id: 'take-it-out',
        text: 'Ask the person in charge. The pieces come out with tweezers and go to glass waste.',
        caution: 'Wear gloves and eye protection: the pieces are sharp and hold the sample.',
      },
      { id: 'another-tube', text: 'Pack another tube, and note for the first one that it broke.' },
    ],
  },
  {
    id: 'thermometer-stuck',
    title: 'The thermometer is stuck',
    at: ['melt'],
    why: 'Glass and metal shrink differently, or old sample holds it.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Turn the heating off and let it cool to room temperature.',
        caution: 'Never pull or twist: it snaps, and the stump goes into the hand.',
      },
      { id: 'ask', text: 'If it is still stuck when cold, leave it and show it to the person in charge.' },
    ],
  },
  {
    id: 'mercury',
    title: 'A thermometer broke and mercury ran out',
    at: ['melt'],
    why: 'Mercury gives off poisonous vapour, and much more when it is warm.',
    remedies: [
      {
        id: 'away',
        text: 'Stop. Turn the heating off if you can reach it. Everyone moves away. Do not tread in it or touch anything.',
        caution: 'If it is on a hot block or in a hot bath, leave the room and close the door.',
      },
      {
        id: 'tell-someone',
        text: 'Tell the person in charge at once. Use only the mercury kit of the lab, never a brush, a vacuum cleaner or the sink.',
      },
    ],
  },
  {
    id: 'tube-in-the-oil',
    title: 'A tube is lost in the oil bath',
    at: ['melt'],
    why: 'The rubber band slipped, or the tube was too low.',
    remedies: [
      {
        id: 'let-it-cool',
        text: 'Turn the heating off, and leave it until the oil is cold.',
        caution: 'Oil stays hot for half an hour or longer, and hot oil looks like cold oil.',
      },
      {
        id: 'fish-it-out',
        text: 'When it is cold, lift the tube out with tongs or a wire hook. If it broke, the oil goes to waste.',
      },
    ],
  },
]
