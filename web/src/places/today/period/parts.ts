import { part } from '../../../device/place'

/** What the first screen shows only when it is asked for. */
export const AsItWas = part(async () => (await import('./AsItWas')).AsItWas)
export const PeriodForm = part(async () => (await import('./PeriodForm')).PeriodForm)
export const TaskPanel = part(async () => (await import('./TaskPanel')).TaskPanel)
