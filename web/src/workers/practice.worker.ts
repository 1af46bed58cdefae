import { expose } from 'comlink'
import { practice } from './practice'

expose(practice)
