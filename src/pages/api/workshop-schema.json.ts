import type { APIRoute } from 'astro'
import { exchangeJsonSchema } from '../../core/files/exchange-schema'
import { answer } from '../../server/reply'

/** What a workshop file may hold, for other programs. */
export const GET: APIRoute = () => answer(exchangeJsonSchema())
