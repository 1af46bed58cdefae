import type { Explanation } from './explanation'

/** Every equation behind a number of the melting, in the order of the work. */
export const MELTING_EXPLANATIONS: readonly Explanation[] = [
  {
    id: 'fitBlockModel',
    title: 'What a dial does',
    equation: ['dT/dt = (P − T) / τ', 'P = room + gain · setting^exponent'],
    text: [
      'A dial sets power, not temperature. Left alone, the block creeps towards a plateau P, the faster the further away it is. Two or three heatings from cold are enough to find gain, exponent and τ by least squares (Levenberg and Marquardt).',
      'From them follow the two charts that usually hang beside an instrument, drawn for this one: temperature against time for each setting, and the setting that gives a wanted rate at a temperature.',
    ],
    example:
      'With gain 19, exponent 1.22 and τ 8.5 min in a room of 22 °C, setting 4 ends at 125.1 °C; at 60 °C it heats at (125.1 − 60) / 8.5 = 7.66 °C/min; for 1.5 °C/min at 95 °C it wants 3.44.',
    limits:
      'A draught, another room temperature or another thermometer change it. Outside the settings and temperatures logged it is a guess, and drawn dashed.',
  },
  {
    id: 'planDial',
    title: 'Fast, then slow where it matters',
    equation: ['greatest setting with (P − T) / τ ≤ the greatest rate'],
    text: [
      'Up to the window the plan goes as fast as house rules allow. It brakes early, since the heater goes on giving for half a minute after its dial is turned down. In the window it takes the greatest setting that is not too fast, and steps up when the rate has decayed to the least.',
      'With one setting, nudged, there is no fast part: the setting of the window is used from the start.',
    ],
    example:
      'At 79 °C, 2 °C/min on the block above wants P = 79 + 2 · 8.5 = 96 °C, a setting of 3.05: on a dial with steps of 0.25 it is 3.',
    limits:
      'It is as good as the learned dial. By its own model it never exceeds the rate in the window; a heater that is felt later than usual may, by up to a fifth.',
  },
  {
    id: 'compareSchools',
    title: 'What a school of practice costs',
    equation: ['read = true + rate · (sample lag − probe lag)', 'widened by rate · melting time'],
    text: [
      'The sample follows the block late, and so does the probe; the difference moves both ends. A filling takes about half a minute to melt through, more if it is high or coarse: that time, at the heating rate, widens the range at its top.',
      'A start too close to the expected range misses the onset of an impure sample, or melts it as it is put in.',
    ],
    example:
      'At 5 °C/min with lags of 0.3 and 0.1 min, 94 to 95 °C reads 95.0 °C at the onset; with half a minute of melting it clears at 98.5 °C.',
    limits:
      'Lags and melting times are typical values unless the instrument’s own are known. A calibration made at the same rate with the same packing holds them already: they are not charged twice.',
  },
  {
    id: 'planTubeRuns',
    title: 'Which tube when',
    equation: ['run = load + reach the first window + slow inside windows + fast between'],
    text: [
      'Tubes whose windows overlap are cheap together; tubes far apart cost the way between. A block left hot costs the cooling, which goes as τ · ln of the distances to the room. Every grouping and order of up to twelve tubes is looked through, so that the answer is proven.',
      'Tubes of one set share a run, as an unknown, the authentic sample and their mixture must.',
    ],
    example:
      'Crude, product and authentic between 86 and 96 °C and a salt at 186 to 189 °C: 51.0 min in two runs, the three together first.',
    limits:
      'Loading is taken as two minutes a run. Beyond twelve tubes it gives a good answer and how far from the best it can be at most.',
  },
  {
    id: 'correctReading',
    title: 'A calibrated thermometer',
    equation: ['correction = true − read, linear between the standards'],
    text: [
      'The midpoint of the range read for a standard is set against the midpoint of its literature range; ice water gives zero. Between two standards the correction is interpolated; beyond the last it is carried on, and the number says that it is beyond.',
      'A straight line through all standards is the alternative. For both, each standard is left out in turn and predicted from the others: how far that misses is their error.',
    ],
    example:
      'Ice water read at 0.4 °C and a standard of 80.2 °C read at 79.1: at 45 °C the correction is −0.4 + 1.5 · 44.6 / 78.7 = 0.45 °C.',
    limits:
      'It holds for the rate and packing it was made with. A thermometer ages: after ninety days the app asks for two standards again.',
  },
  {
    id: 'emergentStemCorrectionC',
    title: 'Thread out of the bath',
    equation: ['correction = k · n · (T − t)'],
    text: [
      'A thermometer made for total immersion reads low when part of its thread stands in the cool air: n degrees of thread at a mean temperature t. k is 0.00016 per °C for mercury in glass, 0.001 for spirit.',
      'A calibration made in place holds this already, and a partial-immersion thermometer is made for it: then nothing is added.',
    ],
    example: 'Reading 150 °C with 90 degrees of mercury thread out at 32 °C: 0.00016 · 90 · 118 = 1.70 °C.',
    limits:
      'The mean temperature of the thread is hard to know; an error of 20 °C in it is 0.3 °C in this example.',
  },
  {
    id: 'atTheEvent',
    title: 'A reading taken late',
    equation: ['T(then) = T(read) − rate · seconds / 60'],
    text: [
      'With a thermometer read by eye the key is pressed at the moment, and the number is typed when the eye has found the scale. The reading is taken back to the press at the rate of that time, from the readings about it.',
    ],
    example: '95.4 °C read 12 s late at 1.5 °C/min was 95.1 °C at the press.',
    limits:
      'The rate by eye comes from readings a minute apart: at an uneven rate it is the mean of some minutes.',
  },
  {
    id: 'detectMelt',
    title: 'The melt by its light',
    equation: ['share = (light − solid) / (melt − solid)'],
    text: [
      'Powder scatters light, a melt lets it through. The solid’s light is the median of the first tenth of the trace, the melt’s that of the last. The onset lies where the share passes 5 % for the last time before half of it, the clear point where it passes 95 % for the first time after.',
      'Both ends can be moved on the chart; moved ends say so.',
    ],
    example: 'Light that rises evenly from 92 to 94 °C passes 5 % at 92.1 °C and 95 % at 93.9 °C.',
    limits:
      'Shrinking and a tube that moves change the light too. Traces in which nothing melts, or that end too soon, are refused.',
  },
  {
    id: 'zeroRateRange',
    title: 'Repeats, and no heating rate at all',
    equation: ['end = end(zero rate) + slope · rate'],
    text: [
      'Each end moves in proportion to the heating rate. Runs of one sample at two rates or more give a straight line for each end, and its value at zero rate is what infinitely slow heating would show.',
    ],
    example:
      'Onsets of 94.2 and 94.4 °C at 1 and 2 °C/min look back to 94.0 °C; clear points of 95.4 and 96.1 °C to 94.7 °C.',
    limits:
      'Scatter of the readings is multiplied on the way to zero: two runs close in rate tell little. Where the two lines pass each other it says so instead.',
  },
]
