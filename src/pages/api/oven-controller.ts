import type { APIRoute } from 'astro'
import * as z from 'zod/mini'
import { writeReading } from '../../core/oven/line-protocol'
import { problemsOf, rule } from '../../core/shop/problems'
import { answer, refuse, refuseBody, refuseRequest } from '../../server/reply'
import { controllerOf, knownController } from '../../simulators/controller-sessions'
import { readJson } from './_body'

const sessionId = z.string().check(z.refine(text => /^[\w-]{8,64}$/.test(text), rule('bad-session')))
const sizes = z.enum(['small', 'medium', 'large'])
const lineSchema = z.object({
  session: sessionId,
  line: z.string().check(z.minLength(1), z.maxLength(120)),
  oven: z.optional(sizes),
})

/** How often the stream sends a reading, ms. */
const EVERY_MS = 1000

/** One line of the protocol to the stand-in, its answer back. */
export const POST: APIRoute = async ({ request }) => {
  if (!/^application\/json\s*(;|$)/i.test(request.headers.get('content-type') ?? ''))
    return refuse(415, 'wrong-type', 'Send the request as application/json.')
  const body = await readJson(request)
  if (!body.ok) return refuseBody(body.problems)
  const parsed = lineSchema.safeParse(body.value)
  if (!parsed.success) return refuseRequest(problemsOf(parsed.error, body.value))
  const { session, line, oven } = parsed.data
  const controller = controllerOf(session, Date.now(), oven)
  return controller
    ? answer({ reply: controller.handle(line) })
    : refuse(503, 'busy', 'As many stand-ins as there may be are in use. Try again in a minute.')
}

/** Server-sent events: a READ line every second, until the listener leaves. */
export const GET: APIRoute = ({ url, request }) => {
  const session = sessionId.safeParse(url.searchParams.get('session') ?? '')
  if (!session.success)
    return refuse(
      400,
      'bad-request',
      'Give ?session=, the one lines are sent with.',
      problemsOf(session.error, url.searchParams.get('session')),
    )
  // Listening makes no stand-in: whoever only opens addresses cannot push one out that is running.
  if (!knownController(session.data, Date.now()))
    return refuse(404, 'no-session', 'Send this session a line by POST first; then listen to it.')
  const text = new TextEncoder()
  let timer: ReturnType<typeof setInterval> | undefined
  const stop = () => clearInterval(timer)
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      const send = () => {
        const known = knownController(session.data, Date.now())
        if (!known) return stop()
        try {
          controller.enqueue(text.encode(`data: ${writeReading(known.reading())}\n\n`))
        } catch {
          stop()
        }
      }
      send()
      timer = setInterval(send, EVERY_MS)
      request.signal.addEventListener('abort', () => {
        stop()
        try {
          controller.close()
        } catch {
          // It is closed already.
        }
      })
    },
    cancel: stop,
  })
  return new Response(stream, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store', 'x-accel-buffering': 'no' },
  })
}

export const ALL: APIRoute = () =>
  refuse(405, 'wrong-method', 'Send lines with POST; listen with GET.', [], { allow: 'GET, POST' })
