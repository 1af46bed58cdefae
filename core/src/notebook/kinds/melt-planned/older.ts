import type { RampInput, RampPlan } from '../../../heating/planRamp'
import type { Upcasts } from '../defineKind'
import type { MeltPlanned } from './kind'

/** The first version knew programmable blocks only, and no calibration. */
function fromV1(body: unknown): MeltPlanned {
  const { input, plan, ...rest } = body as MeltPlanned & { input: RampInput; plan: RampPlan }
  const { startC, watchFromC, stopC, rateCPerMin, watchFromMin, totalMin } = plan
  return {
    ...rest,
    instrumentName: rest.instrument.replaceAll('-', ' '),
    purpose: 'careful',
    window: { startC, watchFromC, stopC, rateCPerMin, watchFromMin, totalMin },
    heating: { by: 'ramp', input, plan },
    calibration: null,
  }
}

/** How bodies of earlier versions are read. */
export const upcasts: Upcasts = { 1: fromV1 }
