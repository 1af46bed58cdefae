export const TERMS: readonly { term: string }[] = []
