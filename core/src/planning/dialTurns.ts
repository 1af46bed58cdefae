import type { Entry } from '../notebook/entry'
import { dialForRate, modelledC } from '../heating/dial'
import type { MeltFacts } from '../notebook/views/melt'

export interface DialTurn {
  /** The setting to turn to. */
  readonly dial: number
  readonly atMin: number
  readonly atC: number
  readonly made: Entry<'run command'> | null
}

/** The turns of the dial a plan asks for, with those made. A turn made late shifts nothing: temperature decides. */
export function dialTurnsOf(melt: MeltFacts): readonly DialTurn[] {
  const { heating } = melt.planned.body
  if (heating.by !== 'dial') return []
  const made = (melt.run?.commands ?? []).filter(({ body }) => body.command.kind === 'dial')
  return heating.plan.steps.map((step, i) => ({ ...step, made: made[i] ?? null }))
}

/** What dial or flame was last set to in a run; null before. */
export function dialSettingAt({ run }: MeltFacts): number | null {
  const settings = run?.commands.flatMap(({ body: { command } }) =>
    command.kind === 'dial' ? [command.setting] : [],
  )
  return settings?.at(-1) ?? null
}

/** A live rate looks back a minute: before that has passed since the last command it tells of what was before. */
const SETTLED_AFTER_S = 60

/** Whether the live rate tells of the heating that was last asked for. */
export function isSettled(melt: MeltFacts, atS: number): boolean {
  const last = melt.run?.commands.filter(({ body }) => body.command.kind !== 'pace').at(-1)
  return atS - (last?.body.atS ?? 0) >= SETTLED_AFTER_S
}

/** The next turn to make, and how many minutes until it is due: by temperature where heating, by time where cooling. */
export function nextTurn(
  melt: MeltFacts,
  nowC: number,
  atS: number,
  liveCPerMin: number | null,
): (DialTurn & { readonly dueInMin: number | null }) | null {
  const rateCPerMin = isSettled(melt, atS) ? liveCPerMin : null
  const turns = dialTurnsOf(melt)
  const i = turns.findIndex(({ made }) => made === null)
  const turn = turns[i]
  if (!turn) return null
  const before = turns[i - 1]
  if (!before) return { ...turn, dueInMin: 0 }
  if (before.dial === 0 && before.atC > turn.atC)
    return {
      ...turn,
      dueInMin:
        nowC <= turn.atC ? 0 : rateCPerMin && rateCPerMin < 0 ? (turn.atC - nowC) / rateCPerMin : null,
    }
  const since = before.made ? atS / 60 - before.made.body.atS / 60 : 0
  const byPlan = turn.atMin - before.atMin - since
  const byTemperature =
    nowC >= turn.atC ? 0 : rateCPerMin && rateCPerMin > 0.05 ? (turn.atC - nowC) / rateCPerMin : byPlan
  return { ...turn, dueInMin: Math.max(0, byTemperature) }
}

/** The setting that brings the rate back to what is wanted, by the learned dial; null where none was learned. */
export function mendingSetting(melt: MeltFacts, nowC: number): number | null {
  const { heating, conventions } = melt.planned.body
  if (heating.by !== 'dial') return null
  const { model, dialStep } = heating.input
  const wanted = dialForRate(model, Math.max(nowC, model.ambientC), conventions.meltRate.target)
  return Math.floor(wanted / dialStep + 1e-9) * dialStep
}

/** Where the block should be by the learned dial and the turns made so far, °C; null when nobody can say. */
export function modelledNow(melt: MeltFacts, atS: number): number | null {
  const { heating } = melt.planned.body
  if (heating.by !== 'dial' || !melt.run) return null
  const changes = melt.run.commands.flatMap(({ body }) =>
    body.command.kind === 'dial'
      ? [{ atMin: body.atS / 60, dial: body.command.setting }]
      : body.command.kind === 'stop'
        ? [{ atMin: body.atS / 60, dial: 0 }]
        : [],
  )
  return modelledC(
    heating.input.model,
    melt.run.started.body.blockC ?? heating.input.startC,
    changes,
    atS / 60,
  )
}
