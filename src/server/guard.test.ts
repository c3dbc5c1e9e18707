import { describe, expect, it } from 'vitest'
import { type Asked, pathOf, refusalOf } from '../../scripts/guard.mjs'

const asked = (change: Partial<Asked>): Asked => ({
  method: 'POST',
  host: '127.0.0.1:4330',
  origin: null,
  fetchSite: null,
  fetchMode: null,
  path: '/api/predict',
  ...change,
})
const code = (change: Partial<Asked>, allowed: string[] = []) => refusalOf(asked(change), allowed)?.code ?? null

describe('who is answered', () => {
  it.each([
    ['a program', {}],
    ['the page itself', { fetchSite: 'same-origin', fetchMode: 'cors', origin: 'http://127.0.0.1:4330' }],
    ['an address typed in', { method: 'GET', fetchSite: 'none', fetchMode: 'navigate', path: '/steels' }],
    [
      'a link from elsewhere that opens a page',
      { method: 'GET', fetchSite: 'cross-site', fetchMode: 'navigate', path: '/steels' },
    ],
    ['this machine by its name', { host: 'localhost:4330' }],
    ['this machine in the workshop’s network', { host: '192.168.1.20:4330' }],
    ['IPv6', { host: '[::1]:4330' }],
  ] as const)('%s', (_, change) => {
    expect(code(change)).toBeNull()
  })

  it.each([
    ['a foreign name pointed here', { host: 'harmless.example:4330' }, 'wrong-host'],
    ['no name at all', { host: null }, 'wrong-host'],
    ['a foreign page that asks', { fetchSite: 'cross-site', fetchMode: 'no-cors' }, 'foreign-page'],
    [
      'a foreign page that streams from a device',
      { method: 'GET', fetchSite: 'cross-site', fetchMode: 'cors' },
      'foreign-page',
    ],
    [
      'a foreign page that navigates to an answer',
      { method: 'GET', fetchSite: 'cross-site', fetchMode: 'navigate' },
      'foreign-page',
    ],
    ['another port of this machine', { fetchSite: 'same-site', fetchMode: 'cors' }, 'foreign-page'],
    ['an old browser’s foreign form', { origin: 'http://harmless.example' }, 'foreign-page'],
    ['an origin that is none', { origin: 'null' }, 'foreign-page'],
    ['a bracket that is no address', { host: '[evil.example' }, 'wrong-host'],
    ['a name behind an address', { host: '[::1].evil.example' }, 'wrong-host'],
    ['a file under a foreign name', { host: 'harmless.example', method: 'GET', path: '/theme.js' }, 'wrong-host'],
    ['the framework’s pictures', { method: 'GET', path: '/_image' }, 'not-found'],
    ['the same with a slash more', { method: 'GET', path: '//_image' }, 'not-found'],
    ['the framework’s islands', { path: '/_server-islands/x' }, 'not-found'],
    ['a trace', { method: 'TRACE' }, 'wrong-method'],
  ] as const)('not %s', (_, change, expected) => {
    expect(code(change)).toBe(expected)
  })

  it('a name it was started with', () => {
    expect(code({ host: 'Workshop.local:4330' }, ['workshop.local'])).toBeNull()
  })
})

describe('the path that is judged', () => {
  it.each([
    ['/_image?href=/x', '/_image'],
    ['/%5Fimage', '/_image'],
    ['http://127.0.0.1:4330/_image?w=1', '/_image'],
    ['/%61pi/cold', '/api/cold'],
    ['/%', '/%'],
  ])('%s is read as %s', (url, path) => {
    expect(pathOf(url)).toBe(path)
  })
})
