import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import { STATIONS } from '../data/stations'
import { KEPT_SHELLS, shellOf } from './shells'

const PAGES = join(import.meta.dirname, '..', 'pages')

describe('pages that work without the server', () => {
  it('are all there are: whoever adds a page keeps it too', () => {
    const files = readdirSync(PAGES, { recursive: true, encoding: 'utf8' })
    const pages = files.filter(file => file.endsWith('.astro') && file !== '404.astro')
    expect(pages).toHaveLength(20)
    for (const page of pages) {
      const path = `/${page}`
        .replace(/(index)?\.astro$/, '')
        .replace('[station]', 'heat')
        .replaceAll(/\[\w+\]/g, '7f3a')
      expect(shellOf(path), path).not.toBeNull()
    }
  })

  it('stand for themselves, and each bench for every other', () => {
    for (const shell of KEPT_SHELLS) expect(shellOf(shell)).toBe(shell)
    for (const station of STATIONS) expect(shellOf(`/batch/7f3a/${station}`)).toBe('/batch/any/choose')
    expect(shellOf('/batches/')).toBe('/batches')
  })

  it.each(['/api/predict', '/batch/7f3a', '/batch/7f3a/furnace', '/nowhere', '/sw.js', '/run'])(
    'are not %s: that is asked of the server',
    path => expect(shellOf(path)).toBeNull(),
  )
})
