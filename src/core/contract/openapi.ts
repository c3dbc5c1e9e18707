import * as z from 'zod/mini'
import { QUESTIONS, SERVED } from './questions'
import { errorResponse } from './shapes'

const content = (schema: z.ZodMiniType, io: 'input' | 'output') => ({
  'application/json': { schema: z.toJSONSchema(schema, { io, unrepresentable: 'any' }) },
})

const REFUSALS = {
  400: 'Bad input',
  405: 'Another method than POST',
  413: 'Longer than 1 MiB',
  415: 'Not application/json',
  503: 'Too many questions wait, or this one took longer than 5 s',
} as const

/** The HTTP interface as OpenAPI 3.1, made from the schemas that guard it. */
export async function openApiDocument() {
  const served = await Promise.all(SERVED.map(async name => [name, await QUESTIONS[name]()] as const))
  const refusals = Object.fromEntries(
    Object.entries(REFUSALS).map(([status, description]) => [
      status,
      { description, content: content(errorResponse, 'output') },
    ]),
  )
  return {
    openapi: '3.1.0',
    info: {
      title: 'Tawny Ember',
      version: '1',
      description:
        'Heat treatment of knife blades: the same core the interface uses. Temperatures in °C, lengths in mm, times in minutes unless named.',
      license: { name: 'MIT' },
    },
    paths: Object.fromEntries(
      served.map(([name, { summary, request, response }]) => [
        `/api/${name}`,
        {
          post: {
            operationId: name,
            summary,
            requestBody: { required: true, content: content(request, 'input') },
            responses: { 200: { description: 'The answer', content: content(response, 'output') }, ...refusals },
          },
        },
      ]),
    ),
  }
}
