export { STATIONS, type Station } from './stations'
