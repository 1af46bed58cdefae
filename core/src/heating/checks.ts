import { coolsForMin } from './cooling'
import type { MeltWindow } from './heatingPlan'
import type { Instrument } from '../instruments/instrument'
import { SORT_ABOUT } from '../instruments/sorts'

/** A check before the heating begins. */
export interface Check {
  readonly id: string
  /** In a word or two, for a list of what was not looked at. */
  readonly name: string
  readonly sentence: string
  /** Whether the app can tell: fine, not fine, or only a person can say. */
  readonly state: 'fine' | 'trouble' | 'ask'
}

/** Within this a block stands at its start, °C. */
const AT_START_C = 0.5
/** Room the scale keeps above the range, °C. */
const SCALE_ROOM_C = 10

/**
 * What is looked at before any tube is heated: what the app can tell is told, the rest is asked.
 *
 * @param blockC of the block now, °C; null when nobody has read it
 */
export function checksFor(
  { character, thermometer, highRangeAboveC, sort }: Instrument,
  window: Pick<MeltWindow, 'startC' | 'stopC'>,
  blockC: number | null,
): readonly Check[] {
  const { startC, stopC } = window
  const covers = thermometer.highC >= stopC + SCALE_ROOM_C && thermometer.lowC <= startC
  const reaches = character.maxC >= stopC
  const isCool = blockC === null ? null : blockC <= startC + AT_START_C
  return [
    {
      id: 'scale-covers-the-range',
      name: 'scale of the thermometer',
      state: covers ? 'fine' : 'trouble',
      sentence: covers
        ? `The scale, ${String(thermometer.lowC).replace('-', '−')} to ${thermometer.highC} °C, covers ${startC.toFixed(0)} to ${stopC.toFixed(0)} °C with ${SCALE_ROOM_C} °C in reserve.`
        : `The scale ends at ${thermometer.highC} °C; ${(stopC + SCALE_ROOM_C).toFixed(0)} °C is wanted. A thermometer heated past its scale breaks. Use another.`,
    },
    ...(reaches
      ? []
      : [
          {
            id: 'instrument-reaches',
            name: 'reach of the instrument',
            state: 'trouble' as const,
            sentence: `This instrument ends at ${character.maxC} °C, below the stop of ${stopC.toFixed(0)} °C.`,
          },
        ]),
    {
      id: 'block-is-cool',
      name: 'block cool',
      state: isCool === null ? 'ask' : isCool ? 'fine' : 'trouble',
      sentence:
        isCool === null
          ? `It is below ${startC.toFixed(0)} °C now. Read the display: a hot block looks like a cold one.`
          : isCool
            ? `It is at ${blockC?.toFixed(0)} °C, ${(blockC ?? 0) > startC ? 'as good as at' : 'below'} the start of ${startC.toFixed(0)} °C.`
            : `It is at ${blockC?.toFixed(0)} °C, about ${coolingMin(character, blockC ?? 0, startC)} min from the start of ${startC.toFixed(0)} °C. Put no tube in before.`,
    },
    ...(highRangeAboveC !== null && stopC > highRangeAboveC
      ? [
          {
            id: 'high-range-switch',
            name: 'switch for high ranges',
            state: 'ask' as const,
            sentence: `The switch for high ranges is on: the stop lies above ${highRangeAboveC} °C.`,
          },
        ]
      : []),
    ...(thermometer.kind === 'glass'
      ? [
          {
            id: 'thermometer-seated',
            name: 'thermometer seated',
            state: 'ask' as const,
            sentence: 'The thermometer moves freely. Never force one that sticks: it breaks. Ask.',
          },
        ]
      : []),
    {
      id: 'sealed-ends',
      name: 'sealed ends',
      state: 'ask',
      sentence:
        SORT_ABOUT[sort].holds === 'cover slip'
          ? 'The cover slip lies flat on a few crystals, spread thin.'
          : 'Each tube is sealed at the bottom, seen in the lens, wiped outside, and rests on the floor of its slot.',
    },
    ...(SORT_ABOUT[sort].isOil ? OIL_BATH_CHECKS : []),
  ]
}

/** Checks that break glass or end the range early when they are not heeded: the heating is not planned or begun past them. */
export function scaleTrouble(
  instrument: Instrument,
  window: Pick<MeltWindow, 'startC' | 'stopC'>,
): readonly Check[] {
  return checksFor(instrument, window, null).filter(({ state }) => state === 'trouble')
}

/** What only a person can say and nobody has ticked. */
export function uncheckedOf(checks: readonly Check[], made: ReadonlySet<string>): readonly Check[] {
  return checks.filter(({ id, state }) => state === 'ask' && !made.has(id))
}

function coolingMin(character: Instrument['character'], fromC: number, toC: number): number {
  const { ambientC, coolTimeConstantMin } = character
  const to = Math.max(toC, ambientC + 1)
  return Math.max(1, Math.ceil(coolsForMin({ ambientC, timeConstantMin: coolTimeConstantMin }, fromC, to)))
}

/** Setting up the oil-filled side-arm tube, one thing at a time, the oil first. */
const OIL_BATH_CHECKS: readonly Check[] = [
  {
    id: 'oil-label-read',
    name: 'label of the oil',
    sentence:
      'You have read the label of the oil and its safety data sheet. Some oils may harm an unborn child or the environment: ask in private if that concerns you.',
  },
  {
    id: 'oil-level-and-head-space',
    name: 'level of the oil',
    sentence:
      'The oil stands just above the side arm, with space over it: hot oil expands and must not push the stopper out.',
  },
  {
    id: 'stopper-vented',
    name: 'notch of the stopper',
    sentence: 'The stopper has a notch, so that no pressure builds up.',
  },
  {
    id: 'bulb-at-the-junction',
    name: 'bulb at the junction',
    sentence: 'The bulb hangs level with the upper junction of the side arm, clear of the glass.',
  },
  {
    id: 'sample-at-the-bulb',
    name: 'sample at the bulb',
    sentence: 'The sample lies beside the middle of the bulb.',
  },
  {
    id: 'band-and-open-end-above-the-oil',
    name: 'open end above the oil',
    sentence: 'The rubber band and the open end of the tube stay above the oil, hot and expanded.',
  },
  {
    id: 'rings-slid-on-safely',
    name: 'band slid on',
    sentence:
      'You rolled the band on from the closed end and slid it into place, without pushing against the capillary.',
  },
  {
    id: 'flame-at-the-arm',
    name: 'flame and vapour',
    sentence:
      'The small flame is at the bend of the side arm. There is no flammable vapour on this bench or the next. Hair and sleeves are tied back.',
  },
].map((check) => ({ ...check, state: 'ask' as const }))
