export { type BlockCharacter, OIL_BATH_TUBE } from './characters'
export { INSTRUMENT_SORTS, type Instrument, type InstrumentSort } from './instrument'
export type { BlockCommand, BlockReading, TubeReading } from './reading'
export { SIMULATED_INSTRUMENTS, wholeInstrument } from './shipped'
