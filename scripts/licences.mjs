// npm run licences: writes docs/licences.md, what is shipped and under which licence, from the lock file alone. With --check it only says
// whether that is what stands there.
import fs from 'node:fs'

const OUT = 'docs/licences.md'
const { packages } = JSON.parse(fs.readFileSync('package-lock.json', 'utf8'))

/** Packages that are installed to run the application on any machine, each once; what only tests it is not shipped. */
const shipped = new Map(
  Object.entries(packages)
    .filter(([path, one]) => path.startsWith('node_modules/') && !one.dev && !one.devOptional)
    .map(([path, { version, license }]) => [
      `${path.slice(path.lastIndexOf('node_modules/') + 'node_modules/'.length)} ${version}`,
      typeof license === 'string' ? license : 'not said',
    ]),
)
const byLicence = new Map()
for (const [name, licence] of [...shipped].sort()) byLicence.set(licence, [...(byLicence.get(licence) ?? []), name])

const lines = [...byLicence]
  .sort((a, b) => b[1].length - a[1].length || a[0].localeCompare(b[0]))
  .map(([licence, names]) => `## ${licence}\n\n${names.join(', ')}\n`)
const text = `# Licences of what is shipped

The application itself is under the MIT licence (LICENSE). It runs on ${shipped.size} packages, as the lock file has them; \`npm run licences\` writes
this list anew, and \`npm test\` checks it. What the lock file does not say stands in the package itself.

${lines.join('\n')}`
if (!process.argv.includes('--check')) fs.writeFileSync(OUT, text)
else if (fs.readFileSync(OUT, 'utf8') !== text) {
  console.error(`${OUT} is not what the lock file says. Run npm run licences.`)
  process.exit(1)
}
