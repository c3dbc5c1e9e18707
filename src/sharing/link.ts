import ReconnectingWebSocket from 'partysocket/ws'
import {
  checkedRow,
  type FromScreen,
  type FromServer,
  fromServerSchema,
  PART_BYTES,
  type Role,
  SHARING_VERSION,
} from '../core/sharing/messages'
import { rowKey } from '../core/sharing/rows'
import { db } from '../store/database'
import { putScreen, readScreen } from '../store/screen'
import { needsSerials, putSerialBlock } from '../store/serial-blocks'
import { markShared } from '../store/shared-role'
import {
  markAllUnsent,
  markSent,
  onWaiting,
  putInStep,
  readInStep,
  readWaiting,
  redateWaiting,
  takeReceived,
  type Waiting,
} from '../store/sharing'
import { UNSENT } from '../store/unsent'
import { fetchWriters } from '../store/writing'
import { setSharing, sharing } from './state'

/** A clock is measured so often, and a server that says nothing for so long is gone, ms. */
const PING_MS = 10_000
/** Pause before the server is tried again with what it could not take, ms. */
const AGAIN_MS = 10_000

type Say<S extends FromServer['say']> = Extract<FromServer, { say: S }>

/** The link to the workshop’s server: sends what is changed here, takes what others changed, and comes back by itself. */
class Link {
  private readonly socket = new ReconnectingWebSocket(
    () => `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/share/socket`,
    [],
    { minReconnectionDelay: 300, maxReconnectionDelay: 8000, connectionTimeout: 5000, maxEnqueuedMessages: 0 },
  )
  private queue: Promise<unknown> = Promise.resolve()
  private sending: { readonly n: number; readonly marks: Waiting['marks'] } | null = null
  private lastN = 0
  private caughtUp = false
  private isStopped = false
  private isBroken = false
  /** Marks of records that do not fit: until they are changed they wait. */
  private readonly unfit = new Set<string>()
  private logId = ''
  private heardAt = 0
  private readonly ends: (() => void)[] = []

  constructor() {
    this.socket.addEventListener('open', () => this.inTurn(() => this.hello()))
    this.socket.addEventListener('message', ({ data }) => this.hear(String(data)))
    this.socket.addEventListener('close', () => void this.gone())
    const stopWaiting = onWaiting(waiting => {
      setSharing({ waiting })
      if (waiting > 0) this.inTurn(() => this.flush())
    })
    const beat = setInterval(() => {
      if (this.socket.readyState !== WebSocket.OPEN) return
      if (this.heardAt > 0 && Date.now() - this.heardAt > 2.5 * PING_MS) this.socket.reconnect()
      else this.say({ say: 'ping', at: Date.now() })
    }, PING_MS)
    const wake = () => this.wake()
    // Without a network a socket may stay open for long: closed, it says at once that this screen is out of reach.
    const cut = () => this.socket.reconnect()
    addEventListener('offline', cut)
    for (const back of ['online', 'pageshow', 'focus'] as const) addEventListener(back, wake)
    this.ends.push(
      stopWaiting,
      () => clearInterval(beat),
      () => {
        for (const back of ['online', 'pageshow', 'focus'] as const) removeEventListener(back, wake)
        removeEventListener('offline', cut)
      },
    )
  }

  /** Ends the link: another tab has it now. */
  stop(): void {
    for (const end of this.ends) end()
    this.isStopped = true
    this.socket.close()
  }

  say(message: FromScreen): void {
    if (this.socket.readyState === WebSocket.OPEN) this.socket.send(JSON.stringify(message))
  }

  /** A tablet that slept does not wait for the next try. */
  private wake() {
    if (this.socket.readyState === WebSocket.CLOSED) this.socket.reconnect()
  }

  private inTurn(act: () => Promise<unknown>) {
    this.queue = this.queue.then(act).catch(error => {
      console.error('What screens share could not be brought in step:', error)
      this.pause()
    })
  }

  private async hello() {
    this.sending = null
    this.caughtUp = false
    this.isBroken = false
    this.heardAt = Date.now()
    setSharing({ phase: 'connecting', refusal: null })
    const [screen, inStep, shop] = await Promise.all([readScreen(), readInStep(), db.shop.get('shop')])
    // What it stamps with is to be the same from now on.
    if (screen.atUs === 0) await putScreen({ ...screen, atUs: 1 })
    this.say({
      say: 'hello',
      version: SHARING_VERSION,
      origin: shop?.origin ?? null,
      stampsAs: screen.id,
      logId: inStep?.logId ?? null,
      cursor: inStep?.cursor ?? 0,
    })
    this.say({ say: 'ping', at: Date.now() })
  }

  private hear(text: string) {
    this.heardAt = Date.now()
    const message = fromServerSchema.safeParse(JSON.parse(text))
    if (!message.success) return void console.error('The server of the workshop said something that does not fit.')
    const said = message.data
    switch (said.say) {
      case 'welcome':
        return this.inTurn(() => this.welcomed(said))
      case 'rows':
        return this.inTurn(() => this.take(said))
      case 'ok':
        return this.inTurn(() => this.sent(said))
      case 'no':
        return this.inTurn(() => this.refused(said))
      case 'pong':
        return setSharing({ aheadMs: Math.round((said.at + Date.now()) / 2 - said.nowMs) })
      case 'screens':
        return this.toldScreens(said)
      case 'serials':
        return this.inTurn(() => putSerialBlock(this.logId, said.block))
      case 'code':
        return void codeWanted?.(said)
    }
  }

  private toldScreens({ screens }: Say<'screens'>) {
    const own = screens.find(({ id }) => id === sharing.get().you)
    // What is pressed here is said to be pressed on it, out of reach of the server too.
    if (own) markShared({ name: own.name, role: own.role })
    setSharing({ screens })
  }

  private async welcomed(said: Say<'welcome'>) {
    this.logId = said.logId
    setSharing({ you: said.you, role: said.role })
    // A log that has nothing of this screen is told all of it.
    if ((await readInStep())?.logId === said.logId) return
    if (said.role !== 'shows') await markAllUnsent()
    await putInStep({ logId: said.logId, cursor: 0 })
  }

  /** Breaks off for a while. Until the next greeting nothing more is taken: what was missed would be passed over. */
  private pause() {
    this.isBroken = true
    this.socket.close()
    setTimeout(() => !this.isStopped && this.socket.reconnect(), AGAIN_MS)
  }

  private async take(said: Say<'rows'>) {
    if (this.isBroken) return
    const rows = said.rows.map(checkedRow)
    const fitting = rows.flatMap(row => row ?? [])
    if (fitting.length < rows.length)
      console.error('Records of the workshop do not fit here:', rows.length - fitting.length)
    const inStep = { logId: this.logId, cursor: said.seq }
    if (fitting.length > 0 || said.isAll) {
      const isTaken = await takeReceived({ rows: fitting, seen: said.seen, isAll: said.isAll, inStep })
      // Refused by the browser: it is sent again on the next greeting.
      if (!isTaken) return this.pause()
    }
    if (!said.isAll) return
    this.caughtUp = true
    setSharing({ phase: 'in-step', awaySince: null })
    await this.flush()
    await this.askForSerials()
  }

  /** Sees to it that blades which are begun out of reach get serials that no other screen gives. */
  private async askForSerials() {
    const year = new Date().getFullYear()
    if (sharing.get().role === 'works' && (await needsSerials(this.logId, year))) this.say({ say: 'serials', year })
  }

  /** Sends the next of what waits: one message at a time, and the next when it was taken. */
  private async flush() {
    if (!this.caughtUp || this.sending || this.socket.readyState !== WebSocket.OPEN) return
    if (sharing.get().role === 'shows') return
    const { rows: read, marks: all, seen, isAll } = await readWaiting(PART_BYTES, this.unfit)
    if (all.size === 0) return
    const rows = read.filter(row => checkedRow(row as never) !== null)
    const unfit = new Set(read.filter(row => !rows.includes(row)).map(row => UNSENT + rowKey(row)))
    // A record that does not fit, as one that two screens made longer than a field may be, holds nothing else up.
    const marks = new Map([...all].filter(([key]) => !unfit.has(key)))
    for (const [key, mark] of all) if (unfit.has(key)) this.unfit.add(mark)
    if (unfit.size > 0) setSharing({ refusal: 'does-not-fit' })
    this.lastN += 1
    this.sending = { n: this.lastN, marks }
    this.say({ say: 'rows', n: this.lastN, rows: rows as never, seen, isAll })
  }

  private async sent(said: Say<'ok'>) {
    if (this.isBroken || this.sending?.n !== said.n) return
    const { marks } = this.sending
    await markSent(marks)
    this.sending = null
    await putInStep({ logId: this.logId, cursor: said.seq })
    if (this.unfit.size === 0) setSharing({ refusal: null })
    await this.flush()
    if ([...marks.keys()].some(key => key.startsWith(`${UNSENT}blades/`))) await this.askForSerials()
  }

  private async refused(said: Say<'no'>) {
    this.sending = null
    if (said.why === 'removed') return setSharing({ phase: 'removed', refusal: said.why })
    setSharing({ refusal: said.why })
    if (said.why === 'clock-ahead') {
      await redateWaiting(Date.now() - sharing.get().aheadMs)
      return this.flush()
    }
    if (said.why === 'disk') setTimeout(() => this.inTurn(() => this.flush()), AGAIN_MS)
    // The same would be refused again: until something changes, or the page is loaded again, it waits.
    if (said.why === 'too-fast') this.pause()
    else if (said.n === null) this.socket.close()
  }

  private async gone() {
    if (this.isStopped) return
    this.caughtUp = false
    this.sending = null
    const { phase, awaySince } = sharing.get()
    if (phase === 'removed') return this.socket.close()
    setSharing({ phase: 'away', awaySince: awaySince ?? new Date().toISOString() })
    // A server that answers, and does not know this screen, has removed it.
    const status = await fetch('/share/status').then(
      answer => (answer.ok ? answer.json() : null),
      () => null,
    )
    if (status && status.screen === null) {
      setSharing({ phase: 'removed', refusal: 'removed' })
      this.socket.close()
    }
  }
}

let link: Link | null = null
let codeWanted: ((code: Say<'code'>) => void) | null = null

/** Begins to keep this browser in step. Of several tabs the one does it that was looked at last. */
export function startSharing(): void {
  hold()
  addEventListener('focus', () => link ?? hold())
}

function hold(): void {
  let own: Link | null = null
  navigator.locks
    .request('tawny-ember-sharing', { steal: true }, async () => {
      await fetchWriters()
      own = new Link()
      link = own
      // Held until the page goes, or another tab takes it.
      await new Promise(() => undefined)
    })
    .catch(() => {
      own?.stop()
      if (link === own) link = null
    })
}

/** Asks for a code for another screen; null where the server cannot be reached. */
export async function askForCode(name: string, role: Role): Promise<Say<'code'> | null> {
  if (!link || sharing.get().phase !== 'in-step') return null
  const code = new Promise<Say<'code'>>(resolve => {
    codeWanted = resolve
  })
  link.say({ say: 'code', name, role })
  return Promise.race([code, new Promise<null>(resolve => setTimeout(() => resolve(null), 5000))])
}

export const renameScreen = (screen: string, name: string): void => link?.say({ say: 'rename', screen, name })
export const removeScreen = (screen: string): void => link?.say({ say: 'remove', screen })
export const leadRun = (run: string | null): void => link?.say({ say: 'lead', run })

/** Leaves the workshop: what is here stays, and goes on by itself. */
export function leaveSharing(): void {
  const { you } = sharing.get()
  if (you) removeScreen(you)
  markShared(null)
}
