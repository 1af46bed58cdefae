/** One thing wrong: what is seen, why it matters, what is done instead. */
export interface MistakeLine {
  readonly id: string
  readonly seen: string
  readonly because: string
  readonly instead: string
}
/** Everything that may be seen at one place of the bench. */
export interface SceneLines {
  readonly mistakes: readonly MistakeLine[]
  /** Things that are as they should be. */
  readonly fine: readonly string[]
}
