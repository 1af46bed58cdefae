/** Watching that began closer than this to the onset may have missed it, °C. */
export const WATCHED_FROM_C = 2
/** How far the first liquid that is expected may lie off, °C: a plan leaves so much more room. */
const EXPECTED_WITHIN_C = 3
/** Room a plan leaves between the start of the slow part and the first liquid it expects, °C: what the judge asks for, and how far that may lie off. */
export const ROOM_BELOW_FIRST_LIQUID_C = WATCHED_FROM_C + EXPECTED_WITHIN_C

/** Liquid as it went in, the next tube of it goes in so much further down, °C. */
export const FURTHER_DOWN_C = 15
