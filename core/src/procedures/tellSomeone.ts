const FIRST = 'Shout for help and tell the person in charge at once, even if it seems small.'

/** Stands above every card. */
export const TELL_SOMEONE = `${FIRST} The lab’s own rules come before these cards.`

/** Stands in their place where they cannot be had. */
export const WITHOUT_CARDS = `${FIRST} The cards cannot be shown now, because the server cannot be reached: read the card on the wall.`
