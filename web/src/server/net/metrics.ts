import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import { collectDefaultMetrics, Histogram, register } from 'prom-client';

const took = new Histogram({
  name: 'splay_request_seconds',
  help: 'How long requests took, by kind and status',
  labelNames: ['kind', 'status'],
  buckets: [0.005, 0.01, 0.025, 0.05, 0.1, 0.25, 0.5, 1, 2.5, 5, 10],
});

/** What is asked for, without ids: one line each in what is measured. */
export function kindOf(path: string): string {
  if (path.startsWith('/_astro/')) return 'file';
  const parts = path.split('?')[0]?.split('/').filter(Boolean) ?? [];
  const named = parts
    .slice(0, 4)
    .map((part) => (/[0-9a-f-]{12,}/.test(part) || !/^[a-z.-]{1,20}$/.test(part) ? '_' : part));
  return `/${named.join('/')}`;
}

/** Measures a request until it is answered. */
export function measure(request: IncomingMessage, response: ServerResponse): void {
  const done = took.startTimer({ kind: kindOf(request.url ?? '/') });
  response.once('close', () => done({ status: `${Math.floor(response.statusCode / 100)}xx` }));
}

/** Serves what was measured, in the usual text format, on a port of its own that no page reaches. */
export function serveMetrics(host: string, port: number): void {
  collectDefaultMetrics();
  createServer((_, response) => {
    register.metrics().then(
      (text) => response.writeHead(200, { 'content-type': register.contentType }).end(text),
      () => response.writeHead(500).end(),
    );
  }).listen(port, host);
}
