import type { APIRoute } from 'astro'
import { openApiDocument } from '../../core/contract/openapi'
import { answer } from '../../server/reply'

export const GET: APIRoute = async () => answer(await openApiDocument())
