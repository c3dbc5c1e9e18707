import { hostname } from 'node:os'
import { join } from 'node:path'
import { ROOT } from './bootstrap.mjs'
import { portToUse } from './ports.mjs'
import { serveShared } from './serve.mjs'

const FIRST_PORT = 4430
/** Screens come back to the address they were added at. */
const KEPT = join(ROOT, '.cache', 'shared-port')

const WHY = {
  newer: file => `A newer version of the application has written ${file}. Start that one, or move the file away.`,
  broken: file =>
    `${file} cannot be read to its end, and nothing was changed in it. The folder back-ups beside it has it as it was on each of the last days: put one of them in its place.`,
}

const takenPort = () => {
  throw new Error(
    `The port that the workshop’s screens know is taken, perhaps by Tawny Ember itself. Stop that first; or share at another with TAWNY_TLS_PORT=${FIRST_PORT + 1}, where each screen must be added anew.`,
  )
}

/** Shares the workshop on the local network: opens what is shared and serves it over HTTPS. Throws with what to do where it cannot be. */
export async function share({ built = join(ROOT, 'dist'), folder, port = null, host = '0.0.0.0' } = {}) {
  const { openSharing, localAddresses, JournalError } = await import(join(built, 'server', 'sharing.mjs'))
  const name = hostname().toLowerCase()
  const hosts = [...localAddresses(), ...(name.includes('.') ? [name] : [`${name}.local`]), '127.0.0.1']
  const wanted = process.env.TAWNY_TLS_PORT
  const tlsPort = port ?? (await portToUse(host, { keptIn: KEPT, wanted, first: FIRST_PORT }).catch(takenPort))
  const { TAWNY_TLS_CERT: cert, TAWNY_TLS_KEY: key } = process.env
  const sharing = await openSharing({ folder, hosts, tlsPort, own: cert && key ? { cert, key } : null }).catch(
    error => {
      if (error instanceof JournalError) throw new Error(WHY[error.why](error.file))
      throw new Error(`The workshop cannot be shared: ${error.message}`)
    },
  )
  // Pages say that there is a workshop to come into.
  process.env.TAWNY_SHARED = 'on'
  await serveShared({ host, port: tlsPort, hosts, sharing, built })
  return {
    ...sharing,
    /** Prints how this machine’s browser and other screens come in. */
    tell: address => {
      const { until } = sharing.certificates()
      console.log(`Shared with the local network at https://${hosts[0]}:${tlsPort}/ and kept in ${sharing.folder}.`)
      console.log(`Its certificate is good until ${until.toISOString().slice(0, 10)}.`)
      const first = `${address}join#${sharing.firstCode()}`
      console.log(
        sharing.hasScreens()
          ? `Add further screens in the Workshop, under Screens. If no screen is left: ${first}`
          : `Begin in the browser of this machine, within the hour: ${first}`,
      )
    },
  }
}
