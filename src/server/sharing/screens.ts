import { createHash, randomBytes, randomUUID, timingSafeEqual } from 'node:crypto'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import * as z from 'zod/mini'
import { type Role, roleSchema } from '../../core/sharing/messages'
import { writeWhole } from './files'

const storedSchema = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    role: roleSchema,
    /** SHA-256 of its token, hex: the token itself is kept nowhere but on the screen. */
    token: z.string(),
    addedAt: z.string(),
    lastSeenAt: z.nullable(z.string()),
    stampsAs: z.array(z.string()),
  }),
)
export type StoredScreen = z.infer<typeof storedSchema>[number]

interface Invitation {
  readonly code: string
  readonly name: string
  readonly role: Role
  readonly untilMs: number
}

/** How long a code may be used, and how often a wrong one may be tried: from one address, and from all. */
const CODE_MS = 5 * 60_000
const TRIES = { perAddress: 5, inAll: 20, withinMs: 60_000 }
const MOST_SCREENS = 32

/** Letters and digits that are not mistaken for one another. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'
const CODE_LENGTH = 10

const hashOf = (token: string) => createHash('sha256').update(token).digest('hex')
const isEqual = (a: string, b: string) => a.length === b.length && timingSafeEqual(Buffer.from(a), Buffer.from(b))

/** Returns a code as it is compared: letters alone, in upper case. */
export const plainCode = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '')

function newCode(): string {
  let code = ''
  // 256 is no multiple of the letters: bytes beyond the last multiple would favour the first.
  const fair = 256 - (256 % LETTERS.length)
  while (code.length < CODE_LENGTH)
    for (const byte of randomBytes(CODE_LENGTH))
      if (byte < fair && code.length < CODE_LENGTH) code += LETTERS[byte % LETTERS.length]
  return code
}

export type Joined =
  | { readonly ok: true; readonly token: string; readonly screen: StoredScreen }
  | { readonly ok: false; readonly why: 'wrong' | 'expired' | 'used' | 'too-often' | 'too-many-screens' }

/** The screens of a workshop, kept in a folder: who is let in, as what, and the codes by which further ones come in. */
export function createScreens(folder: string, now: () => number = Date.now) {
  const file = join(folder, 'screens.json')
  let screens: StoredScreen[] = existsSync(file) ? storedSchema.parse(JSON.parse(readFileSync(file, 'utf8'))) : []
  let invitations: Invitation[] = []
  let spent: { readonly code: string; readonly why: 'used' | 'expired' }[] = []
  let wrong: { readonly from: string; readonly atMs: number }[] = []

  const store = (next: StoredScreen[]) => {
    writeWhole(file, JSON.stringify(next, null, 1), { secret: true })
    screens = next
  }

  function invite(name: string, role: Role, validMs = CODE_MS): { readonly code: string; readonly untilMs: number } {
    const invitation = { code: newCode(), name, role, untilMs: now() + validMs }
    invitations = [...invitations.filter(one => one.untilMs > now()), invitation].slice(-10)
    return invitation
  }

  /** Lets in who has a code that is still good; it is good once. */
  function join_(typed: string, from: string): Joined {
    wrong = wrong.filter(one => one.atMs > now() - TRIES.withinMs)
    if (wrong.length >= TRIES.inAll || wrong.filter(one => one.from === from).length >= TRIES.perAddress)
      return { ok: false, why: 'too-often' }
    const code = plainCode(typed)
    const invitation = invitations.find(one => isEqual(one.code, code))
    if (!invitation || invitation.untilMs <= now()) {
      wrong.push({ from, atMs: now() })
      if (invitation) return { ok: false, why: 'expired' }
      return { ok: false, why: spent.find(one => isEqual(one.code, code))?.why ?? 'wrong' }
    }
    if (screens.length >= MOST_SCREENS) return { ok: false, why: 'too-many-screens' }
    const token = randomBytes(32).toString('base64url')
    const screen: StoredScreen = {
      id: randomUUID(),
      name: nameApart(invitation.name),
      role: invitation.role,
      token: hashOf(token),
      addedAt: new Date(now()).toISOString(),
      lastSeenAt: null,
      stampsAs: [],
    }
    store([...screens, screen])
    invitations = invitations.filter(one => one !== invitation)
    spent = [...spent, { code, why: 'used' as const }].slice(-100)
    return { ok: true, token, screen }
  }

  /** Two screens of one name could not be told apart. */
  function nameApart(name: string, but?: string): string {
    const taken = new Set(screens.flatMap(one => (one.id === but ? [] : one.name)))
    if (!taken.has(name)) return name
    for (let i = 2; ; i++) if (!taken.has(`${name} ${i}`)) return `${name} ${i}`
  }

  const change = (id: string, parts: Partial<StoredScreen>) =>
    store(screens.map(one => (one.id === id ? { ...one, ...parts } : one)))

  return {
    all: (): readonly StoredScreen[] => screens,
    invite,
    join: join_,
    /** Returns the screen that a token is of; null: of none, or of one that was removed. */
    byToken: (token: string): StoredScreen | null => {
      const hash = hashOf(token)
      return screens.find(one => isEqual(one.token, hash)) ?? null
    },
    rename: (id: string, name: string) => change(id, { name: nameApart(name, id) }),
    remove: (id: string) => store(screens.filter(one => one.id !== id)),
    /** Notes that a screen was here, and the name it stamps its changes with. */
    noteHere: (id: string, stampsAs: string) => {
      const screen = screens.find(one => one.id === id)
      if (!screen) return
      const names = [...new Set([...screen.stampsAs, stampsAs])].slice(-20)
      change(id, { lastSeenAt: new Date(now()).toISOString(), stampsAs: names })
    },
  }
}

export type Screens = ReturnType<typeof createScreens>
