import type { InstrumentId } from '../ids'
import {
  type BlockCharacter,
  DETECTING_BLOCK,
  DIAL_BLOCK,
  HOT_STAGE,
  OIL_BATH_TUBE,
  PROGRAMMABLE_BLOCK,
} from './characters'
import type { Instrument, Thermometer } from './instrument'

const probe = (lowC: number, highC: number): Thermometer => ({
  kind: 'metal probe',
  lowC,
  highC,
  immersion: null,
  filling: null,
})

/** The simulated stand-ins every ledger starts with, each with its own character. */
export const SIMULATED_INSTRUMENTS: readonly Instrument[] = [
  {
    id: 'programmable-block' as InstrumentId,
    name: 'Programmable block',
    sort: 'programmable block',
    simulated: true,
    character: PROGRAMMABLE_BLOCK,
    thermometer: probe(-20, 360),
    highRangeAboveC: null,
  },
  {
    id: 'dial-block' as InstrumentId,
    name: 'Dial block',
    sort: 'dial block',
    simulated: true,
    character: DIAL_BLOCK,
    thermometer: probe(0, 300),
    highRangeAboveC: 220,
  },
  {
    id: 'oil-bath-tube' as InstrumentId,
    name: 'Oil-bath tube',
    sort: 'oil-bath tube',
    simulated: true,
    character: OIL_BATH_TUBE,
    thermometer: { kind: 'glass', lowC: -10, highC: 250, immersion: 'total', filling: 'spirit' },
    highRangeAboveC: null,
  },
  {
    id: 'detecting-block' as InstrumentId,
    name: 'Detecting block',
    sort: 'detecting block',
    simulated: true,
    character: DETECTING_BLOCK,
    thermometer: probe(-20, 400),
    highRangeAboveC: null,
  },
  {
    id: 'hot-stage' as InstrumentId,
    name: 'Hot stage',
    sort: 'hot stage',
    simulated: true,
    character: HOT_STAGE,
    thermometer: probe(-20, 350),
    highRangeAboveC: null,
  },
]

/** What a character written before there were other sorts left unsaid. */
const UNSAID: Pick<
  BlockCharacter,
  'probeSlope' | 'control' | 'dial' | 'heaterMass' | 'heaterToBlockS' | 'readBy' | 'readsLight'
> = {
  probeSlope: 0,
  control: 'program',
  dial: null,
  heaterMass: 0.15,
  heaterToBlockS: 14,
  readBy: 'probe',
  readsLight: false,
}

export function wholeCharacter(character: Partial<BlockCharacter>): BlockCharacter {
  return { ...UNSAID, ...character } as BlockCharacter
}

/** An instrument as the shelf of an earlier version may hold it, made whole. */
export function wholeInstrument(body: unknown): Instrument {
  const fields = body as Omit<Instrument, 'thermometer' | 'highRangeAboveC'> & Partial<Instrument>
  return {
    ...fields,
    character: wholeCharacter(fields.character),
    thermometer: fields.thermometer ?? probe(-20, fields.character.maxC + 50),
    highRangeAboveC: fields.highRangeAboveC ?? null,
  }
}
