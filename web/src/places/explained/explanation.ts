export interface Explanation {
  readonly id: string
  readonly title: string
  readonly equation: readonly string[]
  readonly text: readonly string[]
  readonly example: string
  readonly limits: string
}
