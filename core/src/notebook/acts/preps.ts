import { capital } from '../../words'
import type { PrepId, SampleId } from '../../ids'
import type { Batch } from '../../procedures/batch'
import { renderSteps, renderWaste } from '../../procedures/render'
import type { Compound } from '../../substances/shelf'
import { CORE_VERSION } from '../../version'
import type { Line } from '../entry'
import type { Procedure } from '../../procedures/procedure'
import type { PlannedPair } from '../kinds/plan-fixed/kind'
import type { SampleRole } from '../kinds/sample-named/kind'
import type { PrepJudgement } from '../views/judgement'
import { type PrepFacts, sampleOf } from '../views/prep'
import type { NewId } from './newId'

/**
 * A prep is begun, with its crude and its product named.
 *
 * @param title empty: that of the compound
 */
export function beginPrep(
  newId: NewId,
  { title, compound }: { readonly title: string; readonly compound: Compound },
): { readonly id: PrepId; readonly lines: readonly Line[] } {
  const id = newId<PrepId>()
  const name = capital(compound.name)
  return {
    id,
    lines: [
      { kind: 'prep opened', subject: id, body: { title: title.trim() || name, compound } },
      nameSample(newId, id, 'crude', `Crude ${compound.name}`),
      nameSample(newId, id, 'product', name),
    ],
  }
}

/** A further sample of a prep gets its name. */
export function nameSample(
  newId: NewId,
  prep: PrepId,
  role: SampleRole,
  label: string,
): Line<'sample named'> {
  return {
    kind: 'sample named',
    subject: newId<SampleId>(),
    body: { prep, role, label, compound: null, of: [] },
  }
}

/** A plan is fixed, with the steps as they read for this batch; it rests on the weighing of the crude. */
export function fixPlan(
  prep: PrepFacts,
  batch: Batch,
  { procedure, pair }: { readonly procedure: Procedure; readonly pair: PlannedPair | null },
  solubilitySource: string,
): Line<'plan fixed'> {
  const weighing = sampleOf(prep, 'crude')?.weighing
  return {
    kind: 'plan fixed',
    subject: prep.id,
    body: {
      ...batch,
      pair,
      procedure: { id: procedure.id, name: procedure.name, collect: procedure.collect },
      steps: renderSteps(procedure, batch),
      waste: renderWaste(procedure, batch),
      solubilitySource,
      coreVersion: CORE_VERSION,
      restsOn: weighing ? [weighing.id] : [],
    },
  }
}

/** A verdict is signed as it was worked out, with everything it rests on. */
export function signVerdict(
  prep: PrepFacts,
  { sample, judgement, evidence, conventions, restsOn }: PrepJudgement,
  signedBy: string,
): Line<'verdict signed'> {
  return {
    kind: 'verdict signed',
    subject: prep.id,
    body: { sample, signedBy, judgement, evidence, conventions, restsOn, coreVersion: CORE_VERSION },
  }
}
