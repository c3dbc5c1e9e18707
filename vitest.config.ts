/// <reference types="vitest/config" />
import { getViteConfig } from 'astro/config'

export default getViteConfig({
  test: {
    include: ['src/**/*.test.{ts,tsx}'],
    // Laws are checked on many cases; a busy machine must not fail them.
    testTimeout: 60_000,
    // Both cores of a small machine: by default one is left idle.
    maxWorkers: '100%',
    exclude: ['e2e/**', 'node_modules/**'],
    benchmark: { include: ['src/**/*.bench.ts'] },
  },
})
