import type { PrepFacts } from '@ivory-crystal/core/notebook'

/** What every station of a prep is shown with. */
export interface StationProps {
  readonly prep: PrepFacts
}
