/** Someone is hurt or something burns: what to do first, in five words at most, and then. */
export interface Emergency {
  readonly id: string
  readonly title: string
  /** At most five words. */
  readonly first: string
  readonly then: string
}

export const EMERGENCIES: readonly Emergency[] = [
  {
    id: 'flask-burns',
    title: 'A flask or bath is on fire',
    first: 'Cover it, then step back',
    then: 'Only if you can reach it without leaning over: put a watch glass over its mouth or a lid on the bath, and switch the heat off. Never carry it; never put water on oil. If it is not out at once, everyone leaves and the alarm is raised.',
  },
  {
    id: 'clothing-burns',
    title: 'Clothing is on fire',
    first: 'Shower now, or roll',
    then: 'Do not run. Go under the safety shower if it is a few steps away; otherwise drop to the floor and roll, while others smother it with the blanket. Leave cloth that sticks; keep cooling with water.',
  },
  {
    id: 'lifeless',
    title: 'Someone does not wake',
    first: 'Check breathing, call for help',
    then: 'Look, listen and feel for ten seconds. Not breathing normally: make the emergency call, begin chest compressions, and send someone for the defibrillator. Breathing normally: lay them on their side, and watch the breathing until help comes. Where there is vapour, do not go in alone.',
  },
  {
    id: 'breathed',
    title: 'Vapour breathed in, or someone faint',
    first: 'Out into fresh air',
    then: 'Do not go into vapour alone to fetch someone. Let them sit up if breathing is hard, and say what it was. Someone who does not wake: check the breathing and make the emergency call, as the card for it says. Never leave them alone.',
  },
  {
    id: 'allergy',
    title: 'Allergic reaction or asthma',
    first: 'Stop, fresh air, own inhaler',
    then: 'Wheezing, a swollen face or a rash that spreads: make the emergency call. Let them use their own inhaler or injector, sitting up. Say what it was: some solids here sensitize.',
  },
  {
    id: 'eye',
    title: 'Something in an eye',
    first: 'Eyewash now, fifteen minutes',
    then: 'Hold the lids open, look all ways, and take lenses out while it runs. Someone else calls. Then go to a doctor with the safety data sheet.',
  },
  {
    id: 'skin',
    title: 'Something on the skin',
    first: 'Rinse with much water',
    then: 'Take off what is soaked at once, and rinse for fifteen minutes. Look in the safety data sheet for what follows: for phenol it asks for polyethylene glycol (PEG 300 or 400) where the lab has it, and water until then. Nothing to neutralize, and no other solvent.',
  },
  {
    id: 'burn',
    title: 'A burn or scald',
    first: 'Cool under running water',
    then: 'Keep it under cool (not ice-cold) water for twenty minutes; take rings and watch off; no ointment. Larger than a coin, blistered, or on face or hand: go to a doctor.',
  },
  {
    id: 'cut',
    title: 'A cut',
    first: 'Rinse, then press beside glass',
    then: 'Rinse it under water. If no glass is in it, press a clean pad on it and hold it up. If glass is in it, leave it there and press beside it, never on it. If something was on the glass, say so.',
  },
  {
    id: 'swallowed',
    title: 'Something swallowed',
    first: 'Rinse mouth; never cause vomiting',
    then: 'Spit out, rinse, and call for poison advice with the safety data sheet in hand; do what they say about drinking.',
  },
  {
    id: 'spill-liquid',
    title: 'A liquid is spilled',
    first: 'Away, flames out, tell',
    then: 'Flammable or strong-smelling and more than a cup: everyone leaves, and the person in charge decides. Less: heat and flames off, sash down. With gloves and eye protection, cover it with the absorbent from the edge inwards. Put the absorbent into a closed waste jar.',
  },
  {
    id: 'spill-solid',
    title: 'A solid is spilled',
    first: 'Keep dust down, gloves on',
    then: 'Never sweep it dry or blow on it. Cover it with damp paper and wipe it up into a closed waste jar, then wipe once more. Toxic or sensitizing: the person in charge does it.',
  },
  {
    id: 'flask-bursts',
    title: 'A flask under suction bursts',
    first: 'Still, eyes shut, then out',
    then: 'Someone who is not hit turns the suction off. Glass in an eye: do not rub, cover both eyes loosely, make the emergency call. Nobody picks glass up with the fingers.',
  },
  {
    id: 'hood-or-power-out',
    title: 'The hood or the power fails',
    first: 'Heat off, sash down, out',
    then: 'Switch every heater off (it may come back by itself), leave condensers running while anything boils, close the sash, and leave the room if solvent is open. Go back only when the person in charge says so.',
  },
]
