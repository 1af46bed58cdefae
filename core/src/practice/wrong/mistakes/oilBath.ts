import type { SceneLines } from './mistake'

/** What is seen at the oil bath. */
export const OIL_BATH: SceneLines = {
  mistakes: [
    {
      id: 'oil-in-range',
      seen: 'The open end of the capillary and the band are under the oil.',
      because: 'Hot oil runs in, and the band swells and lets go.',
      instead: 'Open end and band stay above the oil, also when it has expanded.',
    },
    {
      id: 'no-head-space',
      seen: 'The tube is filled with oil to the stopper.',
      because: 'Oil expands as it warms and pushes the stopper out.',
      instead: 'Leave head space, and a notch in the stopper.',
    },
    {
      id: 'flame-at-bulb',
      seen: 'The flame is held under the thermometer bulb.',
      because: 'The bulb runs ahead of the sample, and the oil does not go round.',
      instead: 'The flame at the side arm, moved.',
    },
    {
      id: 'sample-off-bulb',
      seen: 'The sample sits two centimetres above the bulb.',
      because: 'There the oil has another temperature than the bulb.',
      instead: 'The sample beside the middle of the bulb.',
    },
    {
      id: 'forced-thermometer',
      seen: 'The thermometer is pushed hard through a tight stopper, hand far from the glass.',
      because: 'It breaks in the hand.',
      instead: 'Never forced: a stopper with a wider hole, or ask the person in charge.',
    },
    {
      id: 'scale-ends',
      seen: 'A thermometer whose scale ends at 250 °C is put in for 265 °C.',
      because: 'Taken past its scale a thermometer breaks.',
      instead: 'One whose scale goes on above what is wanted.',
    },
  ],
  fine: [
    'The bulb is at the junction, the sample beside it.',
    'Two fingers of head space are left above the oil.',
    'The flame licks the side arm and is moved away and back.',
    'Nothing flammable boils on this bench or the next.',
  ],
}
