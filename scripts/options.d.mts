export class WrongOption extends Error {}
export function readOptions<const K extends Readonly<Record<string, 'flag' | 'value'>>>(
  words: readonly string[],
  known: K,
  filesMost?: number,
): {
  readonly values: { readonly [N in keyof K]?: K[N] extends 'flag' ? true : string }
  readonly files: readonly string[]
}
export function requireOneOf(values: Readonly<Record<string, unknown>>, names: readonly string[]): void
