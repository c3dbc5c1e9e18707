import { defineConfig } from 'vitest/config'

/** The core's own tests, for mutants of it: without the application around them. */
export default defineConfig({
  test: {
    include: ['src/core/{job,rockwell,steel,foil,oven,learn,quench}/**/*.test.ts'],
    testTimeout: 60_000,
  },
})
