import type { Finding } from './conflict.ts';
import type { AttachmentStatus } from './attachment-status.ts';

/** Something that a cut runs through before the plan takes it off or moves it. */
interface Late {
  readonly name: string;
  readonly status: AttachmentStatus;
  /** The operation that takes it off or moves it. */
  readonly operation: string | null;
  /** The operation whose cut comes before that. */
  readonly cutBefore: string;
}

/**
 * Work that must stand before a cut and stands behind it; `hangs` says how the thing is held.
 *
 * @param at Where it is.
 * @param hangs On the rail, or in between.
 */
export function lateWork(
  at: Pick<Finding, 'donorX' | 'builtX' | 'about'>,
  { name, status, operation, cutBefore }: Late,
  hangs: 'on' | 'in',
): Finding {
  const off = hangs === 'on' ? 'off' : 'out';
  const removed = status === 'removed';
  return {
    ...at,
    operation: cutBefore,
    code: 'cut-before-taken-off',
    severity: 'stop',
    message: `A cut runs through ${name} while it is still ${hangs}: it is ${removed ? `taken ${off}` : 'moved'} only after the cut.`,
    fixes:
      operation === null
        ? []
        : [
            {
              say: removed ? `Take it ${off} before the cut` : 'Move it before the cut',
              edit: { do: 'order', operation, before: cutBefore },
            },
          ],
  };
}
