import { AsnConvert } from '@peculiar/asn1-schema'
import { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } from '@peculiar/asn1-x509'
import 'reflect-metadata'
import * as x509 from '@peculiar/x509'
import { randomBytes, webcrypto, X509Certificate } from 'node:crypto'
import { mkdir, readFile, rename, writeFile } from 'node:fs/promises'
import { isIP } from 'node:net'
import { join } from 'node:path'
import { LOCAL_NETWORKS } from './localAddresses'

const KEY = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' } as const
const DAY_MS = 86_400_000
/** Of what phones are told to trust: as long as the workshop keeps its machine. */
const AUTHORITY_DAYS = 3650
/** Of what is shown to phones; they take none that lasts longer than about a year. */
const LEAF_DAYS = 180
/** It is renewed while it has so long to go. */
const RENEWED_DAYS = 30
/** Clocks of phones may be behind. */
const BEFORE_MS = DAY_MS
const NAME_CONSTRAINTS = '2.5.29.30'
const LOOPBACK = '127.0.0.0/8'

/** A certificate with its key, as files hold them. */
export interface Keyed {
  readonly certificate: string
  readonly key: string
}
export interface Certificates {
  /** Which phones are told to trust. */
  readonly authority: string
  /** SHA-256 of it, as phones show it. */
  readonly fingerprint: string
  /** What is shown to them, made out by it. */
  readonly leaf: Keyed
  readonly endsAt: Date
}

/** An authority that can speak for local addresses and names only: whoever stole its key could pose as nothing else. */
function localOnly(names: readonly string[]): x509.Extension {
  const addresses = [...LOCAL_NETWORKS, LOOPBACK].map((iPAddress) => new GeneralName({ iPAddress }))
  const hosts = ['localhost', ...names].map((dNSName) => new GeneralName({ dNSName }))
  const subtrees = [...addresses, ...hosts].map((base) => new GeneralSubtree({ base }))
  const constraints = new NameConstraints({ permittedSubtrees: new GeneralSubtrees(subtrees) })
  return new x509.Extension(NAME_CONSTRAINTS, true, AsnConvert.serialize(constraints))
}

const pem = (label: string, der: ArrayBuffer) => x509.PemConverter.encode(der, label)
const newKeys = () => webcrypto.subtle.generateKey(KEY, true, ['sign', 'verify'])
const keyText = async (keys: webcrypto.CryptoKeyPair) =>
  pem('PRIVATE KEY', await webcrypto.subtle.exportKey('pkcs8', keys.privateKey))
const keyFrom = (text: string) =>
  webcrypto.subtle.importKey('pkcs8', x509.PemConverter.decodeFirst(text), KEY, true, ['sign'])
const serial = () => `01${randomBytes(15).toString('hex')}`
const span = (days: number, now: Date) => ({
  notBefore: new Date(now.getTime() - BEFORE_MS),
  notAfter: new Date(now.getTime() + days * DAY_MS),
})

async function newAuthority(host: string, now: Date): Promise<Keyed> {
  const keys = await newKeys()
  const certificate = await x509.X509CertificateGenerator.createSelfSigned({
    serialNumber: serial(),
    name: [{ CN: [`Bold Ballast on ${host}`] }],
    ...span(AUTHORITY_DAYS, now),
    signingAlgorithm: KEY,
    keys,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      localOnly(namesOf(host)),
    ],
  })
  return { certificate: certificate.toString('pem'), key: await keyText(keys) }
}

async function newLeaf(authority: Keyed, names: readonly string[], now: Date): Promise<Keyed> {
  const keys = await newKeys()
  const issuer = new x509.X509Certificate(authority.certificate)
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: [{ CN: ['Bold Ballast'] }],
    issuer: issuer.subjectName,
    ...span(LEAF_DAYS, now),
    signingAlgorithm: KEY,
    publicKey: keys.publicKey,
    signingKey: await keyFrom(authority.key),
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isIP(value) ? 'ip' : 'dns', value }) as const),
      ),
      await x509.SubjectKeyIdentifierExtension.create(keys.publicKey),
      await x509.AuthorityKeyIdentifierExtension.create(issuer),
    ],
  })
  return { certificate: certificate.toString('pem'), key: await keyText(keys) }
}

/** Names that a machine goes by on its own network. */
export const namesOf = (host: string): string[] => {
  const [own = 'localhost'] = host.toLowerCase().split('.')
  return [own, `${own}.local`]
}

async function read(folder: string, name: string): Promise<Keyed | null> {
  try {
    const [certificate, key] = await Promise.all(
      [`${name}.pem`, `${name}.key.pem`].map((file) => readFile(join(folder, file), 'utf8')),
    )
    return certificate && key ? { certificate, key } : null
  } catch {
    return null
  }
}

/** Written whole or not at all, readable by nobody else. */
async function write(folder: string, name: string, { certificate, key }: Keyed): Promise<void> {
  for (const [file, text] of [
    [`${name}.key.pem`, key],
    [`${name}.pem`, certificate],
  ] as const) {
    const path = join(folder, file)
    await writeFile(`${path}.new`, text, { mode: 0o600 })
    await rename(`${path}.new`, path)
  }
}

const endOf = (certificate: string) => new Date(new X509Certificate(certificate).validTo)

/** Whether a leaf can still be shown: made out by this authority, for all the names, and not about to end. */
function isGood(leaf: Keyed, authority: Keyed, names: readonly string[], now: Date): boolean {
  const found = new X509Certificate(leaf.certificate)
  const isFor = (name: string) => (isIP(name) ? found.checkIP(name) : found.checkHost(name)) !== undefined
  return (
    found.verify(new X509Certificate(authority.certificate).publicKey) &&
    names.every(isFor) &&
    endOf(leaf.certificate).getTime() - now.getTime() > RENEWED_DAYS * DAY_MS
  )
}

/**
 * The certificates of this machine, made where there are none, renewed where they are about to end or where the machine
 * has other addresses. The authority stays the same meanwhile, so that a phone that trusts it goes on doing so.
 *
 * @param folder that nobody else may read
 * @param host what the machine is called
 * @param addresses that it is served under
 */
export async function certificatesIn(
  folder: string,
  host: string,
  addresses: readonly string[],
  now: Date,
): Promise<Certificates> {
  await mkdir(folder, { recursive: true, mode: 0o700 })
  const names = [...addresses, ...namesOf(host), 'localhost']
  let authority = await read(folder, 'authority')
  if (!authority || endOf(authority.certificate).getTime() - now.getTime() < LEAF_DAYS * DAY_MS) {
    authority = await newAuthority(host, now)
    await write(folder, 'authority', authority)
  }
  let leaf = await read(folder, 'garage')
  if (!leaf || !isGood(leaf, authority, names, now)) {
    leaf = await newLeaf(authority, names, now)
    await write(folder, 'garage', leaf)
  }
  return {
    authority: authority.certificate,
    fingerprint: new X509Certificate(authority.certificate).fingerprint256,
    leaf,
    endsAt: endOf(leaf.certificate),
  }
}
