import type { LedgerId } from '@ivory-crystal/core/ids'
import { serverContract } from '../../../core/golden/serverContract'
import { standIn } from './standIn'

serverContract('the stand-in of the tests of pages', () => standIn(crypto.randomUUID() as LedgerId).api)
