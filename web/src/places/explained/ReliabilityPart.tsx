import type { Reliability, ReliabilityInput } from '@ivory-crystal/core/identity'
import { candidateFrom, type UnknownFacts, unknownsOf } from '@ivory-crystal/core/notebook'
import type { Result } from '@ivory-crystal/core/problems'
import { proxy } from 'comlink'
import { useState } from 'react'
import ProgressBar from 'react-bootstrap/ProgressBar'
import { Link } from 'react-router'
import { fixed } from '../../format/format'
import { useNotebook } from '../../ledger/notebook'
import { Choice } from '../../parts/Field'
import { RunOrStop } from '../../parts/RunOrStop'
import { useLongRun } from '../../parts/useLongRun'
import { compute } from '../../workers/compute'
import css from './ReliabilityPart.module.css'

const BENCHES = 200
const SEED = 20_261_128

interface Tried {
  readonly of: string
  readonly most: Reliability
  readonly nearest: Reliability
}

/** How unknowns of a list at hand would fare on simulated benches, beside the screen and with a bar. */
export function ReliabilityPart({ home }: { home: string }) {
  const view = useNotebook((state) => state.view)
  const lists = unknownsOf(view).filter(({ candidates }) => candidates.length > 1)
  const [chosen, setChosen] = useState(0)
  const { share, result: tried, start, stop } = useLongRun<Tried>()
  const one = lists[chosen] ?? lists[0]
  if (!one)
    return (
      <p>
        Once a case has <Link to={`${home}/unknowns`}>two candidates on its list</Link>, you can test its list
        on simulated benches. You see how often an unknown is named correctly, with how many mixtures, and
        which pair is hard to separate.
      </p>
    )
  return (
    <>
      <div className="row-of align-items-end">
        <Choice
          label="the list of"
          options={lists.map(nameOf)}
          value={nameOf(one)}
          onChange={(name) => {
            setChosen(lists.findIndex((list) => nameOf(list) === name))
          }}
        />
        <RunOrStop
          isRunning={share !== null}
          onRun={() => {
            start((notify) => tryList(one, (count) => notify(count / (2 * BENCHES))))
          }}
          onStop={stop}
        >
          {`Try ${BENCHES} simulated benches`}
        </RunOrStop>
      </div>
      {share !== null && (
        <div className="mt-2">
          <ProgressBar now={100 * share} aria-label="benches tried" />
          <p className="quiet mb-0">
            {Math.round(2 * BENCHES * share)} of {2 * BENCHES} benches, both ways of choosing
          </p>
        </div>
      )}
      {tried && !tried.ok && <p className="trouble mt-2">{tried.problem.sentence}</p>}
      {tried?.ok && tried.value.of === one.id && <ReliabilitySummary tried={tried.value} list={one} />}
    </>
  )
}

function nameOf({ opened, candidates }: UnknownFacts): string {
  return `${opened.body.code} (${candidates.length})`
}

/** Both ways of choosing the next mixture, one after the other; null when it was told to stop. */
async function tryList(one: UnknownFacts, report: (done: number) => boolean): Promise<Result<Tried> | null> {
  const heavy = await compute()
  const input: ReliabilityInput = {
    candidates: one.candidates.map(({ compound }) => candidateFrom(compound)),
    benches: BENCHES,
    seed: SEED,
  }
  const most = await heavy.reliability(input, proxy(report))
  if (!most?.ok) return most
  const nearest = await heavy.reliability(
    { ...input, strategy: 'nearest first' },
    proxy((count: number) => report(BENCHES + count)),
  )
  if (!nearest?.ok) return nearest
  return { ok: true, value: { of: one.id, most: most.value, nearest: nearest.value } }
}

function ReliabilitySummary({ tried: { most, nearest }, list }: { tried: Tried; list: UnknownFacts }) {
  const name = (id: string) => list.candidates.find(({ compound }) => compound.id === id)?.compound.name ?? id
  const [hard] = most.hardPairs
  return (
    <div className="mt-3" data-testid="reliability">
      <p>
        This list of {list.candidates.length} takes <b>{fixed(most.runs, 1)} mixtures</b> on average;{' '}
        {hard ? `${name(hard.a)} and ${name(hard.b)} are the hard pair.` : 'no pair needed a second mixture.'}
      </p>
      <Bar what="by what is most informative" reliability={most} />
      <Bar what="nearest melting first" reliability={nearest} />
      <p className="quiet mt-2">
        Simulated with typical values. Every tenth unknown is not on the list. Mixtures differ from the ideal
        relation by about 6.6 °C (standard deviation). One pair in eighty shows no depression, and one run in
        a hundred fails. Clear points are read to 0.3 °C, on a thermometer with an error of 0.5 °C. The seed
        is fixed, so the result is always the same.
      </p>
    </div>
  )
}

function Bar({ what, reliability }: { what: string; reliability: Reliability }) {
  const { benches, right, wrong, undecided, unlisted, runs } = reliability
  const share = (count: number) => `${fixed((100 * count) / benches, 1)} %`
  return (
    <div className={css.bar}>
      <b>{what}</b>
      <svg
        className={css.drawn}
        role="img"
        aria-label={`${what}: right ${share(right)}, open ${share(undecided)}, wrong ${share(wrong)}`}
      >
        <rect width={share(right).replace(' ', '')} height="14" fill="var(--teal)" />
        <rect
          x={share(right).replace(' ', '')}
          width={share(undecided).replace(' ', '')}
          height="14"
          fill="var(--hair)"
        />
        <rect
          x={share(right + undecided).replace(' ', '')}
          width={share(wrong).replace(' ', '')}
          height="14"
          fill="var(--ink)"
        />
      </svg>
      <span>
        right {share(right)}, left open {share(undecided)}, wrong {share(wrong)}; not on the list recognised{' '}
        {unlisted.recognised} of {unlisted.benches}; {fixed(runs, 1)} mixtures
      </span>
    </div>
  )
}
