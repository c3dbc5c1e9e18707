// npm test: installs what is missing, then every check, fastest first.
//   npm run test:quick   types, lint, layers and the unit tests of what changed since the last commit (SINCE names another)
import { execFileSync, spawn } from 'node:child_process'
import { existsSync } from 'node:fs'
import { bin, ensurePackages, ROOT, run } from './bootstrap.mjs'
import { CHROMIUM, HEADLESS_SHELL } from './browser.mjs'

/** Debian's Chromium drives the browser tests; nothing is downloaded past the package registries. */
function ensureChromium() {
  if (existsSync(HEADLESS_SHELL)) return
  console.log('Installing Chromium from Debian …')
  const sudo = process.getuid?.() === 0 ? [] : ['sudo']
  const apt = args =>
    execFileSync([...sudo, 'apt-get'][0], [...[...sudo, 'apt-get'].slice(1), ...args], {
      stdio: 'inherit',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    })
  try {
    apt(['update'])
    apt(['install', '-y', '--no-install-recommends', 'chromium-headless-shell'])
  } catch (error) {
    if (!existsSync(CHROMIUM)) throw error
    console.log('It cannot be installed: the tests drive the whole Chromium that is here, which takes longer.')
  }
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

/** Steps that each keep one core busy, side by side; what each says stands together. */
async function sideBySide(...steps) {
  const started = Date.now()
  console.log(`\n=== ${steps.map(([name]) => name).join(', ')}: side by side`)
  const ended = steps.map(
    ([name, command, args]) =>
      new Promise(resolve => {
        const child = spawn(command, args, { cwd: ROOT, env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1' } })
        const said = []
        for (const stream of [child.stdout, child.stderr]) stream.on('data', part => said.push(part))
        child.on('error', error => resolve(String(error)))
        child.on('close', code => {
          console.log(`\n=== ${name}\n${Buffer.concat(said)}`)
          console.log(
            `=== ${name}: ${code === 0 ? 'fine' : 'FAILED'} (${((Date.now() - started) / 1000).toFixed(0)} s)`,
          )
          resolve(code === 0 ? null : name)
        })
      }),
  )
  const failed = (await Promise.all(ended)).filter(name => name !== null)
  if (failed.length > 0) {
    console.error(`\n=== ${failed.join(', ')}: FAILED. The cause stands above.`)
    process.exit(1)
  }
}

const node = (...args) => [process.execPath, args]
const LINT = ['Lint and format', bin('biome'), ['check', '.']]
const LAYERS = ['Layers', bin('depcruise'), ['src', '--config', '.dependency-cruiser.cjs']]
// The compiler of the next generation for TypeScript, in a third of the time; Astro's own for its pages.
const TYPES = ['Types', ...node('node_modules/typescript-native/bin/tsc', '--noEmit', '-p', '.')]
const PAGES = ['check', '--noSync', '--minimumSeverity', 'warning', '--tsconfig', 'tsconfig.astro.json']

ensurePackages({ tests: true })
step('Types of pages', bin('astro'), ['sync'])
if (process.argv.includes('--quick')) {
  await sideBySide(LINT, TYPES, LAYERS)
  step('Unit tests of what changed', bin('vitest'), [
    'run',
    '--changed',
    process.env.SINCE ?? 'HEAD',
    '--passWithNoTests',
  ])
  console.log('\nThe quick checks passed.')
} else {
  ensureChromium()
  step(...LINT)
  step('Licences', ...node('scripts/licences.mjs', '--check'))
  step(...LAYERS)
  await sideBySide(TYPES, ['Build', ...node('-e', "import('./scripts/bootstrap.mjs').then(b => b.ensureBuild())")])
  step('Types of Astro pages', bin('astro'), PAGES)
  step('Unit tests', bin('vitest'), ['run'])
  step('Browser tests', bin('playwright'), ['test'])
  console.log('\nEverything passed.')
}
