import { coolingMin } from '../solubility/glassware'

/** What a step takes of the bench while it goes on. */
export const BENCH_THINGS = ['hot plate', 'ice', 'balance', 'centrifuge'] as const
export type BenchThing = (typeof BENCH_THINGS)[number]

/** What a step waits for: all before it, only what the hands did before it, or nothing of its prep. */
export type WaitsFor = 'all before' | 'the hands before' | 'nothing'

/** How long a step takes and what it uses, for the plan of a lab period; a lab’s own steps may say it themselves. */
export interface Takes {
  /** With the hands, min, for a small batch; more for a larger one where `isByVolume`. 0 where it needs none. */
  readonly handsMin: number
  readonly isByVolume?: boolean
  /** By itself afterwards, min; its own clock’s minutes where it has one. */
  readonly aloneMin?: number
  /** Used while the hands are at it. */
  readonly uses?: readonly BenchThing[]
  /** Used while it goes on by itself. */
  readonly aloneUses?: readonly BenchThing[]
  /** The hands stay at it while its clock runs. */
  readonly isAttended?: boolean
  /** What must be seen to while it goes on by itself. */
  readonly watch?: string
  readonly waitsFor?: WaitsFor
  /** It may not be left waiting longer than this after what came before, min. */
  readonly withinMin?: number
  /** Steps of one name that follow each other are one piece of work. */
  readonly work?: string
}

const HOT: Pick<Takes, 'uses' | 'work'> = { uses: ['hot plate'], work: 'dissolve' }
const IN_SIGHT = 'stay where you can see it'
/** Hot solvent that waits boils away. */
const HOT_WITHIN_MIN = 15
/** Longer in ice gains nothing, and the solvent draws water. */
const ICE_WITHIN_MIN = 30

/**
 * Minutes of the shipped steps, by name. Rules of the bench for one student and a small batch, not measured; a bench’s
 * own minutes take their place once there are enough of them.
 */
const TAKES: Readonly<Record<string, Takes>> = {
  'keep-back': { handsMin: 2, work: 'get ready' },
  'heat-solvent': {
    handsMin: 2,
    work: 'get ready',
    aloneMin: 6,
    isByVolume: true,
    aloneUses: ['hot plate'],
    watch: IN_SIGHT,
  },
  'heat-second': { handsMin: 2, waitsFor: 'the hands before', work: 'wet the crude' },
  'wet-the-crude': { handsMin: 2, waitsFor: 'the hands before', work: 'wet the crude' },
  'dissolve-in-portions': { ...HOT, handsMin: 10, isByVolume: true, withinMin: HOT_WITHIN_MIN },
  'dissolve-measured': { ...HOT, handsMin: 8, isByVolume: true, withinMin: HOT_WITHIN_MIN },
  'dissolve-under-reflux': { ...HOT, handsMin: 12, isByVolume: true, withinMin: HOT_WITHIN_MIN },
  'dissolve-measured-under-reflux': { ...HOT, handsMin: 10, isByVolume: true, withinMin: HOT_WITHIN_MIN },
  'dissolve-by-drops': { ...HOT, handsMin: 7, withinMin: HOT_WITHIN_MIN },
  'dissolve-in-good': { ...HOT, handsMin: 10, isByVolume: true, withinMin: HOT_WITHIN_MIN },
  'dissolve-warm': { ...HOT, handsMin: 8 },
  'add-charcoal': { ...HOT, handsMin: 8, isAttended: true },
  'filter-hot-as-planned': { ...HOT, handsMin: 10 },
  'filter-hot-measured': { ...HOT, handsMin: 8 },
  'filter-hot': { ...HOT, handsMin: 10 },
  'boil-back': { ...HOT, handsMin: 10, isByVolume: true },
  'distil-back': { ...HOT, handsMin: 20, isByVolume: true },
  'leave-the-grit': { ...HOT, handsMin: 15 },
  'leave-the-grit-as-planned': { ...HOT, handsMin: 6 },
  'leave-the-grit-measured': { ...HOT, handsMin: 4 },
  'dilute-hot': { ...HOT, handsMin: 2 },
  'top-up-hot': { ...HOT, handsMin: 2 },
  'grit-in-craig': { ...HOT, handsMin: 4 },
  'draw-off-grit': { ...HOT, handsMin: 5 },
  'second-dissolving': { ...HOT, handsMin: 4 },
  'cloud-with-second': { ...HOT, handsMin: 6 },
  'clear-again': { ...HOT, handsMin: 2 },
  'off-the-heat': { ...HOT, handsMin: 1 },
  'heat-away': { ...HOT, handsMin: 3 },
  'cover-the-filtrate': { ...HOT, handsMin: 1 },
  'plunger-in': { handsMin: 1, work: 'dissolve' },
  'cool-undisturbed': { handsMin: 0 },
  'into-ice': { handsMin: 1, aloneUses: ['ice'], work: 'into the ice' },
  'into-cool-water': { handsMin: 1, aloneUses: ['ice'], work: 'into the ice' },
  'set-up-suction': { handsMin: 3, waitsFor: 'nothing', work: 'set up suction' },
  'wipe-and-pour': { handsMin: 3, withinMin: ICE_WITHIN_MIN, work: 'collect' },
  'rinse-cold': { handsMin: 2, work: 'collect' },
  'press-dry': { handsMin: 1, work: 'collect' },
  'draw-air': { handsMin: 1, work: 'collect' },
  'draw-air-briefly': { handsMin: 3, work: 'collect' },
  'dry-in-vial': { handsMin: 1, work: 'collect' },
  'turn-over': { handsMin: 2, withinMin: ICE_WITHIN_MIN, work: 'collect' },
  'balance-partner': { handsMin: 3, uses: ['balance'], work: 'balance', withinMin: ICE_WITHIN_MIN },
  'balance-again': { handsMin: 2, uses: ['balance'], work: 'balance' },
  spin: { handsMin: 1, aloneUses: ['centrifuge'], watch: 'lid shut until it stands still', work: 'spin' },
  'spin-again': {
    handsMin: 1,
    aloneUses: ['centrifuge'],
    watch: 'lid shut until it stands still',
    work: 'spin',
  },
  'pull-out': { handsMin: 3, work: 'put away' },
  'draw-off-liquor': { handsMin: 3, work: 'collect' },
  'dry-in-tube': { handsMin: 1, work: 'put away' },
  'keep-the-liquor': { handsMin: 2, work: 'put away' },
  'pick-out-stones': { handsMin: 3, work: 'put away' },
  'spread-to-dry': { handsMin: 2, work: 'dry' },
  'dry-and-weigh-again': { handsMin: 3, uses: ['balance'], work: 'dry' },
  'onto-the-glass': {
    handsMin: 2,
    aloneUses: ['hot plate'],
    watch: 'stay with it: not to dryness',
    work: 'evaporate',
  },
  'off-before-dry': { handsMin: 2, work: 'off the steam' },
  'scrape-together': { handsMin: 3, work: 'put away' },
}

/** A step nobody has said the minutes of is taken to need so many with the hands. */
const UNKNOWN_STEP_MIN = 3

/** A step’s minutes for one batch. */
export interface StepTakes extends Takes {
  readonly aloneMin: number
  /** The minutes are a guess: nobody has said what this step takes. */
  readonly isGuess: boolean
}

/**
 * What a step takes: what it says itself, what the shipped step of that name takes, else a guess that says it is one.
 *
 * @param step of a fixed plan
 * @param hotML volume of the batch: a larger one takes longer to heat and to dissolve
 * @example takesOf({ id: 'rinse-cold' }, 10).handsMin // 2
 */
export function takesOf(
  step: {
    readonly id: string
    readonly timer?: { readonly minutes: number }
    readonly takes?: Takes
  },
  hotML: number,
): StepTakes {
  const known = step.takes ?? TAKES[step.id]
  const times = known ?? { handsMin: UNKNOWN_STEP_MIN }
  const scaled = (min: number) => (times.isByVolume ? Math.max(min, coolingMin(min, hotML)) : min)
  const handsMin = times.isByVolume && times.aloneMin !== undefined ? times.handsMin : scaled(times.handsMin)
  const clockMin = times.isAttended ? 0 : (step.timer?.minutes ?? 0)
  return {
    ...times,
    handsMin,
    aloneMin: times.aloneMin === undefined ? Math.ceil(clockMin) : scaled(times.aloneMin),
    isGuess: known === undefined,
  }
}
