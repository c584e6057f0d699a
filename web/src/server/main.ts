import { readFileSync } from 'node:fs';
import { createServer, type IncomingMessage, type RequestListener, type ServerResponse } from 'node:http';
import { createServer as createTlsServer } from 'node:https';
import { TLSSocket } from 'node:tls';
import { fileURLToPath } from 'node:url';
import { constants } from 'node:zlib';
import compression from 'compression';
import sirv from 'sirv';
import { env } from './env.ts';
import { log } from './log.ts';
import { addressTeller } from './net/address.ts';
import { hostIn, knownHosts, nameTeller, originOf } from './net/hosts.ts';
import { measure, serveMetrics } from './net/metrics.ts';
import { OF_PAGES, SECURITY_HEADERS } from './net/security-headers.ts';

/**
 * The process that serves: files as they were built, brotli or gzip beside them, then the application, compressed on the
 * way. Only names that are ours are answered. On SIGTERM what is under way is finished first. Where certificates are named it
 * answers over HTTPS too, at a port of its own; on SIGHUP it takes new ones up.
 */

type Next = (error?: unknown) => void;
type Handler = (
  request: IncomingMessage,
  response: ServerResponse,
  next: Next,
  locals: Partial<App.Locals>,
) => Promise<void>;

/** How long requests may go on after the server is told to stop, ms; streams of events never end by themselves. */
const LAST_REQUESTS = 3000;

// Beside this file once it is built.
const { handler } = (await import(new URL('./entry.mjs', import.meta.url).href)) as { readonly handler: Handler };
const files = sirv(fileURLToPath(new URL('../client', import.meta.url)), {
  brotli: true,
  gzip: true,
  etag: true,
  setHeaders: (response, path) => {
    if (!path.startsWith('/_astro/')) return;
    response.setHeader('cache-control', 'public, max-age=31536000, immutable');
    // Scripts, styles and faces are no pages: what keeps pages apart would only weigh on each of them.
    for (const header of OF_PAGES) response.removeHeader(header);
  },
});
const compress = compression({
  threshold: 1400,
  // On the way only what costs little: files were packed as small as they get when they were built.
  level: 4,
  brotli: { params: { [constants.BROTLI_PARAM_QUALITY]: 3 } },
  // A stream of events would wait in the compressor.
  filter: (request, response) =>
    !String(response.getHeader('content-type')).startsWith('text/event-stream') &&
    compression.filter(request, response),
});
const addressOf = addressTeller(env.proxies);
const { host, port } = env.listen;
const isOurs = nameTeller(() => knownHosts(host, env.publicUrl));

function refuse(response: ServerResponse, status: number, words: string): void {
  response.writeHead(status, { 'content-type': 'text/plain; charset=utf-8', connection: 'close' });
  response.end(`${words}\n`);
}

/** What is asked here; anything else (TRACE) gets no further. */
const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'PATCH', 'DELETE', 'OPTIONS'];
/** Comes with the framework, and nothing here uses it. */
const IMAGES = '/_image';

const answer: RequestListener = (request, response) => {
  for (const [header, value] of Object.entries(SECURITY_HEADERS)) response.setHeader(header, value);
  if (env.metricsPort !== null) measure(request, response);
  const name = hostIn(request.headers.host);
  if (name === null || !isOurs(name))
    return refuse(response, 421, 'This server does not go by that name. Its names are in SPLAY_URL and HOST.');
  if (!METHODS.includes(request.method ?? '')) {
    response.setHeader('allow', METHODS.join(', '));
    return refuse(response, 405, 'This is not done here.');
  }
  if (request.url?.startsWith(IMAGES)) return refuse(response, 404, 'There is nothing here.');
  // A file is read, and nothing else is done with it; the one page that is a file would be looked for in the application.
  const reads = request.method === 'GET' || request.method === 'HEAD';
  if (!reads && request.url?.startsWith('/offline')) {
    response.setHeader('allow', 'GET, HEAD');
    return refuse(response, 405, 'This page is only read.');
  }
  const file = reads ? files : (_: unknown, __: unknown, next: () => void) => next();
  file(request, response, () => {
    compress(request as never, response as never, () => {
      handler(request, response, () => refuse(response, 404, 'There is nothing here.'), {
        address: addressOf(request),
        origin: originOf(request.headers.host ?? '', request.socket instanceof TLSSocket, env.publicUrl),
      }).catch((error: unknown) => {
        log.error({ error: error instanceof Error ? error.name : typeof error }, 'a request was not answered');
        if (!response.headersSent) refuse(response, 500, 'The program failed at that. It was logged.');
      });
    });
  });
};

const { tls } = env;
const certified = () =>
  tls === null
    ? {}
    : { cert: readFileSync(tls.certificate), key: readFileSync(tls.key), minVersion: 'TLSv1.2' as const };
const plain = createServer(answer);
const secure = tls === null ? null : createTlsServer(certified(), answer);
const servers = secure === null ? [plain] : [plain, secure];
for (const server of servers) {
  // A request that comes in drips holds a connection, and nothing else, for so long.
  server.headersTimeout = 15_000;
  server.requestTimeout = 60_000;
  // Longer than whoever sends now and then leaves between: a connection that ends just as it is used loses a request.
  server.keepAliveTimeout = 75_000;
}

if (env.metricsPort !== null) serveMetrics(host, env.metricsPort);
plain.listen(port, host, () => log.info({ host, port }, 'listening'));
if (tls !== null) secure?.listen(tls.port, host, () => log.info({ host, port: tls.port }, 'listening, encrypted'));
process.on('SIGHUP', () => secure?.setSecureContext(certified()));

let stopping = false;
for (const signal of ['SIGTERM', 'SIGINT'] as const)
  process.on(signal, () => {
    if (stopping) return;
    stopping = true;
    let open = servers.length;
    for (const server of servers) {
      server.close(() => (open -= 1) === 0 && process.exit(0));
      server.closeIdleConnections();
    }
    setTimeout(() => process.exit(0), LAST_REQUESTS).unref();
  });
