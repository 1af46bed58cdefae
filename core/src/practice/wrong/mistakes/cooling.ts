import type { SceneLines } from './mistake'

/** What is seen while it cools. */
export const COOLING: SceneLines = {
  mistakes: [
    {
      id: 'straight-to-ice',
      seen: 'The boiling solution goes straight into the ice.',
      because:
        'Crystals that come at once close in what should stay outside, and are too small to filter well.',
      instead: 'To room temperature undisturbed; ice when no more comes.',
    },
    {
      id: 'stopper-hot',
      seen: 'A rubber stopper sits tight on the hot flask.',
      because: 'It jumps off as vapour presses, or sticks as it cools.',
      instead: 'Cover it loosely: a watch glass.',
    },
    {
      id: 'stirred',
      seen: 'It is stirred every minute to see whether something comes.',
      because: 'Disturbed, it gives many small crystals with liquor between them.',
      instead: 'Leave it alone; look, do not touch.',
    },
    {
      id: 'nothing-came',
      seen: 'Nothing has come out in the ice for half an hour; it is poured away as a failure.',
      because: 'It may only want a beginning, or hold too much solvent.',
      instead: 'Scratch, seed, or boil some solvent away; keep everything until the yield is known.',
    },
    {
      id: 'no-seed',
      seen: 'All of the crude was weighed in: none was kept back.',
      because: 'There is no seed, no crude range to compare and nothing for a plate.',
      instead: 'Keep 20 to 30 mg back before anything is weighed away.',
    },
    {
      id: 'oil-cooled-on',
      seen: 'An oil has come out at 70 °C; it is cooled on and left to set.',
      because: 'An oil takes the impurity with it and sets to a lump as impure as before.',
      instead: 'Warm it, add a little solvent, and cool slower with a seed.',
    },
    {
      id: 'frozen-solvent',
      seen: 'A solution in acetic acid stands in ice.',
      because: 'The acid freezes at 16.6 °C: the whole flask can turn solid.',
      instead: 'A bath that stays above the freezing point of the solvent.',
    },
    {
      id: 'seeded-with-impurity',
      seen: 'The seed is taken from the vial of the starting material.',
      because: 'It draws out what should stay dissolved.',
      instead: 'A grain of the pure product, or of the crude kept back.',
    },
  ],
  fine: [
    'The flask stands on a cork ring under a watch glass.',
    'Needles grow from the wall; nobody touches it.',
    'It has been at room temperature for some minutes before the ice.',
    'A few milligrams of the crude lie labelled in a vial.',
  ],
}
