import { fetchPlaces } from '../device/place'
import { askToStay, keepApp } from '../device/update'
import { startWorkers } from '../workers/started'

/** Once the first screen stands: everything else is fetched, so that it is there without a network, and kept. */
export function afterwards(): void {
  void fetchPlaces().then(startWorkers)
  void keepApp()
  void askToStay()
}
