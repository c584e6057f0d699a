/** Files and port of what is encrypted. */
export interface Tls {
  readonly certificate: string;
  readonly key: string;
  /** Certificate of the authority of this installation, which devices have to trust; null where they do already. */
  readonly authority: string | null;
  readonly port: number;
}

/** Settings that the server reads from its environment, each in one place. */
export const env = {
  get databaseUrl(): string {
    const url = process.env.DATABASE_URL;
    if (!url) throw new Error('DATABASE_URL is not set: start with `npm start`, or set it to a PostgreSQL address.');
    return url;
  },
  /** The address as the owner of the tables, who migrates; without one the server's own role owns them. */
  get ownerUrl(): string {
    return process.env.SPLAY_OWNER_URL || env.databaseUrl;
  },
  get secret(): string {
    const secret = process.env.BETTER_AUTH_SECRET;
    if (!secret)
      throw new Error('BETTER_AUTH_SECRET is not set: start with `npm start`, or set it to a long random text.');
    return secret;
  },
  /** Whether what started this server makes a backup when it is asked. */
  get backsUp(): boolean {
    return process.env.SPLAY_BACKS_UP === '1' && typeof process.send === 'function';
  },
  /** Whether workers do what takes long (`npm start` runs one); without them the server does it in its own threads. */
  get workers(): boolean {
    return process.env.SPLAY_WORKERS === '1';
  },
  /** True when the demo shop may be opened with one press. */
  get demo(): boolean {
    return process.env.SPLAY_DEMO === '1';
  },
  /** The address and the port that the server listens on. */
  get listen(): { readonly host: string; readonly port: number } {
    return { host: process.env.HOST ?? '127.0.0.1', port: Number(process.env.PORT ?? 4321) };
  },
  /** Certificates to answer over HTTPS with, and the port for that; null where it answers plainly alone. */
  get tls(): Tls | null {
    const { SPLAY_TLS_CERT: certificate, SPLAY_TLS_KEY: key, SPLAY_TLS_AUTHORITY: authority } = process.env;
    if (!certificate || !key) return null;
    return {
      certificate,
      key,
      authority: authority || null,
      port: Number(process.env.SPLAY_TLS_PORT ?? env.listen.port + 1),
    };
  },
  /** Where the server is reached from outside, behind a proxy: `https://splay.example`. */
  get publicUrl(): string | null {
    return process.env.SPLAY_URL || null;
  },
  /** The mail server that sends links, and who they are from; null where none is named. */
  get mail(): { readonly url: string; readonly from: string } | null {
    const url = process.env.SPLAY_SMTP_URL;
    if (!url) return null;
    const from = process.env.SPLAY_MAIL_FROM || decodeURIComponent(new URL(url).username);
    if (!from.includes('@')) throw new Error('SPLAY_MAIL_FROM is not set: name the address that mail comes from.');
    return { url, from };
  },
  /** Our own proxies, by address or range: whom they say that they forward for is believed. */
  get proxies(): readonly string[] {
    return (process.env.SPLAY_PROXIES ?? '').split(',').flatMap((one) => (one.trim() === '' ? [] : [one.trim()]));
  },
  /** The most that a shop may store, bytes. */
  get shopLimit(): number {
    return Number(process.env.SPLAY_SHOP_LIMIT_MB ?? 10_240) * 1024 * 1024;
  },
  /** Where what is measured can be read; nowhere if not set. */
  get metricsPort(): number | null {
    return process.env.SPLAY_METRICS_PORT ? Number(process.env.SPLAY_METRICS_PORT) : null;
  },
  /** Only tests switch the sign-in limiter off. */
  get limitSignIn(): boolean {
    return process.env.SPLAY_SIGN_IN_LIMIT !== 'off';
  },
};
