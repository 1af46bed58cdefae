import type { Grain } from '../../heating/observedRange'
import type { HouseWords } from '../../judging/evidence'
import type { MeltingRange } from '../../melting/meltingRange'
import { advance, createBlock } from '../../simulator/block'
import { PROGRAMMABLE_BLOCK } from '../../instruments/characters'
import { createTube } from '../../simulator/tube'
import type { SimulatedSample } from '../../instruments/reading'
import { type TubeTruth, truthAfter } from '../lens/truth'

const ROOM_BELOW_C = 30

/** One tube in a simulated block of no error but the one it is given, at a rate, as the eye would mark it, °C. */
export function meltOnce(
  sample: SimulatedSample,
  {
    fillMm,
    grain,
    rateCPerMin,
    probeOffC,
    seed,
  }: {
    readonly fillMm: number
    readonly grain: Grain
    readonly rateCPerMin: number
    readonly probeOffC: number
    readonly seed: number
  },
  rules: Pick<HouseWords, 'onsetRule'>,
): MeltingRange {
  const character = {
    ...PROGRAMMABLE_BLOCK,
    probeOffsetC: probeOffC,
    rates: [...PROGRAMMABLE_BLOCK.rates, rateCPerMin],
  }
  const top = sample.a.meltingPointC
  const startC = Math.max(character.ambientC + 1, top - ROOM_BELOW_C)
  const tube = createTube(sample, { fillMm, grain }, { sampleLagMin: character.sampleLagMin, seed })
  let { state } = advance(
    createBlock(character, seed, {
      blockC: startC,
      tubes: [{ ...tube, shellC: tube.lagS.map(() => startC) }],
    }),
    [{ kind: 'ramp', toC: top + 40, rateCPerMin }],
    0,
  )
  let truth: readonly TubeTruth[] = []
  const mostS = Math.ceil((60 * (ROOM_BELOW_C + 40)) / rateCPerMin)
  for (let second = 0; second < mostS && !truth[0]?.allC; second += 30) {
    const next = advance(state, [], 30)
    state = next.state
    for (const reading of next.readings) truth = truthAfter(truth, reading, rules.onsetRule)
  }
  const [first] = truth
  return { onsetC: first?.firstC ?? top, clearC: first?.allC ?? top }
}
