import { readOlderVersions } from '../src/notebook/kinds/older'

// The golden ledgers hold lines of every version there was.
readOlderVersions()
