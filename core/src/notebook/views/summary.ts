import type { EpochMs } from '../../ids'
import type { View } from '../fold'
import { rankCandidates } from '../../identity/rankCandidates'
import { accountOf } from './account'
import { odditiesOf, ownWordsOf } from './causes'
import { dissolvingOf, pipetteOf } from './dissolving'
import { drynessOf } from './dryness'
import { judgementOf } from './judgement'
import { platesOf } from './plates'
import { prepsOf, recoveryOf, solventSoFarML } from './prep'
import { rangesOf } from './ranges'
import { nextStep, stationsOf } from './stations'
import { timersOf } from './timers'
import { trialsOf } from './trials'
import { caseForRanking } from './ranking'
import { unknownsOf } from './unknowns'

/** What a notebook comes to, in plain values: two views that tell the same have the same summary. */
export function summaryOf(view: View, now: EpochMs): object {
  return {
    lines: view.count,
    struck: [...view.struck.keys()].sort(),
    newer: view.newer.map((line) => line.id),
    preps: prepsOf(view).map((prep) => {
      const recovery = recoveryOf(prep)
      const judgement = judgementOf(view, prep.id)
      const account = accountOf(view, prep.id)
      return {
        title: prep.opened.body.title,
        plan: prep.plan?.body.result ?? null,
        ticked: [...prep.ticked.keys()],
        solvent: solventSoFarML(prep),
        procedure: prep.plan?.body.procedure.id ?? null,
        dissolving: dissolvingOf(view, prep).state,
        dropsPerML: pipetteOf(view, prep),
        dry: drynessOf(view, prep).sentence,
        account: account.ok
          ? {
              closurePercent: account.value.closurePercent,
              yieldPercent: account.value.yield?.percent ?? null,
              ofProductPercent: account.value.ofProduct?.value ?? null,
              residue: account.value.residue,
              rows: account.value.rows.map((row) => ({
                part: row.part,
                predictedG: row.predictedG,
                foundG: row.found?.value ?? null,
              })),
            }
          : account.problem.code,
        odd: odditiesOf(view, prep.id).map(({ code }) => code),
        ownWords: ownWordsOf(view, prep.id),
        trials: trialsOf(view, prep.id).map(({ entry, verdict }) => `${entry.body.solvent}: ${verdict.fit}`),
        recoveryPercent: recovery.ok ? recovery.value.percent : recovery.problem.code,
        ranges: rangesOf(view, prep.id).map(({ label, onset, clear, signs, rateCPerMin, trouble }) => ({
          label,
          onset: onset?.text ?? null,
          clear: clear?.text ?? null,
          signs: signs.map((sign) => `${sign.temperature.text} ${sign.word ?? ''}`),
          rateCPerMin: Math.round(rateCPerMin * 100) / 100,
          trouble,
        })),
        verdict: judgement.ok ? judgement.value.judgement.verdict : judgement.problem.code,
        findings: judgement.ok ? judgement.value.judgement.findings.map((finding) => finding.code) : [],
        stations: stationsOf(view, prep.id).map(({ station, state }) => `${station}: ${state}`),
        timers: timersOf(view, prep.id, now).map(({ timer, leftMs }) => ({ timer, leftMs })),
        next: nextStep(view, prep.id, now),
      }
    }),
    unknowns: unknownsOf(view).map((unknown) => {
      const ranked = caseForRanking(unknown)
      return {
        code: unknown.opened.body.code,
        candidates: unknown.candidates.map(
          ({ compound, ruledOut, authentic }) =>
            `${compound.name}${ruledOut ? ', ruled out' : ''}${authentic ? ', at hand' : ''}`,
        ),
        alone: unknown.rows.map(({ onset, clear, purpose }) => ({
          onset: onset?.text ?? null,
          clear: clear?.text ?? null,
          purpose,
        })),
        mixtures: unknown.mixtures.map(({ sample, massFractionOfSample, by, verdict }) => ({
          label: sample.label,
          massFractionOfSample,
          by,
          verdict: verdict.ok ? verdict.value.verdict : verdict.problem.code,
        })),
        ranked: ranked.ok
          ? rankCandidates(ranked.value.input).map(({ id, probability }) => ({
              id,
              probability: Math.round(probability * 1e4) / 1e4,
            }))
          : ranked.problem.code,
        signed: unknown.signed?.body.answer ?? null,
        answer: unknown.answer?.body.compound ?? null,
      }
    }),
    plates: platesOf(view).map(({ opinion }) => (opinion.ok ? opinion.value : opinion.problem.code)),
  }
}
