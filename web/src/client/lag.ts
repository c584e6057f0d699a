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
  let waiting: { newest: T; told: number; readonly since: number; timer: ReturnType<typeof setTimeout> } | null = null;
  const left = (told: number, since: number) => Math.max(0, Math.min(told + REST_MS, since + most) - performance.now());
  const look = () => {
    if (!waiting) return;
    const { newest, told, since } = waiting;
    const more = left(told, since);
    if (more > 0) {
      waiting.timer = setTimeout(look, more);
      return;
    }
    waiting = null;
    hear(newest);
  };
  return {
    tell(value: T) {
      const now = performance.now();
      if (waiting) Object.assign(waiting, { newest: value, told: now });
      else waiting = { newest: value, told: now, since: now, timer: setTimeout(look, left(now, now)) };
    },
    forget() {
      clearTimeout(waiting?.timer);
      waiting = null;
    },
  };
}
