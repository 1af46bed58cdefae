/**
 * Every test begins at the moment the demo takes place, whatever day the machine has; from there time passes as
 * usual, so that what waits for it goes on waiting.
 */
const BEGINS = Date.UTC(2026, 10, 24, 14, 0)
const MachineDate = globalThis.Date
const aheadMs = BEGINS - MachineDate.now()

globalThis.Date = class extends MachineDate {
  constructor(...given) {
    if (given.length === 0) super(MachineDate.now() + aheadMs)
    else super(...given)
  }
  static now() {
    return MachineDate.now() + aheadMs
  }
}
