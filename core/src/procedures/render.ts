import { type Condition, markOfStep, type Procedure, type Step, type StepTemplate } from './procedure'
import { type Amount, AMOUNTS, amountsOf } from './amounts'
import { minutesOf } from './amountsOfDrying'
import type { Batch } from './batch'
import { conditionsOf } from './conditions'

/**
 * The steps of a procedure with the amounts of one batch, those left out that do not apply to it.
 *
 * @throws nothing: a brace that names no amount stays as it is
 */
export function renderSteps(procedure: Procedure, batch: Batch): readonly Step[] {
  const holds = conditionsOf(procedure, batch)
  const amounts = amountsOf(procedure, batch)
  const isUsed = (when: readonly Condition[] = []) => when.every((one) => holds.has(one))
  return procedure.steps
    .filter((step) => isUsed(step.when))
    .map((step) => rendered(step, amounts, batch, holds))
}

/** The waste a batch leaves, by stream. */
export function renderWaste(
  procedure: Pick<Procedure, 'waste' | 'collect'>,
  batch: Batch,
): readonly string[] {
  const amounts = amountsOf(procedure, batch)
  return procedure.waste
    .filter((line) => batch.inserts.includes('charcoal') || !line.startsWith('Charcoal'))
    .map((line) => filled(line, amounts))
}

function rendered(
  step: StepTemplate,
  amounts: Readonly<Record<Amount, string>>,
  batch: Batch,
  holds: ReadonlySet<Condition>,
): Step {
  const caution = (step.cautions ?? [])
    .filter(({ when }) => when === undefined || holds.has(when))
    .map(({ text }) => filled(text, amounts))
    .join(' ')
  const { id, station, portions, asks } = step
  const means = markOfStep(step)
  return {
    id,
    station,
    text: filled(step.text, amounts),
    ...(caution ? { caution } : {}),
    ...(step.timer ? { timer: { timer: step.timer.timer, minutes: minutesOf(step.timer, batch) } } : {}),
    ...(portions ? { portions } : {}),
    ...(asks ? { asks } : {}),
    ...(means ? { means } : {}),
    ...(step.meanwhile ? { meanwhile: filled(step.meanwhile, amounts) } : {}),
    ...(step.stop && (step.stopWhen === undefined || holds.has(step.stopWhen))
      ? { stop: filled(step.stop, amounts) }
      : {}),
    ...(step.takes ? { takes: step.takes } : {}),
  }
}

function filled(text: string, amounts: Readonly<Record<string, string>>): string {
  return text.replace(/\{(\w+)\}/g, (brace, name: string) => amounts[name] ?? brace)
}

/** Braces in a text that name no amount. */
export function unknownAmounts(text: string): readonly string[] {
  return [...text.matchAll(/\{(\w*)\}/g)].map((found) => found[1] ?? '').filter((name) => !(name in AMOUNTS))
}
