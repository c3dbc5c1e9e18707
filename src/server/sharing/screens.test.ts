import { mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { createScreens, type Screens } from './screens'

let folder = ''
let nowMs = 0
let screens: Screens
const MINUTE = 60_000

beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tawny-ember-screens-'))
  nowMs = Date.parse('2026-12-01T08:00:00.000Z')
  screens = createScreens(folder, () => nowMs)
})
afterEach(() => rmSync(folder, { recursive: true }))

const why = (code: string, from = 'tablet') => {
  const joined = screens.join(code, from)
  return joined.ok ? 'in' : joined.why
}

describe('who comes into a workshop', () => {
  it('lets in who has the code, as what it was made for, and knows it by its token from then on', () => {
    const { code } = screens.invite('Tablet at the oven', 'shows')
    const joined = screens.join(`${code.slice(0, 5).toLowerCase()}-${code.slice(5)}`, 'tablet')
    if (!joined.ok) throw new Error(joined.why)
    expect(joined.screen).toMatchObject({ name: 'Tablet at the oven', role: 'shows' })
    expect(screens.byToken(joined.token)?.id).toBe(joined.screen.id)
    expect(createScreens(folder).byToken(joined.token)?.id, 'after a restart').toBe(joined.screen.id)
    expect(screens.byToken(`${joined.token}x`)).toBeNull()
  })

  it('takes a code once, and within five minutes', () => {
    const { code } = screens.invite('A', 'works')
    expect(why(code)).toBe('in')
    expect(why(code)).toBe('used')
    const late = screens.invite('B', 'works').code
    nowMs += 5 * MINUTE
    expect(why(late)).toBe('expired')
  })

  it('lets nobody try codes: of 10,000 hardly any is looked at', () => {
    const { code } = screens.invite('A', 'works')
    const tried = Array.from({ length: 10_000 }, (_, i) => why(`WRONG${10_000 + i}`, `address ${i}`))
    expect(tried.filter(one => one === 'wrong')).toHaveLength(20)
    expect(why(code), 'nor the right one, for a minute').toBe('too-often')
    nowMs += MINUTE
    expect(why(code)).toBe('in')
  })

  it('stops one address that tries before it stops the others', () => {
    const { code } = screens.invite('A', 'works')
    const tried = Array.from({ length: 10 }, () => why('WRONGWRONG', 'guest'))
    expect(tried.filter(one => one === 'wrong')).toHaveLength(5)
    expect(why(code, 'tablet')).toBe('in')
  })

  it('keeps no token, so that who reads the file comes in nowhere', () => {
    const { code } = screens.invite('A', 'works')
    const joined = screens.join(code, 'tablet')
    if (!joined.ok) throw new Error(joined.why)
    expect(readFileSync(join(folder, 'screens.json'), 'utf8')).not.toContain(joined.token)
  })

  it('knows a screen no more that was removed, and tells two of one name apart', () => {
    const [a, b] = ['Tablet', 'Tablet'].map(name => screens.join(screens.invite(name, 'works').code, 'x'))
    if (!a?.ok || !b?.ok) throw new Error('not in')
    expect(b.screen.name).toBe('Tablet 2')
    screens.rename(b.screen.id, 'Tablet')
    expect(screens.byToken(b.token)?.name).toBe('Tablet 2')
    screens.remove(a.screen.id)
    expect(screens.byToken(a.token)).toBeNull()
  })
})
