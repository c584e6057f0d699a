import pino from 'pino';

/** The server's log. Errors are logged by name and code: a failed query's message holds its parameters. */
export const log = pino({ name: 'splay', level: process.env.LOG_LEVEL ?? 'info' });

export function logError(error: unknown, where: string): void {
  const { name, code } =
    error instanceof Error ? (error as Error & { code?: string }) : { name: typeof error, code: undefined };
  const cause =
    error instanceof Error && error.cause instanceof Error ? (error.cause as Error & { code?: string }) : undefined;
  log.error({ where, error: name, code: code ?? cause?.code, stack: stackOf(error) }, 'request failed');
}

/** Where it happened, without the message. */
const stackOf = (error: unknown): string | undefined =>
  error instanceof Error
    ? error.stack
        ?.split('\n')
        .filter((line) => line.startsWith('    at '))
        .slice(0, 6)
        .join('\n')
    : undefined;
