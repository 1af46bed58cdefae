import type Joi from 'joi'

/** Nothing is converted on the way in: what is not as the schema has it is refused. */
export const STRICT: Joi.ValidationOptions = {
  convert: false,
  abortEarly: true,
  errors: { wrap: { label: '“”' } },
}

/** What a schema found wrong, as a sentence. */
export function sentence(error: Joi.ValidationError): string {
  const [detail] = error.details
  const words = (detail?.message ?? error.message).replace(/\.$/, '')
  return `${words}.`
}
