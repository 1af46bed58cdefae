import { randomSource } from '../../math/random'

/** Something else that wants the eye while a tube is watched. */
export interface SmallJob {
  /** When it is put, s from the start of the exercise, as the learner has them. */
  readonly atS: number
  readonly ask: string
  readonly answer: string
}

/** The first comes after so many seconds, and the next each so many after it, least to most. */
const FIRST_AFTER_S = 6

const EVERY_S: readonly [number, number] = [14, 24]

/**
 * Jobs of the bench, each some seconds of arithmetic or of reading a display: the same seed the same jobs.
 *
 * @param count how many
 */
export function smallJobs(seed: number, count: number): readonly SmallJob[] {
  const { uniform } = randomSource(seed ^ 0x5a5a5a)
  let atS = FIRST_AFTER_S
  return Array.from({ length: count }, () => {
    const job = uniform() < 0.6 ? byDifference(uniform) : fromDisplay(uniform)
    const at = atS
    atS += EVERY_S[0] + Math.round((EVERY_S[1] - EVERY_S[0]) * uniform())
    return { atS: at, ...job }
  })
}

function byDifference(uniform: () => number): Omit<SmallJob, 'atS'> {
  const emptyMg = 31_000 + Math.floor(4000 * uniform())
  const netMg = 300 + Math.floor(1600 * uniform())
  const g = (mg: number) => (mg / 1000).toFixed(3)
  return {
    ask: `Vessel and crystals ${g(emptyMg + netMg)} g, empty ${g(emptyMg)} g. Crystals, in g?`,
    answer: g(netMg),
  }
}

function fromDisplay(uniform: () => number): Omit<SmallJob, 'atS'> {
  const mg = 120 + Math.floor(1800 * uniform())
  const text = (mg / 1000).toFixed(3)
  return { ask: `The balance is at rest at ${text} g. Write it down with all digits.`, answer: text }
}

/** Whether a job was answered right: its number with all its digits. */
export function isJobRight(job: SmallJob, sentence: string): boolean {
  return sentence.trim().replace(/\s*g$/, '') === job.answer
}
