export { netMass } from './netMass'
export { partnerTrouble } from './partner'
export { decimalsOf, readFromBalance, readReading } from './reading'
export { massClosure, percentRecovery, percentYield, theoreticalYieldG } from './recovery'
