// The library's parts find each other by it.
import 'reflect-metadata'
import * as x509 from '@peculiar/x509'
import { createHash, webcrypto } from 'node:crypto'
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { join } from 'node:path'

x509.cryptoProvider.set(webcrypto as Crypto)

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
const DAY_MS = 86_400_000
/** Ten years for the shop's own authority; a certificate of it as long as browsers take one, and made anew in time. */
const AUTHORITY_DAYS = 3650
const CERTIFICATE_DAYS = 397
const RENEW_DAYS = 30

/** What an HTTPS server needs. */
export interface Certificate {
  cert: string
  key: string
}

interface Authority {
  certificate: x509.X509Certificate
  key: CryptoKey
}

const serial = (): string => Buffer.from(webcrypto.getRandomValues(new Uint8Array(16))).toString('hex').replace(/^[89a-f]/, '7') // prettier-ignore
const pemOf = async (key: CryptoKey): Promise<string> => x509.PemConverter.encode(await webcrypto.subtle.exportKey('pkcs8', key), 'PRIVATE KEY')
const keyOf = (pem: string): Promise<CryptoKey> => webcrypto.subtle.importKey('pkcs8', x509.PemConverter.decode(pem)[0] as ArrayBuffer, ALGORITHM, true, ['sign']) // prettier-ignore
const keys = (): Promise<CryptoKeyPair> => webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify'])

/** A file nobody else reads. */
const secret = (path: string, text: string): void => writeFileSync(path, text, { mode: 0o600 })

/** The shop's own authority, made when there is none: it signs for this shop's addresses alone. */
async function authorityIn(folder: string, now: Date): Promise<Authority> {
  const [cert, key] = [join(folder, 'authority.crt'), join(folder, 'authority.key')]
  if (existsSync(cert) && existsSync(key)) {
    const certificate = new x509.X509Certificate(readFileSync(cert, 'utf8'))
    if (certificate.notAfter.getTime() - now.getTime() > CERTIFICATE_DAYS * DAY_MS) return { certificate, key: await keyOf(readFileSync(key, 'utf8')) }
  }
  const pair = await keys()
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: `CN=Merry Tailor of this shop ${createHash('sha256').update(serial()).digest('hex').slice(0, 6)}`,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + AUTHORITY_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    keys: pair,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(pair.publicKey),
    ],
  })
  writeFileSync(cert, certificate.toString('pem'))
  secret(key, await pemOf(pair.privateKey))
  return { certificate, key: pair.privateKey }
}

/** Does a certificate name all of these, for a while yet, and is it signed by this authority? */
async function stillGood(certificate: x509.X509Certificate, names: readonly string[], authority: Authority, now: Date): Promise<boolean> {
  const named = new Set(certificate.getExtension(x509.SubjectAlternativeNameExtension)?.names.items.map(({ value }) => value))
  if (certificate.notAfter.getTime() - now.getTime() < RENEW_DAYS * DAY_MS || !names.every((name) => named.has(name))) return false
  return certificate.verify({ publicKey: authority.certificate.publicKey, date: now })
}

/**
 * A certificate for this shop's names and addresses, signed by the shop's own authority: made at the first start, kept
 * beside the book, made anew before it ends and when an address is new.
 *
 * @param folder where keys are kept, readable by this user alone; @param names host names and IP addresses
 */
export async function certificateFor(folder: string, names: readonly string[], now: Date): Promise<Certificate & { authority: string }> {
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const authority = await authorityIn(folder, now)
  const [certFile, keyFile] = [join(folder, 'shop.crt'), join(folder, 'shop.key')]
  const told = authority.certificate.toString('pem')
  if (existsSync(certFile) && existsSync(keyFile)) {
    const cert = readFileSync(certFile, 'utf8')
    if (await stillGood(new x509.X509Certificate(cert), names, authority, now)) return { cert, key: readFileSync(keyFile, 'utf8'), authority: told }
  }
  const pair = await keys()
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: `CN=${names[0] ?? 'localhost'}`,
    issuer: authority.certificate.subject,
    notBefore: new Date(now.getTime() - DAY_MS),
    notAfter: new Date(now.getTime() + CERTIFICATE_DAYS * DAY_MS),
    signingAlgorithm: ALGORITHM,
    publicKey: pair.publicKey,
    signingKey: authority.key,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth], false),
      new x509.SubjectAlternativeNameExtension(names.map((value) => ({ type: isIP(value) ? ('ip' as const) : ('dns' as const), value }))),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate.publicKey),
      await x509.SubjectKeyIdentifierExtension.create(pair.publicKey),
    ],
  })
  const [cert, key] = [certificate.toString('pem'), await pemOf(pair.privateKey)]
  writeFileSync(certFile, cert)
  secret(keyFile, key)
  return { cert, key, authority: told }
}
