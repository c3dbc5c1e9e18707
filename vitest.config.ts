/// <reference types="vitest/config" />
import { getViteConfig } from 'astro/config'

// A query that finds nothing would draw the whole page as text each time it is tried again, which nobody reads: a sixth of
// the time of the tests of components. With DEBUG_PRINT_LIMIT=7000 a failing test shows it.
process.env.DEBUG_PRINT_LIMIT ??= '0'

const CORE = ['src/core/**/*.test.ts', 'src/words/**/*.test.ts']

export default getViteConfig({
  test: {
    // Laws are checked on many cases; a busy machine must not fail them.
    testTimeout: 120_000,
    // It must meet the same build of the storage library as the application, or it would never hear of a change.
    server: { deps: { inline: ['dexie-react-hooks'] } },
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
          setupFiles: ['src/testing/patience.ts'],
          exclude: CORE,
          benchmark: { include: [] },
        },
      },
    ],
  },
})
