import pino from 'pino';

/** What is told of an error: where it came from and its code, never a message that may hold what somebody typed. */
export function told(error: unknown): Record<string, unknown> {
  const e = (error ?? {}) as {
    name?: unknown;
    code?: unknown;
    stack?: unknown;
    original?: { code?: unknown; table?: unknown; constraint?: unknown; routine?: unknown };
  };
  const { code, table, constraint, routine } = e.original ?? {};
  return {
    error: typeof e.name === 'string' ? e.name : typeof error,
    code: e.code ?? code,
    table,
    constraint,
    routine,
    at:
      typeof e.stack === 'string'
        ? e.stack
            .split('\n')
            .filter((line) => /^\s+at /.test(line))
            .slice(0, 12)
            .map((line) => line.trim())
        : undefined,
  };
}

/** One line of JSON for each thing that an operator should know. Client text is never in it. */
export const log = pino(
  { name: 'velvet-compass', level: process.env.VELVET_LOG ?? 'info', base: { pid: process.pid } },
  pino.destination(2),
);
