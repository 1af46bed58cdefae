/** Stands above every card, and in their place where they cannot be had. */
export const TELL_SOMEONE =
  'Shout for help, and tell the person in charge at once, also when it seems small. The lab’s own rules come before these cards.'
