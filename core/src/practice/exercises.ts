import { LENS_EXERCISES } from './meltExercise'

/** Every exercise, in the order they are listed. */
export const EXERCISES = [
  ...LENS_EXERCISES,
  'the dial',
  'the flame',
  'just dissolved',
  'the balance',
  'what does it say',
  'which mixture',
  'out on time',
  'what is wrong here',
  'choose the solvent',
] as const
export type ExerciseName = (typeof EXERCISES)[number]

/** What an exercise says of itself before it begins. */
export interface ExerciseWords {
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
}

/** So many good ones in a row, and an exercise is mastered at its level. */
export const GOOD_IN_A_ROW = 3

const BOTH_ENDS = 'both ends of every tube within the house’s reading error'

export const ABOUT: Readonly<Record<ExerciseName, ExerciseWords>> = {
  'see it melt': {
    title: 'See it melt',
    slug: 'see-it-melt',
    why: 'A pure solid goes within a degree: know what first liquid and last crystal look like before it counts.',
    minutes: [2, 4],
    rule: BOTH_ENDS,
    isForPhone: true,
  },
  'shrinking is not melting': {
    title: 'Shrinking is not melting',
    slug: 'shrinking',
    why: 'Powder draws together dry, one to three degrees before it melts: the commonest wrong onset there is.',
    minutes: [2, 5],
    rule: BOTH_ENDS,
    isForPhone: true,
  },
  'two numbers': {
    title: 'Two numbers',
    slug: 'two-numbers',
    why: 'An impure solid is slush over many degrees: both its ends are the answer, not the middle.',
    minutes: [3, 6],
    rule: BOTH_ENDS,
    isForPhone: true,
  },
  'it starts early': {
    title: 'It starts early',
    slug: 'it-starts-early',
    why: 'A crude solid begins thirty degrees low, while there is other work to do: the eye goes back and forth.',
    minutes: [4, 6],
    rule: `${BOTH_ENDS}, and the small jobs right but for one`,
    isForPhone: true,
  },
  'three at once': {
    title: 'Three at once',
    slug: 'three-at-once',
    why: 'A mixed test melts three tubes side by side: each has two moments, and they come when they like.',
    minutes: [3, 6],
    rule: BOTH_ENDS,
    isForPhone: true,
  },
  'the dial': {
    title: 'The dial',
    slug: 'the-dial',
    why: 'A block answers its dial late: be slow where it matters and quick where it does not.',
    minutes: [3, 6],
    rule: 'nine degrees of ten in the window at 1 to 2 °C/min, in at most a quarter more than the planner’s minutes',
    isForPhone: false,
  },
  'the flame': {
    title: 'The flame',
    slug: 'the-flame',
    why: 'With oil and a glass thermometer nothing writes the number down: press, read, type, and let it be taken back.',
    minutes: [3, 6],
    rule: 'both readings within half a division, at no more than 2.5 °C/min',
    isForPhone: false,
  },
  'just dissolved': {
    title: 'Just dissolved',
    slug: 'just-dissolved',
    why: 'Every millilitre too many keeps product in the liquor, and grit never dissolves however much is poured.',
    minutes: [2, 4],
    rule: 'clear but for grit, within a fifth of the least and two portions to try it, nothing heated dry',
    isForPhone: false,
  },
  'the balance': {
    title: 'The balance',
    slug: 'the-balance',
    why: 'Everything after it is divided by this mass: at rest, tared, the right vessel, all its digits.',
    minutes: [2, 3],
    rule: 'the mass within two steps of the display, all digits given',
    isForPhone: true,
  },
  'what does it say': {
    title: 'What does it say?',
    slug: 'what-does-it-say',
    why: 'The same two numbers can be impurity, haste, or a thermometer: say which, and what would settle it.',
    minutes: [2, 4],
    rule: 'verdict, cause and next step all right',
    isForPhone: true,
  },
  'which mixture': {
    title: 'Which mixture?',
    slug: 'which-mixture',
    why: 'Six compounds melt where the unknown does: each mixed melt costs half an hour, so choose the telling one.',
    minutes: [2, 5],
    rule: 'named right, shown by the mixtures, in no more runs than the planner',
    isForPhone: false,
  },
  'out on time': {
    title: 'Out on time',
    slug: 'out-on-time',
    why: 'Most of a lab period is waiting: the order of the work decides when the door closes behind you.',
    minutes: [3, 6],
    rule: 'over within a twentieth of the best order there is',
    isForPhone: false,
  },
  'what is wrong here': {
    title: 'What is wrong here?',
    slug: 'what-is-wrong-here',
    why: 'A mistake seen at a glance is one not made: look the bench over, and say why and what instead.',
    minutes: [2, 4],
    rule: 'every mistake found, nothing right accused, why and remedy right',
    isForPhone: false,
  },
  'choose the solvent': {
    title: 'Choose the solvent',
    slug: 'choose-the-solvent',
    why: 'Steep and low is what a good solvent looks like: the curve decides, before any is poured.',
    minutes: [2, 3],
    rule: 'the ranking’s first, or one as good',
    isForPhone: false,
  },
}

/** What a beginner does before the first real prep: five at the lens, where what is missed cannot be made good. */
export const FIRST_PATH = [
  'see it melt',
  'shrinking is not melting',
  'two numbers',
  'three at once',
  'it starts early',
] as const satisfies readonly ExerciseName[]

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

/** Of an address; null where there is none. */
export function exerciseAt(slug: string): ExerciseName | null {
  return EXERCISES.find((name) => ABOUT[name].slug === slug) ?? null
}
