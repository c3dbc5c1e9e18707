import type { IncomingMessage, ServerResponse } from 'node:http'
import type { Duplex } from 'node:stream'
import { parse, serialize } from 'cookie'
import * as z from 'zod/mini'
import type { createHub } from './hub'
import { jsonOf } from './json'
import type { Screens, StoredScreen } from './screens'

const MOST_BODY = 2000
const YEAR_S = 365 * 86_400

const joinSchema = z.object({ code: z.string().check(z.maxLength(60)) })

/** Answers to who comes in with a code that is not good. */
const REFUSED = {
  wrong: [
    403,
    'No screen is expected with this code. Look at it again, or make a new one on a screen of the workshop.',
  ],
  expired: [403, 'This code is too old: each is good for five minutes. Make a new one on a screen of the workshop.'],
  used: [403, 'This code was used already: each is good for one screen. Make a new one on a screen of the workshop.'],
  'too-often': [429, 'Too many wrong codes. Wait a minute, then try again.'],
  'too-many-screens': [409, 'The workshop has as many screens as it can. Remove one that is not used any more.'],
} as const

interface Door {
  readonly screens: Screens
  readonly hub: ReturnType<typeof createHub>
  /** Certificate to be trusted, PEM; null where there is none of our own. */
  readonly authority: () => string | null
}

/** Cookies know no port: two workshops on one machine have one each. */
const cookieName = (request: IncomingMessage) => `tawny-screen-${request.socket.localPort}`

const isSecure = (request: IncomingMessage) => 'encrypted' in request.socket

/** The door of a shared workshop: who comes in with a code, who is known, and the socket that keeps a screen in step. */
export function createDoor({ screens, hub, authority }: Door) {
  const screenOf = (request: IncomingMessage): StoredScreen | null => {
    const token = parse(request.headers.cookie ?? '')[cookieName(request)]
    return token ? screens.byToken(token) : null
  }

  async function join(request: IncomingMessage, response: ServerResponse) {
    if (request.headers['content-type']?.split(';')[0] !== 'application/json')
      return answer(response, 415, { message: 'Send JSON.' })
    const body = joinSchema.safeParse(await bodyOf(request))
    if (!body.success) return answer(response, 400, { message: 'Send { "code": "…" }.' })
    const joined = screens.join(body.data.code, request.socket.remoteAddress ?? '')
    if (!joined.ok) {
      const [status, message] = REFUSED[joined.why]
      return answer(response, status, { why: joined.why, message })
    }
    response.setHeader(
      'set-cookie',
      serialize(cookieName(request), joined.token, {
        httpOnly: true,
        sameSite: 'strict',
        secure: isSecure(request),
        path: '/',
        maxAge: YEAR_S,
      }),
    )
    const { id, name, role } = joined.screen
    return answer(response, 200, { screen: { id, name, role } })
  }

  return {
    screenOf,
    /** Answers what is asked of the door; false where it is asked of something else. */
    answer: (request: IncomingMessage, response: ServerResponse, path: string): boolean => {
      if (!path.startsWith('/share/')) return false
      if (path === '/share/join' && request.method === 'POST') {
        void join(request, response).catch(() =>
          answer(response, 500, { message: 'The code could not be looked at: the disk refused.' }),
        )
      } else if (path === '/share/status' && request.method === 'GET') {
        const screen = screenOf(request)
        answer(response, 200, {
          screen: screen && { id: screen.id, name: screen.name, role: screen.role },
          workshop: screen && hub.shop(),
        })
      } else if (path === '/share/authority.crt' && request.method === 'GET' && authority() !== null) {
        response.setHeader('content-type', 'application/x-x509-ca-cert')
        response.setHeader('content-disposition', 'attachment; filename="tawny-ember-authority.crt"')
        response.end(authority())
      } else answer(response, 404, { message: 'There is nothing here.' })
      return true
    },
    /** Opens a screen’s socket: to pages of this very address, with a token of the workshop’s. */
    upgrade: (request: IncomingMessage, duplex: Duplex, head: Buffer, path: string): void => {
      const { origin, host } = request.headers
      const screen = screenOf(request)
      const isOwnPage = origin !== undefined && URL.canParse(origin) && new URL(origin).host === host?.toLowerCase()
      const refusal = path !== '/share/socket' ? 404 : !isOwnPage ? 403 : !screen ? 401 : null
      if (refusal !== null || !screen) {
        duplex.end(`HTTP/1.1 ${refusal} Refused\r\nconnection: close\r\ncontent-length: 0\r\n\r\n`)
        return
      }
      hub.open(request, duplex, head, screen)
    },
  }
}

function answer(response: ServerResponse, status: number, body: unknown): void {
  response.statusCode = status
  response.setHeader('content-type', 'application/json; charset=utf-8')
  response.setHeader('cache-control', 'no-store')
  response.end(JSON.stringify(body))
}

/** Reads a small JSON body; null where it is none, or too long. */
async function bodyOf(request: IncomingMessage): Promise<unknown> {
  let text = ''
  for await (const part of request) {
    text += part
    if (text.length > MOST_BODY) return null
  }
  return jsonOf(text)
}
