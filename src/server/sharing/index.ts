import { networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { certificatesFor, certificatesFrom } from './certificates'
import { createDoor } from './door'
import { dataFolder } from './files'
import { createHub } from './hub'
import { JournalError, openJournal } from './journal'
import { createScreens } from './screens'
import { createSerials } from './serials'

export { JournalError }

/** The first screen’s code is on the terminal of who started the server: it is good for an hour. */
const FIRST_CODE_MS = 3_600_000

/** Returns the addresses that other machines of the local network reach this one by. */
export const localAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap(all => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => address)

interface Settings {
  readonly folder?: string
  /** Names and addresses this machine is reached by. */
  readonly hosts: readonly string[]
  readonly tlsPort: number
  /** Files of a certificate that was brought along, and of its key. */
  readonly own?: { readonly cert: string; readonly key: string } | null
}

/**
 * Opens a shared workshop: its log, its screens, and what HTTPS needs. Throws JournalError where the log is a newer version’s or
 * broken, and what reading the certificates throws.
 */
export async function openSharing({ folder = dataFolder(), hosts, tlsPort, own = null }: Settings) {
  const journal = await openJournal(folder)
  const screens = createScreens(folder)
  const makeCertificates = () =>
    own ? certificatesFrom(own.cert, own.key) : certificatesFor(hosts, join(folder, 'tls'))
  let certificates = await makeCertificates()
  const addressOf = (host: string, code: string) => `https://${host}:${tlsPort}/join#${code}`
  const hub = createHub({
    journal,
    screens,
    serials: createSerials(folder),
    addresses: code => hosts.filter(host => host !== '127.0.0.1').map(host => addressOf(host, code)),
  })
  const door = createDoor({ screens, hub, authority: () => certificates.authority })
  return {
    door,
    folder,
    hasScreens: (): boolean => screens.all().length > 0,
    /** Returns the code for the browser of this machine. */
    firstCode: (): string => screens.invite('This machine', 'works', FIRST_CODE_MS).code,
    certificates: () => certificates,
    /** Makes the certificate anew where it is getting old; returns whether it is another one. */
    renew: async (): Promise<boolean> => {
      const before = certificates.cert
      certificates = await makeCertificates()
      return certificates.cert !== before
    },
    stop: hub.stop,
  }
}
