import type { SceneLines } from './mistake'

/** What is seen while it cools. */
export const COOLING: SceneLines = {
  mistakes: [
    {
      id: 'straight-to-ice',
      seen: 'The boiling solution goes straight into the ice.',
      because: 'Crystals that form at once trap impurities and are too small to filter well.',
      instead: 'Let it cool to room temperature undisturbed. Use ice when no more crystals form.',
    },
    {
      id: 'stopper-hot',
      seen: 'A rubber stopper is tight on the hot flask.',
      because: 'The vapour pushes it off, or it sticks as the flask cools.',
      instead: 'Cover it loosely with a watch glass.',
    },
    {
      id: 'stirred',
      seen: 'It is stirred every minute to see whether crystals form.',
      because: 'Stirring gives many small crystals with mother liquor between them.',
      instead: 'Leave it alone. Look, but do not touch.',
    },
    {
      id: 'nothing-came',
      seen: 'No crystals formed in the ice for half an hour, and it is poured away.',
      because: 'It could need only a seed crystal, or less solvent.',
      instead: 'Scratch, seed, or boil some solvent away. Keep everything until the recovery is known.',
    },
    {
      id: 'no-seed',
      seen: 'All of the crude was used: none was kept back.',
      because: 'There is no seed, no crude range to compare with, and nothing for a plate (TLC).',
      instead: 'Keep back 20 to 30 mg before you use the crude.',
    },
    {
      id: 'oil-cooled-on',
      seen: 'An oil came out at 70 °C, and it is left to cool and set.',
      because: 'An oil takes impurities with it and sets to a lump as impure as before.',
      instead: 'Warm it, add a little solvent, and cool it more slowly with a seed crystal.',
    },
    {
      id: 'frozen-solvent',
      seen: 'A solution in acetic acid is put in ice.',
      because: 'The acid freezes at 16.6 °C: the whole flask can turn solid.',
      instead: 'Use a bath that is warmer than the freezing point of the solvent.',
    },
    {
      id: 'seeded-with-impurity',
      seen: 'The seed crystal is taken from the vial of the starting material.',
      because: 'It makes the impurity crystallize.',
      instead: 'Use a grain of the pure product, or of the crude kept back.',
    },
  ],
  fine: [
    'The flask stands on a cork ring under a watch glass.',
    'Needles grow from the wall, and nobody touches the flask.',
    'It has been at room temperature for some minutes before the ice.',
    'A few milligrams of the crude are in a labelled vial.',
  ],
}
