import { X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { env } from '../env.ts';

/** What devices have to trust so that this server is encrypted for them. */
export interface Authority {
  /** As they load it, PEM. */
  readonly pem: string;
  /** SHA-256 of it, to be compared by eye with what the server shows. */
  readonly fingerprint: string;
  readonly until: Date;
}

/** Whether the certificate that this server answers with speaks for an address. */
export function speaksFor(address: string): boolean {
  if (env.tls === null) return false;
  return new X509Certificate(readFileSync(env.tls.certificate)).checkIP(address) !== undefined;
}

/** The authority of this installation; null where it has none. */
export function authority(): Authority | null {
  const file = env.tls?.authority ?? null;
  if (file === null) return null;
  const pem = readFileSync(file, 'utf8');
  const certificate = new X509Certificate(pem);
  return { pem, fingerprint: certificate.fingerprint256, until: new Date(certificate.validTo) };
}
