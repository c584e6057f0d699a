/** What every answer carries, early ones and files too: see docs/security.md. */
export const SECURITY_HEADERS = {
  'x-content-type-options': 'nosniff',
  'x-frame-options': 'DENY',
  'referrer-policy': 'same-origin',
  'cross-origin-opener-policy': 'same-origin',
  'cross-origin-resource-policy': 'same-origin',
  'permissions-policy': 'camera=(self), microphone=(), geolocation=()',
};

/** Those of them that say something of pages alone. */
export const OF_PAGES = [
  'x-frame-options',
  'referrer-policy',
  'cross-origin-opener-policy',
  'permissions-policy',
] as const satisfies readonly (keyof typeof SECURITY_HEADERS)[];
