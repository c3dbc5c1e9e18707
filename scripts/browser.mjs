import { existsSync } from 'node:fs'

/** Debian's Chromium without its windows, which takes a sixth less of the processor than the whole of it. */
export const HEADLESS_SHELL = '/usr/bin/chromium-headless-shell'
export const CHROMIUM = '/usr/bin/chromium'

/** The browser that the tests drive. */
export const testBrowser = () => (existsSync(HEADLESS_SHELL) ? HEADLESS_SHELL : CHROMIUM)
