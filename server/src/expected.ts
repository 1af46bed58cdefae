/** An error that was foreseen: its message is a whole sentence for the person at the command line. */
export class Expected extends Error {}
