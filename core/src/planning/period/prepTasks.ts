import { isFlammable } from '../../substances/hazards'
import type { BenchThing } from '../../procedures/takes'
import { massOf, type PrepFacts, sampleOf } from '../../notebook/views/prep'
import { type PeriodContext, ownPace } from './context'
import { ALONE, STOPS, unknownWork, WORKS } from './prepWords'
import { handsLeftAt, lastDone, leftOf, piecesOf, stateOfAlone, stateOfHands } from './prepStates'
import { doneBetween, HARM, MINUTE_MS, OPEN, type Row, TAGS, type TaskState } from './task'

/** The work of one prep from its crude to its dry, weighed product, as its fixed plan has it. */
export function stepTasks(row: Row, context: PeriodContext, prep: PrepFacts, name: string): void {
  const { plan } = prep
  const place = `preps/${prep.id}`
  if (!plan) {
    openingTasks(row, context, prep, name)
    return
  }
  const { solvent, pair, result } = plan.body
  const solvents = pair ? [solvent, pair.solvent] : [solvent]
  const burns = solvents.some(({ hazards }) => isFlammable(hazards))
  const pieces = piecesOf(prep.steps, result.hotML)
  for (const [i, piece] of pieces.entries()) {
    const { steps, work, first, last } = piece
    const [station] = steps.map((step) => step.station)
    const wording = (WORKS[work] ?? unknownWork(steps[0]))(name, solvent.name)
    const tagsOf = (things: readonly BenchThing[] = [], isWatched = false) => [
      ...(burns && (things.includes('hot plate') || station === 'collect') ? [TAGS.vapour] : []),
      ...(isWatched && things.includes('hot plate') ? [TAGS.inSight] : []),
      ...(things.includes('balance') ? [TAGS.eyesAway] : []),
    ]
    const lastStep = steps.at(-1)
    const clock = lastStep?.timer?.timer ?? 'heat'
    const stop = { stop: lastStep?.stop ?? null, stopLabel: STOPS[clock] ?? null }
    // What lies spread to dry may be left as it is once the hands are off it.
    const isLeftAsItIs = clock === 'dry'
    let id: string | undefined
    let hands: TaskState = OPEN
    if (piece.handsMin > 0) {
      const left = handsLeftAt(context.view, prep, piece)
      const planMin = leftOf(piece, left)
      const pace = planMin === piece.handsMin ? ownPace(context, work, planMin) : null
      const task = row.idOf(work)
      hands = stateOfHands(context, prep, piece, left, task, pace?.minutes ?? planMin)
      id = row.add({
        name: work,
        ...wording,
        planMin,
        pace,
        place: `${place}/${station ?? 'plan'}`,
        needs: needsOf({ hands: 1 }, piece.uses),
        tags: tagsOf(piece.uses),
        isGuess: piece.isGuess,
        ...(isLeftAsItIs ? stop : {}),
        waitsFor: first.waitsFor ?? 'all before',
        withinMin: first.withinMin,
        harm: station === 'collect' ? HARM.cold : HARM.hot,
        state: hands,
      })
    }
    if (last.aloneMin === 0) continue
    const lastHands =
      hands.is === 'open' && piece.handsMin === 0 ? lastDone(context.view, prep, pieces.slice(0, i)) : hands
    row.add({
      name: `${work} alone`,
      ...(ALONE[clock] ?? ALONE['heat'] ?? unknownWork(lastStep))(name, solvent.name),
      planMin: last.aloneMin,
      place: `${place}/${station ?? 'plan'}`,
      isAlone: true,
      follows: id,
      needs: needsOf({}, last.aloneUses),
      tags: tagsOf(last.aloneUses, last.watch !== undefined),
      watch: last.watch ?? null,
      ...(isLeftAsItIs ? {} : stop),
      state: stateOfAlone(context, prep, piece, lastHands, pieces.slice(i + 1)),
    })
  }
  weighing(row, context, prep, name)
}

/** Before the plan is fixed nobody knows the steps: weigh, decide, and then the rest is planned. */
function openingTasks(row: Row, { nowMs }: PeriodContext, prep: PrepFacts, name: string): void {
  const crude = sampleOf(prep, 'crude')
  const weighedAt = crude?.weighing?.at
  row.add({
    name: 'weigh the crude',
    words: `Weigh the crude ${name}`,
    label: 'weigh',
    planMin: 3,
    isHarmless: true,
    place: `preps/${prep.id}/plan`,
    needs: { hands: 1, balance: 1 },
    tags: [TAGS.eyesAway],
    state:
      weighedAt === undefined ? OPEN : doneBetween(weighedAt - 3 * MINUTE_MS, Math.min(weighedAt, nowMs)),
  })
  row.add({
    name: 'plan',
    words: `Choose the solvent for the ${name} and make the plan`,
    label: 'plan',
    planMin: 5,
    isHarmless: true,
    place: `preps/${prep.id}/plan`,
    state: OPEN,
  })
}

function weighing(row: Row, context: PeriodContext, prep: PrepFacts, name: string): void {
  const product = sampleOf(prep, 'product')
  const at = product?.weighing && massOf(product).ok ? product.weighing.at : null
  const planMin = 2
  const begun = context.period?.begun.get(`${prep.id}/weigh`)
  row.add({
    name: 'weigh',
    words: `Weigh the dry ${name}`,
    label: 'weigh',
    planMin,
    place: `preps/${prep.id}/weigh`,
    needs: { hands: 1, balance: 1 },
    tags: [TAGS.eyesAway],
    stop: 'Dry, weighed and in a labelled vial, it can wait until another day.',
    stopLabel: 'dry, weighed',
    state:
      at !== null
        ? doneBetween(begun ?? at - planMin * MINUTE_MS, at)
        : begun === undefined
          ? OPEN
          : { is: 'running', fromMs: begun, untilMs: begun + planMin * MINUTE_MS },
  })
}

function needsOf(needs: Readonly<Record<string, number>>, uses: readonly BenchThing[] = []) {
  return { ...needs, ...Object.fromEntries(uses.map((thing) => [thing, 1])) }
}
