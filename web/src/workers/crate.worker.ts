import { expose } from 'comlink'
import { crate } from './crate'

expose(crate)
