import { cleanupOutdatedCaches, matchPrecache, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/**
 * Keeps the program on the device: its files as they were built, and the page that opens what the device keeps. It holds
 * nothing of any shop; that is the page's (`client/device.ts`).
 */
declare const self: {
  readonly skipWaiting: () => Promise<void>;
  readonly addEventListener: (type: 'message', heard: (event: MessageEvent<unknown>) => void) => void;
};
/** Put in when the program is built. */
declare const __FILES__: { readonly url: string; readonly revision: string | null }[];

/** A page that is not there by then opens from the device, ms: a shop's network is often there and carries nothing. */
const PATIENCE = 5000;

cleanupOutdatedCaches();
precacheAndRoute(__FILES__, { cleanURLs: false });

registerRoute(
  new NavigationRoute(
    async ({ request }) => {
      try {
        const answer = await fetch(request, { signal: AbortSignal.timeout(PATIENCE) });
        if (answer.status !== 502 && answer.status !== 504) return answer;
      } catch {
        // The server is not there.
      }
      return (await matchPrecache('/offline')) ?? Response.error();
    },
    // What is not a page of the program is between the browser and the server.
    { denylist: [/^\/api\//, /^\/print\//, /\.[a-z0-9]+$/] },
  ),
);

// A new version waits until no page of the old one is open, or somebody says so.
self.addEventListener('message', ({ data }) => {
  if (data === 'take over') void self.skipWaiting();
});
