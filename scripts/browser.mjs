import { existsSync } from 'node:fs'

/** Debian's Chromium without its windows, which takes a sixth less of the processor than the whole of it. */
export const HEADLESS_SHELL = '/usr/bin/chromium-headless-shell'
export const CHROMIUM = '/usr/bin/chromium'

/** The browser that the tests drive; CHROMIUM names another. */
export const testBrowser = () => process.env.CHROMIUM ?? (existsSync(HEADLESS_SHELL) ? HEADLESS_SHELL : CHROMIUM)
