import { execFileSync } from 'node:child_process';
import { X509Certificate } from 'node:crypto';
import { once } from 'node:events';
import { mkdtempSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { createServer, get } from 'node:https';
import { isIP } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, expect, it } from 'vitest';
import { certificates, fingerprint, isPrivate } from './lib/certificates.mjs';

const NAMES = ['localhost', 'shop.local', '127.0.0.1', '192.168.7.20'];
const DAY = 86_400_000;
let folder;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'splay-tls-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

/** What openssl, which knows nothing of us, says of a chain. */
const verified = ({ authority, cert }, ...more) => {
  try {
    return execFileSync('openssl', ['verify', '-x509_strict', ...more, '-CAfile', authority, cert], {
      encoding: 'utf8',
    });
  } catch (error) {
    return String(error.stderr);
  }
};

it('an authority is made once, and a server’s certificate that stands is left as it is', async () => {
  const first = await certificates(folder, NAMES);
  expect(first.made).toBe(true);
  const [authority, cert] = [readFileSync(first.authority, 'utf8'), readFileSync(first.cert, 'utf8')];
  expect(await certificates(folder, NAMES)).toEqual({ ...first, made: false });
  expect([readFileSync(first.authority, 'utf8'), readFileSync(first.cert, 'utf8')]).toEqual([authority, cert]);
  expect(fingerprint(folder)).toBe(new X509Certificate(authority).fingerprint256);
  for (const key of ['server.key', 'authority.key']) expect(statSync(join(folder, 'tls', key)).mode & 0o077).toBe(0);
});

it('openssl takes the chain, for every name and no other', async () => {
  const made = await certificates(folder, NAMES);
  expect(verified(made)).toMatch(/OK/);
  const certificate = new X509Certificate(readFileSync(made.cert));
  const speaksFor = (name) => (isIP(name) ? certificate.checkIP(name) : certificate.checkHost(name));
  for (const name of NAMES) expect(speaksFor(name)).toBe(name);
  expect(certificate.checkHost('bank.example')).toBeUndefined();
  expect(certificate.checkIP('192.168.7.21')).toBeUndefined();
});

it('a machine that got another address has a new certificate by the same authority', async () => {
  const { authority } = await certificates(folder, NAMES);
  const before = readFileSync(authority, 'utf8');
  const made = await certificates(folder, [...NAMES, '10.0.0.9']);
  expect(made.made).toBe(true);
  expect(readFileSync(authority, 'utf8')).toBe(before);
  expect(new X509Certificate(readFileSync(made.cert)).checkIP('10.0.0.9')).toBe('10.0.0.9');
});

it('one that ends soon is made again, and none lasts longer than devices take', async () => {
  const now = Date.now();
  await certificates(folder, NAMES, now);
  expect((await certificates(folder, NAMES, now + 330 * DAY)).made).toBe(false);
  const { made, cert } = await certificates(folder, NAMES, now + 340 * DAY);
  expect(made).toBe(true);
  const { validFrom, validTo } = new X509Certificate(readFileSync(cert));
  expect((Date.parse(validTo) - Date.parse(validFrom)) / DAY).toBeLessThanOrEqual(398);
});

it('the authority cannot speak for a site of the world, whoever has its key', async () => {
  const made = await certificates(folder, ['localhost', 'bank.example']);
  expect(verified(made)).toMatch(/permitted subtree violation/);
  const address = await certificates(folder, ['203.0.113.9']);
  expect(verified(address)).toMatch(/permitted subtree violation/);
  expect(['10.1.2.3', '172.31.0.1', '192.168.0.1'].map(isPrivate)).toEqual([true, true, true]);
  expect(['172.32.0.1', '203.0.113.9', '8.8.8.8'].map(isPrivate)).toEqual([false, false, false]);
});

/** A certificate that somebody who has the authority's key signs with it, and what openssl says of it for a purpose. */
function signed({ authority }, extensions, purpose) {
  const at = (name) => join(folder, name);
  const openssl = (...args) => execFileSync('openssl', args, { stdio: 'pipe' });
  openssl(
    'req',
    '-new',
    '-newkey',
    'ec',
    '-pkeyopt',
    'ec_paramgen_curve:P-256',
    '-nodes',
    ...['-subj', '/CN=x'],
    ...['-keyout', at('x.key')],
    ...['-out', at('x.csr')],
  );
  writeFileSync(
    at('x.ext'),
    `basicConstraints=critical,CA:FALSE\nsubjectKeyIdentifier=hash\nauthorityKeyIdentifier=keyid\n${extensions}\n`,
  );
  openssl(
    'x509',
    '-req',
    '-in',
    at('x.csr'),
    '-CA',
    authority,
    '-CAkey',
    join(folder, 'tls', 'authority.key'),
    '-CAcreateserial',
    '-days',
    '9',
    '-extfile',
    at('x.ext'),
    '-out',
    at('x.crt'),
  );
  return verified({ authority, cert: at('x.crt') }, '-purpose', purpose);
}

it('whoever has its key can sign no mail, no program and no address of a page with it', async () => {
  const made = await certificates(folder, NAMES);
  const server = 'extendedKeyUsage=serverAuth\nsubjectAltName=';
  expect(signed(made, `${server}DNS:localhost`, 'sslserver')).toMatch(/OK/);
  expect(signed(made, `${server}DNS:localhost,email:owner@shop.example`, 'sslserver')).toMatch(
    /permitted subtree violation/,
  );
  expect(signed(made, `${server}DNS:localhost,URI:https://bank.example/`, 'sslserver')).toMatch(
    /permitted subtree violation/,
  );
  expect(signed(made, 'extendedKeyUsage=emailProtection', 'smimesign')).toMatch(/purpose/);
  // Programs are signed under a purpose of their own: the authority says that it has one only.
  const said = execFileSync('openssl', ['x509', '-in', made.authority, '-noout', '-ext', 'extendedKeyUsage'], {
    encoding: 'utf8',
  });
  expect(said).toMatch(/critical\s+TLS Web Server Authentication\s*$/);
});

it('whoever trusts the authority gets through, and nobody else', async () => {
  const { authority, cert, key } = await certificates(folder, NAMES);
  const server = createServer({ cert: readFileSync(cert), key: readFileSync(key) }, (_, answer) => answer.end('here'));
  server.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const call = (trusted) =>
    new Promise((told) => {
      get({ host: '127.0.0.1', port: server.address().port, agent: false, ...trusted }, (answer) => {
        answer.resume();
        told(answer.statusCode);
      }).on('error', ({ code }) => told(code));
    });
  expect(await call({ ca: readFileSync(authority) })).toBe(200);
  expect(await call({})).toMatch(/UNABLE_TO_VERIFY|SELF_SIGNED/);
  server.close();
});
