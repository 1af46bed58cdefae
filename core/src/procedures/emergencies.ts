/** Someone is hurt or something burns: what to do first, in five words at most, and then. */
export interface Emergency {
  readonly id: string
  readonly title: string
  /** At most five words. */
  readonly first: string
  readonly then: string
}

/** Ends every card. */
export const TELL_SOMEONE =
  'Shout for help, and tell the person in charge at once, also when it seems small. The lab’s own rules come before these cards.'

export const EMERGENCIES: readonly Emergency[] = [
  {
    id: 'flask-burns',
    title: 'A flask or bath is on fire',
    first: 'Cover it, then step back',
    then: 'Only if you can reach it without leaning over: a watch glass over its mouth, a lid on the bath, heat off at the switch. Never carry it, never water on oil. If it is not out at once, everyone leaves, and the alarm is raised.',
  },
  {
    id: 'clothing-burns',
    title: 'Clothing is on fire',
    first: 'Shower now, or roll',
    then: 'Do not run. Under the safety shower if it is a few steps away; otherwise down on the floor and roll, others smother it with the blanket. Cloth that sticks stays on; keep cooling with water.',
  },
  {
    id: 'eye',
    title: 'Something in an eye',
    first: 'Eyewash now, fifteen minutes',
    then: 'Hold the lids open, look all ways, lenses out while it runs. Someone else calls. Then to a doctor, with the safety data sheet.',
  },
  {
    id: 'skin',
    title: 'Something on the skin',
    first: 'Rinse with much water',
    then: 'Off with what is soaked, at once, and rinse for fifteen minutes. Water only: no solvent, nothing to neutralize. Look in the safety data sheet what follows.',
  },
  {
    id: 'burn',
    title: 'A burn or scald',
    first: 'Cool under running water',
    then: 'Cool, not ice cold, for twenty minutes; rings and watch off; no ointment. Larger than a coin, blistered, or on face or hand: to a doctor.',
  },
  {
    id: 'cut',
    title: 'A cut',
    first: 'Rinse it, then press',
    then: 'Rinse under water, press a clean pad on it, hold it up. Glass that sits in it stays in. If something was on the glass, say so.',
  },
  {
    id: 'swallowed',
    title: 'Something swallowed',
    first: 'Rinse mouth; never cause vomiting',
    then: 'Spit out, rinse, and call for poison advice with the safety data sheet in hand; do what they say about drinking.',
  },
  {
    id: 'breathed',
    title: 'Vapour breathed in, or someone faint',
    first: 'Out into fresh air',
    then: 'Do not go alone into vapour to fetch someone. Sitting up if breathing is hard, on the side if not awake; never left alone.',
  },
]
