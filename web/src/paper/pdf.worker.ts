import { expose } from 'comlink'
import { paper } from './printing'

expose(paper)
