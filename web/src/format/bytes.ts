import { fixed } from './format'

/** A size as people say it: 820 B, 12 kB, 3.4 MB, 1.2 GB. */
export function bytesText(bytes: number): string {
  if (bytes < 1000) return `${bytes} B`
  const [unit, size] =
    bytes < 1e6
      ? (['kB', bytes / 1e3] as const)
      : bytes < 1e9
        ? (['MB', bytes / 1e6] as const)
        : (['GB', bytes / 1e9] as const)
  return `${fixed(size, size < 10 ? 1 : 0)} ${unit}`
}
