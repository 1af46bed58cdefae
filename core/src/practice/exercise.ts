/** Harder with each: 1 to 3. */
export type Level = 1 | 2 | 3

/** What an exercise is played at: a folder of this name makes, scores and tells it, and one player puts it on the screen. */
export type PlayedAt =
  'lens' | 'dial' | 'flame' | 'dissolve' | 'balance' | 'verdict' | 'mixture' | 'order' | 'wrong' | 'solvent'

/** What an exercise says of itself before it begins. */
export interface ExerciseAbout {
  /** As its lines in the notebook have it. */
  readonly name: string
  readonly title: string
  /** Part of its address. */
  readonly slug: string
  /** One sentence: why it is worth doing. */
  readonly why: string
  readonly minutes: readonly [least: number, most: number]
  /** When it counts as good: so many of these in a row, and it gets harder. */
  readonly rule: string
  /** It can be done on a phone. */
  readonly isForPhone: boolean
  readonly played: PlayedAt
}

/** What every exercise comes to. */
export interface Score {
  readonly isGood: boolean
  /** 0 to 1: the more the better; what is good is not below 0.7. */
  readonly share: number
  /** The one thing that helps most. */
  readonly sentence: string
  /** What was said or done beside what it was. */
  readonly compared: readonly Compared[]
}

export interface Compared {
  readonly what: string
  readonly you: string
  readonly was: string
  readonly isRight: boolean
}
