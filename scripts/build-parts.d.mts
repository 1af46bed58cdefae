export function firstScreenKB(root?: string): number
