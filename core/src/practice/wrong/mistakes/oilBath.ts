import type { SceneLines } from './mistake'

/** What is seen at the oil bath. */
export const OIL_BATH: SceneLines = {
  mistakes: [
    {
      id: 'oil-in-range',
      seen: 'The open end of the capillary and the rubber band are under the oil.',
      because: 'Hot oil runs into the tube, and the band swells and slips off.',
      instead: 'Keep the open end and the band above the oil, even when it has expanded.',
    },
    {
      id: 'no-head-space',
      seen: 'The tube is filled with oil to the stopper.',
      because: 'Oil expands as it warms and pushes the stopper out.',
      instead: 'Leave space above the oil, and use a stopper with a notch.',
    },
    {
      id: 'flame-at-bulb',
      seen: 'The flame is held under the thermometer bulb.',
      because: 'The bulb is hotter than the sample, and the oil does not circulate.',
      instead: 'Heat the side arm with a moving flame.',
    },
    {
      id: 'sample-off-bulb',
      seen: 'The sample sits two centimetres above the bulb.',
      because: 'The oil there is not as hot as at the bulb.',
      instead: 'Put the sample beside the middle of the bulb.',
    },
    {
      id: 'forced-thermometer',
      seen: 'The thermometer is pushed hard through a tight stopper.',
      because: 'It breaks and cuts the hand.',
      instead: 'Never force it. Use a stopper with a wider hole, or ask the person in charge.',
    },
    {
      id: 'scale-ends',
      seen: 'A thermometer that ends at 250 °C is used for 265 °C.',
      because: 'A thermometer heated past its scale breaks.',
      instead: 'Use one whose scale goes higher than you need.',
    },
  ],
  fine: [
    'The bulb is at the junction, and the sample is beside it.',
    'There is a space of two fingers above the oil.',
    'The flame is at the side arm and is moved away and back.',
    'Nothing flammable boils on this bench or the next.',
  ],
}
