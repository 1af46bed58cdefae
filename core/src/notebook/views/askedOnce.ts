import type { Line } from '../entry'
import type { Step } from '../../procedures/procedure'
import { markOfStep } from '../../procedures/procedure'
import type { View } from '../fold'
import { capital } from '../../words'
import { linesOf } from '../read'
import { isDone, type PrepFacts } from './prep'

/** An answer to what is asked, and the line that keeps it. */
interface Answer {
  readonly says: string
  readonly line: Line
}
/** Something the notebook can see was not done as it is told; asked once, and answered by a line. */
export interface AskedOnce {
  readonly step: Step
  readonly question: string
  readonly answers: readonly Answer[]
}

/** Words of a step for a question: its first sentence or clause, not the whole of it. */
const WORDS_MOST = 90

/**
 * What is to be asked of the steps so far, the earliest first: a step passed by, a solid on the heat without solvent, a
 * tube spun without its partner.
 */
export function askedOnce(view: View, prep: PrepFacts): readonly AskedOnce[] {
  const lastDone = prep.steps.findLastIndex(({ id }) => isDone(prep, id))
  const written = new Set(prep.observations.map(({ body }) => body.text))
  return prep.steps.flatMap((step, i) => {
    if (i < lastDone && !prep.ticked.has(step.id)) return [passedBy(prep, step)]
    if (!isDone(prep, step.id)) return []
    const odd = step.portions === 'dissolve' ? dryOnHeat(prep, step) : unbalanced(view, prep, step)
    return odd && !written.has(textOf(odd)) ? [odd] : []
  })
}

function passedBy(prep: PrepFacts, step: Step): AskedOnce {
  const words = wordsOf(step)
  return {
    step,
    question:
      `${capital(step.station)}: “${words}” is not ticked, but a later step is. ${CONSEQUENCE[markOfStep(step) ?? ''] ?? ''}`.trim(),
    answers: [
      { says: 'It was done', line: { kind: 'step ticked', subject: prep.id, body: { step: step.id } } },
      {
        says: 'It was left out',
        line: { kind: 'step ticked', subject: prep.id, body: { step: step.id, isLeftOut: true } },
      },
    ],
  }
}

const CONSEQUENCE: Readonly<Record<string, string>> = {
  'put aside':
    'Without it, no crude is kept back for its range, a plate or a seed, and all of it counts as dissolved.',
  'stones out': 'Without it, a boiling stone could be weighed with the crystals.',
  'liquor kept': 'Without it, you cannot look for missing product in the mother liquor.',
  ice: 'Without it, the product that ice would crystallize is still in the mother liquor.',
}

/** Portions were to be logged, none is, and the solid is said to be dissolved. */
function dryOnHeat(prep: PrepFacts, step: Step): AskedOnce | null {
  if (prep.portions.some(({ body }) => body.use !== 'rinse')) return null
  return withObservation(
    prep,
    step,
    'No solvent is logged. Dry solid on a hot plate melts to an oil. Was solvent in before the heat?',
    'Solvent was in, not logged',
    'Solvent went in before the heat; its volume was not written down.',
  )
}

function unbalanced(view: View, prep: PrepFacts, step: Step): AskedOnce | null {
  if (step.asks !== 'centrifuge partner') return null
  if (linesOf(view, prep.id, 'balanced').some(({ body }) => body.step === step.id)) return null
  return withObservation(
    prep,
    step,
    'No balanced pair is written down for this spin. A tube is only spun against its own mass. Was the partner weighed?',
    'It was balanced, not written down',
    `The partner was weighed and balanced before “${wordsOf(step)}”; its mass was not written down.`,
  )
}

function withObservation(
  prep: PrepFacts,
  step: Step,
  question: string,
  says: string,
  text: string,
): AskedOnce {
  return {
    step,
    question,
    answers: [{ says, line: { kind: 'observed', subject: prep.id, body: { station: step.station, text } } }],
  }
}

function textOf({ answers }: AskedOnce): string {
  return answers.map(({ line }) => (line.kind === 'observed' ? line.body.text : '')).join('')
}

function wordsOf({ text }: Step): string {
  const [sentence = text] = text.split(/(?<=[.;:]) /)
  return sentence.length <= WORDS_MOST
    ? sentence.replace(/[.:;,]$/, '')
    : `${sentence.slice(0, sentence.lastIndexOf(' ', WORDS_MOST))} …`
}
