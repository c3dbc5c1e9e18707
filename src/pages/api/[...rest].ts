import type { APIRoute } from 'astro'
import { refuse } from '../../server/reply'

export const ALL: APIRoute = () => refuse(404, 'unknown-path', 'There is nothing at this path. See /api/openapi.json.')
