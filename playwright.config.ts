import { defineConfig } from '@playwright/test'
import { testBrowser } from './scripts/browser.mjs'

const PORT = 4399

export default defineConfig({
  testDir: 'e2e',
  globalSetup: './e2e/seed.ts',
  // Nothing is tried twice: what passes at the second try hides what is real.
  retries: 0,
  timeout: 240_000,
  expect: { timeout: 45_000 },
  workers: 2,
  // The tests of a file follow one another: one floods the server that the next asks.
  reporter: [['list']],
  use: {
    baseURL: `http://127.0.0.1:${PORT}`,
    // A field that cannot be filled is said long before the test's own end.
    actionTimeout: 60_000,
    // Clocks of 24 hours, whatever the machine's own language.
    locale: 'en-GB',
    viewport: { width: 1280, height: 800 },
    reducedMotion: 'reduce',
    // Each test has a browser of its own, which would lay the whole application down for itself; what is about that lets it in.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: testBrowser(),
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        // Whatever is asked of another machine fails, and the page says so.
        '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1',
      ],
    },
  },
  webServer: {
    command: `node e2e/serve.mjs ${PORT}`,
    url: `http://127.0.0.1:${PORT}/`,
    reuseExistingServer: false,
    timeout: 300_000,
  },
})
