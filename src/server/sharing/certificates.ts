// The certificates’ package looks for it before anything else.
import 'reflect-metadata'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import * as x509 from '@peculiar/x509'
import { writeWhole } from './files'

/** Certificate and key for HTTPS, as PEM. */
export interface Certificates {
  readonly cert: string
  readonly key: string
  /** Certificate of the workshop’s own authority, which a screen is asked to trust; null where the certificates were brought along. */
  readonly authority: string | null
  readonly until: Date
}

const DAY_MS = 86_400_000
const AUTHORITY_DAYS = 3650
/** The longest that all browsers take. Source: CA/Browser Forum, ballot SC-31: 398 days. */
const SERVER_DAYS = 397
/** A certificate is made anew when so many of its days are left. */
const RENEWED_DAYS = 60

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const

async function newKeys() {
  x509.cryptoProvider.set(crypto)
  return (await crypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify'])) as CryptoKeyPair
}

const pemOf = (label: string, der: ArrayBuffer) => x509.PemConverter.encode(der, label)
const keyPem = async ({ privateKey }: CryptoKeyPair) =>
  pemOf('PRIVATE KEY', await crypto.subtle.exportKey('pkcs8', privateKey))
const keyFromPem = (pem: string) =>
  crypto.subtle.importKey('pkcs8', x509.PemConverter.decodeFirst(pem), ALGORITHM, true, ['sign'])

const serialNumber = () => Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('hex')

interface Authority {
  readonly pem: string
  readonly cert: x509.X509Certificate
  readonly key: CryptoKey
}

async function authorityIn(folder: string, now: Date): Promise<Authority> {
  const [certFile, keyFile] = [join(folder, 'authority.crt'), join(folder, 'authority.key')]
  x509.cryptoProvider.set(crypto)
  if (existsSync(certFile) && existsSync(keyFile)) {
    const pem = readFileSync(certFile, 'utf8')
    const cert = new x509.X509Certificate(pem)
    if (cert.notAfter.getTime() > now.getTime() + RENEWED_DAYS * DAY_MS)
      return { pem, cert, key: await keyFromPem(readFileSync(keyFile, 'utf8')) }
  }
  const keys = await newKeys()
  const cert = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serialNumber(),
    name: 'CN=Tawny Ember workshop authority',
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    keys,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
    ],
  })
  const pem = cert.toString('pem')
  writeWhole(keyFile, await keyPem(keys), { secret: true })
  writeWhole(certFile, pem)
  return { pem, cert, key: keys.privateKey }
}

const isNumbers = (host: string) => /^[\d.]+$/.test(host) || host.includes(':')

/** Names a certificate is for, in one order. */
const namesIn = (cert: x509.X509Certificate): string[] =>
  (cert.getExtension(x509.SubjectAlternativeNameExtension)?.names.items ?? []).map(({ value }) => value).sort()

/**
 * Returns what HTTPS needs for these names and addresses: made by an authority of the workshop’s own, kept in a folder, and made anew where
 * an address is new or the certificate would soon be too old. The authority’s key never leaves the folder.
 */
export async function certificatesFor(
  hosts: readonly string[],
  folder: string,
  now = new Date(),
): Promise<Certificates> {
  const authority = await authorityIn(folder, now)
  const [certFile, keyFile] = [join(folder, 'server.crt'), join(folder, 'server.key')]
  if (existsSync(certFile) && existsSync(keyFile)) {
    const pem = readFileSync(certFile, 'utf8')
    const cert = new x509.X509Certificate(pem)
    const isFor = namesIn(cert).join() === [...hosts].sort().join()
    if (
      isFor &&
      cert.notAfter.getTime() > now.getTime() + RENEWED_DAYS * DAY_MS &&
      cert.issuer === authority.cert.subject &&
      (await cert.verify({ publicKey: authority.cert, signatureOnly: true }))
    )
      return { cert: pem, key: readFileSync(keyFile, 'utf8'), authority: authority.pem, until: cert.notAfter }
  }
  const keys = await newKeys()
  const cert = await x509.X509CertificateGenerator.create({
    serialNumber: serialNumber(),
    subject: 'CN=Tawny Ember workshop',
    issuer: authority.cert.subject,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + SERVER_DAYS * DAY_MS),
    publicKey: keys.publicKey,
    signingKey: authority.key,
    signingAlgorithm: ALGORITHM,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        hosts.map(value => ({ type: isNumbers(value) ? 'ip' : 'dns', value }) as const),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(authority.cert.publicKey),
    ],
  })
  const pem = cert.toString('pem')
  const key = await keyPem(keys)
  writeWhole(keyFile, key, { secret: true })
  writeWhole(certFile, pem)
  return { cert: pem, key, authority: authority.pem, until: cert.notAfter }
}

/** Reads a certificate and its key that were brought along. Throws where one cannot be read or is none. */
export function certificatesFrom(certFile: string, keyFile: string): Certificates {
  const cert = readFileSync(certFile, 'utf8')
  return {
    cert,
    key: readFileSync(keyFile, 'utf8'),
    authority: null,
    until: new x509.X509Certificate(cert).notAfter,
  }
}
