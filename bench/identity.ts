import {
  nextMixture,
  rankCandidates,
  type Candidate,
  type IdentityInput,
  type MixtureRun,
} from '@ivory-crystal/core/identity'
import { candidateFrom } from '@ivory-crystal/core/notebook'
import { framesWhile, withDemoPage } from './page'
import { ms, ratio, rounds, type Row } from './table'

/** A shelf of made-up compounds, melting from 40 to 300 °C. */
function shelf(count: number): readonly Candidate[] {
  return Array.from({ length: count }, (_, i) => {
    const meltHighC = 40 + ((i * 7919) % 26_000) / 100
    return candidateFrom({
      id: `compound-${i}`,
      name: `compound ${i}`,
      smiles: '',
      formula: '',
      molarMassGPerMol: 100 + ((i * 31) % 200),
      cas: null,
      meltLowC: meltHighC - 2,
      meltHighC,
      meltConfidence: 'low',
      behaviour: 'melts',
      fusionEnthalpyKJPerMol: i % 3 === 0 ? null : 15 + (i % 20),
      fusionConfidence: null,
      colour: 'white',
      hazards: [],
      synonyms: [],
      source: 'made up for a measurement',
    })
  })
}

/** Ranking a whole shelf, and choosing the next mixture among twenty. */
export function measureIdentity(): Row[] {
  const unknown = { onsetC: 93.6, clearC: 94.8 }
  const many = shelf(10_000)
  const mixtures: MixtureRun[] = many.slice(0, 3).map((reference) => ({ reference, onsetC: 58, clearC: 76 }))
  const input: IdentityInput = { unknown, candidates: many, mixtures }
  const rank = rounds(() => rankCandidates(input))
  const bare = rounds(() =>
    many.reduce((sum, { meltHighC }) => sum + 4 * Math.log(1 + Math.exp(-Math.abs(meltHighC - 94.8))), 0),
  )
  const few = shelf(20).map((one, i) => ({ ...one, meltHighC: 93 + i / 4, meltLowC: 92 + i / 4 }))
  const next = rounds(() => nextMixture({ unknown, candidates: few, mixtures: [], references: few }))
  return [
    {
      what: 'ranking 10,000 compounds with three mixtures (bare: one logarithm a density)',
      ours: ms(rank),
      bare: ms(bare),
      ratio: ratio(rank, bare),
      aim: 'at most 150 ms, in a worker',
    },
    { what: 'the next mixture among 20', ours: ms(next), bare: '', ratio: '', aim: 'at most 100 ms' },
  ]
}

const DRAG_STEPS = 240

/** Frames while the phase map is dragged across, against the same page at rest. */
export function measureMap(): Promise<Row[]> {
  return withDemoPage(async (page, at) => {
    await page.goto(at)
    await page.getByRole('link', { name: 'Benzil, from benzoin' }).click()
    await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Judge' }).click()
    const map = page.getByRole('img', { name: /^Phase map/ })
    await map.scrollIntoViewIfNeeded()
    const box = (await map.boundingBox()) ?? { x: 0, y: 0, width: 1, height: 1 }
    const idle = await framesWhile(page, () => page.waitForTimeout(4000))
    const frames = await framesWhile(page, async () => {
      await page.mouse.move(box.x + 60, box.y + 60)
      await page.mouse.down()
      for (let i = 0; i < DRAG_STEPS; i++)
        await page.mouse.move(
          box.x + 60 + ((box.width - 120) * i) / DRAG_STEPS,
          box.y + 60 + 120 * Math.sin(i / 20) ** 2,
        )
      await page.mouse.up()
    })
    return [
      {
        what: 'the phase map under a drag: frame, p95 (bare: the page at rest)',
        ours: `${frames.toFixed(1)} ms`,
        bare: `${idle.toFixed(1)} ms`,
        ratio: `× ${(frames / idle).toFixed(2)}`,
        aim: 'reported',
      },
    ]
  })
}
