import { coolsForMin } from './cooling'
import { ImpossibleInput, requireNumber, requireTemperature } from '../problems'

export interface BlockModel {
  readonly ambientC: number
  readonly gain: number
  readonly exponent: number
  readonly timeConstantMin: number
}

/** @throws ImpossibleInput on a model no heated block has */
export function requireModel({ ambientC, gain, exponent, timeConstantMin }: BlockModel): void {
  requireTemperature(ambientC, 'The room temperature')
  if (!(
    gain > 0 &&
    exponent > 0 &&
    timeConstantMin > 0 &&
    Number.isFinite(gain * exponent * timeConstantMin)
  ))
    throw new ImpossibleInput(
      'bad-model',
      'A block that heats has a gain, an exponent and a time constant above zero.',
    )
}

function requireDial(dial: number): void {
  if (!(dial >= 0 && Number.isFinite(dial)))
    throw new ImpossibleInput('bad-dial', `A dial cannot be set to ${dial}.`)
}

/**
 * Temperature a block comes to when its dial is left alone: P(d) = ambient + gain·d^exponent.
 *
 * @param model °C, min
 * @param dial setting, 0 is off
 * @returns °C
 * @throws ImpossibleInput on a dial below 0
 * @example plateauC({ ambientC: 22, gain: 19, exponent: 1.22, timeConstantMin: 8.5 }, 4) // 125.1
 */
export function plateauC(model: BlockModel, dial: number): number {
  requireModel(model)
  requireDial(dial)
  return model.ambientC + model.gain * dial ** model.exponent
}

/**
 * How fast the block warms at a setting and temperature: dT/dt = (P(d) − T)/τ. Below zero it cools.
 *
 * @returns °C/min
 * @throws ImpossibleInput on a dial below 0
 * @example rateCPerMin(model, 4, 60) // 7.66
 */
export function rateCPerMin(model: BlockModel, dial: number, temperatureC: number): number {
  requireTemperature(temperatureC, 'The block')
  return (plateauC(model, dial) - temperatureC) / model.timeConstantMin
}

/**
 * Minutes from one temperature to another with the dial left alone.
 *
 * @returns minutes; null when the block never gets there
 * @throws ImpossibleInput on a dial below 0
 * @example minutesToReach(model, 6, 25, 100) // 5.1
 */
export function minutesToReach(model: BlockModel, dial: number, fromC: number, toC: number): number | null {
  requireTemperature(fromC, 'The start')
  requireTemperature(toC, 'The end')
  const endC = plateauC(model, dial)
  if (fromC === toC) return 0
  const left = (endC - toC) / (endC - fromC)
  return left > 0 && left < 1 ? model.timeConstantMin * Math.log(1 / left) : null
}

/**
 * The setting that gives a wanted rate at a temperature.
 *
 * @returns setting, not rounded to the dial's steps
 * @throws ImpossibleInput when even switched off the block falls slower than that
 * @example dialForRate(model, 95, 1.5) // 3.44
 */
export function dialForRate(model: BlockModel, temperatureC: number, wantedCPerMin: number): number {
  requireModel(model)
  requireTemperature(temperatureC, 'The block')
  requireNumber(wantedCPerMin, 'The rate')
  const above = temperatureC + wantedCPerMin * model.timeConstantMin - model.ambientC
  if (above < -1e-9)
    throw new ImpossibleInput('bad-rate', 'Even switched off, the block does not cool as fast as that.')
  return (Math.max(0, above) / model.gain) ** (1 / model.exponent)
}

/**
 * Minutes a block takes to cool, switched off.
 *
 * @param options speedUp: how many times faster with a fan or a cold metal rod than standing, 1 or more
 * @returns minutes; 0 when it is there already; null at or below the temperature of the room
 * @throws ImpossibleInput on a speed-up not above 0
 * @example coolDownMin(model, 150, 60, {}) // 10.3
 */
export function coolDownMin(
  model: BlockModel,
  fromC: number,
  toC: number,
  { speedUp = 1 }: { speedUp?: number } = {},
): number | null {
  requireModel(model)
  if (!(speedUp > 0)) throw new ImpossibleInput('bad-duration', 'Cooling cannot be sped up by zero or less.')
  if (fromC <= toC) return 0
  if (toC <= model.ambientC) return null
  return coolsForMin(model, fromC, toC) / speedUp
}

/**
 * Where the block should be by its model, after the dial changes made so far.
 *
 * @param startC at minute 0
 * @param changes in order of time; before the first the heater is off
 * @param atMin minutes
 * @returns °C
 * @example modelledC(model, 22, [{ atMin: 0, dial: 6 }], 5) // 97.4
 */
export function modelledC(
  model: BlockModel,
  startC: number,
  changes: readonly { readonly atMin: number; readonly dial: number }[],
  atMin: number,
): number {
  const legs = [{ atMin: 0, dial: 0 }, ...changes.filter((change) => change.atMin < atMin)]
  return legs.reduce((temperatureC, { atMin: from, dial }, i) => {
    const minutes = (legs[i + 1]?.atMin ?? Math.max(atMin, from)) - from
    const endC = plateauC(model, dial)
    return endC + (temperatureC - endC) * Math.exp(-minutes / model.timeConstantMin)
  }, startC)
}
