import { z } from 'zod';
import { endpoint, type Endpoint } from './endpoint.ts';
import { RIGHTS } from './people/rights.ts';
import type { PeopleService } from './people/service.ts';
import { callerFor } from './people/standing.ts';
import { ProblemError } from './problem.ts';

/**
 * What every page reads before it shows anything. Not the shop, whose clock is of the moment; nor the
 * drafts, which are read after the batches that they may have become.
 */
const READ_FIRST = [
  '/api/session',
  '/api/coffees',
  '/api/vessels',
  '/api/learned',
  '/api/pantry',
  '/api/house-recipes',
  '/api/opened',
  '/api/drinks',
  '/api/batches',
  '/api/jugs',
] as const;

/** One request for all that a page reads first; what whoever asks may not read is left out. */
export function startEndpoint(of: {
  endpoints: readonly Endpoint[];
  people: PeopleService;
  shopId: string;
}): Endpoint {
  const { endpoints, people, shopId } = of;
  const reads = READ_FIRST.map((path) => {
    const read = endpoints.find((one) => one.method === 'get' && one.path === path);
    const right = RIGHTS[`get ${path}`];
    if (!read || right === undefined) throw new Error(`Nobody answers ${path}.`);
    return { path, right, read };
  });
  // Who asks is looked up once for each.
  const rights = [...new Set(reads.map(({ right }) => right))];
  return endpoint({
    method: 'get',
    path: '/api/start',
    summary: 'What a page reads first, in one answer: each as its own address answers it',
    answer: z.record(z.string(), z.unknown()),
    handle: async (call) => {
      const answers = await Promise.all(
        rights.map(async (right) => {
          const caller = await callerFor({ people, shopId, origin: call.origin, right }).catch(
            (problem: unknown) => {
              if (problem instanceof ProblemError) return null;
              throw problem;
            },
          );
          if (!caller) return [];
          const own = reads.filter((one) => one.right === right);
          return Promise.all(
            own.map(
              async ({ path, read }) => [path, await read.handle({ ...call, caller })] as const,
            ),
          );
        }),
      );
      return Object.fromEntries(answers.flat());
    },
  });
}
