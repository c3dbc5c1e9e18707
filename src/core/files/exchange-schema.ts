import { z } from 'zod'
import { EXCHANGE_VERSION, exchangeSchema } from './exchange'

/**
 * The workshop file as JSON Schema of draft 2020-12, made from the schema that guards it: what a file of the present version may hold,
 * for other programs. Rules between fields, such as ids that must point somewhere, are not in it.
 */
export const exchangeJsonSchema = (): Record<string, unknown> => ({
  ...z.toJSONSchema(exchangeSchema, { io: 'input', unrepresentable: 'any', reused: 'ref' }),
  title: 'Tawny Ember workshop file',
  description: `Everything a workshop holds, version ${EXCHANGE_VERSION}. Temperatures °C, lengths mm, masses kg, times min unless a name says otherwise, instants ISO 8601 in UTC.`,
})
