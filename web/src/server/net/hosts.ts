import { hostname, networkInterfaces } from 'node:os';
import { LRUCache } from 'lru-cache';

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

/** How often it is looked at whether this machine has got another name or address, ms. */
const LOOK_AGAIN = 5000;

/**
 * Tells whether a name is one of the server's (`knownHosts`), also one that the machine got while the server runs.
 *
 * @param names Gives the names as they are now.
 */
export function nameTeller(names: () => ReadonlySet<string>): (name: string) => boolean {
  let known = names();
  let looked = Date.now();
  return (name) => {
    if (known.has(name)) return true;
    if (Date.now() - looked < LOOK_AGAIN) return false;
    looked = Date.now();
    known = names();
    return known.has(name);
  };
}

/**
 * The origin under which whoever sends a request reaches us: the public one where a proxy forwards under its name, and what
 * the request itself names otherwise.
 *
 * @param host The Host header; known to be one of ours.
 * @param encrypted Whether the connection to us is.
 * @param publicUrl Where the server is reached from outside, if anywhere else.
 */
export function originOf(host: string, encrypted: boolean, publicUrl: string | null): string {
  const outside = publicUrl === null ? null : new URL(publicUrl);
  if (!encrypted && outside?.hostname === hostIn(host)) return outside?.origin ?? '';
  return `${encrypted ? 'https' : 'http'}://${host}`;
}

/** A way to reach the server. */
export interface Address {
  /** Not encrypted; null where it always is. */
  readonly plain: string | null;
  /** Encrypted; null where there is no certificate. */
  readonly secure: string | null;
}

/**
 * Where phones reach the server: its public address, or its addresses in the local network; none where it answers on this
 * machine alone.
 *
 * @param bound The address that the server listens on.
 * @param ports And its ports; that of what is encrypted is null where nothing is.
 * @param publicUrl Where it is reached from outside, if anywhere else.
 * @param speaksFor Whether the certificate speaks for an address.
 */
export function addressesOf(
  bound: string,
  ports: { readonly plain: number; readonly secure: number | null },
  publicUrl: string | null,
  speaksFor: (address: string) => boolean,
): readonly Address[] {
  if (publicUrl !== null)
    return [publicUrl.startsWith('https:') ? { plain: null, secure: publicUrl } : { plain: publicUrl, secure: null }];
  if (LOOPBACK.includes(bound)) return [];
  return Object.values(networkInterfaces())
    .flatMap((all) => all ?? [])
    .filter(({ family, internal }) => family === 'IPv4' && !internal)
    .map(({ address }) => ({
      plain: `http://${address}:${ports.plain}`,
      secure: ports.secure === null || !speaksFor(address) ? null : `https://${address}:${ports.secure}`,
    }));
}

/** Names in Host headers that came lately: most requests bring the same. */
const lately = new LRUCache<string, { readonly name: string | null }>({ max: 200 });

/** The name in a Host header, without its port; null where it is no host. */
export function hostIn(header: string | undefined): string | null {
  if (!header) return null;
  const found = lately.get(header) ?? { name: parsed(header) };
  lately.set(header, found);
  return found.name;
}

function parsed(header: string): string | null {
  if (!URL.canParse(`http://${header}`)) return null;
  const { hostname: name, username, pathname } = new URL(`http://${header}`);
  return username === '' && pathname === '/' ? name : null;
}
