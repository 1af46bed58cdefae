import { markOfStep } from '../../../procedures/procedure'
import { disposalFor } from '../../../procedures/waste'
import type { Upcasts } from '../defineKind'
import type { PlanFixed } from './kind'
import { type PlanFixedV1, stepsOfV1 } from './stepsOfV1'

/** Before the fourth version nothing was kept back, and nobody's leave was written down. */
const NEW_IN_V4 = { keptBackG: 0, solubilityConfidence: null, inCharge: null } as const

const ONLY_OF_V1: PlanFixed['procedure'] = {
  id: 'small-funnel',
  name: 'Small flask and suction funnel',
  collect: 'small funnel',
}

/** Version 1 knew one procedure and worked its steps out on reading: they stay as they were. */
function fromV1(body: unknown): PlanFixed {
  const old = body as PlanFixedV1
  const plan = {
    ...old,
    procedure: ONLY_OF_V1,
    inserts: [],
    crudeText: String(old.input.crudeG),
    amount: 'least hot solvent' as const,
    pair: null,
    ...NEW_IN_V4,
  }
  return {
    ...plan,
    steps: stepsOfV1(old),
    waste: disposalFor(old.solvent),
  }
}

function withKeptBack(body: unknown): PlanFixed {
  return { ...NEW_IN_V4, ...(body as PlanFixed) }
}

/** Version 2 knew what a step does by its name alone. */
function withMarks(body: unknown): PlanFixed {
  const old = body as PlanFixed
  return {
    ...old,
    steps: old.steps.map((step) => {
      const means = markOfStep(step)
      return means ? { ...step, means } : step
    }),
  }
}

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: fromV1, 2: withMarks, 3: withKeptBack }
