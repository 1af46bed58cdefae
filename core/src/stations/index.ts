export { STATION_ABOUT, STATIONS, STEP_STATIONS, type Station, stationAfter } from './stations'
