/** What was typed or sent, digit for digit, and its number: 1.80 is not 1.8. */
export interface Reading {
  readonly text: string
  readonly value: number
}
export interface Quantity {
  readonly value: number
  readonly standardUncertainty: number
}
