export function beyondFirstScreenKB(root: string, places: readonly string[]): number
