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
  RATIO_TLS: z.enum(['off', 'own']).default('off'),
  RATIO_TLS_CERT: z.string().min(1).optional(),
  RATIO_TLS_KEY: z.string().min(1).optional(),
  RATIO_DATA: z.string().default('data'),
  RATIO_SHOP: idSchema.optional(),
  RATIO_NOW: z.iso.datetime().optional(),
  RATIO_LOG: z.enum(['fatal', 'error', 'warn', 'info', 'debug', 'silent']).default('info'),
});

/** Whether and by what HTTPS is spoken: not, by a certificate that is given, or by one that Ratio makes. */
export type Tls =
  | { readonly by: 'off' | 'own' }
  | { readonly by: 'files'; readonly cert: string; readonly key: string };

export interface Config {
  readonly port: number;
  readonly host: string;
  /** What the shop calls the machine, besides its own names and addresses. */
  readonly names: readonly string[];
  /** Folder of the database. */
  readonly dataDir: string;
  /** The shop to serve; null for the only one. */
  readonly shopId: string | null;
  /** Instant at which the clock is frozen, for pictures and tests. */
  readonly frozenAt: Date | null;
  readonly logLevel: string;
  readonly tls: Tls;
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
    tls: tlsOf(parsed.data),
  };
}

function tlsOf(env: z.infer<typeof environment>): Tls {
  const { RATIO_TLS, RATIO_TLS_CERT: cert, RATIO_TLS_KEY: key } = env;
  if (cert !== undefined && key !== undefined) return { by: 'files', cert, key };
  if (cert === undefined && key === undefined) return { by: RATIO_TLS };
  throw new StartError(
    `${cert === undefined ? 'RATIO_TLS_CERT' : 'RATIO_TLS_KEY'}: give both, the certificate and its key.`,
  );
}
