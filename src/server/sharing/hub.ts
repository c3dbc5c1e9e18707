import type { IncomingMessage } from 'node:http'
import type { Duplex } from 'node:stream'
import { type WebSocket, WebSocketServer } from 'ws'
import {
  checkedRow,
  type FromScreen,
  type FromServer,
  fromScreenSchema,
  MOST_BYTES,
  PART_BYTES,
  type ScreenRow,
  SHARING_VERSION,
  type SharingRefusal,
} from '../../core/sharing/messages'
import type { SharedRow } from '../../core/sharing/rows'
import { createSharedLog, type NumberedRow } from '../../core/sharing/shared-log'
import type { openJournal } from './journal'
import { jsonOf } from './json'
import type { Screens, StoredScreen } from './screens'
import type { createSerials } from './serials'

/** A stamp so far ahead of this clock is a wrong clock’s, ms. */
const MOST_AHEAD_MS = 5 * 60_000
/** Messages of one screen in ten seconds: a first joining of ten years of log needs half of it. */
const MOST_MESSAGES = 1000
const ALIVE_MS = 20_000
/** More rows are no workshop’s. */
const MOST_ROWS = 900_000

interface Connection {
  readonly socket: WebSocket
  readonly screen: StoredScreen
  /** Said hello, and is in step up to this number; null: not yet. */
  cursor: number | null
  isAlive: boolean
  messages: number
  leads: string | null
}

interface Workshop {
  readonly journal: Awaited<ReturnType<typeof openJournal>>
  readonly screens: Screens
  readonly serials: ReturnType<typeof createSerials>
  /** Addresses another screen opens to come in with a code. */
  readonly addresses: (code: string) => readonly string[]
}

/** Keeps the screens of a workshop in step: joins what each sends, writes it down, and tells the others. */
export function createHub({ journal, screens, serials, addresses }: Workshop) {
  const log = createSharedLog(journal.rows.values(), journal.seen)
  const server = new WebSocketServer({ noServer: true, maxPayload: MOST_BYTES })
  const connections = new Set<Connection>()
  /** One change after another: each is joined with what the one before left. */
  let queue: Promise<void> = Promise.resolve()

  const say = ({ socket }: Connection, message: FromServer) => socket.send(JSON.stringify(message))
  const refuse = (to: Connection, why: SharingRefusal, n: number | null = null) => {
    say(to, { say: 'no', n, why })
    if (n === null) to.socket.close(4000, why)
  }

  const screenRows = (): ScreenRow[] =>
    screens.all().map(({ token: _, ...screen }) => {
      const here = [...connections].filter(one => one.screen.id === screen.id)
      return { ...screen, isHere: here.length > 0, leads: here.find(one => one.leads)?.leads ?? null }
    })
  const tellScreens = () => {
    const message: FromServer = { say: 'screens', screens: screenRows() }
    for (const to of connections) if (to.cursor !== null) say(to, message)
  }

  /** Sends rows in parts that are no larger than needed; the last tells how far this log has seen. */
  function sendRows(to: Connection, some: readonly NumberedRow[]) {
    const seqNow = log.seq()
    let part: NumberedRow[] = []
    let bytes = 0
    const send = (isAll: boolean) => {
      const seq = isAll ? seqNow : Math.max(0, ...part.map(row => row.seq))
      const rows = log.withContext(part).map(({ seq: _, ...row }) => row)
      say(to, { say: 'rows', rows: rows as never, seen: log.seen(), seq, isAll })
      part = []
      bytes = 0
    }
    for (const row of some) {
      part.push(row)
      bytes += JSON.stringify(row).length
      if (bytes >= PART_BYTES) send(false)
    }
    send(true)
    to.cursor = seqNow
  }

  function hello(from: Connection, said: Extract<FromScreen, { say: 'hello' }>) {
    if (said.version !== SHARING_VERSION) return refuse(from, 'other-version')
    const origin = log.shop()?.origin ?? null
    if (origin !== null && said.origin !== null && said.origin !== origin) return refuse(from, 'other-workshop')
    screens.noteHere(from.screen.id, said.stampsAs)
    say(from, {
      say: 'welcome',
      you: from.screen.id,
      role: from.screen.role,
      logId: journal.logId,
      origin,
      shop: log.shop(),
      seq: log.seq(),
      nowMs: Date.now(),
    })
    sendRows(from, log.since(said.logId === journal.logId ? Math.min(said.cursor, log.seq()) : 0))
    tellScreens()
  }

  /** Why rows that a screen sends are not taken; null where they are. */
  function refusalOfRows(from: Connection, rows: readonly (SharedRow | null)[]): SharingRefusal | null {
    if (from.screen.role === 'shows') return 'only-shows'
    if (from.cursor === null || rows.includes(null)) return 'does-not-fit'
    const mostUs = (Date.now() + MOST_AHEAD_MS) * 1000
    if (rows.some(row => row && Object.values(row.f).some(([atUs]) => atUs > mostUs))) return 'clock-ahead'
    if (log.size() + rows.length > MOST_ROWS) return 'too-many-rows'
    const origin = log.shop()?.origin
    const shop = rows.find(row => row?.table === 'shop')?.row as { readonly origin?: string } | null | undefined
    return (origin ? shop && shop.origin !== origin : !shop) ? 'other-workshop' : null
  }

  async function rows(from: Connection, said: Extract<FromScreen, { say: 'rows' }>) {
    const checked = said.rows.map(checkedRow)
    const refusal = refusalOfRows(from, checked)
    if (refusal) return refuse(from, refusal, said.n)
    const taken = log.take({ ...said, rows: checked.flatMap(row => row ?? []) }, Date.now())
    try {
      if (taken.changed.length > 0) await journal.append(taken.changed, taken.seen)
    } catch {
      return refuse(from, 'disk', said.n)
    }
    log.keep(taken)
    for (const to of connections) {
      if (to.cursor === null) continue
      const some = to === from ? taken.otherwise : taken.changed
      if (some.length > 0) sendRows(to, some)
      else to.cursor = log.seq()
    }
    say(from, { say: 'ok', n: said.n, seq: log.seq() })
  }

  function manage(from: Connection, said: FromScreen) {
    const isOwn = (said.say === 'remove' || said.say === 'rename') && said.screen === from.screen.id
    if (from.screen.role !== 'works' && !isOwn) return refuse(from, 'only-shows', 0)
    if (said.say === 'code') {
      const { code, untilMs } = screens.invite(said.name, said.role)
      say(from, { say: 'code', code, addresses: [...addresses(code)], until: new Date(untilMs).toISOString() })
    } else if (said.say === 'rename') screens.rename(said.screen, said.name)
    else if (said.say === 'remove') {
      screens.remove(said.screen)
      for (const gone of connections) if (gone.screen.id === said.screen) refuse(gone, 'removed')
    }
    tellScreens()
  }

  /** One screen leads a run: whoever takes the lead has it. */
  function lead(from: Connection, run: string | null) {
    for (const other of connections) if (other.leads === run) other.leads = null
    from.leads = run
    tellScreens()
  }

  /** Gives a screen serials that no other gives. Where nothing is shared yet, or on a screen that only shows, there are none to give. */
  function giveSerials(to: Connection, year: number) {
    const shop = log.shop()
    if (!shop || to.screen.role !== 'works') return
    try {
      say(to, { say: 'serials', block: serials.next(shop.serialPattern, year, log.serials()) })
    } catch (error) {
      // A full disk: the screen is told with the next change it sends, and goes on in step until then.
      console.error('No serials could be given:', (error as Error).message)
    }
  }

  async function hear(from: Connection, said: FromScreen): Promise<void> {
    // Who was removed meanwhile is not heard any more.
    if (!screens.all().some(({ id }) => id === from.screen.id)) return refuse(from, 'removed')
    switch (said.say) {
      case 'hello':
        return hello(from, said)
      case 'rows':
        return rows(from, said)
      case 'ping':
        return say(from, { say: 'pong', at: said.at, nowMs: Date.now() })
      case 'serials':
        return giveSerials(from, said.year)
      case 'lead':
        return lead(from, said.run)
      default:
        return manage(from, said)
    }
  }

  function onMessage(from: Connection, text: string) {
    from.isAlive = true
    from.messages += 1
    if (from.messages > MOST_MESSAGES) return refuse(from, 'too-fast')
    const message = fromScreenSchema.safeParse(jsonOf(text))
    if (!message.success) return refuse(from, 'does-not-fit')
    queue = queue.then(() =>
      hear(from, message.data).catch(error => {
        console.error('A screen’s message could not be answered:', (error as Error).message)
        from.socket.close(1011)
      }),
    )
  }

  const beat = setInterval(() => {
    for (const one of connections) {
      one.messages = 0
      if (!one.isAlive) one.socket.terminate()
      one.isAlive = false
      one.socket.ping()
    }
  }, ALIVE_MS / 2)
  beat.unref()

  return {
    /** Takes a screen in that was found to be one of the workshop’s. */
    open: (request: IncomingMessage, duplex: Duplex, head: Buffer, screen: StoredScreen): void =>
      server.handleUpgrade(request, duplex, head, socket => {
        const connection: Connection = { socket, screen, cursor: null, isAlive: true, messages: 0, leads: null }
        connections.add(connection)
        socket.on('message', (data, isBinary) =>
          isBinary ? refuse(connection, 'does-not-fit') : onMessage(connection, data.toString()),
        )
        socket.on('pong', () => {
          connection.isAlive = true
        })
        socket.on('error', () => socket.terminate())
        socket.on('close', () => {
          connections.delete(connection)
          tellScreens()
        })
      }),
    /** Returns the settings of what is shared; null: nothing is yet. */
    shop: log.shop,
    stop: async (): Promise<void> => {
      clearInterval(beat)
      for (const { socket } of connections) socket.terminate()
      await queue
      await journal.close()
    },
  }
}
