// Installs what is missing, with Node alone: it runs before node_modules exists.
import { execFileSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)))
const STAMPS = join(ROOT, 'node_modules', '.tawny-ember')

export const run = (command, args, options = {}) =>
  execFileSync(command, args, {
    cwd: ROOT,
    stdio: 'inherit',
    env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', ...options.env },
  })

export const bin = name => join(ROOT, 'node_modules', '.bin', name)

const digest = texts => {
  const hash = createHash('sha256')
  for (const text of texts) hash.update(text)
  return hash.digest('hex')
}

const stampIs = (name, value) => existsSync(join(STAMPS, name)) && readFileSync(join(STAMPS, name), 'utf8') === value
const stamp = (name, value) => {
  mkdirSync(STAMPS, { recursive: true })
  writeFileSync(join(STAMPS, name), value)
}

/**
 * Installs the packages of the lock file, once for each lock file and Node version: those that serving and building need, or with
 * `tests` all of them.
 */
export function ensurePackages({ tests = false } = {}) {
  const want = digest([readFileSync(join(ROOT, 'package-lock.json')), process.version])
  if (stampIs('packages-all', want) || (!tests && stampIs('packages', want))) return
  const [what, how] = tests ? ['all packages', []] : ['the packages that building and serving need', ['--omit=dev']]
  timed(`Installing ${what} (about a minute)`, () => run('npm', ['ci', '--no-audit', '--no-fund', ...how]))
  stamp(tests ? 'packages-all' : 'packages', want)
}

/** Runs a step of the start: says what it is, and how long it took. */
function timed(what, step) {
  const started = Date.now()
  console.log(`${what} …`)
  step()
  console.log(`Done in ${Math.round((Date.now() - started) / 1000)} s.`)
}

/** Every file the build reads, with its text: a build is repeated only when one of them changed. */
function sourceDigest() {
  const files = ['astro.config.mjs', 'tsconfig.json', 'package-lock.json']
  const walk = folder => {
    for (const name of readdirSync(join(ROOT, folder)).sort()) {
      const path = join(folder, name)
      if (statSync(join(ROOT, path)).isDirectory()) walk(path)
      else if (!/\.(test|bench)\.tsx?$/.test(name)) files.push(path)
    }
  }
  walk('src')
  walk('public')
  return digest(files.flatMap(file => [file, readFileSync(join(ROOT, file))]))
}

/** A production build, unless the last one was made from the same source. */
export function ensureBuild() {
  const want = sourceDigest()
  if (existsSync(join(ROOT, 'dist', 'server', 'entry.mjs')) && stampIs('build', want)) return
  timed('Building the application (about a minute)', () => run(bin('astro'), ['build']))
  stamp('build', want)
}
