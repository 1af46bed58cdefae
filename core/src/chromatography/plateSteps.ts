/** A step of a thin-layer plate, with its caution where it stands. */
export interface PlateStep {
  readonly text: string
  readonly caution?: string
}

/** How a thin-layer plate is run, for any sample beside an authentic one. */
export const PLATE_STEPS: readonly PlateStep[] = [
  {
    text: 'Draw a thin line with a soft pencil about 10 mm above the lower edge, and a tick for each lane; touch the plate at its edges only. Ink would run.',
  },
  {
    text: 'Dissolve a few grains of each sample in a drop or two of a volatile solvent.',
    caution: 'Flammable solvent: no flame near, in the hood.',
  },
  {
    text: 'Touch a fine capillary to each tick: spots under 2 mm, dried, then once or twice again on the same place. Sample, authentic sample, and between them both in one spot.',
    caution: 'Capillaries are sharp; used ones go to glass waste.',
  },
  {
    text: 'Pour eluent into the chamber to a depth of some 5 mm, below the line: a line that stands in it washes off. Paper along the wall, lid on, wait a few minutes.',
    caution:
      'The eluent is flammable and its vapour harms: in the hood, lid on, no flame on the neighbouring bench either.',
  },
  { text: 'Stand the plate in, lid on, and leave it until the front is about 10 mm below the upper edge.' },
  {
    text: 'Take it out and mark the front at once: it dries in seconds, and nothing can be measured without it.',
  },
  {
    text: 'Let it dry in the hood. Ring what shows under the lamp with the pencil, or stand it in iodine vapour until brown spots come.',
    caution:
      'Ultraviolet lamp only in its box or shielded: never look into it, and no bare skin under it. Iodine vapour only in the hood; it stains and harms.',
  },
  {
    text: 'Measure from the line to the front and to the centre of each spot. Plate and eluent to their wastes.',
  },
]
