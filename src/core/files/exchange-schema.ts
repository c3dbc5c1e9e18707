import * as z from 'zod/mini'
import { exchangeSchema } from './exchange'

/**
 * The workshop file as JSON Schema of draft 2020-12, made from the schema that guards it: what a file of the present version may hold,
 * for other programs. Rules between fields, such as ids that must point somewhere, are not in it.
 */
export const exchangeJsonSchema = () =>
  z.toJSONSchema(exchangeSchema, { io: 'input', unrepresentable: 'any', reused: 'ref' })
