/** The hand rests: what it did is caught up with, ms. */
const REST_MS = 150;
/** While it goes on, figures are renewed so often, ms: faster they cannot be read, and each time costs a frame. */
const MOST_MS = 1000;

/**
 * Passes on the newest value once no other came for a moment, and now and then while they keep coming.
 *
 * @param hear Gets it.
 * @param most How far behind it may be, ms.
 */
export function lag<T>(hear: (value: T) => void, most = MOST_MS) {
  let since: number | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  return {
    tell(value: T) {
      const now = performance.now();
      since ??= now;
      clearTimeout(timer);
      timer = setTimeout(
        () => {
          since = null;
          hear(value);
        },
        Math.max(0, Math.min(REST_MS, since + most - now)),
      );
    },
    forget() {
      since = null;
      clearTimeout(timer);
    },
  };
}
