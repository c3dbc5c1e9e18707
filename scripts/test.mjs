// npm test: installs what is missing, then every check, fastest first.
import { execFileSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { bin, ensurePackages, run } from './bootstrap.mjs'

/** Debian's Chromium drives the browser tests; nothing is downloaded past the package registries. */
function ensureChromium() {
  if (existsSync('/usr/bin/chromium')) return
  console.log('Installing Chromium from Debian …')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = args =>
    execFileSync([...sudo, 'apt-get'][0], [...[...sudo, 'apt-get'].slice(1), ...args], {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  apt(['update'])
  apt(['install', '-y', '--no-install-recommends', 'chromium'])
}

const step = (name, command, args) => {
  const started = Date.now()
  console.log(`\n=== ${name}`)
  try {
    run(command, args)
  } catch {
    console.error(`\n=== ${name}: FAILED. The cause stands above.`)
    process.exit(1)
  }
  console.log(`=== ${name}: fine (${((Date.now() - started) / 1000).toFixed(0)} s)`)
}

ensurePackages()
ensureChromium()
step('Lint and format', bin('biome'), ['check', '.'])
step('Licences', process.execPath, ['scripts/licences.mjs', '--check'])
step('Layers', bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs'])
step('Types', bin('astro'), ['check', '--minimumSeverity', 'warning'])
step('Unit tests', bin('vitest'), ['run'])
step('Build', process.execPath, ['-e', "import('./scripts/bootstrap.mjs').then(b => b.ensureBuild())"])
step('Browser tests', bin('playwright'), ['test'])
console.log('\nEverything passed.')
