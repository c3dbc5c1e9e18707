/// <reference types="vitest/config" />
import { getViteConfig } from 'astro/config'

const CORE = ['src/core/**/*.test.ts', 'src/words/**/*.test.ts']

export default getViteConfig({
  test: {
    // Laws are checked on many cases; a busy machine must not fail them.
    testTimeout: 60_000,
    // Both cores of a small machine: by default one is left idle.
    maxWorkers: '100%',
    projects: [
      // The core keeps nothing and stands in for nothing: its modules are loaded once for all of its tests.
      {
        extends: true,
        test: { name: 'core', include: CORE, isolate: false, benchmark: { include: ['src/**/*.bench.ts'] } },
      },
      {
        extends: true,
        test: {
          name: 'around it',
          include: ['src/**/*.test.{ts,tsx}'],
          exclude: CORE,
          benchmark: { include: [] },
        },
      },
    ],
  },
})
