import { idSchema } from '@ratio/core/document';
import { z } from 'zod';
import { StartError } from './startError.ts';

const environment = z.object({
  RATIO_PORT: z.coerce.number().int().min(0).max(65535).default(4870),
  RATIO_HOST: z.string().default('127.0.0.1'),
  RATIO_NAMES: z
    .string()
    .default('')
    .transform((names) => names.split(/[\s,]+/).filter((name) => name !== ''))
    .pipe(
      z.array(z.string().regex(/^[a-z0-9.:-]+$/i, 'Names of hosts, with commas between them.')),
    ),
  RATIO_DATA: z.string().default('data'),
  RATIO_SHOP: idSchema.optional(),
  RATIO_NOW: z.iso.datetime().optional(),
  RATIO_LOG: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
});

export interface Config {
  readonly port: number;
  readonly host: string;
  /** What the shop calls the machine, besides its own names and addresses. */
  readonly names: readonly string[];
  /** Folder of the database. */
  readonly dataDir: string;
  /** The shop to serve; null for the only one. */
  readonly shopId: string | null;
  /** Instant at which the clock stands still, for pictures and tests. */
  readonly frozenAt: Date | null;
  readonly logLevel: string;
}

/**
 * Configuration from the environment, with defaults that work.
 *
 * @throws {StartError} naming the variable that cannot be understood
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const parsed = environment.safeParse(env);
  if (!parsed.success) {
    const [issue] = parsed.error.issues;
    throw new StartError(`${String(issue?.path[0])}: ${issue?.message}`);
  }
  const { RATIO_PORT, RATIO_HOST, RATIO_NAMES, RATIO_DATA, RATIO_SHOP, RATIO_NOW, RATIO_LOG } =
    parsed.data;
  return {
    port: RATIO_PORT,
    host: RATIO_HOST,
    names: RATIO_NAMES,
    dataDir: RATIO_DATA,
    shopId: RATIO_SHOP ?? null,
    frozenAt: RATIO_NOW === undefined ? null : new Date(RATIO_NOW),
    logLevel: RATIO_LOG,
  };
}
