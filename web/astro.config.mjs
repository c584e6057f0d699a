import node from '@astrojs/node';
import react from '@astrojs/react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, passthroughImageService } from 'astro/config';
import { preloads } from './preloads.mjs';
import { sourcesHash } from '../scripts/lib/app.mjs';

export default defineConfig({
  output: 'server',
  // A page goes out whole: in pieces it costs twice the time, and everything on it is asked for before it begins.
  adapter: node({ mode: 'middleware', experimentalDisableStreaming: true }),
  integrations: [react()],
  image: { service: passthroughImageService() },
  // The benches that had another name.
  redirects: { '/jobs/[job]/props': '/jobs/[job]/stands' },
  devToolbar: { enabled: false },
  // The origin of every unsafe request is checked by our own middleware, which covers JSON too and knows the port.
  security: { checkOrigin: false },
  experimental: {
    csp: {
      algorithm: 'SHA-256',
      directives: [
        // First: a page that adds to it (/trust) would otherwise name it many times.
        "connect-src 'self'",
        "default-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
      // The rules by which an open dialog keeps the page under it from scrolling (react-remove-scroll).
      styleDirective: { hashes: ['sha256-nzTgYzXYDNe6BAHiiI7NNlfK8n/auuOAhh2t92YvuXo='] },
    },
  },
  vite: {
    // A worker loads the solids only when they are asked for.
    worker: { format: 'es' },
    plugins: [tailwindcss(), preloads(new URL('./dist/preloads.json', import.meta.url))],
    build: { assetsInlineLimit: 0 },
    define: { __PROGRAM__: JSON.stringify(sourcesHash().slice(0, 16)) },
  },
});
