import { hostname, networkInterfaces } from 'node:os';

const LOOPBACK = ['localhost', '127.0.0.1', '[::1]'];

/** Names that this machine has in the local network. */
function ownNames(): readonly string[] {
  const addresses = Object.values(networkInterfaces()).flatMap((all) => all ?? []);
  const name = hostname().toLowerCase();
  return [
    name,
    `${name}.local`,
    ...addresses.map(({ address, family }) => (family === 'IPv6' ? `[${address.replace(/%.*/, '')}]` : address)),
  ];
}

/**
 * The names that this server answers to. Whoever makes a browser send another name here (a page that points its own name
 * at this machine) is refused, since the browser would take our answers for that page's.
 *
 * @param bound The address that the server listens on.
 * @param publicUrl Where it is reached from outside (`SPLAY_URL`), if anywhere else.
 */
export function knownHosts(bound: string, publicUrl: string | null): ReadonlySet<string> {
  const open = !LOOPBACK.includes(bound);
  return new Set([
    ...LOOPBACK,
    ...(open ? [bound, ...ownNames()] : []),
    ...(publicUrl === null ? [] : [new URL(publicUrl).hostname]),
  ]);
}

/**
 * Where phones reach the server: its public address, or its addresses in the local network; none where it answers on this
 * machine alone.
 *
 * @param bound The address that the server listens on.
 * @param port And the port.
 * @param publicUrl Where it is reached from outside, if anywhere else.
 */
export function addressesOf(bound: string, port: number, publicUrl: string | null): readonly string[] {
  if (publicUrl !== null) return [publicUrl];
  if (LOOPBACK.includes(bound)) return [];
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => `http://${address}:${port}`);
}

/** The name in a Host header, without its port; null where it is no host. */
export function hostIn(header: string | undefined): string | null {
  if (!header || !URL.canParse(`http://${header}`)) return null;
  const { hostname: name, username, pathname } = new URL(`http://${header}`);
  return username === '' && pathname === '/' ? name : null;
}
