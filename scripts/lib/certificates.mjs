// Certificates of this installation: an authority of its own, made once, and a certificate of the server that it signs again
// whenever the names of this machine change or the old one ends. Whoever trusts the authority on a phone gets HTTPS in the
// shop's own network, with nothing asked of anybody outside.
import { webcrypto, X509Certificate } from 'node:crypto';
import { BlockList } from 'node:net';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { hostname, networkInterfaces } from 'node:os';
import { join } from 'node:path';

const ALGORITHM = { name: 'ECDSA', namedCurve: 'P-256', hash: 'SHA-256' };
const DAY = 86_400_000;
/** Devices take an authority for as long as this, and a server's certificate for a little over a year at most. */
const LASTS = { authority: 3650 * DAY, server: 397 * DAY };
/** A server's certificate is made again when it would end within this. */
const RENEW = 60 * DAY;

/** Addresses of networks that are nobody's in particular: all that the authority may speak for, beside this machine's names. */
const PRIVATE = ['10.0.0.0/8', '127.0.0.0/8', '169.254.0.0/16', '172.16.0.0/12', '192.168.0.0/16'];

/** Whether an address is one that the authority may speak for. */
export const isPrivate = (address) =>
  PRIVATE.some((range) => {
    const [of, bits] = range.split('/');
    const list = new BlockList();
    list.addSubnet(of, Number(bits), 'ipv4');
    return list.check(address, 'ipv4');
  });

/** The names and private addresses that this machine goes by. */
function namesOfMachine() {
  const addresses = Object.values(networkInterfaces())
    .flat()
    .filter(({ family, address }) => family === 'IPv4' && isPrivate(address))
    .map(({ address }) => address);
  const name = hostname().toLowerCase();
  return [...new Set(['localhost', ...(name.includes('.') ? [] : [`${name}.local`]), ...addresses])].sort();
}

const isAddress = (name) => /^[\d.]+$/.test(name);

/**
 * Where the certificates are, after those that are missing or out of date were made.
 *
 * @param folder The data folder.
 * @param names Names and addresses that the server's certificate speaks for.
 * @param now The time, ms.
 * @returns Paths of the authority's certificate, the server's certificate and its key, and whether it was made again.
 */
export async function certificates(folder, names = namesOfMachine(), now = Date.now()) {
  await import('reflect-metadata');
  const x509 = await import('@peculiar/x509');
  x509.cryptoProvider.set(webcrypto);
  const at = (name) => join(folder, 'tls', name);
  const files = { authority: at('authority.crt'), cert: at('server.crt'), key: at('server.key') };
  mkdirSync(join(folder, 'tls'), { recursive: true, mode: 0o700 });
  const authority = await authorityIn(x509, files.authority, at('authority.key'), now);
  if (existsSync(files.cert) && existsSync(files.key) && stands(x509, files.cert, authority, names, now))
    return { ...files, made: false };
  const keys = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
  const made = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: 'CN=Splay in this shop',
    issuer: authority.certificate.subject,
    notBefore: new Date(now - DAY),
    notAfter: new Date(Math.min(now + LASTS.server, authority.certificate.notAfter.getTime())),
    signingAlgorithm: ALGORITHM,
    publicKey: keys.publicKey,
    signingKey: authority.key,
    extensions: [
      new x509.BasicConstraintsExtension(false, undefined, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.digitalSignature, true),
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth]),
      new x509.SubjectAlternativeNameExtension(
        names.map((value) => ({ type: isAddress(value) ? 'ip' : 'dns', value })),
      ),
      await x509.AuthorityKeyIdentifierExtension.create(authority.certificate.publicKey),
    ],
  });
  writeFileSync(files.key, await pem(x509, keys.privateKey), { mode: 0o600 });
  // The authority travels along, so that what asks sees the whole chain.
  writeFileSync(files.cert, `${made.toString('pem')}\n${authority.certificate.toString('pem')}\n`);
  return { ...files, made: true };
}

/** SHA-256 of the authority's certificate, as devices show it. */
export const fingerprint = (folder) =>
  new X509Certificate(readFileSync(join(folder, 'tls', 'authority.crt'), 'utf8')).fingerprint256;

const serial = () => Buffer.from([1, ...webcrypto.getRandomValues(new Uint8Array(15))]).toString('hex');

const pem = async (x509, key) => {
  const bytes = await webcrypto.subtle.exportKey('pkcs8', key);
  return `${x509.PemConverter.encode(bytes, x509.PemConverter.PrivateKeyTag)}\n`;
};

/** Whether a server's certificate is still the authority's, speaks for these names, and does not end soon. */
function stands(x509, file, authority, names, now) {
  const certificate = new x509.X509Certificate(x509.PemConverter.decodeFirst(readFileSync(file, 'utf8')));
  const spoken = certificate.getExtension(x509.SubjectAlternativeNameExtension)?.names.items ?? [];
  const speaksFor = new Set(spoken.map(({ value }) => value));
  return (
    certificate.issuer === authority.certificate.subject &&
    names.every((name) => speaksFor.has(name)) &&
    certificate.notAfter.getTime() - now > RENEW
  );
}

/** The authority of this installation, made when there is none. It can speak for private networks and nothing else. */
async function authorityIn(x509, certFile, keyFile, now) {
  if (existsSync(certFile) && existsSync(keyFile)) {
    const bytes = x509.PemConverter.decodeFirst(readFileSync(keyFile, 'utf8'));
    return {
      certificate: new x509.X509Certificate(readFileSync(certFile, 'utf8')),
      key: await webcrypto.subtle.importKey('pkcs8', bytes, ALGORITHM, true, ['sign']),
    };
  }
  const { publicKey, privateKey: key } = await webcrypto.subtle.generateKey(ALGORITHM, true, ['sign', 'verify']);
  const name = `CN=Splay authority ${serial().slice(2, 8)}, O=This shop`;
  const certificate = await x509.X509CertificateGenerator.create({
    serialNumber: serial(),
    subject: name,
    issuer: name,
    notBefore: new Date(now - DAY),
    notAfter: new Date(now + LASTS.authority),
    signingAlgorithm: ALGORITHM,
    publicKey,
    signingKey: key,
    extensions: [
      new x509.BasicConstraintsExtension(true, 0, true),
      new x509.KeyUsagesExtension(x509.KeyUsageFlags.keyCertSign | x509.KeyUsageFlags.cRLSign, true),
      // What it signs may speak for a server, and neither sign mail nor programs.
      new x509.ExtendedKeyUsageExtension([x509.ExtendedKeyUsage.serverAuth], true),
      await nameConstraints(x509),
      await x509.SubjectKeyIdentifierExtension.create(publicKey),
    ],
  });
  writeFileSync(keyFile, await pem(x509, key), { mode: 0o600 });
  writeFileSync(certFile, `${certificate.toString('pem')}\n`);
  return { certificate, key };
}

/** RFC 5280, 4.2.1.10: were its key to get out, the authority could still not speak for any site of the world. */
async function nameConstraints(x509) {
  const { AsnConvert } = await import('@peculiar/asn1-schema');
  const { GeneralName, GeneralSubtree, GeneralSubtrees, NameConstraints } = await import('@peculiar/asn1-x509');
  const subtree = (base) => new GeneralSubtree({ base: new GeneralName(base) });
  const constraints = new NameConstraints({
    permittedSubtrees: new GeneralSubtrees([
      ...['localhost', 'local'].map((dNSName) => subtree({ dNSName })),
      ...PRIVATE.map((iPAddress) => subtree({ iPAddress })),
      // A domain that nobody can have (RFC 2606): no mail address and no address of a page is left to speak for.
      subtree({ rfc822Name: '.invalid' }),
      subtree({ uniformResourceIdentifier: '.invalid' }),
    ]),
  });
  return new x509.Extension('2.5.29.30', true, AsnConvert.serialize(constraints));
}
