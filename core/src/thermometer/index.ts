export { atTheEvent } from './atTheEvent'
export { type Calibration, correctBy, correctReading } from './correctReading'
export { THREAD_EXPANSION, emergentStemCorrectionC } from './emergentStem'
