import type { SceneLines } from './mistake'

/** What is seen at the hot plate. */
export const HOT_PLATE: SceneLines = {
  mistakes: [
    {
      id: 'dry-on-the-plate',
      seen: 'The flask with the dry crude stands on the hot plate while the solvent heats.',
      because: 'Dry solid on a hot plate melts to an oil.',
      instead: 'A little solvent goes in first, then it goes on the heat.',
    },
    {
      id: 'cold-portions',
      seen: 'Solvent is poured from the bottle, at room temperature, portion after portion.',
      because: 'A cold portion stops the boil and hides what is dissolved: too much goes in.',
      instead: 'The solvent is heated in its own flask and added hot.',
    },
    {
      id: 'chasing-grit',
      seen: 'Specks have not changed for three portions; a fourth goes in.',
      because: 'What two portions do not change is grit: each more keeps product in the liquor.',
      instead: 'No more solvent: the liquid is taken off the grit hot.',
    },
    {
      id: 'stone-late',
      seen: 'A boiling stone is dropped into solvent that is already near its boil.',
      because: 'A stone in hot liquid makes it boil over at once.',
      instead: 'Off the heat, let it cool, then the stone.',
    },
    {
      id: 'old-stone',
      seen: 'Yesterday’s boiling stone is still in the solvent that is heated again.',
      because: 'Its pores are full of liquid: it does not work twice.',
      instead: 'A fresh stone for every reheat, put in cold.',
    },
    {
      id: 'burner-ethanol',
      seen: 'Ethanol is warmed over a burner because all plates are taken.',
      because: 'Its vapour catches fire at a flame.',
      instead: 'A water or steam bath in the hood, no bare hot plate; wait for one.',
    },
    {
      id: 'neighbours-flame',
      seen: 'The neighbour heats an oil bath with a flame while ethanol boils here.',
      because: 'Vapour travels along the bench: flame and flammable vapour are never out together.',
      instead: 'One of the two waits; ask the person in charge who goes first.',
    },
    {
      id: 'all-at-once',
      seen: 'Twice the planned volume went in at the start, to be on the safe side.',
      because: 'What is poured in too much keeps product dissolved in the cold.',
      instead: 'The least that dissolves it, in portions, then what the plan adds.',
    },
    {
      id: 'plate-at-boiling',
      seen: 'The plate is set to 100 °C, for water that boils at 100 °C.',
      because:
        'A plate gives its heat away on the way: the flask never boils, and solid stays that would dissolve.',
      instead: 'For water the plate stands well above the boiling point, and the flask is watched.',
    },
    {
      id: 'boiled-dry',
      seen: 'The solvent flask has been boiling for twenty minutes and is nearly empty.',
      because: 'A flask boiled dry cracks or burns what is in it.',
      instead: 'Off the plate while something is left; measure what is needed again.',
    },
    {
      id: 'open-evaporation',
      seen: 'Ethanol is evaporated from an open watch glass over the steam bath, out on the bench.',
      because: 'Its vapour burns, and spreads along the bench.',
      instead: 'Under the hood, no flame near; ask the person in charge how it is done here.',
    },
    {
      id: 'cold-hot-funnel',
      seen: 'The hot solution is filtered through a funnel that comes cold from the cupboard.',
      because: 'It crystallizes in the stem, and nothing runs any more.',
      instead: 'A warm funnel with a short stem, and everything kept hot.',
    },
    {
      id: 'wrong-bottle',
      seen: 'The bottle beside the plate says methanol; the plan says ethanol.',
      because: 'It boils lower and dissolves differently: no figure of the plan holds for it.',
      instead: 'Read the label before each pouring; plan anew for what is in the flask.',
    },
  ],
  fine: [
    'The solvent boils quietly in its own flask, a stone at the bottom.',
    'Two millilitres go in hot, it is swirled, and half a minute passes before the next.',
    'The sash of the hood is at its mark.',
    'The crude was wetted with a little solvent before it went on the heat.',
  ],
}
