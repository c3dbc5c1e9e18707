import type { APIRoute } from 'astro'
import { EXCHANGE_VERSION } from '../../core/files/exchange'
import { exchangeJsonSchema } from '../../core/files/exchange-schema'
import { answer } from '../../server/reply'

/** Serves the JSON Schema of a workshop file, for other programs. */
export const GET: APIRoute = () =>
  answer({
    ...exchangeJsonSchema(),
    title: 'Tawny Ember workshop file',
    description: `Everything a workshop holds, version ${EXCHANGE_VERSION}. Temperatures °C, lengths mm, masses kg, times min unless a name says otherwise, instants ISO 8601 in UTC.`,
  })
