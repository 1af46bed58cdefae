export function firstScreenKB(root?: string, beyond?: readonly string[]): number
export const FIRST_SCREEN_AIM_KB: number
