export function firstScreenKB(root?: string): number
export const FIRST_SCREEN_AIM_KB: number
