import { mkdirSync, mkdtempSync, rmSync } from 'node:fs'
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { WebSocket } from 'ws'
import { type FromScreen, type FromServer, MOST_BYTES, type Role, SHARING_VERSION } from '../../core/sharing/messages'
import type { SharedRow } from '../../core/sharing/rows'
import { DEFAULT_WORKSHOP } from '../../core/shop/defaults'
import { createDoor } from './door'
import { createHub } from './hub'
import { openJournal } from './journal'
import { createScreens, type Screens } from './screens'
import { createSerials } from './serials'

let folder = ''
let server: Server
let screens: Screens
let hub: ReturnType<typeof createHub>
let journal: Awaited<ReturnType<typeof openJournal>>
const sockets: WebSocket[] = []

/** On the same port as before, where one is given: a screen’s cookie is for it. */
const start = async (at = 0) => {
  journal = await openJournal(folder)
  screens = createScreens(folder)
  hub = createHub({
    journal,
    screens,
    serials: createSerials(folder),
    addresses: code => [`https://bench.local/join#${code}`],
  })
  const door = createDoor({ screens, hub, authority: () => null })
  server = createServer((request, response) => {
    if (!door.answer(request, response, request.url ?? '')) response.end()
  })
  server.on('upgrade', (request, socket, head) => door.upgrade(request, socket, head, request.url ?? ''))
  await new Promise<void>(resolve => server.listen(at, '127.0.0.1', resolve))
}
const stop = async () => {
  for (const socket of sockets.splice(0)) socket.terminate()
  await hub.stop()
  server.closeAllConnections()
  await new Promise(resolve => server.close(resolve))
}
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tawny-ember-hub-'))
  return start()
})
afterEach(async () => {
  await stop()
  rmSync(folder, { recursive: true })
})

const port = () => (server.address() as AddressInfo).port
const address = () => `127.0.0.1:${port()}`
const post = (body: string, type = 'application/json') =>
  fetch(`http://${address()}/share/join`, { method: 'POST', headers: { 'content-type': type }, body })

/** Comes in with a code of its own; returns the cookie a browser would keep. */
async function cookieOf(name: string, role: Role = 'works'): Promise<string> {
  const answer = await post(JSON.stringify({ code: screens.invite(name, role).code }))
  expect(answer.status).toBe(200)
  const cookie = answer.headers.get('set-cookie') ?? ''
  expect(cookie).toMatch(/HttpOnly/i)
  expect(cookie).toMatch(/SameSite=Strict/i)
  return cookie.split(';')[0] as string
}

/** One screen at the other end of a socket. */
class Screen {
  readonly heard: FromServer[] = []
  closed: number | null = null
  private n = 0
  constructor(readonly socket: WebSocket) {
    sockets.push(socket)
    socket.on('message', data => this.heard.push(JSON.parse(String(data))))
    socket.on('close', code => {
      this.closed = code
    })
    socket.on('error', () => undefined)
  }
  say = (message: FromScreen) => this.socket.send(JSON.stringify(message))
  hello = (parts: object = {}) =>
    this.say({ say: 'hello', version: SHARING_VERSION, origin: null, stampsAs: 'me', logId: null, cursor: 0, ...parts })
  /** Sends rows and waits for what is said to them. */
  async send(rows: readonly SharedRow[], seen = {}): Promise<string> {
    this.n += 1
    this.say({ say: 'rows', n: this.n, rows: rows as never, seen, isAll: true })
    const said = await this.until(one => (one.say === 'ok' || one.say === 'no') && one.n === this.n)
    return said.say === 'no' ? said.why : 'ok'
  }
  async until(is: (one: FromServer) => boolean): Promise<FromServer> {
    for (let tries = 0; tries < 400; tries++) {
      const found = this.heard.find(is)
      if (found) return found
      await new Promise(resolve => setTimeout(resolve, 5))
    }
    throw new Error(`It heard only ${JSON.stringify(this.heard).slice(0, 500)}`)
  }
  async untilClosed(): Promise<number> {
    for (let tries = 0; this.closed === null && tries < 400; tries++)
      await new Promise(resolve => setTimeout(resolve, 5))
    return this.closed ?? 0
  }
}

/** Opens a socket; a number: the status it was refused with. */
const open = (cookie: string | null, origin: string | null = `http://${address()}`, path = '/share/socket') =>
  new Promise<Screen | number>(resolve => {
    const headers = { ...(cookie && { cookie }), ...(origin && { origin }) }
    const socket = new WebSocket(`ws://${address()}${path}`, { headers })
    socket.on('open', () => resolve(new Screen(socket)))
    socket.on('unexpected-response', (_, response) => resolve(response.statusCode ?? 0))
    socket.on('error', () => undefined)
  })
async function screenWith(cookie: string): Promise<Screen> {
  const screen = await open(cookie)
  if (typeof screen === 'number') throw new Error(`refused: ${screen}`)
  screen.hello()
  await screen.until(one => one.say === 'rows' && one.isAll)
  return screen
}

const shop = (name: string, f: SharedRow['f'] = {}, origin = 'here'): SharedRow => ({
  table: 'shop',
  id: 'shop',
  row: { ...DEFAULT_WORKSHOP, name, origin } as unknown as SharedRow['row'],
  f,
})
const now = () => Date.now() * 1000

describe('screens in step', () => {
  it('shows a change of one on the other, and after a restart of the server on both', async () => {
    const [a, b] = [await cookieOf('desk'), await cookieOf('tablet')]
    const desk = await screenWith(a)
    const tablet = await screenWith(b)
    expect(await desk.send([shop('Gannet Forge')])).toBe('ok')
    await tablet.until(one => one.say === 'rows' && JSON.stringify(one.rows).includes('Gannet Forge'))
    const at = port()
    await stop()
    await start(at)
    const again = await screenWith(b)
    await again.until(one => one.say === 'rows' && JSON.stringify(one.rows).includes('Gannet Forge'))
  })

  it('sends a screen that was away what changed since, and nothing else', async () => {
    const cookie = await cookieOf('desk')
    const desk = await screenWith(cookie)
    await desk.send([shop('one')])
    const welcome = desk.heard.find(one => one.say === 'welcome')
    const ok = desk.heard.findLast(one => one.say === 'ok')
    const away = (await open(cookie)) as Screen
    away.hello({ logId: welcome?.say === 'welcome' && welcome.logId, cursor: ok?.say === 'ok' ? ok.seq : 0 })
    const rows = await away.until(one => one.say === 'rows')
    expect(rows.say === 'rows' && rows.rows).toEqual([])
  })
})

describe('who is not let in, and what is not taken', () => {
  it('refuses a socket without a token, with another’s, and from a page of another address', async () => {
    const cookie = await cookieOf('desk')
    expect(await open(null)).toBe(401)
    expect(await open(`${cookie}x`)).toBe(401)
    expect(await open(cookie, 'http://evil.example')).toBe(403)
    expect(await open(cookie, null)).toBe(403)
    expect(await open(cookie, undefined, '/share/other')).toBe(404)
  })

  it('refuses codes that are wrong, used or no JSON, and a form that a page of strangers could send', async () => {
    const { code } = screens.invite('desk', 'works')
    expect((await post(JSON.stringify({ code }))).status).toBe(200)
    const used = await post(JSON.stringify({ code }))
    expect([used.status, ((await used.json()) as { why: string }).why]).toEqual([403, 'used'])
    expect((await post('{"code":')).status).toBe(400)
    expect((await post(JSON.stringify({ code: 'A'.repeat(5000) }))).status).toBe(400)
    expect((await post(`code=${code}`, 'text/plain')).status).toBe(415)
  })

  it('cuts a removed screen off at once, and lets it in no more', async () => {
    const [a, b] = [await cookieOf('desk'), await cookieOf('tablet')]
    const desk = await screenWith(a)
    const tablet = await screenWith(b)
    const gone = screens.all().find(({ name }) => name === 'tablet')
    desk.say({ say: 'remove', screen: gone?.id ?? '' })
    expect(await tablet.untilClosed()).toBe(4000)
    expect(tablet.heard.at(-1)).toMatchObject({ say: 'no', why: 'removed' })
    expect(await open(b)).toBe(401)
  })

  it('gives each screen serials that no other is given, after a restart too, and none to one that only shows', async () => {
    const blockOf = async (screen: Screen) => {
      screen.heard.length = 0
      screen.say({ say: 'serials', year: 2026 })
      const said = await screen.until(one => one.say === 'serials')
      return said.say === 'serials' ? said.block : null
    }
    const a = await cookieOf('desk')
    const [desk, tablet] = [await screenWith(a), await screenWith(await cookieOf('tablet'))]
    await desk.send([shop('ours')])
    const [first, second] = [await blockOf(desk), await blockOf(tablet)]
    expect(first).toMatchObject({ prefix: '26-', from: 1 })
    expect(second?.from).toBe((first?.to ?? 0) + 1)
    const wall = await screenWith(await cookieOf('wall', 'shows'))
    wall.say({ say: 'serials', year: 2026 })
    wall.say({ say: 'ping', at: 1 })
    await wall.until(one => one.say === 'pong')
    expect(wall.heard.some(one => one.say === 'serials')).toBe(false)
    const at = port()
    await stop()
    await start(at)
    expect((await blockOf(await screenWith(a)))?.from).toBe((second?.to ?? 0) + 1)
  })

  it('takes nothing from a screen that only shows, and lets it add or remove none', async () => {
    const desk = await screenWith(await cookieOf('desk'))
    await desk.send([shop('ours')])
    const wall = await screenWith(await cookieOf('wall', 'shows'))
    expect(await wall.send([shop('theirs', { name: [now(), 'wall'] })])).toBe('only-shows')
    const before = screens.all().length
    wall.say({ say: 'code', name: 'mine', role: 'works' })
    wall.say({ say: 'remove', screen: screens.all()[0]?.id ?? '' })
    wall.say({ say: 'ping', at: 1 })
    await wall.until(one => one.say === 'pong')
    expect(wall.heard.some(one => one.say === 'code')).toBe(false)
    expect(screens.all()).toHaveLength(before)
    expect(hub.shop()?.name).toBe('ours')
  })

  it.each([
    ['no JSON', '{"say":'],
    ['no message', '{"say":"format-the-disk"}'],
    ['a message with a hole', '{"say":"rows","n":1}'],
    [
      'a table that is none',
      '{"say":"rows","n":1,"isAll":true,"seen":{},"rows":[{"table":"meta","id":"a","row":null,"f":{}}]}',
    ],
    [
      '__proto__ in a path',
      '{"say":"rows","n":1,"isAll":true,"seen":{},"rows":[{"table":"shop","id":"shop","row":null,"f":{"__proto__":[1,"a"]}}]}',
    ],
  ])('ends a socket that says %s, and changes nothing', async (_, text) => {
    const desk = await screenWith(await cookieOf('desk'))
    await desk.send([shop('ours')])
    desk.socket.send(text)
    const refused = await desk.until(one => one.say === 'no')
    expect(refused.say === 'no' && refused.why).toBe('does-not-fit')
    expect(hub.shop()?.name).toBe('ours')
  })

  it('takes no record that does not fit its table, is another than it says, or is another workshop’s', async () => {
    const desk = await screenWith(await cookieOf('desk'))
    await desk.send([shop('ours')])
    const batch = { table: 'batches', f: {} } as const
    expect(await desk.send([{ ...batch, id: 'b', row: { id: 'b', name: 7 } as never }])).toBe('does-not-fit')
    expect(await desk.send([{ ...shop('x'), id: 'other' }])).toBe('does-not-fit')
    expect(await desk.send([{ ...shop('x'), row: null }])).toBe('does-not-fit')
    expect(await desk.send([shop('theirs', { name: [now(), 'x'] }, 'another workshop')])).toBe('other-workshop')
    expect(hub.shop()?.name).toBe('ours')
    const other = (await open(await cookieOf('other'))) as Screen
    other.hello({ origin: 'another workshop' })
    await other.until(one => one.say === 'no' && one.why === 'other-workshop')
    expect(await other.untilClosed()).toBe(4000)
  })

  it('takes no change that is dated a day ahead: it would win over all that come after it', async () => {
    const desk = await screenWith(await cookieOf('desk'))
    await desk.send([shop('ours')])
    const tomorrow = now() + 86_400_000_000
    expect(await desk.send([shop('from tomorrow', { name: [tomorrow, 'desk'] })])).toBe('clock-ahead')
    expect(await desk.send([shop('today', { name: [now(), 'desk'] })])).toBe('ok')
    expect(hub.shop()?.name).toBe('today')
  })

  it('ends a socket that sends 50 MB at once, or floods, and goes on with the others', async () => {
    const [a, b] = [await cookieOf('desk'), await cookieOf('tablet')]
    const tablet = await screenWith(b)
    const desk = await screenWith(a)
    desk.socket.send('x'.repeat(MOST_BYTES * 6))
    expect(await desk.untilClosed()).toBe(1009)
    const flood = await screenWith(a)
    for (let i = 0; i < 3000; i++) flood.say({ say: 'ping', at: i })
    expect(await flood.untilClosed()).toBe(4000)
    expect(flood.heard.some(one => one.say === 'no' && one.why === 'too-fast')).toBe(true)
    tablet.say({ say: 'ping', at: 1 })
    await tablet.until(one => one.say === 'pong')
  })

  it('says that the disk refuses, and has not taken what it could not write down', async () => {
    const desk = await screenWith(await cookieOf('desk'))
    await desk.send([shop('ours')])
    const { append } = journal
    Object.assign(journal, { append: () => Promise.reject(new Error('ENOSPC')) })
    expect(await desk.send([shop('lost', { name: [now(), 'desk'] })])).toBe('disk')
    expect(hub.shop()?.name).toBe('ours')
    // Nor are there serials while it does, and the screen stays in step.
    mkdirSync(join(folder, 'serials.json.new'))
    const said = vi.spyOn(console, 'error').mockReturnValue()
    desk.say({ say: 'serials', year: 2026 })
    desk.say({ say: 'ping', at: 7 })
    await desk.until(one => one.say === 'pong' && one.at === 7)
    expect(desk.heard.some(one => one.say === 'serials')).toBe(false)
    expect([desk.closed, said.mock.calls.length]).toEqual([null, 1])
    said.mockRestore()
    Object.assign(journal, { append })
    expect(await desk.send([shop('kept', { name: [now() + 1, 'desk'] })])).toBe('ok')
    expect(hub.shop()?.name).toBe('kept')
  })
})
