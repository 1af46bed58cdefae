/** A step of a thin-layer plate, with its caution where it stands. */
export interface PlateStep {
  readonly text: string
  readonly caution?: string
}

/** How a thin-layer plate is run, for any sample beside an authentic one. */
export const PLATE_STEPS: readonly PlateStep[] = [
  {
    text: 'Draw a thin line with a soft pencil about 10 mm above the lower edge, with a tick for each lane. Use no ink: it would run. Hold the plate by its edges.',
  },
  {
    text: 'Dissolve a few grains of each sample in a drop or two of a volatile solvent.',
    caution: 'Flammable solvent: no flame near, in the hood.',
  },
  {
    text: 'Touch a fine capillary to each tick. Keep each spot under 2 mm, let it dry, and spot the same place once or twice more. Put the sample in one lane, the authentic sample in another, and both on one spot between them.',
    caution: 'Capillaries are sharp; used ones go to glass waste.',
  },
  {
    text: 'Pour about 5 mm of eluent into the chamber. The pencil line must stay above it, or the spots wash off. Stand paper along the wall, put the lid on, and wait a few minutes.',
    caution:
      'The eluent is flammable and its vapour is harmful. Work in the hood with the lid on, and have no flame here or on the next bench.',
  },
  {
    text: 'Stand the plate in the chamber, put the lid on, and leave it until the solvent front is about 10 mm below the upper edge.',
  },
  {
    text: 'Take the plate out and mark the front at once. It dries in seconds, and Rf cannot be measured without it.',
  },
  {
    text: 'Let the plate dry in the hood. Ring each spot you see under the lamp in pencil, or stand the plate in iodine vapour until brown spots appear.',
    caution:
      'Use the ultraviolet lamp only in its box or shielded. Never look into it or put bare skin under it. Use iodine vapour only in the hood: it is harmful and it stains.',
  },
  {
    text: 'Measure from the pencil line to the front and to the centre of each spot. Put plate and eluent in their waste containers.',
  },
]
