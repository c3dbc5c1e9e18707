import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { shortcutIn, shortcutTarget } from './shortcut'

const NONE = { hot: [], toTemper: [], toRun: [], toRead: [] }

describe('a shortcut of the installed application', () => {
  it('leads to the hot run before anything else', () => {
    expect(shortcutTarget('run', { ...NONE, hot: ['b1'], toRun: ['b2'], toTemper: ['b3'] })).toBe('/run/b1')
  })

  it('leads to the one batch that waits, and leaves a choice to the hand', () => {
    expect(shortcutTarget('run', { ...NONE, toRun: ['b2'] })).toBe('/run/b2')
    expect(shortcutTarget('run', { ...NONE, toTemper: ['b2'], toRun: ['b2'] })).toBe('/run/b2')
    expect(shortcutTarget('run', { ...NONE, toTemper: ['b3'], toRun: ['b2'] })).toBeNull()
    expect(shortcutTarget('run', NONE)).toBeNull()
    expect(shortcutTarget('readings', { ...NONE, toRead: ['b4'] })).toBe('/batch/b4/measure')
    expect(shortcutTarget('readings', { ...NONE, toRead: ['b4', 'b5'] })).toBeNull()
  })

  it('has an address in the manifest that is understood', () => {
    const { shortcuts } = JSON.parse(readFileSync('public/app.webmanifest', 'utf8'))
    expect(
      shortcuts.map(({ url }: { url: string }) => shortcutIn(new URL(url, 'https://shop.example').search)),
    ).toEqual(['run', 'readings', null])
    expect(shortcutIn('?to=elsewhere')).toBeNull()
  })
})
