import type { KindDefinition } from './defineKind'
import type { BodySchema, VersionSchemas } from '../../schema/pieces'

/** A kind with the way to its schemas, which bring Joi with them and are loaded only where a line is checked. */
export interface ListedKind<B> extends KindDefinition<B> {
  /** By version of the body; those of earlier versions are accepted for ever. */
  readonly schemas: () => Promise<VersionSchemas>
}
/** The body of a listed kind. */
export type BodyOf<L> = L extends { readonly sentence: (body: infer B) => string } ? B : never

/** A line of the list; the compiler holds the schema of the current version to the body. */
export function entryKind<B, const D extends KindDefinition<B>>(
  definition: D & KindDefinition<B>,
  load: () => Promise<{ readonly schemas: VersionSchemas & Readonly<Record<D['version'], BodySchema<B>>> }>,
): D & ListedKind<B> {
  return { ...definition, schemas: async () => (await load()).schemas }
}
