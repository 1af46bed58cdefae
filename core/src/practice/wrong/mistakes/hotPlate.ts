import type { SceneLines } from './mistake'

/** What is seen at the hot plate. */
export const HOT_PLATE: SceneLines = {
  mistakes: [
    {
      id: 'dry-on-the-plate',
      seen: 'The flask with the dry crude is on the hot plate while the solvent heats.',
      because: 'Dry solid on a hot plate melts to an oil.',
      instead: 'Add a little solvent before you put it on the heat.',
    },
    {
      id: 'cold-portions',
      seen: 'Portion after portion of cold solvent is poured from the bottle.',
      because: 'Each cold portion stops the boiling, so less dissolves and too much goes in.',
      instead: 'Heat the solvent in its own flask and add it hot.',
    },
    {
      id: 'chasing-grit',
      seen: 'Specks did not change with three portions, and a fourth goes in.',
      because: 'What two portions do not change is grit. Each extra one keeps product in the mother liquor.',
      instead: 'Stop adding solvent, and filter the hot liquid off the grit.',
    },
    {
      id: 'stone-late',
      seen: 'A boiling stone is dropped into solvent that nearly boils.',
      because: 'A stone dropped into hot liquid makes it boil over at once.',
      instead: 'Take it off the heat, let it cool, then add the stone.',
    },
    {
      id: 'old-stone',
      seen: 'Yesterday’s boiling stone is still in the solvent that is heated again.',
      because: 'Its pores are full of liquid, so it does not work again.',
      instead: 'Add a fresh stone to the cold liquid each time you reheat it.',
    },
    {
      id: 'burner-ethanol',
      seen: 'Ethanol is warmed over a burner because all plates are taken.',
      because: 'A flame sets fire to its vapour.',
      instead: 'Wait for a water or steam bath in the hood. Use no flame and no bare hot plate.',
    },
    {
      id: 'neighbours-flame',
      seen: 'The neighbour heats an oil bath with a flame while ethanol boils here.',
      because: 'Vapour travels along the bench. Never have a flame and flammable vapour at the same time.',
      instead: 'One of you waits. Ask the person in charge who goes first.',
    },
    {
      id: 'all-at-once',
      seen: 'Twice the planned volume went in at the start, to be on the safe side.',
      because: 'Extra solvent keeps product dissolved when it is cold.',
      instead: 'Add the least that dissolves it, in portions, then the extra volume in the plan.',
    },
    {
      id: 'plate-at-boiling',
      seen: 'The plate is set to 100 °C, for water that boils at 100 °C.',
      because: 'The flask is cooler than the plate: it never boils, and some solid does not dissolve.',
      instead: 'For water, set the plate well above the boiling point, and watch the flask.',
    },
    {
      id: 'boiled-dry',
      seen: 'The solvent flask has been boiling for twenty minutes and is nearly empty.',
      because: 'A flask that boils dry cracks, or the solid in it burns.',
      instead: 'Take it off the plate while some is left, and measure the volume again.',
    },
    {
      id: 'open-evaporation',
      seen: 'Ethanol is evaporated from an open watch glass over the steam bath, out on the bench.',
      because: 'Its vapour burns and spreads along the bench.',
      instead: 'Do it in the hood with no flame near. Ask the person in charge how it is done here.',
    },
    {
      id: 'cold-hot-funnel',
      seen: 'The hot solution is filtered through a cold funnel.',
      because: 'It crystallizes in the stem and blocks it.',
      instead: 'Use a warm funnel with a short stem, and keep everything hot.',
    },
    {
      id: 'wrong-bottle',
      seen: 'The bottle beside the plate says methanol; the plan says ethanol.',
      because: 'It boils lower and dissolves differently, so the plan does not apply.',
      instead: 'Read the label each time you pour. Make a new plan for the solvent in the flask.',
    },
  ],
  fine: [
    'The solvent boils gently in its own flask with a boiling stone.',
    'Two hot millilitres go in, it is swirled, and the next follow after half a minute.',
    'The sash of the hood is at its mark.',
    'The crude was wetted with a little solvent before it went on the heat.',
  ],
}
