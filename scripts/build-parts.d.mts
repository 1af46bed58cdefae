export function firstScreenKB(): number
