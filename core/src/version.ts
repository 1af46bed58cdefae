/** Written into every decision, so that it is known what reasoned it. */
export const CORE_VERSION = '0.1.0'
