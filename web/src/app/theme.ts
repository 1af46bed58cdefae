import { storeValue, remembered } from '../device/memory'
const KEY = 'ivory-crystal theme'
export type Theme = 'light' | 'dark'

export function theme(): Theme {
  return remembered(KEY) === 'dark' ? 'dark' : 'light'
}

/** Sets the theme on the document; the dim one is for a dark instrument room. */
export function applyTheme(wanted: Theme = theme()): void {
  storeValue(KEY, wanted)
  document.documentElement.dataset['bsTheme'] = wanted
}
